package hammerman.simulation;

import hammerman.guard.Guard;
import hammerman.pack.Assembly;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * One pack of two with its own limits and books. A step is taken first and booked when it stands:
 * one that reached beyond the opening of a pack is taken anew, shorter.
 *
 * <p>Two packs joined directly level out through small resistances, so that the current of a long
 * step cannot be that of its start. In the middle of a step a pack is a source again: by so much
 * less as every ampere of the step costs its cells until then, which counts as resistance (the
 * implicit midpoint rule, linear in the current: H. Rosenbrock, Comput. J. 5, 1963, 329).
 */
final class Branch {
  /** A cell counts as full from here on: rounding may leave a hair. */
  private static final double FULL = 1 - 1e-9;

  /** So much more than its current is tried to see what an ampere costs, as a C-rate. */
  private static final double TRIED = 0.1;

  private final PackState state;
  private final Limits limits;
  private Watch watch;
  private final double capacity;
  private final Recorder recorder;
  private final Books books = new Books();
  private @Nullable CellRecorder each;

  /** What it is a source of when currents are shared: E, V, behind R, Ω. */
  double emf;

  double ohms;

  private double current;
  private boolean conducts;

  /** Whether its own protection has opened, and whether it is a reserve not yet asked. */
  boolean open;

  boolean waiting;

  private @Nullable Outcome found;
  private double late;
  private double voltageBefore;
  private double energy;
  private double back;
  private double openedAt = Double.NaN;

  Branch(
      CellPopulation cells,
      Assembly assembly,
      Guard guard,
      double soc,
      double ambient,
      @Nullable InPlace place,
      Recorder recorder) {
    state =
        new PackState(
            cells,
            assembly,
            new PackState.Leads(guard.own(ambient), guard.inBox(ambient)),
            soc,
            ambient,
            place);
    limits = Limits.ofBranch(assembly.pack(), guard);
    watch = new Watch(state, limits);
    capacity = cells.meanGroupCapacity();
    this.recorder = recorder;
  }

  double source() {
    return state.innerVoltage();
  }

  double resistance() {
    return state.pathResistance();
  }

  double temperature() {
    return state.temperature();
  }

  double soc() {
    return state.soc();
  }

  /** Capacity of the pack as it is, Ah. */
  double capacity() {
    return capacity;
  }

  boolean serves() {
    return !open && !waiting;
  }

  /** Whether it gave in the last split, even if no current. */
  boolean conducts() {
    return conducts;
  }

  /** Current out, A. */
  double current() {
    return current;
  }

  void rests() {
    current = 0;
    conducts = false;
  }

  void gives(double amperes) {
    current = amperes;
    conducts = true;
  }

  /** Whether it lets a current in, A; one that is full or at its over-voltage does not. */
  boolean takes(double amperes) {
    return state.fullest() < FULL && state.highestGroup(amperes) <= limits.groupOverVoltage();
  }

  /** Is shared as it is at this moment. */
  void look() {
    emf = state.innerVoltage();
    ohms = state.pathResistance();
  }

  /** Is shared as it will be in the middle of a step of {@code dt} seconds, whatever it gives. */
  void lookAhead(double dt) {
    double more = TRIED * capacity;
    if (!serves() || state.timeToEmpty(current + more) <= dt) {
      look();
      return;
    }
    double half = 0.5 * dt;
    state.step(current + more, half);
    double lower = state.innerVoltage();
    state.goBack();
    state.step(current, half);
    double each = Math.max(0, (state.innerVoltage() - lower) / more);
    emf = state.innerVoltage() + current * each;
    ohms = state.pathResistance() + each;
    state.goBack();
  }

  /** How long it can go on at its current until a group is empty or a cell is full, s. */
  double lasts() {
    if (open) {
      return Double.POSITIVE_INFINITY;
    }
    return current < 0 ? state.currentToFill(1) / -current : state.timeToEmpty(current);
  }

  /** Goes on by {@code dt} seconds; what opens the pack meanwhile is found. */
  void step(double dt) {
    voltageBefore = voltage();
    if (open) {
      state.step(current, dt);
      return;
    }
    double left = state.timeToEmpty(current);
    Outcome already = watch.before(current);
    state.step(current, dt);
    Outcome now = watch.after(current, dt, left <= dt);
    found = already != null ? already : now;
    late = already != null ? dt : watch.late();
  }

  /** Voltage at the junction at its current, V. */
  private double voltage() {
    return state.innerVoltage() - current * state.pathResistance();
  }

  /** How much of the step lies beyond the opening of this pack, s; negative if it stays closed. */
  double late() {
    return open || found == null ? -1 : late;
  }

  /** Takes the last step anew, shorter. */
  void again(double dt) {
    watch.goBack();
    state.goBack();
    state.step(current, dt);
    watch.after(current, dt, false);
    found = found == null ? null : watch.measured(found, current);
  }

  /** Books the step that was taken, and the way in it, m. */
  void book(double dt, double way) {
    energy = 0.5 * (voltageBefore + voltage()) * current * dt;
    books.flow(current, energy, dt);
    books.heat(state, current, dt);
    books.move(way);
    back = Math.max(back, -current);
  }

  /** What it gave at the junction in the last step, J. */
  double energy() {
    return energy;
  }

  /** Opens the pack for what was found in the last step. */
  void open(double now) {
    open = true;
    openedAt = now;
  }

  /** What opened it, once it is open. */
  Outcome why() {
    return found == null ? new Outcome.Empty(Outcome.Place.EVERY) : found;
  }

  /** When it opened, s; not a number if it has not. */
  double openedAt() {
    return openedAt;
  }

  /** Goes on by {@code dt} seconds without anything that could open it. */
  void rest(double dt) {
    state.step(current, dt);
  }

  /** Whether it is closed, or what opened it no longer stands in the way. */
  boolean isBack() {
    return !open || watch.isBack(why());
  }

  /** Closes again, if it is open and what opened it no longer stands in the way. */
  void closeIfBack() {
    if (open && isBack()) {
      open = false;
      found = null;
      watch = new Watch(state, limits);
    }
  }

  /** Takes note of the present moment at the current that flows. */
  void record(double time) {
    recorder.add(time, voltage(), current, state.temperature(), state.soc(), books.distance());
    if (each != null) {
      each.add(time, current);
    }
  }

  /** Has it tell of each of its cells. */
  void tell() {
    each = new CellRecorder(state);
  }

  /** What each of its cells went through, if it tells of them. */
  Optional<CellTrace> cells() {
    return Optional.ofNullable(each).map(CellRecorder::trace);
  }

  /** What it gave at the junction, and what that cost. */
  Books books() {
    return books;
  }

  /**
   * What it went through in a run of both.
   *
   * @param both the two as one
   */
  TwinRun.Side side(Run both) {
    return new TwinRun.Side(
        new Run(
            open ? why() : both.outcome(),
            open ? openedAt : both.endTime(),
            state.soc(),
            books.totals(),
            recorder.extremes(),
            recorder.trace(),
            cells()),
        back,
        openedAt);
  }
}
