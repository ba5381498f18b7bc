package hammerman.app.station.sort;

import hammerman.app.picture.Pen;
import hammerman.app.picture.PictureOf;
import hammerman.app.picture.Plot;
import hammerman.app.picture.Role;
import hammerman.app.picture.Scale;
import hammerman.sort.Matching;
import hammerman.sort.MeasuredCell;
import hammerman.unit.Unit;
import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;

/** The groups as columns filled with their cells, and below how far each is from their mean. */
final class GroupsPicture extends PictureOf<Matching> {
  private static final double LEFT = 54;
  private static final double RIGHT = 12;
  private static final double TOP = 26;
  private static final double BOTTOM = 26;
  private static final double GAP = 40;

  /** Cells thinner than this are not told apart, px. */
  private static final double LEAST_CELL = 3;

  GroupsPicture() {
    super("Groups filled with their cells, and how level they are");
    setId("groups-picture");
    setMinSize(300, 220);
  }

  @Override
  public List<Series> figures() {
    Matching m = shown();
    if (m == null) {
      return List.of();
    }
    double[] number = IntStream.rangeClosed(1, m.groups().size()).asDoubleStream().toArray();
    return List.of(
        new Series("Group", number),
        new Series("Capacity, Ah", capacities(m)),
        new Series(
            "Resistance, mΩ",
            m.groups().stream()
                .mapToDouble(g -> Unit.MILLIOHM.fromCore(Matching.resistance(g)))
                .toArray()));
  }

  private static double[] capacities(Matching m) {
    return m.groups().stream().mapToDouble(Matching::capacity).toArray();
  }

  @Override
  protected void paint(Pen pen, double width, double height, Matching m) {
    double[] ah = capacities(m);
    int n = ah.length;
    double mean = Arrays.stream(ah).average().orElse(1);
    double upper = (height - TOP - BOTTOM - GAP) * 0.6;
    double most = Arrays.stream(ah).max().orElse(1);
    Scale y = new Scale(0, 1.08 * most, TOP + upper, TOP);
    Scale x = new Scale(0, n, LEFT, width - RIGHT);
    new Plot(pen, x, y).vertical("Cells of each group, Ah");
    pen.line(Role.INK, 1, x.from(), y.from(), x.to(), y.from());
    double wide = Math.max(1, Math.min(48, 0.74 * (x.to() - x.from()) / n));
    int weakest = m.isLevel() ? -1 : m.weakest();
    for (int g = 0; g < n; g++) {
      double left = x.at(g + 0.5) - wide / 2;
      column(pen, y, left, wide, m.groups().get(g), g == weakest);
    }
    double[] off = Arrays.stream(ah).map(v -> 1000 * (v - mean)).toArray();
    double farthest = Math.max(0.5, Arrays.stream(off).map(Math::abs).max().orElse(1));
    Scale apart = new Scale(-1.25 * farthest, 1.25 * farthest, height - BOTTOM, TOP + upper + GAP);
    new Plot(pen, x, apart).vertical("From their mean, mAh");
    pen.line(Role.INK, 1, x.from(), apart.at(0), x.to(), apart.at(0));
    double gap = (x.to() - x.from()) / n;
    int every = gap >= 20 ? 1 : gap >= 8 ? 5 : 10;
    for (int g = 0; g < n; g++) {
      double left = x.at(g + 0.5) - wide / 2;
      double top = Math.min(apart.at(0), apart.at(off[g]));
      double tall = Math.max(1, Math.abs(apart.at(off[g]) - apart.at(0)));
      pen.fill(g == weakest ? Role.HOT : Role.COOL, left, top, wide, tall);
      if (every == 1 || (g + 1) % every == 0 || g == 0) {
        pen.figureCentred(
            g == weakest ? Role.HOT : Role.SOFT,
            Pen.TEXT,
            x.at(g + 0.5),
            height - 12,
            String.valueOf(g + 1));
      }
    }
    pen.nameBefore(Role.SOFT, Pen.TEXT, x.to(), TOP + upper + 14, "Group, 1 at the negative end");
  }

  private static void column(
      Pen pen, Scale y, double left, double wide, List<MeasuredCell> cells, boolean weakest) {
    double sum = 0;
    boolean apart = Math.abs(y.at(0) - y.at(cells.getFirst().capacity())) >= LEAST_CELL;
    for (MeasuredCell c : cells) {
      double foot = y.at(sum);
      sum += c.capacity();
      double head = y.at(sum);
      pen.fill(weakest ? Role.HOT_WASH : Role.COOL_WASH, left, head, wide, foot - head);
      if (apart) {
        pen.line(Role.PAPER, 1, left, head, left + wide, head);
      }
    }
    pen.line(weakest ? Role.HOT : Role.COOL, 2, left, y.at(sum), left + wide, y.at(sum));
  }
}
