package hammerman.app.shell;

import java.util.List;
import javafx.animation.PauseTransition;
import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.scene.Node;
import javafx.util.Duration;

/** Dims the last good figures while newer ones take long. */
final class Dimmer {
  private static final Duration AFTER = Duration.millis(250);

  private Dimmer() {}

  /** Dims nodes while something has been busy for a moment, or there is nothing newer to come. */
  static void follow(
      ReadOnlyBooleanProperty busy, ReadOnlyStringProperty trouble, List<Node> nodes) {
    PauseTransition wait = new PauseTransition(AFTER);
    wait.setOnFinished(e -> dim(nodes, true));
    busy.addListener(
        (o, was, is) -> {
          if (is) {
            wait.playFromStart();
          } else {
            wait.stop();
            dim(nodes, !trouble.get().isEmpty());
          }
        });
    trouble.addListener((o, was, is) -> dim(nodes, !is.isEmpty()));
  }

  private static void dim(List<Node> nodes, boolean on) {
    for (Node n : nodes) {
      n.getStyleClass().remove("dimmed");
      if (on) {
        n.getStyleClass().add("dimmed");
      }
    }
  }
}
