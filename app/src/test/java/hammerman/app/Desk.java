package hammerman.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import hammerman.app.control.FileAsk;
import hammerman.app.job.Latest;
import hammerman.app.session.Session;
import hammerman.app.session.Workshop;
import hammerman.app.shell.Frame;
import hammerman.app.station.StationView;
import hammerman.app.theme.Theme;
import hammerman.design.SecondPack;
import hammerman.finding.Finding;
import hammerman.finding.Station;
import hammerman.store.OwnStore;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.function.BiConsumer;
import javafx.event.Event;
import javafx.event.EventType;
import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.Scene;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.ChoiceBox;
import javafx.scene.control.Labeled;
import javafx.scene.control.TableRow;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.text.Text;
import javafx.stage.Stage;
import org.testfx.api.FxRobot;
import org.testfx.util.WaitForAsyncUtils;

/** The real window, offscreen, as a user's hands and eyes. */
final class Desk {
  /** Seconds that anything may take on a machine with much else to do. */
  private static final int PATIENCE = 90;

  final Workshop workshop;
  final Session session;
  final Frame frame;
  final Stage stage;
  final Ahead clock = new Ahead();
  final FxRobot robot = new FxRobot();
  final FileAsk files = mock(FileAsk.class);

  /** Has every question for a file answered with this one. */
  void lay(Path file) {
    when(files.open(any(), any())).thenReturn(Optional.of(file));
    when(files.save(any(), any(), any())).thenReturn(Optional.of(file));
  }

  /** Does a command by its name, as from the palette. */
  void command(String name) {
    keys(KeyCode.CONTROL, KeyCode.K);
    TextField filter = find("#palette-filter", TextField.class);
    fx(
        () -> {
          filter.setText(name);
          return null;
        });
    keys(KeyCode.ENTER);
  }

  /** A clock that goes on when it is told to, beside going by itself. */
  static final class Ahead extends Clock {
    private volatile Duration ahead = Duration.ZERO;

    /** Lets time pass. */
    void by(Duration time) {
      ahead = ahead.plus(time);
    }

    @Override
    public Instant instant() {
      return Instant.now().plus(ahead);
    }

    @Override
    public ZoneId getZone() {
      return ZoneOffset.UTC;
    }

    @Override
    public Clock withZone(ZoneId zone) {
      return Clock.offset(Clock.system(zone), ahead);
    }
  }

  private Desk(Stage stage, Path home) {
    when(files.open(any(), any())).thenReturn(Optional.empty());
    when(files.save(any(), any(), any())).thenReturn(Optional.empty());
    when(files.mayReplace(any(), any())).thenReturn(true);
    this.stage = stage;
    Theme.loadFonts();
    workshop = new Workshop(OwnStore.open(home, clock.instant()), home, clock);
    session = workshop.session();
    frame = new Frame(workshop, files);
    frame.setTheme(Theme.DAY);
    stage.setScene(new Scene(frame.root(), 1280, 800));
    // The stage is the same for all tests; one before may have made it narrow.
    stage.setWidth(1280);
    stage.setHeight(800);
    stage.show();
    stage.toFront();
  }

  static Desk open(Stage stage, Path home) {
    return new Desk(stage, home);
  }

  void close() {
    fx(
        () -> {
          Latest.giveUpAll();
          workshop.close();
          stage.hide();
          return null;
        });
    try {
      workshop.awaitClosed();
    } catch (InterruptedException e) {
      throw new AssertionError(e);
    }
  }

  /** Waits until the last change is on the disk. */
  void kept() {
    until(() -> fx(() -> !workshop.keeper().keptProperty().get().waiting()));
  }

  /** Opens a file and waits until it is there, or is refused. */
  void openFile(Path file) {
    String before = text("#message");
    boolean trouble = isShown("#trouble");
    fx(
        () -> {
          frame.open(file);
          return null;
        });
    until(() -> !text("#message").equals(before) || isShown("#trouble") != trouble);
    settle();
  }

  static <T> T fx(Callable<T> work) {
    return WaitForAsyncUtils.waitForAsyncFx(20_000, work);
  }

  /** Waits until the forecast follows the project and the scene has settled. */
  void settle() {
    await(this::followed, "the forecast never came");
    WaitForAsyncUtils.waitForFxEvents(2);
  }

