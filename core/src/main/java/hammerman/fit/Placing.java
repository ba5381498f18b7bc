package hammerman.fit;

import hammerman.cell.CellFormat;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;
import org.locationtech.jts.algorithm.locate.IndexedPointInAreaLocator;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.Location;
import org.locationtech.jts.geom.prep.PreparedGeometry;
import org.locationtech.jts.geom.prep.PreparedGeometryFactory;

/**
 * Where cells stand in the boxes: in each one pattern, turned and shifted until most fit; further
 * layers repeat the floor. Blocks and pouches stand in rows of a stack, their gap being that left
 * for swelling.
 *
 * <p>Every turn in steps of 5° and every shift in eighths of the pitch is tried, and the outline's
 * own sides as directions; the count is the best of these, not proved the best of all. Cells stand
 * upright. Deterministic.
 *
 * @param places middles of the cells, sheet by sheet, ordered by row and place
 * @param sheets the layers of all boxes that hold a cell
 * @param footprint what one cell takes
 * @param tried turns and shifts tried
 */
public record Placing(List<Point> places, List<Sheet> sheets, Footprint footprint, int tried) {
  private static final int SHIFTS = 8;
  private static final double TURN_STEP = Math.toRadians(5);
  private static final GeometryFactory SHAPES = new GeometryFactory();

  public Placing {
    places = List.copyOf(places);
    sheets = List.copyOf(sheets);
  }

  /** Places as many cells as fit; empty if none does. */
  public static Placing of(List<Container> boxes, CellFormat format, Packing packing) {
    Footprint footprint = Footprint.of(format, packing.gap());
    List<Point> places = new ArrayList<>();
    List<Sheet> sheets = new ArrayList<>();
    int tried = 0;
    for (int b = 0; b < boxes.size(); b++) {
      Floor floor = floor(boxes.get(b), footprint, packing.pattern());
      tried += floor.tried();
      for (int l = 0; l < boxes.get(b).layers(footprint.height()); l++) {
        if (!floor.places().isEmpty()) {
          int first = places.size();
          places.addAll(floor.places());
          sheets.add(new Sheet(b, l, first, places.size(), floor.turn()));
        }
      }
    }
    return new Placing(places, sheets, footprint, tried);
  }

  /** The cells of one layer. */
  private record Floor(List<Point> places, double turn, int tried) {}

  /** Whether a cell may stand with its middle at a place, its rows turned. */
  private interface Allows {
    boolean at(Coordinate middle, double turn);
  }

  private static Floor floor(Container box, Footprint f, Packing.Pattern pattern) {
    Geometry room = f.round() ? box.room(f.radius()) : box.floor();
    if (room.isEmpty()) {
      return new Floor(List.of(), 0, 0);
    }
    Allows allows = allows(room, f);
    List<Point> best = List.of();
    double bestTurn = 0;
    int tried = 0;
    Lattice lattice = Lattice.of(f, pattern);
    Coordinate[] rim = room.convexHull().getCoordinates();
    Trials trials = Trials.of(room, lattice, turns(box, lattice));
    int shifts = trials.shifts();
    for (double turn : trials.turns()) {
      for (int i = 0; i < shifts; i++) {
        for (int j = 0; j < shifts; j++) {
          List<Point> places =
              lattice.places(rim, f, turn, i / (double) shifts, j / (double) shifts, allows);
          tried++;
          if (places.size() > best.size()) {
            best = places;
            bestTurn = turn;
          }
        }
      }
    }
    return new Floor(best, bestTurn, tried);
  }

  /**
   * Which turns and shifts are tried. In a large box one cell more or less counts little, and
   * trying all would take minutes; there fewer are.
   *
   * @param turns rad
   * @param shifts along each axis
   */
  private record Trials(List<Double> turns, int shifts) {
    /** Places looked at in all, some hundred nanoseconds each. */
    private static final double MOST = 4e6;

    static Trials of(Geometry room, Lattice lattice, List<Double> turns) {
      var extent = room.getEnvelopeInternal();
      double sites = 1 + extent.getArea() / (lattice.across() * lattice.row());
      int every = (int) Math.max(1, Math.ceil(sites * turns.size() / MOST));
      List<Double> some = new ArrayList<>();
      for (int k = 0; k < turns.size(); k += every) {
        some.add(turns.get(k));
      }
      int shifts = (int) Math.clamp(Math.sqrt(MOST / (sites * some.size())), 1, SHIFTS);
      return new Trials(some, shifts);
    }
  }

