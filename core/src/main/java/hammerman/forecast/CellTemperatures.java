package hammerman.forecast;

import hammerman.chain.Layout;
import hammerman.fit.Filling;
import hammerman.fit.FitPlan;
import hammerman.heat.HeatMap;
import hammerman.heat.HeatProfile;
import hammerman.heat.ThermalLayout;
import hammerman.pack.Cooling;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * What the warmth of each cell of the layout does through the duty, in the hottest air.
 *
 * @param map temperatures of each cell
 * @param hottestYears life of a cell as warm in use as the warmest, years
 * @param coolestYears life of a cell as warm in use as the coolest, years
 */
public record CellTemperatures(HeatMap map, double hottestYears, double coolestYears) {

  /** Works it out; empty without groups. */
  public static Optional<CellTemperatures> of(Forecast f) {
    return f.thermal().map().map(m -> of(f, m));
  }

  private static CellTemperatures of(Forecast f, HeatMap map) {
    double air = f.design().duty().surroundings().hottestInUse();
    double[] means = HeatMap.range(map.means());
    return new CellTemperatures(map, years(f, means[1] - air), years(f, means[0] - air));
  }

  private static double years(Forecast f, double rise) {
    return Forecast.life(f.chain(), f.own(), f.chain().ceiling(), rise).years();
  }

  /**
   * What another way of cooling would do.
   *
   * @param what is changed
   * @param plan the plan that has it; absent where it is the box that differs, not the fit
   * @param map temperatures then
   */
  public record Change(String what, Optional<FitPlan> plan, HeatMap map) {}

  /** Works out what other fillings, a wider gap and a fan would do, each by itself. */
  public static List<Change> changes(Forecast f) {
    Optional<Layout.Solved> solved = f.layout().flatMap(Layout::solved);
    if (solved.isEmpty()) {
      return List.of();
    }
    ThermalLayout layout = solved.get().warm(f.design());
    HeatProfile profile = Thermal.heatProfile(f);
    FitPlan plan = solved.get().layout().plan();
    List<Change> changes = new ArrayList<>();
    for (Filling filling : Filling.values()) {
      if (filling != plan.filling()) {
        changes.add(
            new Change(
                filling.label(),
                Optional.of(plan.withFilling(filling)),
                layout.withFilling(filling).through(profile)));
      }
    }
    if (layout.cooling() != Cooling.MOVING_AIR) {
      changes.add(
          new Change(
              "A fan", Optional.empty(), layout.withCooling(Cooling.MOVING_AIR).through(profile)));
    }
    FitPlan wider = plan.withPacking(plan.packing().withGap(plan.packing().gap() + 1e-3));
    Layout.of(f.chain(), wider)
        .solved()
        .ifPresent(
            s ->
                changes.add(
                    new Change(
                        "1 mm more gap", Optional.of(wider), s.warm(f.design()).through(profile))));
    return changes;
  }
}
