package hammerman.forecast;

import hammerman.design.Design;
import hammerman.pack.Pack;
import hammerman.simulation.CellPopulation;
import hammerman.simulation.Day;
import hammerman.simulation.Outcome;
import hammerman.simulation.Run;
import hammerman.sort.Matching;
import hammerman.sort.MeasuredCell;
import java.util.ArrayList;
import java.util.List;
import java.util.function.ToDoubleFunction;

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
  private static final double STEP = 5;

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
   * @param direct whether resistances are those of direct current after 10 s; else, as those at 1
   *     kHz, they tell how the cells differ, and the design's cell how great they are
   */
  public static MatchCost of(
      Design design, Matching matching, List<MeasuredCell> asTheyCame, boolean direct) {
    int series = matching.groups().size();
    Forecast f =
        Forecast.of(
            design
                .withCounts(series, matching.groups().getFirst().size())
                .withFit(null)
                .withSecond(null));
    List<MeasuredCell> matched = matching.groups().stream().flatMap(List::stream).toList();
    List<MeasuredCell> dealt = new ArrayList<>(asTheyCame);
    dealt.retainAll(matched);
    double middle = mean(matched, MeasuredCell::resistance);
    Pack pack = f.design().pack();
    double scale = direct || Double.isNaN(middle) ? 1 : pack.cell().r10() / middle;
    double usual = Double.isNaN(middle) ? pack.cell().r10() : middle;
    double capacity = mean(matched, MeasuredCell::capacity);
    List<MeasuredCell> perfect =
        matched.stream().map(c -> MeasuredCell.of(c.label(), capacity, usual)).toList();
    return new MatchCost(
        run(f, matched, scale, usual),
        run(f, dealt, scale, usual),
        run(f, perfect, scale, usual).ofAll());
  }

  private static double mean(List<MeasuredCell> cells, ToDoubleFunction<MeasuredCell> of) {
    return cells.stream()
        .mapToDouble(of)
        .filter(v -> !Double.isNaN(v))
        .average()
        .orElse(Double.NaN);
  }

  private static Way run(Forecast f, List<MeasuredCell> cells, double scale, double usual) {
    double[] capacity = cells.stream().mapToDouble(MeasuredCell::capacity).toArray();
    double[] ohms =
        cells.stream()
            .mapToDouble(c -> scale * (c.hasResistance() ? c.resistance() : usual))
            .toArray();
    var air = f.design().duty().surroundings();
    double middle = 0.5 * (air.coldestInUse() + air.hottestInUse());
    Run run =
        Onward.in(f.chain(), f.onward(), middle, Math.max(STEP, f.onward().endTime() / 3000))
            .with(CellPopulation.measured(f.design().pack(), capacity, ohms))
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
