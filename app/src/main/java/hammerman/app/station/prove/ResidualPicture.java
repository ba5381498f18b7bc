package hammerman.app.station.prove;

import hammerman.app.picture.Pen;
import hammerman.app.picture.PictureOf;
import hammerman.app.picture.Plot;
import hammerman.app.picture.Role;
import hammerman.app.picture.Scale;
import hammerman.app.station.prove.ProveState.Log;
import hammerman.prove.Calibration;
import hammerman.prove.Replay;

/** What is left between log and forecast over time: as designed, and with the scales that fit. */
final class ResidualPicture extends PictureOf<Log> {
  private static final double LEFT = 58;
  private static final double RIGHT = 14;
  private static final double FOOT = 26;
  private static final double HEAD = 26;

  ResidualPicture() {
    super("Log less forecast over time");
    setId("residuals");
  }

  @Override
  protected void paint(Pen pen, double width, double height, Log l) {
    Replay r = l.replay();
    double[] time = r.time();
    double[] before = left(r, r.forecast(r.run()));
    Calibration fit = l.fit().orElse(null);
    double[] after = fit == null ? new double[0] : left(r, r.forecast(fit.run()));
    double most = 0.01;
    for (double v : before) {
      most = Double.isFinite(v) ? Math.max(most, Math.abs(v)) : most;
    }
    double end = time[time.length - 1];
    double unit = end > 5400 ? 3600 : 60;
    boolean milli = most < 0.5;
    double scale = milli ? 1000 : 1;
    Scale x = new Scale(0, end / unit, LEFT, width - RIGHT);
    Scale y = new Scale(-1.05 * most * scale, 1.05 * most * scale, height - FOOT, HEAD);
    Plot plot = new Plot(pen, x, y);
    plot.vertical("Log less forecast, " + (milli ? "mV" : "V"));
    plot.horizontal(unit > 60 ? "Time, h" : "Time, min");
    line(pen, x, y, Role.HOT, time, before, unit, scale);
    line(pen, x, y, Role.COOL, time, after, unit, scale);
    pen.line(Role.RULE, 1, x.from(), y.at(0), x.to(), y.at(0));
    String words = after.length > 0 ? "as designed" : "";
    pen.wordsBefore(
        Role.COOL, Pen.TEXT, x.to(), HEAD - 13, after.length > 0 ? "with both scales" : "");
    pen.wordsBefore(
        Role.HOT,
        Pen.TEXT,
        x.to() - pen.width(Pen.TEXT, "with both scales") - 12,
        HEAD - 13,
        words);
  }

  private static double[] left(Replay r, double[] forecast) {
    double[] v = r.voltage();
    for (int k = 0; k < v.length; k++) {
      v[k] -= forecast[k];
    }
    return v;
  }

  private static void line(
      Pen pen, Scale x, Scale y, Role role, double[] time, double[] v, double unit, double scale) {
    double[] xs = new double[v.length];
    double[] ys = new double[v.length];
    int n = 0;
    int each = Math.max(1, v.length / 800);
    for (int k = 0; k + each <= v.length; k += each) {
      double sum = 0;
      int count = 0;
      for (int j = k; j < k + each; j++) {
        if (Double.isFinite(v[j])) {
          sum += v[j];
          count++;
        }
      }
      if (count > 0) {
        xs[n] = x.at(time[k] / unit);
        ys[n++] = y.at(scale * sum / count);
      }
    }
    pen.curve(role, 1.2, xs, ys, n);
  }
}
