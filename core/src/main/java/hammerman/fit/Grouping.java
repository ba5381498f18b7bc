package hammerman.fit;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * Which cell belongs to which group: connected groups of equal size, in series order, each touching
 * the one before it unless wires join them. A group stays in one layer of one box.
 *
 * <p>Groups are cut off lanes that are walked up and down, and grown one after the other along a
 * direction, filling pockets first; many ways are tried, and the best few made better by exchanging
 * cells. The result is the best found, not proved the best there is. Deterministic: seeds are
 * fixed.
 *
 * @param group group of each place, from 0; -1 for a place left empty
 * @param series number of groups
 * @param parallel cells of a group
 */
@SuppressWarnings("ArrayRecordComponent")
public record Grouping(int[] group, int series, int parallel) {
  private static final int DIRECTIONS = 24;
  private static final int TEMPERS = 10;

  /** Tempers tried once a way is known; one is enough if lanes gave one. */
  private static final int ENOUGH = 4;

  /** Attempts that are made better by exchanges. */
  private static final int FINALISTS = 6;

  /** Groups fewer than its places allow that a sheet is tried with, before giving up. */
  private static final int FEWER = 2;

  public Grouping {
    // Arrangements are shared; nobody may change one through its array.
    group = group.clone();
  }

  /** Returns a copy of the group of each place. */
  @Override
  public int[] group() {
    return group.clone();
  }

  /** Returns the group of a place, from 0; -1 if it is left empty. */
  public int at(int place) {
    return group[place];
  }

  /** Returns the number of places, used or not. */
  public int places() {
    return group.length;
  }

  /** What came of it: a grouping, or why there is none. */
  public sealed interface Result {
    /** Groups were found. */
    record Found(Grouping grouping) implements Result {}

    /** No groups were found, with the reason in a sentence. */
    record NotPossible(String why) implements Result {}
  }

  /** What is wanted of the groups. */
  record Wish(List<Container> boxes, int series, int parallel, Style style, Joining joining) {}

  /** Partitions places into groups. */
  static Result of(Placing placing, Wish wish) {
    int[] none = new int[placing.places().size()];
    Arrays.fill(none, -1);
    return of(placing, wish, none, none);
  }

  /**
   * Partitions places into groups, some of which stay.
   *
   * @param held group of each place that stays; -1 elsewhere
   * @param known groups of a sound arrangement to do better than; all -1 if there is none
   */
  static Result of(Placing placing, Wish wish, int[] held, int[] known) {
    int needed = wish.series() * wish.parallel();
    int n = placing.places().size();
    if (n < needed) {
      return new Result.NotPossible(
          "Not possible: %d cells are needed and %d fit; %d places are missing."
              .formatted(needed, n, needed - n));
    }
    List<int[]> near = placing.neighbours();
    int[] group = new int[n];
    Arrays.fill(group, -1);
    int done = 0;
    for (Sheet sheet : placing.sheets()) {
      int piece = Groups.largestPiece(near, Groups.in(sheet, n));
      int most = Math.min(wish.series() - done, piece / wish.parallel());
      for (int count = most; count > Math.max(0, most - FEWER); count--) {
        Optional<int[]> found = sheet(placing, near, sheet, wish, held, known, done, done + count);
        if (found.isPresent()) {
          System.arraycopy(found.get(), sheet.first(), group, sheet.first(), sheet.size());
          done += count;
          break;
        }
      }
    }
    if (done == wish.series()) {
      return new Result.Found(new Grouping(group, wish.series(), wish.parallel()));
    }
    return new Result.NotPossible(
        done == 0 || placing.sheets().size() == 1
            ? why(placing, near, wish)
            : "Not possible: %d of %d groups of %d were found room for, each in one layer. A little more room, another pattern or another count may help."
                .formatted(done, wish.series(), wish.parallel()));
  }

  private static String why(Placing placing, List<int[]> near, Wish wish) {
    int needed = wish.series() * wish.parallel();
    int piece = Groups.largestPiece(near, Groups.in(placing.sheets().getFirst(), near.size()));
    return piece < needed
        ? "Not possible: only %d of the places touch each other in one piece; %d are needed. A keep-out or a narrow place parts them."
            .formatted(piece, needed)
        : "Not possible: no way was found to part these places into %d connected groups of %d that touch in order. Another pattern, a little more room or another count may help."
            .formatted(wish.series(), wish.parallel());
  }

  /** An attempt and what it costs. */
  private record Attempt(int[] group, double cost) {}

