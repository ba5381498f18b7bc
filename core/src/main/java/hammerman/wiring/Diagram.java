package hammerman.wiring;

import hammerman.design.Design;
import hammerman.drawing.Drawing;
import hammerman.drawing.Svg;
import hammerman.guard.Fuse;
import hammerman.guard.Guard;
import hammerman.guard.Precharge;
import hammerman.unit.Figures;
import hammerman.unit.Unit;
import java.util.ArrayList;
import java.util.List;

/**
 * The wiring of a design as a drawing, in mm on a landscape sheet of {@value #WIDTH} by {@value
 * #HEIGHT} mm: boxes for parts, lines for leads; positive lines are thick, negative ones thin.
 *
 * @param boxes the parts
 * @param lines the leads
 */
public record Diagram(List<Box> boxes, List<Line> lines) {
  /** Width of the sheet, mm. */
  public static final double WIDTH = 270;

  /** Height of the sheet, mm. */
  public static final double HEIGHT = 104;

  private static final double TOP = 26;
  private static final double LOW = 84;

  public Diagram {
    boxes = List.copyOf(boxes);
    lines = List.copyOf(lines);
  }

  /** A part: its corner and size, mm, its name and its figures. */
  public record Box(double x, double y, double width, double height, String name, String figures) {}

  /** A lead from point to point, mm; its label stands above its middle. */
  public record Line(List<Point> points, boolean positive, boolean main, String label) {
    public Line {
      points = List.copyOf(points);
    }
  }

  /** A point, mm. */
  public record Point(double x, double y) {}

  /** Draws a design's wiring. */
  public static Diagram of(Design design, WiringPlan plan) {
    return new Drawer(design, plan).draw();
  }

  /** Returns the drawing as an SVG document at true scale. */
  public String svg(String title) {
    Drawing out = new Drawing(WIDTH, HEIGHT, title).words(8, 10, 5, title);
    for (Line line : lines) {
      double[] xy = new double[2 * line.points().size()];
      for (int k = 0; k < line.points().size(); k++) {
        xy[2 * k] = line.points().get(k).x();
        xy[2 * k + 1] = line.points().get(k).y();
      }
      out.line(line.main() ? line.positive() ? 1.2 : 0.7 : 0.35, !line.positive(), xy);
      if (!line.label().isEmpty()) {
        out.words(Math.min(xy[0], xy[2]) + 1, Math.min(xy[1], xy[3]) - 1.6, 2.8, line.label());
      }
    }
    for (Box box : boxes) {
      out.box(0.5, box.x(), box.y(), box.width(), box.height());
      out.words(box.x() + 2, box.y() + 6, 4, box.name());
      double y = box.y() + 11;
      for (String part : box.figures().split("\n", -1)) {
        out.words(box.x() + 2, y, 2.9, part);
        y += 4;
      }
    }
    return Svg.of(out);
  }

  /** One drawing under way. */
  private static final class Drawer {
    private final Design design;
    private final Guard guard;
    private final WiringPlan plan;
    private final List<Box> boxes = new ArrayList<>();
    private final List<Line> lines = new ArrayList<>();

    Drawer(Design design, WiringPlan plan) {
      this.design = design;
      this.guard = design.guard();
      this.plan = plan;
    }

    Diagram draw() {
      var pack = design.pack();
      box(
          6,
          TOP - 8,
          46,
          LOW - TOP + 16,
          "Pack",
          "+ on top, − below",
          pack.counts() + ", " + pack.cell().name(),
          "full " + Figures.of(pack.fullVoltage(), Unit.VOLT, 1),
          "",
          "Balance leads in order:",
          "0 at −, then up; plug",
          "them into the BMS last.");
      double x = positive();
      machine(x);
      negative();
      charge();
      return new Diagram(boxes, lines);
    }

    private void box(
        double x, double y, double width, double height, String name, String... figures) {
      boxes.add(new Box(x, y, width, height, name, String.join("\n", figures)));
    }

