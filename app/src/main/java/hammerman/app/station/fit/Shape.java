package hammerman.app.station.fit;

import hammerman.fit.Outline;
import hammerman.fit.Point;
import hammerman.unit.Figures;
import hammerman.unit.InvalidValue;
import hammerman.unit.QuantityText;
import hammerman.unit.QuantityText.Reading;
import hammerman.unit.Unit;
import java.util.ArrayList;
import java.util.List;

/** Outlines as they are begun and typed. */
enum Shape {
  RECTANGLE("Rectangle"),
  TRIANGLE("Right triangle"),
  CORNER("L"),
  TRAPEZOID("With a slanting side");

  private final String label;

  Shape(String label) {
    this.label = label;
  }

  String label() {
    return label;
  }

  /** Returns the outline of this shape in a width and a height, m. */
  Outline of(double width, double height) {
    return switch (this) {
      case RECTANGLE -> Outline.rectangle(width, height);
      case TRIANGLE -> Outline.rightTriangle(width, height);
      case CORNER -> Outline.corner(width, height, width / 2, height / 2);
      case TRAPEZOID ->
          new Outline(
              List.of(
                  new Point(0, 0),
                  new Point(width, 0),
                  new Point(width, height / 2),
                  new Point(width / 2, height),
                  new Point(0, height)));
    };
  }

  /** Writes corners as they are typed, in mm. */
  static String text(Outline outline) {
    StringBuilder out = new StringBuilder();
    for (Point p : outline.corners()) {
      out.append(out.isEmpty() ? "" : "; ")
          .append(millimetres(p.x()))
          .append(' ')
          .append(millimetres(p.y()));
    }
    return out.toString();
  }

  private static String millimetres(double m) {
    return Figures.compact(Math.round(m * 1e4) / 10.0).replace('−', '-');
  }

  /**
   * Reads corners typed as “x y; x y; x y”, in mm.
   *
   * @throws InvalidValue if they are no outline
   */
  static Outline read(String text) {
    List<Point> corners = new ArrayList<>();
    for (String pair : text.strip().split("\\s*[;\\n]\\s*", -1)) {
      String[] xy = pair.strip().split("\\s+", -1);
      if (xy.length != 2
          || !(QuantityText.read(xy[0], Unit.MILLIMETRE) instanceof Reading.Understood x)
          || !(QuantityText.read(xy[1], Unit.MILLIMETRE) instanceof Reading.Understood y)) {
        throw new InvalidValue(
            "Corner “" + pair + "”",
            "not two figures",
            "each corner is x and y in mm",
            "Type “0 0; 300 0; 0 200”.");
      }
      corners.add(new Point(x.core(), y.core()));
    }
    return new Outline(corners);
  }
}