  /** Parts one sheet into the groups from one to before another. */
  private static Optional<int[]> sheet(
      Placing placing,
      List<int[]> near,
      Sheet sheet,
      Wish wish,
      int[] held,
      int[] known,
      int from,
      int to) {
    int[] start = Growth.open(sheet, near.size());
    for (int k = sheet.first(); k < sheet.end(); k++) {
      if (held[k] >= from && held[k] < to) {
        start[k] = held[k];
      }
    }
    Point exit = wish.boxes().get(sheet.box()).exit();
    boolean[] stay = Exchange.held(start, wish.series());
    List<Attempt> attempts = new ArrayList<>();
    if (Arrays.stream(start).noneMatch(g -> g >= 0)) {
      for (int[] g :
          new Lanes(placing, near, sheet, start, from, to, wish.parallel()).all(sheet.turn())) {
        attempts.add(new Attempt(g, exchange(placing, near, g, stay, from, to, wish, exit).cost()));
      }
    }
    int[] seed = start.clone();
    int seeded = 0;
    for (int k = sheet.first(); k < sheet.end(); k++) {
      boolean here = known[k] >= from && known[k] < to;
      seed[k] = here ? known[k] : start[k];
      seeded += here ? 1 : 0;
    }
    if (seeded == (to - from) * wish.parallel()) {
      double cost = exchange(placing, near, seed, stay, from, to, wish, exit).cost();
      attempts.add(new Attempt(seed, cost));
    }
    int enough = attempts.isEmpty() ? ENOUGH : 1;
    for (int temper = 0; temper < TEMPERS; temper++) {
      for (int d = 0; d < DIRECTIONS; d++) {
        double angle = 2 * Math.PI * d / DIRECTIONS;
        new Growth(placing, near, start, from, to, wish.parallel(), angle, temper)
            .grow()
            .ifPresent(
                g ->
                    attempts.add(
                        new Attempt(
                            g, exchange(placing, near, g, stay, from, to, wish, exit).cost())));
      }
      if (!attempts.isEmpty() && temper + 1 >= enough) {
        break;
      }
    }
    return attempts.stream()
        .sorted(Comparator.comparingDouble(Attempt::cost))
        .limit(FINALISTS)
        .map(
            a ->
                new Attempt(
                    a.group(),
                    exchange(placing, near, a.group(), stay, from, to, wish, exit).improve()))
        .filter(a -> whole(near, a.group(), from, to, wish))
        .min(Comparator.comparingDouble(Attempt::cost))
        .map(Attempt::group);
  }

  private static Exchange exchange(
      Placing placing,
      List<int[]> near,
      int[] group,
      boolean[] stay,
      int from,
      int to,
      Wish wish,
      Point exit) {
    return new Exchange(
        placing, near, group, stay, from, to, wish.parallel(), wish.style(), wish.joining(), exit);
  }

  private static boolean whole(List<int[]> near, int[] group, int from, int to, Wish wish) {
    for (int g = from + 1; g < to && wish.joining() == Joining.TOUCHING; g++) {
      if (Groups.touching(near, group, g - 1, g) == 0) {
        return false;
      }
    }
    return true;
  }

  /** Returns this grouping with the cells of two places exchanged or one moved to a free place. */
  public Grouping exchanged(int a, int b) {
    int[] changed = group.clone();
    changed[a] = group[b];
    changed[b] = group[a];
    return new Grouping(changed, series, parallel);
  }

  /** Returns this grouping with two groups in each other's place. */
  public Grouping exchangedGroups(int g, int h) {
    int[] changed = group.clone();
    for (int k = 0; k < changed.length; k++) {
      changed[k] = group[k] == g ? h : group[k] == h ? g : group[k];
    }
    return new Grouping(changed, series, parallel);
  }

  /** Returns the places of a group. */
  public int[] members(int g) {
    int[] found = new int[group.length];
    int n = 0;
    for (int k = 0; k < group.length; k++) {
      if (group[k] == g) {
        found[n++] = k;
      }
    }
    return Arrays.copyOf(found, n);
  }

  /** Returns the place of a group that is nearest to a point. */
  public int nearest(Placing placing, int g, Point point) {
    int best = -1;
    double least = Double.POSITIVE_INFINITY;
    for (int k = 0; k < group.length; k++) {
      double far = group[k] == g ? placing.places().get(k).to(point) : Double.POSITIVE_INFINITY;
      if (far < least) {
        least = far;
        best = k;
      }
    }
    return best;
  }

  /**
   * Returns whether a wire or bar joins a group to the next, because blocks are wired or because it
   * is in another layer or box.
   */
  public boolean wired(Placing placing, int g, Joining joining) {
    return joining == Joining.WIRED
        || placing.sheetOf(members(g)[0]) != placing.sheetOf(members(g + 1)[0]);
  }

  /** Returns the touching pairs of the link that has fewest; 0 if every link is wired. */
  public int fewestStrips(Placing placing, Joining joining) {
    List<int[]> near = placing.neighbours();
    int fewest = Integer.MAX_VALUE;
    for (int g = 0; g + 1 < series; g++) {
      if (!wired(placing, g, joining)) {
        fewest = Math.min(fewest, Groups.touching(near, group, g, g + 1));
      }
    }
    return fewest == Integer.MAX_VALUE ? 0 : fewest;
  }

  /** Returns the mean over groups of how far a group stretches, m. */
  public double meanStretch(Placing placing) {
    double sum = 0;
    for (int g = 0; g < series; g++) {
      int[] cells = members(g);
      double most = 0;
      for (int a : cells) {
        for (int b : cells) {
          most = Math.max(most, placing.places().get(a).to(placing.places().get(b)));
        }
      }
      sum += most;
    }
    return sum / series;
  }

  /** Returns what is wrong with a grouping, in sentences; empty if it is sound. */
  public List<String> faults(Placing placing, Joining joining) {
    List<int[]> near = placing.neighbours();
    List<String> faults = new ArrayList<>();
    for (int g = 0; g < series; g++) {
      int size = members(g).length;
      if (size != parallel) {
        faults.add("Group " + (g + 1) + " has " + size + " cells instead of " + parallel + ".");
      }
      if (Groups.largestPiece(near, Groups.of(group, g)) != size) {
        faults.add("Group " + (g + 1) + " is in pieces.");
      }
      if (g > 0
          && size > 0
          && members(g - 1).length > 0
          && !wired(placing, g - 1, joining)
          && Groups.touching(near, group, g - 1, g) == 0) {
        faults.add("Groups " + g + " and " + (g + 1) + " do not touch.");
      }
    }
    return faults;
  }
}
