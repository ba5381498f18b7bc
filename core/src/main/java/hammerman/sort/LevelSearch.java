package hammerman.sort;

import hammerman.unit.InvalidValue;
import java.util.Arrays;
import java.util.List;
import java.util.Random;

/**
 * The search for level groups on flat arrays of whole numbers, so that it goes the same way on any
 * machine. A place holds a cell; places of a group lie together, spares behind all groups.
 */
final class LevelSearch {
  /** Whole units of capacity in an ampere hour: a hundredth of a microampere hour. */
  private static final double PER_AMPERE_HOUR = 1e8;

  /** Whole units of conductance in a siemens. */
  private static final double PER_SIEMENS = 1e6;

  /** A spread that no meter tells, a hundredth of a milliampere hour: nothing is bettered below. */
  private static final long LEVEL = 1_000;

  /** So many choices are all tried. */
  private static final long ALL = 400_000;

  /** Cells of a group up to which two are exchanged for two. */
  private static final int PAIRS_UP_TO = 40;

  /** Work that is put into shaking, in exchanges looked at. */
  private static final long WORK = 150_000_000;

  private static final int MOST_SHAKES = 60_000;

  /** So many shakes in vain end the search once the spread cannot be less. */
  private static final int VAIN = 400;

  /** One shake in so many goes on from what is worse. */
  private static final int WORSE = 50;

  private final int series;
  private final int parallel;
  private final int used;
  private final int cells;
  private final long[] value;
  private final long[] other;
  private final double[] ohms;
  private final double mostRatio;
  private final int[] pin;
  private final Random random;

  /** Spread that cannot be bettered, or that no meter tells. */
  private final long least;

  /** Cell at each place. */
  private int[] at;

  private final long[] sum;
  private final long[] otherSum;
  private long work;

  /**
   * @param sorted by falling capacity
   * @param bound spread of the capacity that cannot be beaten, Ah
   */
  LevelSearch(
      List<MeasuredCell> sorted, int series, int parallel, Matching.Terms terms, double bound) {
    least =
        terms.level() == Matching.Level.CAPACITY
            ? Math.max(LEVEL, Math.round(bound * PER_AMPERE_HOUR))
            : LEVEL;
    this.series = series;
    this.parallel = parallel;
    used = series * parallel;
    cells = sorted.size();
    value = new long[cells];
    other = new long[cells];
    ohms = new double[cells];
    pin = new int[cells];
    mostRatio = terms.mostRatio();
    random = new Random(terms.seed());
    boolean byCapacity = terms.level() == Matching.Level.CAPACITY;
    for (int k = 0; k < cells; k++) {
      MeasuredCell c = sorted.get(k);
      long capacity = Math.round(c.capacity() * PER_AMPERE_HOUR);
      long conductance = c.hasResistance() ? Math.round(PER_SIEMENS / c.resistance()) : 0;
      value[k] = byCapacity ? capacity : conductance;
      other[k] = byCapacity ? conductance : capacity;
      ohms[k] = c.hasResistance() ? c.resistance() : Double.NaN;
      pin[k] = terms.pinned().getOrDefault(c.label(), -1);
    }
    at = new int[cells];
    sum = new long[series];
    otherSum = new long[series];
  }

  /** Whether no choice can be better than what is found: all are tried, or it is known. */
  boolean isExact() {
    boolean free = !isPinned() && Double.isInfinite(mostRatio);
    return free && (isFew() || parallel == 1 || (parallel == 2 && cells == used));
  }

  /** Returns the group of each cell, -1 for a spare. */
  int[] best() {
    if (isFew() && !isPinned() && Double.isInfinite(mostRatio)) {
      return new Exhaustion(value, other, series, parallel).best();
    }
    if (parallel == 1 && !isPinned()) {
      return run();
    }
    int[] best = null;
    long[] score = {Long.MAX_VALUE, Long.MAX_VALUE};
    for (int start = 0; start < 3; start++) {
      begin(start);
      better();
      level();
      if (isLess(score)) {
        score = score();
        best = at.clone();
      }
    }
    shake(best == null ? at : best);
    return groups();
  }