    private void lead(boolean positive, boolean main, String label, double... xy) {
      List<Point> points = new ArrayList<>();
      for (int k = 0; k + 1 < xy.length; k += 2) {
        points.add(new Point(xy[k], xy[k + 1]));
      }
      lines.add(new Line(points, positive, main, label));
    }

    private String lengthOf(String from) {
      return plan.runs().stream()
          .filter(r -> r.from().equals(from))
          .findFirst()
          .map(r -> Figures.of(r.length(), Unit.METRE, 2))
          .orElse("");
    }

    private double positive() {
      double x = 52;
      String from = "Pack +";
      if (guard.fuse().isPresent()) {
        Fuse f = guard.fuse().get();
        lead(true, true, lengthOf(from), x, TOP, 76, TOP);
        box(
            76,
            TOP - 8,
            46,
            17,
            "Main fuse",
            Figures.compact(f.rating()) + " A, " + Figures.compact(f.voltageRating()) + " V DC",
            f.kind().label());
        x = 122;
        from = "Main fuse";
      }
      if (guard.mainSwitch() != null) {
        lead(true, true, lengthOf(from), x, TOP, 140, TOP);
        box(140, TOP - 8, 46, 13, "Switch", guard.mainSwitch().name());
        x = 186;
        from = "Switch";
        precharge();
      }
      lead(true, true, "    " + lengthOf(from), x, TOP, 218, TOP);
      return 218;
    }

    private void precharge() {
      Precharge p = guard.precharge();
      if (p == null) {
        return;
      }
      box(140, TOP + 9, 46, 17, "Pre-charge", p.text(), "with a push button");
      lead(true, false, "", 134, TOP, 134, TOP + 17, 140, TOP + 17);
      lead(true, false, "", 186, TOP + 17, 192, TOP + 17, 192, TOP);
    }

    private void machine(double x) {
      var m = design.duty().machine();
      int pairs = guard.wiring().connectorPairs();
      box(
          x,
          TOP - 8,
          46,
          LOW - TOP + 16,
          "Machine",
          "+ on top, − below",
          Figures.of(m.cutOutVoltage(), Unit.VOLT, 1)
              + " to "
              + Figures.of(m.maximumVoltage(), Unit.VOLT, 1),
          "up to " + Figures.of(m.peakCurrent(), Unit.AMPERE),
          "",
          pairs > 0 ? pairs + " connector pairs:" : "no connectors",
          pairs > 0 ? "sockets on the" : "",
          pairs > 0 ? "pack's side" : "");
    }

    private void negative() {
      if (guard.protection().inDischargePath().isPresent()) {
        var b = guard.protection().inDischargePath().get();
        box(
            76,
            LOW - 9,
            48,
            18,
            "BMS",
            Figures.compact(b.continuousCurrent()) + " A, " + b.series() + " groups",
            "battery left, output right");
        lead(false, true, lengthOf("BMS battery side"), 52, LOW, 76, LOW);
        lead(false, true, "", 124, LOW, 150, LOW);
        lead(false, true, lengthOf("Machine −"), 150, LOW, 218, LOW);
      } else {
        lead(false, true, "    " + lengthOf("Machine −"), 52, LOW, 218, LOW);
      }
    }

    private void charge() {
      var charger = guard.charge();
      Fuse fuse = guard.chargePort().fuse();
      boolean separate =
          guard.protection().bms().isPresent() && guard.protection().inDischargePath().isEmpty();
      box(
          76,
          TOP + 20,
          48,
          22,
          "Charge port",
          Figures.of(charger.voltage(), Unit.VOLT, 1)
              + ", "
              + Figures.compact(charger.current())
              + " A",
          lengthOf("Charge port +") + (separate ? ", BMS in its −" : " each way"),
          fuse == null
              ? "no fuse of its own"
              : Figures.compact(fuse.rating())
                  + " A fuse after "
                  + Figures.of(guard.chargePort().beforeFuse(), Unit.METRE, 2));
      lead(true, false, "", 76, TOP + 29, 64, TOP + 29, 64, TOP);
      lead(false, false, "", 124, TOP + 29, 131, TOP + 29, 131, LOW);
    }
  }
}
