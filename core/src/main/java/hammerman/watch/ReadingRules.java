package hammerman.watch;

import static hammerman.watch.ChargeRule.above;
import static hammerman.watch.ChargeRule.below;

import hammerman.unit.Figures;
import java.util.ArrayList;
import java.util.List;

/** The rules of the watch about readings that are missing, late or cannot be dated. */
final class ReadingRules {
  private final ChargeLimits limits;
  private final List<ChargeRule> rules = new ArrayList<>();

  private ReadingRules(ChargeLimits limits) {
    this.limits = limits;
  }

  static List<ChargeRule> of(ChargeLimits limits) {
    ReadingRules r = new ReadingRules(limits);
    r.missing();
    r.clock();
    return r.rules;
  }

  private void missing() {
    rules.add(
        above(
            "groups.missing",
            m -> limits.series() - m.frame().groupsRead(),
            0,
            ChargeRules.MISSING,
            m ->
                "%s. Its voltage is unknown. Pull the charger's mains plug and measure by hand."
                    .formatted(unread(m.frame())),
            m -> "unknown"));
    rules.add(
        above(
            "sensors.missing",
            m -> m.sensors() - m.frame().sensorsRead(),
            0,
            ChargeRules.MISSING,
            m ->
                "%d of %d temperature sensors can be read. Pull the charger's mains plug and check their leads."
                    .formatted(m.frame().sensorsRead(), m.sensors()),
            m -> "unknown"));
    rules.add(
        above(
            "pack.missing",
            m -> Double.isNaN(m.frame().pack()) ? 1 : 0,
            0,
            ChargeRules.MISSING,
            m ->
                "The pack voltage is not read. Pull the charger's mains plug and measure it by"
                    + " hand.",
            m -> "unknown"));
    rules.add(
        above(
            "current.missing",
            m -> Double.isNaN(m.frame().current()) ? 1 : 0,
            0,
            ChargeRules.MISSING,
            m ->
                "The charge current is not read. Pull the charger's mains plug and check the"
                    + " current sensor.",
            m -> "unknown"));
  }

  private void clock() {
    rules.add(
        above(
            "silence",
            Moment::silence,
            ChargeRules.SILENCE,
            0,
            m ->
                "No new reading for %s: nothing watches the charge. Pull the charger's mains plug and check the connections."
                    .formatted(Figures.duration(m.silence())),
            m -> "unknown"));
    rules.add(
        above(
            "clock.still",
            Moment::still,
            ChargeRules.SILENCE,
            0,
            m ->
                "The device's clock has stood still for %s: its readings may be old. Pull the charger's mains plug and restart the device."
                    .formatted(Figures.duration(m.still())),
            m -> "unknown"));
    rules.add(
        above(
            "clock.leaps",
            Moment::leaps,
            ChargeRules.LEAPS,
            0,
            m ->
                "The device's clock has leapt %d times: its readings cannot be dated. Pull the charger's mains plug and restart the device."
                    .formatted(m.leaps()),
            m -> "unknown"));
    rules.add(
        below(
            "clock.slow",
            Moment::clock,
            ChargeRules.SLOW,
            m ->
                "The device's clock runs slow: it counts %s of each minute. Pull the charger's mains plug and restart the device."
                    .formatted(Figures.duration(60 * m.clock())),
            m -> "unknown"));
  }

  private String unread(ChargeFrame f) {
    double[] g = f.groups();
    for (int k = 0; k < g.length; k++) {
      if (Double.isNaN(g[k])) {
        return "Group %d is not read".formatted(k + 1);
      }
    }
    return g.length == 0
        ? "No group is read"
        : "Of %d groups %d are read; group %d is not"
            .formatted(limits.series(), g.length, g.length + 1);
  }
}
