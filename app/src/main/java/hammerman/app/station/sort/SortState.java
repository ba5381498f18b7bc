package hammerman.app.station.sort;

import hammerman.app.session.Keeper;
import hammerman.app.session.Session;
import hammerman.finding.Station;
import hammerman.pack.MatchedCells;
import hammerman.pack.Pack;
import hammerman.project.Project;
import hammerman.sort.SortPlan;
import hammerman.sort.Sorting;
import hammerman.sort.Stock;
import hammerman.store.BuildBook.CellPlace;
import hammerman.store.NotKept;
import hammerman.store.ProjectStore;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.UnaryOperator;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;
import org.jspecify.annotations.Nullable;

/** What all views of the station show: the stock as it is sorted now, read anew when it changes. */
final class SortState {
  private final Session session;
  private final ReadOnlyObjectWrapper<Shown> shown =
      new ReadOnlyObjectWrapper<>(this, "shown", Shown.NOTHING);
  private final ReadOnlyStringWrapper said = new ReadOnlyStringWrapper(this, "said", "");
  private long records = -1;
  private boolean direct;
  private long request;

  /**
   * What is read of the project's file.
   *
   * @param stock all cells
   * @param welded group of the cells that are built in already, by label
   */
  record Read(Stock stock, Map<String, Integer> welded) {
    static final Read NOTHING = new Read(Stock.NONE, Map.of());

    static Read of(ProjectStore store, boolean direct) throws NotKept {
      Stock stock = store.inventory().stock(direct);
      Map<Long, String> labels = new HashMap<>();
      stock.cells().forEach(c -> labels.put(c.id(), c.label()));
      Map<String, Integer> welded = new HashMap<>();
      List<CellPlace> places = store.buildBook().places();
      for (CellPlace p : places) {
        String label = labels.get(p.cell());
        if (label != null && p.pack() == 0) {
          welded.put(label, p.group());
        }
      }
      return new Read(stock, welded);
    }
  }

  /**
   * What the views show.
   *
   * @param pack of the design
   */
  record Shown(Read read, SortPlan plan, @Nullable Pack pack, Sorting sorting) {
    static final Shown NOTHING = new Shown(Read.NOTHING, SortPlan.USUAL, null, Sorting.NONE);

    /** Returns the rated capacity of a cell of the design, Ah. */
    double typical() {
      return pack == null ? 1 : pack.cell().capacity();
    }

    @Nullable MatchedCells inPack() {
      return pack == null ? null : pack.matched().orElse(null);
    }
  }

  SortState(Session session) {
    this.session = session;
  }

  /** What the views show. */
  ReadOnlyObjectProperty<Shown> shownProperty() {
    return shown.getReadOnlyProperty();
  }

  Shown shown() {
    return shown.get();
  }

  /** What was done last, or why it was not. */
  ReadOnlyStringProperty saidProperty() {
    return said.getReadOnlyProperty();
  }

  void say(String words) {
    said.set(words);
  }

  void say(Keeper.Trouble trouble) {
    said.set(trouble.why());
  }

  /** Follows the project, and reads the records if they or what is asked of them changed. */
  void follow() {
    Project p = session.project();
    Keeper keeper = session.keeper();
    boolean unread = records != keeper.recordsProperty().get() || direct != p.sortPlan().direct();
    sort(shown.get().read());
    if (!unread) {
      return;
    }
    records = keeper.recordsProperty().get();
    direct = p.sortPlan().direct();
    if (keeper.keptProperty().get().file() == null) {
      sort(Read.NOTHING);
      return;
    }
    long mine = ++request;
    boolean as = direct;
    keeper.records(
        store -> Read.of(store, as),
        read -> {
          if (mine == request) {
            sort(read);
          }
        },
        this::say);
  }

  private void sort(Read read) {
    Project p = session.project();
    Shown was = shown.get();
    Pack pack = p.design().pack();
    if (read.equals(was.read()) && p.sortPlan().equals(was.plan()) && pack.equals(was.pack())) {
      return;
    }
    MatchedCells in = pack.matched().orElse(null);
    shown.set(
        new Shown(
            read,
            p.sortPlan(),
            pack,
            Sorting.of(read.stock(), p.sortPlan(), pack.cell().capacity(), in)));
  }

  /** Changes how cells are sorted. */
  void edit(String what, UnaryOperator<SortPlan> change) {
    session.edit(what, Station.SORT, p -> p.withSorting(change.apply(p.sortPlan())));
  }

  /** Changes the records, and says what was done. */
  void record(String done, Keeper.StoreWork<?> work) {
    session.keeper().record(work, result -> say(done), this::say);
  }

  /** Returns the present moment. */
  Instant now() {
    return session.keeper().clock().instant();
  }

  Session session() {
    return session;
  }
}
