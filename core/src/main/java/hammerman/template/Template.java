package hammerman.template;

import hammerman.drawing.Drawing;
import hammerman.fit.Container;
import hammerman.fit.Outline;
import hammerman.fit.Placing;
import hammerman.fit.Point;
import hammerman.fit.Sheet;
import hammerman.interconnect.Plate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/**
 * Sheets at true scale of one layer of cells. The lower face is drawn as seen from below, so that a
 * print lies on it as it is. Every sheet has a bar of 100 mm to check the print.
 */
public final class Template {
  private static final double MARGIN = 12;
  private static final double FOOT = 16;

  /** How far insulation reaches over the rim of the cells, mm. */
  private static final double OVERLAP = 1;

  /** What a sheet is for. */
  public enum Kind {
    STRIPS("Strips"),
    DRILL("Cell positions"),
    INSULATION("Insulation");

    private final String label;

    Kind(String label) {
      this.label = label;
    }

    /** Returns the purpose in words. */
    public String label() {
      return label;
    }
  }

  private final Work work;
  private final Sheet sheet;
  private final boolean top;
  private final double left;
  private final double right;
  private final double high;
  private final Drawing out;
  private final double height;

  private Template(Work work, Sheet sheet, boolean top, Kind kind) {
    this.work = work;
    this.sheet = sheet;
    this.top = top;
    List<Point> corners = work.boxes().get(sheet.box()).outline().corners();
    left = corners.stream().mapToDouble(Point::x).min().orElse(0) * 1e3;
    right = corners.stream().mapToDouble(Point::x).max().orElse(0) * 1e3;
    double low = corners.stream().mapToDouble(Point::y).min().orElse(0) * 1e3;
    high = corners.stream().mapToDouble(Point::y).max().orElse(0) * 1e3;
    double width = Math.max(right - left, 110) + 2 * MARGIN;
    height = high - low + 2 * MARGIN + FOOT;
    String title = title(kind);
    out = new Drawing(width, height, title);
    out.words(MARGIN, 8, 4, title);
  }

  private String title(Kind kind) {
    String where =
        (work.boxes().size() > 1 ? ", box " + (sheet.box() + 1) : "")
            + (work.placing().sheets().size() > 1 ? ", layer " + (sheet.layer() + 1) : "");
    return work.name()
        + ", "
        + kind.label().toLowerCase(Locale.ROOT)
        + where
        + (top ? ", upper face" : ", lower face seen from below");
  }

  /** Draws one sheet. */
  public static Drawing of(Work work, Kind kind, Sheet sheet, boolean top) {
    Template t = new Template(work, sheet, top, kind);
    switch (kind) {
      case STRIPS -> t.strips();
      case DRILL -> t.drill();
      case INSULATION -> t.insulation();
    }
    t.foot();
    return t.out;
  }

  /** Draws all sheets of a kind: of each layer that is used, both faces; positions once. */
  public static List<Drawing> all(Work work, Kind kind) {
    List<Drawing> drawings = new ArrayList<>();
    for (Sheet s : work.usedSheets()) {
      drawings.add(of(work, kind, s, true));
      if (kind != Kind.DRILL) {
        drawings.add(of(work, kind, s, false));
      }
    }
    return drawings;
  }

  private void strips() {
    box();
    for (Plate p : work.plates()) {
      if (p.top() == top) {
        for (List<Point> rim : p.shapes()) {
          if (inSheet(p)) {
            closed(0.25, rim);
          }
        }
      }
    }
    Placing placing = work.placing();
    for (int k = sheet.first(); k < sheet.end(); k++) {
      int g = work.group(k);
      if (g >= 0) {
        double x = x(placing.places().get(k));
        double y = y(placing.places().get(k));
        cell(0.1, k);
        boolean plus = Work.plusOnTop(g) == top;
        out.centred(x, y + 1.5, 4, (g + 1) + (plus ? " +" : " −"));
      }
    }
  }

  private boolean inSheet(Plate p) {
    return work.solved().network().segments().stream()
        .anyMatch(
            s -> s.plate() == p.number() && s.from() >= sheet.first() && s.from() < sheet.end());
  }

  /** Every cell with a cross at its middle, its number, and the distances from the corner. */
  private void drill() {
    box();
    Placing placing = work.placing();
    for (int k = sheet.first(); k < sheet.end(); k++) {
      double x = x(placing.places().get(k));
      double y = y(placing.places().get(k));
      cell(0.25, k);
      out.line(0.15, false, x - 3, y, x + 3, y);
      out.line(0.15, false, x, y - 3, x, y + 3);
      out.words(x + 1, y - 1, 2.5, Integer.toString(k - sheet.first() + 1));
    }
  }

  /** A cover for the face with a window for each terminal, and a ring for positive ends. */
  private void insulation() {
    Placing placing = work.placing();
    List<Point> rim = Cover.rim(work, sheet, OVERLAP / 1e3);
    closed(0.3, rim);
    double window = 0.3 * placing.radius() * 2e3;
    for (int k = sheet.first(); k < sheet.end(); k++) {
      if (work.group(k) >= 0) {
        out.circle(0.2, x(placing.places().get(k)), y(placing.places().get(k)), window);
      }
    }
    if (placing.footprint().round()) {
      double r = placing.radius() * 1e3;
      double cx = MARGIN + Math.max(right - left, 110) - r;
      out.circle(0.3, cx, height - r - 1, r);
      out.circle(0.3, cx, height - r - 1, window);
      out.words(
          MARGIN, height - 16, 3, "ring: one for each positive end, " + positives() + " of these");
    }
  }

  private int positives() {
    int n = 0;
    for (int k = sheet.first(); k < sheet.end(); k++) {
      n += work.group(k) >= 0 && Work.plusOnTop(work.group(k)) == top ? 1 : 0;
    }
    return n;
  }

  private void box() {
    Container c = work.boxes().get(sheet.box());
    closed(0.6, c.outline().corners());
    for (Outline keep : c.keepOuts()) {
      closed(0.3, keep.corners());
    }
  }

  private void cell(double thickness, int place) {
    Placing placing = work.placing();
    if (placing.footprint().round()) {
      Point p = placing.places().get(place);
      out.circle(thickness, x(p), y(p), placing.radius() * 1e3);
    } else {
      closed(thickness, placing.outline(place));
    }
  }

  private void closed(double thickness, List<Point> corners) {
    int n = corners.size();
    double[] xy = new double[2 * n + 2];
    for (int k = 0; k <= n; k++) {
      xy[2 * k] = x(corners.get(k % n));
      xy[2 * k + 1] = y(corners.get(k % n));
    }
    out.line(thickness, false, xy);
  }

  private void foot() {
    double y = height - 8;
    out.line(0.5, false, MARGIN, y, MARGIN + 100, y);
    out.line(0.5, false, MARGIN, y - 2, MARGIN, y + 2);
    out.line(0.5, false, MARGIN + 100, y - 2, MARGIN + 100, y + 2);
    out.words(MARGIN, y - 3, 3, "100 mm; print at 100 % and measure this bar first");
  }

  private double x(Point p) {
    double x = p.x() * 1e3;
    return MARGIN + (top ? x - left : right - x);
  }

  private double y(Point p) {
    return MARGIN + high - p.y() * 1e3;
  }
}
