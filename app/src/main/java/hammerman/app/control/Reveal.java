package hammerman.app.control;

import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.scene.control.ScrollPane;

/** Gives a control the focus where it can be seen. */
public final class Reveal {
  private Reveal() {}

  /** Gives it the focus, and scrolls what it lies in as far as it is hidden there. */
  public static void focus(Node control) {
    control.requestFocus();
    Scene scene = control.getScene();
    if (scene == null) {
      return;
    }
    // What is new has no place before it is laid out.
    scene.getRoot().applyCss();
    scene.getRoot().layout();
    for (Node n = control; n != null; n = n.getParent()) {
      if (n instanceof ScrollPane p && p.getContent() != null) {
        reveal(control, p);
      }
    }
  }

  private static void reveal(Node control, ScrollPane pane) {
    Bounds at = pane.getContent().sceneToLocal(control.localToScene(control.getLayoutBounds()));
    double seen = pane.getViewportBounds().getHeight();
    double room = pane.getContent().getLayoutBounds().getHeight() - seen;
    double top = pane.getVvalue() * room;
    if (room > 0 && (at.getMinY() < top || at.getMaxY() > top + seen)) {
      pane.setVvalue(Math.clamp((at.getCenterY() - seen / 2) / room, 0, 1));
    }
  }
}
