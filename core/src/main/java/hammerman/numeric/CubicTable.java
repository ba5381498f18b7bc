package hammerman.numeric;

import java.util.function.DoubleUnaryOperator;

/**
 * One or more functions of one variable as a cubic on each of many equal intervals, for loops that
 * evaluate them millions of times: one look-up, no search, no branch, some 2 ns. Functions of one
 * grid that are wanted together lie side by side, so that their place is found only once.
 *
 * <p>Each cubic meets the function at the ends of its interval and at the thirds between, so that a
 * piecewise cubic whose pieces begin at ends of intervals is met everywhere. Outside, the first and
 * the last cubic go on: a function that is level there is held.
 */
public final class CubicTable {
  private static final int TERMS = 4;

  private final double from;
  private final double perUnit;
  private final int last;
  private final int width;
  private final double[] coefficients;

  /**
   * Tabulates functions.
   *
   * @param from first abscissa
   * @param to last, above the first
   * @param parts number of intervals, 1 or more
   * @param functions one or more
   */
  public CubicTable(double from, double to, int parts, DoubleUnaryOperator... functions) {
    if (!(to > from) || parts < 1 || functions.length < 1) {
      throw new IllegalArgumentException(
          "a table of %d functions from %s to %s in %d parts"
              .formatted(functions.length, from, to, parts));
    }
    this.from = from;
    last = parts - 1;
    width = TERMS * functions.length;
    perUnit = parts / (to - from);
    coefficients = new double[width * parts];
    for (int f = 0; f < functions.length; f++) {
      tabulate(functions[f], to, TERMS * f);
    }
  }

  private void tabulate(DoubleUnaryOperator function, double to, int offset) {
    double v0 = function.applyAsDouble(from);
    for (int k = 0; k <= last; k++) {
      double v1 = function.applyAsDouble(from + (k + 1 / 3.0) / perUnit);
      double v2 = function.applyAsDouble(from + (k + 2 / 3.0) / perUnit);
      double v3 = function.applyAsDouble(k == last ? to : from + (k + 1) / perUnit);
      // The cubic through four equally spaced values, by powers of t from 0 to 1.
      int c = width * k + offset;
      coefficients[c] = v0;
      coefficients[c + 1] = -5.5 * v0 + 9 * v1 - 4.5 * v2 + v3;
      coefficients[c + 2] = 9 * v0 - 22.5 * v1 + 18 * v2 - 4.5 * v3;
      coefficients[c + 3] = -4.5 * v0 + 13.5 * v1 - 13.5 * v2 + 4.5 * v3;
      v0 = v3;
    }
  }

  /** Returns where an abscissa lies, counted in intervals from the first. */
  public double place(double at) {
    return (at - from) * perUnit;
  }

  /** Returns the interval of a place. */
  public int piece(double place) {
    // Clamping the whole number is a few times cheaper than clamping the other.
    return Math.min(Math.max((int) place, 0), last);
  }

  /** Returns the first function's value in an interval, {@code t} from 0 to 1 along it. */
  public double first(int piece, double t) {
    return cubic(width * piece, t);
  }

  /** Returns the second function's value in an interval, {@code t} from 0 to 1 along it. */
  public double second(int piece, double t) {
    return cubic(width * piece + TERMS, t);
  }

  /** In halves, which need not wait for each other (G. Estrin, Proc. WJCC 17, 1960, 33). */
  private double cubic(int c, double t) {
    return coefficients[c]
        + t * coefficients[c + 1]
        + t * t * (coefficients[c + 2] + t * coefficients[c + 3]);
  }
}
