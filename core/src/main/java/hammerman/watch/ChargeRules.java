package hammerman.watch;

import static hammerman.watch.ChargeRule.above;
import static hammerman.watch.ChargeRule.below;

import hammerman.numeric.Middle;
import hammerman.simulation.Charge;
import hammerman.unit.Figures;
import hammerman.unit.Unit;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * The rules of the watch, the most dangerous first: the first that is broken is the one that is
 * said. A rule about a voltage or a temperature stands before its limit by what the quantity cannot
 * cross between two frames: 10 mV and 3 K.
 */
final class ChargeRules {
  /** The longest that may pass without news, or with a clock that does not go on, s. */
  static final double SILENCE = 60;

  /** The longest that something that should be read may be missing, s. */
  static final double MISSING = 10;

  /** The longest that no current may flow, s. */
  static final double IDLE = 600;

  /** The longest that every reading may stay the very same, s. */
  static final double FROZEN = 600;

  /** A device's clock may leap so often; once when it is set, once when it is started again. */
  static final int LEAPS = 3;

  /** A clock slower than this share of this machine's is not believed. */
  static final double SLOW = 0.5;

  static final double VOLTS_BEFORE = 0.01;
  static final double KELVIN_BEFORE = 3;

  /** Readings of groups that do not add up to the pack by this share are not believed. */
  private static final double SUM_SHARE = 0.02;

  private static final double SUM_VOLTS = 0.05;

  /** A group that leaves the median by this, V, has run away. */
  static final double APART = 0.12;

  /** A group that has not moved a millivolt while the others rose by this is stuck, V. */
  static final double STUCK = 0.03;

  /** What a current sensor may read below nothing, A, and as a share of the charger's current. */
  private static final double OFFSET = 0.1;

  private static final double OFFSET_SHARE = 0.02;

  /** A charge may take this many times the forecast, and twenty minutes. */
  private static final double LONGER = 1.3;

  private static final double MINUTES = 20 * 60;

  private final ChargeLimits limits;
  private final Charge forecast;
  private final List<ChargeRule> rules = new ArrayList<>();

  private ChargeRules(ChargeLimits limits, Charge forecast) {
    this.limits = limits;
    this.forecast = forecast;
  }

  static List<ChargeRule> of(ChargeLimits limits, Charge forecast) {
    ChargeRules r = new ChargeRules(limits, forecast);
    r.volts();
    r.temperatures();
    r.current();
    r.doubtful();
    r.rules.addAll(ReadingRules.of(limits));
    r.progress();
    return List.copyOf(r.rules);
  }

  private void volts() {
    rules.add(
        above(
            "group.high",
            m -> m.frame().highest(),
            limits.highest() - VOLTS_BEFORE,
            0,
            m ->
                "Group %d is at %s and its limit is %s. Pull the charger's mains plug; let the BMS balance, or discharge that group alone."
                    .formatted(
                        at(m.frame().groups(), m.frame().highest()),
                        volts(m.frame().highest()),
                        volts(limits.highest())),
            this::voltsLeft));
    rules.add(
        below(
            "group.low",
            m -> m.frame().lowest(),
            limits.lowest(),
            m ->
                "Group %d is at %s, below its cut-off voltage of %s. Pull the charger's mains plug. Never charge a cell that has been below its cut-off voltage."
                    .formatted(
                        at(m.frame().groups(), m.frame().lowest()),
                        volts(m.frame().lowest()),
                        volts(limits.lowest())),
            m -> "none"));
    rules.add(
        above(
            "pack.high",
            m -> m.frame().pack(),
            limits.packMost(),
            0,
            m ->
                "The pack is at %s, above the charger's maximum of %s. Pull its mains plug."
                    .formatted(
                        Figures.of(m.frame().pack(), Unit.VOLT, 2),
                        Figures.of(limits.packMost(), Unit.VOLT, 2)),
            this::voltsLeft));
    rules.add(
        above(
            "group.apart",
            ChargeRules::apart,
            APART,
            0,
            m -> {
              double[] g = m.frame().groups();
              double middle = median(m.frame());
              int worst = furthest(g, middle);
              return "Group %d is at %s, the median is %s: it %s. Pull the charger's mains plug, let the pack rest for an hour, and measure again."
                  .formatted(
                      worst + 1,
                      volts(g[worst]),
                      volts(middle),
                      g[worst] > middle ? "runs ahead" : "lags behind, so it leaks or was empty");
            },
            this::voltsLeft));
  }

  private void temperatures() {
    rules.add(
        above(
            "cell.hot",
            m -> m.frame().warmest(),
            limits.hottest() - KELVIN_BEFORE,
            0,
            m ->
                "A cell is at %s; its limit is %s. Pull the charger's mains plug and let the pack cool in the open."
                    .formatted(
                        Figures.of(m.frame().warmest(), Unit.CELSIUS, 1),
                        Figures.of(limits.hottest(), Unit.CELSIUS, 0)),
            this::kelvinLeft));
    rules.add(
        below(
            "cell.cold",
            m -> m.frame().coldest(),
            limits.coldest(),
            m ->
                "A cell is at %s, below %s: metal plates out inside it. Pull the charger's mains plug and warm the pack indoors."
                    .formatted(
                        Figures.of(m.frame().coldest(), Unit.CELSIUS, 1),
                        Figures.of(limits.coldest(), Unit.CELSIUS, 0)),
            m -> "none"));
    rules.add(
        above(
            "cell.warming",
            Moment::warming,
            limits.rise() * WatchHistory.WINDOW,
            0,
            m ->
                "A sensor has warmed by %s within %s: a cell may be shorted inside. Pull the charger's mains plug, and move the pack outdoors."
                    .formatted(
                        Figures.of(m.warming(), Unit.KELVIN, 1),
                        Figures.duration(WatchHistory.WINDOW)),
            this::kelvinLeft));
  }

