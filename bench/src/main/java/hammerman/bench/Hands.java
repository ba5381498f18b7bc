package hammerman.bench;

import hammerman.app.control.FileAsk;
import hammerman.app.shell.Frame;
import hammerman.app.station.StationView;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.stream.Stream;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.ChoiceBox;
import javafx.scene.control.ComboBox;
import javafx.scene.control.TableView;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;

/** Uses a window at random: goes, presses, types, chooses; and answers what it is asked. */
final class Hands implements FileAsk {
  private static final List<String> TYPED =
      List.of(
          "0", "1", "3", "12", "13", "40", "48.1", "-5", "1e9", "abc", "", "4.2", "25 °C", "7,5",
          "1/0", "999999", "ä€😀", "0.001");
  private static final List<String> NAMES =
      List.of("one", "two.hammerman", "three.v2", "four.csv", "five.json", "six.svg", "seven.pdf");
  private static final KeyCode[] KEYS = {
    KeyCode.ENTER, KeyCode.ESCAPE, KeyCode.TAB, KeyCode.PAGE_DOWN, KeyCode.PAGE_UP, KeyCode.UP,
    KeyCode.DOWN, KeyCode.LEFT, KeyCode.RIGHT, KeyCode.HOME, KeyCode.END, KeyCode.DELETE,
    KeyCode.SPACE, KeyCode.F1
  };
  private static final KeyCode[] SHORTCUTS = {
    KeyCode.Z,
    KeyCode.Z,
    KeyCode.Y,
    KeyCode.K,
    KeyCode.N,
    KeyCode.S,
    KeyCode.B,
    KeyCode.M,
    KeyCode.J,
    KeyCode.R,
    KeyCode.T,
    KeyCode.ENTER,
    KeyCode.C
  };

  private final Random random;
  private final Path files;

  /**
   * @param files folder that files are asked for in
   */
  Hands(long seed, Path files) {
    random = new Random(seed);
    this.files = files;
  }

  /** Does one thing; on the interface thread. */
  void act(Frame frame) {
    int what = random.nextInt(100);
    if (what < 6) {
      StationView station = any(frame.stations());
      List<String> views = station.page().views();
      frame.go(station.page().station(), views.isEmpty() ? "" : any(views));
      return;
    }
    Parent root = frame.root();
    if (what < 50) {
      pick(root, ButtonBase.class).ifPresent(ButtonBase::fire);
    } else if (what < 70) {
      pick(root, TextField.class).ifPresent(this::type);
    } else if (what < 78) {
      pick(root, ChoiceBox.class).ifPresent(b -> choose(b));
      pick(root, ComboBox.class)
          .ifPresent(b -> b.getSelectionModel().select(random.nextInt(1 + b.getItems().size())));
    } else if (what < 84) {
      pick(root, TableView.class).ifPresent(this::row);
    } else {
      key(root, what < 92);
    }
  }

  private void choose(ChoiceBox<?> box) {
    if (!box.getItems().isEmpty()) {
      box.getSelectionModel().select(random.nextInt(box.getItems().size()));
    }
  }

  private void row(TableView<?> table) {
    if (!table.getItems().isEmpty()) {
      table.requestFocus();
      table.getSelectionModel().clearAndSelect(random.nextInt(table.getItems().size()));
    }
  }

  private void type(TextField field) {
    if (!field.isEditable()) {
      return;
    }
    field.requestFocus();
    field.selectAll();
    field.replaceSelection(any(TYPED));
    press(field, KeyCode.ENTER, false);
  }

  private void key(Parent root, boolean shortcut) {
    Node focused = root.getScene().getFocusOwner();
    KeyCode[] among = shortcut ? SHORTCUTS : KEYS;
    press(focused == null ? root : focused, among[random.nextInt(among.length)], shortcut);
  }

  private static void press(Node at, KeyCode key, boolean control) {
    at.fireEvent(new KeyEvent(KeyEvent.KEY_PRESSED, "", "", key, false, control, false, false));
    at.fireEvent(new KeyEvent(KeyEvent.KEY_RELEASED, "", "", key, false, control, false, false));
  }

  /** One of what can be used in a part of the window. */
  private <T extends Node> Optional<T> pick(Parent root, Class<T> kind) {
    List<T> all = new ArrayList<>();
    gather(root, kind, all);
    return all.isEmpty() ? Optional.empty() : Optional.of(any(all));
  }

  private static <T extends Node> void gather(Parent in, Class<T> kind, List<T> all) {
    for (Node n : in.getChildrenUnmodifiable()) {
      if (!n.isVisible() || n.isDisabled()) {
        continue;
      }
      if (kind.isInstance(n)) {
        all.add(kind.cast(n));
      }
      if (n instanceof Parent p) {
        gather(p, kind, all);
      }
    }
  }

  private <T> T any(List<T> of) {
    return of.get(random.nextInt(of.size()));
  }

  @Override
  public Optional<Path> open(String title, Kind kind) {
    try (Stream<Path> there = Files.list(files)) {
      List<Path> all = there.sorted().toList();
      return all.isEmpty() || random.nextInt(4) == 0 ? Optional.empty() : Optional.of(any(all));
    } catch (IOException e) {
      return Optional.empty();
    }
  }

  @Override
  public Optional<Path> save(String title, Kind kind, String suggestedName) {
    return random.nextInt(3) == 0
        ? Optional.empty()
        : Optional.of(files.resolve(random.nextBoolean() ? suggestedName : any(NAMES)));
  }

  @Override
  public boolean mayReplace(Path file, String holds) {
    return random.nextBoolean();
  }
}
