package hammerman.app.station.fit;

import hammerman.fit.Outline;
import hammerman.fit.Point;
import java.util.List;

/**
 * One face on the sheet: the way from metres on the floor to pixels, and back. The lower face is
 * seen from below: the mirror image of the upper one in its part of the sheet.
 *
 * @param pane the part of the sheet, px
 * @param top whether it is the upper face
 * @param scale px per m
 * @param x0 px of the floor's origin, from the pane's left
 * @param y0 px of the floor's origin, from the pane's top
 */
record SheetView(Pane pane, boolean top, double scale, double x0, double y0) {
  private static final double MARGIN = 26;
  private static final double TIGHT = 10;
  private static final double CLOSEST = 30;

  /** Room below a face for its bar and words. */
  static final double FOOT = 34;

  /** A part of the sheet, px. */
  record Pane(double x, double y, double width, double height) {
    boolean holds(double px, double py) {
      return px >= x && px < x + width && py >= y && py < y + height;
    }
  }

  /** How far the user has moved and enlarged the upper face. */
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

  /** Fits an outline into the sheet, on one face or on both, then moves it as the user did. */
  static List<SheetView> of(Outline outline, double width, double height, Face face, Moved m) {
    double[] box = box(outline);
    Pane all = new Pane(0, 0, width, height);
    if (face != Face.BOTH) {
      return List.of(of(box, all, face == Face.UPPER, MARGIN, m));
    }
    // Beside each other or one above the other, whichever shows them larger.
    Pane left = new Pane(0, 0, width / 2, height);
    Pane upper = new Pane(0, 0, width, height / 2);
    return scale(box, left, TIGHT) > scale(box, upper, TIGHT)
        ? List.of(
            of(box, left, true, TIGHT, m),
            of(box, new Pane(width / 2, 0, width / 2, height), false, TIGHT, m))
        : List.of(
            of(box, upper, true, TIGHT, m),
            of(box, new Pane(0, height / 2, width, height / 2), false, TIGHT, m));
  }

  private static double[] box(Outline outline) {
    double[] box = {1e9, -1e9, 1e9, -1e9};
    for (Point p : outline.corners()) {
      box[0] = Math.min(box[0], p.x());
      box[1] = Math.max(box[1], p.x());
      box[2] = Math.min(box[2], p.y());
      box[3] = Math.max(box[3], p.y());
    }
    return box;
  }

  private static double scale(double[] box, Pane pane, double margin) {
    return Math.min(
        (pane.width() - 2 * margin) / (box[1] - box[0]),
        (pane.height() - 2 * margin - FOOT) / (box[3] - box[2]));
  }

  private static SheetView of(double[] box, Pane pane, boolean top, double margin, Moved m) {
    double scale = scale(box, pane, margin);
    double left = (pane.width() - (box[1] + box[0]) * scale) / 2;
    double bottom = (pane.height() - FOOT + (box[3] + box[2]) * scale) / 2;
    return new SheetView(
        pane, top, scale * m.zoom(), left * m.zoom() + m.dx(), bottom * m.zoom() + m.dy());
  }

  double x(double metres) {
    double x = x0 + metres * scale;
    return pane.x + (top ? x : pane.width - x);
  }

  double y(double metres) {
    return pane.y + y0 - metres * scale;
  }

  Point back(double px, double py) {
    return new Point((inner(px) - x0) / scale, (y0 - (py - pane.y)) / scale);
  }

  /** A pixel as if this were the upper face, from the pane's left. */
  private double inner(double px) {
    return top ? px - pane.x : pane.width - (px - pane.x);
  }

  /** Enlarges about a pixel of this face. */
  Moved zoomed(Moved m, double by, double px, double py) {
    return m.zoomed(by, inner(px), py - pane.y);
  }

  /** Moves this face by pixels. */
  Moved panned(Moved m, double x, double y) {
    return m.panned(top ? x : -x, y);
  }
}
