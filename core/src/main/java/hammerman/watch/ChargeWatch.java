package hammerman.watch;

import hammerman.chain.Chain;
import hammerman.guard.ChargePlan;
import hammerman.numeric.Middle;
import hammerman.simulation.Charge;
import hammerman.simulation.Trace;
import hammerman.unit.Figures;
import hammerman.unit.Unit;
import java.util.Arrays;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * Watches a first charge: each frame of readings against the limits of cell, BMS and charger, and
 * against the forecast of this very charge. It says stop once and keeps to it. What it can tell
 * comes from the readings alone; it does not end the charge itself, so the builder or a switched
 * plug must.
 *
 * <p>The rules stand before the limits by a margin that the quantity cannot cross between two
 * frames of a minute: a group within 10 mV of where the BMS should open, a cell within 3 K of its
 * limit.
 */
public final class ChargeWatch {
  /** The longest that may pass between two frames, s. */
  public static final double SILENCE = 60;

  private static final double VOLTS_BEFORE = 0.01;
  private static final double KELVIN_BEFORE = 3;

  /** A sound cell warms slower than this while it is charged, K/s: 1 K a minute. */
  private static final double RISE = 1.0 / 60;

  /** Readings of groups that do not add up to the pack by this share are not believed. */
  private static final double SUM = 0.02;

  /** A group that leaves the middle by this, V, has run away. */
  private static final double APART = 0.12;

  /** A reading that has not moved a millivolt while the others rose by this is stuck, V. */
  private static final double STUCK = 0.03;

  /** The charger may be above its current by this share. */
  private static final double CURRENT = 1.2;

  /** A charge may take this many times the forecast, and twenty minutes. */
  private static final double LONGER = 1.3;

  private static final double MINUTES = 20 * 60;

  private final Limits limits;
  private final Charge forecast;
  private @Nullable ChargeFrame first;
  private @Nullable ChargeFrame last;

  /** When current began to flow by the clock of the device, s; it may have run long before. */
  private double begun = Double.NaN;

  private double charge;
  private @Nullable Call stop;

  private record Limits(
      double perGroup,
      double packMost,
      double coldest,
      double hottest,
      double current,
      double capacity,
      double starts) {}

  /**
   * What is said of a frame.
   *
   * @param stop whether to end the charge now
   * @param ended whether the charge is over as it should be
   * @param say in words
   * @param margin left to what would hurt, in words; empty if all is well
   */
  public record Call(boolean stop, boolean ended, String say, String margin) {}

  private ChargeWatch(Limits limits, Charge forecast) {
    this.limits = limits;
    this.forecast = forecast;
  }

  /**
   * Begins to watch the charge of a design.
   *
   * @param soc the pack's state of charge at the beginning, 0 to 1
   */
  public static ChargeWatch of(Chain chain, double soc) {
    var design = chain.design();
    var cell = design.pack().cell();
    double over =
        design
            .guard()
            .protection()
            .bms()
            .map(b -> b.overVoltage())
            .orElse(cell.fullVoltage() + 0.05);
    Charge course = Charge.of(chain, Math.clamp(soc, 0, 0.999), chain.usualChargingAir());
    return new ChargeWatch(
        new Limits(
            Math.max(over, design.chargeVoltagePerCell() + VOLTS_BEFORE),
            design.guard().charge().highest() + 0.01 * design.pack().series(),
            cell.temperatures().chargeLowest(),
            cell.temperatures().chargeHighest(),
            Math.min(
                CURRENT * design.guard().charge().current(),
                design.pack().parallel() * cell.currents().fastCharge() * CURRENT),
            design.pack().capacity(),
            soc),
        course);
  }

  /** Returns the forecast of the charge that is watched. */
  public Charge forecast() {
    return forecast;
  }

  /** Returns the voltage of one group that the forecast has at a time (s), V. */
  public double expected(double time, int series) {
    Trace t = forecast.trace();
    if (t.size() == 0) {
      return Double.NaN;
    }
    return t.at(Trace.Channel.VOLTAGE, t.indexAt(time)) / series;
  }

  /** Returns the voltage that no group may pass, V. */
  public double limit() {
    return limits.perGroup();
  }

  /** Returns the charge put in so far, Ah. */
  public double charge() {
    return charge;
  }

