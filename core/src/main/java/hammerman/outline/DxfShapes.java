package hammerman.outline;

import hammerman.unit.InvalidValue;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.locationtech.jts.geom.Coordinate;

/**
 * Shapes of DXF text: pairs of lines, a group code and its value. Read are polylines of both kinds
 * with their bulges, lines, arcs, circles, ellipses and splines, in the unit that the head names
 * ({@code $INSUNITS}), else in mm; blocks and other entities are not.
 */
final class DxfShapes {
  private final Linework work;
  private final String name;

  /** Corners of the polyline under way and their bulges: the tangent of a quarter of the arc. */
  private final List<Coordinate> corners = new ArrayList<>();

  private final List<Double> bulges = new ArrayList<>();
  private final DxfSpline spline = new DxfSpline();
  private boolean polyline;
  private boolean closed;

  /** One unit of the drawing, m. */
  private double unit = 1e-3;

  DxfShapes(Linework work, String name) {
    this.work = work;
    this.name = name;
  }

  static boolean looksLike(String text) {
    return text.contains("SECTION") || text.contains("POLYLINE");
  }

  void read(String text) {
    List<String> lines = text.lines().map(String::strip).toList();
    String entity = "";
    Map<String, Double> values = new HashMap<>();
    for (int k = 0; k + 1 < lines.size(); k += 2) {
      String code = lines.get(k);
      String value = lines.get(k + 1);
      if (code.equals("0")) {
        ended(entity, values);
        entity = value;
        values.clear();
      } else if (code.equals("9")) {
        entity = value;
      } else if (entity.equals("$INSUNITS") && code.equals("70")) {
        unit = metres((int) Linework.number(value, name));
      } else if (entity.equals("SPLINE")) {
        if (code.matches("10|20|11|21|40|41|70|71")) {
          spline.take(code, Linework.number(value, name));
        }
      } else if (code.matches("10|20|40|41|42|50|51|70|11|21")) {
        if (entity.equals("LWPOLYLINE") && code.equals("10")) {
          vertex(values);
        }
        values.put(code, Linework.number(value, name));
      }
    }
    ended(entity, values);
    finish();
  }

  /** An entity's values are all known. */
  private void ended(String entity, Map<String, Double> v) {
    switch (entity) {
      case "LWPOLYLINE" -> {
        vertex(v);
        closed = flagged(v);
        finish();
      }
      case "POLYLINE" -> {
        polyline = true;
        closed = flagged(v);
      }
      case "VERTEX" -> {
        if (polyline) {
          vertex(v);
        }
      }
      case "SEQEND" -> finish();
      case "LINE" -> work.open(List.of(at(v, "10", "20"), at(v, "11", "21")));
      case "CIRCLE" -> work.closed(arc(v, 0, 2 * Math.PI));
      case "SPLINE" -> {
        work.line(spline.points().stream().map(this::scaled).toList());
        spline.clear();
      }
      case "ELLIPSE" -> work.line(ellipse(v));
      case "ARC" -> {
        double from = Math.toRadians(of(v, "50"));
        double sweep = Math.toRadians(of(v, "51")) - from;
        work.open(arc(v, from, sweep <= 0 ? sweep + 2 * Math.PI : sweep));
      }
      default -> {}
    }
  }

  private static boolean flagged(Map<String, Double> v) {
    return (v.getOrDefault("70", 0.0).intValue() & 1) == 1;
  }

  /** Takes a corner of a polyline; its own values only, so that the next one starts afresh. */
  private void vertex(Map<String, Double> v) {
    if (v.containsKey("10") && v.containsKey("20")) {
      corners.add(at(v, "10", "20"));
      bulges.add(v.getOrDefault("42", 0.0));
      v.remove("10");
      v.remove("20");
      v.remove("42");
    }
  }

