package hammerman.simulation;

import hammerman.duty.Load;
import hammerman.numeric.Source;

/**
 * Foresees the middle of a step: the current that gives a wanted power there makes what the step
 * moves right to second order (midpoint rule: C. Runge, Math. Ann. 46, 1895, 167), where that of
 * its start would leave an error of first order.
 *
 * <p>The pack's voltage and resistance in the middle are taken from the parabola through the
 * present and two moments before. Where the demand has just changed, nothing before it counts: half
 * a step is taken for trial and back again.
 */
final class Midpoint {
  /** A step this short needs no trial, s: its start is as good as its middle. */
  private static final double SHORT = 1;

  private final PackState state;
  private final Limits limits;

  /** Steps under the present demand so far. */
  private int steps;

  /** The pack's voltage behind its resistance, V, and that, Ω, as foreseen. */
  private double source;

  private double behind;

  /** The same at the start of the step before and of the one before that, and after the trial. */
  private double sourceBefore;

  private double behindBefore;
  private double sourceEarlier;
  private double behindEarlier;
  private double sourceTried;
  private double behindTried;
  private boolean tried;

  Midpoint(PackState state, Limits limits) {
    this.state = state;
    this.limits = limits;
  }

  /** Forgets what was: the demand changes. */
  void begin() {
    steps = 0;
  }

  /** The current that meets a demand now, A; NaN if the pack cannot deliver it. */
  double now(Load.Demand demand) {
    return meeting(demand, state.innerVoltage(), state.pathResistance());
  }

  /**
   * The current that meets a demand in the middle of a step that begins now, A.
   *
   * @param now the one that meets it at the start
   */
  double current(Load.Demand demand, double now, double dt) {
    if (demand instanceof Load.Current) {
      return now;
    }
    double volts = state.innerVoltage();
    double ohms = state.pathResistance();
    switch (steps++) {
      case 0 -> tryHalf(now, dt);
      case 1 -> {
        source = second(volts, sourceTried, sourceBefore);
        behind = second(ohms, behindTried, behindBefore);
      }
      default -> {
        source = 0.125 * (15 * volts - 10 * sourceBefore + 3 * sourceEarlier);
        behind = 0.125 * (15 * ohms - 10 * behindBefore + 3 * behindEarlier);
      }
    }
    sourceEarlier = sourceBefore;
    behindEarlier = behindBefore;
    sourceBefore = volts;
    behindBefore = ohms;
    double middle = meeting(demand, source, behind);
    return Double.isNaN(middle) ? now : middle;
  }

  /** After half a step, a whole one and then half a one more; a line where there was no trial. */
  private double second(double here, double half, double before) {
    return tried ? 3 * here - 3 * half + before : 1.5 * here - 0.5 * before;
  }

  private void tryHalf(double now, double dt) {
    source = state.innerVoltage();
    behind = state.pathResistance();
    double trial = Math.clamp(now, -limits.mostBack(), limits.mostOut());
    tried = dt > SHORT && state.timeToEmpty(trial) > dt;
    if (tried) {
      state.step(trial, 0.5 * dt);
      source = state.innerVoltage();
      behind = state.pathResistance();
      state.goBack();
    }
    sourceTried = source;
    behindTried = behind;
  }

  private static double meeting(Load.Demand demand, double source, double behind) {
    return switch (demand) {
      case Load.Current c -> c.amperes();
      case Load.Power p -> Source.current(source, behind, p.watts());
    };
  }
}
