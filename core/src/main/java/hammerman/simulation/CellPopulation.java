package hammerman.simulation;

import hammerman.cell.CellType;
import hammerman.cell.Health;
import hammerman.pack.Pack;
import java.util.Arrays;
import java.util.random.RandomGenerator;
import org.jspecify.annotations.Nullable;

/**
 * The very cells of a pack: S groups in series of P cells in parallel, each with a capacity, a
 * resistance, a joint and a state of charge of its own. Cell k of group g has the index g P + k.
 *
 * <p>Cells that are all alike are stepped as one that stands for all, at the cost of one; measured
 * cells as one for each group, which shares the group's charge and has the resistance of all its
 * cells side by side, until {@link #each} is asked for.
 */
public final class CellPopulation {
  /** What is stepped by itself. */
  private enum Detail {
    ONE,
    GROUPS,
    CELLS
  }

  private final Pack pack;
  private final Detail detail;
  private final double[] capacity;
  private final double[] resistance;
  private final double[] joint;
  private final double[] ahead;

  /** The cells behind groups that are stepped as one each. */
  private final @Nullable CellPopulation behind;

  private CellPopulation(
      Pack pack,
      Detail detail,
      double[] capacity,
      double[] resistance,
      double[] joint,
      double[] ahead,
      @Nullable CellPopulation behind) {
    this.pack = pack;
    this.detail = detail;
    this.capacity = capacity;
    this.resistance = resistance;
    this.joint = joint;
    this.ahead = ahead;
    this.behind = behind;
  }

  /** The cells as they are known: measured and in groups, or as their type says. */
  public static CellPopulation of(Pack pack) {
    return pack.matched()
        .map(m -> measured(pack, m.capacities(), m.resistances(pack.cell().r10())).byGroup())
        .orElseGet(() -> alike(pack));
  }

  /** Cells that are all as their type says. */
  public static CellPopulation alike(Pack pack) {
    CellType cell = pack.cell();
    return new CellPopulation(
        pack,
        Detail.ONE,
        new double[] {cell.capacity()},
        new double[] {cell.r10()},
        new double[1],
        new double[1],
        null);
  }

  /**
   * Cells drawn at random: capacity, resistance and joint of each from a normal distribution about
   * what was measured of it or the type says, held within four standard deviations and above a
   * tenth of the mean. The same generator in the same state draws the same cells.
   */
  public static CellPopulation drawn(Pack pack, Tolerance tolerance, RandomGenerator random) {
    int n = pack.cells();
    double[] capacity = new double[n];
    double[] resistance = new double[n];
    double[] joint = new double[n];
    CellPopulation known = of(pack).each();
    for (int k = 0; k < n; k++) {
      capacity[k] = known.capacity[k] * factor(tolerance.capacity(), random);
      resistance[k] = known.resistance[k] * factor(tolerance.resistance(), random);
      joint[k] = tolerance.joint() * factor(tolerance.jointSpread(), random);
    }
    return new CellPopulation(pack, Detail.CELLS, capacity, resistance, joint, new double[n], null);
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
        pack,
        Detail.CELLS,
        capacity.clone(),
        resistance.clone(),
        new double[n],
        new double[n],
        null);
  }

  /** The same with each group stepped as one cell that stands for all of it. */
  private CellPopulation byGroup() {
    int groups = pack.series();
    double[] mean = new double[groups];
    double[] beside = new double[groups];
    for (int g = 0; g < groups; g++) {
      double conducts = 0;
      for (int k = g * pack.parallel(); k < (g + 1) * pack.parallel(); k++) {
        conducts += 1 / resistance[k];
      }
      mean[g] = groupCapacity(g) / pack.parallel();
      beside[g] = pack.parallel() / conducts;
    }
    return new CellPopulation(
        pack, Detail.GROUPS, mean, beside, new double[groups], new double[groups], this);
  }

  /** Returns the same cells, each stepped by itself even if all are alike. */
  public CellPopulation each() {
    if (detail == Detail.CELLS) {
      return this;
    }
    if (behind != null) {
      return behind;
    }
    int n = pack.cells();
    return new CellPopulation(
        pack,
        Detail.CELLS,
        filled(capacity[0], n),
        filled(resistance[0], n),
        filled(joint[0], n),
        filled(ahead[0], n),
        null);
  }

  private static double[] filled(double value, int n) {
    double[] all = new double[n];
    Arrays.fill(all, value);
    return all;
  }

  /** Returns the same cells after the years have worn them. */
  public CellPopulation worn(Health by) {
    return scaled(by.capacity(), by.resistance());
  }

  /**
   * Returns the same cells with all capacities and all resistances by a factor.
   *
   * @throws IllegalArgumentException unless both are above 0
   */
  public CellPopulation scaled(double capacities, double resistances) {
    if (!(capacities > 0 && resistances > 0)) {
      throw new IllegalArgumentException("scales " + capacities + " and " + resistances);
    }
    return new CellPopulation(
        pack,
        detail,
        times(capacity, capacities),
        times(resistance, resistances),
        joint,
        ahead,
        behind == null ? null : behind.scaled(capacities, resistances));
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
        pack, Detail.CELLS, single.capacity, single.resistance, ohms.clone(), single.ahead, null);
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
        pack, Detail.CELLS, single.capacity, single.resistance, single.joint, by.clone(), null);
  }

  /** Returns the pack that they make. */
  public Pack pack() {
    return pack;
  }

  /**
   * Returns the longest step that they may take, s, where one was wanted: cells that are stepped
   * side by side want short ones.
   */
  public double step(double wanted) {
    return detail == Detail.CELLS ? Math.min(wanted, SharedStep.longest(this)) : wanted;
  }

  /** Returns how many groups are stepped; one stands for all of them if all are alike. */
  int groups() {
    return detail == Detail.ONE ? 1 : pack.series();
  }

  /** Returns how many cells of each group are stepped. */
  int perGroup() {
    return detail == Detail.CELLS ? pack.parallel() : 1;
  }

  /** Which of those that are stepped stands for a cell. */
  private int stepped(int cell) {
    return switch (detail) {
      case ONE -> 0;
      case GROUPS -> cell / pack.parallel();
      case CELLS -> cell;
    };
  }

  /** Returns the capacity of a cell at 25 °C, Ah. */
  public double capacity(int cell) {
    return capacity[stepped(cell)];
  }

  /** Returns the 10 s resistance of a cell at 25 °C, Ω. */
  public double resistance(int cell) {
    return resistance[stepped(cell)];
  }

  /** Returns the capacity of one that is stepped, Ah. */
  double steppedCapacity(int k) {
    return capacity[k];
  }

  /** Returns the resistance of one that is stepped, Ω. */
  double steppedResistance(int k) {
    return resistance[k];
  }

  /** Returns what lies between one that is stepped and its group's bar, Ω. */
  double joint(int k) {
    return joint[k];
  }

  /** Returns how far the state of charge of one that is stepped is ahead at the start. */
  double ahead(int k) {
    return ahead[k];
  }

  /** Returns the capacity of a group at 25 °C, Ah. */
  public double groupCapacity(int group) {
    double sum = 0;
    for (int k = 0; k < pack.parallel(); k++) {
      sum += capacity(group * pack.parallel() + k);
    }
    return sum;
  }

  /** The mean of all groups' capacities at 25 °C, Ah. */
  double meanGroupCapacity() {
    double sum = 0;
    for (int g = 0; g < pack.series(); g++) {
      sum += groupCapacity(g);
    }
    return sum / pack.series();
  }
}
