package hammerman.outline;

import java.io.IOException;
import java.io.StringReader;
import java.util.ArrayList;
import java.util.List;
import org.apache.batik.parser.DefaultPathHandler;
import org.apache.batik.parser.PathParser;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.util.AffineTransformation;

/**
 * Follows path data into straight pieces. Source of the arcs: SVG 1.1 (2011), appendix F.6, from
 * end points to the middle; of the number of pieces of a curve: Wang (1984), which bounds how far
 * they lie from it by the second differences of its control points.
 */
final class SvgPath extends DefaultPathHandler {
  private static final int MOST_PIECES = 500;

  private final Linework work;
  private final AffineTransformation toMetres;
  private final double tolerance;
  private List<Coordinate> piece = new ArrayList<>();
  private Coordinate start = new Coordinate();
  private Coordinate at = new Coordinate();

  /** Control points that a smooth curve goes on from; where it is if the last was none. */
  private Coordinate cubic = at;

  private Coordinate quadratic = at;

  private SvgPath(Linework work, AffineTransformation toMetres) {
    this.work = work;
    this.toMetres = toMetres;
    double unit = toMetres.transform(new Coordinate(1, 0), new Coordinate()).distance(origin());
    tolerance = Linework.TOLERANCE / Math.max(unit, 1e-9);
  }

  private Coordinate origin() {
    return toMetres.transform(new Coordinate(), new Coordinate());
  }

  /** Adds the shapes of path data. */
  static void read(String data, Linework work, AffineTransformation toMetres) throws IOException {
    SvgPath path = new SvgPath(work, toMetres);
    PathParser parser = new PathParser();
    parser.setPathHandler(path);
    parser.parse(new StringReader(data));
    path.finish(false);
  }

  private void finish(boolean closed) {
    List<Coordinate> metres =
        piece.stream().map(c -> toMetres.transform(c, new Coordinate())).toList();
    if (closed) {
      work.closed(metres);
    } else {
      work.line(metres);
    }
    piece = new ArrayList<>();
  }

  /** Goes straight to a point. */
  private void to(Coordinate next) {
    if (piece.isEmpty()) {
      piece.add(at);
    }
    piece.add(next);
    at = next;
    cubic = next;
    quadratic = next;
  }

  private Coordinate absolute(double x, double y) {
    return new Coordinate(x, y);
  }

  private Coordinate relative(double x, double y) {
    return new Coordinate(at.x + x, at.y + y);
  }

  private void begin(Coordinate next) {
    finish(false);
    start = next;
    at = next;
    cubic = next;
    quadratic = next;
  }

  private void curve(Coordinate p1, Coordinate p2, Coordinate p3) {
    Coordinate p0 = at;
    double bend = Math.max(bend(p0, p1, p2), bend(p1, p2, p3));
    int n = (int) Math.clamp(Math.ceil(Math.sqrt(0.75 * bend / tolerance)), 1, MOST_PIECES);
    for (int k = 1; k < n; k++) {
      double t = k / (double) n;
      double s = 1 - t;
      double a = s * s * s;
      double b = 3 * s * s * t;
      double c = 3 * s * t * t;
      double d = t * t * t;
      to(
          absolute(
              a * p0.x + b * p1.x + c * p2.x + d * p3.x,
              a * p0.y + b * p1.y + c * p2.y + d * p3.y));
    }
    to(p3);
    cubic = p2;
  }

  private static double bend(Coordinate a, Coordinate b, Coordinate c) {
    return Math.hypot(a.x - 2 * b.x + c.x, a.y - 2 * b.y + c.y);
  }

  /** A quadratic curve is a cubic one with its control points two thirds of the way. */
  private void bow(Coordinate p1, Coordinate p2) {
    curve(towards(at, p1), towards(p2, p1), p2);
    cubic = p2;
    quadratic = p1;
  }

  private Coordinate towards(Coordinate from, Coordinate to) {
    return absolute(from.x + (to.x - from.x) * 2 / 3, from.y + (to.y - from.y) * 2 / 3);
  }

  /** The last control point seen from the other side of where it is. */
  private Coordinate mirrored(Coordinate control) {
    return absolute(2 * at.x - control.x, 2 * at.y - control.y);
  }