  /** Groups of one cell: of all runs of the sorted cells the one with the smallest spread. */
  private int[] run() {
    Integer[] order = new Integer[cells];
    Arrays.setAll(order, k -> k);
    Arrays.sort(order, (a, b) -> Long.compare(value[b], value[a]));
    int first = 0;
    for (int k = 1; k + used <= cells; k++) {
      long now = value[order[k]] - value[order[k + used - 1]];
      first = now < value[order[first]] - value[order[first + used - 1]] ? k : first;
    }
    int[] of = new int[cells];
    Arrays.fill(of, -1);
    for (int k = 0; k < used; k++) {
      of[order[first + k]] = k;
    }
    return of;
  }

  private boolean isLess(long[] than) {
    long[] now = score();
    return now[0] < than[0] || (now[0] == than[0] && now[1] < than[1]);
  }

  private boolean isPinned() {
    return Arrays.stream(pin).anyMatch(p -> p >= 0);
  }

  /** Whether all choices of cells and groups are few enough to try each. */
  private boolean isFew() {
    double ways = 1;
    int left = cells;
    for (int g = 0; g < series; g++) {
      for (int k = 0; k < parallel; k++) {
        ways = ways * left-- / (k + 1);
      }
      ways /= left >= 0 && g > 0 ? g + 1 : 1;
      if (ways > ALL) {
        return false;
      }
    }
    return true;
  }

  private int[] groups() {
    int[] of = new int[cells];
    for (int p = 0; p < cells; p++) {
      of[at[p]] = p < used ? p / parallel : -1;
    }
    return of;
  }

  private long[] score() {
    return new long[] {spread(sum), spread(otherSum)};
  }

  private static long spread(long[] of) {
    long low = Long.MAX_VALUE;
    long high = Long.MIN_VALUE;
    for (long v : of) {
      low = Math.min(low, v);
      high = Math.max(high, v);
    }
    return high - low;
  }

  // ---- beginnings

  /** Places pinned cells, then the others: greedy, to and fro, or by their resistance. */
  private void begin(int how) {
    int[] filled = new int[series];
    Arrays.fill(at, -1);
    Arrays.fill(sum, 0);
    boolean[] placed = new boolean[cells];
    for (int k = 0; k < cells; k++) {
      if (pin[k] >= 0 && pin[k] < series && filled[pin[k]] < parallel) {
        put(k, pin[k], filled);
        placed[k] = true;
      } else if (pin[k] >= 0) {
        throw new InvalidValue(
            "Pinned cell",
            String.valueOf(pin[k] + 1),
            "must be a group from 1 to %d with room for it".formatted(series),
            "Unpin it, or pin it to another group.");
      }
    }
    Integer[] order = new Integer[cells];
    Arrays.setAll(order, k -> k);
    Arrays.sort(order, (a, b) -> Long.compare(value[b], value[a]));
    int room = used - Arrays.stream(filled).sum();
    int[] chosen =
        Arrays.stream(order).filter(k -> !placed[k]).limit(room).mapToInt(k -> k).toArray();
    if (how == 2) {
      int[] byOhms =
          Arrays.stream(chosen)
              .boxed()
              .sorted((a, b) -> Double.compare(ohms[a], ohms[b]))
              .mapToInt(k -> k)
              .toArray();
      for (int k : byOhms) {
        int g = 0;
        while (filled[g] == parallel) {
          g++;
        }
        put(k, g, filled);
      }
    } else {
      int turn = 0;
      for (int k : chosen) {
        int g = how == 0 ? least(filled) : toAndFro(turn, filled);
        turn++;
        put(k, g, filled);
      }
    }
    int p = used;
    boolean[] in = new boolean[cells];
    for (int k = 0; k < used; k++) {
      in[at[k]] = true;
    }
    for (int k = 0; k < cells; k++) {
      if (!in[k]) {
        at[p++] = k;
      }
    }
    add();
  }

  private void put(int cell, int group, int[] filled) {
    at[group * parallel + filled[group]++] = cell;
    sum[group] += value[cell];
  }

  private int least(int[] filled) {
    int best = -1;
    for (int g = 0; g < series; g++) {
      if (filled[g] < parallel && (best < 0 || sum[g] < sum[best])) {
        best = g;
      }
    }
    return best;
  }

  private int toAndFro(int turn, int[] filled) {
    int row = turn / series;
    int column = turn % series;
    int g = row % 2 == 0 ? column : series - 1 - column;
    return filled[g] < parallel ? g : least(filled);
  }

