package hammerman.template;

import hammerman.fit.Point;
import hammerman.fit.Sheet;
import java.util.ArrayList;
import java.util.List;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.Polygon;
import org.locationtech.jts.operation.union.UnaryUnionOp;

/** The shape that covers the cells of a sheet. */
final class Cover {
  private static final GeometryFactory SHAPES = new GeometryFactory();

  private Cover() {}

  /** Returns the rim around all cells of the pack in a sheet, beyond them by a distance (m). */
  static List<Point> rim(Work work, Sheet sheet, double beyond) {
    List<Geometry> cells = new ArrayList<>();
    for (int k = sheet.first(); k < sheet.end(); k++) {
      if (work.group(k) >= 0) {
        cells.add(polygon(work.placing().outline(k)));
      }
    }
    // Closing the gaps between neighbours: out by a radius, back by as much less the overlap.
    double close = work.placing().radius();
    Geometry rim = UnaryUnionOp.union(cells).buffer(close).buffer(beyond - close);
    Polygon largest = (Polygon) rim.getGeometryN(0);
    for (int k = 1; k < rim.getNumGeometries(); k++) {
      Polygon other = (Polygon) rim.getGeometryN(k);
      largest = other.getArea() > largest.getArea() ? other : largest;
    }
    List<Point> points = new ArrayList<>();
    Coordinate[] ring = largest.getExteriorRing().getCoordinates();
    for (int k = 0; k + 1 < ring.length; k++) {
      points.add(new Point(ring[k].x, ring[k].y));
    }
    return points;
  }

  private static Geometry polygon(List<Point> corners) {
    Coordinate[] ring = new Coordinate[corners.size() + 1];
    for (int k = 0; k < corners.size(); k++) {
      ring[k] = new Coordinate(corners.get(k).x(), corners.get(k).y());
    }
    ring[corners.size()] = ring[0].copy();
    return SHAPES.createPolygon(ring);
  }
}
