package hammerman.app.picture;

import java.util.List;
import java.util.function.DoubleSupplier;
import javafx.scene.input.KeyCode;

/** A crosshair over the time of a picture, moved by the mouse, or by Left and Right. */
public final class Crosshair {
  /** Share of the whole that a key moves it by. */
  private static final double KEY_STEP = 0.01;

  private final Picture picture;
  private final double left;
  private final double right;
  private final DoubleSupplier begin;
  private final DoubleSupplier end;
  private double at = Double.NaN;

  /**
   * @param left margin before the picture's axis begins, px
   * @param right margin after it ends, px
   * @param end where it ends, in the picture's own unit; it begins at 0
   */
  public Crosshair(Picture picture, double left, double right, DoubleSupplier end) {
    this(picture, left, right, () -> 0, end);
  }

  /**
   * @param begin where the axis begins, in the picture's own unit
   * @param end where it ends
   */
  public Crosshair(
      Picture picture, double left, double right, DoubleSupplier begin, DoubleSupplier end) {
    this.picture = picture;
    this.begin = begin;
    this.left = left;
    this.right = right;
    this.end = end;
    picture.setFocusTraversable(true);
    picture.setOnMouseMoved(e -> move(time(e.getX())));
    picture.setOnMouseExited(e -> move(Double.NaN));
    picture.setOnKeyPressed(
        e -> {
          if (e.getCode() == KeyCode.LEFT || e.getCode() == KeyCode.RIGHT) {
            double from = Double.isNaN(at) ? begin.getAsDouble() : at;
            double by = (end.getAsDouble() - begin.getAsDouble()) * KEY_STEP;
            move(from + (e.getCode() == KeyCode.RIGHT ? by : -by));
            e.consume();
          }
        });
  }

  /** Returns where it is; not a number while it is nowhere. */
  public double at() {
    return at;
  }

  /** Draws it over strips from top to bottom, with lines of words beside it. */
  public void draw(Pen pen, Scale x, double top, double bottom, List<String> lines) {
    if (Double.isNaN(at)) {
      return;
    }
    pen.over();
    double px = x.at(at);
    pen.line(Role.INK, 1, px, top, px, bottom);
    double wide = lines.stream().mapToDouble(l -> pen.width(Pen.TEXT, l)).max().orElse(0);
    boolean right = px + 10 + wide < x.to();
    for (int k = 0; k < lines.size(); k++) {
      double y = top + 26 + 16 * k;
      if (right) {
        pen.tag(Role.INK, Pen.TEXT, px + 7, y, lines.get(k));
      } else {
        pen.tagBefore(Role.INK, Pen.TEXT, px - 7, y, lines.get(k));
      }
    }
  }

  private void move(double to) {
    at = Double.isNaN(to) ? to : Math.clamp(to, begin.getAsDouble(), end.getAsDouble());
    picture.redraw();
  }

  private double time(double pixel) {
    double width = Math.max(1, picture.getWidth() - left - right);
    double from = begin.getAsDouble();
    return from + (pixel - left) / width * (end.getAsDouble() - from);
  }
}
