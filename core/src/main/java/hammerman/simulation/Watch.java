package hammerman.simulation;

import hammerman.guard.Fuse;
import org.jspecify.annotations.Nullable;

/**
 * Watches one pack against its limits, with the delays that they have. What is found within a step
 * comes with how much too long the step was, so that a run ends when it ends and not a step late.
 */
final class Watch {
  /** Time in which a fuse lets go of its heat, s; typical. */
  private static final double FUSE_COOLS = 30;

  private final PackState state;
  private final Limits limits;
  private double overCurrentFor;
  private double underVoltageFor;
  private double groupBefore;
  private double voltageBefore;
  private double temperatureBefore;
  private double overCurrentBefore;
  private double underVoltageBefore;
  private double late;

  /** Share of what opens the fuse that it has taken up. */
  private double melted;

  private double meltedBefore;

  Watch(PackState state, Limits limits) {
    this.state = state;
    this.limits = limits;
  }

  /** How much of the last step lies beyond what ended the run, s. */
  double late() {
    return late;
  }

  /** What ends the run at the start of a step, before any time has gone by, or nothing. */
  @Nullable Outcome before(double current) {
    groupBefore = state.lowestGroup(current);
    voltageBefore = state.machineVoltage(current);
    temperatureBefore = state.temperature();
    overCurrentBefore = overCurrentFor;
    underVoltageBefore = underVoltageFor;
    meltedBefore = melted;
    late = 0;
    if (current > 0 && voltageBefore < limits.machineCutOut()) {
      return new Outcome.MachineCutOut(voltageBefore, limits.machineCutOut());
    }
    if (current > 0 && state.isEmpty()) {
      return new Outcome.Empty(state.emptiestPlace());
    }
    return tooHot();
  }

  /** Forgets a step that is taken back. */
  void goBack() {
    overCurrentFor = overCurrentBefore;
    underVoltageFor = underVoltageBefore;
    melted = meltedBefore;
  }

  /**
   * What ended the run in a step of {@code dt} seconds, or nothing.
   *
   * @param emptied whether the step took the last that could be had; what warming by it frees is
   *     not waited for
   */
  @Nullable Outcome after(double current, double dt, boolean emptied) {
    late = 0;
    Outcome found = null;
    overCurrentFor = current > limits.overCurrent() ? overCurrentFor + dt : 0;
    if (overCurrentFor - limits.overCurrentDelay() > 0) {
      found =
          later(
              found,
              overCurrentFor - limits.overCurrentDelay(),
              new Outcome.OverCurrent(current, limits.overCurrent(), limits.overCurrentDelay()));
    }
    Fuse fuse = limits.fuse();
    if (fuse != null) {
      found = melting(found, fuse, Math.abs(current), dt);
    }
    double group = state.lowestGroup(current);
    if (current > 0 && group < limits.groupCutOff()) {
      underVoltageFor += dt * (1 - crossing(groupBefore, group, limits.groupCutOff()));
      if (underVoltageFor >= Limits.UNDER_VOLTAGE_DELAY) {
        found =
            later(
                found,
                underVoltageFor - Limits.UNDER_VOLTAGE_DELAY,
                new Outcome.BmsCutOff(state.lowestPlace(current), group, limits.groupCutOff()));
      }
    } else {
      underVoltageFor = 0;
    }
    double voltage = state.machineVoltage(current);
    if (current > 0 && voltage < limits.machineCutOut()) {
      found =
          later(
              found,
              dt * (1 - crossing(voltageBefore, voltage, limits.machineCutOut())),
              new Outcome.MachineCutOut(voltage, limits.machineCutOut()));
    }
    if (current > 0 && (emptied || state.isEmpty())) {
      found = later(found, 0, new Outcome.Empty(state.emptiestPlace()));
    }
    Outcome hot = tooHot();
    if (hot != null) {
      double share = crossing(temperatureBefore, state.temperature(), limits.temperature());
      found = later(found, dt * (1 - share), hot);
    }
    return found;
  }

  /** Returns what ended the run with the figures of the present moment. */
  Outcome measured(Outcome found, double current) {
    return switch (found) {
      case Outcome.BmsCutOff o ->
          new Outcome.BmsCutOff(o.place(), state.lowestGroup(current), o.limit());
      case Outcome.MachineCutOut o ->
          new Outcome.MachineCutOut(state.machineVoltage(current), o.limit());
      case Outcome.TooHot o -> o;
      case Outcome.Empty o -> o;
      case Outcome.OverCurrent o -> o;
      case Outcome.FuseOpens o -> o;
      case Outcome.CannotDeliver o -> o;
      case Outcome.Complete o -> o;
    };
  }

  /** Whether what ended a run no longer stands in the way, the load being off. */
  boolean isBack(Outcome ended) {
    return switch (ended) {
      case Outcome.BmsCutOff o ->
          state.lowestGroup(0) >= limits.groupCutOff() + Recovery.RELEASE_VOLTAGE;
      case Outcome.MachineCutOut o -> state.machineVoltage(0) > limits.machineCutOut();
      case Outcome.TooHot o ->
          state.temperature() <= limits.temperature() - Recovery.RELEASE_COOLER;
      case Outcome.OverCurrent o -> true;
      case Outcome.Complete o -> true;
      case Outcome.Empty o -> false;
      case Outcome.FuseOpens o -> false;
      case Outcome.CannotDeliver o -> false;
    };
  }

  /**
   * The fuse takes up each moment's share of the time that surely opens it (M. A. Miner, J. Appl.
   * Mech. 12, 1945, A159), and lets go of it below its rating.
   */
  private @Nullable Outcome melting(@Nullable Outcome found, Fuse fuse, double current, double dt) {
    double multiple = current / fuse.rating();
    if (multiple <= 1) {
      melted = melted > 0 ? melted * Math.exp(-dt / FUSE_COOLS) : 0;
      return found;
    }
    double time = fuse.kind().openingTime(multiple);
    melted += dt / time;
    return melted < 1
        ? found
        : later(found, (melted - 1) * time, new Outcome.FuseOpens(current, fuse.rating()));
  }

  private @Nullable Outcome tooHot() {
    return state.temperature() >= limits.temperature()
        ? new Outcome.TooHot(state.hottestPlace(), state.temperature(), limits.temperature())
        : null;
  }

  /** Of what ends a run in the same step, the earlier counts. */
  private Outcome later(@Nullable Outcome found, double by, Outcome now) {
    if (found != null && late >= by) {
      return found;
    }
    late = by;
    return now;
  }

  /** Share of a step after which a value that goes evenly meets a limit, 0 to 1. */
  private static double crossing(double before, double after, double limit) {
    return before == after ? 0 : Math.clamp((before - limit) / (before - after), 0, 1);
  }
}
