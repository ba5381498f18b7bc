package hammerman.forecast;

import hammerman.chain.Layout;
import hammerman.pack.MatchedCells;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * Cells within their groups so that the weaker ones lie cooler: heat ages a cell, and a weak one
 * has less to lose. The groups stay as they are, so that nothing else changes.
 */
public final class Placement {
  private Placement() {}

  /**
   * Returns the cells of each group in the places of the layout, the one with the least capacity in
   * the coolest place of the duty in the hottest air; of equals the one with more resistance.
   *
   * @param f of a design with the counts of the cells
   * @return empty where there is no layout with these groups
   */
  public static Optional<MatchedCells> coolest(Forecast f, MatchedCells cells) {
    var pack = f.design().pack();
    Optional<Layout.Solved> solved = f.layout().flatMap(Layout::solved);
    if (solved.isEmpty()
        || f.thermal().map().isEmpty()
        || !cells.fill(pack.series(), pack.parallel())) {
      return Optional.empty();
    }
    int[] places = solved.get().warm(f.design()).order();
    double[] warmth = f.thermal().map().get().means();
    List<MatchedCells.Group> groups = new ArrayList<>();
    for (int g = 0; g < cells.groups().size(); g++) {
      int first = g * pack.parallel();
      Integer[] coolFirst = new Integer[pack.parallel()];
      Arrays.setAll(coolFirst, k -> k);
      Arrays.sort(coolFirst, Comparator.comparingDouble(k -> warmth[places[first + k]]));
      List<MatchedCells.Cell> weakFirst = new ArrayList<>(cells.groups().get(g).cells());
      weakFirst.sort(
          Comparator.comparingDouble(MatchedCells.Cell::capacity)
              .thenComparingDouble(c -> c.resistance() == null ? 0 : -c.resistance()));
      MatchedCells.Cell[] placed = new MatchedCells.Cell[pack.parallel()];
      for (int k = 0; k < placed.length; k++) {
        placed[coolFirst[k]] = weakFirst.get(k);
      }
      groups.add(new MatchedCells.Group(List.of(placed)));
    }
    return Optional.of(new MatchedCells(groups, cells.direct(), cells.assumed()));
  }
}
