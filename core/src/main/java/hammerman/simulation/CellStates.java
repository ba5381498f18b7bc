package hammerman.simulation;

import hammerman.cell.CellCircuit;
import hammerman.cell.CircuitTable;
import hammerman.numeric.CubicTable;
import hammerman.numeric.LineTable;

/**
 * The cells that are stepped, in flat arrays: charge, polarisation and temperature of each, and
 * what follows from them. How they are joined is left to whoever steps them: it reads {@link
 * #inner} and {@link #conducts} and gives {@link #flows}.
 *
 * <p>Over a step each cell's current is constant, and its RC branches take their exact exponential
 * course. Reversible heat is neglected (dU/dT = 0).
 *
 * <p>Speed has shaped this class. Each loop does one simple thing to arrays, so that the processor
 * does four to eight cells at once; sums, which go one after the other, and look-ups have loops of
 * their own. A step writes to a second set of arrays and the sets change places, so that going back
 * costs nothing. In fewer and longer loops a step took some 1.4 times as long.
 */
final class CellStates {
  private final CircuitTable table;
  private final int size;
  private final double[] coulombs;
  private final double[] perCoulomb;
  private final double[] r10;
  private final double[] joint;

  private double[] soc;
  private double[] fast;
  private double[] slow;
  private double[] kelvin;

  private double[] socBefore;
  private double[] fastBefore;
  private double[] slowBefore;
  private double[] kelvinBefore;

  private final double[] openCircuit;
  private final double[] resistance;

  /**
   * Voltage of each cell behind its ohmic resistance, V, that resistance, Ω, and one over it, S.
   */
  final double[] inner;

  final double[] ohmic;
  final double[] conducts;

  /** Current out of each cell in the last step, A. */
  final double[] flows;

  /** Heat made at each cell, W, in itself and its joint, and what is added to it. */
  final double[] warmth;

  private double decayFor = -1;
  private double fastDecay;
  private double slowDecay;
  private double heat;
  private double jointHeat;
  private double chemicalBefore;
  private double hottest;
  private double coldest;

  /**
   * @param contact of each cell besides its joint, Ω
   * @param startSoc of all but those that are ahead, 0 to 1
   * @param air temperature of the cells at the start, K
   */
  CellStates(
      CellPopulation cells, CircuitTable table, double contact, double startSoc, double air) {
    this.table = table;
    size = cells.groups() * cells.perGroup();
    coulombs = new double[size];
    perCoulomb = new double[size];
    r10 = new double[size];
    joint = new double[size];
    soc = new double[size];
    fast = new double[size];
    slow = new double[size];
    kelvin = new double[size];
    socBefore = new double[size];
    fastBefore = new double[size];
    slowBefore = new double[size];
    kelvinBefore = new double[size];
    openCircuit = new double[size];
    resistance = new double[size];
    inner = new double[size];
    ohmic = new double[size];
    conducts = new double[size];
    flows = new double[size];
    warmth = new double[size];
    for (int k = 0; k < size; k++) {
      coulombs[k] = 3600 * cells.steppedCapacity(k);
      perCoulomb[k] = 1 / coulombs[k];
      r10[k] = cells.steppedResistance(k);
      joint[k] = cells.joint(k) + contact;
      soc[k] = Math.clamp(startSoc + cells.ahead(k), 0, 1);
      kelvin[k] = air;
    }
    follow();
  }

  int size() {
    return size;
  }

  /** What lies at a cell besides the cell, Ω. */
  double joint(int cell) {
    return joint[cell];
  }

  double soc(int cell) {
    return soc[cell];
  }

  double kelvin(int cell) {
    return kelvin[cell];
  }

  /** Temperature of each cell, K; a copy. */
  double[] temperatures() {
    return kelvin.clone();
  }

  /** Charge in a cell, A s. */
  double charge(int cell) {
    return soc[cell] * coulombs[cell];
  }

  /** Charge that a full cell holds, A s. */
  double holds(int cell) {
    return coulombs[cell];
  }

  /** Charge that a cell lacks of being full, A s. */
  double lacks(int cell) {
    return (1 - soc[cell]) * coulombs[cell];
  }

  /** Charge that the present temperature puts out of reach in a cell, A s. */
  double beyondReach(int cell) {
    return (1 - table.reachable().value(kelvin[cell])) * coulombs[cell];
  }

  /** The highest state of charge of a cell. */
  double fullest() {
    double most = soc[0];
    for (double z : soc) {
      most = Math.max(most, z);
    }
    return most;
  }

  /** The lowest state of charge of a cell. */
  double emptiest() {
    double least = soc[0];
    for (double z : soc) {
      least = Math.min(least, z);
    }
    return least;
  }

