package hammerman.app.session;

import hammerman.app.job.Latest;
import hammerman.cell.CellLibrary;
import hammerman.design.Design;
import hammerman.finding.Station;
import hammerman.forecast.Forecast;
import hammerman.guard.Parts;
import hammerman.project.Project;
import hammerman.project.Shipped;
import hammerman.project.UnreadableProject;
import hammerman.store.DesignChange;
import hammerman.store.DesignState;
import hammerman.store.Mark;
import hammerman.unit.InvalidValue;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.util.EnumSet;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import java.util.function.UnaryOperator;
import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;

/**
 * The project being worked on. Every edit makes a new immutable project and is kept as it is made;
 * the forecast follows in the background if the design changed, and the last good one stays until
 * the new one is there.
 */
public final class Session {
  private final Shelf shelf;
  private final Keeper keeper;
  private final Clock clock;
  private final History history = new History();
  private final Latest forecasting = new Latest("forecast");
  private final ReadOnlyObjectWrapper<Project> project;
  private final ReadOnlyObjectWrapper<Forecast> forecast;
  private final ReadOnlyStringWrapper forecastTrouble =
      new ReadOnlyStringWrapper(this, "forecastTrouble", "");
  private final ReadOnlyObjectWrapper<Undoable> undoable =
      new ReadOnlyObjectWrapper<>(
          this, "undoable", new Undoable(Optional.empty(), Optional.empty()));
  private final Set<Station> seen = EnumSet.noneOf(Station.class);
  private final Set<Station> edited = EnumSet.noneOf(Station.class);

  /**
   * What can be taken back and made again.
   *
   * @param undo what would be undone, if anything
   * @param redo what would be redone, if anything
   */
  public record Undoable(Optional<String> undo, Optional<String> redo) {}

  /**
   * Starts with an empty project.
   *
   * @param keeper keeps the work
   * @param shelf the builder's own cells and parts
   * @param begun the forecast of the empty project
   */
  Session(Keeper keeper, Shelf shelf, Clock clock, Forecast begun) {
    this.keeper = keeper;
    this.shelf = shelf;
    this.clock = clock;
    Project first = Shipped.starter();
    project = new ReadOnlyObjectWrapper<>(this, "project", first);
    forecast = new ReadOnlyObjectWrapper<>(this, "forecast", begun);
    history.begin(first);
    beginKeeping("New project", first);
  }

  public ReadOnlyObjectProperty<Project> projectProperty() {
    return project.getReadOnlyProperty();
  }

  /** Returns the project being worked on. */
  public Project project() {
    return project.get();
  }

  /** The last good forecast; stale while {@link #busyProperty()} is set. */
  public ReadOnlyObjectProperty<Forecast> forecastProperty() {
    return forecast.getReadOnlyProperty();
  }

  /** Why there is no forecast of the present design; empty if there is or will be one. */
  public ReadOnlyStringProperty forecastTroubleProperty() {
    return forecastTrouble.getReadOnlyProperty();
  }

  /** Whether a newer forecast is on its way. */
  public ReadOnlyBooleanProperty busyProperty() {
    return forecasting.busyProperty();
  }

  /** What can be taken back and made again. */
  public ReadOnlyObjectProperty<Undoable> undoableProperty() {
    return undoable.getReadOnlyProperty();
  }

  /** Returns the cells to choose from: the builder's own, then the starter library. */
  public CellLibrary library() {
    return Shipped.cells().with(shelf.cellsProperty().get().cells());
  }

  /** Returns the parts to choose from. */
  public Parts parts() {
    return shelf.parts();
  }

  /** Returns the builder's own cells. */
  public Shelf shelf() {
    return shelf;
  }

  /** Returns what keeps the work, and the door to its records. */
  public Keeper keeper() {
    return keeper;
  }

  /**
   * Edits the project.
   *
   * @param what the edit in words, for undo
   * @param where the station at which it is made
   * @throws InvalidValue if the new project would hold a value it cannot; nothing is changed then
   */
  public void edit(String what, Station where, UnaryOperator<Project> change) {
    Project before = project();
    Project after = change.apply(before);
    if (after.equals(before)) {
      return;
    }
    edited.add(where);
    long id = history.push(what, after);
    Instant at = clock.instant();
    keeper.keep(() -> new DesignChange.Edited(DesignState.of(id, at, where, what, after)));
    show(after);
  }

  /** Edits the design of the active variant; see {@link #edit}. */
  public void editDesign(String what, Station where, UnaryOperator<Design> change) {
    edit(what, where, p -> p.withDesign(change.apply(p.design())));
  }

