package hammerman.prove;

import hammerman.duty.Load;
import java.util.Arrays;
import java.util.TreeMap;

/**
 * Puts a meter's samples in their order: each once, whatever is said twice, late or out of turn. A
 * sample that cannot be is left out and counted. Not safe for several threads.
 */
public final class MeterLog {
  /** Lines that may wait for one before them; the meter says the others again. */
  private static final int MOST_WAITING = 2000;

  /**
   * The longest time, s; voltage, V; current, A; and the temperatures, °C, that a sample can have.
   */
  private static final double LONGEST = Load.LONGEST;

  private static final double MOST_VOLTS = 1000;
  private static final double MOST_AMPERES = 20_000;
  private static final double COLDEST = -73;
  private static final double HOTTEST = 300;

  private final TreeMap<Long, double[]> waiting = new TreeMap<>();
  private long next;
  private long repeated;
  private long refused;

  /**
   * Takes samples.
   *
   * @return those that can be kept now, row by row, in their order; empty if one before them is
   *     still missing, all were there already, or none can be
   */
  public double[] take(MeterLine.Samples s) {
    waiting.merge(s.number(), s.rows(), (a, b) -> a.length >= b.length ? a : b);
    if (waiting.size() > MOST_WAITING) {
      waiting.pollLastEntry();
    }
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
    return possible(out);
  }

  private double[] possible(double[] rows) {
    int kept = 0;
    for (int k = 0; k < rows.length; k += MeterLine.FIGURES) {
      if (isPossible(rows[k], rows[k + 1], rows[k + 2], rows[k + 3])) {
        System.arraycopy(rows, k, rows, kept, MeterLine.FIGURES);
        kept += MeterLine.FIGURES;
      } else {
        refused++;
      }
    }
    return kept == rows.length ? rows : Arrays.copyOf(rows, kept);
  }

  /** A figure that was not read is not a number; the time must be there. */
  private static boolean isPossible(double time, double volts, double amperes, double celsius) {
    return time >= 0
        && time <= LONGEST
        && !(Math.abs(volts) > MOST_VOLTS)
        && !(Math.abs(amperes) > MOST_AMPERES)
        && !(celsius < COLDEST || celsius > HOTTEST);
  }

  /** Returns how many samples were left out because they cannot be. */
  public long refused() {
    return refused;
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
