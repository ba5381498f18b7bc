package hammerman.app.session;

import hammerman.app.job.Latest;
import hammerman.cell.CellLibrary;
import hammerman.design.Design;
import hammerman.finding.Station;
import hammerman.forecast.Forecast;
import hammerman.guard.Parts;
import hammerman.project.Project;
import hammerman.project.ProjectFile;
import hammerman.project.Shipped;
import hammerman.project.UnreadableProject;
import hammerman.unit.InvalidValue;
import java.io.IOException;
import java.nio.file.Path;
import java.util.EnumSet;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;
import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import org.jspecify.annotations.Nullable;

/**
 * The project being worked on. Every edit makes a new immutable project; the forecast follows in
 * the background, and the last good one stays until the new one is there.
 */
public final class Session {
  private final CellLibrary shipped = Shipped.cells();
  private final Parts parts;
  private final Shelf shelf;
  private final History<Project> history = new History<>();
  private final Latest forecasting = new Latest("forecast");
  private final Recovery recovery;
  private final ReadOnlyObjectWrapper<Project> project;
  private final ReadOnlyObjectWrapper<Forecast> forecast;
  private final ReadOnlyObjectWrapper<State> state;
  private final Set<Station> seen = EnumSet.noneOf(Station.class);
  private final Set<Station> edited = EnumSet.noneOf(Station.class);

  /**
   * What the frame shows about the session.
   *
   * @param file where it was last saved, if anywhere
   * @param dirty whether there are edits since
   * @param undoable what would be undone, if anything
   * @param redoable what would be redone, if anything
   */
  public record State(
      @Nullable Path file, boolean dirty, Optional<String> undoable, Optional<String> redoable) {}

  /**
   * Starts with an empty project.
   *
   * @param recovery where copies against a crash go
   * @param shelf the user's own cells
   */
  public Session(Recovery recovery, Shelf shelf) {
    this.recovery = recovery;
    this.shelf = shelf;
    this.parts = shelf.parts();
    Project first = Shipped.starter();
    project = new ReadOnlyObjectWrapper<>(this, "project", first);
    forecast = new ReadOnlyObjectWrapper<>(this, "forecast", Forecast.of(first.design()));
    state =
        new ReadOnlyObjectWrapper<>(
            this, "state", new State(null, false, Optional.empty(), Optional.empty()));
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

  /** Whether a newer forecast is on its way. */
  public ReadOnlyBooleanProperty busyProperty() {
    return forecasting.busyProperty();
  }

  public ReadOnlyObjectProperty<State> stateProperty() {
    return state.getReadOnlyProperty();
  }

  /** Returns the cells to choose from: the user's own, then the starter library. */
  public CellLibrary library() {
    return shipped.with(shelf.cellsProperty().get().cells());
  }

  /** Returns the parts to choose from. */
  public Parts parts() {
    return parts;
  }

  /** Returns the user's own cells. */
  public Shelf shelf() {
    return shelf;
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
    history.push(what, before);
    edited.add(where);
    show(after, state.get().file(), true);
  }

  /** Edits the design of the active variant; see {@link #edit}. */
  public void editDesign(String what, Station where, UnaryOperator<Design> change) {
    edit(what, where, p -> p.withDesign(change.apply(p.design())));
  }

  /** Takes back the last edit. */
  public void undo() {
    history.undo(project()).ifPresent(e -> show(e.state(), state.get().file(), true));
  }

  /** Makes the edit last taken back again. */
  public void redo() {
    history.redo(project()).ifPresent(e -> show(e.state(), state.get().file(), true));
  }

  /** Begins an empty project. */
  public void begin() {
    replace(Shipped.starter(), null, false);
    seen.clear();
    edited.clear();
  }

  /** Loads the first worked example, not bound to a file. */
  public void loadExample() {
    loadExample(Shipped.Example.TERRACE_BARROW);
  }

  /** Loads a worked example, not bound to a file. */
  public void loadExample(Shipped.Example example) {
    replace(Shipped.example(example), null, false);
  }

  /** Opens a file; on failure the session stays as it was. */
  public void open(Path file) throws UnreadableProject {
    replace(ProjectFile.read(file), file, false);
  }

  /** Takes over work recovered after a crash; it counts as not saved. */
  public void recover(Recovery.Found found) throws UnreadableProject {
    replace(ProjectFile.read(found.copy()), found.origin(), true);
    recovery.discard(found);
  }

  /** Saves to a file and stays bound to it. */
  public void save(Path file) throws IOException {
    ProjectFile.save(project(), file);
    recovery.clear();
    refresh(file, false);
  }

  /** Ends the session: background work stops, the recovery copy goes. */
  public void close() {
    forecasting.close();
    recovery.clear();
    recovery.close();
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

  private void replace(Project value, @Nullable Path file, boolean dirty) {
    history.clear();
    recovery.clear();
    edited.addAll(EnumSet.allOf(Station.class));
    show(value, file, dirty);
  }

  private void show(Project value, @Nullable Path file, boolean dirty) {
    project.set(value);
    refresh(file, dirty);
    if (dirty) {
      recovery.keep(value, file);
    }
    Design design = value.design();
    forecasting.submit(() -> Forecast.of(design), forecast::set);
  }

  private void refresh(@Nullable Path file, boolean dirty) {
    state.set(new State(file, dirty, history.undoable(), history.redoable()));
  }
}
