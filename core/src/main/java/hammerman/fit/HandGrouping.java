package hammerman.fit;

import hammerman.unit.Valid;
import java.util.Arrays;
import java.util.List;

/**
 * Groups as they were arranged by hand; used while the counts and the places are those they were
 * made for.
 *
 * @param series number of groups
 * @param parallel cells of a group
 * @param groups group of each place, from 0; -1 for a place left empty
 */
public record HandGrouping(int series, int parallel, List<Integer> groups) {
  private static final int MOST_PLACES = 100_000;

  public HandGrouping {
    groups = List.copyOf(groups);
    Valid.count("Places arranged by hand", groups.size(), 1, MOST_PLACES);
    Valid.count("Series count arranged by hand", series, 1, MOST_PLACES);
    Valid.count("Parallel count arranged by hand", parallel, 1, MOST_PLACES);
    for (int g : groups) {
      Valid.count("Group of a place", g, -1, series - 1);
    }
  }

  static HandGrouping of(Grouping g) {
    return new HandGrouping(g.series(), g.parallel(), Arrays.stream(g.group()).boxed().toList());
  }

  boolean suits(int series, int parallel, int places) {
    return this.series == series && this.parallel == parallel && groups.size() == places;
  }

  int[] array() {
    return groups.stream().mapToInt(Integer::intValue).toArray();
  }
}
