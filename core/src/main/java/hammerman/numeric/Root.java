package hammerman.numeric;

import java.util.function.DoubleUnaryOperator;
import org.hipparchus.analysis.solvers.BisectionSolver;

/** Finds where a continuous function crosses zero between two ends of opposite sign. */
public final class Root {
  /** More halvings than a double has bits. */
  private static final int MOST_STEPS = 2200;

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
    double atLow = f.applyAsDouble(low);
    double atHigh = f.applyAsDouble(high);
    if (atLow * atHigh > 0) {
      return Math.abs(atLow) < Math.abs(atHigh) ? low : high;
    }
    double finest = 4 * Math.ulp(Math.max(Math.abs(low), Math.abs(high)));
    return new BisectionSolver(Math.max(tolerance, finest))
        .solve(MOST_STEPS, f::applyAsDouble, low, high);
  }
}
