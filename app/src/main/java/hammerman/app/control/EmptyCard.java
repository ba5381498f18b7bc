package hammerman.app.control;

import javafx.scene.control.Button;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;

/** What to do first where there is nothing to show yet, with what does it. */
public final class EmptyCard extends HBox {
  private static final double WORDS_WIDTH = 200;

  private final Words words = new Words("answer");

  /**
   * @param teach what to do first
   * @param acts what does it, the likeliest first
   */
  public EmptyCard(String teach, Button... acts) {
    getStyleClass().add("empty-card");
    managedProperty().bind(visibleProperty());
    setMinHeight(USE_PREF_SIZE);
    words.setMinWidth(WORDS_WIDTH);
    HBox.setHgrow(words, Priority.ALWAYS);
    say(teach, acts);
  }

  /** Says something else, with what does that. */
  public void say(String teach, Button... does) {
    words.setText(teach);
    getChildren().setAll(words);
    getChildren().addAll(does);
  }

  /** Returns the button of a first step. */
  public static Button act(String name, String id, Runnable action) {
    Button act = new Button(name);
    act.setId(id);
    act.getStyleClass().add("act");
    act.setMinWidth(USE_PREF_SIZE);
    act.setOnAction(e -> action.run());
    return act;
  }
}
