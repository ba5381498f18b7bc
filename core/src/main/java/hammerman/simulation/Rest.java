package hammerman.simulation;

import hammerman.duty.Load;
import java.util.OptionalDouble;
import java.util.function.BooleanSupplier;

/** A pack left without load where a run has ended, until what ended it comes back. */
final class Rest {
  /** Voltages that have not recovered by then do not do so by themselves, s. */
  private static final double VOLTAGE_WITHIN = 3600;

  /** Cells that have not cooled by then are left to the next day, s. */
  private static final double COOL_WITHIN = 6 * 3600.0;

  /** Somebody switches the machine off and on, s. */
  private static final double SWITCHED = 10;

  private static final double LONGEST_STEP = 30;
  private static final double GROWTH = 1.25;

  /** What is left of a load when it is done, s. */
  private static final double DONE = 1e-6;

  private final PackState state;
  private final Limits limits;
  private final Load load;
  private final double step;

  /**
   * @param state at the end of the run; goes on from there
   * @param load of the run
   * @param step the longest of the run, s
   */
  Rest(PackState state, Limits limits, Load load, double step) {
    this.state = state;
    this.limits = limits;
    this.load = load;
    this.step = step;
  }

  /** Waits for what comes back, and takes the load up again where the run left it. */
  Recovery after(Run run) {
    return switch (run.outcome()) {
      case Outcome.BmsCutOff o ->
          takenUp(
              run,
              until(
                  () -> state.lowestGroup(0) >= limits.groupCutOff() + Recovery.RELEASE_VOLTAGE,
                  VOLTAGE_WITHIN,
                  Limits.UNDER_VOLTAGE_DELAY),
              tooLow(run));
      case Outcome.MachineCutOut o ->
          takenUp(
              run,
              until(
                  () -> state.machineVoltage(0) > limits.machineCutOut(), VOLTAGE_WITHIN, SWITCHED),
              tooLow(run));
      case Outcome.OverCurrent o ->
          takenUp(
              run, until(() -> true, VOLTAGE_WITHIN, Recovery.RELEASE_TIME), Recovery.Until.EASED);
      case Outcome.TooHot o ->
          takenUp(
              run,
              until(
                  () -> state.temperature() <= limits.temperature() - Recovery.RELEASE_COOLER,
                  COOL_WITHIN,
                  0),
              Recovery.Until.COOLED);
      case Outcome.Empty o -> new Recovery.StaysOff(Recovery.Until.CHARGED);
      case Outcome.FuseOpens o -> new Recovery.StaysOff(Recovery.Until.FUSED);
      case Outcome.CannotDeliver o -> new Recovery.StaysOff(Recovery.Until.EASED);
      case Outcome.Complete o ->
          throw new IllegalArgumentException("nothing ended the run that could come back");
    };
  }

  private static Recovery.Until tooLow(Run run) {
    return run.endTime() > 0 ? Recovery.Until.CHARGED : Recovery.Until.NEVER;
  }

  private Recovery takenUp(Run run, OptionalDouble rested, Recovery.Until otherwise) {
    double left = load.duration() - run.endTime();
    if (rested.isEmpty() || left <= DONE) {
      return new Recovery.StaysOff(otherwise);
    }
    double voltage = state.machineVoltage(0);
    Run more = new Integration(state, limits, load.after(run.endTime()), step, null).run();
    return new Recovery.ByItself(
        rested.getAsDouble(), voltage, more.endTime(), more.outcome().complete());
  }

  /**
   * Goes on without load until something is so.
   *
   * @param within so long at the most, s
   * @param least so long at least, s
   * @return how long that took, s; nothing if it did not come
   */
  private OptionalDouble until(BooleanSupplier isBack, double within, double least) {
    double time = 0;
    double most = Math.min(Math.max(step, PackState.LONGEST_APART), LONGEST_STEP);
    double dt = 1;
    while (time < least || !isBack.getAsBoolean()) {
      if (time >= within) {
        return OptionalDouble.empty();
      }
      double now = time < least ? Math.min(dt, least - time) : dt;
      state.step(0, now);
      time += now;
      dt = Math.min(dt * GROWTH, most);
    }
    return OptionalDouble.of(time);
  }
}
