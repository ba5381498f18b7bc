package hammerman.simulation;

import hammerman.cell.CellType;
import hammerman.cell.Health;
import hammerman.pack.Pack;
import java.util.Arrays;
import java.util.random.RandomGenerator;

/**
 * The very cells of a pack: S groups in series of P cells in parallel, each with a capacity, a
 * resistance, a joint and a state of charge of its own. Cell k of group g has the index g P + k.
 *
 * <p>Cells that are all alike are stepped as one that stands for all, at the cost of one.
 */
public final class CellPopulation {
  private final Pack pack;
  private final boolean alike;
  private final double[] capacity;
  private final double[] resistance;
  private final double[] joint;
  private final double[] ahead;

  private CellPopulation(
      Pack pack,
      boolean alike,
      double[] capacity,
      double[] resistance,
      double[] joint,
      double[] ahead) {
    this.pack = pack;
    this.alike = alike;
    this.capacity = capacity;
    this.resistance = resistance;
    this.joint = joint;
    this.ahead = ahead;
  }

  /** Cells that are all as their type says. */
  public static CellPopulation alike(Pack pack) {
    CellType cell = pack.cell();
    return new CellPopulation(
        pack,
        true,
        new double[] {cell.capacity()},
        new double[] {cell.r10()},
        new double[1],
        new double[1]);
  }

  /**
   * Cells drawn at random: capacity, resistance and joint of each from a normal distribution about
   * what the type says, held within four standard deviations and above a tenth of the mean. The
   * same generator in the same state draws the same cells.
   */
  public static CellPopulation drawn(Pack pack, Tolerance tolerance, RandomGenerator random) {
    int n = pack.cells();
    double[] capacity = new double[n];
    double[] resistance = new double[n];
    double[] joint = new double[n];
    for (int k = 0; k < n; k++) {
      capacity[k] = pack.cell().capacity() * factor(tolerance.capacity(), random);
      resistance[k] = pack.cell().r10() * factor(tolerance.resistance(), random);
      joint[k] = tolerance.joint() * factor(tolerance.jointSpread(), random);
    }
    return new CellPopulation(pack, false, capacity, resistance, joint, new double[n]);
  }

  private static double factor(double deviation, RandomGenerator random) {
    return Math.max(0.1, 1 + deviation * Math.clamp(random.nextGaussian(), -4, 4));
  }

  /**
   * Cells as they were measured.
   *
   * @param capacity of each at 25 °C, Ah
   * @param resistance of each, 10 s at 25 °C, Ω
   * @throws IllegalArgumentException unless there are as many of both as cells, all above 0
   */
  public static CellPopulation measured(Pack pack, double[] capacity, double[] resistance) {
    int n = pack.cells();
    if (capacity.length != n || resistance.length != n) {
      throw new IllegalArgumentException(
          "%d capacities and %d resistances for %d cells"
              .formatted(capacity.length, resistance.length, n));
    }
    for (int k = 0; k < n; k++) {
      if (!(capacity[k] > 0 && resistance[k] > 0)) {
        throw new IllegalArgumentException(
            "cell %d has %s Ah and %s Ω".formatted(k, capacity[k], resistance[k]));
      }
    }
    return new CellPopulation(
        pack, false, capacity.clone(), resistance.clone(), new double[n], new double[n]);
  }

  /** Returns the same cells, each stepped by itself even if all are alike. */
  public CellPopulation each() {
    if (!alike) {
      return this;
    }
    int n = pack.cells();
    return new CellPopulation(
        pack,
        false,
        filled(capacity[0], n),
        filled(resistance[0], n),
        filled(joint[0], n),
        filled(ahead[0], n));
  }

  private static double[] filled(double value, int n) {
    double[] all = new double[n];
    Arrays.fill(all, value);
    return all;
  }

  /** Returns the same cells after the years have worn them. */
  public CellPopulation worn(Health by) {
    return new CellPopulation(
        pack,
        alike,
        times(capacity, by.capacity()),
        times(resistance, by.resistance()),
        joint,
        ahead);
  }

  private static double[] times(double[] values, double by) {
    return Arrays.stream(values).map(v -> v * by).toArray();
  }

  /**
   * Returns the same cells with what lies between each and its group's bar.
   *
   * @param ohms for each cell, 0 or more
   */
  public CellPopulation joined(double[] ohms) {
    CellPopulation single = each();
    if (ohms.length != pack.cells()) {
      throw new IllegalArgumentException(ohms.length + " joints for " + pack.cells() + " cells");
    }
    return new CellPopulation(
        pack, false, single.capacity, single.resistance, ohms.clone(), single.ahead);
  }

  /**
   * Returns the same cells, some charged further than others at the start.
   *
   * @param by how far each is ahead of the run's state of charge at the start, -1 to 1
   */
  public CellPopulation ahead(double[] by) {
    CellPopulation single = each();
    if (by.length != pack.cells()) {
      throw new IllegalArgumentException(by.length + " states for " + pack.cells() + " cells");
    }
    return new CellPopulation(
        pack, false, single.capacity, single.resistance, single.joint, by.clone());
  }

  /** Returns the pack that they make. */
  public Pack pack() {
    return pack;
  }

  /** Whether one cell stands for all. */
  boolean isAlike() {
    return alike;
  }

  /** Returns how many cells are stepped. */
  int size() {
    return capacity.length;
  }

  /** Returns the capacity of a cell at 25 °C, Ah. */
  public double capacity(int cell) {
    return capacity[alike ? 0 : cell];
  }

  /** Returns the 10 s resistance of a cell at 25 °C, Ω. */
  public double resistance(int cell) {
    return resistance[alike ? 0 : cell];
  }

  /** Returns what lies between a cell and its group's bar, Ω. */
  double joint(int cell) {
    return joint[alike ? 0 : cell];
  }

  /** Returns how far a cell's state of charge is ahead of the others' at the start. */
  double ahead(int cell) {
    return ahead[alike ? 0 : cell];
  }

  /** Returns the capacity of a group at 25 °C, Ah. */
  public double groupCapacity(int group) {
    double sum = 0;
    for (int k = 0; k < pack.parallel(); k++) {
      sum += capacity(group * pack.parallel() + k);
    }
    return sum;
  }
}
