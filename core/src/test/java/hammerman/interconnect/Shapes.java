package hammerman.interconnect;

import hammerman.fit.Point;
import java.util.List;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;

/** Plates as shapes that can be measured. */
final class Shapes {
  private static final GeometryFactory SHAPES = new GeometryFactory();

  private Shapes() {}

  /** Distance of a point from a plate, m; 0 inside. */
  static double distance(Plate plate, Point point) {
    double least = Double.POSITIVE_INFINITY;
    for (List<Point> rim : plate.shapes()) {
      Coordinate[] ring = new Coordinate[rim.size() + 1];
      for (int k = 0; k <= rim.size(); k++) {
        Point p = rim.get(k % rim.size());
        ring[k] = new Coordinate(p.x(), p.y());
      }
      Geometry shape = SHAPES.createPolygon(ring);
      least =
          Math.min(least, shape.distance(SHAPES.createPoint(new Coordinate(point.x(), point.y()))));
    }
    return least;
  }
}
