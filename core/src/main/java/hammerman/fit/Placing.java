package hammerman.fit;

import hammerman.cell.CellFormat;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.locationtech.jts.algorithm.locate.IndexedPointInAreaLocator;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.Location;

/**
 * Where round cells stand in a container: one pattern, turned and shifted until most fit.
 *
 * <p>Every turn in steps of 5° and every shift in eighths of the pitch is tried, and the outline's
 * own sides as directions; the count is the best of these, not proved the best of all. Upright
 * cells, one layer: further layers repeat it. Deterministic.
 *
 * @param places middles of the cells, ordered by row and place
 * @param pitch between neighbours' middles, m
 * @param radius of a cell, m
 * @param turn of the pattern, rad
 * @param layers of cells above each other
 * @param tried turns and shifts tried
 */
public record Placing(
    List<Point> places, double pitch, double radius, double turn, int layers, int tried) {
  private static final int SHIFTS = 8;
  private static final double TURN_STEP = Math.toRadians(5);

  public Placing {
    places = List.copyOf(places);
  }

  /** Places as many cells as fit; empty if the cell is no cylinder or none fits. */
  public static Placing of(Container container, CellFormat format, Packing packing) {
    if (!(format instanceof CellFormat.Cylinder c)) {
      return new Placing(List.of(), format.pitch(), 0, 0, 0, 0);
    }
    double radius = c.diameter() / 2;
    double pitch = c.diameter() + packing.gap();
    int layers = container.layers(c.height());
    Geometry room = container.room(radius);
    if (room.isEmpty() || layers < 1) {
      return new Placing(List.of(), pitch, radius, 0, layers, 0);
    }
    IndexedPointInAreaLocator inside = new IndexedPointInAreaLocator(room);
    List<Point> best = List.of();
    double bestTurn = 0;
    int tried = 0;
    for (double turn : turns(container, packing.pattern())) {
      for (int i = 0; i < SHIFTS; i++) {
        for (int j = 0; j < SHIFTS; j++) {
          List<Point> places =
              lattice(
                  room,
                  inside,
                  packing.pattern(),
                  pitch,
                  turn,
                  i * pitch / SHIFTS,
                  j * pitch / SHIFTS);
          tried++;
          if (places.size() > best.size()) {
            best = places;
            bestTurn = turn;
          }
        }
      }
    }
    return new Placing(best, pitch, radius, bestTurn, layers, tried);
  }

  /** Returns how many cells fit in all layers. */
  public int capacity() {
    return places.size() * layers;
  }

  private static List<Double> turns(Container container, Packing.Pattern pattern) {
    List<Double> turns = new ArrayList<>();
    for (double t = 0; t < pattern.symmetry() - 1e-9; t += TURN_STEP) {
      turns.add(t);
    }
    List<Point> c = container.outline().corners();
    for (int k = 0; k < c.size(); k++) {
      Point a = c.get(k);
      Point b = c.get((k + 1) % c.size());
      double t = Math.atan2(b.y() - a.y(), b.x() - a.x());
      turns.add(t - Math.floor(t / pattern.symmetry()) * pattern.symmetry());
    }
    return turns.stream().distinct().toList();
  }

  private static List<Point> lattice(
      Geometry room,
      IndexedPointInAreaLocator inside,
      Packing.Pattern pattern,
      double pitch,
      double turn,
      double shiftX,
      double shiftY) {
    double cos = Math.cos(turn);
    double sin = Math.sin(turn);
    boolean hex = pattern == Packing.Pattern.HEXAGONAL;
    double row = hex ? pitch * Math.sqrt(3) / 2 : pitch;
    Envelope e = room.getEnvelopeInternal();
    // The box of the room in the turned axes.
    double[] u = {Double.POSITIVE_INFINITY, Double.NEGATIVE_INFINITY};
    double[] v = {Double.POSITIVE_INFINITY, Double.NEGATIVE_INFINITY};
    for (double x : new double[] {e.getMinX(), e.getMaxX()}) {
      for (double y : new double[] {e.getMinY(), e.getMaxY()}) {
        u[0] = Math.min(u[0], x * cos + y * sin);
        u[1] = Math.max(u[1], x * cos + y * sin);
        v[0] = Math.min(v[0], -x * sin + y * cos);
        v[1] = Math.max(v[1], -x * sin + y * cos);
      }
    }
    List<Point> places = new ArrayList<>();
    Coordinate at = new Coordinate();
    int r = 0;
    for (double b = v[0] + shiftY * row / pitch - row; b <= v[1] + 1e-9; b += row, r++) {
      double start = u[0] + shiftX - pitch + (hex && r % 2 == 1 ? pitch / 2 : 0);
      for (double a = start; a <= u[1] + 1e-9; a += pitch) {
        at.x = a * cos - b * sin;
        at.y = a * sin + b * cos;
        if (inside.locate(at) != Location.EXTERIOR) {
          places.add(new Point(at.x, at.y));
        }
      }
    }
    return places;
  }

  /** Returns for each place the indices of those that touch it: one pitch away. */
  public List<int[]> neighbours() {
    double reach = pitch * 1.02;
    List<Integer> byX = new ArrayList<>();
    for (int k = 0; k < places.size(); k++) {
      byX.add(k);
    }
    byX.sort(Comparator.comparingDouble(k -> places.get(k).x()));
    List<List<Integer>> found = new ArrayList<>();
    for (int k = 0; k < places.size(); k++) {
      found.add(new ArrayList<>());
    }
    for (int i = 0; i < byX.size(); i++) {
      Point p = places.get(byX.get(i));
      for (int j = i + 1; j < byX.size(); j++) {
        Point q = places.get(byX.get(j));
        if (q.x() - p.x() > reach) {
          break;
        }
        if (p.to(q) <= reach) {
          found.get(byX.get(i)).add(byX.get(j));
          found.get(byX.get(j)).add(byX.get(i));
        }
      }
    }
    return found.stream()
        .map(l -> l.stream().mapToInt(Integer::intValue).sorted().toArray())
        .toList();
  }
}
