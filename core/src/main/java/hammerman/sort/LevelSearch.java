package hammerman.sort;

import java.util.Arrays;
import java.util.List;
import java.util.Random;

/** The search for level groups: dealt out in some ways, bettered by exchanges, shaken. */
final class LevelSearch {
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

  /** Shares of a group's mean by which the first figure may spread where both count. */
  private static final double[] ALLOWANCES = {0.001, 0.002, 0.004, 0.008, 0.015, 0.03, 0.06, 0.1};

  private final Groups groups;
  private final Random random;

  /** Weight of the first figure; below 1 where both count. */
  private final double weight;

  /** Spread that cannot be bettered, or that no meter tells. */
  private final long least;

  private long work;

  /**
   * @param sorted by falling capacity
   * @param bound spread of the capacity that cannot be beaten, Ah
   */
  LevelSearch(
      List<MeasuredCell> sorted, int series, int parallel, Matching.Terms terms, double bound) {
    groups = new Groups(sorted, series, parallel, terms);
    random = new Random(terms.seed());
    weight = terms.level() == Matching.Level.BOTH ? terms.capacityWeight() : 1;
    least =
        terms.level() == Matching.Level.CAPACITY
            ? Math.max(LEVEL, Math.round(bound * Groups.PER_AMPERE_HOUR))
            : LEVEL;
  }

  /** Whether no choice can be better than what is found: all are tried, or it is known. */
  boolean isExact() {
    boolean whole = groups.cells == groups.used;
    return groups.isFree() && (isFew() || groups.parallel == 1 || (groups.parallel == 2 && whole));
  }

  /** Returns the group of each cell, -1 for a spare. */
  int[] best() {
    if (weight == 1 && groups.isFree() && isFew()) {
      return new Exhaustion(groups.value, groups.other, groups.series, groups.parallel).best();
    }
    if (weight == 1 && groups.isFree() && groups.parallel == 1) {
      return run();
    }
    int[] best = groups.at.clone();
    long[] score = {Long.MAX_VALUE, Long.MAX_VALUE};
    for (Deal deal : Deal.values()) {
      deal.to(groups);
      better();
      level(0);
      if (isLess(score)) {
        score = score();
        best = groups.at.clone();
      }
    }
    shake(best);
    if (weight < 1) {
      weigh(groups.at.clone());
    }
    return groups.groups();
  }

  /**
   * Gives up some of what is level for the other figure: of rising allowances the one at which both
   * spreads, each as a share of its mean, weigh least.
   */
  private void weigh(int[] level) {
    int[] best = level;
    double least = weighed();
    long mean = groups.total() / groups.series;
    for (double share : ALLOWANCES) {
      groups.place(level);
      level(Math.round(share * mean));
      if (weighed() < least) {
        least = weighed();
        best = groups.at.clone();
      }
    }
    groups.place(best);
  }

  private double weighed() {
    double other = Arrays.stream(groups.otherSum).average().orElse(1);
    double mean = (double) groups.total() / groups.series;
    return weight * Groups.spread(groups.sum) / mean
        + (1 - weight) * Groups.spread(groups.otherSum) / other;
  }

  /** Groups of one cell: of all runs of the sorted cells the one with the smallest spread. */
  private int[] run() {
    Integer[] order = new Integer[groups.cells];
    Arrays.setAll(order, k -> k);
    Arrays.sort(order, (a, b) -> Long.compare(groups.value[b], groups.value[a]));
    int first = 0;
    for (int k = 1; k + groups.used <= groups.cells; k++) {
      long now = groups.value[order[k]] - groups.value[order[k + groups.used - 1]];
      first =
          now < groups.value[order[first]] - groups.value[order[first + groups.used - 1]]
              ? k
              : first;
    }
    int[] of = new int[groups.cells];
    Arrays.fill(of, -1);
    for (int k = 0; k < groups.used; k++) {
      of[order[first + k]] = k;
    }
    return of;
  }

  private boolean isLess(long[] than) {
    long[] now = score();
    return now[0] < than[0] || (now[0] == than[0] && now[1] < than[1]);
  }

  /** Whether all choices of cells and groups are few enough to try each. */
  private boolean isFew() {
    double ways = 1;
    int left = groups.cells;
    for (int g = 0; g < groups.series; g++) {
      for (int k = 0; k < groups.parallel; k++) {
        ways = ways * left-- / (k + 1);
      }
      ways /= left >= 0 && g > 0 ? g + 1 : 1;
      if (ways > ALL) {
        return false;
      }
    }
    return true;
  }

  private long[] score() {
    return new long[] {Groups.spread(groups.sum), Groups.spread(groups.otherSum)};
  }

  /** Exchanges until the fullest and the emptiest group have nothing to gain. */
  private void better() {
    for (int round = 0; round < 20_000; round++) {
      int high = groups.extreme(1);
      int low = groups.extreme(-1);
      if (groups.sum[high] - groups.sum[low] <= LEVEL) {
        return;
      }
      if (!ease(high) && !ease(low) && !spare(high) && !spare(low) && !ease2(high) && !ease2(low)) {
        return;
      }
    }
  }

  /**
   * What an exchange of two cells leaves to be bettered; {@link Long#MAX_VALUE} if it may not be.
   */
  private interface Remains {
    long after(int groupA, int a, int groupB, int b);
  }

  /** Exchanges a cell of a group for one of another, of all pairs the one that leaves least. */
  private boolean exchange(int group, Remains remains) {
    int bestA = -1;
    int bestB = -1;
    long best = Long.MAX_VALUE;
    for (int g = 0; g < groups.series; g++) {
      if (g == group) {
        continue;
      }
      for (int a = group * groups.parallel; a < (group + 1) * groups.parallel; a++) {
        for (int b = g * groups.parallel; b < (g + 1) * groups.parallel; b++) {
          long left = remains.after(group, a, g, b);
          if (left < best && groups.allowed(a, b)) {
            best = left;
            bestA = a;
            bestB = b;
          }
        }
      }
      work += (long) groups.parallel * groups.parallel;
    }
    if (bestA < 0) {
      return false;
    }
    groups.exchange(bestA, bestB);
    return true;
  }

