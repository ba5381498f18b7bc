package hammerman.fit;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * Ways to part a sheet into groups lane by lane, as one mows a lawn: lanes lie along a direction,
 * are one or a few cells wide to a whole group, and are walked up and down in turn; every so many
 * cells on the way are a group. Groups that come out in pieces are thrown away.
 */
final class Lanes {
  private static final int DIRECTIONS = 12;
  private static final int OFFSETS = 2;

  /** More than a box of 10 m has rows, eighths of a pitch, and places. */
  private static final long ROWS = 20_000;

  private static final long COLUMNS = 200_000;
  private static final long PLACES = 200_000;

  private final Placing placing;
  private final List<int[]> near;
  private final int[] places;
  private final int[] start;
  private final int from;
  private final int to;
  private final int parallel;
  private final int[] stamp;
  private final int[] stack;
  private int stamped;

  /**
   * @param start -1 where a cell may go, {@link Growth#CLOSED} elsewhere
   * @param from first group of the sheet
   * @param to one past its last group
   */
  Lanes(
      Placing placing, List<int[]> near, Sheet sheet, int[] start, int from, int to, int parallel) {
    this.placing = placing;
    this.near = near;
    this.start = start;
    this.from = from;
    this.to = to;
    this.parallel = parallel;
    places = new int[sheet.size()];
    Arrays.setAll(places, k -> sheet.first() + k);
    stamp = new int[start.length];
    stack = new int[start.length];
  }

  /** Returns the group of each place for every way that keeps groups in one piece. */
  List<int[]> all(double turn) {
    List<int[]> found = new ArrayList<>();
    for (int d = 0; d < DIRECTIONS; d++) {
      double angle = turn + 2 * Math.PI * d / DIRECTIONS;
      for (int wide : widths()) {
        for (int o = 0; o < OFFSETS; o++) {
          long[] walk = walk(angle, wide, o / (double) OFFSETS);
          for (boolean whole : new boolean[] {true, false}) {
            int[] group = cut(walk, whole);
            if (group.length > 0) {
              found.add(group);
            }
          }
        }
      }
    }
    return found;
  }

  private int[] widths() {
    return Arrays.stream(
            new int[] {1, 2, 3, (parallel + 2) / 3, (parallel + 1) / 2, parallel, parallel + 1})
        .filter(w -> w >= 1)
        .distinct()
        .toArray();
  }

  /**
   * Returns the places in the order in which the lanes are walked. Lane, row and place in the row
   * are packed into one number, lane first, so that plain numbers are sorted.
   */
  private long[] walk(double angle, int wide, double offset) {
    int n = places.length;
    double cos = Math.cos(angle);
    double sin = Math.sin(angle);
    double pitch = placing.pitch();
    double leastAcross = Double.POSITIVE_INFINITY;
    double leastAlong = Double.POSITIVE_INFINITY;
    for (int k = 0; k < n; k++) {
      Point p = placing.places().get(places[k]);
      leastAlong = Math.min(leastAlong, p.x() * cos + p.y() * sin);
      leastAcross = Math.min(leastAcross, -p.x() * sin + p.y() * cos);
    }
    double lane = wide * pitch * 0.999;
    long[] keys = new long[n];
    for (int k = 0; k < n; k++) {
      Point p = placing.places().get(places[k]);
      double across = -p.x() * sin + p.y() * cos - leastAcross + pitch * (0.25 + offset);
      // Rows are half a pitch deep, so that cells of one row count as level.
      long row = Math.round((p.x() * cos + p.y() * sin - leastAlong) / (pitch / 2));
      long number = (long) (across / lane);
      long up = number % 2 == 0 ? row : ROWS - row;
      keys[k] =
          ((number * (ROWS + 1) + up) * COLUMNS + Math.round(across / pitch * 8)) * PLACES + k;
    }
    Arrays.sort(keys);
    return keys;
  }

  /**
   * Cuts the walk into groups.
   *
   * @param whole whether a lane's cells that make no whole group are left empty
   * @return the group of each place; empty if it does not work out
   */
  private int[] cut(long[] walk, boolean whole) {
    int[] group = start.clone();
    int g = from;
    int at = 0;
    while (g < to && at + parallel <= walk.length) {
      int last = at + parallel - 1;
      if (whole && lane(walk[at]) != lane(walk[last])) {
        at++;
        continue;
      }
      for (int k = at; k <= last; k++) {
        group[places[(int) (walk[k] % PLACES)]] = g;
      }
      if (piece(group, g, places[(int) (walk[at] % PLACES)]) != parallel) {
        return new int[0];
      }
      at += parallel;
      g++;
    }
    return g == to ? group : new int[0];
  }

  private static long lane(long key) {
    return key / PLACES / COLUMNS / (ROWS + 1);
  }

  /** How many places of a group hang together with one of them. */
  private int piece(int[] group, int g, int first) {
    int open = 0;
    int size = 0;
    stamped++;
    stack[open++] = first;
    stamp[first] = stamped;
    while (open > 0) {
      int k = stack[--open];
      size++;
      for (int m : near.get(k)) {
        if (group[m] == g && stamp[m] != stamped) {
          stamp[m] = stamped;
          stack[open++] = m;
        }
      }
    }
    return size;
  }
}
