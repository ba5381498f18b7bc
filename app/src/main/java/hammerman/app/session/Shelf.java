package hammerman.app.session;

import hammerman.cell.CellLibrary;
import hammerman.cell.CellType;
import hammerman.guard.Parts;
import hammerman.project.CellFile;
import hammerman.project.Shipped;
import hammerman.project.UnreadableProject;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** The user's own cells, kept between projects in a file of the program's folder. */
public final class Shelf {
  private static final Logger LOG = LoggerFactory.getLogger(Shelf.class);

  private final Path file;
  private final ReadOnlyObjectWrapper<CellLibrary> cells =
      new ReadOnlyObjectWrapper<>(this, "cells", new CellLibrary(List.of()));

  /** Reads the cells kept in a file; an unreadable file is left alone and counts as none. */
  public Shelf(Path file) {
    this.file = file;
    if (Files.exists(file)) {
      try {
        cells.set(CellFile.read(file));
      } catch (UnreadableProject e) {
        LOG.warn("own cells cannot be read: {}", e.getMessage());
      }
    }
  }

  /**
   * Returns the parts that ship, with the user's own before them if there is a readable {@code
   * parts.json} beside the cells.
   */
  Parts parts() {
    Path own = file.resolveSibling("parts.json");
    Parts shipped = Shipped.parts();
    if (!Files.exists(own)) {
      return shipped;
    }
    try {
      return shipped.with(CellFile.readParts(own));
    } catch (UnreadableProject e) {
      LOG.warn("own parts cannot be read: {}", e.getMessage());
      return shipped;
    }
  }

  public ReadOnlyObjectProperty<CellLibrary> cellsProperty() {
    return cells.getReadOnlyProperty();
  }

  /** Keeps cells; one with the same id gives way. */
  public void keep(List<CellType> added) throws IOException {
    set(cells.get().with(added));
  }

  /** Removes a cell. */
  public void remove(String id) throws IOException {
    List<CellType> left = new ArrayList<>(cells.get().cells());
    left.removeIf(c -> c.id().equals(id));
    set(new CellLibrary(left));
  }

  private void set(CellLibrary value) throws IOException {
    Path folder = file.toAbsolutePath().getParent();
    if (folder != null) {
      Files.createDirectories(folder);
    }
    CellFile.save(value, file);
    cells.set(value);
  }
}
