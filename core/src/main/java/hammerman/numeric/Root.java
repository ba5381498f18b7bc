package hammerman.numeric;

import java.util.function.DoubleUnaryOperator;

/** Finds where a continuous function crosses zero between two ends of opposite sign. */
public final class Root {
  private Root() {}

  /**
   * Halves the bracket until it is narrower than the tolerance.
   *
   * @param low an end of the bracket
   * @param high the other end; the function's signs at the ends differ, or the end nearer to zero
   *     is returned
   * @param tolerance width at which to stop, in the argument's unit
   */
  public static double bisect(DoubleUnaryOperator f, double low, double high, double tolerance) {
    double a = low;
    double b = high;
    double fa = f.applyAsDouble(a);
    double fb = f.applyAsDouble(b);
    if (fa * fb > 0) {
      return Math.abs(fa) < Math.abs(fb) ? a : b;
    }
    boolean rising = fa < fb;
    while (b - a > tolerance) {
      double middle = 0.5 * (a + b);
      if (middle == a || middle == b) {
        break;
      }
      if (f.applyAsDouble(middle) < 0 == rising) {
        a = middle;
      } else {
        b = middle;
      }
    }
    return 0.5 * (a + b);
  }
}
