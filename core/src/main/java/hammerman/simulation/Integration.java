package hammerman.simulation;

import hammerman.duty.Load;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** One discharge under way: goes through the load step by step and keeps the books. */
final class Integration implements Unloaded {
  /** Ends are found to within this, s. */
  private static final double SOONEST = 1e-9;

  private final PackState state;
  private final Limits limits;
  private final Load load;
  private final double step;
  private final Watch watch;
  private final Midpoint midpoint;
  private final Recorder recorder;
  private final @Nullable CellRecorder cells;

  private double time;
  private final Books books = new Books();

  private @Nullable Outcome outcome;

  /**
   * @param traces whether samples are kept
   * @param cells keeps what each cell goes through, if that is wanted
   */
  Integration(
      PackState state,
      Limits limits,
      Load load,
      double step,
      boolean traces,
      @Nullable CellRecorder cells) {
    this.cells = cells;
    this.state = state;
    this.limits = limits;
    this.load = load;
    this.step = step;
    this.watch = new Watch(state, limits);
    this.midpoint = new Midpoint(state, limits);
    this.recorder = traces ? Recorder.tracing() : Recorder.ofExtremes();
  }

  Run run() {
    Rounds.go(load, this::goes, () -> time);
    Outcome end = outcome == null ? new Outcome.Complete() : outcome;
    return new Run(
        end,
        time,
        state.soc(),
        books.totals(),
        recorder.extremes(),
        recorder.trace(),
        Optional.ofNullable(cells).map(CellRecorder::trace));
  }

  @Override
  public void rest(double dt) {
    state.step(0, dt);
  }

  @Override
  public boolean isBack(Outcome ended) {
    return watch.isBack(ended);
  }

  @Override
  public double machineVoltage() {
    return state.machineVoltage(0);
  }

  @Override
  public Run takeUp(Load rest) {
    return new Integration(state, limits, rest, step, false, null).run();
  }

  /**
   * Goes through one step of the load in equal parts no longer than the run's step; whether the run
   * goes on after it.
   */
  private boolean goes(Load.Step s) {
    int parts = (int) Math.max(1, Math.ceil(s.duration() / step - 1e-9));
    double dt = s.duration() / parts;
    midpoint.begin();
    for (int k = 0; k < parts; k++) {
      double now = midpoint.now(s.demand());
      if (Double.isNaN(now)) {
        double watts = ((Load.Power) s.demand()).watts();
        outcome = new Outcome.CannotDeliver(watts, state.mostPower());
        return false;
      }
      double middle = midpoint.current(s.demand(), now, dt);
      double current = allowed(middle, dt);
      outcome = watch.before(current);
      if (k == 0) {
        record(current == middle ? now : current);
      }
      if (outcome != null) {
        return false;
      }
      advance(current, dt, s.speed());
      double end = current == middle && outcome == null ? midpoint.now(s.demand()) : current;
      record(Double.isNaN(end) ? current : end);
      if (outcome != null) {
        return false;
      }
    }
    return true;
  }

  /**
   * The current that flows for one that is wanted once the machine's and the guard's limits act.
   */
  private double allowed(double wanted, double dt) {
    if (wanted > limits.mostOut()) {
      books.withhold((wanted - limits.mostOut()) * state.machineVoltage(limits.mostOut()) * dt);
      return limits.mostOut();
    }
    if (wanted < 0) {
      double taken = Math.max(Math.max(wanted, -limits.mostBack()), -state.currentToFill(dt));
      if (state.fullest() >= 1 || state.highestGroup(taken) > limits.groupOverVoltage()) {
        taken = 0;
      }
      books.refuse((taken - wanted) * state.machineVoltage(taken) * dt);
      return taken;
    }
    return wanted;
  }

  private void advance(double current, double longest, double speed) {
    double before = state.machineVoltage(current);
    double left = state.timeToEmpty(current);
    double dt = Math.min(longest, left);
    state.step(current, dt);
    outcome = watch.after(current, dt, left <= longest);
    if (outcome != null && watch.late() > SOONEST) {
      // The step reached beyond the end of the run: it is taken anew, as short as it should be.
      dt -= watch.late();
      watch.goBack();
      state.goBack();
      state.step(current, dt);
      outcome = watch.measured(outcome, current);
    }
    double after = state.machineVoltage(current);
    books.flow(current, 0.5 * (before + after) * current * dt, dt);
    books.heat(state, current, dt);
    books.move(speed * dt);
    time += dt;
  }

  /** Takes note of the present moment at the current that flows. */
  private void record(double current) {
    double voltage = state.machineVoltage(current);
    recorder.add(time, voltage, current, state.temperature(), state.soc(), books.distance());
    if (cells != null) {
      cells.add(time, current);
    }
  }
}