  private static Allows allows(Geometry room, Footprint f) {
    if (f.round()) {
      IndexedPointInAreaLocator inside = new IndexedPointInAreaLocator(room);
      return (middle, turn) -> inside.locate(middle) != Location.EXTERIOR;
    }
    // A hair of slack, so that a box of the very size of its cells holds them.
    PreparedGeometry inside = PreparedGeometryFactory.prepare(room.buffer(1e-7));
    IndexedPointInAreaLocator quick = new IndexedPointInAreaLocator(room);
    return (middle, turn) ->
        quick.locate(middle) != Location.EXTERIOR
            && inside.covers(rectangle(middle.x, middle.y, f, turn));
  }

  private static Geometry rectangle(double x, double y, Footprint f, double turn) {
    double ux = Math.cos(turn) * f.width() / 2;
    double uy = Math.sin(turn) * f.width() / 2;
    double vx = -Math.sin(turn) * f.thickness() / 2;
    double vy = Math.cos(turn) * f.thickness() / 2;
    Coordinate first = new Coordinate(x - ux - vx, y - uy - vy);
    return SHAPES.createPolygon(
        new Coordinate[] {
          first,
          new Coordinate(x + ux - vx, y + uy - vy),
          new Coordinate(x + ux + vx, y + uy + vy),
          new Coordinate(x - ux + vx, y - uy + vy),
          first.copy()
        });
  }

  private static List<Double> turns(Container container, Lattice lattice) {
    List<Double> turns = new ArrayList<>();
    for (double t = 0; t < lattice.symmetry() - 1e-9; t += TURN_STEP) {
      turns.add(t);
    }
    List<Point> c = container.outline().corners();
    for (int k = 0; k < c.size(); k++) {
      Point a = c.get(k);
      Point b = c.get((k + 1) % c.size());
      double t = Math.atan2(b.y() - a.y(), b.x() - a.x());
      turns.add(t - Math.floor(t / lattice.symmetry()) * lattice.symmetry());
    }
    return turns.stream().distinct().toList();
  }

  /** A pattern of rows: distances in a row and between rows, and whether every other row is off. */
  private record Lattice(double across, double row, boolean staggered, double symmetry) {
    static Lattice of(Footprint f, Packing.Pattern pattern) {
      if (!f.round()) {
        return new Lattice(f.across(), f.stacked(), false, Math.PI);
      }
      return pattern == Packing.Pattern.HEXAGONAL
          ? new Lattice(f.across(), f.across() * Math.sqrt(3) / 2, true, Math.PI / 3)
          : new Lattice(f.across(), f.across(), false, Math.PI / 2);
    }

    List<Point> places(
        Coordinate[] rim, Footprint f, double turn, double shiftX, double shiftY, Allows allows) {
      double cos = Math.cos(turn);
      double sin = Math.sin(turn);
      // The extent of the room in the turned axes.
      double[] u = {Double.POSITIVE_INFINITY, Double.NEGATIVE_INFINITY};
      double[] v = {Double.POSITIVE_INFINITY, Double.NEGATIVE_INFINITY};
      for (Coordinate c : rim) {
        u[0] = Math.min(u[0], c.x * cos + c.y * sin);
        u[1] = Math.max(u[1], c.x * cos + c.y * sin);
        v[0] = Math.min(v[0], -c.x * sin + c.y * cos);
        v[1] = Math.max(v[1], -c.x * sin + c.y * cos);
      }
      // A block's room is not narrowed by half its size yet, as a round cell's is.
      u[0] += f.round() ? 0 : f.width() / 2;
      v[0] += f.round() ? 0 : f.thickness() / 2;
      List<Point> places = new ArrayList<>();
      Coordinate at = new Coordinate();
      int r = 0;
      for (double b = v[0] + (shiftY - 1) * row; b <= v[1] + 1e-9; b += row, r++) {
        double start = u[0] + (shiftX - 1) * across + (staggered && r % 2 == 1 ? across / 2 : 0);
        for (double a = start; a <= u[1] + 1e-9; a += across) {
          at.x = a * cos - b * sin;
          at.y = a * sin + b * cos;
          if (allows.at(at, turn)) {
            places.add(new Point(at.x, at.y));
          }
        }
      }
      return places;
    }
  }

