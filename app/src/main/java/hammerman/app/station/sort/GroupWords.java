package hammerman.app.station.sort;

import hammerman.forecast.MatchCost;
import hammerman.pack.MatchedCells;
import hammerman.sort.Matching;
import hammerman.sort.MeasuredCell;
import hammerman.unit.Figures;
import hammerman.unit.Unit;
import java.util.DoubleSummaryStatistics;
import java.util.List;
import java.util.stream.Collectors;

/** What is said of matched groups. */
final class GroupWords {
  private static final int MOST_LISTED = 24;

  /** No meter of a hobbyist tells resistances apart that lie nearer than this share. */
  private static final double LEAST_SHARE = 0.001;

  private GroupWords() {}

  /** What a matching comes to, run through the engine, against the cells as they came. */
  static String of(MatchCost c) {
    return """
    Matched: %s
    As they came: %s
    All alike: %s\
    """
        .formatted(way(c.matched()), way(c.dealt()), way(c.perfect()));
  }

  private static String way(MatchCost.Way w) {
    return "%s to use, down to %s, %s; %s%s."
        .formatted(
            Figures.of(w.usable(), Unit.AMPERE_HOUR, 2),
            Figures.of(w.lowest(), Unit.VOLT, 2),
            Figures.duration(w.time()),
            w.ends(),
            w.group() < 0 ? "" : ", group " + (w.group() + 1) + " first");
  }

  /** How level the groups are, and how much more could be had. */
  static String level(Matching m) {
    if (m.isLevel()) {
      return "All groups hold the same, "
          + Figures.of(Matching.capacity(m.groups().getFirst()), Unit.AMPERE_HOUR, 2);
    }
    String bound =
        m.lowerBound() >= m.spread()
            ? ", which no choice beats"
            : m.lowerBound() > 0
                ? "; none can lie nearer than " + milliampereHours(m.lowerBound())
                : "";
    return "Groups lie %s apart%s. Group %d is the weakest, with %s"
        .formatted(
            milliampereHours(m.spread()),
            bound,
            m.weakest() + 1,
            Figures.of(Matching.capacity(m.groups().get(m.weakest())), Unit.AMPERE_HOUR, 2));
  }

  /** How far the resistances of the groups lie apart, as a share of the least. */
  static String resistances(Matching m) {
    DoubleSummaryStatistics all =
        m.groups().stream().mapToDouble(Matching::resistance).summaryStatistics();
    double share = all.getMax() / all.getMin() - 1;
    return share >= LEAST_SHARE
        ? " Their resistances lie %s apart.".formatted(Figures.of(share, Unit.PERCENT, 1))
        : share >= 0 ? " Their resistances are the same within 0.1\u00a0%." : "";
  }

  /** That capacities were not measured, where that is so. */
  static String assumed(MatchedCells cells) {
    int without = cells.withoutCapacity().size();
    return without == 0
        ? ""
        : " Of %s the capacity is not measured, so how level they are is not known."
            .formatted(without == 1 ? "one cell" : without + " cells");
  }

  private static String milliampereHours(double ah) {
    return Figures.fixed(1000 * ah, ah < 0.01 ? 1 : 0) + "\u00a0mAh";
  }

  /** Labels of a group; the picking list has them all. */
  static String listed(List<MeasuredCell> cells) {
    int shown = Math.min(MOST_LISTED, cells.size());
    String labels =
        cells.subList(0, shown).stream().map(MeasuredCell::label).collect(Collectors.joining(" "));
    return shown == cells.size() ? labels : labels + " and %d more".formatted(cells.size() - shown);
  }
}
