package hammerman.simulation;

import hammerman.duty.Load;
import java.util.Optional;
import java.util.OptionalDouble;

/** Waits without load where a run has ended, until what ended it comes back. */
final class Rest {
  /** Voltages that have not recovered by then do not do so by themselves, s. */
  private static final double VOLTAGE_WITHIN = 3600;

  /** Cells that have not cooled by then are left to the next day, s. */
  private static final double COOL_WITHIN = 6 * 3600.0;

  /** Somebody switches the machine off and on, s. */
  private static final double SWITCHED = 10;

  /** Steps without load may be at least this long, and at the most that, s. */
  private static final double LONG_STEP = 5;

  private static final double LONGEST_STEP = 30;
  private static final double GROWTH = 1.25;

  /** What is left of a load when it is done, s. */
  private static final double DONE = 1e-6;

  private final Unloaded packs;
  private final Load load;
  private final double step;

  /**
   * @param packs at the end of the run; they go on from there
   * @param load of the run
   * @param step the longest of the run, s
   */
  Rest(Unloaded packs, Load load, double step) {
    this.packs = packs;
    this.load = load;
    this.step = step;
  }

  /**
   * Waits for what comes back, and takes the load up again where the run left it; nothing if the
   * run went to its end.
   */
  Optional<Recovery> after(Run run) {
    return run.outcome().complete() ? Optional.empty() : Optional.of(waited(run));
  }

  private Recovery waited(Run run) {
    return switch (run.outcome()) {
      case Outcome.BmsCutOff o ->
          takenUp(run, VOLTAGE_WITHIN, Limits.UNDER_VOLTAGE_DELAY, tooLow(run));
      case Outcome.MachineCutOut o -> takenUp(run, VOLTAGE_WITHIN, SWITCHED, tooLow(run));
      case Outcome.OverCurrent o ->
          takenUp(run, VOLTAGE_WITHIN, Recovery.RELEASE_TIME, Recovery.Until.EASED);
      case Outcome.TooHot o -> takenUp(run, COOL_WITHIN, 0, Recovery.Until.COOLED);
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

  private Recovery takenUp(Run run, double within, double least, Recovery.Until otherwise) {
    double left = load.duration() - run.endTime();
    OptionalDouble rested = until(run.outcome(), within, least);
    if (rested.isEmpty() || left <= DONE) {
      return new Recovery.StaysOff(otherwise);
    }
    double voltage = packs.machineVoltage();
    Run more = packs.takeUp(load.after(run.endTime()));
    return new Recovery.ByItself(
        rested.getAsDouble(), voltage, more.endTime(), more.outcome().complete());
  }

  /**
   * Goes on without load until what ended the run is back.
   *
   * @param within so long at the most, s
   * @param least so long at least, s
   * @return how long that took, s; nothing if it did not come
   */
  private OptionalDouble until(Outcome ended, double within, double least) {
    double time = 0;
    double most = Math.min(Math.max(step, LONG_STEP), LONGEST_STEP);
    double dt = 1;
    while (time < least || !packs.isBack(ended)) {
      if (time >= within) {
        return OptionalDouble.empty();
      }
      double now = time < least ? Math.min(dt, least - time) : dt;
      packs.rest(now);
      time += now;
      dt = Math.min(dt * GROWTH, most);
    }
    return OptionalDouble.of(time);
  }
}
