package hammerman.app.shell;

import hammerman.app.session.Recovery;
import java.nio.file.Path;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** Sentences below the nameplate that stay until they are answered. */
final class Notices extends VBox {
  private static final double WORDS_WIDTH = 1040;

  /** Says what went wrong; newer trouble takes the place of older. */
  void trouble(String sentence) {
    getChildren().removeIf(n -> n.lookup("#trouble") != null);
    Label words = new Label(sentence);
    words.setId("trouble");
    HBox notice = notice(words);
    notice.getChildren().add(answer("Close", "close-trouble", notice, () -> {}));
  }

  /** Offers work left behind, to be taken or thrown away. */
  void offer(Recovery.Found found, Runnable take, Runnable discard) {
    Path origin = found.origin();
    HBox notice =
        notice(
            new Label(
                "Work was left unsaved when Hammerman last ended"
                    + (origin == null ? "." : ", from " + origin.getFileName() + ".")));
    notice.setId("recovery-notice");
    Button recover = answer("Recover it", "recover", notice, take);
    recover.getStyleClass().add("act");
    notice
        .getChildren()
        .addAll(recover, answer("Throw it away", "discard-recovered", notice, discard));
  }

  private HBox notice(Label words) {
    words.setMaxWidth(WORDS_WIDTH);
    HBox notice = new HBox(words);
    notice.getStyleClass().add("notice");
    getChildren().add(notice);
    return notice;
  }

  private Button answer(String words, String id, HBox notice, Runnable action) {
    Button button = new Button(words);
    button.setId(id);
    button.getStyleClass().add("plain");
    button.setMinWidth(Region.USE_PREF_SIZE);
    button.setOnAction(
        e -> {
          getChildren().remove(notice);
          action.run();
        });
    return button;
  }
}
