package hammerman.app.station.fit;

import hammerman.fit.Outline;
import hammerman.fit.Point;

/**
 * The way from metres on the floor to pixels of the sheet, and back. The lower face is seen from
 * below, so mirrored.
 *
 * @param scale px per m
 * @param x0 px of the floor's origin
 * @param y0 px of the floor's origin
 * @param mirrored whether x runs to the left
 */
record SheetView(double scale, double x0, double y0, boolean mirrored) {
  private static final double MARGIN = 26;
  private static final double FOOT = 34;
  private static final double CLOSEST = 30;

  /** How far the user has moved and enlarged the sheet. */
  record Moved(double zoom, double dx, double dy) {
    static final Moved NOT = new Moved(1, 0, 0);

    /** Enlarges about a point that stays where it is. */
    Moved zoomed(double by, double px, double py) {
      double z = Math.clamp(zoom * by, 0.5, CLOSEST);
      double f = z / zoom;
      return new Moved(z, px - (px - dx) * f, py - (py - dy) * f);
    }

    Moved panned(double x, double y) {
      return new Moved(zoom, dx + x, dy + y);
    }
  }

  /** Fits an outline into a picture, then moves it as the user did. */
  static SheetView of(Outline outline, double width, double height, boolean mirrored, Moved m) {
    double[] box = {1e9, -1e9, 1e9, -1e9};
    for (Point p : outline.corners()) {
      box[0] = Math.min(box[0], p.x());
      box[1] = Math.max(box[1], p.x());
      box[2] = Math.min(box[2], p.y());
      box[3] = Math.max(box[3], p.y());
    }
    double scale =
        Math.min(
            (width - 2 * MARGIN) / (box[1] - box[0]),
            (height - 2 * MARGIN - FOOT) / (box[3] - box[2]));
    double left = mirrored ? MARGIN + box[1] * scale : MARGIN - box[0] * scale;
    double bottom = (height - FOOT + (box[3] + box[2]) * scale) / 2;
    return new SheetView(
        scale * m.zoom(), left * m.zoom() + m.dx(), bottom * m.zoom() + m.dy(), mirrored);
  }

  double x(double metres) {
    return mirrored ? x0 - metres * scale : x0 + metres * scale;
  }

  double y(double metres) {
    return y0 - metres * scale;
  }

  Point back(double px, double py) {
    return new Point((mirrored ? x0 - px : px - x0) / scale, (y0 - py) / scale);
  }
}
