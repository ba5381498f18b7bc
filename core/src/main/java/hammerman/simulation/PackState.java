package hammerman.simulation;

import hammerman.cell.CellCircuit;
import hammerman.cell.CircuitTable;
import hammerman.interconnect.CellNetwork;
import hammerman.numeric.CubicTable;
import hammerman.numeric.Source;
import hammerman.pack.Assembly;
import hammerman.pack.Pack;
import hammerman.unit.Reference;
import org.jspecify.annotations.Nullable;

/**
 * The state of every cell of a pack, stepped in place: the hot loop of every run, on flat arrays,
 * nothing made in a step. Cells that are all alike are one cell with weights, and so are those of
 * each group until they are wanted apart.
 *
 * <p>Within an ideal group the cells share one voltage: with E behind R for each, V = (Σ E/R − I) /
 * Σ 1/R and I_k = (E_k − V) / R_k. Cells in their places have the currents of their layout's
 * network, and a group's voltage is the mean over its cells, each weighing by its share of the
 * current. Discharge current is positive. Over a step each cell's current is constant and its RC
 * branches take their exact exponential course. Each cell is one thermal node: C dT/dt = heat − G
 * (T − ambient), also exact for constant heat, or that of the layout with what it touches.
 * Reversible heat is neglected (dU/dT = 0). The state of charge is counted on the capacity at 25 °C
 * at every temperature, so that what goes out comes back in; the cold puts the last of it out of
 * reach. Cells that differ want steps of at most {@value #LONGEST_APART} s: the current between
 * them is that at the start of the step.
 */
final class PackState {
  /** The longest step, s, in which cells that differ share the current stably. */
  static final double LONGEST_APART = 5;

  private final CircuitTable table;
  private final int groups;
  private final int perGroup;
  private final int cells;

  /** How many groups, and how many cells of each, one stands for. */
  private final double groupWeight;

  private final double cellWeight;

  private final double[] coulombs;
  private final double[] perCoulomb;
  private final double[] r10;
  private final double[] joint;
  private final @Nullable InPlace place;
  private double stripResistance;
  private final double leadResistance;
  private final double warmsPerCell;
  private final double conductance;
  private final double heatCapacity;
  private final double ambient;

  private final double[] soc;
  private final double[] fast;
  private final double[] slow;
  private final double[] kelvin;
  private final double[] openCircuit;
  private final double[] resistance;

  /** Voltage of each cell behind its ohmic resistance, V, and one over that resistance, S. */
  private final double[] inner;

  private final double[] conducts;

  /** Current of each cell in the last step, A, and the heat made at it, W. */
  private final double[] flows;

  private final double[] warmth;
  private final double[] source;
  private final double[] behind;

  /** Charge left in each group above what the temperature puts out of reach, A s. */
  private final double[] left;

  /** The least of them. */
  private double leastLeft;

  /** Charge in all cells that are stepped, and how much they hold, A s. */
  private double held;

  private double holds;

  private final double[] kept;

  /** What the shares of the last factor miss of the pack's voltage, as last solved, V. */
  private double missed;

  private double sourceSum;
  private double behindSum;
  private double decayFor = -1;
  private double fastDecay;
  private double slowDecay;
  private double heatDecay;
  private double cellHeat;
  private double stripHeat;
  private double chemical;
  private double hottest;
  private double most;

