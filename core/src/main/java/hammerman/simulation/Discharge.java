package hammerman.simulation;

import hammerman.cell.Health;
import hammerman.chain.Chain;
import hammerman.chain.Layout;
import hammerman.design.Design;
import hammerman.duty.Load;
import hammerman.pack.Assembly;
import hammerman.pack.Pack;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * A discharge to be run: a pack, a load and where it starts. The cells are all alike unless others
 * are given, and in ideal groups unless they are put in their places.
 *
 * <p>A load is gone through in a few thousand steps: with those of 5 s the pack's voltage at the
 * end of hours is off by less than 0.1 mV, with those of 10 s by less than 1 mV. Cost: some 150 ns
 * for each step of cells that are alike; of cells that differ, some 25 ns for each cell and step,
 * and some 100 ns in their places.
 */
public final class Discharge {
  /** The most samples a run keeps; longer loads take longer steps. */
  private static final int MOST_STEPS = 2_400;

  private final Terms terms;

  /**
   * What a run follows from.
   *
   * @param leads up to the machine, at the temperature of the air
   * @param soc at the start, 0 to 1
   * @param air its temperature, K
   * @param step the longest, s
   * @param kept what the run tells of
   * @param layout the places of the cells, with the design that they are of
   */
  @RecordBuilder
  record Terms(
      CellPopulation cells,
      Assembly assembly,
      PackState.Leads leads,
      Limits limits,
      Load load,
      double soc,
      double air,
      double step,
      Kept kept,
      @Nullable Placed layout)
      implements DischargeTermsBuilder.With {}

  /** What a run tells of besides how it ended. */
  enum Kept {
    /** Nothing. */
    END,
    /** The pack over time. */
    TRACE,
    /** Each group and cell too. */
    CELLS
  }

  /** A design laid out. */
  record Placed(Design design, Layout.Solved layout) {}

  private Discharge(Terms terms) {
    this.terms = terms;
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
        new Terms(
            CellPopulation.of(design.pack()),
            chain.path().assembly(),
            new PackState.Leads(design.guard().resistance(ambient), design.guard().inBox(ambient)),
            Limits.of(design),
            load,
            startSoc,
            ambient,
            stepFor(load),
            Kept.TRACE,
            null));
  }

  /** A discharge of the bare pack: no leads, and nothing ends it but an empty cell. */
  public static Discharge bare(Pack pack, Load load, double startSoc, double ambient) {
    return new Discharge(
        new Terms(
            CellPopulation.of(pack),
            Assembly.estimated(pack),
            PackState.Leads.NONE,
            Limits.NONE,
            load,
            startSoc,
            ambient,
            stepFor(load),
            Kept.TRACE,
            null));
  }

  /** Returns the same discharge in steps of at most {@code seconds}. */
  public Discharge withStep(double seconds) {
    if (!(seconds > 0)) {
      throw new IllegalArgumentException("step must be above 0 s, not " + seconds);
    }
    return new Discharge(terms.withStep(seconds));
  }

  /** Returns the same discharge of which no samples are kept: the end is what is asked for. */
  public Discharge untraced() {
    return new Discharge(terms.withKept(Kept.END));
  }

  /** Returns the same discharge with nothing to end it but an empty cell. */
  public Discharge withoutLimits() {
    return new Discharge(terms.withLimits(Limits.NONE));
  }

  /** Returns the same discharge of cells that the years have worn. */
  public Discharge worn(Health by) {
    return with(terms.cells().worn(by));
  }

  /**
   * Returns the same discharge of these very cells.
   *
   * @throws IllegalArgumentException if they make another pack
   */
  public Discharge with(CellPopulation these) {
    Pack pack = terms.assembly().pack();
    if (!these.pack().equals(pack)) {
      throw new IllegalArgumentException(
          "cells of a %s pack in a %s pack".formatted(these.pack().counts(), pack.counts()));
    }
    return new Discharge(terms.withCells(these));
  }

  /**
   * Returns the same discharge with every cell in its place: joined by the very strips of a layout,
   * and as warm as what it touches makes it.
   *
   * @param design that is laid out
   */
  public Discharge inPlace(Design design, Layout.Solved layout) {
    return new Discharge(cellByCell().terms.withLayout(new Placed(design, layout)));
  }

  /** Returns the same discharge with every cell by itself; the run tells of each group and cell. */
  public Discharge cellByCell() {
    return new Discharge(terms.withCells(terms.cells().each()).withKept(Kept.CELLS));
  }

  /**
   * Runs it to its end.
   *
   * @throws java.util.concurrent.CancellationException if the thread is interrupted meanwhile
   */
  public Run run() {
    return integration().run();
  }

  /** A run, and whether what ended it comes back; nothing where it was gone through to its end. */
  public record Rested(Run run, Optional<Recovery> recovery) {}

  /**
   * Runs it to its end, and leaves the pack without load if that came too soon.
   *
   * @throws java.util.concurrent.CancellationException if the thread is interrupted meanwhile
   */
  public Rested runAndRest() {
    Integration integration = integration();
    Run run = integration.run();
    return new Rested(
        run, new Rest(integration, terms.load(), terms.cells().step(terms.step())).after(run));
  }

  private Integration integration() {
    Placed placed = terms.layout();
    PackState state =
        new PackState(
            terms.cells(),
            terms.assembly(),
            terms.leads(),
            terms.soc(),
            terms.air(),
            placed == null ? null : InPlace.of(placed.layout(), placed.design(), terms.air()));
    return new Integration(
        state,
        terms.limits(),
        terms.load(),
        terms.cells().step(terms.step()),
        terms.kept() != Kept.END,
        terms.kept() == Kept.CELLS ? new CellRecorder(state) : null);
  }

  /** The longest step of a load, s. */
  static double stepFor(Load load) {
    return Math.max(1, Math.ceil(load.duration() / MOST_STEPS));
  }
}
