package hammerman.simulation;

import hammerman.numeric.Root;
import hammerman.pack.Assembly;
import hammerman.pack.Pack;
import hammerman.readymade.HardStart;
import hammerman.readymade.ReadyMade;
import hammerman.unit.Reference;
import java.util.Arrays;
import java.util.OptionalDouble;

/**
 * A start, step by step, against the battery's own protection.
 *
 * <p>Motor: i = (d V − e) / R with back-EMF e, de/dt = R (i − i_run) / τ; the chopper's share d
 * rises over the ramp, and is held down where the battery current d i would exceed the cap.
 * Battery: its cells at 25 °C, as in every run, in steps of 2 ms; what joins them is not known and
 * left out. Neglects inductance, which makes the very first milliseconds look harder than they are.
 *
 * @param end what ended the start
 * @param endTime when, s
 * @param peak highest battery current, A
 * @param timeAbove longest time in a row above the trip current, s
 * @param lowest lowest battery voltage, V
 * @param upToSpeed time to 95 % of the running speed, s; infinite if it never came there
 * @param time of each sample, s
 * @param current of the battery at each sample, A
 */
@SuppressWarnings("ArrayRecordComponent")
public record StartRun(
    End end,
    double endTime,
    double peak,
    double timeAbove,
    double lowest,
    double upToSpeed,
    double[] time,
    double[] current) {
  private static final double STEP = 2e-3;
  private static final double LONGEST = 60;
  private static final int EVERY = 5;

  /** Share of the trip current that a cap keeps to. */
  private static final double CAP_SHARE = 0.95;

  /** How a start ends. */
  public enum End {
    RUNS,
    CURRENT_TRIP,
    VOLTAGE_TRIP,
    NEVER_UP_TO_SPEED
  }

  /** Runs a start at a state of charge, 0 to 1. */
  public static StartRun of(ReadyMade battery, HardStart start, double soc) {
    Pack pack = battery.pack();
    PackState state =
        new PackState(
            CellPopulation.of(pack),
            new Assembly(pack, /* joining= */ 0, 1),
            PackState.Leads.NONE,
            soc,
            Reference.ROOM,
            null);
    Watch watch = new Watch(state, Limits.ofReadyMade(battery));
    double settled =
        Math.max(
            1e-6,
            state.innerVoltage() - start.running() * (state.pathResistance() + start.resistance()));
    int n = (int) (LONGEST / STEP);
    double[] time = new double[n / EVERY + 2];
    double[] current = new double[n / EVERY + 2];
    int samples = 0;
    double emf = 0;
    double peak = 0;
    double above = 0;
    double longestAbove = 0;
    double lowest = state.innerVoltage();
    End end = End.NEVER_UP_TO_SPEED;
    double t = 0;
    double up = Double.POSITIVE_INFINITY;
    for (int k = 0; k < n && end == End.NEVER_UP_TO_SPEED; k++) {
      double source = state.innerVoltage();
      double inner = state.pathResistance();
      double d = share(start, t, source, inner, emf);
      double motor = (d * source - emf) / (start.resistance() + d * d * inner);
      double drawn = d * motor;
      peak = Math.max(peak, drawn);
      lowest = Math.min(lowest, state.machineVoltage(drawn));
      above = drawn > battery.tripCurrent() ? above + STEP : 0;
      longestAbove = Math.max(longestAbove, above);
      if (k % EVERY == 0) {
        time[samples] = t;
        current[samples++] = drawn;
      }
      Outcome tripped = watch.before(drawn);
      if (tripped == null) {
        state.step(drawn, STEP);
        tripped = watch.after(drawn, STEP, false);
        t += STEP - watch.late();
      }
      emf += start.resistance() * (motor - start.running()) / start.spinUp() * STEP;
      emf = Math.max(0, emf);
      if (tripped != null) {
        end = tripped instanceof Outcome.OverCurrent ? End.CURRENT_TRIP : End.VOLTAGE_TRIP;
      } else if (emf >= 0.95 * settled) {
        end = End.RUNS;
        up = t;
      }
    }
    return new StartRun(
        end,
        t,
        peak,
        longestAbove,
        lowest,
        up,
        Arrays.copyOf(time, samples),
        Arrays.copyOf(current, samples));
  }

  /**
   * The chopper's share: along the ramp, held down where the battery current would pass the cap.
   */
  private static double share(HardStart start, double t, double source, double inner, double emf) {
    double d = start.ramp() > 0 ? Math.min(1, t / start.ramp()) : 1;
    if (flow(start, d, source, inner, emf) <= start.limit()) {
      return d;
    }
    double top = d;
    return Root.bisect(
        x -> flow(start, x, source, inner, emf) - start.limit(), emf / source, top, 1e-6);
  }

  private static double flow(HardStart start, double d, double source, double inner, double emf) {
    return d * (d * source - emf) / (start.resistance() + d * d * inner);
  }

  /**
   * Returns the shortest ramp that avoids the trip at a state of charge, s; empty if none up to 20
   * s does.
   */
  public static OptionalDouble shortestRamp(ReadyMade battery, HardStart start, double soc) {
    if (of(battery, start.withRamp(0), soc).end() == End.RUNS) {
      return OptionalDouble.of(0);
    }
    double longest = 20;
    if (of(battery, start.withRamp(longest), soc).end() != End.RUNS) {
      return OptionalDouble.empty();
    }
    double low = 0;
    double high = longest;
    while (high - low > 0.01) {
      double middle = 0.5 * (low + high);
      if (of(battery, start.withRamp(middle), soc).end() == End.RUNS) {
        high = middle;
      } else {
        low = middle;
      }
    }
    return OptionalDouble.of(high);
  }

  /** Returns the start with the current held 5 % below the trip; it needs no ramp. */
  public static StartRun capped(ReadyMade battery, HardStart start, double soc) {
    return of(battery, start.withRamp(0).withCap(CAP_SHARE * battery.tripCurrent()), soc);
  }
}
