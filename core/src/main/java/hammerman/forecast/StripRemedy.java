package hammerman.forecast;

import hammerman.chain.LaidOut;
import hammerman.chain.Layout;
import hammerman.design.Design;
import hammerman.fit.FitPlan;
import hammerman.interconnect.Network;
import hammerman.pack.ConductorMaterial;
import hammerman.pack.Conductors;
import hammerman.pack.Strip;
import hammerman.pack.TakeOff;
import java.util.ArrayList;
import java.util.List;

/**
 * A change of conductors, with what it would do to the layout's currents.
 *
 * @param what is changed, in words
 * @param design with the change
 * @param load hardest-worked strip's current over what it carries for a 20 K rise
 * @param share largest share of a group's current that one cell carries, 1 when equal
 * @param loss in strips, links and contacts at the continuous current, W
 */
public record StripRemedy(String what, Design design, double load, double share, double loss) {
  /** Thickness of the copper and of the steel overlay suggested, m; usual for hand-built packs. */
  private static final double COPPER = 0.2e-3;

  private static final double STEEL = 0.1e-3;

  /** Suggests what may mend the hardest-worked place, each with its effect; the best first. */
  public static List<StripRemedy> of(Forecast f) {
    return f.layout().flatMap(Layout::solved).map(s -> of(f, s)).orElse(List.of());
  }

  private static List<StripRemedy> of(Forecast f, Layout.Solved now) {
    Design design = f.design();
    Strip usual = design.pack().strip();
    FitPlan plan = now.layout().plan();
    Conductors led = plan.conductors();
    List<StripRemedy> remedies = new ArrayList<>();
    now.network()
        .hardestWorked()
        .ifPresent(
            worst -> {
              int p = worst.plate();
              String where = plate(p, design.pack().series());
              Strip there = worst.strip();
              remedies.add(
                  led("Double the strip " + where, design, plan, led.with(p, thicker(there))));
              if (there.material() != ConductorMaterial.COPPER) {
                remedies.add(led("Copper " + where, design, plan, led.with(p, copper(there))));
              }
            });
    remedies.add(strip("Double all strips", design, thicker(usual)));
    if (usual.material() != ConductorMaterial.COPPER) {
      remedies.add(strip("Copper with a steel overlay everywhere", design, copper(usual)));
    }
    for (TakeOff t : TakeOff.values()) {
      if (t.ordinal() > led.takeOff().ordinal()) {
        remedies.add(
            led(
                t == TakeOff.BOTH_ENDS
                    ? "Take the leads off at both ends of the end groups"
                    : "Take the leads off by a bar over the end groups",
                design,
                plan,
                led.withTakeOff(t)));
      }
    }
    remedies.sort(
        (a, b) ->
            a.load() != b.load()
                ? Double.compare(a.load(), b.load())
                : Double.compare(a.loss(), b.loss()));
    return remedies;
  }

  /** Names a plate by the groups that it joins. */
  public static String plate(int plate, int series) {
    return plate == 0
        ? "at the negative end"
        : plate == series
            ? "at the positive end"
            : "between groups " + plate + " and " + (plate + 1);
  }

  private static Strip thicker(Strip s) {
    return s.withLayers(Math.min(20, s.layers() * 2));
  }

  private static Strip copper(Strip s) {
    return new Strip(ConductorMaterial.COPPER, COPPER, s.width(), 1, STEEL);
  }

  private static StripRemedy led(String what, Design design, FitPlan plan, Conductors led) {
    return of(what, design.withFit(plan.withConductors(led)));
  }

  private static StripRemedy strip(String what, Design design, Strip strip) {
    return of(what, design.withPack(design.pack().withStrip(strip)));
  }

  private static StripRemedy of(String what, Design changed) {
    Layout.Solved s = LaidOut.of(changed).solved().orElseThrow();
    Network n = s.network();
    return new StripRemedy(
        what,
        changed,
        n.hardestWorked().map(Network.Segment::load).orElse(0.0),
        n.worstShare(s.grouping()),
        n.heat());
  }
}
