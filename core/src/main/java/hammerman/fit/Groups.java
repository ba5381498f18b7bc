package hammerman.fit;

import java.util.ArrayDeque;
import java.util.Arrays;
import java.util.Deque;
import java.util.List;

/** What can be counted about groups of places: pieces, and pairs that touch. */
final class Groups {
  private Groups() {}

  /** Returns how many touching pairs two groups have. */
  static int touching(List<int[]> near, int[] group, int a, int b) {
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

  /** Returns whether a place touches one of a group. */
  static boolean touches(List<int[]> near, int[] group, int place, int g) {
    for (int m : near.get(place)) {
      if (group[m] == g) {
        return true;
      }
    }
    return false;
  }

  /** Returns the size of the largest connected piece of the marked places. */
  static int largestPiece(List<int[]> near, boolean[] mine) {
    boolean[] seen = new boolean[near.size()];
    int largest = 0;
    for (int k = 0; k < near.size(); k++) {
      if (!seen[k] && mine[k]) {
        largest = Math.max(largest, piece(near, mine, seen, k));
      }
    }
    return largest;
  }

  /** Marks the piece that a place is in as seen, and returns its size. */
  static int piece(List<int[]> near, boolean[] mine, boolean[] seen, int from) {
    Deque<Integer> open = new ArrayDeque<>(List.of(from));
    seen[from] = true;
    int size = 0;
    while (!open.isEmpty()) {
      int k = open.pop();
      size++;
      for (int m : near.get(k)) {
        if (!seen[m] && mine[m]) {
          seen[m] = true;
          open.push(m);
        }
      }
    }
    return size;
  }

  /** Returns the places that belong to a group. */
  static boolean[] of(int[] group, int g) {
    boolean[] mine = new boolean[group.length];
    for (int k = 0; k < group.length; k++) {
      mine[k] = group[k] == g;
    }
    return mine;
  }

  /** Returns the places of a sheet. */
  static boolean[] in(Sheet sheet, int places) {
    boolean[] mine = new boolean[places];
    Arrays.fill(mine, sheet.first(), sheet.end(), true);
    return mine;
  }
}
