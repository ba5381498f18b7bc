package hammerman.fit;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Random;

/**
 * One attempt to part a sheet into groups: each grown from the one before along a direction,
 * pockets first. Groups that are held stay where they are, and are grown around.
 */
final class Growth {
  /** A place that may not be used. */
  static final int CLOSED = -2;

  private final Placing placing;
  private final List<int[]> near;
  private final int[] group;
  private final boolean[] held;
  private final int from;
  private final int to;
  private final int parallel;
  private final double[] along;
  private final double pocket;
  private final double round;
  private final double noise;
  private final Random random;

  /**
   * @param start groups that are held, -1 where a cell may go, {@link #CLOSED} elsewhere
   * @param from first group of the sheet
   * @param to one past its last group
   * @param angle direction to grow along, rad
   * @param temper how much is left to chance, from 0
   */
  Growth(
      Placing placing,
      List<int[]> near,
      int[] start,
      int from,
      int to,
      int parallel,
      double angle,
      int temper) {
    this.placing = placing;
    this.near = near;
    this.from = from;
    this.to = to;
    this.parallel = parallel;
    group = start.clone();
    held = new boolean[to];
    for (int g : start) {
      if (g >= from && g < to) {
        held[g] = true;
      }
    }
    pocket = 0.15 + 0.15 * (temper % 4);
    round = temper % 3 == 2 ? 0.5 : 0.12;
    noise = temper < 3 ? 0 : 0.25 * (temper - 2);
    random = new Random(31L * temper + Math.round(1000 * angle));
    along = new double[near.size()];
    for (int k = 0; k < along.length; k++) {
      Point p = placing.places().get(k);
      along[k] = (p.x() * Math.cos(angle) + p.y() * Math.sin(angle)) / placing.pitch();
    }
  }

  /** Returns the group of each place of the sheet, or nothing if this attempt got stuck. */
  Optional<int[]> grow() {
    boolean anyHeld = false;
    int left = 0;
    for (int g = from; g < to; g++) {
      anyHeld |= held[g];
      left += held[g] ? 0 : parallel;
    }
    for (int g = from; g < to; g++) {
      if (held[g]) {
        continue;
      }
      int start = start(g, anyHeld);
      if (start < 0 || !fill(g, start)) {
        return Optional.empty();
      }
      left -= parallel;
      if (left > 0 && !anyHeld && reachable(g) < left) {
        return Optional.empty();
      }
    }
    return Optional.of(group);
  }

  /**
   * The free place that comes first; beside the group before, if there is one. Between held groups
   * it may lie apart, for the exchange of cells afterwards to mend.
   */
  private int start(int g, boolean apart) {
    int best = -1;
    double least = Double.POSITIVE_INFINITY;
    for (int k = 0; k < group.length; k++) {
      if (group[k] == -1) {
        boolean beside = g == from || Groups.touches(near, group, k, g - 1);
        if (beside || apart) {
          double key = along[k] + pocket * free(k) + jitter() + (beside ? 0 : 1000);
          if (g + 1 < to && held[g + 1] && Groups.touches(near, group, k, g + 1)) {
            key -= 500;
          }
          if (key < least) {
            least = key;
            best = k;
          }
        }
      }
    }
    return best;
  }

  private boolean fill(int g, int start) {
    double sumX = 0;
    double sumY = 0;
    List<Integer> edge = new ArrayList<>();
    int at = start;
    for (int size = 1; ; size++) {
      group[at] = g;
      sumX += placing.places().get(at).x();
      sumY += placing.places().get(at).y();
      if (size == parallel) {
        return true;
      }
      for (int m : near.get(at)) {
        if (group[m] == -1 && !edge.contains(m)) {
          edge.add(m);
        }
      }
      edge.remove(Integer.valueOf(at));
      if (edge.isEmpty()) {
        return false;
      }
      Point middle = new Point(sumX / size, sumY / size);
      double least = Double.POSITIVE_INFINITY;
      for (int m : edge) {
        double key =
            along[m]
                + pocket * free(m)
                + round * placing.places().get(m).to(middle) / placing.pitch()
                + jitter();
        if (key < least) {
          least = key;
          at = m;
        }
      }
      edge.remove(Integer.valueOf(at));
    }
  }

  private double jitter() {
    return noise > 0 ? noise * random.nextDouble() : 0;
  }

  private int free(int k) {
    int n = 0;
    for (int m : near.get(k)) {
      n += group[m] == -1 ? 1 : 0;
    }
    return n;
  }

  /** Size of the largest free piece that touches a group. */
  private int reachable(int g) {
    boolean[] free = Groups.of(group, -1);
    boolean[] seen = new boolean[group.length];
    int most = 0;
    for (int k = 0; k < group.length; k++) {
      if (free[k] && !seen[k] && Groups.touches(near, group, k, g)) {
        most = Math.max(most, Groups.piece(near, free, seen, k));
      }
    }
    return most;
  }

  /** Returns a sheet ready for growth: free within, closed elsewhere. */
  static int[] open(Sheet sheet, int places) {
    int[] start = new int[places];
    Arrays.fill(start, CLOSED);
    Arrays.fill(start, sheet.first(), sheet.end(), -1);
    return start;
  }
}
