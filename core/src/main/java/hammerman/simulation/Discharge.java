package hammerman.simulation;

import hammerman.cell.Health;
import hammerman.chain.Chain;
import hammerman.design.Design;
import hammerman.duty.Load;
import hammerman.pack.Assembly;
import hammerman.pack.Pack;

/**
 * A discharge to be run: a pack, a load and where it starts. The cells are all alike unless others
 * are given.
 *
 * <p>Cost: about 0.2 ms for an hour in steps of 1 s of cells that are alike; of cells that differ,
 * some 30 ns for each cell and step.
 */
public final class Discharge {
  /** The most samples a run keeps; longer loads take longer steps. */
  private static final int MOST_STEPS = 14_400;

  private final Assembly assembly;
  private final double leadResistance;
  private final Limits limits;
  private final Load load;
  private final double startSoc;
  private final double ambient;
  private final double step;
  private final CellPopulation cells;

  private Discharge(
      Assembly assembly,
      double leadResistance,
      Limits limits,
      Load load,
      double startSoc,
      double ambient,
      double step,
      CellPopulation cells) {
    this.assembly = assembly;
    this.leadResistance = leadResistance;
    this.limits = limits;
    this.load = load;
    this.startSoc = startSoc;
    this.ambient = ambient;
    this.step = step;
    this.cells = cells;
  }

  /**
   * A discharge of a design with everything that can end it, put together as its chain says.
   *
   * @param startSoc state of charge at the start, 0 to 1
   * @param ambient air temperature, K
   */
  public static Discharge of(Chain chain, Load load, double startSoc, double ambient) {
    Design design = chain.design();
    return new Discharge(
        chain.path().assembly(),
        design.guard().resistance(ambient),
        Limits.of(design),
        load,
        startSoc,
        ambient,
        stepFor(load),
        CellPopulation.alike(design.pack()));
  }

  /** A discharge of the bare pack: no leads, and nothing ends it but an empty cell. */
  public static Discharge bare(Pack pack, Load load, double startSoc, double ambient) {
    return new Discharge(
        Assembly.estimated(pack),
        0,
        Limits.NONE,
        load,
        startSoc,
        ambient,
        stepFor(load),
        CellPopulation.alike(pack));
  }

  /** Returns the same discharge in steps of at most {@code seconds}. */
  public Discharge withStep(double seconds) {
    if (!(seconds > 0)) {
      throw new IllegalArgumentException("step must be above 0 s, not " + seconds);
    }
    return new Discharge(assembly, leadResistance, limits, load, startSoc, ambient, seconds, cells);
  }

  /** Returns the same discharge of cells that the years have worn. */
  public Discharge worn(Health by) {
    return with(cells.worn(by));
  }

  /**
   * Returns the same discharge of these very cells.
   *
   * @throws IllegalArgumentException if they make another pack
   */
  public Discharge with(CellPopulation these) {
    if (!these.pack().equals(assembly.pack())) {
      throw new IllegalArgumentException(
          "cells of a %s pack in a %s pack"
              .formatted(these.pack().counts(), assembly.pack().counts()));
    }
    return new Discharge(assembly, leadResistance, limits, load, startSoc, ambient, step, these);
  }

  /** Runs it to its end. */
  public Run run() {
    PackState state = new PackState(cells, assembly, leadResistance, startSoc, ambient);
    double longest = cells.isAlike() ? step : Math.min(step, PackState.LONGEST_APART);
    return new Course(state, limits, load, longest).run();
  }

  private static double stepFor(Load load) {
    return Math.max(1, Math.ceil(load.duration() / MOST_STEPS));
  }
}
