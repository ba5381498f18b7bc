package hammerman.heat;

import java.util.List;

/**
 * Temperatures of each cell of a layout through a time.
 *
 * @param time of each frame, s
 * @param frames temperature of each place at each frame, K; not a number for an empty one
 * @param hottest temperature of the hottest cell at any moment, K
 * @param hottestPlace where that is
 * @param hottestTime when that is, s
 * @param made heat made, J
 * @param shed heat given to the air, J
 * @param stored heat stored in the cells, J
 * @param means mean temperature of each place over the time, K; not a number for an empty one
 */
@SuppressWarnings("ArrayRecordComponent")
public record HeatMap(
    double[] time,
    List<double[]> frames,
    double hottest,
    int hottestPlace,
    double hottestTime,
    double made,
    double shed,
    double stored,
    double[] means) {

  public HeatMap {
    frames = List.copyOf(frames);
  }

  /** Returns the temperatures at the end, K. */
  public double[] last() {
    return frames.getLast();
  }

  /** Returns the frame that shows a moment (s): the last one not after it. */
  public int frameAt(double seconds) {
    int k = 0;
    while (k + 1 < time.length && time[k + 1] <= seconds) {
      k++;
    }
    return k;
  }

  /** Returns the largest difference between two cells at the same moment, K. */
  public double spread() {
    double most = 0;
    for (double[] frame : frames) {
      double[] ends = range(frame);
      most = Math.max(most, ends[1] - ends[0]);
    }
    return most;
  }

  /** Returns the least and the greatest of temperatures, those of empty places left out. */
  public static double[] range(double[] temperatures) {
    double low = Double.POSITIVE_INFINITY;
    double high = Double.NEGATIVE_INFINITY;
    for (double t : temperatures) {
      if (!Double.isNaN(t)) {
        low = Math.min(low, t);
        high = Math.max(high, t);
      }
    }
    return new double[] {low, high};
  }

  /** Returns the error of the heat balance as a share of the heat made. */
  public double imbalance() {
    return (made - shed - stored) / Math.max(1, made);
  }
}