  /**
   * @param leads what lies between the pack's ends and the machine
   * @param startSoc state of charge at the start, 0 to 1
   * @param ambient air temperature, also of the cells at the start, K
   * @param place where the cells are; ideal groups that shed their heat alike if absent
   */
  PackState(
      CellPopulation population,
      Assembly assembly,
      Leads leads,
      double startSoc,
      double ambient,
      @Nullable InPlace place) {
    Pack pack = assembly.pack();
    table = CircuitTable.of(pack.cell());
    this.place = place;
    CellPopulation stepped = place == null ? population : population.each();
    groups = stepped.groups();
    perGroup = stepped.perGroup();
    cells = groups * perGroup;
    groupWeight = (double) pack.series() / groups;
    cellWeight = (double) pack.parallel() / perGroup;
    coulombs = new double[cells];
    r10 = new double[cells];
    joint = new double[cells];
    soc = new double[cells];
    fast = new double[cells];
    slow = new double[cells];
    kelvin = new double[cells];
    openCircuit = new double[cells];
    resistance = new double[cells];
    inner = new double[cells];
    conducts = new double[cells];
    flows = new double[cells];
    warmth = new double[cells];
    perCoulomb = new double[cells];
    source = new double[groups];
    behind = new double[groups];
    left = new double[groups];
    kept = new double[4 * cells];
    double joints = 0;
    for (int k = 0; k < cells; k++) {
      coulombs[k] = 3600 * stepped.steppedCapacity(k);
      perCoulomb[k] = 1 / coulombs[k];
      holds += coulombs[k];
      r10[k] = stepped.steppedResistance(k);
      joint[k] = stepped.joint(k) + (place == null ? 0 : place.joined().contact());
      joints += joint[k] * groupWeight / (perGroup * cellWeight * perGroup);
      soc[k] = Math.clamp(startSoc + stepped.ahead(k), 0, 1);
      kelvin[k] = ambient;
    }
    // What lies at each cell is a part of the strips' resistance, not more of it.
    stripResistance = Math.max(0, assembly.stripResistance(ambient) - joints);
    leadResistance = leads.resistance();
    warmsPerCell = (stripResistance + assembly.boxShare() * leads.inBox()) / pack.cells();
    heatCapacity = pack.heatCapacity() / pack.cells();
    conductance = assembly.conductance() / pack.cells();
    this.ambient = ambient;
    refresh();
  }

  /**
   * What lies between a pack's ends and the machine.
   *
   * @param resistance of all of it, Ω
   * @param inBox of what warms the pack's own box, Ω
   */
  record Leads(double resistance, double inBox) {
    static final Leads NONE = new Leads(0, 0);
  }

  /** Mean state of charge, each cell weighing by its capacity. */
  double soc() {
    // Rounding may leave the last of it a hair below nothing.
    return Math.clamp(cells == 1 ? soc[0] : held / holds, 0, 1);
  }

  /** The highest state of charge of a cell. */
  double fullest() {
    return most;
  }

  /** Temperature of the hottest cell, K. */
  double temperature() {
    return hottest;
  }

  /** Where the hottest cell is. */
  Outcome.Place hottestPlace() {
    int found = 0;
    for (int k = 1; k < cells; k++) {
      found = kelvin[k] > kelvin[found] ? k : found;
    }
    return place(found / perGroup, found % perGroup);
  }

  private Outcome.Place place(int group, int cell) {
    return groupWeight > 1
        ? Outcome.Place.EVERY
        : new Outcome.Place(group, cellWeight > 1 ? Outcome.Place.ALL : cell);
  }

  /** Heat made in the cells in the last step, J. */
  double cellHeat() {
    return cellHeat;
  }

  /** Heat made in the strips and joints in the last step, J. */
  double stripHeat() {
    return stripHeat;
  }

  /** Resistance between the pack's ends and the machine, Ω. */
  double leadResistance() {
    return leadResistance;
  }

  /** Energy taken from the cells' open-circuit voltage in the last step, J. */
  double chemical() {
    return chemical;
  }

  /** Voltage behind the ohmic resistance, at the pack's ends, V. */
  double innerVoltage() {
    return sourceSum;
  }

  /** Ohmic resistance up to the machine's terminals, Ω. */
  double pathResistance() {
    return behindSum + stripResistance + leadResistance;
  }

  /** Lowest voltage of a group at a current, V. */
  double lowestGroup(double current) {
    double lowest = Double.POSITIVE_INFINITY;
    for (int g = 0; g < groups; g++) {
      double volts = source[g] - current * behind[g];
      lowest = volts < lowest ? volts : lowest;
    }
    return lowest;
  }

  /** Highest voltage of a group at a current, V. */
  double highestGroup(double current) {
    double highest = Double.NEGATIVE_INFINITY;
    for (int g = 0; g < groups; g++) {
      double volts = source[g] - current * behind[g];
      highest = volts > highest ? volts : highest;
    }
    return highest;
  }

  /** Voltage of each group at a current, V. */
  double[] groupVoltages(double current) {
    double[] volts = new double[groups];
    for (int g = 0; g < groups; g++) {
      volts[g] = source[g] - current * behind[g];
    }
    return volts;
  }

  /** Temperature of each cell, K. */
  double[] temperatures() {
    return kelvin.clone();
  }

  /** How far the fullest and the emptiest cell are apart, 0 to 1. */
  double socApart() {
    double least = 1;
    for (double z : soc) {
      least = Math.min(least, z);
    }
    return most - least;
  }

