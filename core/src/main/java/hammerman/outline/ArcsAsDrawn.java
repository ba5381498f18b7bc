package hammerman.outline;

import java.awt.Shape;
import java.awt.geom.AffineTransform;
import java.awt.geom.Arc2D;
import java.awt.geom.PathIterator;
import java.io.IOException;
import java.io.StringReader;
import org.apache.batik.parser.AWTPathProducer;
import org.apache.batik.parser.PathParser;

/**
 * Path data with its arcs worked out here: the parser's own are short of half a circle by half a
 * degree. Source: SVG 1.1 (2011), appendix F.6, from end points to the middle.
 */
final class ArcsAsDrawn extends AWTPathProducer {
  private ArcsAsDrawn() {}

  /** Reads path data. */
  static Shape shape(String data) throws IOException {
    ArcsAsDrawn made = new ArcsAsDrawn();
    made.setWindingRule(PathIterator.WIND_NON_ZERO);
    PathParser parser = new PathParser();
    parser.setPathHandler(made);
    parser.parse(new StringReader(data));
    return made.getShape();
  }

  @Override
  public void arcRel(
      float rx, float ry, float turn, boolean large, boolean sweep, float x, float y) {
    arcAbs(rx, ry, turn, large, sweep, currentX + x, currentY + y);
  }

  @Override
  public void arcAbs(
      float rx, float ry, float turn, boolean large, boolean sweep, float x, float y) {
    if (rx == 0 || ry == 0) {
      linetoAbs(x, y);
      return;
    }
    if (x != currentX || y != currentY) {
      path.append(arc(currentX, currentY, rx, ry, turn, large, sweep, x, y), true);
    }
    currentX = x;
    currentY = y;
    xCenter = x;
    yCenter = y;
  }

  private static Shape arc(
      double x1,
      double y1,
      double rx,
      double ry,
      double degrees,
      boolean large,
      boolean sweep,
      double x2,
      double y2) {
    double cos = Math.cos(Math.toRadians(degrees));
    double sin = Math.sin(Math.toRadians(degrees));
    // F.6.5.1: half the chord in the ellipse's own axes.
    double hx = cos * (x1 - x2) / 2 + sin * (y1 - y2) / 2;
    double hy = -sin * (x1 - x2) / 2 + cos * (y1 - y2) / 2;
    double a = Math.abs(rx);
    double b = Math.abs(ry);
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
    double cx = cos * ux - sin * uy + (x1 + x2) / 2;
    double cy = sin * ux + cos * uy + (y1 + y2) / 2;
    // F.6.5.5 and F.6.5.6: angles, which the geometry library counts the other way.
    double from = Math.toDegrees(Math.atan2((hy - uy) / b, (hx - ux) / a));
    double to = Math.toDegrees(Math.atan2((-hy - uy) / b, (-hx - ux) / a));
    double extent = to - from;
    if (sweep && extent < 0) {
      extent += 360;
    } else if (!sweep && extent > 0) {
      extent -= 360;
    }
    Arc2D arc = new Arc2D.Double(cx - a, cy - b, 2 * a, 2 * b, -from, -extent, Arc2D.OPEN);
    return AffineTransform.getRotateInstance(Math.toRadians(degrees), cx, cy)
        .createTransformedShape(arc);
  }
}
