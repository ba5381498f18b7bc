package hammerman.sort;

/**
 * Every way to put cells into groups, for few of them: a cell after the other goes into a group
 * with room, or is spare; empty groups are alike, so only the first is tried.
 */
final class Exhaustion {
  private final long[] value;
  private final long[] other;
  private final int series;
  private final int parallel;
  private final int spares;
  private final int[] group;
  private final int[] filled;
  private final long[] sum;
  private final long[] otherSum;
  private int[] best = new int[0];
  private long spread = Long.MAX_VALUE;
  private long otherSpread = Long.MAX_VALUE;

  Exhaustion(long[] value, long[] other, int series, int parallel) {
    this.value = value;
    this.other = other;
    this.series = series;
    this.parallel = parallel;
    spares = value.length - series * parallel;
    group = new int[value.length];
    filled = new int[series];
    sum = new long[series];
    otherSum = new long[series];
  }

  /** Returns the group of each cell, -1 for a spare; of equals the first that is found. */
  int[] best() {
    place(0, 0);
    return best;
  }

  private void place(int cell, int spare) {
    if (cell == value.length) {
      weigh();
      return;
    }
    boolean emptyTried = false;
    for (int g = 0; g < series; g++) {
      if (filled[g] == parallel || (filled[g] == 0 && emptyTried)) {
        continue;
      }
      emptyTried |= filled[g] == 0;
      put(cell, g, 1);
      place(cell + 1, spare);
      put(cell, g, -1);
    }
    if (spare < spares) {
      group[cell] = -1;
      place(cell + 1, spare + 1);
    }
  }

  private void put(int cell, int g, int way) {
    group[cell] = g;
    filled[g] += way;
    sum[g] += way * value[cell];
    otherSum[g] += way * other[cell];
  }

  private void weigh() {
    long now = spread(sum);
    if (now > spread) {
      return;
    }
    long second = spread(otherSum);
    if (now < spread || second < otherSpread) {
      spread = now;
      otherSpread = second;
      best = group.clone();
    }
  }

  private static long spread(long[] of) {
    long low = of[0];
    long high = of[0];
    for (long v : of) {
      low = Math.min(low, v);
      high = Math.max(high, v);
    }
    return high - low;
  }
}
