package hammerman.app.shell;

import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** Sentences below the nameplate that stay until they are answered. */
final class Notices extends VBox {
  /** A button of a notice: what it says, its id, and what it does after the notice has gone. */
  record Answer(String words, String id, Runnable action) {}

  /** Says what went wrong; newer trouble takes the place of older. */
  void trouble(String sentence) {
    choice(sentence);
  }

  /** Says what went wrong, and what may be done instead. */
  void choice(String sentence, Answer... answers) {
    getChildren().removeIf(n -> n.lookup("#trouble") != null);
    Label words = new Label(sentence);
    words.setId("trouble");
    HBox notice = notice(words, answers);
    notice.getChildren().add(button(new Answer("Close", "close-trouble", () -> {}), notice));
  }

  /** Offers something, to be taken or not. */
  void offer(String sentence, Answer... answers) {
    HBox notice = notice(new Label(sentence), answers);
    notice.setId("offer");
    notice.getChildren().get(1).getStyleClass().add("act");
    notice.getChildren().add(button(new Answer("Later", "later", () -> {}), notice));
  }

  /** Takes trouble away that is over. */
  void over(String sentence) {
    getChildren()
        .removeIf(
            n -> n.lookup("#trouble") instanceof Label words && words.getText().equals(sentence));
  }

  /** Takes all away. */
  void clear() {
    getChildren().clear();
  }

  private HBox notice(Label words, Answer... answers) {
    words.setWrapText(true);
    words.setMaxWidth(Double.MAX_VALUE);
    words.setMinHeight(Region.USE_PREF_SIZE);
    HBox.setHgrow(words, Priority.ALWAYS);
    HBox notice = new HBox(words);
    notice.getStyleClass().add("notice");
    for (Answer a : answers) {
      notice.getChildren().add(button(a, notice));
    }
    getChildren().add(notice);
    return notice;
  }

  private Button button(Answer answer, HBox notice) {
    Button button = new Button(answer.words());
    button.setId(answer.id());
    button.getStyleClass().add("plain");
    button.setMinWidth(Region.USE_PREF_SIZE);
    button.setOnAction(
        e -> {
          getChildren().remove(notice);
          answer.action().run();
        });
    return button;
  }
}
