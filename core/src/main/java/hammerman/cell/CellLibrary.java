package hammerman.cell;

import java.util.ArrayList;
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

  /** Returns this library with cells put first; a cell here with the same id gives way. */
  public CellLibrary with(List<CellType> first) {
    List<CellType> all = new ArrayList<>(first);
    cells.stream()
        .filter(c -> first.stream().noneMatch(f -> f.id().equals(c.id())))
        .forEach(all::add);
    return new CellLibrary(all);
  }
}
