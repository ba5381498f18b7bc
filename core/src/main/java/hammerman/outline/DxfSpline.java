package hammerman.outline;

import java.util.ArrayList;
import java.util.List;
import org.locationtech.jts.geom.Coordinate;

/**
 * A spline of a drawing while its values come: control points with weights over knots, worked out
 * by de Boor's scheme (C. de Boor, J. Approx. Theory 6, 1972, 50); or, without control points, the
 * points that it goes through, joined straight.
 */
final class DxfSpline {
  /** Points for each span of the knots, and for the whole. */
  private static final int EACH = 24;

  private static final int MOST = 4000;

  private final List<Double> x = new ArrayList<>();
  private final List<Double> y = new ArrayList<>();
  private final List<Double> throughX = new ArrayList<>();
  private final List<Double> throughY = new ArrayList<>();
  private final List<Double> knots = new ArrayList<>();
  private final List<Double> weights = new ArrayList<>();
  private int degree = 3;

  /** Takes a value by its group code. */
  void take(String code, double value) {
    switch (code) {
      case "10" -> x.add(value);
      case "20" -> y.add(value);
      case "11" -> throughX.add(value);
      case "21" -> throughY.add(value);
      case "40" -> knots.add(value);
      case "41" -> weights.add(value);
      case "71" -> degree = (int) value;
      default -> {}
    }
  }

  void clear() {
    List.of(x, y, throughX, throughY, knots, weights).forEach(List::clear);
    degree = 3;
  }

  /** Returns points along it; none if its values do not make one. */
  List<Coordinate> points() {
    int n = Math.min(x.size(), y.size());
    if (n < 2 || degree < 1 || degree >= n || knots.size() != n + degree + 1) {
      return through();
    }
    double from = knots.get(degree);
    double to = knots.get(n);
    int pieces = Math.min(MOST, EACH * (n - degree));
    List<Coordinate> points = new ArrayList<>();
    for (int k = 0; k <= pieces; k++) {
      points.add(at(from + (to - from) * k / pieces, n));
    }
    return points;
  }

  private List<Coordinate> through() {
    List<Coordinate> points = new ArrayList<>();
    for (int k = 0; k < Math.min(throughX.size(), throughY.size()); k++) {
      points.add(new Coordinate(throughX.get(k), throughY.get(k)));
    }
    return points;
  }

  private Coordinate at(double t, int n) {
    int span = degree;
    while (span < n - 1 && knots.get(span + 1) <= t) {
      span++;
    }
    double[][] d = new double[degree + 1][];
    for (int k = 0; k <= degree; k++) {
      int i = span - degree + k;
      double w = i < weights.size() ? weights.get(i) : 1;
      d[k] = new double[] {w * x.get(i), w * y.get(i), w};
    }
    for (int r = 1; r <= degree; r++) {
      for (int k = degree; k >= r; k--) {
        double low = knots.get(span - degree + k);
        double high = knots.get(span + 1 + k - r);
        double a = high > low ? (t - low) / (high - low) : 0;
        for (int c = 0; c < 3; c++) {
          d[k][c] = (1 - a) * d[k - 1][c] + a * d[k][c];
        }
      }
    }
    double[] p = d[degree];
    return new Coordinate(p[0] / p[2], p[1] / p[2]);
  }
}