  private void current() {
    rules.add(
        above(
            "current.high",
            m -> m.frame().current(),
            limits.most(),
            0,
            m ->
                "The charge current is %s; your charger should give %s. Pull its mains plug: it is the wrong charger, or faulty."
                    .formatted(
                        Figures.of(m.frame().current(), Unit.AMPERE),
                        Figures.of(limits.current(), Unit.AMPERE)),
            this::voltsLeft));
    rules.add(
        below(
            "current.backwards",
            m -> m.frame().current(),
            -Math.max(OFFSET, OFFSET_SHARE * limits.current()),
            m ->
                "%s flow out of the pack. Pull the charger's mains plug: something discharges the pack, or the current sensor is reversed."
                    .formatted(Figures.of(-m.frame().current(), Unit.AMPERE)),
            m -> "unknown"));
    rules.add(
        above(
            "charge.most",
            Moment::charge,
            limits.room(),
            0,
            m ->
                "%s has been charged, more than the pack can hold: the rest turns into heat. Pull the charger's mains plug."
                    .formatted(Figures.of(m.charge(), Unit.AMPERE_HOUR)),
            this::voltsLeft));
  }

  /** Readings that cannot all be true. */
  private void doubtful() {
    rules.add(
        above(
            "sum",
            m -> {
              double sum = Arrays.stream(m.frame().groups()).sum();
              double pack = m.frame().pack();
              return Math.abs(sum - pack) - (SUM_SHARE * Math.abs(pack) + SUM_VOLTS);
            },
            0,
            0,
            m ->
                "The groups add up to %s but the pack reads %s: one reading is wrong. Pull the charger's mains plug and measure each group by hand."
                    .formatted(
                        Figures.of(Arrays.stream(m.frame().groups()).sum(), Unit.VOLT, 2),
                        Figures.of(m.frame().pack(), Unit.VOLT, 2)),
            m -> "unknown"));
    rules.add(
        above(
            "stuck",
            m -> m.stuck() < 0 ? Double.NaN : m.risen(),
            STUCK,
            0,
            m ->
                "Group %d has not changed while the others rose by %s: its reading is stuck. Pull the charger's mains plug and measure it by hand."
                    .formatted(m.stuck() + 1, Figures.of(m.risen(), Unit.MILLIVOLT, 0)),
            m -> "unknown"));
    rules.add(
        above(
            "frozen",
            Moment::frozen,
            FROZEN,
            0,
            m ->
                "No reading has changed for %s: they are old. Pull the charger's mains plug and measure each group by hand."
                    .formatted(Figures.duration(m.frozen())),
            m -> "unknown"));
    rules.add(
        above(
            "groups.more",
            m -> m.frame().groups().length - limits.series(),
            0,
            MISSING,
            m ->
                "%d groups are read, and the design has %d. Pull the charger's mains plug: this is another pack, or another BMS."
                    .formatted(m.frame().groups().length, limits.series()),
            m -> "unknown"));
  }

  private void progress() {
    rules.add(
        above(
            "longer",
            Moment::taken,
            LONGER * forecast.time() + MINUTES,
            0,
            m ->
                "Charging has taken %s against a forecast of %s: the charger does not stop, or a cell leaks. Pull its mains plug."
                    .formatted(Figures.duration(m.taken()), Figures.duration(forecast.time())),
            this::voltsLeft));
    rules.add(
        above(
            "idle",
            Moment::idle,
            IDLE,
            0,
            m ->
                "No charge current for %s, and the pack is not full. Pull the charger's mains plug: the BMS or a fuse has opened, or a lead is off."
                    .formatted(Figures.duration(m.idle())),
            this::voltsLeft));
  }

  private String voltsLeft(Moment m) {
    double highest = m.frame().highest();
    return Double.isNaN(highest)
        ? "unknown"
        : Figures.of(limits.highest() - highest, Unit.MILLIVOLT, 0);
  }

  private String kelvinLeft(Moment m) {
    return Figures.of(limits.hottest() - m.frame().warmest(), Unit.KELVIN, 1);
  }

  private static double apart(Moment m) {
    double middle = median(m.frame());
    double[] g = m.frame().groups();
    return g.length == 0 ? Double.NaN : Math.abs(g[furthest(g, middle)] - middle);
  }

  private static double median(ChargeFrame f) {
    return Middle.within(Arrays.stream(f.groups()).filter(v -> !Double.isNaN(v)).toArray(), 0)
        .median();
  }

  private static int furthest(double[] g, double middle) {
    int worst = 0;
    for (int k = 1; k < g.length; k++) {
      if (Double.isNaN(g[worst]) || Math.abs(g[k] - middle) > Math.abs(g[worst] - middle)) {
        worst = k;
      }
    }
    return worst;
  }

  /** The number of a group from 1. */
  private static int at(double[] values, double value) {
    for (int k = 0; k < values.length; k++) {
      if (values[k] == value) {
        return k + 1;
      }
    }
    return 1;
  }

  private static String volts(double v) {
    return Figures.of(v, Unit.VOLT, 3);
  }
}
