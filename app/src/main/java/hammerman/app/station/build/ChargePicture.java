package hammerman.app.station.build;

import hammerman.app.picture.Pen;
import hammerman.app.picture.Picture;
import hammerman.app.picture.Plot;
import hammerman.app.picture.Role;
import hammerman.app.picture.Scale;
import hammerman.design.Design;
import hammerman.watch.ChargeFrame;
import hammerman.watch.ChargeWatch;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** Voltage of every group over the time of a charge, with the forecast and the limit. */
final class ChargePicture extends Picture {
  private static final double LEFT = 52;
  private static final double RIGHT = 78;
  private static final double TOP = 30;
  private static final double BOTTOM = 26;
  private static final int POINTS = 200;

  private @Nullable ChargeWatch watch;
  private int series = 1;
  private double low = 3;
  private List<ChargeFrame> frames = List.of();

  ChargePicture() {
    super("Groups in the first charge");
    setId("charge-picture");
  }

  void forecast(ChargeWatch of, Design design) {
    watch = of;
    series = design.pack().series();
    low = design.pack().cell().cutOffVoltage();
    frames = List.of();
    redraw();
  }

  void show(List<ChargeFrame> all) {
    frames = List.copyOf(all);
    redraw();
  }

  @Override
  public List<Series> figures() {
    List<Series> all = new ArrayList<>();
    all.add(new Series("time_s", frames.stream().mapToDouble(ChargeFrame::time).toArray()));
    all.add(new Series("highest_V", frames.stream().mapToDouble(ChargeFrame::highest).toArray()));
    all.add(new Series("lowest_V", frames.stream().mapToDouble(ChargeFrame::lowest).toArray()));
    return all;
  }

  @Override
  protected void paint(Pen pen, double width, double height) {
    ChargeWatch w = watch;
    if (w == null || (w.forecast().time() == 0 && frames.isEmpty())) {
      return;
    }
    double hours =
        Math.max(w.forecast().time() * 1.1, frames.isEmpty() ? 0 : 1.05 * frames.getLast().time())
            / 3600;
    double least = Math.max(low, Math.min(w.expected(0, series), lowest()) - 0.1);
    double most = Math.max(w.limit(), highest()) + 0.04;
    Scale x = new Scale(0, hours, LEFT, width - RIGHT);
    Scale y = new Scale(least, most, height - BOTTOM, TOP);
    new Plot(pen, x, y).vertical("Voltage of a group, V").horizontal("Time, h");
    pen.dashed(Role.HOT, 1.5, x.from(), y.at(w.limit()), x.to(), y.at(w.limit()));
    pen.words(Role.HOT, Pen.TEXT, x.to() + 6, y.at(w.limit()), "limit");
    double end = w.forecast().time();
    double[] xs = new double[POINTS];
    double[] ys = new double[POINTS];
    for (int k = 0; k < POINTS; k++) {
      double t = end * k / (POINTS - 1);
      xs[k] = x.at(t / 3600);
      ys[k] = y.at(w.expected(t, series));
    }
    pen.curve(Role.SOFT, 2, xs, ys, POINTS);
    pen.words(
        Role.SOFT,
        Pen.TEXT,
        Math.min(xs[POINTS - 1] + 6, width - RIGHT + 6),
        ys[POINTS - 1] + 12,
        "forecast");
    groups(pen, x, y);
  }

  private void groups(Pen pen, Scale x, Scale y) {
    int n = frames.size();
    if (n < 2) {
      return;
    }
    int every = Math.max(1, n / 400);
    int points = (n + every - 1) / every;
    double[] xs = new double[points];
    double[] ys = new double[points];
    int top = 0;
    double[] last = frames.getLast().groups();
    if (last.length == 0) {
      return;
    }
    for (int g = 1; g < last.length; g++) {
      top = !(last[g] <= last[top]) ? g : top;
    }
    for (int g = 0; g < last.length; g++) {
      for (int k = 0; k < points; k++) {
        ChargeFrame f = frames.get(Math.min(n - 1, k * every));
        xs[k] = x.at(f.time() / 3600);
        double[] read = f.groups();
        ys[k] = y.at(g < read.length ? read[g] : Double.NaN);
      }
      pen.curve(g == top ? Role.HOT : Role.COOL, g == top ? 1.8 : 1, xs, ys, points);
    }
    pen.tag(
        Role.HOT,
        Pen.TEXT,
        Math.min(xs[points - 1] + 6, x.to() - 60),
        y.at(last[top]) - 10,
        "group " + (top + 1));
  }

  private double lowest() {
    return frames.stream().mapToDouble(ChargeFrame::lowest).min().orElse(Double.MAX_VALUE);
  }

  private double highest() {
    return frames.stream().mapToDouble(ChargeFrame::highest).max().orElse(-Double.MAX_VALUE);
  }
}
