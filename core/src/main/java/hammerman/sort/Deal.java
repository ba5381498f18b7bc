package hammerman.sort;

import hammerman.unit.InvalidValue;
import java.util.Arrays;

/** How cells are dealt out at first: pinned ones to their groups, then the others in some order. */
enum Deal {
  /** The next best to the group with the least: the greedy choice. */
  GREEDY,
  /** The best to the first group, on to the last, and back again. */
  TO_AND_FRO,
  /** By their resistance, so that those of a group are alike. */
  BY_RESISTANCE;

  /**
   * Deals all cells out; the weakest are spare.
   *
   * @throws InvalidValue if a cell is pinned where there is no room
   */
  void to(Groups groups) {
    int[] filled = new int[groups.series];
    Arrays.fill(groups.at, -1);
    Arrays.fill(groups.sum, 0);
    boolean[] placed = pinned(groups, filled);
    Integer[] order = new Integer[groups.cells];
    Arrays.setAll(order, k -> k);
    Arrays.sort(order, (a, b) -> Long.compare(groups.value[b], groups.value[a]));
    int room = groups.used - Arrays.stream(filled).sum();
    Integer[] chosen =
        Arrays.stream(order).filter(k -> !placed[k]).limit(room).toArray(Integer[]::new);
    if (this == BY_RESISTANCE) {
      Arrays.sort(chosen, (a, b) -> Double.compare(groups.ohms[a], groups.ohms[b]));
    }
    for (int turn = 0; turn < chosen.length; turn++) {
      int g =
          switch (this) {
            case GREEDY -> least(groups, filled);
            case TO_AND_FRO -> toAndFro(groups, turn, filled);
            case BY_RESISTANCE -> first(groups, filled);
          };
      put(groups, chosen[turn], g, filled);
    }
    spares(groups);
    groups.add();
  }

  /** Puts pinned cells into their groups; returns which cells they are. */
  private static boolean[] pinned(Groups groups, int[] filled) {
    boolean[] placed = new boolean[groups.cells];
    for (int k = 0; k < groups.cells; k++) {
      int pin = groups.pin[k];
      if (pin < 0) {
        continue;
      }
      if (pin >= groups.series || filled[pin] == groups.parallel) {
        throw new InvalidValue(
            "Pinned cell",
            String.valueOf(pin + 1),
            "must be a group from 1 to %d with room for it".formatted(groups.series),
            "Unpin it, or pin it to another group.");
      }
      put(groups, k, pin, filled);
      placed[k] = true;
    }
    return placed;
  }

  /** Puts all that is in no group behind the groups. */
  private static void spares(Groups groups) {
    boolean[] in = new boolean[groups.cells];
    for (int p = 0; p < groups.used; p++) {
      in[groups.at[p]] = true;
    }
    int p = groups.used;
    for (int k = 0; k < groups.cells; k++) {
      if (!in[k]) {
        groups.at[p++] = k;
      }
    }
  }

  private static int first(Groups groups, int[] filled) {
    int g = 0;
    while (filled[g] == groups.parallel) {
      g++;
    }
    return g;
  }

  private static void put(Groups groups, int cell, int group, int[] filled) {
    groups.at[group * groups.parallel + filled[group]++] = cell;
    groups.sum[group] += groups.value[cell];
  }

  private static int least(Groups groups, int[] filled) {
    int best = -1;
    for (int g = 0; g < groups.series; g++) {
      if (filled[g] < groups.parallel && (best < 0 || groups.sum[g] < groups.sum[best])) {
        best = g;
      }
    }
    return best;
  }

  private static int toAndFro(Groups groups, int turn, int[] filled) {
    int row = turn / groups.series;
    int column = turn % groups.series;
    int g = row % 2 == 0 ? column : groups.series - 1 - column;
    return filled[g] < groups.parallel ? g : least(groups, filled);
  }
}
