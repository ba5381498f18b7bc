package hammerman.app.session;

import hammerman.cell.CellLibrary;
import hammerman.cell.CellType;
import hammerman.guard.Parts;
import hammerman.project.CellFile;
import hammerman.project.Shipped;
import hammerman.project.UnreadableProject;
import hammerman.store.NotKept;
import hammerman.store.OwnStore;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.Executor;
import java.util.function.Consumer;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;

/** The builder's own cells and parts, for every project. */
public final class Shelf {
  private static final String TAKEN_OVER = "shelf.takenOver";

  private final OwnStore store;
  private final Executor writer;
  private final Executor ui;
  private final Clock clock;
  private final Optional<Parts> parts;
  private final ReadOnlyObjectWrapper<CellLibrary> cells;

  /**
   * @param store they are kept in
   * @param writer writes off the interface thread
   * @param ui runs on the interface thread
   */
  public Shelf(OwnStore store, Executor writer, Executor ui, Clock clock) {
    this.store = store;
    this.writer = writer;
    this.ui = ui;
    this.clock = clock;
    cells = new ReadOnlyObjectWrapper<>(this, "cells", store.cells());
    parts = store.parts();
  }

  /**
   * Takes over the cells and parts that earlier versions kept as files; those are left as they are.
   *
   * @return what could not be read, in sentences
   */
  static List<String> takeOver(OwnStore store, Path home, Clock clock) {
    List<String> troubles = new ArrayList<>();
    if (store.settings().containsKey(TAKEN_OVER)) {
      return troubles;
    }
    try {
      Path oldCells = home.resolve("cells.json");
      if (Files.exists(oldCells)) {
        try {
          store.keep(CellFile.read(oldCells).cells(), clock.instant());
        } catch (UnreadableProject e) {
          troubles.add("Your own cells are not taken over. " + e.getMessage());
        }
      }
      Path oldParts = home.resolve("parts.json");
      if (Files.exists(oldParts)) {
        try {
          store.keep(CellFile.readParts(oldParts));
        } catch (UnreadableProject e) {
          troubles.add("Your own parts are not taken over. " + e.getMessage());
        }
      }
      if (troubles.isEmpty()) {
        store.put(Map.of(TAKEN_OVER, clock.instant().toString()));
      }
    } catch (NotKept e) {
      troubles.add(e.getMessage());
    }
    return troubles;
  }

  /** Returns the parts that ship, with the builder's own before them. */
  Parts parts() {
    return parts.map(Shipped.parts()::with).orElseGet(Shipped::parts);
  }

  public ReadOnlyObjectProperty<CellLibrary> cellsProperty() {
    return cells.getReadOnlyProperty();
  }

  /** Keeps cells; one with the same id gives way. Says why if they cannot be kept. */
  public void keep(List<CellType> added, Runnable done, Consumer<String> failed) {
    write(
        () -> store.keep(added, clock.instant()),
        () -> {
          cells.set(cells.get().with(added));
          done.run();
        },
        failed);
  }

  /** Removes a cell. */
  public void remove(String id, Runnable done, Consumer<String> failed) {
    write(
        () -> store.remove(id),
        () -> {
          List<CellType> left = new ArrayList<>(cells.get().cells());
          left.removeIf(c -> c.id().equals(id));
          cells.set(new CellLibrary(left));
          done.run();
        },
        failed);
  }

  /** Takes in parts of the builder's own; they count from the next start. */
  public void take(Parts own, Runnable done, Consumer<String> failed) {
    write(() -> store.keep(own), done, failed);
  }

  /** Something that may fail to be kept. */
  @FunctionalInterface
  private interface Write {
    void run() throws NotKept;
  }

  private void write(Write what, Runnable done, Consumer<String> failed) {
    writer.execute(
        () -> {
          try {
            what.run();
            ui.execute(done);
          } catch (NotKept e) {
            String why = String.valueOf(e.getMessage());
            ui.execute(() -> failed.accept(why));
          }
        });
  }
}
