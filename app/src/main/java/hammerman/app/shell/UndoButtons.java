package hammerman.app.shell;

import hammerman.app.session.Session;
import java.util.List;
import java.util.Optional;
import javafx.scene.control.Button;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.Region;

/** The buttons that take the last edit back and make it again, each telling which. */
final class UndoButtons {
  private final Button undo;
  private final Button redo;

  UndoButtons(Runnable back, Runnable again) {
    undo = button("Undo", "undo", back);
    redo = button("Redo", "redo", again);
  }

  List<Button> both() {
    return List.of(undo, redo);
  }

  /** Where there is no room, keys and menu have them still. */
  void setShown(boolean shown) {
    both()
        .forEach(
            b -> {
              b.setVisible(shown);
              b.setManaged(shown);
            });
  }

  void show(Session.Undoable can) {
    tell(undo, "Undo", "Take back: ", can.undo());
    tell(redo, "Redo", "Make again: ", can.redo());
  }

  private static void tell(Button button, String name, String does, Optional<String> edit) {
    button.setDisable(edit.isEmpty());
    button.setAccessibleText(name + " " + edit.orElse("nothing"));
    button.setTooltip(edit.map(w -> new Tooltip(does + w)).orElse(null));
  }

  private static Button button(String words, String id, Runnable act) {
    Button button = new Button(words);
    button.setId(id);
    button.getStyleClass().add("plain");
    button.setMinWidth(Region.USE_PREF_SIZE);
    button.setOnAction(e -> act.run());
    return button;
  }
}
