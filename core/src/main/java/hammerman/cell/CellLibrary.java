package hammerman.cell;

import java.util.List;
import java.util.Optional;

/**
 * Cell types to choose from, in a fixed order.
 *
 * @param cells the types, each id once
 */
public record CellLibrary(List<CellType> cells) {
  public CellLibrary {
    cells = List.copyOf(cells);
  }

  /** Returns the type with an id, if it is in the library. */
  public Optional<CellType> find(String id) {
    return cells.stream().filter(c -> c.id().equals(id)).findFirst();
  }
}
