package hammerman.app.shell;

import javafx.scene.layout.Region;
import javafx.scene.transform.Scale;

/**
 * Lays its content out at the window's size divided by a scale, and draws it that much larger. In a
 * window too small for the scale that is wanted it draws as large as there is room for.
 */
final class Zoom extends Region {
  private static final double LEAST = 1;
  private static final double MOST = 2;

  /** The content is not laid out in less than this, px. */
  private static final double LEAST_WIDTH = 640;

  private static final double LEAST_HEIGHT = 400;

  private final Region content;
  private final Scale transform = new Scale(1, 1);
  private double wanted;

  Zoom(Region content, double scale) {
    this.content = content;
    content.getTransforms().add(transform);
    getChildren().add(content);
    setScale(scale);
  }

  /** The scale that is wanted. */
  double scale() {
    return wanted;
  }

  /** The scale that a window of this size has room for. */
  double drawn() {
    double room = Math.min(getWidth() / LEAST_WIDTH, getHeight() / LEAST_HEIGHT);
    return Math.clamp(room, LEAST, wanted);
  }

  /** Sets the scale, held between 100 and 200 %. */
  void setScale(double value) {
    wanted = Math.clamp(Math.round(value * 10) / 10.0, LEAST, MOST);
    requestLayout();
  }

  @Override
  protected void layoutChildren() {
    double drawn = drawn();
    transform.setX(drawn);
    transform.setY(drawn);
    content.resizeRelocate(0, 0, getWidth() / drawn, getHeight() / drawn);
  }
}
