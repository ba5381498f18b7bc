package hammerman.app;

import java.util.List;
import javafx.geometry.Rectangle2D;

/**
 * Where the window opens, with its frame: where it was and as large as it was, held to a screen
 * that there is; never larger than that screen.
 *
 * @param x of its left edge; not a number to let the system choose
 * @param y of its upper edge; not a number to let the system choose
 * @param width with its frame, px
 * @param height with its frame, px
 */
record WindowPlace(double x, double y, double width, double height) {
  /** So much of the window must be on a screen for it to be found there, px. */
  private static final double LEAST_SEEN = 80;

  /**
   * Finds it.
   *
   * @param wished where it was; not a number where that is not known
   * @param screens what can be seen of each, the primary one first
   */
  static WindowPlace on(WindowPlace wished, List<Rectangle2D> screens) {
    Rectangle2D screen = screens.getFirst();
    boolean found = false;
    for (Rectangle2D s : screens) {
      if (!found && s.intersects(wished.x, wished.y, LEAST_SEEN, LEAST_SEEN)) {
        screen = s;
        found = true;
      }
    }
    double width = Math.min(wished.width, screen.getWidth());
    double height = Math.min(wished.height, screen.getHeight());
    if (!found) {
      return new WindowPlace(Double.NaN, Double.NaN, width, height);
    }
    return new WindowPlace(
        Math.clamp(wished.x, screen.getMinX(), screen.getMaxX() - width),
        Math.clamp(wished.y, screen.getMinY(), screen.getMaxY() - height),
        width,
        height);
  }
}
