package hammerman.app.station.prove;

import hammerman.app.picture.Pen;
import hammerman.app.picture.Picture;
import hammerman.app.picture.Plot;
import hammerman.app.picture.Role;
import hammerman.app.picture.Scale;
import hammerman.life.LifeForecast;
import hammerman.prove.Fade;
import java.util.Arrays;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** Measured capacities over the life forecast with its band, and the forecast as they revise it. */
final class FadePicture extends Picture {
  private @Nullable LifeForecast life;
  private @Nullable Fade fade;

  FadePicture() {
    super("Capacity over the years, measured over forecast");
    setId("fade-picture");
  }

  void show(LifeForecast forecast, Fade measured) {
    life = forecast;
    fade = measured;
    redraw();
  }

  @Override
  public List<Series> figures() {
    Fade f = fade;
    return f == null
        ? List.of()
        : List.of(
            new Series("Years", f.points().stream().mapToDouble(Fade.Point::years).toArray()),
            new Series(
                "Measured, % of new",
                f.points().stream().mapToDouble(p -> 100 * p.left()).toArray()));
  }

  @Override
  protected void paint(Pen pen, double width, double height) {
    LifeForecast l = life;
    Fade f = fade;
    if (l == null || f == null) {
      return;
    }
    double last = f.points().stream().mapToDouble(Fade.Point::years).max().orElse(0);
    double told = l.curve().getLast().years();
    double years = Math.min(Math.max(told, 1.3 * last), Math.max(l.yearsHigh() * 1.03, 1.3 * last));
    double floor = 100 * Math.max(0, l.endOfLife() - 0.06);
    double top =
        Math.max(101, 1 + 100 * f.points().stream().mapToDouble(Fade.Point::left).max().orElse(1));
    Scale x = new Scale(0, years, 42, width - 14);
    Scale y = new Scale(floor, top, height - 26, 26);
    Plot plot = new Plot(pen, x, y).vertical("Capacity of the first, %").horizontal("Years");
    int n = 240;
    double[] xs = new double[n];
    double[] mean = new double[n];
    double[] low = new double[n];
    double[] high = new double[n];
    double[] revised = new double[n];
    for (int k = 0; k < n; k++) {
      xs[k] = years * k / (n - 1);
      double loss = Fade.loss(l, xs[k]);
      mean[k] = shown(loss, floor);
      low[k] = shown(loss * (1 + LifeForecast.BAND), floor);
      high[k] = shown(loss * (1 - LifeForecast.BAND), floor);
      revised[k] = shown(loss * f.factor(), floor);
    }
    plot.band(Role.HOT, 0.16, xs, low, high);
    curve(plot, Role.HOT, 2, xs, mean, floor);
    if (!Double.isNaN(f.error())) {
      curve(plot, Role.INK, 1.2, xs, revised, floor);
    }
    plot.level(Role.INK, l.endOfLife() * 100, "worn out", false);
    for (Fade.Point p : f.points()) {
      double px = x.at(p.years());
      double up = y.at(Math.min(top, 100 * (p.left() + 1.96 * p.error())));
      double down = y.at(Math.max(floor, 100 * (p.left() - 1.96 * p.error())));
      pen.line(Role.COOL, 1.2, px, up, px, down);
      pen.dot(Role.COOL, px, y.at(Math.clamp(100 * p.left(), floor, top)), 3.5);
    }
    if (!f.points().isEmpty()) {
      pen.words(Role.COOL, Pen.TEXT, x.from() + 8, y.from() - 30, "● measured, 95 % certain");
    }
    pen.words(
        Role.INK,
        Pen.TEXT,
        x.from() + 8,
        y.from() - 14,
        Double.isNaN(f.error()) ? "" : "thin line: the forecast as measured");
  }

  /** A curve as far as it lies above the foot of the picture. */
  private static void curve(
      Plot plot, Role role, double thick, double[] xs, double[] ys, double floor) {
    int n = (int) Arrays.stream(ys).takeWhile(v -> v > floor).count();
    plot.curve(role, thick, Arrays.copyOf(xs, n), Arrays.copyOf(ys, n));
  }

  private static double shown(double loss, double floor) {
    return Math.max(floor, 100 * (1 - loss));
  }
}
