package hammerman.app.station.stack;

import hammerman.app.picture.Pen;
import hammerman.app.picture.Picture;
import hammerman.app.picture.Plot;
import hammerman.app.picture.Role;
import hammerman.app.picture.Scale;
import hammerman.forecast.Forecast;
import hammerman.life.LifeForecast;
import hammerman.simulation.Run;
import hammerman.simulation.Trace;
import java.util.List;

/** One quantity of several variants on the same axes, each named by its letter at its end. */
final class VariantsChart extends Picture {
  private static final Role[] ROLES = {Role.HOT, Role.COOL, Role.AMBER, Role.INK};
  private static final double[] THICKNESS = {2.2, 1.4, 3, 1};
  private static final int POINTS = 400;

  /** What is drawn. */
  enum Kind {
    VOLTAGE("Voltage, V", "Time, h"),
    LIFE("Capacity of a new pack, %", "Years");

    private final String vertical;
    private final String horizontal;

    Kind(String vertical, String horizontal) {
      this.vertical = vertical;
      this.horizontal = horizontal;
    }
  }

  private final Kind kind;
  private List<VariantsView.Column> columns = List.of();

  VariantsChart(Kind kind) {
    super("Variants compared: " + kind.vertical);
    this.kind = kind;
  }

  /** Returns the letter by which a variant goes in table and charts. */
  static String letter(int k) {
    return String.valueOf((char) ('A' + k));
  }

  void show(List<VariantsView.Column> value) {
    columns = value;
    redraw();
  }

  @Override
  protected void paint(Pen pen, double width, double height) {
    if (columns.isEmpty()) {
      return;
    }
    double[][][] lines = new double[columns.size()][][];
    double far = 0;
    double low = Double.POSITIVE_INFINITY;
    double high = Double.NEGATIVE_INFINITY;
    for (int k = 0; k < lines.length; k++) {
      lines[k] = line(columns.get(k).forecast());
      for (int i = 0; i < lines[k][0].length; i++) {
        far = Math.max(far, lines[k][0][i]);
        low = Math.min(low, lines[k][1][i]);
        high = Math.max(high, lines[k][1][i]);
      }
    }
    if (!(far > 0) || !(high > low)) {
      return;
    }
    Scale x = new Scale(0, far * 1.06, 40, width - 8);
    Scale y = Scale.around(low, high, 1e-3, height - 24, 22);
    Plot plot = new Plot(pen, x, y).vertical(kind.vertical).horizontal(kind.horizontal);
    for (int k = 0; k < lines.length; k++) {
      plot.curve(ROLES[k], THICKNESS[k], lines[k][0], lines[k][1]);
    }
    for (int k = 0; k < lines.length; k++) {
      int last = lines[k][0].length - 1;
      pen.tag(ROLES[k], Pen.TEXT, x.at(lines[k][0][last]) + 4, y.at(lines[k][1][last]), letter(k));
    }
  }

  private double[][] line(Forecast f) {
    return switch (kind) {
      case VOLTAGE -> voltage(f.onward());
      case LIFE -> life(f.life());
    };
  }

  private static double[][] voltage(Run run) {
    Trace t = run.trace();
    int n = Math.min(POINTS, t.size());
    double[][] line = new double[2][n];
    for (int k = 0; k < n; k++) {
      int at = n < 2 ? 0 : (int) Math.round((double) k * (t.size() - 1) / (n - 1));
      line[0][k] = t.at(Trace.Channel.TIME, at) / 3600;
      line[1][k] = t.at(Trace.Channel.VOLTAGE, at);
    }
    return line;
  }

  /** To the end of life. */
  private static double[][] life(LifeForecast life) {
    List<LifeForecast.Point> points =
        life.curve().stream().filter(p -> p.years() <= life.years() + 0.05).toList();
    double[][] line = new double[2][points.size()];
    for (int k = 0; k < points.size(); k++) {
      line[0][k] = points.get(k).years();
      line[1][k] = 100 * (1 - points.get(k).loss());
    }
    return line;
  }
}
