package hammerman.heat;

import java.util.Arrays;

/**
 * What a pack does, as far as it makes heat, in equal steps.
 *
 * @param step length of each, s
 * @param squares mean square of the pack's current in each, A²
 * @param factors heat of the cells in each over that of the layout's own resistance; below 0 where
 *     cells that relax take heat back from a braking current
 */
@SuppressWarnings("ArrayRecordComponent")
public record HeatProfile(double step, double[] squares, double[] factors) {

  public HeatProfile {
    if (!(step > 0) || squares.length != factors.length) {
      throw new IllegalArgumentException(
          "steps of %s s, %d squares, %d factors".formatted(step, squares.length, factors.length));
    }
  }

  /** Returns a current (A) held for a time (s), in steps of 1 s. */
  public static HeatProfile steady(double amperes, int seconds) {
    double[] squares = new double[seconds];
    Arrays.fill(squares, amperes * amperes);
    double[] factors = new double[seconds];
    Arrays.fill(factors, 1);
    return new HeatProfile(1, squares, factors);
  }

  int steps() {
    return squares.length;
  }
}
