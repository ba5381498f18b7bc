package hammerman.app.shell;

import hammerman.app.control.FileAsk;
import hammerman.app.session.Recovery;
import hammerman.app.session.Session;
import hammerman.app.session.Settings;
import hammerman.app.station.Bench;
import hammerman.app.station.StationView;
import hammerman.app.station.cell.CellStation;
import hammerman.app.station.duty.DutyStation;
import hammerman.app.station.fit.FitStation;
import hammerman.app.station.forecast.ForecastStation;
import hammerman.app.station.guard.GuardStation;
import hammerman.app.station.stack.StackStation;
import hammerman.app.theme.Theme;
import hammerman.finding.Station;
import hammerman.forecast.Forecast;
import hammerman.project.Shipped;
import hammerman.project.UnreadableProject;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import javafx.geometry.Insets;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.ScrollPane;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyCodeCombination;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.stage.Window;
import org.jspecify.annotations.Nullable;

/** The frame around the stations; one for each window. */
public final class Frame {
  private final Session session;
  private final Settings settings;
  private final Recovery recovery;
  private final StackPane root = new StackPane();
  private final Zoom zoom;
  private final LineBar line;
  private final Nameplate plate;
  private final Rail rail;
  private final Overlay overlay = new Overlay();
  private final ScrollPane page = new ScrollPane();
  private final Notices notices = new Notices();
  private final Label message = new Label();
  private final Label saved = new Label();
  private final Button undo = tool("Undo", "undo");
  private final Button redo = tool("Redo", "redo");
  private final List<StationView> views;
  private final FileDesk desk;
  private final List<Command> commands;
  private StationView current;
  private Theme theme;

  /**
   * Builds the frame.
   *
   * @param session the project being worked on
   * @param settings what is remembered between starts
   * @param recovery where copies against a crash lie
   */
  public Frame(Session session, Settings settings, Recovery recovery) {
    this(session, settings, recovery, null);
  }

  /**
   * Builds the frame with a way of its own to ask for files.
   *
   * @param ask asks for files; the system's dialogs if absent
   */
  public Frame(Session session, Settings settings, Recovery recovery, @Nullable FileAsk ask) {
    this.session = session;
    this.settings = settings;
    this.recovery = recovery;
    theme = settings.text("theme", "day").equals("night") ? Theme.NIGHT : Theme.DAY;
    line = new LineBar(session, this::go);
    rail = new Rail(session, this::go);
    FileAsk files = ask == null ? new Dialogs(settings, this::window) : ask;
    Bench bench = new Bench(session, settings, files, this::showWorking);
    plate = new Nameplate(bench);
    views =
        List.of(
            new DutyStation(bench),
            new CellStation(bench),
            new StackStation(bench),
            new GuardStation(bench),
            new FitStation(bench),
            new ForecastStation(bench));
    current = views.getFirst();
    desk = new FileDesk(session, settings, files, this::tell, this::complain);
    commands = commands();
    root.getChildren().addAll(sheet(), overlay);
    zoom = new Zoom(root, settings.number("scale", 1));
    root.addEventFilter(KeyEvent.KEY_PRESSED, this::shortcut);
    session.forecastProperty().addListener((o, was, is) -> show(is));
    session.projectProperty().addListener((o, was, is) -> plate.show(is));
    session.stateProperty().addListener((o, was, is) -> showState());
    Dimmer.follow(session.busyProperty(), List.of(plate, rail));
    plate.show(session.project());
    showState();
    go(Station.DUTY);
    offerRecovered();
  }

  /** Returns the root of the scene. */
  public Parent root() {
    return zoom;
  }

  /** Goes to a station. */
  public void go(Station station) {
    session.visit(station);
    current = views.stream().filter(v -> v.page().station() == station).findFirst().orElseThrow();
    page.setContent(current.page());
    page.setVvalue(0);
    line.select(station);
    show(session.forecastProperty().get());
  }

  /** Shows how a figure came about. */
  public void showWorking(Bench.Working working) {
    rail.showWorking(working);
  }

