package hammerman.forecast;

import hammerman.design.Design;
import hammerman.pack.MatchedCells;
import hammerman.pack.Pack;
import hammerman.simulation.CellPopulation;
import hammerman.simulation.Day;
import hammerman.simulation.Outcome;
import hammerman.simulation.Run;
import hammerman.sort.Matching;
import hammerman.sort.MeasuredCell;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;

/**
 * What the groups of a matching come to in a pack, through the engine: the duty's load gone on with
 * until the pack ends it, on a typical day, with the cells as they were matched, dealt out as they
 * came, and with groups that are all the mean. Every cell by itself, groups ideal.
 *
 * @param matched as they were matched
 * @param dealt the same cells in the order they were measured, group by group
 * @param perfect every cell the mean of all
 */
public record MatchCost(Way matched, Way dealt, Way perfect) {
  private static final double STEP = 10;

  /**
   * One way to fill the groups.
   *
   * @param usable charge out until the end, Ah
   * @param lowest voltage at the machine, V
   * @param time until the end, s
   * @param ends what ends it, in words
   * @param group that ends it, from 0; -1 where it is not one group
   */
  public record Way(double usable, double lowest, double time, String ends, int group) {
    /** The same where groups are alike, so that none of them is the one. */
    private Way ofAll() {
      return new Way(usable, lowest, time, ends, -1);
    }
  }

  /**
   * Runs the three.
   *
   * @param design with any counts; taken are those of the matching
   * @param asTheyCame the cells in the order they were measured, spares among them
   * @param direct whether resistances are those of direct current after 10 s; see {@link
   *     MatchedCells}
   */
  public static MatchCost of(
      Design design, Matching matching, List<MeasuredCell> asTheyCame, boolean direct) {
    MatchedCells cells = matching.cells(direct);
    List<MeasuredCell> used = new ArrayList<>(asTheyCame);
    used.retainAll(matching.groups().stream().flatMap(List::stream).toList());
    int parallel = cells.groups().getFirst().cells().size();
    List<List<MeasuredCell>> dealt = new ArrayList<>();
    for (int k = 0; k < used.size(); k += parallel) {
      dealt.add(used.subList(k, k + parallel));
    }
    Forecast f = Forecast.of(design.withMatched(cells).withFit(null).withSecond(null));
    return new MatchCost(
        run(f, cells), run(f, Matching.cells(dealt, direct)), run(f, alike(cells)).ofAll());
  }

  /** As many cells, each the mean of all. */
  private static MatchedCells alike(MatchedCells cells) {
    OptionalDouble ohms = cells.meanResistance();
    return new MatchedCells(
        cells.groups().stream()
            .map(
                g ->
                    new MatchedCells.Group(
                        g.cells().stream()
                            .map(
                                c ->
                                    new MatchedCells.Cell(
                                        c.label(),
                                        cells.meanCapacity(),
                                        ohms.isPresent() ? ohms.getAsDouble() : null))
                            .toList()))
            .toList(),
        cells.direct());
  }

  private static Way run(Forecast f, MatchedCells cells) {
    Pack pack = f.design().pack();
    CellPopulation each =
        CellPopulation.measured(pack, cells.capacities(), cells.resistances(pack.cell().r10()));
    var air = f.design().duty().surroundings();
    double middle = 0.5 * (air.coldestInUse() + air.hottestInUse());
    Run run =
        Onward.in(f.chain(), f.onward(), middle, Math.max(STEP, f.onward().endTime() / 3000))
            .with(each)
            .run();
    int group =
        switch (run.outcome()) {
          case Outcome.BmsCutOff o -> o.place().group();
          case Outcome.Empty o -> o.place().group();
          case Outcome.TooHot o -> o.place().group();
          case Outcome.Complete o -> -1;
          case Outcome.MachineCutOut o -> -1;
          case Outcome.OverCurrent o -> -1;
          case Outcome.FuseOpens o -> -1;
          case Outcome.CannotDeliver o -> -1;
        };
    return new Way(
        run.totals().delivered() - run.totals().regenerated(),
        run.extremes().lowestVoltage(),
        run.endTime(),
        Day.ending(run.outcome()),
        group);
  }
}
