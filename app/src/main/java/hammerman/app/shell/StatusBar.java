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

  StatusBar() {
    getStyleClass().add("status");
    kept.setId("kept");
    kept.setMinWidth(Region.USE_PREF_SIZE);
    message.setId("message");
    Region spring = new Region();
    HBox.setHgrow(spring, Priority.ALWAYS);
    getChildren()
        .addAll(
            kept, message, spring, new Label("F1 explains this screen · Ctrl+K finds any command"));
  }

  /** Says what was done. */
  void tell(String sentence) {
    message.setText(sentence);
  }

  /**
   * Says where the work is kept.
   *
   * @param time writes a time as people say it
   */
  void show(Kept now, Function<Instant, String> time) {
    Instant at = now.at();
    String when =
        now.readOnly()
            ? " · only to look at"
            : now.trouble() != null && now.waiting()
                ? " · not kept"
                : at == null ? "" : " · kept " + time.apply(at);
    kept.setText(now.name().orElse(now.file() == null ? "No changes yet" : "No name yet") + when);
  }
}
