package hammerman.prove;

import java.util.Arrays;
import java.util.TreeMap;

/**
 * Puts a meter's samples in their order: each once, whatever is said twice, late or out of turn.
 * Not safe for several threads.
 */
public final class MeterLog {
  private final TreeMap<Long, double[]> waiting = new TreeMap<>();
  private long next;
  private long repeated;

  /**
   * Takes samples.
   *
   * @return those that can be kept now, row by row, in their order; empty if one before them is
   *     still missing or all were there already
   */
  public double[] take(MeterLine.Samples s) {
    waiting.merge(s.number(), s.rows(), (a, b) -> a.length >= b.length ? a : b);
    double[] out = new double[0];
    while (!waiting.isEmpty() && waiting.firstKey() <= next) {
      var first = waiting.pollFirstEntry();
      double[] rows = first.getValue();
      int known = (int) Math.min(next - first.getKey(), rows.length / MeterLine.FIGURES);
      repeated += known;
      double[] fresh = Arrays.copyOfRange(rows, known * MeterLine.FIGURES, rows.length);
      next += fresh.length / MeterLine.FIGURES;
      int at = out.length;
      out = Arrays.copyOf(out, at + fresh.length);
      System.arraycopy(fresh, 0, out, at, fresh.length);
    }
    return out;
  }

  /** Returns the number of the sample that is wanted next: so many are there without a gap. */
  public long next() {
    return next;
  }

  /** Returns how many samples were said again. */
  public long repeated() {
    return repeated;
  }
}
