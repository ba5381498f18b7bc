package hammerman.fit;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Deque;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.jspecify.annotations.Nullable;

/**
 * Which cell belongs to which group: connected groups of equal size, in series order, each touching
 * the one before it. Groups are grown one after the other along a direction, filling pockets first;
 * many directions and tempers are tried and the best kept. Deterministic: seeds are fixed.
 *
 * @param group group of each place, from 0; -1 for a place left empty
 * @param series number of groups
 * @param parallel cells of a group
 * @param links touching pairs between consecutive groups, the fewest of any link
 * @param endsToExit distance from the lead exit to the nearest cell of the first and of the last
 *     group, added, m
 */
@SuppressWarnings("ArrayRecordComponent")
public record Grouping(int[] group, int series, int parallel, int links, double endsToExit) {
  private static final int DIRECTIONS = 24;
  private static final int TEMPERS = 10;

  /** Pitches of longer leads that one more strip in the narrowest link is worth. */
  private static final double LINK_WORTH = 8;

  /** What came of it: a grouping, or why there is none. */
  public sealed interface Result {
    /** Groups were found. */
    record Found(Grouping grouping) implements Result {}

    /** No groups were found, with the reason in a sentence. */
    record NotPossible(String why) implements Result {}
  }

  /**
   * Partitions places into groups.
   *
   * @param exit where the leads leave
   */
  public static Result of(Placing placing, int series, int parallel, Point exit) {
    int needed = series * parallel;
    int n = placing.places().size();
    if (n < needed) {
      return new Result.NotPossible(
          "Not possible: %d cells are needed and %d fit in one layer; %d places are missing."
              .formatted(needed, n, needed - n));
    }
    List<int[]> near = placing.neighbours();
    int largest = largestComponent(near, null);
    if (largest < needed) {
      return new Result.NotPossible(
          "Not possible: only %d of the places touch each other in one piece; %d are needed. A"
                  .formatted(largest, needed)
              + " keep-out or a narrow place parts them.");
    }
    Grouping best = null;
    double bestScore = Double.POSITIVE_INFINITY;
    for (int temper = 0; temper < TEMPERS; temper++) {
      for (int d = 0; d < DIRECTIONS; d++) {
        double angle = 2 * Math.PI * d / DIRECTIONS;
        Optional<int[]> groups =
            new Growth(placing, near, series, parallel, angle, temper, 31L * temper + d).grow();
        if (groups.isPresent()) {
          Grouping g = scored(placing, near, groups.get(), series, parallel, exit);
          double score =
              g.endsToExit() / placing.pitch() - LINK_WORTH * Math.min(g.links(), parallel);
          if (score < bestScore) {
            best = g;
            bestScore = score;
          }
        }
      }
      if (best != null && temper >= 3) {
        break;
      }
    }
    return best == null
        ? new Result.NotPossible(
            "Not possible: no way was found to part these places into %d connected groups of %d that touch in order. Another pattern, a little more room or another count may help."
                .formatted(series, parallel))
        : new Result.Found(best);
  }

  /** Returns this grouping with the cells of two places exchanged or one moved to a free place. */
  public Grouping swapped(int a, int b) {
    int[] changed = group.clone();
    changed[a] = group[b];
    changed[b] = group[a];
    return new Grouping(changed, series, parallel, links, endsToExit);
  }

  /** Returns what is wrong with a grouping, in sentences; empty if it is sound. */
  public List<String> faults(Placing placing) {
    List<int[]> near = placing.neighbours();
    List<String> faults = new ArrayList<>();
    for (int g = 0; g < series; g++) {
      int size = 0;
      for (int k : group) {
        size += k == g ? 1 : 0;
      }
      if (size != parallel) {
        faults.add("Group " + (g + 1) + " has " + size + " cells instead of " + parallel + ".");
      }
      boolean[] mine = new boolean[group.length];
      for (int k = 0; k < group.length; k++) {
        mine[k] = group[k] == g;
      }
      if (largestComponent(near, mine) != size) {
        faults.add("Group " + (g + 1) + " is in pieces.");
      }
      if (g > 0 && touching(near, group, g - 1, g) == 0) {
        faults.add("Groups " + g + " and " + (g + 1) + " do not touch.");
      }
    }
    return faults;
  }

