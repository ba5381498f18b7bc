package hammerman.simulation;

import java.util.function.IntToDoubleFunction;

/** Where a cell or a group of a pack stands out. Asked for at the end of a run, not in its loop. */
final class Places {
  private final CellStates cells;
  private final int groups;
  private final int perGroup;
  private final boolean groupsAlike;
  private final boolean cellsAlike;

  /**
   * @param perGroup how many cells of each group are stepped
   * @param groupsAlike whether one group stands for several
   * @param cellsAlike whether one cell stands for several of its group
   */
  Places(CellStates cells, int groups, int perGroup, boolean groupsAlike, boolean cellsAlike) {
    this.cells = cells;
    this.groups = groups;
    this.perGroup = perGroup;
    this.groupsAlike = groupsAlike;
    this.cellsAlike = cellsAlike;
  }

  /** The hottest cell. */
  Outcome.Place hottest() {
    int found = 0;
    for (int k = 1; k < cells.size(); k++) {
      found = cells.kelvin(k) > cells.kelvin(found) ? k : found;
    }
    return place(found / perGroup, found % perGroup);
  }

  /** The group that has least of something, and its emptiest cell. */
  Outcome.Place emptiest(IntToDoubleFunction of) {
    int least = 0;
    for (int g = 1; g < groups; g++) {
      least = of.applyAsDouble(g) < of.applyAsDouble(least) ? g : least;
    }
    int first = least * perGroup;
    int found = first;
    for (int k = first + 1; k < first + perGroup; k++) {
      found = cells.soc(k) < cells.soc(found) ? k : found;
    }
    return place(least, found - first);
  }

  private Outcome.Place place(int group, int cell) {
    return groupsAlike
        ? Outcome.Place.EVERY
        : new Outcome.Place(group, cellsAlike ? Outcome.Place.ALL : cell);
  }
}
