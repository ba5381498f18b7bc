package hammerman.app.station.stack;

import hammerman.app.picture.Pen;
import hammerman.app.picture.Role;
import hammerman.app.picture.Scale;
import hammerman.forecast.StackField;
import hammerman.forecast.StackField.Measure;
import hammerman.unit.Figures;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/**
 * Lines of equal value over the field, by marching squares between the middles of the squares; each
 * line carries its value.
 */
final class Contours {
  private static final double WANTED = 6;

  private final double[][] value;
  private final Measure measure;

  Contours(StackField field, Measure measure) {
    this.measure = measure;
    value = new double[field.rows()][field.columns()];
    for (StackField.Square s : field.squares()) {
      value[s.parallel() - field.firstParallel()][s.series() - field.firstSeries()] =
          measure.unit().fromCore(measure.of(s));
    }
  }

  /** The value of a line, to be written where it ends. */
  record Label(double x, double y, String text) {
    void write(Pen pen) {
      pen.tagBefore(Role.INK, Pen.TEXT, x, y, text);
    }
  }

  /**
   * Draws the lines and returns their labels, which are written when all else is drawn.
   *
   * @param x pixel of the middle of column 0, and of a step
   * @param y pixel of the middle of row 0, and of a step (upwards negative)
   */
  List<Label> lines(Pen pen, double x, double stepX, double y, double stepY) {
    double low = Double.POSITIVE_INFINITY;
    double high = Double.NEGATIVE_INFINITY;
    for (double[] row : value) {
      for (double v : row) {
        if (Double.isFinite(v)) {
          low = Math.min(low, v);
          high = Math.max(high, v);
        }
      }
    }
    if (!(high > low)) {
      return List.of();
    }
    Scale levels = new Scale(low, high, 0, WANTED);
    List<Double> ticks = levels.ticks(1);
    int decimals = levels.decimals(1);
    List<Label> labels = new ArrayList<>();
    for (double level : ticks) {
      line(pen, level, decimals, x, stepX, y, stepY).ifPresent(labels::add);
    }
    return labels;
  }

  private Optional<Label> line(
      Pen pen, double level, int decimals, double x, double stepX, double y, double stepY) {
    double labelX = Double.NaN;
    double labelY = 0;
    for (int r = 0; r + 1 < value.length; r++) {
      for (int c = 0; c + 1 < value[r].length; c++) {
        double[] crossings = crossings(r, c, level);
        for (int k = 0; k + 3 < crossings.length; k += 4) {
          double x1 = x + crossings[k] * stepX;
          double y1 = y + crossings[k + 1] * stepY;
          double x2 = x + crossings[k + 2] * stepX;
          double y2 = y + crossings[k + 3] * stepY;
          pen.curve(Role.INK, 1.3, new double[] {x1, x2}, new double[] {y1, y2}, 2);
          labelX = x2;
          labelY = y2;
        }
      }
    }
    if (Double.isNaN(labelX)) {
      return Optional.empty();
    }
    String unit = measure.unit().symbol();
    String text = Figures.fixed(level, decimals) + (unit.isEmpty() ? "" : " " + unit);
    return Optional.of(new Label(labelX + 12, labelY, text));
  }

  /** Where a level crosses the sides of the cell between four middles, in steps, as pairs. */
  private double[] crossings(int r, int c, double level) {
    double[] corner = {value[r][c], value[r][c + 1], value[r + 1][c + 1], value[r + 1][c]};
    double[][] at = {{c, r}, {c + 1, r}, {c + 1, r + 1}, {c, r + 1}};
    double[] out = new double[8];
    int n = 0;
    for (int k = 0; k < 4; k++) {
      double a = corner[k];
      double b = corner[(k + 1) % 4];
      if (!Double.isFinite(a) || !Double.isFinite(b)) {
        return new double[0];
      }
      if (a < level != b < level) {
        double t = (level - a) / (b - a);
        double[] from = at[k];
        double[] to = at[(k + 1) % 4];
        out[n++] = from[0] + t * (to[0] - from[0]);
        out[n++] = from[1] + t * (to[1] - from[1]);
      }
    }
    return Arrays.copyOf(out, n);
  }
}
