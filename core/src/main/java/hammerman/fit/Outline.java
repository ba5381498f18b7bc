package hammerman.fit;

import hammerman.unit.InvalidValue;
import hammerman.unit.Valid;
import java.util.ArrayList;
import java.util.List;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.Polygon;
import org.locationtech.jts.operation.buffer.BufferOp;
import org.locationtech.jts.operation.buffer.BufferParameters;

/**
 * A closed outline without crossings.
 *
 * @param corners in order, three or more; the last is joined to the first
 */
public record Outline(List<Point> corners) {
  private static final GeometryFactory SHAPES = new GeometryFactory();

  /** The most corners. */
  public static final int MOST = 500;

  public Outline {
    corners = List.copyOf(corners);
    Valid.count("Corners of the outline", corners.size(), 3, MOST);
    Polygon shape = polygon(corners);
    if (!shape.isValid() || shape.getArea() < 1e-6) {
      throw new InvalidValue(
          "Outline",
          corners.size() + " corners",
          shape.isValid() ? "it encloses less than 1 mm²" : "its sides cross each other",
          "Give the corners in the order in which one walks around it.");
    }
  }

  /** Returns a rectangle from the origin, m. */
  public static Outline rectangle(double width, double height) {
    return of(0, 0, width, 0, width, height, 0, height);
  }

  /**
   * Returns a triangle from its three sides, m: the first along x from the origin, the second from
   * the origin up, the third between their ends.
   */
  public static Outline triangle(double base, double left, double right) {
    if (base + left <= right || base + right <= left || left + right <= base) {
      throw new InvalidValue(
          "Sides of the triangle",
          "%.0f, %.0f and %.0f mm".formatted(base * 1e3, left * 1e3, right * 1e3),
          "each side must be shorter than the other two together",
          "Measure the sides again.");
    }
    double x = (base * base + left * left - right * right) / (2 * base);
    return of(0, 0, base, 0, x, Math.sqrt(left * left - x * x));
  }

  /** Returns a triangle with a right angle at the origin, m. */
  public static Outline rightTriangle(double width, double height) {
    return of(0, 0, width, 0, 0, height);
  }

  /** Returns an L: a rectangle without its upper right corner, m. */
  public static Outline corner(double width, double height, double cutWidth, double cutHeight) {
    return of(
        0,
        0,
        width,
        0,
        width,
        height - cutHeight,
        width - cutWidth,
        height - cutHeight,
        width - cutWidth,
        height,
        0,
        height);
  }

  private static Outline of(double... xy) {
    List<Point> points = new ArrayList<>();
    for (int k = 0; k + 1 < xy.length; k += 2) {
      points.add(new Point(xy[k], xy[k + 1]));
    }
    return new Outline(points);
  }

  /** Returns this outline moved out by a distance (m) on every side, its corners kept sharp. */
  Outline grown(double by) {
    BufferParameters sharp =
        new BufferParameters(1, BufferParameters.CAP_SQUARE, BufferParameters.JOIN_MITRE, 10);
    Geometry wider = BufferOp.bufferOp(shape(), by, sharp);
    List<Point> points = new ArrayList<>();
    Coordinate[] ring = ((Polygon) wider).getExteriorRing().getCoordinates();
    for (int k = 0; k + 1 < ring.length; k++) {
      points.add(new Point(ring[k].x, ring[k].y));
    }
    return new Outline(points);
  }

  Polygon shape() {
    return polygon(corners);
  }

  /** Returns whether another lies wholly inside. */
  public boolean contains(Outline other) {
    return shape().contains(other.shape());
  }

  /** Returns the enclosed area, m². */
  public double area() {
    return shape().getArea();
  }

  /** Returns the length of its sides, m. */
  public double perimeter() {
    return shape().getLength();
  }

  private static Polygon polygon(List<Point> corners) {
    Coordinate[] ring = new Coordinate[corners.size() + 1];
    for (int k = 0; k < corners.size(); k++) {
      ring[k] = new Coordinate(corners.get(k).x(), corners.get(k).y());
    }
    ring[corners.size()] = ring[0].copy();
    return SHAPES.createPolygon(ring);
  }
}
