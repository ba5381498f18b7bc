package hammerman.forecast;

import hammerman.chain.Layout;
import hammerman.simulation.CellTrace;
import hammerman.simulation.Day;
import hammerman.simulation.Run;
import hammerman.unit.Figures;
import hammerman.unit.Unit;
import java.util.List;
import java.util.Optional;

/**
 * The four days cell by cell: joined by the very strips of the layout, each as warm as its
 * neighbours and its box make it; measured cells that are not laid out are in ideal groups. A
 * forecast's own days take all cells for alike; these take longer, and tell which group and which
 * cell.
 *
 * @param days as in the forecast, each run with its cells
 */
public record EveryCell(List<Day> days) {
  /** So many cells and steps are run in all, some 4 s on two processors. */
  private static final double MOST = 5e7;

  private static final double STEP = 10;

  /** Two packs try each step twice before they take it. */
  private static final double TRIALS = 3;

  public EveryCell {
    days = List.copyOf(days);
  }

  /**
   * Whether the pack, or the first of two, is laid out or of measured cells, and the duty not too
   * long to run cell by cell.
   */
  public static boolean possible(Forecast f) {
    double steps = f.design().duty().task().load().duration() / STEP;
    double cells = f.design().pack().cells() * (f.pair().isPresent() ? TRIALS : 1);
    return isTold(f) && Day.Kind.values().length * steps * cells < MOST;
  }

  /** Whether cells are told from each other, by their places or by what was measured. */
  public static boolean isTold(Forecast f) {
    return isLaidOut(f) || f.design().pack().matched().isPresent();
  }

  /** Whether each cell has its place, strips and neighbours; in ideal groups otherwise. */
  public static boolean isLaidOut(Forecast f) {
    return f.layout().flatMap(Layout::solved).isPresent();
  }

  /** Runs them; empty where that is not possible. Some 100 ms for four hours of 80 cells. */
  public static Optional<EveryCell> of(Forecast f) {
    return possible(f)
        ? Optional.of(
            new EveryCell(
                Day.cellByCell(
                    f.chain(), f.layout().flatMap(Layout::solved), Forecast.worn(f.life()))))
        : Optional.empty();
  }

  /** Returns a day of a kind. */
  public Day day(Day.Kind kind) {
    return days.get(kind.ordinal());
  }

  /** Returns in words where it is hottest and lowest on a day, and how far groups drift apart. */
  public String words(Day.Kind kind) {
    Run run = day(kind).run();
    return run.cells()
        .map(
            c ->
                "Hottest is %s, %s after %s; lowest is group %d, %s after %s. Groups lie up to %s apart, cells up to %s of charge."
                    .formatted(
                        c.hottest().place().words(),
                        Figures.of(c.hottest().value(), Unit.CELSIUS, 1),
                        Figures.duration(c.hottest().time()),
                        c.lowest().place().group() + 1,
                        Figures.of(c.lowest().value(), Unit.VOLT, 2),
                        Figures.duration(c.lowest().time()),
                        apart(c),
                        Figures.of(c.socApart(), Unit.PERCENT, 1)))
        .orElse("");
  }

  private static String apart(CellTrace c) {
    return Figures.of(c.apart(), Unit.MILLIVOLT);
  }
}
