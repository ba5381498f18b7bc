package hammerman.app.shell;

import hammerman.app.control.FileAsk;
import hammerman.app.job.Latest;
import hammerman.app.session.Session;
import hammerman.app.session.Settings;
import hammerman.app.session.Workshop;
import hammerman.app.shell.Command.Group;
import hammerman.app.station.Bench;
import hammerman.app.station.Slice;
import hammerman.app.station.StationView;
import hammerman.app.theme.Theme;
import hammerman.finding.Station;
import hammerman.forecast.Forecast;
import hammerman.glossary.Glossary;
import hammerman.project.Project;
import hammerman.unit.InvalidValue;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyCodeCombination;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.stage.Window;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** The frame around the stations; one for each window. */
public final class Frame {
  private static final Logger LOG = LoggerFactory.getLogger(Frame.class);

  private final Session session;
  private final Settings settings;
  private final StackPane root = new StackPane();
  private final Zoom zoom;
  private final LineBar line;
  private final Nameplate plate;
  private final Rail rail;
  private final RailPlace side;
  private final Overlay overlay = new Overlay();
  private final Notices notices = new Notices();
  private final StatusBar status = new StatusBar();
  private final UndoButtons undo;
  private final Sheet sheet;
  private final Stations stations;
  private final FileDesk desk;
  private final ProjectCommands project;
  private final Commands commands;
  private final Troubles troubles;
  private StationView current;
  private Theme theme;

  /** Builds the frame of a workshop. */
  public Frame(Workshop workshop) {
    this(workshop, null);
  }

  /**
   * Builds the frame with a way of its own to ask for files.
   *
   * @param ask asks for files; the system's dialogs if absent
   */
  public Frame(Workshop workshop, @Nullable FileAsk ask) {
    session = workshop.session();
    settings = workshop.settings();
    theme = settings.text("theme", "day").equals("night") ? Theme.NIGHT : Theme.DAY;
    rail = new Rail(session, this::go);
    side = new RailPlace(rail, settings.text("rail", ""), d -> settings.put("rail", d));
    FileAsk files = new CarefulAsk(ask == null ? new Dialogs(settings, this::window) : ask);
    Bench bench = new Bench(session, settings, files, this::showWorking, overlay::fill, this::go);
    plate = new Nameplate(bench);
    stations = new Stations(bench, this::showLine);
    line = new LineBar(session, this::go, stations::isComplete);
    current = stations.of(Station.DUTY);
    desk = new FileDesk(session, settings, files, notices, status::tell);
    project =
        new ProjectCommands(
            session,
            desk,
            overlay,
            () -> go(Station.STACK, "variants"),
            status::tell,
            this::complain);
    commands = new Commands(commands());
    undo = new UndoButtons(project::undo, project::redo);
    sheet = new Sheet(line, undo, commands.menu(this::recent), plate, side);
    sheet.tell(notices, status);
    root.getChildren().addAll(sheet, overlay);
    root.widthProperty().addListener((o, was, is) -> sheet.fit(is.doubleValue()));
    zoom = new Zoom(root, settings.number("scale", 1));
    root.addEventFilter(KeyEvent.KEY_PRESSED, this::shortcut);
    session.forecastProperty().addListener((o, was, is) -> show(is));
    session.projectProperty().addListener((o, was, is) -> showProject(is));
    session.keeper().recordsProperty().addListener((o, was, is) -> changed(Slice.RECORDS));
    session.undoableProperty().addListener((o, was, is) -> undo.show(is));
    session.keeper().keptProperty().addListener((o, was, is) -> status.show(is, desk::time));
    Dimmer.follow(session.busyProperty(), session.forecastTroubleProperty(), List.of(plate, rail));
    // Refusals and failures of whatever was pressed or painted end here, in words.
    Thread.currentThread().setUncaughtExceptionHandler((thread, e) -> failed(e));
    plate.show(session.project());
    undo.show(session.undoableProperty().get());
    status.show(session.keeper().keptProperty().get(), desk::time);
    troubles = new Troubles(session, notices);
    go(Station.DUTY);
    if (!workshop.troubles().isEmpty()) {
      complain(String.join(" ", workshop.troubles()));
    }
    desk.offerUnnamed();
  }

  /** Returns the root of the scene. */
  public Parent root() {
    return zoom;
  }

  /** Goes to a station. */
  public void go(Station station) {
    session.visit(station);
    if (station != current.page().station()) {
      current.leave();
    }
    current = stations.of(station);
    sheet.toTop();
    line.select(station);
    show(session.forecastProperty().get());
  }

  /** Shows how a figure came about. */
  public void showWorking(Bench.Working working) {
    rail.showWorking(working);
    side.open();
  }

  /** Returns the stations, in the order of the line. */
  public List<StationView> stations() {
    return stations.all();
  }

  /** Goes to a view of a station by its id; an empty one is its page as it was left. */
  public void go(Station station, String view) {
    go(station);
    if (!view.isEmpty()) {
      current.page().showView(view);
    }
  }

  /** Shows the judgements again. */
  public void showJudgements() {
    rail.showJudgements();
    side.open();
  }

  /** Closes whatever is laid over the page. */
  public void closeOverlay() {
    overlay.close();
  }

