package hammerman.simulation;

import hammerman.cell.Health;
import hammerman.chain.Chain;
import hammerman.chain.Layout;
import hammerman.design.SecondPack;
import hammerman.design.SecondPack.Joining;
import hammerman.duty.Load;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * Two packs through a whole duty: the first and the second of a design, joined as it says.
 *
 * <p>In parallel each pack is a source E behind its resistance R; the junction takes the voltage at
 * which the currents add up to the load's: V = (Σ E/R − I) / Σ 1/R. Diodes let current out only and
 * drop 0.4 V. A pack whose BMS opens leaves the other alone. A reserve takes over when the first
 * has ended. Currents are constant over a step, at which they are shared as in its middle; both
 * packs keep their own temperature.
 *
 * @param joining how they were joined
 * @param both the two as one run, seen from the machine, with the cells of the first if they are
 *     stepped one by one; a pack that opens ends it only if the other cannot go on. Its state of
 *     charge is that of the emptier pack in series, where the first to be empty ends it, else the
 *     mean, each weighing by its capacity
 * @param first what the first pack gave
 * @param second what the second pack gave
 * @param switchedAt when the reserve took over, s; not a number if it never did
 * @param recovery whether what ended it too soon comes back; nothing where nothing did
 */
public record TwinRun(
    Joining joining,
    Run both,
    Side first,
    Side second,
    double switchedAt,
    Optional<Recovery> recovery) {

  /**
   * One pack's part in it.
   *
   * @param run what it went through: voltage, current and energy at the junction, behind its own
   *     protection and leads; how its own protection opened it, or else how both ended
   * @param back highest current that the other pack or braking pushed into it, A
   * @param openedAt when its own protection opened, s; not a number if it never did
   */
  public record Side(Run run, double back, double openedAt) {
    /** Returns the net charge out, Ah. */
    public double charge() {
      return run.totals().delivered() - run.totals().regenerated();
    }

    /** Returns its highest current out, A. */
    public double peak() {
      return Math.max(0, run.extremes().peakCurrent());
    }
  }

  /** Whether all was done that was asked for, as {@link Run#served()}. */
  public boolean served() {
    return both.served();
  }

  /**
   * Runs the duty of a design with a second pack, in the hottest air, with samples; how the second
   * is put together is estimated.
   *
   * @throws IllegalArgumentException if the design has no second pack
   */
  public static TwinRun of(Chain chain) {
    double hottest = chain.design().duty().surroundings().hottestInUse();
    return of(chain, chain.design().duty().task().load(), hottest);
  }

  /**
   * Runs a load in air of a temperature (K), with samples.
   *
   * @throws IllegalArgumentException if the design has no second pack
   */
  public static TwinRun of(Chain chain, Load load, double air) {
    return traced(chain, Cells.of(chain), load, air, Discharge.stepFor(load));
  }

  /**
   * Runs a load in air of a temperature (K), with samples.
   *
   * @param cells of both packs
   * @param step the longest, s
   */
  static TwinRun traced(Chain chain, Cells cells, Load load, double air, double step) {
    return new Twins(chain, cells, load, air, step, true).run();
  }

  /** Does the same without samples. */
  public static TwinRun untraced(Chain chain, Cells cells, Load load, double air, double step) {
    return new Twins(chain, cells, load, air, step, false).run();
  }

  /**
   * The cells of both packs.
   *
   * @param told whether a run tells of each cell of the first
   * @param layout where those of the first are; in ideal groups if absent
   */
  public record Cells(
      CellPopulation first, CellPopulation second, boolean told, Layout.@Nullable Solved layout) {

    /** Cells of both in ideal groups. */
    public Cells(CellPopulation first, CellPopulation second) {
      this(first, second, false, null);
    }

    /**
     * Returns those of a design, all alike in either pack.
     *
     * @throws IllegalArgumentException if the design has no second pack
     */
    public static Cells of(Chain chain) {
      SecondPack second = chain.design().second();
      if (second == null) {
        throw new IllegalArgumentException("the design has one pack only");
      }
      return new Cells(CellPopulation.of(chain.design().pack()), CellPopulation.of(second.pack()));
    }

    /** Returns the same, worn by the years. */
    public Cells worn(Health by) {
      return new Cells(first.worn(by), second.worn(by), told, layout);
    }

    /** Returns the same with every cell of the first by itself, in its place if that is known. */
    public Cells each(Optional<Layout.Solved> places) {
      return new Cells(first.each(), second, true, places.orElse(null));
    }

    /** The longest step that they may take together, s, where one was wanted. */
    double shared(double wanted) {
      return second.step(first.step(wanted));
    }
  }
}
