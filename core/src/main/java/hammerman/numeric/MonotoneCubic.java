package hammerman.numeric;

/**
 * A curve through given points that keeps their order: where the points rise, so does the curve.
 *
 * <p>Piecewise cubic Hermite with Fritsch–Butland slopes (F. N. Fritsch and J. Butland, SIAM J.
 * Sci. Stat. Comput. 5 (1984) 300, eq. 4–5). Outside the points the end value holds. Evaluation
 * looks the interval up from the front, which for the dozen points of a cell's curve beats a binary
 * search.
 */
public final class MonotoneCubic {
  private final double[] x;
  private final double[] y;
  private final double[] slope;
  private final double[] area;

  /**
   * @param x strictly increasing abscissae, at least two
   * @param y ordinates, as many
   */
  public MonotoneCubic(double[] x, double[] y) {
    if (x.length < 2 || x.length != y.length) {
      throw new IllegalArgumentException(
          "a curve needs two or more pairs, not " + x.length + " against " + y.length);
    }
    this.x = x.clone();
    this.y = y.clone();
    this.slope = slopes(x, y);
    this.area = new double[x.length];
    for (int k = 1; k < x.length; k++) {
      if (x[k] <= x[k - 1]) {
        throw new IllegalArgumentException(
            "abscissae must increase, not " + x[k - 1] + ", " + x[k]);
      }
      area[k] = area[k - 1] + partial(k - 1, 1);
    }
  }

  /** Returns the curve's value at {@code at}, held at the ends. */
  public double value(double at) {
    int last = x.length - 1;
    if (!(at > x[0])) {
      return y[0];
    }
    if (at >= x[last]) {
      return y[last];
    }
    int k = interval(at);
    double h = x[k + 1] - x[k];
    double t = (at - x[k]) / h;
    double u = 1 - t;
    return u * u * ((1 + 2 * t) * y[k] + t * h * slope[k])
        + t * t * ((3 - 2 * t) * y[k + 1] - u * h * slope[k + 1]);
  }

  /** Returns the mean value between two abscissae within the points; exact for the cubics. */
  public double mean(double from, double to) {
    if (from == to) {
      return value(from);
    }
    return (integral(to) - integral(from)) / (to - from);
  }

  /** Returns where a strictly increasing curve takes a value, held at the ends. */
  public double inverse(double value) {
    int last = x.length - 1;
    if (value <= y[0]) {
      return x[0];
    }
    if (value >= y[last]) {
      return x[last];
    }
    return Root.bisect(at -> value(at) - value, x[0], x[last], 1e-12);
  }

  private double integral(double at) {
    double held = Math.clamp(at, x[0], x[x.length - 1]);
    int k = held >= x[x.length - 1] ? x.length - 2 : interval(held);
    double inside = area[k] + partial(k, (held - x[k]) / (x[k + 1] - x[k]));
    return inside
        + (at < x[0] ? (at - x[0]) * y[0] : at > held ? (at - held) * y[y.length - 1] : 0);
  }

  /** Integral of interval k from its start to the fraction t, by Simpson, exact for a cubic. */
  private double partial(int k, double t) {
    double h = x[k + 1] - x[k];
    double middle = value(x[k] + h * t / 2);
    return h * t / 6 * (y[k] + 4 * middle + value(x[k] + h * t));
  }

  private int interval(double at) {
    int k = 0;
    while (k < x.length - 2 && at >= x[k + 1]) {
      k++;
    }
    return k;
  }

  private static double[] slopes(double[] x, double[] y) {
    int n = x.length;
    double[] h = new double[n - 1];
    double[] d = new double[n - 1];
    for (int k = 0; k < n - 1; k++) {
      h[k] = x[k + 1] - x[k];
      d[k] = (y[k + 1] - y[k]) / h[k];
    }
    double[] slope = new double[n];
    slope[0] = d[0];
    slope[n - 1] = d[n - 2];
    for (int k = 1; k < n - 1; k++) {
      if (d[k - 1] * d[k] > 0) {
        double alpha = (1 + h[k] / (h[k - 1] + h[k])) / 3;
        slope[k] = d[k - 1] * d[k] / (alpha * d[k] + (1 - alpha) * d[k - 1]);
      }
    }
    return slope;
  }
}
