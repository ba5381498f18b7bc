package hammerman.app.control;

import java.util.function.Consumer;
import javafx.beans.value.ObservableValue;
import javafx.scene.Node;

/** Keeps what is seen in step with a value; what is hidden catches up when it is shown. */
public final class Following {
  private Following() {}

  /**
   * Follows a value for as long as a node is in the scene; at once if it is not in one yet, so that
   * it is never empty.
   *
   * @param node that shows the value
   * @param show shows it
   */
  public static <T> void follow(Node node, ObservableValue<T> value, Consumer<T> show) {
    boolean[] behind = {false};
    value.addListener(
        (o, was, is) -> {
          behind[0] = node.getScene() == null;
          if (!behind[0]) {
            show.accept(is);
          }
        });
    node.sceneProperty()
        .addListener(
            (o, was, is) -> {
              if (is != null && behind[0]) {
                behind[0] = false;
                show.accept(value.getValue());
              }
            });
    show.accept(value.getValue());
  }
}
