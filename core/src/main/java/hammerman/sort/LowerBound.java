package hammerman.sort;

import java.util.List;

/**
 * A spread of the groups' capacities that no choice can beat. Without spares: the group with the
 * largest cell holds at least that cell and the least others, the group with the smallest at most
 * that and the greatest others, and the mean of the groups is given; and where all capacities are
 * whole numbers of some step, sums that do not divide evenly are at least a step apart. With spares
 * only groups of one cell are bounded: they are a run of the sorted cells.
 */
final class LowerBound {
  /** Meters tell a tenth of a milliampere hour at best. */
  private static final double STEP = 1e-4;

  private LowerBound() {}

  /**
   * @param sorted by falling capacity
   */
  static double of(List<MeasuredCell> sorted, int series, int parallel, Matching.Terms terms) {
    int n = series * parallel;
    if (series == 1) {
      return 0;
    }
    double[] q = sorted.stream().mapToDouble(MeasuredCell::capacity).toArray();
    if (parallel == 1 && terms.pinned().isEmpty()) {
      double least = Double.POSITIVE_INFINITY;
      for (int k = 0; k + n <= q.length; k++) {
        least = Math.min(least, q[k] - q[k + n - 1]);
      }
      return terms.level() == Matching.Level.CAPACITY || q.length == n ? least : 0;
    }
    if (q.length > n) {
      return 0;
    }
    double sum = 0;
    double high = q[0];
    double low = q[n - 1];
    for (int k = 0; k < n; k++) {
      sum += q[k];
      high += k > n - parallel ? q[k] : 0;
      low += k < parallel - 1 ? q[k] : 0;
    }
    double mean = sum / series;
    double others = (double) series / (series - 1);
    double bound = Math.max(0, Math.max(high - mean, mean - low) * others);
    return Math.max(bound, step(q, series));
  }

  /** One step of the figures, where their sum cannot be divided evenly. */
  private static double step(double[] q, int series) {
    long step = 0;
    long sum = 0;
    for (double ah : q) {
      long units = Math.round(ah / STEP);
      if (Math.abs(units * STEP - ah) > 1e-9) {
        return 0;
      }
      step = gcd(step, units);
      sum += units;
    }
    return step > 0 && sum / step % series != 0 ? step * STEP : 0;
  }

  private static long gcd(long a, long b) {
    return b == 0 ? a : gcd(b, a % b);
  }
}
