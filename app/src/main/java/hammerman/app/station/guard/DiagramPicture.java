package hammerman.app.station.guard;

import hammerman.app.picture.Pen;
import hammerman.app.picture.PictureOf;
import hammerman.app.picture.Role;
import hammerman.wiring.Diagram;
import java.util.List;

/** The wiring diagram on the screen; the same drawing is written as SVG. */
final class DiagramPicture extends PictureOf<Diagram> {

  /** Pixels for each unit of the diagram at least, and from which its words have their size. */
  private static final double LEAST_SCALE = 2.6;

  private static final double FULL_SCALE = 3.3;

  DiagramPicture() {
    super("Wiring diagram of the design");
    setMinSize(LEAST_SCALE * Diagram.WIDTH, LEAST_SCALE * (Diagram.HEIGHT - 14));
  }

  @Override
  protected void paint(Pen pen, double width, double height, Diagram d) {
    double scale = Math.min(width / Diagram.WIDTH, height / (Diagram.HEIGHT - 14));
    double up = 14 * scale;
    double size = Math.clamp(scale / FULL_SCALE, 0.75, 1);
    for (Diagram.Line line : d.lines()) {
      line(pen, line, scale, up);
    }
    for (Diagram.Box box : d.boxes()) {
      double x = box.x() * scale;
      double y = box.y() * scale - up;
      pen.fill(Role.PAPER, x, y, box.width() * scale, box.height() * scale);
      pen.frame(Role.INK, 1, x, y, box.width() * scale, box.height() * scale);
      pen.strong(Role.INK, 12 * size, x + 6, y + 11 * size, box.name());
      double row = y + 26 * size;
      for (String part : box.figures().split("\n", -1)) {
        pen.name(Role.SOFT, 10 * size, x + 6, row, part);
        row += 13 * size;
      }
    }
  }

  private static void line(Pen pen, Diagram.Line line, double scale, double up) {
    List<Diagram.Point> points = line.points();
    double thick = line.main() ? 3 : 1.4;
    for (int k = 1; k < points.size(); k++) {
      double x1 = points.get(k - 1).x() * scale;
      double y1 = points.get(k - 1).y() * scale - up;
      double x2 = points.get(k).x() * scale;
      double y2 = points.get(k).y() * scale - up;
      if (line.positive()) {
        pen.line(Role.HOT, thick, x1, y1, x2, y2);
      } else {
        pen.dashed(Role.INK, thick, x1, y1, x2, y2);
      }
    }
    if (!line.label().isEmpty()) {
      double x = Math.min(points.get(0).x(), points.get(1).x()) * scale;
      pen.words(Role.SOFT, 9, x + 4, points.get(0).y() * scale - up - 8, line.label());
    }
  }
}
