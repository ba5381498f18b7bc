package hammerman.prove;

import hammerman.telemetry.Quantity;
import hammerman.telemetry.Telemetry;
import java.util.Arrays;
import java.util.OptionalDouble;

/**
 * What a log says by itself.
 *
 * <p>Charge and energy: each sample holds until the next, but no longer than a gap of twenty usual
 * intervals. Resistance: regression of voltage on current over windows of {@value #WINDOW} s, each
 * with a mean of its own, so that the slow fall of the rested voltage does not count: R = −Σ (I −
 * Ī)(V − V̄) / Σ (I − Ī)² (ordinary least squares), with its standard error; windows overlap by
 * half. It holds what acts within seconds: cells, strips, leads, contacts.
 *
 * @param duration s
 * @param charge out of the pack, Ah
 * @param regenerated back into it, Ah
 * @param energy out, J; not a number if it is not known
 * @param energyBack back, J; not a number if it is not known
 * @param peakCurrent A; not a number if it is not known
 * @param peakPower W; not a number if it is not known
 * @param lowestVoltage V; not a number if it is not known
 * @param firstCurrent of the first sample, A; not a number if it is not known
 * @param firstVoltage of the first sample, V; not a number if it is not known
 * @param lastVoltage of the last sample, V; not a number if it is not known
 * @param distance m; 0 without a speed
 * @param hottest temperature, K; not a number if there is none
 * @param resistance Ω; not a number if current or voltage hardly changes
 * @param resistanceError its standard error, Ω
 */