  /** Temperature of the hottest cell, K. */
  double hottest() {
    return hottest;
  }

  /** Temperature of the coldest cell, K. */
  double coldest() {
    return coldest;
  }

  /** Heat made in all cells in the last step, W. */
  double heat() {
    return heat;
  }

  /** Heat made in all joints in the last step, W. */
  double jointHeat() {
    return jointHeat;
  }

  /** What all open-circuit voltages gave at the start of the last step, W. */
  double chemicalBefore() {
    return chemicalBefore;
  }

  /** What a cell's open-circuit voltage gives at the end of the last step, W. */
  double chemical(int cell) {
    return flows[cell] * openCircuit[cell];
  }

  /** Moves charge and works out heat for {@code dt} seconds at the present flows. */
  void advance(double dt) {
    if (dt != decayFor) {
      decayFor = dt;
      fastDecay = Math.exp(-dt / CellCircuit.TAU1);
      slowDecay = Math.exp(-dt / CellCircuit.TAU2);
    }
    changePlaces();
    relax(fastBefore, fast, CellCircuit.R1_SHARE, fastDecay);
    relax(slowBefore, slow, CellCircuit.R2_SHARE, slowDecay);
    for (int k = 0; k < size; k++) {
      double i = flows[k];
      soc[k] = socBefore[k] - i * dt * perCoulomb[k];
      warmth[k] = i * (0.5 * (fastBefore[k] + slowBefore[k] + fast[k] + slow[k]) + ohmic[k] * i);
    }
    double all = 0;
    double atJoints = 0;
    double given = 0;
    for (int k = 0; k < size; k++) {
      given += flows[k] * openCircuit[k];
      all += warmth[k];
      atJoints += flows[k] * flows[k] * joint[k];
    }
    heat = all - atJoints;
    jointHeat = atJoints;
    chemicalBefore = given;
  }

  /** An RC branch goes on towards the voltage at which it settles. */
  private void relax(double[] from, double[] to, double share, double decay) {
    for (int k = 0; k < size; k++) {
      double settled = flows[k] * resistance[k] * share;
      to[k] = settled + (from[k] - settled) * decay;
    }
  }

  /**
   * Warms each cell by what is made at it, each one thermal node: C dT/dt = heat − G (T − air),
   * exact for constant heat.
   *
   * @param more heat at each cell, W
   * @param rise above the air of a cell that sheds 1 W, K/W
   * @param decay what is left of the distance from where it settles
   */
  void warm(double air, double more, double rise, double decay) {
    for (int k = 0; k < size; k++) {
      double settled = air + (warmth[k] + more) * rise;
      kelvin[k] = settled + (kelvinBefore[k] - settled) * decay;
    }
  }

  /**
   * Warms each cell in its place by what is made at it.
   *
   * @param inBox heat that other things make in the box, W
   */
  void warm(InPlace place, double inBox, double dt) {
    double[] strips = place.stripHeat();
    for (int k = 0; k < size; k++) {
      warmth[k] += strips[k];
    }
    System.arraycopy(kelvinBefore, 0, kelvin, 0, size);
    place.touching().step(kelvin, warmth, inBox, dt);
  }

  /** Works out what follows from charge and temperature. */
  void follow() {
    CubicTable bySoc = table.bySoc();
    LineTable byTemperature = table.temperatureFactor();
    for (int k = 0; k < size; k++) {
      double at = bySoc.place(soc[k]);
      int piece = bySoc.piece(at);
      double along = at - piece;
      openCircuit[k] = bySoc.first(piece, along);
      resistance[k] = r10[k] * bySoc.second(piece, along) * byTemperature.value(kelvin[k]);
    }
    for (int k = 0; k < size; k++) {
      inner[k] = openCircuit[k] - fast[k] - slow[k];
      ohmic[k] = CellCircuit.R0_SHARE * resistance[k] + joint[k];
      conducts[k] = 1 / ohmic[k];
    }
    double warmest = kelvin[0];
    double coolest = kelvin[0];
    for (int k = 0; k < size; k++) {
      warmest = Math.max(warmest, kelvin[k]);
      coolest = Math.min(coolest, kelvin[k]);
    }
    hottest = warmest;
    coldest = coolest;
  }

  /** Goes back to what was before the last step, once. */
  void goBack() {
    changePlaces();
    follow();
  }

  private void changePlaces() {
    double[] z = soc;
    soc = socBefore;
    socBefore = z;
    double[] f = fast;
    fast = fastBefore;
    fastBefore = f;
    double[] s = slow;
    slow = slowBefore;
    slowBefore = s;
    double[] t = kelvin;
    kelvin = kelvinBefore;
    kelvinBefore = t;
  }
}
