package hammerman.app.shell;

import java.util.Locale;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyCodeCombination;
import javafx.scene.input.KeyCombination;
import org.jspecify.annotations.Nullable;

/**
 * Something that can be done by name or by keys.
 *
 * @param group where it stands in the menu
 * @param name what it does
 * @param keys its shortcut, if any
 * @param action does it
 * @param also other words by which it is looked for
 */
record Command(
    Group group, String name, @Nullable KeyCombination keys, Runnable action, String also) {
  /** A part of the menu. */
  enum Group {
    PROJECT("Project"),
    EDIT("Edit"),
    VIEW("View"),
    GO("Go"),
    HELP("Help");

    private final String label;

    Group(String label) {
      this.label = label;
    }

    String label() {
      return label;
    }

    /** A command without keys. */
    Command of(String name, Runnable action) {
      return new Command(this, name, null, action, "");
    }

    /** A command with a key, held with the platform's usual modifier. */
    Command of(String name, KeyCode key, Runnable action) {
      return new Command(
          this, name, new KeyCodeCombination(key, KeyCombination.SHORTCUT_DOWN), action, "");
    }

    /** A command with a key, held with the usual modifier and Shift. */
    Command withShift(String name, KeyCode key, Runnable action) {
      return new Command(
          this,
          name,
          new KeyCodeCombination(key, KeyCombination.SHORTCUT_DOWN, KeyCombination.SHIFT_DOWN),
          action,
          "");
    }
  }

  /** Returns the command with other words by which it is found. */
  Command also(String words) {
    return new Command(group, name, keys, action, words);
  }

  /** Whether all of some words, in small letters, are in its name or the other words. */
  boolean has(String words) {
    String all = (name + " " + also).toLowerCase(Locale.ROOT);
    for (String word : words.split("\\s+", -1)) {
      if (!all.contains(word)) {
        return false;
      }
    }
    return true;
  }

  /** The shortcut as people read it, or empty. */
  String keysText() {
    return keys == null ? "" : keys.getDisplayText();
  }
}
