package hammerman.sort;

import java.util.Arrays;
import java.util.List;

/**
 * Cells in groups under way, on flat arrays of whole numbers so that a search goes the same way on
 * any machine. A place holds a cell; places of a group lie together, spares behind all groups.
 */
final class Groups {
  /** Whole units of capacity in an ampere hour: a hundredth of a microampere hour. */
  static final double PER_AMPERE_HOUR = 1e8;

  /** Whole units of conductance in a siemens. */
  private static final double PER_SIEMENS = 1e6;

  final int series;
  final int parallel;

  /** Places in groups, and all cells. */
  final int used;

  final int cells;

  /** Of each cell what is to be level first, and the other figure. */
  final long[] value;

  final long[] other;
  final double[] ohms;

  /** Group where a cell is pinned, -1 for none. */
  final int[] pin;

  /** Cell at each place. */
  final int[] at;

  /** Of each group. */
  final long[] sum;

  final long[] otherSum;
  private final double mostRatio;

  /**
   * @param sorted by falling capacity
   */
  Groups(List<MeasuredCell> sorted, int series, int parallel, Matching.Terms terms) {
    this.series = series;
    this.parallel = parallel;
    used = series * parallel;
    cells = sorted.size();
    value = new long[cells];
    other = new long[cells];
    ohms = new double[cells];
    pin = new int[cells];
    mostRatio = terms.mostRatio();
    boolean byConductance = terms.level() == Matching.Level.RESISTANCE;
    for (int k = 0; k < cells; k++) {
      MeasuredCell c = sorted.get(k);
      long capacity = Math.round(c.capacity() * PER_AMPERE_HOUR);
      long conductance = c.hasResistance() ? Math.round(PER_SIEMENS / c.resistance()) : 0;
      value[k] = byConductance ? conductance : capacity;
      other[k] = byConductance ? capacity : conductance;
      ohms[k] = c.hasResistance() ? c.resistance() : Double.NaN;
      pin[k] = terms.pinned().getOrDefault(c.label(), -1);
    }
    at = new int[cells];
    sum = new long[series];
    otherSum = new long[series];
  }

  /** Whether any cell may be in any group. */
  boolean isFree() {
    return Double.isInfinite(mostRatio) && Arrays.stream(pin).allMatch(p -> p < 0);
  }

  /** Places cells as they were. */
  void place(int[] cellAt) {
    System.arraycopy(cellAt, 0, at, 0, cells);
    add();
  }

  /** What the cell at a place has of what is to be level first. */
  long value(int place) {
    return value[at[place]];
  }

  /** What it has of the other figure. */
  long other(int place) {
    return other[at[place]];
  }

  /** Sums the groups up anew. */
  void add() {
    Arrays.fill(sum, 0);
    Arrays.fill(otherSum, 0);
    for (int p = 0; p < used; p++) {
      sum[p / parallel] += value[at[p]];
      otherSum[p / parallel] += other[at[p]];
    }
  }

  /** The group with the most (1) or the least (-1). */
  int extreme(int way) {
    int found = 0;
    for (int g = 1; g < series; g++) {
      if (way * sum[g] > way * sum[found]) {
        found = g;
      }
    }
    return found;
  }

  /** Of all groups together. */
  long total() {
    long all = 0;
    for (long s : sum) {
      all += s;
    }
    return all;
  }

  /** Most less least over the groups. */
  static long spread(long[] of) {
    long low = Long.MAX_VALUE;
    long high = Long.MIN_VALUE;
    for (long v : of) {
      low = Math.min(low, v);
      high = Math.max(high, v);
    }
    return high - low;
  }

  /** Exchanges the cells of two places. */
  void exchange(int a, int b) {
    move(a, at[b]);
    int was = at[a];
    move(b, was);
    at[a] = at[b];
    at[b] = was;
  }

  /** Books the cell that comes to a place. */
  private void move(int place, int comes) {
    if (place < used) {
      int g = place / parallel;
      sum[g] += value[comes] - value[at[place]];
      otherSum[g] += other[comes] - other[at[place]];
    }
  }

  /** Whether two places may exchange their cells. */
  boolean allowed(int a, int b) {
    return pin[at[a]] < 0 && pin[at[b]] < 0 && keepsRatio(a, at[b]) && keepsRatio(b, at[a]);
  }

  /** Whether the resistances of a group keep within the ratio, or no farther than now. */
  private boolean keepsRatio(int place, int comes) {
    if (place >= used || Double.isInfinite(mostRatio)) {
      return true;
    }
    int g = place / parallel;
    double now = ratio(g, -1, -1);
    return ratio(g, place, comes) <= Math.max(mostRatio, now);
  }

  private double ratio(int group, int place, int comes) {
    double low = Double.POSITIVE_INFINITY;
    double high = 0;
    for (int p = group * parallel; p < (group + 1) * parallel; p++) {
      double r = ohms[p == place ? comes : at[p]];
      if (!Double.isNaN(r)) {
        low = Math.min(low, r);
        high = Math.max(high, r);
      }
    }
    return high > 0 ? high / low : 1;
  }

  /** Returns the group of each cell, -1 for a spare. */
  int[] groups() {
    int[] of = new int[cells];
    for (int p = 0; p < cells; p++) {
      of[at[p]] = p < used ? p / parallel : -1;
    }
    return of;
  }
}
