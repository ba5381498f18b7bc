package hammerman.app.shell;

import hammerman.app.session.Kept;
import java.time.Instant;
import java.util.function.Function;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;

/** The line below the page: where the work is kept and since when, and what was done last. */
final class StatusBar extends HBox {
  private final Label kept = new Label();
  private final Label message = new Label();
  private final Label hint = new Label("F1 explains this screen · Ctrl+K finds any command");

  StatusBar() {
    getStyleClass().add("status");
    kept.setId("kept");
    kept.setMinWidth(Region.USE_PREF_SIZE);
    message.setId("message");
    message.setWrapText(true);
    message.setMinHeight(USE_PREF_SIZE);
    Region spring = new Region();
    HBox.setHgrow(spring, Priority.ALWAYS);
    getChildren().addAll(kept, message, spring, hint);
    widthProperty().addListener((o, was, is) -> room());
  }

  /** What was done goes before the hint, which anyone knows after a day. */
  private void room() {
    double all = kept.prefWidth(-1) + message.prefWidth(-1) + hint.prefWidth(-1);
    boolean fits = all + 3 * getSpacing() + snappedLeftInset() + snappedRightInset() <= getWidth();
    hint.setVisible(fits);
    hint.setManaged(fits);
  }

  /** Says what was done. */
  void tell(String sentence) {
    message.setText(sentence);
    room();
  }

  /**
   * Says where the work is kept.
   *
   * @param time writes a time as people say it
   */
  void show(Kept now, Function<Instant, String> time) {
    if (now.trouble() != null) {
      // What was said before is not so any more.
      message.setText("");
    }
    Instant at = now.at();
    String when =
        now.readOnly()
            ? " · only to look at"
            : now.trouble() != null && now.waiting()
                ? " · not kept"
                : at == null ? "" : " · kept " + time.apply(at);
    kept.setText(now.name().orElse(now.file() == null ? "No changes yet" : "No name yet") + when);
    room();
  }
}