  private static Grouping scored(
      Placing placing, List<int[]> near, int[] group, int series, int parallel, Point exit) {
    int fewest = Integer.MAX_VALUE;
    for (int g = 1; g < series; g++) {
      fewest = Math.min(fewest, touching(near, group, g - 1, g));
    }
    double ends = nearest(placing, group, 0, exit) + nearest(placing, group, series - 1, exit);
    return new Grouping(group, series, parallel, series > 1 ? fewest : 0, ends);
  }

  private static double nearest(Placing placing, int[] group, int g, Point exit) {
    double least = Double.POSITIVE_INFINITY;
    for (int k = 0; k < group.length; k++) {
      if (group[k] == g) {
        least = Math.min(least, placing.places().get(k).to(exit));
      }
    }
    return least;
  }

  private static int touching(List<int[]> near, int[] group, int a, int b) {
    int n = 0;
    for (int k = 0; k < group.length; k++) {
      if (group[k] == a) {
        for (int m : near.get(k)) {
          n += group[m] == b ? 1 : 0;
        }
      }
    }
    return n;
  }

  /** Size of the largest connected piece, of the marked places or of all. */
  private static int largestComponent(List<int[]> near, boolean @Nullable [] mine) {
    boolean[] seen = new boolean[near.size()];
    int largest = 0;
    for (int k = 0; k < near.size(); k++) {
      if (!seen[k] && (mine == null || mine[k])) {
        largest = Math.max(largest, component(near, mine, seen, k));
      }
    }
    return largest;
  }

  private static int component(
      List<int[]> near, boolean @Nullable [] mine, boolean[] seen, int from) {
    Deque<Integer> open = new ArrayDeque<>(List.of(from));
    seen[from] = true;
    int size = 0;
    while (!open.isEmpty()) {
      int k = open.pop();
      size++;
      for (int m : near.get(k)) {
        if (!seen[m] && (mine == null || mine[m])) {
          seen[m] = true;
          open.push(m);
        }
      }
    }
    return size;
  }

  /** One attempt: groups grown along a direction. */
  private static final class Growth {
    private final Placing placing;
    private final List<int[]> near;
    private final int series;
    private final int parallel;
    private final double[] along;
    private final double pocket;
    private final double round;
    private final double noise;
    private final Random random;
    private final int[] group;

    Growth(
        Placing placing,
        List<int[]> near,
        int series,
        int parallel,
        double angle,
        int temper,
        long seed) {
      this.placing = placing;
      this.near = near;
      this.series = series;
      this.parallel = parallel;
      this.pocket = 0.15 + 0.15 * (temper % 4);
      this.round = temper % 3 == 2 ? 0.5 : 0.12;
      this.noise = temper < 3 ? 0 : 0.25 * (temper - 2);
      this.random = new Random(seed);
      along = new double[near.size()];
      for (int k = 0; k < along.length; k++) {
        Point p = placing.places().get(k);
        along[k] = (p.x() * Math.cos(angle) + p.y() * Math.sin(angle)) / placing.pitch();
      }
      group = new int[near.size()];
      Arrays.fill(group, -1);
    }

    Optional<int[]> grow() {
      int left = series * parallel;
      for (int g = 0; g < series; g++) {
        int start = start(g);
        if (start < 0 || !fill(g, start)) {
          return Optional.empty();
        }
        left -= parallel;
        if (left > 0 && reachable(g) < left) {
          return Optional.empty();
        }
      }
      return Optional.of(group);
    }

    /** The free place that comes first; beside the group before, if there is one. */
    private int start(int g) {
      int best = -1;
      double least = Double.POSITIVE_INFINITY;
      for (int k = 0; k < group.length; k++) {
        if (group[k] == -1 && (g == 0 || touches(k, g - 1))) {
          double key = along[k] + pocket * free(k) + jitter();
          if (key < least) {
            least = key;
            best = k;
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

    private boolean touches(int k, int g) {
      for (int m : near.get(k)) {
        if (group[m] == g) {
          return true;
        }
      }
      return false;
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
      boolean[] mine = new boolean[group.length];
      for (int k = 0; k < group.length; k++) {
        mine[k] = group[k] == -1;
      }
      boolean[] seen = new boolean[group.length];
      int most = 0;
      for (int k = 0; k < group.length; k++) {
        if (mine[k] && !seen[k] && touches(k, g)) {
          most = Math.max(most, component(near, mine, seen, k));
        }
      }
      return most;
    }
  }
}
