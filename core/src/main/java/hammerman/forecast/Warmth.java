package hammerman.forecast;

import hammerman.chain.Layout;
import hammerman.fit.Filling;
import hammerman.fit.FitPlan;
import hammerman.heat.HeatMap;
import hammerman.heat.WarmLayout;
import hammerman.pack.Cooling;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * How warm each cell of the layout gets through the duty, in the hottest air, and what that does.
 *
 * @param map temperatures of each cell
 * @param timeToLimit time at full effort until the first cell is at its limit, s; empty if none
 *     gets there within four hours
 * @param hottestYears life of a cell as warm in use as the warmest, years
 * @param coolestYears life of a cell as warm in use as the coolest, years
 */
public record Warmth(
    HeatMap map, OptionalDouble timeToLimit, double hottestYears, double coolestYears) {

  /** Works it out; empty without groups. Some 20 ms for an hour of 80 cells. */
  public static Optional<Warmth> of(Forecast f) {
    return f.warmLayout().map(w -> of(f, w));
  }

  private static Warmth of(Forecast f, WarmLayout layout) {
    HeatMap map = layout.through(f.everySecond());
    double[] means = HeatMap.range(map.means());
    return new Warmth(
        map,
        layout.timeTo(
            layout.cell().temperatures().dischargeHighest(),
            f.design().duty().machine().fullEffortCurrent()),
        years(f, means[1] - layout.air()),
        years(f, means[0] - layout.air()));
  }

  private static double years(Forecast f, double rise) {
    return Forecast.life(f.chain(), f.duty(), f.chain().ceiling(), rise).years();
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
    Optional<WarmLayout> now = f.warmLayout();
    if (now.isEmpty()) {
      return List.of();
    }
    WarmLayout layout = now.get();
    double[] currents = f.everySecond();
    FitPlan plan = f.layout().orElseThrow().plan();
    List<Change> changes = new ArrayList<>();
    for (Filling filling : Filling.values()) {
      if (filling != plan.filling()) {
        changes.add(
            new Change(
                filling.label(),
                Optional.of(plan.withFilling(filling)),
                layout.withFilling(filling).through(currents)));
      }
    }
    if (layout.cooling() != Cooling.MOVING_AIR) {
      changes.add(
          new Change(
              "A fan", Optional.empty(), layout.withCooling(Cooling.MOVING_AIR).through(currents)));
    }
    FitPlan wider = plan.withPacking(plan.packing().withGap(plan.packing().gap() + 1e-3));
    Layout.of(f.chain(), wider)
        .solved()
        .ifPresent(
            s ->
                changes.add(
                    new Change(
                        "1 mm more gap",
                        Optional.of(wider),
                        layout
                            .withPlacing(s.layout().arrangement().placing())
                            .withGrouping(s.grouping())
                            .withNetwork(s.network())
                            .through(currents))));
    return changes;
  }
}
