package hammerman.simulation;

import hammerman.chain.Chain;
import hammerman.design.Design;
import hammerman.guard.ChargePlan;

/**
 * A charge at constant current, then constant voltage, on the same cell model as the discharge.
 *
 * <p>The charger's voltage is held at the pack's plug: strips and BMS drop some of it while current
 * flows. Ends when the current has fallen to {@link ChargePlan#TAPER_END} of the charger's, or the
 * cells are full. Measured groups are charged each by itself; balancing time is not included.
 *
 * @param time how long, s
 * @param energy into the plug, J
 * @param charge into the cells, Ah
 * @param endSoc state of charge at the end, 0 to 1
 * @param constantCurrentTime how long the first phase took, s
 * @param complete whether it ended within {@value #LONGEST} s
 * @param trace the course; current is negative
 */
public record Charge(
    double time,
    double energy,
    double charge,
    double endSoc,
    double constantCurrentTime,
    boolean complete,
    Trace trace) {

  private static final double STEP = 5;

  /** Full, but for rounding. */
  private static final double FULL = 1 - 1e-9;

  private static final double LONGEST = 200 * 3600.0;

  /**
   * Charges a design.
   *
   * @param startSoc state of charge at the start, 0 to 1
   * @param ambient air temperature, K
   */
  public static Charge of(Chain chain, double startSoc, double ambient) {
    Design design = chain.design();
    ChargePlan plan = design.guard().charge();
    double path = design.guard().chargingPath();
    PackState state =
        new PackState(
            CellPopulation.of(design.pack()),
            chain.path().assembly(),
            new PackState.Leads(path, path),
            startSoc,
            ambient,
            null);
    Recorder recorder = Recorder.tracing();
    double time = 0;
    double energy = 0;
    double charge = 0;
    double constantCurrentTime = 0;
    boolean complete = false;
    while (time < LONGEST && !complete) {
      double held = (state.innerVoltage() - plan.voltage()) / state.pathResistance();
      double current = Math.max(-plan.current(), held);
      if (current > -ChargePlan.TAPER_END * plan.current() || state.fullest() >= FULL) {
        complete = true;
      } else {
        double dt = Math.min(STEP, STEP * state.currentToFill(STEP) / -current);
        if (current == -plan.current()) {
          constantCurrentTime = time + dt;
        }
        double before = state.machineVoltage(current);
        recorder.add(time, before, current, state.temperature(), state.soc(), 0);
        state.step(current, dt);
        energy -= 0.5 * (before + state.machineVoltage(current)) * current * dt;
        charge -= current * dt / 3600;
        time += dt;
      }
    }
    return new Charge(
        time, energy, charge, state.soc(), constantCurrentTime, complete, recorder.trace());
  }
}
