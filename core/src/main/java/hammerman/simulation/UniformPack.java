package hammerman.simulation;

import hammerman.cell.CellCircuit;
import hammerman.cell.Health;
import hammerman.numeric.Source;
import hammerman.pack.Assembly;
import hammerman.pack.Pack;

/**
 * State of a pack whose cells are all alike, stepped in place: the hot loop of every run.
 *
 * <p>Discharge current is positive. Over a step the current is constant and the RC branches take
 * their exact exponential course. One thermal node: C dT/dt = heat − G (T − ambient), also exact
 * for constant heat. Reversible heat is neglected (dU/dT = 0), as is the cell's own spread. The
 * state of charge is counted on the capacity at 25 °C at every temperature, so that what goes out
 * comes back in; the cold puts the last of it out of reach. About 60 ns a step.
 */
final class UniformPack {
  private final CellCircuit circuit;
  private final double r10;
  private final int series;
  private final int parallel;
  private final double stripResistance;
  private final double leadResistance;
  private final double heatCapacity;
  private final double conductance;
  private final double ambient;
  private final double capacity;

  private double soc;
  private double fast;
  private double slow;
  private double temperature;
  private double openCircuit;
  private double resistance;
  private double least;

  private double decayFor = -1;
  private double fastDecay;
  private double slowDecay;
  private double heatDecay;

  /** Heat made in the cells and in the strips in the last step, J. */
  private double cellHeat;

  /**
   * @param leadResistance of everything between the pack's ends and the machine, Ω
   * @param soc state of charge at the start, 0 to 1
   * @param ambient air temperature, also of the cells at the start, K
   */
  UniformPack(Assembly assembly, double leadResistance, double soc, double ambient) {
    this(assembly, leadResistance, soc, ambient, Health.NEW);
  }

  /**
   * @param wear what the years have left of the cells' capacity and made of their resistance
   */
  UniformPack(Assembly assembly, double leadResistance, double soc, double ambient, Health wear) {
    Pack pack = assembly.pack();
    this.circuit = new CellCircuit(pack.cell());
    this.r10 = pack.cell().r10() * wear.resistance();
    this.series = pack.series();
    this.parallel = pack.parallel();
    this.stripResistance = assembly.stripResistance(ambient);
    this.leadResistance = leadResistance;
    this.heatCapacity = pack.heatCapacity();
    this.conductance = assembly.conductance();
    this.ambient = ambient;
    this.capacity = pack.cell().capacity() * wear.capacity() * parallel;
    this.soc = soc;
    this.temperature = ambient;
    refresh();
  }

  double soc() {
    return soc;
  }

  double temperature() {
    return temperature;
  }

  /** Whether nothing more can be taken out at the present temperature. */
  boolean isEmpty() {
    return soc <= least;
  }

  /** Pack capacity at 25 °C, Ah. */
  double capacity() {
    return capacity;
  }

  /** Heat made in the cells in the last step, J. */
  double cellHeat() {
    return cellHeat;
  }

  double openCircuitVoltage() {
    return series * openCircuit;
  }

  /** Voltage behind the ohmic resistance, at the pack's ends, V. */
  double innerVoltage() {
    return series * (openCircuit - fast - slow);
  }

  /** Ohmic resistance up to the machine's terminals, Ω. */
  double pathResistance() {
    return series * resistance * CellCircuit.R0_SHARE / parallel + stripResistance + leadResistance;
  }

  /** Resistance outside the cells, Ω. */
  double outerResistance() {
    return stripResistance + leadResistance;
  }

  /** Voltage of one group at a current, V. */
  double groupVoltage(double current) {
    return openCircuit - fast - slow - current * resistance * CellCircuit.R0_SHARE / parallel;
  }

  double machineVoltage(double current) {
    return innerVoltage() - current * pathResistance();
  }

  /** Current that gives a power at the machine, A; NaN when the pack cannot deliver it. */
  double currentForPower(double watts) {
    return Source.current(innerVoltage(), pathResistance(), watts);
  }

  /** Greatest power at the machine's terminals, W. */
  double mostPower() {
    double e = innerVoltage();
    return e * e / (4 * pathResistance());
  }

  /** Time until the cells are empty at a pack current, s; infinite unless discharging. */
  double timeToEmpty(double current) {
    return current > 0
        ? 3600 * Math.max(0, soc - least) * capacity / current
        : Double.POSITIVE_INFINITY;
  }

  /** Pack current that just fills the cells in a time (s), A. */
  double currentToFill(double dt) {
    return 3600 * (1 - soc) * capacity / dt;
  }

  /** Goes on by {@code dt} seconds at a pack current. */
  void step(double current, double dt) {
    if (dt != decayFor) {
      decayFor = dt;
      fastDecay = Math.exp(-dt / CellCircuit.TAU1);
      slowDecay = Math.exp(-dt / CellCircuit.TAU2);
      heatDecay = Math.exp(-dt * conductance / heatCapacity);
    }
    double perCell = current / parallel;
    double dropBefore = fast + slow + perCell * resistance * CellCircuit.R0_SHARE;
    fast = decayed(fast, perCell * resistance * CellCircuit.R1_SHARE, fastDecay);
    slow = decayed(slow, perCell * resistance * CellCircuit.R2_SHARE, slowDecay);
    soc = Math.clamp(soc - current * dt / (3600 * capacity), 0, 1);
    double dropAfter = fast + slow + perCell * resistance * CellCircuit.R0_SHARE;
    cellHeat = 0.5 * (dropBefore + dropAfter) * current * series * dt;
    double heat = cellHeat + current * current * stripResistance * dt;
    double settled = ambient + heat / dt / conductance;
    temperature = decayed(temperature, settled, heatDecay);
    refresh();
  }

  private static double decayed(double value, double target, double decay) {
    return target + (value - target) * decay;
  }

  private void refresh() {
    openCircuit = circuit.openCircuit(soc);
    least = 1 - circuit.reachable(temperature);
    resistance = r10 * circuit.socFactor(soc) * circuit.temperatureFactor(temperature);
  }
}