  /** Goes to a view of a station by its id. */
  public void go(Station station, String view) {
    go(station);
    current.page().showView(view);
  }

  /** Shows the judgements again. */
  public void showJudgements() {
    rail.showJudgements();
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
    desk.openFile(file);
  }

  /** Saves to a file; says why if it cannot. */
  public void save(Path file) {
    desk.saveTo(file);
  }

  /** Whether the window may close; asks about unsaved work. */
  public boolean mayClose() {
    return desk.mayLeave(window());
  }

  private void show(Forecast forecast) {
    line.show(forecast);
    plate.show(forecast);
    rail.show(forecast);
    current.show(forecast);
  }

  private Node sheet() {
    Label wordmark = new Label("Hammerman");
    wordmark.getStyleClass().add("wordmark");
    wordmark.setMinWidth(Region.USE_PREF_SIZE);
    Region spring = new Region();
    HBox.setHgrow(spring, Priority.ALWAYS);
    undo.setOnAction(e -> session.undo());
    redo.setOnAction(e -> session.redo());
    HBox top = new HBox(wordmark, line, spring, undo, redo, menu());
    top.getStyleClass().add("line");
    VBox head = new VBox(top, inset(plate, 2, 16, 6, 16), notices);

    page.setFitToWidth(true);
    page.setFitToHeight(true);
    page.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
    page.getStyleClass().add("page");
    page.setFocusTraversable(false);
    BorderPane sheet = new BorderPane();
    sheet.setTop(head);
    sheet.setCenter(inset(page, 0, 4, 4, 16));
    sheet.setRight(rail);
    sheet.setBottom(status());
    return sheet;
  }

  private Node status() {
    Label keys = new Label("F1 explains this screen · Ctrl+K finds any command");
    message.setId("message");
    Region spring = new Region();
    HBox.setHgrow(spring, Priority.ALWAYS);
    HBox bar = new HBox(saved, message, spring, keys);
    bar.getStyleClass().add("status");
    return bar;
  }

  private static Region inset(Region node, double top, double right, double bottom, double left) {
    StackPane box = new StackPane(node);
    box.setPadding(new Insets(top, right, bottom, left));
    return box;
  }

  private MenuButton menu() {
    MenuButton menu = new MenuButton("Project");
    menu.getStyleClass().add("plain");
    menu.setId("project-menu");
    menu.setMinWidth(Region.USE_PREF_SIZE);
    menu.setOnShowing(
        e -> {
          List<MenuItem> items = new ArrayList<>();
          for (Command c : commands) {
            MenuItem item = new MenuItem(c.name());
            item.setAccelerator(c.keys());
            item.setOnAction(a -> c.action().run());
            items.add(item);
          }
          for (Path recent : settings.recent()) {
            MenuItem item = new MenuItem("Open " + recent.getFileName());
            item.setOnAction(
                a -> {
                  if (desk.mayLeave(window())) {
                    desk.openFile(recent);
                  }
                });
            items.add(item);
          }
          menu.getItems().setAll(items);
        });
    menu.getItems().setAll(new MenuItem("New project"));
    return menu;
  }