  /** Where the group with the lowest voltage at a current is, and its emptiest cell. */
  Outcome.Place lowestPlace(double current) {
    int lowest = 0;
    for (int g = 1; g < groups; g++) {
      if (source[g] - current * behind[g] < source[lowest] - current * behind[lowest]) {
        lowest = g;
      }
    }
    return place(lowest, emptiest(lowest));
  }

  /** Where the group with the least charge within reach is, and its emptiest cell. */
  Outcome.Place emptiestPlace() {
    int least = 0;
    for (int g = 1; g < groups; g++) {
      least = left[g] < left[least] ? g : least;
    }
    return place(least, emptiest(least));
  }

  private int emptiest(int group) {
    int least = group * perGroup;
    for (int k = least + 1; k < (group + 1) * perGroup; k++) {
      least = soc[k] < soc[least] ? k : least;
    }
    return least - group * perGroup;
  }

  double machineVoltage(double current) {
    return sourceSum - current * pathResistance();
  }

  /** Current that gives a power at the machine, A; NaN when the pack cannot deliver it. */
  double currentForPower(double watts) {
    return Source.current(sourceSum, pathResistance(), watts);
  }

  /** Greatest power at the machine's terminals, W. */
  double mostPower() {
    return sourceSum * sourceSum / (4 * pathResistance());
  }

  /** Whether a group has nothing more to give at its present temperature. */
  boolean isEmpty() {
    return leastLeft <= 0;
  }

  /** Time until a group is empty at a pack current, s; infinite unless discharging. */
  double timeToEmpty(double current) {
    return current > 0 ? Math.max(0, leastLeft) / current : Double.POSITIVE_INFINITY;
  }

  /** Pack current that just fills the fullest cell in a time (s), A. */
  double currentToFill(double dt) {
    double least = Double.POSITIVE_INFINITY;
    for (int k = 0; k < cells; k++) {
      least = Math.min(least, (1 - soc[k]) * coulombs[k]);
    }
    return least * perGroup * cellWeight / dt;
  }

  /** Keeps the present state, to be gone back to. */
  void keep() {
    System.arraycopy(soc, 0, kept, 0, cells);
    System.arraycopy(fast, 0, kept, cells, cells);
    System.arraycopy(slow, 0, kept, 2 * cells, cells);
    System.arraycopy(kelvin, 0, kept, 3 * cells, cells);
  }

  /** Goes back to the state that was kept. */
  void goBack() {
    System.arraycopy(kept, 0, soc, 0, cells);
    System.arraycopy(kept, cells, fast, 0, cells);
    System.arraycopy(kept, 2 * cells, slow, 0, cells);
    System.arraycopy(kept, 3 * cells, kelvin, 0, cells);
    refresh();
  }

  /** Goes on by {@code dt} seconds at a pack current. */
  void step(double current, double dt) {
    if (dt != decayFor) {
      decayFor = dt;
      fastDecay = Math.exp(-dt / CellCircuit.TAU1);
      slowDecay = Math.exp(-dt / CellCircuit.TAU2);
      heatDecay = Math.exp(-dt * conductance / heatCapacity);
    }
    double strips;
    if (place == null) {
      share(current);
      strips = current * current * stripResistance;
    } else {
      strips = place.joined().currents(inner, conducts, current, flows, place.stripHeat());
      missed += place.joined().voltage() - machineVoltage(current) - current * leadResistance;
    }
    double heat = 0;
    double atJoints = 0;
    double taken = 0;
    for (int k = 0; k < cells; k++) {
      double i = flows[k];
      double r = resistance[k];
      double toFast = i * CellCircuit.R1_SHARE * r;
      double toSlow = i * CellCircuit.R2_SHARE * r;
      double f = toFast + (fast[k] - toFast) * fastDecay;
      double s = toSlow + (slow[k] - toSlow) * slowDecay;
      double watts = i * (0.5 * (fast[k] + slow[k] + f + s) + CellCircuit.R0_SHARE * r * i);
      double joined = i * i * joint[k];
      fast[k] = f;
      slow[k] = s;
      soc[k] -= i * dt * perCoulomb[k];
      warmth[k] = watts + joined;
      taken += 0.5 * i * openCircuit[k];
      heat += watts;
      atJoints += joined;
    }
    if (place == null) {
      warm(current * current * warmsPerCell);
    } else {
      warm(place, current * current, dt);
    }
    refresh();
    for (int k = 0; k < cells; k++) {
      taken += 0.5 * flows[k] * openCircuit[k];
    }
    double weight = groupWeight * cellWeight * dt;
    cellHeat = heat * weight;
    stripHeat = strips * dt + atJoints * weight;
    chemical = taken * weight;
  }

