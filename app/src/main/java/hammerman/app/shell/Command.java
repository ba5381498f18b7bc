package hammerman.app.shell;

import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyCodeCombination;
import javafx.scene.input.KeyCombination;
import org.jspecify.annotations.Nullable;

/**
 * Something that can be done by name or by keys.
 *
 * @param name what it does
 * @param keys its shortcut, if any
 * @param action does it
 */
record Command(String name, @Nullable KeyCombination keys, Runnable action) {
  /** A command without keys. */
  static Command of(String name, Runnable action) {
    return new Command(name, null, action);
  }

  /** A command with a key, held with the platform's usual modifier. */
  static Command of(String name, KeyCode key, Runnable action) {
    return new Command(name, new KeyCodeCombination(key, KeyCombination.SHORTCUT_DOWN), action);
  }

  /** A command with a key, held with the usual modifier and Shift. */
  static Command withShift(String name, KeyCode key, Runnable action) {
    return new Command(
        name,
        new KeyCodeCombination(key, KeyCombination.SHORTCUT_DOWN, KeyCombination.SHIFT_DOWN),
        action);
  }

  /** The shortcut as people read it, or empty. */
  String keysText() {
    return keys == null ? "" : keys.getDisplayText();
  }
}
