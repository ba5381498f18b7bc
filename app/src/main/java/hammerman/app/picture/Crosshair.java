package hammerman.app.picture;

import java.util.function.DoubleSupplier;
import javafx.scene.input.KeyCode;

/** A crosshair over the time of a picture, moved by the mouse, or by Left and Right. */
public final class Crosshair {
  /** Share of the whole that a key moves it by. */
  private static final double KEY_STEP = 0.01;

  private final Picture picture;
  private final double left;
  private final double right;
  private final DoubleSupplier end;
  private double at = Double.NaN;

  /**
   * @param left margin before the picture's axis begins, px
   * @param right margin after it ends, px
   * @param end where it ends, in the picture's own unit; it begins at 0
   */
  public Crosshair(Picture picture, double left, double right, DoubleSupplier end) {
    this.picture = picture;
    this.left = left;
    this.right = right;
    this.end = end;
    picture.setFocusTraversable(true);
    picture.setOnMouseMoved(e -> move(time(e.getX())));
    picture.setOnMouseExited(e -> move(Double.NaN));
    picture.setOnKeyPressed(
        e -> {
          if (e.getCode() == KeyCode.LEFT || e.getCode() == KeyCode.RIGHT) {
            double from = Double.isNaN(at) ? 0 : at;
            double by = end.getAsDouble() * KEY_STEP;
            move(from + (e.getCode() == KeyCode.RIGHT ? by : -by));
            e.consume();
          }
        });
  }

  /** Returns where it is; not a number while it is nowhere. */
  public double at() {
    return at;
  }

  private void move(double to) {
    at = Double.isNaN(to) ? to : Math.clamp(to, 0, end.getAsDouble());
    picture.redraw();
  }

  private double time(double pixel) {
    double width = Math.max(1, picture.getWidth() - left - right);
    return (pixel - left) / width * end.getAsDouble();
  }
}