  private void add() {
    Arrays.fill(sum, 0);
    Arrays.fill(otherSum, 0);
    for (int p = 0; p < used; p++) {
      sum[p / parallel] += value[at[p]];
      otherSum[p / parallel] += other[at[p]];
    }
  }

  // ---- bettering

  /** Exchanges until the fullest and the emptiest group have nothing to gain. */
  private void better() {
    for (int round = 0; round < 20_000; round++) {
      int high = extreme(1);
      int low = extreme(-1);
      if (sum[high] - sum[low] <= LEVEL) {
        return;
      }
      if (!ease(high) && !ease(low) && !spare(high) && !spare(low) && !ease2(high) && !ease2(low)) {
        return;
      }
    }
  }

  /** The group with the most (1) or the least (-1). */
  private int extreme(int way) {
    int found = 0;
    for (int g = 1; g < series; g++) {
      if (way * sum[g] > way * sum[found]) {
        found = g;
      }
    }
    return found;
  }

  /** Brings a group nearer to another by exchanging one cell of each; the nearest pair counts. */
  private boolean ease(int group) {
    int bestA = -1;
    int bestB = -1;
    long best = Long.MAX_VALUE;
    long mean = 2 * total() / series;
    for (int g = 0; g < series; g++) {
      long gap = sum[group] - sum[g];
      if (g == group || gap == 0) {
        continue;
      }
      // What remains between the two after the exchange is what is to be small.
      for (int a = group * parallel; a < (group + 1) * parallel; a++) {
        for (int b = g * parallel; b < (g + 1) * parallel; b++) {
          long remains = Math.abs(gap - 2 * (value[at[a]] - value[at[b]]));
          // Twice the farther of the two from the mean of all groups.
          long off = Math.abs(2 * sum[group] - gap - mean) + remains;
          if (remains < Math.abs(gap) && off < best && allowed(a, b)) {
            best = off;
            bestA = a;
            bestB = b;
          }
        }
      }
      work += (long) parallel * parallel;
    }
    if (bestA < 0) {
      return false;
    }
    exchange(bestA, bestB);
    return true;
  }

  private long total() {
    long all = 0;
    for (long s : sum) {
      all += s;
    }
    return all;
  }

  /** The same with two cells of each. */
  private boolean ease2(int group) {
    if (parallel < 2 || parallel > PAIRS_UP_TO) {
      return false;
    }
    long[] mine = pairs(group);
    for (int g = 0; g < series; g++) {
      long gap = sum[group] - sum[g];
      if (g == group || gap == 0) {
        continue;
      }
      long[] theirs = pairs(g);
      Integer[] order = new Integer[theirs.length];
      Arrays.setAll(order, k -> k);
      Arrays.sort(order, (a, b) -> Long.compare(theirs[a], theirs[b]));
      long best = Math.abs(gap);
      int bestA = -1;
      int bestB = -1;
      for (int k = 0; k < mine.length; k++) {
        // Wanted: mine − theirs = gap / 2.
        int from = first(theirs, order, mine[k] - gap / 2);
        for (int o = Math.max(0, from - 1); o <= Math.min(order.length - 1, from + 1); o++) {
          long remains = Math.abs(gap - 2 * (mine[k] - theirs[order[o]]));
          if (remains < best && allowed2(group, k, g, order[o])) {
            best = remains;
            bestA = k;
            bestB = order[o];
          }
        }
      }
      work += (long) mine.length * 16;
      if (bestA >= 0) {
        exchange(first(group, bestA), first(g, bestB));
        exchange(second(group, bestA), second(g, bestB));
        return true;
      }
    }
    return false;
  }

  private long[] pairs(int group) {
    long[] all = new long[parallel * parallel];
    for (int k = 0; k < all.length; k++) {
      int a = group * parallel + k / parallel;
      int b = group * parallel + k % parallel;
      // Only pairs of two different cells, each once; the rest are never near anything.
      all[k] = a < b ? value[at[a]] + value[at[b]] : Long.MAX_VALUE / 4;
    }
    return all;
  }

  private int first(int group, int pair) {
    return group * parallel + pair / parallel;
  }

  private int second(int group, int pair) {
    return group * parallel + pair % parallel;
  }

