package hammerman.fit;

import java.util.Arrays;
import java.util.List;

/**
 * Makes groups better by exchanging two cells at a time, as long as it helps: groups stay connected
 * and whole. What is better depends on the style; a link costs more the fewer strips it has, as its
 * resistance is. Stops at the first arrangement that no exchange betters, or after a fixed effort.
 */
final class Exchange {
  private static final int ROUNDS = 12;

  /** Exchanges looked at before it is good enough, times the cells of a group. */
  private static final int EFFORT = 1_000_000;

  /** Cost of a link whose groups do not touch, against 1 for a single strip. */
  private static final double APART = 25;

  private final Placing placing;
  private final int[][] near;
  private final int[] group;
  private final boolean[] held;
  private final int from;
  private final int to;
  private final int parallel;
  private final Style style;
  private final boolean wired;
  private final Point exit;
  private final int[][] members;
  private final int[] stamp;
  private final int[] stack;
  private int stamped;
  private int left;

  Exchange(
      Placing placing,
      List<int[]> near,
      int[] group,
      boolean[] held,
      int from,
      int to,
      int parallel,
      Style style,
      Joining joining,
      Point exit) {
    this.placing = placing;
    this.near = near.toArray(int[][]::new);
    this.group = group;
    this.held = held;
    this.from = from;
    this.to = to;
    this.parallel = parallel;
    this.style = style;
    this.wired = joining == Joining.WIRED;
    this.exit = exit;
    members = new int[to][parallel];
    int[] filled = new int[to];
    for (int k = 0; k < group.length; k++) {
      if (group[k] >= from && group[k] < to) {
        members[group[k]][filled[group[k]]++] = k;
      }
    }
    stamp = new int[group.length];
    stack = new int[group.length];
    left = EFFORT / parallel;
  }

  /** Exchanges cells in place and returns the cost reached. */
  double improve() {
    boolean better = true;
    for (int round = 0; better && left > 0 && round < ROUNDS; round++) {
      better = false;
      for (int g = from; g < to; g++) {
        if (!held[g]) {
          for (int i = 0; i < parallel; i++) {
            better |= improve(g, i);
          }
        }
      }
    }
    return cost();
  }

  /** Tries to exchange one member of a group with one of a group or free place beside it. */
  private boolean improve(int g, int member) {
    int a = members[g][member];
    for (int beside : near[a]) {
      int h = group[beside];
      if (h == g || h == Growth.CLOSED || (h >= 0 && held[h])) {
        continue;
      }
      if (h < 0) {
        for (int other : members[g]) {
          for (int b : near[other]) {
            if (group[b] == -1 && other != a && trade(g, member, a, b)) {
              return true;
            }
          }
        }
      } else {
        for (int j = 0; j < parallel; j++) {
          if (trade(g, member, h, j, a, members[h][j])) {
            return true;
          }
        }
      }
    }
    return false;
  }

  private boolean trade(int g, int member, int a, int b) {
    if (left-- <= 0) {
      return false;
    }
    double before = around(g, -1);
    group[a] = -1;
    group[b] = g;
    members[g][member] = b;
    if (connected(g, b) && around(g, -1) < before - 1e-9) {
      return true;
    }
    group[a] = g;
    group[b] = -1;
    members[g][member] = a;
    return false;
  }

  private boolean trade(int g, int member, int h, int other, int a, int b) {
    if (!touches(b, g, a) || !touches(a, h, b) || left-- <= 0) {
      return false;
    }
    double before = around(g, h);
    group[a] = h;
    group[b] = g;
    members[g][member] = b;
    members[h][other] = a;
    if (connected(g, b) && connected(h, a) && around(g, h) < before - 1e-9) {
      return true;
    }
    group[a] = g;
    group[b] = h;
    members[g][member] = a;
    members[h][other] = b;
    return false;
  }

  private boolean touches(int place, int g, int but) {
    for (int m : near[place]) {
      if (group[m] == g && m != but) {
        return true;
      }
    }
    return false;
  }

  private boolean connected(int g, int start) {
    stamped++;
    int open = 0;
    int size = 0;
    stack[open++] = start;
    stamp[start] = stamped;
    while (open > 0) {
      int k = stack[--open];
      size++;
      for (int m : near[k]) {
        if (group[m] == g && stamp[m] != stamped) {
          stamp[m] = stamped;
          stack[open++] = m;
        }
      }
    }
    return size == parallel;
  }

  double cost() {
    double sum = 0;
    for (int g = from; g < to; g++) {
      sum += own(g) + (g > from ? link(g - 1) : 0);
    }
    return sum;
  }

  /** The part of the cost that two groups have a share in. */
  private double around(int g, int h) {
    double sum = own(g) + (h >= 0 ? own(h) : 0);
    for (int l = Math.max(from, g - 1); l <= Math.min(to - 2, g); l++) {
      sum += link(l);
    }
    if (h >= 0) {
      for (int l = Math.max(from, h - 1); l <= Math.min(to - 2, h); l++) {
        if (l != g && l != g - 1) {
          sum += link(l);
        }
      }
    }
    return sum;
  }

  private double link(int g) {
    if (wired) {
      return 0;
    }
    int strips = 0;
    for (int k : members[g]) {
      for (int m : near[k]) {
        strips += group[m] == g + 1 ? 1 : 0;
      }
    }
    if (strips == 0) {
      return APART;
    }
    double per = parallel / (double) strips;
    return style == Style.SHORT_LINKS ? per * per : per / 2;
  }

  /** What a group costs by itself: its shape, and for the ends the way to the exit. */
  private double own(int g) {
    double cost =
        switch (style) {
          case SHORT_LINKS -> 0.02 * open(g);
          case COMPACT -> 0.25 * open(g);
          case STRAIGHT -> 1.5 * rows(g);
        };
    return g == from || g == to - 1 ? cost + 0.05 * toExit(g) : cost;
  }

  /** Sides of a group that do not touch itself. */
  private int open(int g) {
    int inner = 0;
    for (int k : members[g]) {
      for (int m : near[k]) {
        inner += group[m] == g ? 1 : 0;
      }
    }
    return 6 * parallel - inner;
  }

  /** How far the cells stray from one straight row, in pitches squared: the lesser spread. */
  private double rows(int g) {
    double x = 0;
    double y = 0;
    for (int k : members[g]) {
      x += placing.places().get(k).x();
      y += placing.places().get(k).y();
    }
    x /= parallel;
    y /= parallel;
    double xx = 0;
    double yy = 0;
    double xy = 0;
    for (int k : members[g]) {
      double dx = placing.places().get(k).x() - x;
      double dy = placing.places().get(k).y() - y;
      xx += dx * dx;
      yy += dy * dy;
      xy += dx * dy;
    }
    double lesser = (xx + yy - Math.hypot(xx - yy, 2 * xy)) / 2;
    return lesser / (placing.pitch() * placing.pitch());
  }

  private double toExit(int g) {
    double least = Double.POSITIVE_INFINITY;
    for (int k : members[g]) {
      least = Math.min(least, placing.places().get(k).to(exit));
    }
    return least / placing.pitch();
  }

  /** Returns which groups of a start are held. */
  static boolean[] held(int[] start, int series) {
    boolean[] held = new boolean[series];
    Arrays.stream(start).filter(g -> g >= 0).forEach(g -> held[g] = true);
    return held;
  }
}
