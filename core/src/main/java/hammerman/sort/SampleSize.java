package hammerman.sort;

import java.util.Arrays;

/**
 * How many cells of a batch to measure so that the mean of those tells the mean of all within a
 * share, in 95 of 100 cases: n = (1.96 s / e)² for a standard deviation s, less for a batch that is
 * not much larger (W. Cochran, Sampling Techniques, 1977, eq. 4.4). The deviation is that of those
 * measured so far, and is itself uncertain while they are few.
 *
 * @param measured so far
 * @param mean of them
 * @param deviation of them, standard
 * @param wanted how many there should be, for the whole batch
 */
public record SampleSize(int measured, double mean, double deviation, int wanted) {
  /** Fewer say nothing of a spread. */
  public static final int LEAST = 5;

  private static final double SURE = 1.96;

  /**
   * Works it out.
   *
   * @param values measured so far
   * @param batch how many cells there are
   * @param within share of the mean by which it may be off, such as 0.01
   */
  public static SampleSize of(double[] values, int batch, double within) {
    int n = values.length;
    double mean = Arrays.stream(values).average().orElse(Double.NaN);
    double squares = Arrays.stream(values).map(v -> (v - mean) * (v - mean)).sum();
    double deviation = n > 1 ? Math.sqrt(squares / (n - 1)) : Double.NaN;
    double many = Math.pow(SURE * deviation / (within * mean), 2);
    double of = many / (1 + (many - 1) / Math.max(1, batch));
    int wanted = Double.isNaN(of) ? LEAST : (int) Math.max(LEAST, Math.ceil(of - 1e-9));
    return new SampleSize(n, mean, deviation, Math.min(Math.max(batch, 0), wanted));
  }

  /** Whether as many are measured as should be. */
  public boolean enough() {
    return measured >= wanted;
  }
}
