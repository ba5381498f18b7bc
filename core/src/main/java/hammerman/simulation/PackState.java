package hammerman.simulation;

import hammerman.cell.CircuitTable;
import hammerman.interconnect.CellNetwork;
import hammerman.pack.Assembly;
import hammerman.pack.Pack;
import hammerman.unit.Reference;
import org.jspecify.annotations.Nullable;

/**
 * The state of a pack, stepped in place: the hot loop of every run, on flat arrays, nothing made in
 * a step. Cells that are all alike are one cell with weights, and so are those of each group until
 * they are wanted apart.
 *
 * <p>Within an ideal group the cells share one voltage: with E behind R for each, V = (Σ E/R − I) /
 * Σ 1/R and I_k = (E_k − V) / R_k. Cells in their places have the currents of their layout's
 * network, and a group's voltage is the mean over its cells, each weighing by its share of the
 * current. Discharge current is positive. The state of charge is counted on the capacity at 25 °C
 * at every temperature, so that what goes out comes back in; the cold puts the last of it out of
 * reach. Cells that differ want short steps, see {@link SharedStep}: the current between them is
 * that at the start of the step.
 */
final class PackState {
  private final int groups;
  private final int perGroup;
  private final CellStates cells;
  private final Places places;

  /** How many groups, and how many cells of each, one stands for. */
  private final double groupWeight;

  private final double cellWeight;

  private final @Nullable InPlace place;
  private double stripResistance;
  private final double leadResistance;
  private final double warmsPerCell;
  private final double conductance;
  private final double heatCapacity;
  private final double ambient;

  private final double[] source;
  private final double[] behind;

  /** Charge left in each group above what the temperature puts out of reach, A s. */
  private final double[] left;

  /** The least of them. */
  private double leastLeft;

  /** Charge in all cells that are stepped, and how much they hold, A s. */
  private double held;

  private double holds;

  /** What the shares of the last factor miss of the pack's voltage, as last solved, V. */
  private double missed;

  private double sourceSum;
  private double behindSum;
  private double decayFor = -1;
  private double heatDecay;

  /** What the open-circuit voltages of the cells that are stepped give in the last step, W. */
  private double given;

  private double cellHeat;
  private double stripHeat;
  private double chemical;

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
    this.place = place;
    CellPopulation stepped = place == null ? population : population.each();
    groups = stepped.groups();
    perGroup = stepped.perGroup();
    cells =
        new CellStates(
            stepped,
            CircuitTable.of(pack.cell()),
            place == null ? 0 : place.joined().contact(),
            startSoc,
            ambient);
    groupWeight = (double) pack.series() / groups;
    cellWeight = (double) pack.parallel() / perGroup;
    places = new Places(cells, groups, perGroup, groupWeight > 1, cellWeight > 1);
    source = new double[groups];
    behind = new double[groups];
    left = new double[groups];
    double joints = 0;
    for (int k = 0; k < cells.size(); k++) {
      holds += cells.holds(k);
      joints += cells.joint(k) * groupWeight / (perGroup * cellWeight * perGroup);
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
    return Math.clamp(cells.size() == 1 ? cells.soc(0) : held / holds, 0, 1);
  }

  /** The highest state of charge of a cell. */
  double fullest() {
    return cells.fullest();
  }

  /** Temperature of the hottest cell, K. */
  double temperature() {
    return cells.hottest();
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
    return cells.temperatures();
  }

  /** How far the fullest and the emptiest cell are apart, 0 to 1. */
  double socApart() {
    return cells.fullest() - cells.emptiest();
  }

  /** Where the hottest cell is. */
  Outcome.Place hottestPlace() {
    return places.hottest();
  }

  /** Where the group with the lowest voltage at a current is, and its emptiest cell. */
  Outcome.Place lowestPlace(double current) {
    return places.emptiest(g -> source[g] - current * behind[g]);
  }

