package hammerman.fit;

import hammerman.drawing.Svg;
import hammerman.pack.Strip;
import java.util.List;

/**
 * One face of a layout at true scale, to cut strips by and to place cells by: the box, every cell
 * with its group and sign, every piece of strip between the terminals it joins, and a bar of 100 mm
 * to check the print. The lower face is drawn as seen from below.
 */
public final class Template {
  private static final double MARGIN = 12;
  private static final double FOOT = 16;

  private Template() {}

  /** Returns a face as an SVG document, in mm. */
  public static String svg(
      Container container,
      Placing placing,
      Grouping grouping,
      Network network,
      Strip strip,
      boolean top,
      String title) {
    List<Point> corners = container.outline().corners();
    double left = corners.stream().mapToDouble(Point::x).min().orElse(0) * 1e3;
    double right = corners.stream().mapToDouble(Point::x).max().orElse(0) * 1e3;
    double low = corners.stream().mapToDouble(Point::y).min().orElse(0) * 1e3;
    double high = corners.stream().mapToDouble(Point::y).max().orElse(0) * 1e3;
    double width = Math.max(right - left, 110) + 2 * MARGIN;
    double height = high - low + 2 * MARGIN + FOOT;
    Svg out = new Svg(width, height, title);
    Sheet sheet = new Sheet(left, right, high, !top);
    outline(out, sheet, container.outline(), 0.6);
    for (Outline keep : container.keepOuts()) {
      outline(out, sheet, keep, 0.3);
    }
    for (Network.Segment s : network.segments()) {
      if (s.top() == top) {
        strip(out, sheet, placing, s, strip.width() * 1e3);
      }
    }
    for (int k = 0; k < grouping.group().length; k++) {
      int g = grouping.group()[k];
      if (g >= 0) {
        double x = sheet.x(placing.places().get(k));
        double y = sheet.y(placing.places().get(k));
        out.circle(0.3, x, y, placing.radius() * 1e3);
        out.centred(x, y + 1.5, 4, (g + 1) + ((g % 2 == 0) == top ? " +" : " −"));
      }
    }
    double foot = height - 8;
    out.line(0.5, false, MARGIN, foot, MARGIN + 100, foot);
    out.line(0.5, false, MARGIN, foot - 2, MARGIN, foot + 2);
    out.line(0.5, false, MARGIN + 100, foot - 2, MARGIN + 100, foot + 2);
    out.words(MARGIN, foot - 3, 3, "100 mm; print at 100 % and measure this bar first");
    out.words(MARGIN, 8, 4, title + (top ? ", upper face" : ", lower face seen from below"));
    return out.document();
  }

  /** The way from the floor to the sheet, mm. */
  private record Sheet(double left, double right, double high, boolean mirrored) {
    double x(Point p) {
      double x = p.x() * 1e3;
      return MARGIN + (mirrored ? right - x : x - left);
    }

    double y(Point p) {
      return MARGIN + high - p.y() * 1e3;
    }
  }

  private static void outline(Svg out, Sheet sheet, Outline o, double thickness) {
    int n = o.corners().size();
    double[] xy = new double[2 * n + 2];
    for (int k = 0; k <= n; k++) {
      xy[2 * k] = sheet.x(o.corners().get(k % n));
      xy[2 * k + 1] = sheet.y(o.corners().get(k % n));
    }
    out.line(thickness, false, xy);
  }

  /** The rim of a strip from middle to middle, half a width beyond either. */
  private static void strip(
      Svg out, Sheet sheet, Placing placing, Network.Segment s, double width) {
    Point a = placing.places().get(s.from());
    Point b = placing.places().get(s.to());
    double dx = sheet.x(b) - sheet.x(a);
    double dy = sheet.y(b) - sheet.y(a);
    double length = Math.hypot(dx, dy);
    double ux = dx / length * width / 2;
    double uy = dy / length * width / 2;
    double ax = sheet.x(a) - ux;
    double ay = sheet.y(a) - uy;
    double bx = sheet.x(b) + ux;
    double by = sheet.y(b) + uy;
    out.line(
        0.15, false, ax - uy, ay + ux, bx - uy, by + ux, bx + uy, by - ux, ax + uy, ay - ux,
        ax - uy, ay + ux);
  }
}
