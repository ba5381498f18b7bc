package hammerman.interconnect;

import hammerman.fit.Placing;
import hammerman.fit.Point;
import hammerman.pack.Strip;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.Polygon;
import org.locationtech.jts.operation.union.UnaryUnionOp;

/**
 * A plate: the strips on one face that belong together, as shapes to cut and as straight pieces off
 * the roll.
 *
 * @param number from 0, the negative end of the first group
 * @param strip what it is made of
 * @param shapes its rims, each closed; holes are left out, so a ring is drawn whole
 * @param runs lengths of its straight pieces, longest first, m
 * @param area m²
 */
public record Plate(
    int number, Strip strip, List<List<Point>> shapes, List<Double> runs, double area) {
  private static final GeometryFactory SHAPES = new GeometryFactory();

  /** Angle below which two pieces count as straight on, rad. */
  private static final double STRAIGHT = 0.02;

  public Plate {
    shapes = List.copyOf(shapes);
    runs = List.copyOf(runs);
  }

  /** Returns the plates of a solved layout, in order. */
  public static List<Plate> of(Placing placing, Network network) {
    Map<Integer, List<Network.Segment>> byPlate = new TreeMap<>();
    for (Network.Segment s : network.segments()) {
      byPlate.computeIfAbsent(s.plate(), k -> new ArrayList<>()).add(s);
    }
    return byPlate.entrySet().stream().map(e -> of(e.getKey(), placing, e.getValue())).toList();
  }

  /** Returns whether it lies on the upper face. */
  public boolean top() {
    return number % 2 == 1;
  }

  /** Returns its mass as cut to shape, kg. */
  public double mass() {
    return strip.mass(area / strip.width());
  }

  private static Plate of(int number, Placing placing, List<Network.Segment> segments) {
    Strip strip = segments.getFirst().strip();
    List<Geometry> bands = new ArrayList<>();
    for (Network.Segment s : segments) {
      bands.add(band(placing.places().get(s.from()), placing.places().get(s.to()), strip.width()));
    }
    Geometry whole = UnaryUnionOp.union(bands);
    List<List<Point>> shapes = new ArrayList<>();
    for (int k = 0; k < whole.getNumGeometries(); k++) {
      Polygon part = (Polygon) whole.getGeometryN(k);
      shapes.add(points(part.getExteriorRing().getCoordinates()));
    }
    return new Plate(number, strip, shapes, runs(placing, segments, strip), whole.getArea());
  }

  private static List<Point> points(Coordinate[] ring) {
    List<Point> points = new ArrayList<>();
    for (int k = 0; k + 1 < ring.length; k++) {
      points.add(new Point(ring[k].x, ring[k].y));
    }
    return points;
  }

  /** A strip from middle to middle, half a width beyond either. */
  private static Geometry band(Point a, Point b, double width) {
    double length = a.to(b);
    double ux = (b.x() - a.x()) / length * width / 2;
    double uy = (b.y() - a.y()) / length * width / 2;
    Coordinate first = new Coordinate(a.x() - ux - uy, a.y() - uy + ux);
    return SHAPES.createPolygon(
        new Coordinate[] {
          first,
          new Coordinate(b.x() + ux - uy, b.y() + uy + ux),
          new Coordinate(b.x() + ux + uy, b.y() + uy - ux),
          new Coordinate(a.x() - ux + uy, a.y() - uy - ux),
          first.copy()
        });
  }

  /** Pieces that go straight on are one: lengths with half a width beyond either end. */
  private static List<Double> runs(Placing placing, List<Network.Segment> segments, Strip strip) {
    List<Double> lengths = new ArrayList<>();
    boolean[] used = new boolean[segments.size()];
    for (int k = 0; k < used.length; k++) {
      if (!used[k]) {
        used[k] = true;
        Network.Segment s = segments.get(k);
        Point a = placing.places().get(s.from());
        Point b = placing.places().get(s.to());
        double angle = Math.atan2(b.y() - a.y(), b.x() - a.x());
        double length =
            s.length()
                + further(placing, segments, used, s.to(), angle)
                + further(placing, segments, used, s.from(), angle + Math.PI);
        lengths.add(length + strip.width());
      }
    }
    lengths.sort(Comparator.reverseOrder());
    return lengths;
  }

  /** How far strips go straight on from a place, marking them as used. */
  private static double further(
      Placing placing, List<Network.Segment> segments, boolean[] used, int place, double angle) {
    for (int k = 0; k < used.length; k++) {
      Network.Segment s = segments.get(k);
      int on = s.from() == place ? s.to() : s.to() == place ? s.from() : -1;
      if (!used[k] && on >= 0) {
        Point a = placing.places().get(place);
        Point b = placing.places().get(on);
        double turned = Math.atan2(b.y() - a.y(), b.x() - a.x()) - angle;
        if (Math.abs(Math.IEEEremainder(turned, 2 * Math.PI)) < STRAIGHT) {
          used[k] = true;
          return s.length() + further(placing, segments, used, on, angle);
        }
      }
    }
    return 0;
  }
}