public record RunFigures(
    double duration,
    double charge,
    double regenerated,
    double energy,
    double energyBack,
    double peakCurrent,
    double peakPower,
    double lowestVoltage,
    double firstCurrent,
    double firstVoltage,
    double lastVoltage,
    double distance,
    double hottest,
    double resistance,
    double resistanceError) {
  /** Length of a window of the regression, s. */
  static final double WINDOW = 20;

  /** Currents must vary by this root mean square to tell a resistance, A. */
  private static final double LEAST_SPREAD = 0.2;

  /** Intervals of a log that are looked at for the usual one. */
  private static final int LOOKED_AT = 2000;

  /** Below this share of the peak the pack counts as resting. */
  private static final double RESTS = 0.02;

  /** Works them out. */
  public static RunFigures of(Telemetry log) {
    Sums s = new Sums(log);
    for (int k = 0; k < log.size(); k++) {
      s.add(k);
    }
    double[] r = resistance(log);
    return new RunFigures(
        log.duration(),
        s.out / 3600,
        s.back / 3600,
        s.energyOut,
        s.energyBack,
        s.peakCurrent,
        s.peakPower,
        s.lowest,
        amperes(log, 0),
        log.has(Quantity.VOLTAGE) ? log.at(Quantity.VOLTAGE, 0) : Double.NaN,
        log.has(Quantity.VOLTAGE) ? log.at(Quantity.VOLTAGE, log.size() - 1) : Double.NaN,
        s.distance,
        s.hottest,
        r[0],
        r[1]);
  }

  /** Whether the log begins at rest, so that its first voltage is that of the open circuit. */
  public boolean beginsAtRest() {
    return !Double.isNaN(firstVoltage) && Math.abs(firstCurrent) <= RESTS * Math.abs(peakCurrent);
  }

  /** Returns the energy for each metre, J/m, what came back counted against it. */
  public OptionalDouble perDistance() {
    return distance > 0 && !Double.isNaN(energy)
        ? OptionalDouble.of((energy - energyBack) / distance)
        : OptionalDouble.empty();
  }

  /** Current at a sample, A; from power and voltage where it was not logged. */
  static double amperes(Telemetry log, int k) {
    if (log.has(Quantity.CURRENT)) {
      return log.at(Quantity.CURRENT, k);
    }
    return log.has(Quantity.VOLTAGE) ? log.power(k) / log.at(Quantity.VOLTAGE, k) : Double.NaN;
  }

  /**
   * How long samples hold.
   *
   * @param usual time to the next, s
   * @param longest that one holds where the next is far, s
   */
  record Holding(double usual, double longest) {
    /** Of a log: the middle of its intervals, and twenty of them or a minute. */
    static Holding of(Telemetry log) {
      int n = log.size() - 1;
      int step = Math.max(1, n / LOOKED_AT);
      double[] between = new double[(n + step - 1) / step];
      for (int k = 0; k < between.length; k++) {
        between[k] = log.at(Quantity.TIME, k * step + 1) - log.at(Quantity.TIME, k * step);
      }
      Arrays.sort(between);
      double usual = between[between.length / 2];
      return new Holding(usual, Math.max(60, 20 * usual));
    }

    /** Returns how long a sample holds, s: until the next, but through no gap. */
    double of(Telemetry log, int k) {
      double until =
          k + 1 < log.size() ? log.at(Quantity.TIME, k + 1) - log.at(Quantity.TIME, k) : usual;
      return Math.min(until, longest);
    }
  }

  private static final class Sums {
    private final Telemetry log;
    private final Holding holding;
    private double out;
    private double back;
    private double energyOut;
    private double energyBack;
    private double peakCurrent = Double.NaN;
    private double peakPower = Double.NaN;
    private double lowest = Double.NaN;
    private double hottest = Double.NaN;
    private double distance;

    Sums(Telemetry log) {
      this.log = log;
      holding = Holding.of(log);
      boolean power = log.has(Quantity.POWER) || log.has(Quantity.VOLTAGE);
      energyOut = power ? 0 : Double.NaN;
      energyBack = power ? 0 : Double.NaN;
    }

    void add(int k) {
      double dt = holding.of(log, k);
      double i = amperes(log, k);
      if (Double.isFinite(i)) {
        out += Math.max(0, i) * dt;
        back -= Math.min(0, i) * dt;
        peakCurrent = greater(i, peakCurrent);
      }
      double p = log.power(k);
      if (Double.isFinite(p)) {
        energyOut += Math.max(0, p) * dt;
        energyBack -= Math.min(0, p) * dt;
        peakPower = greater(p, peakPower);
      }
      if (log.has(Quantity.VOLTAGE)) {
        double v = log.at(Quantity.VOLTAGE, k);
        lowest = Double.isFinite(v) && !(v >= lowest) ? v : lowest;
      }
      if (log.has(Quantity.TEMPERATURE)) {
        double t = log.at(Quantity.TEMPERATURE, k);
        hottest = Double.isFinite(t) ? greater(t, hottest) : hottest;
      }
      if (log.has(Quantity.SPEED)) {
        double v = log.at(Quantity.SPEED, k);
        distance += Double.isFinite(v) ? Math.max(0, v) * dt : 0;
      }
    }

    private static double greater(double v, double most) {
      return v <= most ? most : v;
    }
  }

  private static double[] resistance(Telemetry log) {
    double[] none = {Double.NaN, Double.NaN};
    if (!log.has(Quantity.VOLTAGE)) {
      return none;
    }
    int n = log.size();
    double sxx = 0;
    double sxy = 0;
    double syy = 0;
    int used = 0;
    int windows = 0;
    int from = 0;
    while (from < n) {
      int to = from;
      double mi = 0;
      double mv = 0;
      int count = 0;
      double end = log.at(Quantity.TIME, from) + WINDOW;
      while (to < n && log.at(Quantity.TIME, to) < end) {
        double i = amperes(log, to);
        double v = log.at(Quantity.VOLTAGE, to);
        if (Double.isFinite(i) && Double.isFinite(v)) {
          mi += i;
          mv += v;
          count++;
        }
        to++;
      }
      if (count >= 3) {
        mi /= count;
        mv /= count;
        windows++;
        for (int k = from; k < to; k++) {
          double i = amperes(log, k) - mi;
          double v = log.at(Quantity.VOLTAGE, k) - mv;
          if (Double.isFinite(i) && Double.isFinite(v)) {
            sxx += i * i;
            sxy += i * v;
            syy += v * v;
            used++;
          }
        }
      }
      from = next(log, from);
    }
    int free = used - windows - 1;
    if (free < 5 || sxx / used < LEAST_SPREAD * LEAST_SPREAD) {
      return none;
    }
    double slope = sxy / sxx;
    double rest = Math.max(0, syy - slope * sxy) / free;
    // Every sample is in two windows, so there is half of what was summed up.
    return new double[] {-slope, Math.sqrt(2 * rest / sxx)};
  }

  /** The first sample half a window later: a step at the seam of two windows counts in a third. */
  private static int next(Telemetry log, int from) {
    double at = log.at(Quantity.TIME, from) + WINDOW / 2;
    int k = from + 1;
    while (k < log.size() && log.at(Quantity.TIME, k) < at) {
      k++;
    }
    return k;
  }
}