  private void finish() {
    List<Coordinate> ring = new ArrayList<>();
    int n = corners.size();
    for (int k = 0; k < n; k++) {
      ring.add(corners.get(k));
      if (k + 1 < n || closed) {
        bulged(ring, corners.get(k), corners.get((k + 1) % n), bulges.get(k));
      }
    }
    // Most people's outlines are meant to be closed, flagged or not.
    if (n >= 3 || closed) {
      work.closed(ring);
    } else {
      work.open(ring);
    }
    corners.clear();
    bulges.clear();
    polyline = false;
    closed = false;
  }

  /** Adds what lies between two corners; the bulge is tan(angle / 4), positive to the left. */
  private static void bulged(List<Coordinate> ring, Coordinate a, Coordinate b, double bulge) {
    if (bulge == 0) {
      return;
    }
    double angle = 4 * Math.atan(bulge);
    double chord = a.distance(b);
    double radius = chord / (2 * Math.sin(angle / 2));
    double rise = radius * Math.cos(angle / 2);
    double cx = (a.x + b.x) / 2 - rise * (b.y - a.y) / chord;
    double cy = (a.y + b.y) / 2 + rise * (b.x - a.x) / chord;
    double from = Math.atan2(a.y - cy, a.x - cx);
    int pieces = Linework.pieces(Math.abs(radius), Math.abs(angle), Linework.TOLERANCE);
    for (int k = 1; k < pieces; k++) {
      double t = from + angle * k / pieces;
      ring.add(
          new Coordinate(cx + Math.abs(radius) * Math.cos(t), cy + Math.abs(radius) * Math.sin(t)));
    }
  }

  private List<Coordinate> arc(Map<String, Double> v, double from, double sweep) {
    Coordinate middle = at(v, "10", "20");
    double radius = of(v, "40") * unit;
    int pieces = Linework.pieces(radius, sweep, Linework.TOLERANCE);
    List<Coordinate> points = new ArrayList<>();
    for (int k = 0; k <= pieces; k++) {
      double t = from + sweep * k / pieces;
      points.add(new Coordinate(middle.x + radius * Math.cos(t), middle.y + radius * Math.sin(t)));
    }
    return points;
  }

  /** An ellipse by its middle, the end of its longer half axis, and the ratio of the other. */
  private List<Coordinate> ellipse(Map<String, Double> v) {
    Coordinate middle = at(v, "10", "20");
    Coordinate axis = at(v, "11", "21");
    double ratio = of(v, "40");
    double from = v.getOrDefault("41", 0.0);
    double sweep = v.getOrDefault("42", 2 * Math.PI) - from;
    sweep = sweep <= 0 ? sweep + 2 * Math.PI : sweep;
    double radius = Math.hypot(axis.x, axis.y);
    int pieces = Linework.pieces(radius, sweep, Linework.TOLERANCE);
    List<Coordinate> points = new ArrayList<>();
    for (int k = 0; k <= pieces; k++) {
      double t = from + sweep * k / pieces;
      double a = Math.cos(t);
      double b = ratio * Math.sin(t);
      points.add(
          new Coordinate(middle.x + a * axis.x - b * axis.y, middle.y + a * axis.y + b * axis.x));
    }
    return points;
  }

  private Coordinate scaled(Coordinate c) {
    return new Coordinate(c.x * unit, c.y * unit);
  }

  /** Metres of a unit by its number in the head; without one, and for others, mm. */
  private static double metres(int number) {
    return switch (number) {
      case 1 -> 0.0254;
      case 2 -> 0.3048;
      case 5 -> 0.01;
      case 6 -> 1;
      case 8 -> 2.54e-8;
      case 9 -> 2.54e-5;
      case 13 -> 1e-6;
      case 14 -> 0.1;
      default -> 1e-3;
    };
  }

  private Coordinate at(Map<String, Double> v, String x, String y) {
    return new Coordinate(of(v, x) * unit, of(v, y) * unit);
  }

  private double of(Map<String, Double> v, String code) {
    Double value = v.get(code);
    if (value == null) {
      throw new InvalidValue(
          name, "no group " + code, "an entity of the drawing lacks it", "Save the file anew.");
    }
    return value;
  }
}
