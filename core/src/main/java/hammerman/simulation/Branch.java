package hammerman.simulation;

import hammerman.cell.Health;
import hammerman.guard.Guard;
import hammerman.pack.Assembly;
import java.util.Arrays;
import org.jspecify.annotations.Nullable;

/**
 * One pack of two with its own limits and books. A step is taken first and booked when it stands:
 * one that reached beyond the opening of a pack is taken anew, shorter.
 */
final class Branch {
  private final PackState state;
  private final Limits limits;
  private Watch watch;
  private final double capacity;
  private final double[] currents;

  /** Current out in the present step, A. */
  double current;

  /** Whether its own protection has opened, and whether it is a reserve not yet asked. */
  boolean open;

  boolean waiting;

  private @Nullable Outcome found;
  private double late;
  private double charge;
  private double chemical;
  private double cellHeat;
  private double pathHeat;
  private double peak;
  private double back;
  private double hottest;
  private double openedAt = Double.NaN;

  Branch(Assembly assembly, Guard guard, double soc, double ambient, Health worn, int samples) {
    CellPopulation cells = CellPopulation.of(assembly.pack()).worn(worn);
    state =
        new PackState(
            cells,
            assembly,
            new PackState.Leads(guard.own(ambient), guard.inBox(ambient)),
            soc,
            ambient,
            null);
    limits = Limits.ofBranch(assembly.pack(), guard);
    watch = new Watch(state, limits);
    capacity = cells.capacity(0) * assembly.pack().parallel();
    currents = new double[samples];
    hottest = ambient;
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

  /** Goes on by {@code dt} seconds; what opens the pack meanwhile is found. */
  void step(double dt) {
    double left = state.timeToEmpty(current);
    if (open) {
      state.step(current, dt);
      return;
    }
    Outcome already = watch.before(current);
    state.step(current, dt);
    Outcome now = watch.after(current, dt, left <= dt);
    boolean full = current < 0 && state.fullest() >= 1;
    found = already != null ? already : now;
    late = already != null ? dt : watch.late();
    if (found == null && full) {
      found = new Outcome.Empty(Outcome.Place.EVERY);
      late = 0;
    }
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

  /** Books the step that was taken. */
  void book(double dt) {
    charge += current * dt / 3600;
    chemical += state.chemical();
    cellHeat += state.cellHeat();
    pathHeat += state.stripHeat() + current * current * state.leadResistance() * dt;
    peak = Math.max(peak, current);
    back = Math.max(back, -current);
    hottest = Math.max(hottest, state.temperature());
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

  void record(int sample) {
    currents[sample] = current;
  }

  double chemical() {
    return chemical;
  }

  double cellHeat() {
    return cellHeat;
  }

  double pathHeat() {
    return pathHeat;
  }

  TwinRun.Side side(int samples) {
    return new TwinRun.Side(
        charge,
        chemical,
        cellHeat + pathHeat,
        peak,
        back,
        state.soc(),
        hottest,
        openedAt,
        Arrays.copyOf(currents, samples));
  }
}