  private boolean followed() {
    return !session.busyProperty().get()
        && session.forecastProperty().get().design().equals(session.project().design());
  }

  /** Waits until nothing is worked out in the background any more, and lays the scene out. */
  void quiet() {
    do {
      await(() -> followed() && !Latest.anyBusy(), "it never came to rest");
      WaitForAsyncUtils.waitForFxEvents(1);
    } while (fx(() -> !followed() || Latest.anyBusy()));
    // The page's bar comes after a layout and makes the page narrower; so does a bar within it.
    for (int k = 0; k < 3; k++) {
      fx(
          () -> {
            stage.getScene().getRoot().applyCss();
            stage.getScene().getRoot().layout();
            return null;
          });
      WaitForAsyncUtils.waitForFxEvents(1);
    }
  }

  void go(Station station) {
    fx(
        () -> {
          frame.go(station);
          return null;
        });
    settle();
  }

  void view(Station station, String id) {
    fx(
        () -> {
          frame.go(station, id);
          return null;
        });
    settle();
  }

  /** Goes to every view of every station, and looks at each when nothing is worked out any more. */
  void everyView(BiConsumer<Station, String> look) {
    for (StationView station : fx(frame::stations)) {
      Station which = station.page().station();
      List<String> views = station.page().views();
      for (String view : views.isEmpty() ? List.of("") : views) {
        if (view.isEmpty()) {
          go(which);
        } else {
          view(which, view);
        }
        quiet();
        look.accept(which, view);
      }
    }
  }

  /** Waits until something is so; some answers come from the background. */
  void until(Callable<Boolean> so) {
    try {
      WaitForAsyncUtils.waitFor(PATIENCE, TimeUnit.SECONDS, so);
    } catch (TimeoutException e) {
      throw new AssertionError("it never came to be so", e);
    }
    WaitForAsyncUtils.waitForFxEvents();
  }

  /** Waits until something on the interface thread is so. */
  private static void await(Callable<Boolean> so, String otherwise) {
    try {
      WaitForAsyncUtils.waitFor(PATIENCE, TimeUnit.SECONDS, () -> fx(so));
    } catch (TimeoutException e) {
      throw new AssertionError(otherwise, e);
    }
  }

  /**
   * Presses Tab until a control has the focus, as one without a mouse does. The key goes to the
   * scene's focus owner at once: by way of the robot a walk over a page takes half a minute.
   */
  void tabTo(String id) {
    boolean there =
        fx(
            () -> {
              Scene scene = stage.getScene();
              for (int k = 0; k < 150; k++) {
                Node focused = scene.getFocusOwner();
                if (focused != null && id.equals(focused.getId())) {
                  return true;
                }
                Event.fireEvent(focused == null ? scene : focused, tab(KeyEvent.KEY_PRESSED));
                Event.fireEvent(focused == null ? scene : focused, tab(KeyEvent.KEY_RELEASED));
              }
              return false;
            });
    if (!there) {
      throw new AssertionError("150 times Tab do not reach " + id);
    }
    WaitForAsyncUtils.waitForFxEvents(1);
  }

  private static KeyEvent tab(EventType<KeyEvent> what) {
    return new KeyEvent(what, "", "", KeyCode.TAB, false, false, false, false);
  }

  /** Goes to a field by Tab, types and presses Enter. */
  void keyIn(String id, String text) {
    tabTo(id);
    fx(
        () -> {
          TextField field = (TextField) stage.getScene().getFocusOwner();
          field.selectAll();
          for (int k = 0; k < text.length(); k++) {
            KeyCode none = KeyCode.UNDEFINED;
            String typed = text.substring(k, k + 1);
            field.fireEvent(
                new KeyEvent(KeyEvent.KEY_TYPED, typed, "", none, false, false, false, false));
          }
          return null;
        });
    robot.push(KeyCode.ENTER);
    WaitForAsyncUtils.waitForFxEvents(1);
  }

  void example() {
    fx(
        () -> {
          session.loadExample();
          return null;
        });
    settle();
  }

  /** Finds something on screen; a row of a table comes with the layout after its page. */
  <T extends Node> T find(String selector, Class<T> type) {
    await(() -> stage.getScene().lookup(selector) != null, "nothing on screen is " + selector);
    return type.cast(fx(() -> stage.getScene().lookup(selector)));
  }