  /**
   * Takes back the last edit, also one of an earlier day.
   *
   * @throws UnreadableProject if the state before it cannot be read any more
   */
  public void undo() throws UnreadableProject {
    history.undo().ifPresent(this::moved);
  }

  /** Makes the edit last taken back again. */
  public void redo() throws UnreadableProject {
    history.redo().ifPresent(this::moved);
  }

  private void moved(History.Gone to) {
    keeper.keep(() -> new DesignChange.Moved(to.id()));
    show(to.project());
  }

  /** Gives the present state a name to come back to. */
  public void mark(String name) {
    long id = history.id();
    Instant at = clock.instant();
    keeper.keep(() -> new DesignChange.Marked(id, name, at));
  }

  /** Goes back to a marked state; an edit like any other. */
  public void goTo(Mark mark, Consumer<Keeper.Trouble> failed) {
    keeper.records(
        store -> store.design().state(mark.state()),
        state -> {
          try {
            Project then = state.project();
            edit("Back to “" + mark.name() + "”", state.station(), p -> then);
          } catch (UnreadableProject e) {
            failed.accept(Keeper.Trouble.of(e));
          }
        },
        failed);
  }

  /**
   * Begins an empty project in the currency of the one at hand; the one at hand stays where it is
   * kept.
   */
  public void begin() {
    seen.clear();
    edited.clear();
    String currency = project().duty().bounds().currency();
    Project first = Shipped.starter();
    take(
        "New project",
        first.withDuty(first.duty().withBounds(first.duty().bounds().withCurrency(currency))));
  }

  /** Loads the first worked example, in no file until it is changed. */
  public void loadExample() {
    loadExample(Shipped.Example.TERRACE_BARROW);
  }

  /** Loads a worked example, in no file until it is changed. */
  public void loadExample(Shipped.Example example) {
    edited.addAll(EnumSet.allOf(Station.class));
    take("Example", Shipped.example(example));
  }

  private void take(String what, Project first) {
    history.begin(first);
    beginKeeping(what, first);
    show(first);
  }

  private void beginKeeping(String what, Project first) {
    Instant at = clock.instant();
    keeper.begin(() -> DesignState.of(1, at, Station.DUTY, what, first));
  }

  /** Opens a file; on failure all stays as it was. */
  public void open(Path file, Consumer<Keeper.Opened> done, Consumer<Keeper.Trouble> failed) {
    keeper.open(file, taking(done), failed);
  }

  /** Opens a file only to look at it. */
  public void look(Path file, Consumer<Keeper.Opened> done, Consumer<Keeper.Trouble> failed) {
    keeper.look(file, taking(done), failed);
  }

  /** Takes what can be read of a damaged file into a new one, and opens that. */
  public void salvage(Path file, Consumer<Keeper.Opened> done, Consumer<Keeper.Trouble> failed) {
    keeper.salvage(file, taking(done), failed);
  }

  private Consumer<Keeper.Opened> taking(Consumer<Keeper.Opened> done) {
    return opened -> {
      keeper.take(opened);
      history.begin(opened.line(), opened.now());
      history.reserve(opened.lastState());
      edited.addAll(EnumSet.allOf(Station.class));
      show(opened.now());
      done.accept(opened);
    };
  }

  /** Goes on under a name of the builder's. */
  public void nameAs(Path file, Consumer<Path> done, Consumer<Keeper.Trouble> failed) {
    keeper.nameAs(file, done, failed);
  }

  /** Writes a copy; the work stays where it is. */
  public void copyTo(Path file, Consumer<Path> done, Consumer<Keeper.Trouble> failed) {
    keeper.copyTo(file, done, failed);
  }

  /** Ends the session: background work stops, what is on its way is kept. */
  public void close() {
    forecasting.close();
    keeper.close();
  }

  /** Notes that a station has been looked at. */
  public void visit(Station station) {
    seen.add(station);
  }

  /** Whether a station has been looked at in this project. */
  public boolean isSeen(Station station) {
    return seen.contains(station);
  }

  /** Whether a station holds work: edited here, or loaded from a file. */
  public boolean isEdited(Station station) {
    return edited.contains(station);
  }

  private void show(Project value) {
    project.set(value);
    undoable.set(new Undoable(history.undoable(), history.redoable()));
    Design design = value.design();
    if (design.equals(forecast.get().design())) {
      forecasting.cancel();
      forecastTrouble.set("");
    } else {
      forecasting.submit(
          () -> Forecast.of(design),
          f -> {
            forecastTrouble.set("");
            forecast.set(f);
          },
          e ->
              forecastTrouble.set(
                  "There is no forecast of this design (%s); the figures shown are of an earlier one. Undo the last edit, or give less extreme figures."
                      .formatted(Latest.inWords(e))));
    }
  }
}
