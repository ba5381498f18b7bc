package hammerman.app.shell;

import javafx.scene.layout.Region;
import javafx.scene.transform.Scale;

/** Lays its content out at the window's size divided by a scale, and draws it that much larger. */
final class Zoom extends Region {
  private static final double LEAST = 1;
  private static final double MOST = 2;

  private final Region content;
  private final Scale transform = new Scale(1, 1);

  Zoom(Region content, double scale) {
    this.content = content;
    content.getTransforms().add(transform);
    getChildren().add(content);
    setScale(scale);
  }

  double scale() {
    return transform.getX();
  }

  /** Sets the scale, held between 100 and 200 %. */
  void setScale(double value) {
    double held = Math.clamp(Math.round(value * 10) / 10.0, LEAST, MOST);
    transform.setX(held);
    transform.setY(held);
    requestLayout();
  }

  @Override
  protected void layoutChildren() {
    content.resizeRelocate(0, 0, getWidth() / scale(), getHeight() / scale());
  }
}
