package hammerman.app.station.forecast;

import hammerman.simulation.Trace;
import hammerman.simulation.Trace.Channel;

/** A trace as finely as it can be drawn. */
final class Columns {
  private Columns() {}

  /**
   * Returns least and most of every channel within each pixel column: time, then a pair for each
   * channel.
   */
  static double[][] of(Trace trace, int pixels) {
    int channels = Channel.values().length;
    int n = Math.min(pixels, trace.size());
    double[][] out = new double[1 + 2 * channels][n];
    for (int k = 0; k < n; k++) {
      int from = (int) ((long) k * trace.size() / n);
      int to = Math.max(from + 1, (int) ((long) (k + 1) * trace.size() / n));
      out[0][k] = trace.at(Channel.TIME, from);
      for (Channel c : Channel.values()) {
        double least = Double.POSITIVE_INFINITY;
        double most = Double.NEGATIVE_INFINITY;
        for (int j = from; j < to; j++) {
          least = Math.min(least, trace.at(c, j));
          most = Math.max(most, trace.at(c, j));
        }
        out[1 + 2 * c.ordinal()][k] = least;
        out[2 + 2 * c.ordinal()][k] = most;
      }
    }
    return out;
  }
}