  /** Where the group with the least charge within reach is, and its emptiest cell. */
  Outcome.Place emptiestPlace() {
    return places.emptiest(g -> left[g]);
  }

  double machineVoltage(double current) {
    return sourceSum - current * pathResistance();
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
    for (int k = 0; k < cells.size(); k++) {
      least = Math.min(least, cells.lacks(k));
    }
    return least * perGroup * cellWeight / dt;
  }

  /** Goes back to the state before the last step, once. */
  void goBack() {
    cells.goBack();
    refresh();
  }

  /** Goes on by {@code dt} seconds at a pack current. */
  void step(double current, double dt) {
    double strips;
    if (place == null) {
      share(current);
      strips = current * current * stripResistance;
    } else {
      strips =
          place
              .joined()
              .currents(cells.inner, cells.ohmic, current, cells.flows, place.stripHeat());
      missed += place.joined().voltage() - machineVoltage(current) - current * leadResistance;
    }
    cells.advance(dt);
    warm(current * current, dt);
    cells.follow();
    refresh();
    double weight = groupWeight * cellWeight * dt;
    cellHeat = cells.heat() * weight;
    stripHeat = strips * dt + cells.jointHeat() * weight;
    chemical = 0.5 * (cells.chemicalBefore() + given) * weight;
  }

  /** The current of each cell of ideal groups. */
  private void share(double current) {
    double[] inner = cells.inner;
    double[] conducts = cells.conducts;
    double[] flows = cells.flows;
    for (int g = 0; g < groups; g++) {
      double volts = source[g] - current * behind[g];
      for (int k = g * perGroup; k < (g + 1) * perGroup; k++) {
        flows[k] = (inner[k] - volts) * conducts[k];
      }
    }
  }

  private void warm(double squared, double dt) {
    if (place == null) {
      if (dt != decayFor) {
        decayFor = dt;
        heatDecay = Math.exp(-dt * conductance / heatCapacity);
      }
      cells.warm(ambient, squared * warmsPerCell, 1 / conductance, heatDecay);
    } else {
      cells.warm(place, squared * place.inBox(), dt);
    }
  }

  /** Works out what is left in each group and its source, and the pack's, from its cells. */
  private void refresh() {
    held = 0;
    given = 0;
    leastLeft = Double.POSITIVE_INFINITY;
    for (int g = 0; g < groups; g++) {
      double charge = 0;
      double chemicals = 0;
      for (int k = g * perGroup; k < (g + 1) * perGroup; k++) {
        charge += cells.charge(k);
        chemicals += cells.chemical(k);
      }
      held += charge;
      given += chemicals;
      left[g] = charge * cellWeight;
      leastLeft = Math.min(leastLeft, left[g]);
    }
    if (place == null) {
      join();
    } else {
      join(place.joined());
    }
    if (cells.coldest() < Reference.ROOM) {
      takeBeyondReach();
    }
  }

  /** Each ideal group's source. */
  private void join() {
    double[] inner = cells.inner;
    double[] conducts = cells.conducts;
    sourceSum = 0;
    behindSum = 0;
    for (int g = 0; g < groups; g++) {
      double conduct = 0;
      double flow = 0;
      for (int k = g * perGroup; k < (g + 1) * perGroup; k++) {
        conduct += conducts[k];
        flow += conducts[k] * inner[k];
      }
      double ohms = 1 / conduct;
      source[g] = flow * ohms;
      behind[g] = ohms / cellWeight;
      sourceSum += source[g] * groupWeight;
      behindSum += behind[g] * groupWeight;
    }
  }

  /** Each group's source and what the strips add, as the layout joins the cells. */
  private void join(CellNetwork network) {
    double[] inner = cells.inner;
    double[] ohmic = cells.ohmic;
    if (network.prepare(ohmic)) {
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
        r += b * b * ohmic[k];
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
        beyond += cells.beyondReach(k);
      }
      left[g] -= beyond * cellWeight;
      leastLeft = Math.min(leastLeft, left[g]);
    }
  }
}
