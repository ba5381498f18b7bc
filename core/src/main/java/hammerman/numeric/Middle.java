package hammerman.numeric;

import java.util.Arrays;

/**
 * The middle of figures and how far they usually lie from it, both little moved by outliers: the
 * median, and 1.4826 times the median absolute deviation, which for normal values is the standard
 * deviation (F. Hampel, J. Amer. Statist. Assoc. 69, 1974, 383).
 *
 * @param median not a number without figures
 * @param deviation not a number without figures
 */
public record Middle(double median, double deviation) {
  private static final double NORMAL = 1.4826;

  /**
   * Works them out.
   *
   * @param least below which the deviation is not taken, so that figures that are nearly alike have
   *     no outliers
   */
  public static Middle of(double[] values, double least) {
    double median = median(values);
    double[] apart = Arrays.stream(values).map(v -> Math.abs(v - median)).toArray();
    return new Middle(median, Math.max(NORMAL * median(apart), least));
  }

  /** The same with the least deviation as a share of the median. */
  public static Middle within(double[] values, double share) {
    return of(values, share * Math.abs(median(values)));
  }

  private static double median(double[] values) {
    if (values.length == 0) {
      return Double.NaN;
    }
    double[] sorted = values.clone();
    Arrays.sort(sorted);
    int half = sorted.length / 2;
    return sorted.length % 2 == 1 ? sorted[half] : 0.5 * (sorted[half - 1] + sorted[half]);
  }

  /** How many deviations a value lies from the middle; 0 where there is no middle. */
  public double apart(double value) {
    return deviation > 0 ? (value - median) / deviation : 0;
  }
}
