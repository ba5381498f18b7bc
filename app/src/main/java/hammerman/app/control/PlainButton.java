package hammerman.app.control;

import javafx.scene.control.Button;

/** A small button that does not ask for attention. */
public final class PlainButton extends Button {
  /**
   * @param words on it
   * @param id in the scene
   */
  public PlainButton(String words, String id, Runnable action) {
    super(words);
    setId(id);
    setMinWidth(USE_PREF_SIZE);
    getStyleClass().addAll("plain", "small");
    setOnAction(e -> action.run());
  }
}