  /** Changes the theme and remembers it. */
  public void setTheme(Theme value) {
    theme = value;
    theme.apply();
    settings.put("theme", theme.name().toLowerCase(Locale.ROOT));
  }

  /** Returns the theme. */
  public Theme theme() {
    return theme;
  }

  /** Opens a file; says why if it cannot be used. */
  public void open(Path file) {
    desk.open(file);
  }

  /** Keeps the work under a name; says why if it cannot. */
  public void nameAs(Path file) {
    desk.nameAs(file);
  }

  /** Whether the window may close; if changes cannot be kept that is said once. */
  public boolean mayClose() {
    return troubles.mayClose();
  }

  private void show(Forecast forecast) {
    line.show(forecast);
    plate.show(forecast);
    rail.show(forecast);
    side.show(forecast);
    try {
      current.show(forecast);
      sheet.show(current.page());
    } catch (RuntimeException e) {
      LOG.error("the page of {} failed", current.page().station(), e);
      sheet.show(failure(e));
    }
  }

  private void showLine() {
    line.show(session.forecastProperty().get());
  }

  /** A change that leaves the design as it is makes no forecast, but is to be seen. */
  private void showProject(Project now) {
    plate.show(now);
    Forecast forecast = session.forecastProperty().get();
    if (now.design().equals(forecast.design())) {
      rail.show(forecast);
      side.show(forecast);
      changed(Slice.PROJECT);
    }
  }

  private void changed(Slice slice) {
    if (current.reads().contains(slice)) {
      show(session.forecastProperty().get());
    }
  }

  /** What stands in the place of a page that cannot be drawn: never another design's figures. */
  private Node failure(RuntimeException e) {
    Label words =
        new Label(
            "%s cannot show this design (%s). Undo the last edit, or go to another station; nothing is lost."
                .formatted(current.page().station().label(), Latest.inWords(e)));
    words.setId("page-failure");
    words.getStyleClass().add("answer");
    VBox sheet = new VBox(words);
    sheet.getStyleClass().add("sheet-of-paper");
    return sheet;
  }

  private List<Command> recent() {
    return settings.recent().stream()
        .map(file -> Group.PROJECT.of(String.valueOf(file.getFileName()), () -> desk.open(file)))
        .toList();
  }

  private List<Command> commands() {
    List<Command> list = new ArrayList<>(project.all());
    List<Station> line = Stations.inOrder();
    for (int k = 0; k < line.size(); k++) {
      Station station = line.get(k);
      KeyCode digit = KeyCode.valueOf("DIGIT" + (k + 1));
      list.add(Group.GO.of("Go to " + station.label(), digit, () -> go(station)));
    }
    list.add(Group.GO.of("Show the judgements", KeyCode.J, this::showJudgements));
    list.add(Group.EDIT.of("Do the first remedy", KeyCode.ENTER, () -> status.tell(rail.first())));
    list.add(
        Group.VIEW
            .of("Judgements: open, folded, away", KeyCode.R, () -> status.tell(side.turn()))
            .also("warnings panel beside"));
    list.add(
        Group.VIEW
            .of("Day or night", KeyCode.T, () -> setTheme(theme.other()))
            .also("theme dark light"));
    list.add(Group.VIEW.of("Larger", KeyCode.EQUALS, this::larger).also("zoom in scale"));
    list.add(Group.VIEW.of("Smaller", KeyCode.MINUS, this::smaller).also("zoom out scale"));
    list.add(
        new Command(
            Group.HELP,
            "Explain this screen",
            new KeyCodeCombination(KeyCode.F1),
            this::explain,
            "help glossary words"));
    list.add(Group.HELP.of("Find a command or a field", KeyCode.K, this::palette));
    return list;
  }

  private void shortcut(KeyEvent e) {
    if (commands.press(e, root::requestFocus)) {
      e.consume();
    }
  }

  private void palette() {
    Palette palette = overlay.palette(commands.all());
    // A station is made when it is first gone to: its fields are found one station after another.
    new FieldFinder(stations, this::go, palette::add).next();
  }

  private void explain() {
    overlay.help(
        current.page().station().label() + ": " + current.page().station().question(),
        current.help(),
        Glossary.of(FieldFinder.words(current.page())));
  }

  /** Draws everything a tenth larger. */
  public void larger() {
    scale(0.1);
  }

  /** Draws everything a tenth smaller, but not below its own size. */
  public void smaller() {
    scale(-0.1);
  }

  private void scale(double by) {
    zoom.setScale(zoom.scale() + by);
    settings.put("scale", zoom.scale());
    double set = 100 * zoom.scale();
    double room = Math.floor(100 * zoom.drawn());
    status.tell(
        room < set
            ? "%.0f %% is set; this window has room for %.0f %%.".formatted(set, room)
            : "Drawn at %.0f %%.".formatted(set));
  }

  private void failed(Throwable e) {
    if (e instanceof InvalidValue refused) {
      complain("Not done: " + refused.getMessage());
    } else {
      LOG.error("interface", e);
      complain(
          "Something went wrong here (%s). Your work is kept; undo the last edit or go to another station."
              .formatted(Latest.inWords(e)));
    }
  }

  private void complain(String sentence) {
    notices.trouble(sentence);
  }

  private @Nullable Window window() {
    return root.getScene() == null ? null : root.getScene().getWindow();
  }
}