  /** The current of each cell of ideal groups. */
  private void share(double current) {
    for (int g = 0; g < groups; g++) {
      double volts = source[g] - current * behind[g];
      for (int k = g * perGroup; k < (g + 1) * perGroup; k++) {
        flows[k] = (inner[k] - volts) * conducts[k];
      }
    }
  }

  /** Warms each cell in its place. */
  private void warm(InPlace in, double squared, double dt) {
    double[] strips = in.stripHeat();
    for (int k = 0; k < cells; k++) {
      warmth[k] += strips[k];
    }
    in.touching().step(kelvin, warmth, squared * in.inBox(), dt);
  }

  /** Warms each cell by what is made in it and by its part of what else gets warm, W. */
  private void warm(double strips) {
    double rise = 1 / conductance;
    for (int k = 0; k < cells; k++) {
      double settled = ambient + (warmth[k] + strips) * rise;
      kelvin[k] = settled + (kelvin[k] - settled) * heatDecay;
    }
  }

  /** Works out what follows from charge and temperature: each cell's source, each group's. */
  private void refresh() {
    CubicTable ocv = table.openCircuit();
    CubicTable bySoc = table.socFactor();
    CubicTable byTemperature = table.temperatureFactor();
    sourceSum = 0;
    behindSum = 0;
    held = 0;
    leastLeft = Double.POSITIVE_INFINITY;
    double warmest = Double.NEGATIVE_INFINITY;
    double coldest = Double.POSITIVE_INFINITY;
    double full = Double.NEGATIVE_INFINITY;
    for (int g = 0; g < groups; g++) {
      double conduct = 0;
      double flow = 0;
      double charge = 0;
      for (int k = g * perGroup; k < (g + 1) * perGroup; k++) {
        double z = soc[k];
        double t = kelvin[k];
        double place = ocv.place(z);
        int piece = ocv.piece(place);
        double along = place - piece;
        double v = ocv.value(piece, along);
        double r = r10[k] * bySoc.value(piece, along) * byTemperature.value(t);
        double e = v - fast[k] - slow[k];
        double y = 1 / (CellCircuit.R0_SHARE * r + joint[k]);
        openCircuit[k] = v;
        resistance[k] = r;
        inner[k] = e;
        conducts[k] = y;
        conduct += y;
        flow += y * e;
        charge += z * coulombs[k];
        warmest = t > warmest ? t : warmest;
        coldest = t < coldest ? t : coldest;
        full = z > full ? z : full;
      }
      source[g] = flow / conduct;
      behind[g] = 1 / (conduct * cellWeight);
      held += charge;
      left[g] = charge * cellWeight;
      leastLeft = Math.min(leastLeft, left[g]);
      sourceSum += source[g] * groupWeight;
      behindSum += behind[g] * groupWeight;
    }
    hottest = warmest;
    most = full;
    if (place != null) {
      join(place.joined());
    }
    if (coldest < Reference.ROOM) {
      takeBeyondReach();
    }
  }

  /** Each group's source and what the strips add, as the layout joins the cells. */
  private void join(CellNetwork network) {
    if (network.prepare(conducts)) {
      missed = 0;
    }
    stripResistance = network.strips();
    sourceSum = missed;
    behindSum = 0;
    for (int g = 0; g < groups; g++) {
      double e = 0;
      double r = 0;
      for (int k = g * perGroup; k < (g + 1) * perGroup; k++) {
        double b = network.share(k);
        e += b * inner[k];
        r += b * b / conducts[k];
      }
      source[g] = e;
      behind[g] = r;
      sourceSum += e;
      behindSum += r;
    }
  }

  /** What the cold puts out of reach is not left. */
  private void takeBeyondReach() {
    leastLeft = Double.POSITIVE_INFINITY;
    for (int g = 0; g < groups; g++) {
      double beyond = 0;
      for (int k = g * perGroup; k < (g + 1) * perGroup; k++) {
        beyond += (1 - table.reachable().value(kelvin[k])) * coulombs[k];
      }
      left[g] -= beyond * cellWeight;
      leastLeft = Math.min(leastLeft, left[g]);
    }
  }
}
