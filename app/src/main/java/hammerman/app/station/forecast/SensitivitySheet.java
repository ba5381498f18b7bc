package hammerman.app.station.forecast;

import hammerman.app.picture.Pen;
import hammerman.app.picture.Picture;
import hammerman.app.picture.Plot;
import hammerman.app.picture.Role;
import hammerman.app.picture.Scale;
import hammerman.forecast.Answer;
import hammerman.forecast.Sensitivity;
import hammerman.forecast.Sensitivity.Effect;
import java.util.List;
import java.util.function.ToDoubleFunction;
import org.jspecify.annotations.Nullable;

/** One bar for each input, from what the answer is with it lower to what it is with it higher. */
final class SensitivitySheet extends Picture {
  private static final double LEFT = 226;
  private static final double RIGHT = 70;
  private static final double TOP = 28;
  private static final double BOTTOM = 26;
  private static final double LEAST_ROW = 18;
  private static final double MOST_ROW = 34;

  /** An input that moves the answer by less than this of the strongest is not drawn. */
  private static final double WORTH = 0.01;

  private @Nullable Sensitivity made;
  private Answer answer = Answer.TIME;

  SensitivitySheet() {
    super("How far each input moves the answer");
    setId("sensitivity-sheet");
  }

  void show(@Nullable Sensitivity value, Answer of) {
    made = value;
    answer = of;
    redraw();
  }

  private List<Effect> effects() {
    Sensitivity s = made;
    if (s == null) {
      return List.of();
    }
    List<Effect> all = s.effects().getOrDefault(answer, List.of());
    double most = all.isEmpty() ? 0 : all.getFirst().most();
    return all.stream().filter(e -> e.most() > WORTH * most && e.most() > 1e-9).toList();
  }

  private double[] of(ToDoubleFunction<Effect> read) {
    return effects().stream().mapToDouble(read).map(answer.unit()::fromCore).toArray();
  }

  @Override
  public List<Series> figures() {
    return List.of(
        new Series("Input lower, " + answer.unit().symbol(), of(Effect::low)),
        new Series("As it is, " + answer.unit().symbol(), of(Effect::now)),
        new Series("Input higher, " + answer.unit().symbol(), of(Effect::high)));
  }

  @Override
  protected void paint(Pen pen, double width, double height) {
    List<Effect> all = effects();
    if (all.isEmpty()) {
      if (made != null) {
        pen.words(Role.SOFT, 13, 8, 24, "None of the inputs, changed alone, moves it.");
      }
      return;
    }
    double[] low = of(Effect::low);
    double[] high = of(Effect::high);
    double now = answer.unit().fromCore(all.getFirst().now());
    double reach = 0;
    for (int k = 0; k < low.length; k++) {
      reach = Math.max(reach, Math.max(Math.abs(low[k] - now), Math.abs(high[k] - now)));
    }
    double row = Math.clamp((height - TOP - BOTTOM) / all.size(), LEAST_ROW, MOST_ROW);
    int rows = Math.min(all.size(), (int) ((height - TOP - BOTTOM) / row));
    double bottom = TOP + rows * row;
    Scale x = new Scale(now - 1.08 * reach, now + 1.08 * reach, LEFT, width - RIGHT);
    Plot plot = new Plot(pen, x, new Scale(0, 1, bottom, TOP));
    pen.name(Role.SOFT, Pen.TEXT, 2, 12, "Input, changed by");
    for (int k = 0; k < rows; k++) {
      double y = TOP + (k + 0.5) * row;
      Effect e = all.get(k);
      pen.name(Role.INK, Pen.TEXT, 2, y, e.input().label() + ", " + e.input().by());
      bar(pen, x, y, row, now, low[k], "less");
      bar(pen, x, y, row, now, high[k], "more");
    }
    pen.line(Role.INK, 1, x.at(now), TOP - 4, x.at(now), bottom);
    pen.nameCentred(Role.INK, Pen.TEXT, x.at(now), 12, "now " + answer.shown(all.getFirst().now()));
    plot.horizontal("%s, %s".formatted(answer.label(), answer.unit().symbol()));
  }

  /**
   * One half of a bar: warm where the answer is the worse for it, with what was done at its end.
   */
  private void bar(Pen pen, Scale x, double y, double row, double now, double then, String what) {
    double a = x.at(now);
    double b = x.at(then);
    if (Math.abs(b - a) < 1) {
      return;
    }
    boolean better = (then > now) == answer.isMoreBetter();
    double tall = Math.min(14, row - 6);
    Role role = better ? Role.COOL : Role.HOT;
    pen.fill(role, Math.min(a, b), y - tall / 2, Math.abs(b - a), tall);
    if (b > a) {
      pen.words(role, Pen.TEXT, b + 5, y, what);
    } else {
      pen.wordsBefore(role, Pen.TEXT, b - 5, y, what);
    }
  }
}