  /** Takes a frame and says what to do. */
  public Call take(ChargeFrame frame) {
    Call before = stop;
    if (before != null) {
      return before;
    }
    ChargeFrame was = last;
    if (was != null && frame.time() <= was.time()) {
      return fine("A reading came twice or late; it is left out.");
    }
    if (was != null) {
      charge += 0.5 * (was.current() + frame.current()) * (frame.time() - was.time()) / 3600;
    } else {
      first = frame;
    }
    if (Double.isNaN(begun) && frame.current() > endCurrent()) {
      begun = frame.time();
    }
    last = frame;
    Optional<Call> bad = judge(frame, was);
    if (bad.isPresent()) {
      stop = bad.get();
      return bad.get();
    }
    return over(frame)
        ? new Call(
            false,
            true,
            "The charge has ended: %s went in. Let it rest for an hour, then read the groups."
                .formatted(Figures.of(charge, Unit.AMPERE_HOUR)),
            "")
        : fine(
            "All is well: highest group %s, %s into the pack."
                .formatted(
                    Figures.of(frame.highest(), Unit.VOLT, 3),
                    Figures.of(frame.current(), Unit.AMPERE)));
  }

  /** Says what to do while no frame comes. */
  public Call silent(double seconds) {
    Call before = stop;
    if (before != null) {
      return before;
    }
    if (seconds <= SILENCE) {
      return fine("Waiting for readings.");
    }
    stop =
        halt(
            "No reading for %s: nobody watches. Pull the charger's plug and see what is parted."
                .formatted(Figures.duration(seconds)),
            "not known");
    return stop;
  }

  private static Call fine(String say) {
    return new Call(false, false, say, "");
  }

  private static Call halt(String say, String margin) {
    return new Call(true, false, say, margin);
  }

  private boolean over(ChargeFrame f) {
    return f.time() - begun > 120
        && f.current() <= 1.2 * endCurrent()
        && f.highest() > limits.perGroup() - 0.15;
  }

  private double endCurrent() {
    return ChargePlan.TAPER_END * limits.current() / CURRENT;
  }

  private Optional<Call> judge(ChargeFrame f, @Nullable ChargeFrame was) {
    return volts(f)
        .or(() -> sensors(f))
        .or(() -> apart(f))
        .or(() -> warmth(f, was))
        .or(() -> charger(f));
  }

  private Optional<Call> volts(ChargeFrame f) {
    double highest = f.highest();
    if (Double.isNaN(highest)) {
      return Optional.of(halt("No group is read. Pull the charger's plug.", "not known"));
    }
    double left = limits.perGroup() - highest;
    if (left < VOLTS_BEFORE) {
      int g = at(f.groups(), highest);
      return Optional.of(
          halt(
              "Group %d is at %s, and %s is its limit. Pull the charger's plug; let the BMS balance, or bring that group down by itself."
                  .formatted(
                      g + 1,
                      Figures.of(highest, Unit.VOLT, 3),
                      Figures.of(limits.perGroup(), Unit.VOLT, 3)),
              Figures.of(left, Unit.MILLIVOLT, 0)));
    }
    return Optional.empty();
  }

  /** Readings that cannot all be true. */
  private Optional<Call> sensors(ChargeFrame f) {
    double[] g = f.groups();
    for (int k = 0; k < g.length; k++) {
      if (Double.isNaN(g[k])) {
        return Optional.of(
            halt(
                "Group %d is not read any more: it could be anywhere. Pull the plug and read it by hand."
                    .formatted(k + 1),
                "not known"));
      }
    }
    double sum = Arrays.stream(g).sum();
    if (!Double.isNaN(f.pack()) && Math.abs(sum - f.pack()) > SUM * f.pack() + 0.05) {
      return Optional.of(
          halt(
              "The groups add up to %s, but the pack reads %s: a reading lies. Pull the plug and read each group by hand."
                  .formatted(Figures.of(sum, Unit.VOLT, 2), Figures.of(f.pack(), Unit.VOLT, 2)),
              "not known"));
    }
    ChargeFrame start = first;
    if (start != null && g.length == start.groups().length) {
      double[] moved = new double[g.length];
      for (int k = 0; k < g.length; k++) {
        moved[k] = g[k] - start.groups()[k];
      }
      double middle = Middle.within(moved, 0).median();
      for (int k = 0; k < g.length; k++) {
        if (middle > STUCK && Math.abs(moved[k]) < 1e-3) {
          return Optional.of(
              halt(
                  "Group %d has not moved while the others rose by %s: its reading is stuck. Pull the plug and read it by hand."
                      .formatted(k + 1, Figures.of(middle, Unit.MILLIVOLT, 0)),
                  "not known"));
        }
      }
    }
    return Optional.empty();
  }

