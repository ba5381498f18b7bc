package hammerman.simulation;

import hammerman.duty.Load;
import org.jspecify.annotations.Nullable;

/** One discharge under way: goes through the load step by step and keeps the books. */
final class Course {
  private final UniformPack state;
  private final Stops stops;
  private final Load load;
  private final double step;
  private final Recorder recorder;

  private double time;
  private double overCurrentFor;
  private double delivered;
  private double regenerated;
  private double energyOut;
  private double energyBack;
  private double chemical;
  private double cellHeat;
  private double pathHeat;
  private double refused;
  private double withheld;
  private double distance;
  private @Nullable Outcome outcome;

  Course(UniformPack state, Stops stops, Load load, double step) {
    this.state = state;
    this.stops = stops;
    this.load = load;
    this.step = step;
    double steps = load.duration() / step + (double) load.rounds() * load.steps().size() * 2 + 2;
    this.recorder = new Recorder((int) Math.min(steps, 2_000_000));
  }

  Run run() {
    for (int round = 0; round < load.rounds() && outcome == null; round++) {
      for (Load.Step s : load.steps()) {
        go(s);
        if (outcome != null) {
          break;
        }
      }
    }
    Outcome end = outcome == null ? new Outcome.Complete() : outcome;
    Run.Totals totals =
        new Run.Totals(
            delivered,
            regenerated,
            energyOut,
            energyBack,
            chemical,
            cellHeat,
            pathHeat,
            refused,
            withheld,
            distance);
    return new Run(end, time, state.soc(), totals, recorder.extremes(), recorder.trace());
  }

  /** Goes through one step of the load in equal parts no longer than the run's step. */
  private void go(Load.Step s) {
    int parts = (int) Math.max(1, Math.ceil(s.duration() / step - 1e-9));
    double dt = s.duration() / parts;
    for (int k = 0; k < parts; k++) {
      double current = allowed(s.demand(), dt);
      if (outcome != null) {
        return;
      }
      double before = state.machineVoltage(current);
      if (k == 0) {
        record(before, current);
        if (ended(before, current, false)) {
          return;
        }
      }
      double left = state.timeToEmpty(current);
      advance(current, before, Math.min(dt, left), s.speed());
      if (ended(state.machineVoltage(current), current, left <= dt)) {
        return;
      }
    }
  }

  /** The current that flows for a demand once the machine's and the guard's limits are applied. */
  private double allowed(Load.Demand demand, double dt) {
    double wanted =
        switch (demand) {
          case Load.Current c -> c.amperes();
          case Load.Power p -> state.currentForPower(p.watts());
        };
    if (Double.isNaN(wanted)) {
      double watts = ((Load.Power) demand).watts();
      outcome = new Outcome.CannotDeliver(watts, state.mostPower());
      return 0;
    }
    if (wanted > stops.mostOut()) {
      withheld += (wanted - stops.mostOut()) * state.machineVoltage(stops.mostOut()) * dt;
      return stops.mostOut();
    }
    if (wanted < 0) {
      double taken = Math.max(Math.max(wanted, -stops.mostBack()), -state.currentToFill(dt));
      if (state.soc() >= 1 || state.groupVoltage(taken) > stops.groupOverVoltage()) {
        taken = 0;
      }
      refused += (taken - wanted) * state.machineVoltage(taken) * dt;
      return taken;
    }
    return wanted;
  }

  private void advance(double current, double before, double dt, double speed) {
    double openBefore = state.openCircuitVoltage();
    double socBefore = state.soc();
    state.step(current, dt);
    double after = state.machineVoltage(current);
    double moved = (socBefore - state.soc()) * state.capacity();
    double energy = 0.5 * (before + after) * current * dt;
    chemical += 0.5 * (openBefore + state.openCircuitVoltage()) * moved * 3600;
    cellHeat += state.cellHeat();
    pathHeat += current * current * state.outerResistance() * dt;
    if (current >= 0) {
      delivered += current * dt / 3600;
      energyOut += energy;
    } else {
      regenerated -= current * dt / 3600;
      energyBack -= energy;
    }
    overCurrentFor = current > stops.overCurrent() ? overCurrentFor + dt : 0;
    distance += speed * dt;
    time += dt;
    record(after, current);
  }

  /**
   * @param emptied whether the step took the last that could be had; what warming by it frees is
   *     not waited for
   */
  private boolean ended(double voltage, double current, boolean emptied) {
    double group = state.groupVoltage(current);
    if (overCurrentFor > stops.overCurrentDelay()) {
      outcome = new Outcome.OverCurrent(current, stops.overCurrent(), stops.overCurrentDelay());
    } else if (current > 0 && group < stops.groupCutOff()) {
      outcome = new Outcome.BmsCutOff(Outcome.Place.EVERY, group, stops.groupCutOff());
    } else if (current > 0 && voltage < stops.machineCutOut()) {
      outcome = new Outcome.MachineCutOut(voltage, stops.machineCutOut());
    } else if (current > 0 && (emptied || state.isEmpty())) {
      outcome = new Outcome.Empty(Outcome.Place.EVERY);
    } else if (state.temperature() >= stops.temperature()) {
      outcome = new Outcome.TooHot(Outcome.Place.EVERY, state.temperature(), stops.temperature());
    }
    return outcome != null;
  }

  private void record(double voltage, double current) {
    recorder.add(time, voltage, current, state.temperature(), state.soc(), distance);
  }
}