  boolean isShown(String selector) {
    return fx(
        () -> {
          Node node = stage.getScene().lookup(selector);
          for (Node n = node; n != null; n = n.getParent()) {
            if (!n.isVisible()) {
              return false;
            }
          }
          return node != null;
        });
  }

  /** Types into a field as a user does: click in, replace, Enter. */
  void type(String selector, String text) {
    TextField field = find(selector, TextField.class);
    fx(
        () -> {
          field.requestFocus();
          field.selectAll();
          field.replaceSelection(text);
          return null;
        });
    robot.press(KeyCode.ENTER).release(KeyCode.ENTER);
    settle();
  }

  /** Joins a second pack that is like the first; both are full. */
  void joinSecond(SecondPack.Joining joining) {
    fx(
        () -> {
          session.editDesign(
              "second",
              Station.GUARD,
              d -> d.withSecond(new SecondPack(d.pack(), d.guard(), joining, 1, 1)));
          return null;
        });
    settle();
  }

  void press(String selector) {
    ButtonBase button = find(selector, ButtonBase.class);
    fx(
        () -> {
          button.fire();
          return null;
        });
    settle();
  }

  /** Goes to a row of a table and takes it with Enter. */
  void pick(String row) {
    TableRow<?> found = find(row, TableRow.class);
    fx(
        () -> {
          found.getTableView().requestFocus();
          found.getTableView().getSelectionModel().clearAndSelect(found.getIndex());
          return null;
        });
    keys(KeyCode.ENTER);
  }

  void keys(KeyCode... combination) {
    robot.push(combination);
    settle();
  }

  <T> void choose(String selector, T value) {
    @SuppressWarnings("unchecked")
    ChoiceBox<T> box = find(selector, ChoiceBox.class);
    fx(
        () -> {
          box.setValue(value);
          return null;
        });
    settle();
  }

  String text(String selector) {
    Node node = find(selector, Node.class);
    return fx(
        () ->
            switch (node) {
              case TextField f -> f.getText();
              case Labeled l -> l.getText().replace('\u00a0', ' ');
              default -> throw new AssertionError(selector + " has no text");
            });
  }

  /** The value of a figure on the nameplate or a page. */
  String figure(String name) {
    return fx(() -> ((Labeled) stage.getScene().lookup("#figure-" + name + " .value")).getText());
  }

  List<String> judgements() {
    return fx(
        () -> session.forecastProperty().get().judgements().stream().map(Finding::id).toList());
  }

  /** Labels and buttons whose words end in dots because they have no room. */
  List<String> cut() {
    return fx(
        () -> {
          List<String> found = new ArrayList<>();
          List<Labeled> all = shown();
          assertThat(all).filteredOn(l -> l.lookup(".text") instanceof Text).hasSizeGreaterThan(20);
          for (Labeled l : all) {
            if (l.lookup(".text") instanceof Text t
                && !t.getText().equals(l.getText())
                && t.getText().endsWith("...")) {
              found.add(l.getText());
            }
          }
          return found;
        });
  }

  /** Labels and buttons that reach over the right rim of the window. */
  List<String> outside() {
    return fx(
        () -> {
          List<String> found = new ArrayList<>();
          for (Labeled l : shown()) {
            Bounds b = l.localToScene(l.getLayoutBounds());
            if (b.getMaxX() > 1280.5 && !l.getText().isEmpty()) {
              found.add(l.getText());
            }
          }
          return found;
        });
  }

  boolean pageScrolls() {
    return fx(
        () ->
            stage.getScene().getRoot().lookupAll(".page > .scroll-bar").stream()
                .anyMatch(Node::isVisible));
  }

  private List<Labeled> shown() {
    List<Labeled> found = new ArrayList<>();
    collect(stage.getScene().getRoot(), found);
    return found;
  }

  private static void collect(Node node, List<Labeled> found) {
    if (!node.isVisible()) {
      return;
    }
    if (node instanceof Labeled l) {
      found.add(l);
    }
    if (node instanceof Parent p) {
      p.getChildrenUnmodifiable().forEach(n -> collect(n, found));
    }
  }
}
