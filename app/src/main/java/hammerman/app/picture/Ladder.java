package hammerman.app.picture;

import java.util.stream.IntStream;

/**
 * Names of curves one below the other at their ends: in the order of the ends, none over another.
 */
final class Ladder {
  private Ladder() {}

  /**
   * Moves places apart by as little as it takes, in the sum of squares, their order kept: places
   * less what the steps before them take are a rising row, found by pooling neighbours that would
   * fall (M. Ayer et al., Ann. Math. Stat. 26, 1955, 641).
   *
   * @param wanted in any order, px
   * @param step between two places, px
   */
  static double[] spread(double[] wanted, double step, double low, double high) {
    int n = wanted.length;
    int[] order =
        IntStream.range(0, n)
            .boxed()
            .sorted((a, b) -> Double.compare(wanted[a], wanted[b]))
            .mapToInt(Integer::intValue)
            .toArray();
    double[] mean = new double[n];
    int[] size = new int[n];
    int pools = 0;
    for (int k = 0; k < n; k++) {
      mean[pools] = wanted[order[k]] - k * step;
      size[pools++] = 1;
      while (pools > 1 && mean[pools - 1] < mean[pools - 2]) {
        int both = size[pools - 1] + size[pools - 2];
        mean[pools - 2] =
            (mean[pools - 1] * size[pools - 1] + mean[pools - 2] * size[pools - 2]) / both;
        size[pools - 2] = both;
        pools--;
      }
    }
    double[] places = new double[n];
    int k = 0;
    for (int pool = 0; pool < pools; pool++) {
      for (int j = 0; j < size[pool]; j++, k++) {
        double last = Math.max(low, high - (n - 1) * step);
        places[order[k]] = Math.clamp(mean[pool], low, last) + k * step;
      }
    }
    return places;
  }
}