  private List<Command> commands() {
    List<Command> list = new ArrayList<>();
    list.add(Command.of("New project", KeyCode.N, () -> desk.begin(window())));
    list.add(Command.of("Open a project", KeyCode.O, () -> desk.open(window())));
    list.add(Command.of("Save", KeyCode.S, () -> desk.save()));
    list.add(Command.withShift("Save under another name", KeyCode.S, () -> desk.saveAs()));
    for (Shipped.Example example : Shipped.Example.values()) {
      list.add(
          Command.of(
              "Load the example “" + example.label() + "”", () -> desk.example(window(), example)));
    }
    list.add(Command.of("Undo", KeyCode.Z, session::undo));
    list.add(Command.withShift("Redo", KeyCode.Z, session::redo));
    list.add(Command.of("What if: copy this variant", KeyCode.D, this::copyVariant));
    list.add(Command.of("Next variant", KeyCode.PAGE_DOWN, this::nextVariant));
    list.add(Command.of("Compare the variants", KeyCode.M, () -> go(Station.STACK, "variants")));
    list.add(Command.of("Remove this variant", this::removeVariant));
    KeyCode[] digits = {
      KeyCode.DIGIT1, KeyCode.DIGIT2, KeyCode.DIGIT3, KeyCode.DIGIT4, KeyCode.DIGIT5, KeyCode.DIGIT6
    };
    for (Station s : Station.values()) {
      list.add(Command.of("Go to " + s.label(), digits[s.ordinal()], () -> go(s)));
    }
    list.add(Command.of("Show the judgements", KeyCode.J, this::showJudgements));
    list.add(Command.of("Do the first remedy", KeyCode.ENTER, () -> tell(rail.first())));
    list.add(Command.of("Day or night", KeyCode.T, () -> setTheme(theme.other())));
    list.add(Command.of("Larger", KeyCode.EQUALS, () -> scale(0.1)));
    list.add(Command.of("Smaller", KeyCode.MINUS, () -> scale(-0.1)));
    list.add(new Command("Explain this screen", new KeyCodeCombination(KeyCode.F1), this::explain));
    list.add(Command.of("Find a command", KeyCode.K, this::palette));
    return List.copyOf(list);
  }

  private void shortcut(KeyEvent e) {
    for (Command c : commands) {
      if (c.keys() != null && c.keys().match(e)) {
        root.requestFocus();
        c.action().run();
        e.consume();
        return;
      }
    }
  }

  private void palette() {
    overlay.palette(commands);
  }

  private void explain() {
    overlay.help(
        current.page().station().label() + ": " + current.page().station().question(),
        current.help());
  }

  private void copyVariant() {
    int n = session.project().variants().size() + 1;
    session.edit("Copy variant", Station.STACK, p -> p.plusVariant("What if " + n));
    tell("Working on a copy; Ctrl+Page Down goes from variant to variant.");
  }

  private void nextVariant() {
    session.edit(
        "Next variant", Station.STACK, p -> p.withActive((p.active() + 1) % p.variants().size()));
  }

  private void removeVariant() {
    if (session.project().variants().size() < 2) {
      complain("This is the only variant; a project keeps at least one.");
    } else {
      session.edit("Remove variant", Station.STACK, p -> p.minusVariant());
    }
  }

  private void scale(double by) {
    zoom.setScale(zoom.scale() + by);
    settings.put("scale", zoom.scale());
  }

  private void showState() {
    Session.State state = session.stateProperty().get();
    undo.setDisable(state.undoable().isEmpty());
    redo.setDisable(state.redoable().isEmpty());
    undo.setAccessibleText("Undo " + state.undoable().orElse("nothing"));
    redo.setAccessibleText("Redo " + state.redoable().orElse("nothing"));
    Path file = state.file();
    saved.setText(
        (file == null ? "Not in a file yet" : String.valueOf(file.getFileName()))
            + (state.dirty() ? ", changes not saved" : ""));
  }

  private void offerRecovered() {
    recovery.left().stream()
        .findFirst()
        .ifPresent(
            found -> notices.offer(found, () -> recover(found), () -> recovery.discard(found)));
  }

  private void recover(Recovery.Found found) {
    try {
      session.recover(found);
      tell("Recovered; save it to keep it.");
    } catch (UnreadableProject e) {
      complain(e.getMessage());
    }
  }

  private void tell(String sentence) {
    message.getStyleClass().remove("bad");
    message.setText(sentence);
  }

  private void complain(String sentence) {
    notices.trouble(sentence);
  }

  private @Nullable Window window() {
    return root.getScene() == null ? null : root.getScene().getWindow();
  }

  private static Button tool(String words, String id) {
    Button button = new Button(words);
    button.setId(id);
    button.getStyleClass().add("plain");
    button.setMinWidth(Region.USE_PREF_SIZE);
    return button;
  }
}
