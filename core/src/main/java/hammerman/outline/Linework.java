package hammerman.outline;

import hammerman.fit.Outline;
import hammerman.fit.Point;
import hammerman.unit.InvalidValue;
import hammerman.unit.Sentence;
import java.util.ArrayList;
import java.util.List;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.Polygon;
import org.locationtech.jts.geom.PrecisionModel;
import org.locationtech.jts.operation.polygonize.Polygonizer;
import org.locationtech.jts.precision.GeometryPrecisionReducer;
import org.locationtech.jts.simplify.DouglasPeuckerSimplifier;

/** The lines of a drawing, gathered until all are known; then the shapes they close. */
final class Linework {
  /** How far a straight piece may lie from its curve, m. */
  static final double TOLERANCE = 5e-5;

  /** Corners on each other, m. */
  private static final double SAME = 1e-6;

  /** Ends of loose lines meet on a grid of a hundredth of a millimetre. */
  private static final PrecisionModel GRID = new PrecisionModel(1e5);

  private static final GeometryFactory SHAPES = new GeometryFactory();

  private final List<Polygon> shapes = new ArrayList<>();
  private final Polygonizer loose = new Polygonizer();

  /**
   * Adds a closed ring of corners, the first repeated at the end or not; corners on each other are
   * one.
   */
  void closed(List<Coordinate> corners) {
    List<Coordinate> ring = new ArrayList<>();
    for (Coordinate c : corners) {
      if (ring.isEmpty() || ring.getLast().distance(c) >= SAME) {
        ring.add(c);
      }
    }
    while (ring.size() > 1 && ring.getFirst().distance(ring.getLast()) < SAME) {
      ring.removeLast();
    }
    if (ring.size() >= 3) {
      ring.add(ring.getFirst().copy());
      shapes.add(SHAPES.createPolygon(ring.toArray(Coordinate[]::new)));
    }
  }

  /** Adds a line that others may close. */
  void open(List<Coordinate> corners) {
    if (corners.size() >= 2) {
      loose.add(
          GeometryPrecisionReducer.reduce(
              SHAPES.createLineString(corners.toArray(Coordinate[]::new)), GRID));
    }
  }

  /** Adds a line that is closed if it ends where it began. */
  void line(List<Coordinate> corners) {
    if (corners.size() > 2 && corners.getFirst().distance(corners.getLast()) < SAME) {
      closed(corners);
    } else {
      open(corners);
    }
  }

  /**
   * Returns how many straight pieces keep within a tolerance of an arc: r (1 − cos(angle / 2)).
   *
   * @param angle of the arc, above 0 rad
   * @param tolerance in the unit of the radius
   */
  static int pieces(double radius, double angle, double tolerance) {
    double most = 2 * Math.acos(1 - Math.min(1, tolerance / Math.max(radius, 1e-9)));
    return (int) Math.clamp(Math.ceil(angle / most), 2, 360);
  }

  /** Returns all closed shapes, those that loose lines make together among them. */
  List<Polygon> shapes() {
    List<Polygon> all = new ArrayList<>(shapes);
    for (Object p : loose.getPolygons()) {
      all.add((Polygon) p);
    }
    return all;
  }

  /** Returns a shape as an outline; one of very many corners with fewer. */
  static Outline outline(Polygon shape) {
    // The ring, not the shape: one that crosses itself is refused later, not mended here.
    Coordinate[] ring = shape.getExteriorRing().getCoordinates();
    for (double by = TOLERANCE; ring.length > Outline.MOST && by < 1e-2; by *= 2) {
      ring = DouglasPeuckerSimplifier.simplify(shape.getExteriorRing(), by).getCoordinates();
    }
    List<Point> points = new ArrayList<>();
    for (int k = 0; k + 1 < ring.length; k++) {
      points.add(new Point(ring[k].x, ring[k].y));
    }
    return new Outline(points);
  }

  /** Reads a figure of a file. */
  static double number(String typed, String name) {
    double v;
    try {
      v = Double.parseDouble(typed.strip());
    } catch (NumberFormatException e) {
      // Said below, as what is endless is.
      v = Double.NaN;
    }
    if (!Double.isFinite(v)) {
      throw new InvalidValue(
          name,
          "“" + Sentence.printable(typed.strip()) + "”",
          "not a figure",
          "Correct it, or save the file anew.");
    }
    return v;
  }
}