  /** Returns the least distance between neighbours' middles, m. */
  public double pitch() {
    return footprint.pitch();
  }

  /** Returns the radius of the largest circle in a cell's footprint, m. */
  public double radius() {
    return footprint.radius();
  }

  /** Returns the sheet of a place, its index. */
  public int sheetOf(int place) {
    for (int s = 0; s < sheets.size(); s++) {
      if (place < sheets.get(s).end()) {
        return s;
      }
    }
    throw new IndexOutOfBoundsException("place " + place + " of " + places.size());
  }

  /** Returns the outline of a cell on the floor; a round one as a polygon of 32 corners. */
  public List<Point> outline(int place) {
    Point p = places.get(place);
    List<Point> corners = new ArrayList<>();
    if (footprint.round()) {
      for (int k = 0; k < 32; k++) {
        double a = 2 * Math.PI * k / 32;
        corners.add(new Point(p.x() + radius() * Math.cos(a), p.y() + radius() * Math.sin(a)));
      }
    } else {
      Coordinate[] ring =
          rectangle(p.x(), p.y(), footprint, sheets.get(sheetOf(place)).turn()).getCoordinates();
      for (int k = 0; k < 4; k++) {
        corners.add(new Point(ring[k].x, ring[k].y));
      }
    }
    return corners;
  }

  /** Returns for each place the indices of those that touch it: one pitch away, in its sheet. */
  public List<int[]> neighbours() {
    List<List<Integer>> found = new ArrayList<>();
    for (int k = 0; k < places.size(); k++) {
      found.add(new ArrayList<>());
    }
    for (Sheet sheet : sheets) {
      near(sheet, found);
    }
    return found.stream()
        .map(l -> l.stream().mapToInt(Integer::intValue).sorted().toArray())
        .toList();
  }

  /**
   * Returns for each place the indices of those that stand on it or under it: the same place of the
   * next layers of its box.
   */
  public List<int[]> stacked() {
    List<int[]> found = new ArrayList<>();
    for (int s = 0; s < sheets.size(); s++) {
      Sheet sheet = sheets.get(s);
      boolean under = s > 0 && sheets.get(s - 1).box() == sheet.box();
      boolean over = s + 1 < sheets.size() && sheets.get(s + 1).box() == sheet.box();
      for (int k = sheet.first(); k < sheet.end(); k++) {
        IntStream.Builder ends = IntStream.builder();
        if (under) {
          ends.add(k - sheet.size());
        }
        if (over) {
          ends.add(k + sheet.size());
        }
        found.add(ends.build().toArray());
      }
    }
    return found;
  }

  private void near(Sheet sheet, List<List<Integer>> found) {
    double reach = Math.max(footprint.across(), footprint.stacked()) * 1.02;
    List<Integer> byX = new ArrayList<>();
    for (int k = sheet.first(); k < sheet.end(); k++) {
      byX.add(k);
    }
    byX.sort(Comparator.comparingDouble(k -> places.get(k).x()));
    for (int i = 0; i < byX.size(); i++) {
      Point p = places.get(byX.get(i));
      for (int j = i + 1; j < byX.size(); j++) {
        Point q = places.get(byX.get(j));
        if (q.x() - p.x() > reach) {
          break;
        }
        if (touch(p, q, sheet.turn())) {
          found.get(byX.get(i)).add(byX.get(j));
          found.get(byX.get(j)).add(byX.get(i));
        }
      }
    }
  }

  private boolean touch(Point p, Point q, double turn) {
    if (footprint.round()) {
      return p.to(q) <= footprint.across() * 1.02;
    }
    double dx = q.x() - p.x();
    double dy = q.y() - p.y();
    double u = Math.abs(dx * Math.cos(turn) + dy * Math.sin(turn));
    double v = Math.abs(-dx * Math.sin(turn) + dy * Math.cos(turn));
    double hair = 0.02 * pitch();
    return (u < hair && v <= footprint.stacked() + hair)
        || (v < hair && u <= footprint.across() + hair);
  }
}
