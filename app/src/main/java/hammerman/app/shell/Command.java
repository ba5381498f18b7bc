package hammerman.app.shell;

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
  static Command of(String name, String keys, Runnable action) {
    return new Command(name, keys.isEmpty() ? null : KeyCombination.keyCombination(keys), action);
  }

  /** The shortcut as people read it, or empty. */
  String keysText() {
    return keys == null ? "" : keys.getDisplayText();
  }
}