  private Optional<Call> apart(ChargeFrame f) {
    double[] g = f.groups();
    double middle = Middle.within(g, 0).median();
    for (int k = 0; k < g.length; k++) {
      if (Math.abs(g[k] - middle) > APART) {
        return Optional.of(
            halt(
                "Group %d is at %s, the middle is %s: it %s. Pull the plug, rest an hour, and read again."
                    .formatted(
                        k + 1,
                        Figures.of(g[k], Unit.VOLT, 3),
                        Figures.of(middle, Unit.VOLT, 3),
                        g[k] > middle ? "runs away" : "lags behind, so it leaks or was empty"),
                Figures.of(limits.perGroup() - f.highest(), Unit.MILLIVOLT, 0)));
      }
    }
    return Optional.empty();
  }

  private Optional<Call> warmth(ChargeFrame f, @Nullable ChargeFrame was) {
    for (double t : f.kelvin()) {
      if (t < limits.coldest()) {
        return Optional.of(
            halt(
                "A cell is at %s, below %s: lithium plates out. Pull the plug and warm the pack indoors."
                    .formatted(
                        Figures.of(t, Unit.CELSIUS, 1),
                        Figures.of(limits.coldest(), Unit.CELSIUS, 0)),
                "none"));
      }
      if (t > limits.hottest() - KELVIN_BEFORE) {
        return Optional.of(
            halt(
                "A cell is at %s; %s is its limit. Pull the plug and let it cool in the open."
                    .formatted(
                        Figures.of(t, Unit.CELSIUS, 1),
                        Figures.of(limits.hottest(), Unit.CELSIUS, 0)),
                Figures.of(limits.hottest() - t, Unit.KELVIN, 1)));
      }
    }
    ChargeFrame start = first;
    if (was != null && start != null && f.time() - start.time() > 300) {
      double rise = (f.warmest() - start.warmest()) / (f.time() - start.time());
      if (rise > RISE) {
        return Optional.of(
            halt(
                "The pack has warmed by %s in %s: something in it is shorted. Pull the plug, and move it outdoors."
                    .formatted(
                        Figures.of(f.warmest() - start.warmest(), Unit.KELVIN, 1),
                        Figures.duration(f.time() - start.time())),
                Figures.of(limits.hottest() - f.warmest(), Unit.KELVIN, 0)));
      }
    }
    return Optional.empty();
  }

  private Optional<Call> charger(ChargeFrame f) {
    if (f.current() > limits.current()) {
      return Optional.of(
          halt(
              "%s flow; the charger of the design gives %s. Pull its plug: it is another one, or broken."
                  .formatted(
                      Figures.of(f.current(), Unit.AMPERE),
                      Figures.of(limits.current() / CURRENT, Unit.AMPERE)),
              Figures.of(limits.perGroup() - f.highest(), Unit.MILLIVOLT, 0)));
    }
    if (!Double.isNaN(f.pack()) && f.pack() > limits.packMost()) {
      return Optional.of(
          halt(
              "The pack is at %s, above what the charger should ever give, %s. Pull its plug."
                  .formatted(
                      Figures.of(f.pack(), Unit.VOLT, 2),
                      Figures.of(limits.packMost(), Unit.VOLT, 2)),
              Figures.of(limits.perGroup() - f.highest(), Unit.MILLIVOLT, 0)));
    }
    double room = (1 - limits.starts()) * limits.capacity() * 1.15 + 0.05 * limits.capacity();
    if (charge > room) {
      return Optional.of(
          halt(
              "%s have gone in, more than the pack can take from there: it turns to heat. Pull the plug."
                  .formatted(Figures.of(charge, Unit.AMPERE_HOUR)),
              Figures.of(limits.perGroup() - f.highest(), Unit.MILLIVOLT, 0)));
    }
    double taken = f.time() - begun;
    if (taken > LONGER * forecast.time() + MINUTES && f.current() > 1.5 * endCurrent()) {
      return Optional.of(
          halt(
              "It has taken %s where the forecast has %s, and the current does not fall: the charger does not stop, or a cell leaks. Pull the plug."
                  .formatted(Figures.duration(taken), Figures.duration(forecast.time())),
              Figures.of(limits.perGroup() - f.highest(), Unit.MILLIVOLT, 0)));
    }
    return Optional.empty();
  }

  private static int at(double[] values, double value) {
    for (int k = 0; k < values.length; k++) {
      if (values[k] == value) {
        return k;
      }
    }
    return 0;
  }
}