  private static int first(long[] values, Integer[] order, long least) {
    int low = 0;
    int high = order.length;
    while (low < high) {
      int middle = (low + high) >>> 1;
      if (values[order[middle]] < least) {
        low = middle + 1;
      } else {
        high = middle;
      }
    }
    return low;
  }

  /** Takes a spare in for a cell of a group, where that makes the spread less. */
  private boolean spare(int group) {
    long before = spread(sum);
    long best = before;
    int bestA = -1;
    int bestB = -1;
    long held = sum[group];
    for (int a = group * parallel; a < (group + 1) * parallel; a++) {
      for (int b = used; b < cells; b++) {
        sum[group] = held - value[at[a]] + value[at[b]];
        long now = spread(sum);
        if (now < best && allowed(a, b)) {
          best = now;
          bestA = a;
          bestB = b;
        }
      }
    }
    sum[group] = held;
    work += (long) parallel * (cells - used) * series;
    if (bestA < 0) {
      return false;
    }
    exchange(bestA, bestB);
    return true;
  }

  /** Exchanges that leave the spread as it is and make the other figure's less. */
  private void level() {
    for (int round = 0; round < 400; round++) {
      long least = min();
      long most = max();
      int high = 0;
      int low = 0;
      for (int g = 1; g < series; g++) {
        high = otherSum[g] > otherSum[high] ? g : high;
        low = otherSum[g] < otherSum[low] ? g : low;
      }
      if (!even(high, least, most) && !even(low, least, most)) {
        return;
      }
    }
  }

  private long min() {
    return sum[extreme(-1)];
  }

  private long max() {
    return sum[extreme(1)];
  }

  private boolean even(int group, long least, long most) {
    int bestA = -1;
    int bestB = -1;
    long best = 0;
    for (int g = 0; g < series; g++) {
      long gap = otherSum[group] - otherSum[g];
      if (g == group || gap == 0) {
        continue;
      }
      for (int a = group * parallel; a < (group + 1) * parallel; a++) {
        for (int b = g * parallel; b < (g + 1) * parallel; b++) {
          long d = value[at[a]] - value[at[b]];
          long e = other[at[a]] - other[at[b]];
          long gain = Math.abs(gap) - Math.abs(gap - 2 * e);
          if (gain > best
              && sum[group] - d >= least
              && sum[group] - d <= most
              && sum[g] + d >= least
              && sum[g] + d <= most
              && allowed(a, b)) {
            best = gain;
            bestA = a;
            bestB = b;
          }
        }
      }
      work += (long) parallel * parallel;
    }
    if (bestA < 0) {
      return false;
    }
    exchange(bestA, bestB);
    return true;
  }

  /**
   * Shakes and betters anew, while work is left and anything is to be gained. It goes on from what
   * is as good, so that it wanders, and now and then from what is a little worse.
   */
  private void shake(int[] found) {
    int[] best = found.clone();
    int[] from = found.clone();
    at = found.clone();
    add();
    long[] score = score();
    long held = score[0];
    work = 0;
    int vain = 0;
    for (int k = 0; k < MOST_SHAKES && work < WORK; k++) {
      if (score[0] <= least && vain++ > VAIN) {
        break;
      }
      at = from.clone();
      add();
      int times = 1 + random.nextInt(4);
      for (int s = 0; s < times; s++) {
        int a = random.nextInt(used);
        int b = random.nextInt(random.nextInt(4) == 0 ? cells : used);
        if (a != b && allowed(a, b)) {
          exchange(a, b);
        }
      }
      better();
      long now = spread(sum);
      if (now <= score[0]) {
        level();
      }
      if (isLess(score)) {
        score = score();
        best = at.clone();
        vain = 0;
      }
      if (now <= held || (random.nextInt(WORSE) == 0 && now < 2 * score[0])) {
        held = now;
        from = at.clone();
      }
    }
    at = best;
    add();
  }

  private void exchange(int a, int b) {
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

  // ---- limits

  private boolean allowed(int a, int b) {
    return pin[at[a]] < 0 && pin[at[b]] < 0 && keepsRatio(a, at[b]) && keepsRatio(b, at[a]);
  }

  private boolean allowed2(int group, int pairA, int other2, int pairB) {
    return allowed(first(group, pairA), first(other2, pairB))
        && allowed(second(group, pairA), second(other2, pairB));
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
}