  /** Brings a group nearer to another, and the farther of the two nearer to the mean. */
  private boolean ease(int group) {
    long mean = 2 * groups.total() / groups.series;
    return exchange(
        group,
        (from, a, to, b) -> {
          long gap = groups.sum[from] - groups.sum[to];
          long remains = Math.abs(gap - 2 * (groups.value(a) - groups.value(b)));
          // Twice the farther of the two from the mean of all groups.
          return remains < Math.abs(gap)
              ? Math.abs(2 * groups.sum[from] - gap - mean) + remains
              : Long.MAX_VALUE;
        });
  }

  /** The same with two cells of each. */
  private boolean ease2(int group) {
    if (groups.parallel < 2 || groups.parallel > PAIRS_UP_TO) {
      return false;
    }
    long[] mine = pairs(group);
    for (int g = 0; g < groups.series; g++) {
      long gap = groups.sum[group] - groups.sum[g];
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
        groups.exchange(first(group, bestA), first(g, bestB));
        groups.exchange(second(group, bestA), second(g, bestB));
        return true;
      }
    }
    return false;
  }

  private long[] pairs(int group) {
    long[] all = new long[groups.parallel * groups.parallel];
    for (int k = 0; k < all.length; k++) {
      int a = group * groups.parallel + k / groups.parallel;
      int b = group * groups.parallel + k % groups.parallel;
      // Only pairs of two different cells, each once; the rest are never near anything.
      all[k] = a < b ? groups.value(a) + groups.value(b) : Long.MAX_VALUE / 4;
    }
    return all;
  }

  private int first(int group, int pair) {
    return group * groups.parallel + pair / groups.parallel;
  }

  private int second(int group, int pair) {
    return group * groups.parallel + pair % groups.parallel;
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
    long before = Groups.spread(groups.sum);
    long best = before;
    int bestA = -1;
    int bestB = -1;
    long held = groups.sum[group];
    for (int a = group * groups.parallel; a < (group + 1) * groups.parallel; a++) {
      for (int b = groups.used; b < groups.cells; b++) {
        groups.sum[group] = held - groups.value(a) + groups.value(b);
        long now = Groups.spread(groups.sum);
        if (now < best && groups.allowed(a, b)) {
          best = now;
          bestA = a;
          bestB = b;
        }
      }
    }
    groups.sum[group] = held;
    work += (long) groups.parallel * (groups.cells - groups.used) * groups.series;
    if (bestA < 0) {
      return false;
    }
    groups.exchange(bestA, bestB);
    return true;
  }

  /** Exchanges that widen the spread no more than allowed and make the other figure's less. */
  private void level(long allowed) {
    long fewest = groups.sum[groups.extreme(-1)] - allowed / 2;
    long most = groups.sum[groups.extreme(1)] + allowed / 2;
    for (int round = 0; round < 400; round++) {
      int high = 0;
      int low = 0;
      for (int g = 1; g < groups.series; g++) {
        high = groups.otherSum[g] > groups.otherSum[high] ? g : high;
        low = groups.otherSum[g] < groups.otherSum[low] ? g : low;
      }
      if (!even(high, fewest, most) && !even(low, fewest, most)) {
        return;
      }
    }
  }

  /** Brings the other figure of a group nearer to another's; all groups stay within limits. */
  private boolean even(int group, long fewest, long most) {
    return exchange(
        group,
        (from, a, to, b) -> {
          long gap = groups.otherSum[from] - groups.otherSum[to];
          long d = groups.value(a) - groups.value(b);
          long gain = Math.abs(gap) - Math.abs(gap - 2 * (groups.other(a) - groups.other(b)));
          boolean within =
              Math.min(groups.sum[from] - d, groups.sum[to] + d) >= fewest
                  && Math.max(groups.sum[from] - d, groups.sum[to] + d) <= most;
          return gain > 0 && within ? -gain : Long.MAX_VALUE;
        });
  }

  /**
   * Shakes and betters anew, while work is left and anything is to be gained. It goes on from what
   * is as good, so that it wanders, and now and then from what is a little worse.
   */
  private void shake(int[] found) {
    int[] best = found.clone();
    int[] from = found.clone();
    groups.place(found);
    long[] score = score();
    long held = score[0];
    work = 0;
    int vain = 0;
    for (int k = 0; k < MOST_SHAKES && work < WORK; k++) {
      if (score[0] <= least && vain++ > VAIN) {
        break;
      }
      groups.place(from);
      int times = 1 + random.nextInt(4);
      for (int s = 0; s < times; s++) {
        int a = random.nextInt(groups.used);
        int b = random.nextInt(random.nextInt(4) == 0 ? groups.cells : groups.used);
        if (a != b && groups.allowed(a, b)) {
          groups.exchange(a, b);
        }
      }
      better();
      long now = Groups.spread(groups.sum);
      if (now <= score[0]) {
        level(0);
      }
      if (isLess(score)) {
        score = score();
        best = groups.at.clone();
        vain = 0;
      }
      if (now <= held || (random.nextInt(WORSE) == 0 && now < 2 * score[0])) {
        held = now;
        from = groups.at.clone();
      }
    }
    groups.place(best);
  }

  private boolean allowed2(int group, int pairA, int other2, int pairB) {
    return groups.allowed(first(group, pairA), first(other2, pairB))
        && groups.allowed(second(group, pairA), second(other2, pairB));
  }
}