  private void arc(
      double rx, double ry, double degrees, boolean large, boolean sweep, Coordinate end) {
    double a = Math.abs(rx);
    double b = Math.abs(ry);
    if (a == 0 || b == 0 || end.equals2D(at)) {
      to(end);
      return;
    }
    double cos = Math.cos(Math.toRadians(degrees));
    double sin = Math.sin(Math.toRadians(degrees));
    // F.6.5.1: half the chord in the ellipse's own axes.
    double hx = cos * (at.x - end.x) / 2 + sin * (at.y - end.y) / 2;
    double hy = -sin * (at.x - end.x) / 2 + cos * (at.y - end.y) / 2;
    // F.6.6: radii too small for the chord are made just large enough.
    double reach = hx * hx / (a * a) + hy * hy / (b * b);
    if (reach > 1) {
      a *= Math.sqrt(reach);
      b *= Math.sqrt(reach);
    }
    // F.6.5.2 and F.6.5.3: the middle.
    double off = a * a * hy * hy + b * b * hx * hx;
    double f = (large == sweep ? -1 : 1) * Math.sqrt(Math.max(0, (a * a * b * b - off) / off));
    double ux = f * a * hy / b;
    double uy = -f * b * hx / a;
    double mx = cos * ux - sin * uy + (at.x + end.x) / 2;
    double my = sin * ux + cos * uy + (at.y + end.y) / 2;
    // F.6.5.5 and F.6.5.6: the angles.
    double from = Math.atan2((hy - uy) / b, (hx - ux) / a);
    double turn = Math.atan2((-hy - uy) / b, (-hx - ux) / a) - from;
    if (sweep && turn < 0) {
      turn += 2 * Math.PI;
    } else if (!sweep && turn > 0) {
      turn -= 2 * Math.PI;
    }
    int n = Linework.pieces(Math.max(a, b), Math.abs(turn), tolerance);
    for (int k = 1; k < n; k++) {
      double t = from + turn * k / n;
      double x = a * Math.cos(t);
      double y = b * Math.sin(t);
      to(absolute(mx + cos * x - sin * y, my + sin * x + cos * y));
    }
    to(end);
  }

  @Override
  public void movetoAbs(float x, float y) {
    begin(absolute(x, y));
  }

  @Override
  public void movetoRel(float x, float y) {
    begin(relative(x, y));
  }

  @Override
  public void closePath() {
    finish(true);
    begin(start);
  }

  @Override
  public void linetoAbs(float x, float y) {
    to(absolute(x, y));
  }

  @Override
  public void linetoRel(float x, float y) {
    to(relative(x, y));
  }

  @Override
  public void linetoHorizontalAbs(float x) {
    to(absolute(x, at.y));
  }

  @Override
  public void linetoHorizontalRel(float x) {
    to(relative(x, 0));
  }

  @Override
  public void linetoVerticalAbs(float y) {
    to(absolute(at.x, y));
  }

  @Override
  public void linetoVerticalRel(float y) {
    to(relative(0, y));
  }

  @Override
  public void curvetoCubicAbs(float x1, float y1, float x2, float y2, float x, float y) {
    curve(absolute(x1, y1), absolute(x2, y2), absolute(x, y));
  }

  @Override
  public void curvetoCubicRel(float x1, float y1, float x2, float y2, float x, float y) {
    curve(relative(x1, y1), relative(x2, y2), relative(x, y));
  }

  @Override
  public void curvetoCubicSmoothAbs(float x2, float y2, float x, float y) {
    curve(mirrored(cubic), absolute(x2, y2), absolute(x, y));
  }

  @Override
  public void curvetoCubicSmoothRel(float x2, float y2, float x, float y) {
    curve(mirrored(cubic), relative(x2, y2), relative(x, y));
  }

  @Override
  public void curvetoQuadraticAbs(float x1, float y1, float x, float y) {
    bow(absolute(x1, y1), absolute(x, y));
  }

  @Override
  public void curvetoQuadraticRel(float x1, float y1, float x, float y) {
    bow(relative(x1, y1), relative(x, y));
  }

  @Override
  public void curvetoQuadraticSmoothAbs(float x, float y) {
    bow(mirrored(quadratic), absolute(x, y));
  }

  @Override
  public void curvetoQuadraticSmoothRel(float x, float y) {
    bow(mirrored(quadratic), relative(x, y));
  }

  @Override
  public void arcAbs(
      float rx, float ry, float turn, boolean large, boolean sweep, float x, float y) {
    arc(rx, ry, turn, large, sweep, absolute(x, y));
  }

  @Override
  public void arcRel(
      float rx, float ry, float turn, boolean large, boolean sweep, float x, float y) {
    arc(rx, ry, turn, large, sweep, relative(x, y));
  }
}
