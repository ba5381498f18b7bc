package hammerman.app.station.fit;

import hammerman.app.picture.Discs;
import hammerman.app.picture.Pen;
import hammerman.app.picture.Role;
import hammerman.chain.Layout;
import hammerman.fit.Container;
import hammerman.fit.Grouping;
import hammerman.fit.Outline;
import hammerman.fit.Placing;
import hammerman.fit.Point;
import hammerman.heat.HeatMap;
import hammerman.interconnect.Network;
import hammerman.unit.Figures;
import hammerman.unit.Unit;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/** Paints the fit sheet from what is shown and chosen. */
final class SheetPaint {
  /** Tones that can be told apart on the sheet. */
  private static final int TONES = 40;

  /** Gaps between cells that strips below them are seen through, px. */
  private static final double SEEN = 2;

  private final FitState state;
  private final Discs discs = new Discs();

  SheetPaint(FitState state) {
    this.state = state;
  }

  void paint(Pen pen, SheetView v) {
    Layout l = state.layout().orElseThrow();
    Container c = state.container().orElseThrow();
    rim(pen, v, c.outline(), Role.INK, 2);
    for (Outline keep : c.keepOuts()) {
      double[][] xy = pixels(v, keep.corners());
      pen.area(Role.SOFT, 0.25, xy[0], xy[1], keep.corners().size());
      rim(pen, v, keep, Role.SOFT, 1);
    }
    Optional<Network> network = l.continuous();
    boolean above = state.overlay() == Overlay.STRIPS;
    if (!above && l.arrangement().placing().footprint().gap() * v.scale() > SEEN) {
      network.ifPresent(n -> strips(pen, v, l.arrangement().placing(), n));
    }
    cells(pen, v, l);
    if (above) {
      network.ifPresent(n -> strips(pen, v, l.arrangement().placing(), n));
    }
    l.arrangement().attempted().ifPresent(g -> names(pen, v, l.arrangement().placing(), g));
    double ex = v.x(c.exit().x());
    double ey = v.y(c.exit().y());
    pen.dot(Role.HOT, ex, ey, 5);
    if (ex + 50 < v.pane().x() + v.pane().width()) {
      pen.tag(Role.HOT, Pen.TEXT, ex + 8, ey - 8, "leads");
    } else {
      pen.tagBefore(Role.HOT, Pen.TEXT, ex - 8, ey - 8, "leads");
    }
    foot(pen, v);
  }

  /** Whether a place is on the sheet that is shown and within, or close to, what is looked at. */
  private boolean seen(SheetView v, Placing placing, int place) {
    Point p = placing.places().get(place);
    double reach = 2 * Math.max(placing.footprint().width(), placing.footprint().thickness());
    double edge = reach * v.scale();
    SheetView.Pane pane = v.pane();
    double x = v.x(p.x()) - pane.x();
    double y = v.y(p.y()) - pane.y();
    return x > -edge
        && x < pane.width() + edge
        && y > -edge
        && y < pane.height() + edge
        && state.shows(placing, place);
  }

  private static double[][] pixels(SheetView v, List<Point> corners) {
    double[][] xy = new double[2][corners.size() + 1];
    for (int k = 0; k <= corners.size(); k++) {
      Point p = corners.get(k % corners.size());
      xy[0][k] = v.x(p.x());
      xy[1][k] = v.y(p.y());
    }
    return xy;
  }

  private static void rim(Pen pen, SheetView v, Outline o, Role role, double thick) {
    double[][] xy = pixels(v, o.corners());
    pen.curve(role, thick, xy[0], xy[1], xy[0].length);
  }

  /** How a strip is drawn. */
  private record Stroke(Role role, int thickness) {}

  /** Strips of the face, those drawn alike at once: there may be thousands. */
  private void strips(Pen pen, SheetView v, Placing placing, Network n) {
    boolean strong = state.overlay() == Overlay.STRIPS;
    Map<Stroke, List<Network.Segment>> alike = new LinkedHashMap<>();
    for (Network.Segment g : n.segments()) {
      if (g.top() == v.top() && seen(v, placing, g.from())) {
        int thick = strong ? (int) Math.round(2 + 7 * Math.min(1.5, g.load())) : 5;
        if (strong && g.plate() == state.plate()) {
          alike(alike, new Stroke(Role.COOL, thick + 6), g);
        }
        Role role = strong ? g.load() > 1 ? Role.HOT : Role.SOFT : Role.RULE;
        alike(alike, new Stroke(role, thick), g);
      }
    }
    for (Network.Segment g : n.links()) {
      if (state.shows(placing, g.from()) && state.shows(placing, g.to())) {
        alike(alike, new Stroke(g.load() > 1 ? Role.HOT : Role.AMBER, 3), g);
      }
    }
    // What marks a chosen plate lies under its strips.
    alike.entrySet().stream()
        .sorted(Comparator.comparingInt(e -> e.getKey().role() == Role.COOL ? 0 : 1))
        .forEach(e -> strokes(pen, v, placing, e.getKey(), e.getValue()));
  }

  private static void alike(
      Map<Stroke, List<Network.Segment>> alike, Stroke stroke, Network.Segment g) {
    alike.computeIfAbsent(stroke, k -> new ArrayList<>()).add(g);
  }

  private static void strokes(
      Pen pen, SheetView v, Placing placing, Stroke stroke, List<Network.Segment> segments) {
    double[] ends = new double[4 * segments.size()];
    for (int k = 0; k < segments.size(); k++) {
      Point a = placing.places().get(segments.get(k).from());
      Point b = placing.places().get(segments.get(k).to());
      ends[4 * k] = v.x(a.x());
      ends[4 * k + 1] = v.y(a.y());
      ends[4 * k + 2] = v.x(b.x());
      ends[4 * k + 3] = v.y(b.y());
    }
    pen.strokes(stroke.role(), stroke.thickness(), ends, segments.size());
  }

  /** How a cell is drawn: its filling, its tone in parts of {@link #TONES}, its rim. */
  private record Look(Role fill, int tone, Role rim, double thick) {
    double share() {
      return tone / (double) TONES;
    }
  }

  /** Cells of a sheet, those drawn alike at once: there may be thousands. */
  private void cells(Pen pen, SheetView v, Layout l) {
    Placing placing = l.arrangement().placing();
    Grouping grouping = l.arrangement().attempted().orElse(null);
    double[] values = values(l);
    double[] range = HeatMap.range(values);
    Map<Look, List<Integer>> alike = new LinkedHashMap<>();
    for (int k = 0; k < placing.places().size(); k++) {
      if (seen(v, placing, k)) {
        int g = grouping == null ? -1 : grouping.at(k);
        alike.computeIfAbsent(look(k, g, values[k], range), x -> new ArrayList<>()).add(k);
      }
    }
    if (placing.footprint().round()) {
      double r = placing.radius() * v.scale();
      alike.forEach((look, places) -> discs(pen, v, placing, look, places, r));
    } else {
      alike.forEach((look, places) -> places.forEach(k -> block(pen, v, placing, look, k)));
    }
  }

  private Look look(int place, int group, double value, double[] range) {
    if (group < 0) {
      return new Look(Role.RULE, 0, Role.RULE, 1);
    }
    boolean chosen = place == state.first() || place == state.second();
    boolean plain = state.overlay() == Overlay.GROUPS || state.overlay() == Overlay.STRIPS;
    double share =
        range[1] > range[0] && !Double.isNaN(value)
            ? (value - range[0]) / (range[1] - range[0])
            : 0;
    double tone = plain ? 0.10 + 0.13 * (group % 3) : 0.08 + 0.62 * share;
    return new Look(
        plain ? Role.COOL : Role.HOT,
        (int) Math.round(tone * TONES),
        chosen ? Role.HOT : Role.INK,
        chosen ? 3 : 1);
  }

  private void discs(
      Pen pen, SheetView v, Placing p, Look look, List<Integer> places, double radius) {
    double r = radius * (state.overlay() == Overlay.STRIPS && look.tone() > 0 ? 0.62 : 1);
    double[] xy = new double[2 * places.size()];
    for (int k = 0; k < places.size(); k++) {
      Point at = p.places().get(places.get(k));
      xy[2 * k] = v.x(at.x());
      xy[2 * k + 1] = v.y(at.y());
    }
    pen.discs(discs, look.fill(), look.share(), look.rim(), look.thick(), r, xy);
  }

  private static void block(Pen pen, SheetView v, Placing p, Look look, int place) {
    double[][] xy = pixels(v, p.outline(place));
    if (look.tone() > 0) {
      pen.area(Role.PAPER, 1, xy[0], xy[1], 4);
      pen.area(look.fill(), look.share(), xy[0], xy[1], 4);
    }
    pen.curve(look.rim(), look.thick(), xy[0], xy[1], 5);
  }

  /** Numbers and poles; over strips on a patch of paper, so that they stay legible. */
  private void names(Pen pen, SheetView v, Placing placing, Grouping grouping) {
    double r = placing.radius() * v.scale();
    // Whole sizes only: glyphs of each size are drawn once and kept.
    double size = Math.rint(Math.clamp(r * 0.62, 7, 15));
    List<Integer> locked = state.layout().map(l -> l.plan().locked()).orElse(List.of());
    boolean patched = state.overlay() == Overlay.STRIPS;
    Signs signs = new Signs(size * 0.27, placing.places().size());
    for (int k = 0; k < placing.places().size(); k++) {
      int g = grouping.at(k);
      if (g < 0 || !seen(v, placing, k)) {
        continue;
      }
      double x = v.x(placing.places().get(k).x());
      double y = v.y(placing.places().get(k).y());
      String name = (g + 1) + (locked.contains(g) ? "*" : "");
      if (patched) {
        pen.dot(Role.PAPER, x, y, Math.min(r * 0.55, 16));
        pen.figureCentred(Role.INK, size, x, y, name);
      } else {
        pen.figureCentred(Role.INK, size, x, y - size * 0.3, name);
        signs.add((g % 2 == 0) == v.top(), x, y + size * 0.75);
      }
    }
    pen.strokes(Role.HOT, 1.3, signs.plus, signs.pluses);
    pen.strokes(Role.SOFT, 1.3, signs.minus, signs.minuses);
  }

  /** Plus and minus signs, drawn as lines all at once: letters would take longer. */
  private static final class Signs {
    private final double arm;
    private final double[] plus;
    private final double[] minus;
    private int pluses;
    private int minuses;

    Signs(double arm, int most) {
      this.arm = arm;
      plus = new double[8 * most];
      minus = new double[4 * most];
    }

    void add(boolean positive, double x, double y) {
      if (positive) {
        line(plus, pluses++, x - arm, y, x + arm, y);
        line(plus, pluses++, x, y - arm, x, y + arm);
      } else {
        line(minus, minuses++, x - arm, y, x + arm, y);
      }
    }

    private static void line(double[] ends, int k, double x1, double y1, double x2, double y2) {
      ends[4 * k] = x1;
      ends[4 * k + 1] = y1;
      ends[4 * k + 2] = x2;
      ends[4 * k + 3] = y2;
    }
  }

  /** What the overlay shows of each place; not a number where it shows nothing. */
  private double[] values(Layout l) {
    double[] none = new double[l.arrangement().placing().places().size()];
    Arrays.fill(none, Double.NaN);
    return switch (state.overlay()) {
      case GROUPS, STRIPS -> none;
      case SHARE ->
          state
              .solved()
              .map(
                  s -> {
                    for (int k = 0; k < none.length; k++) {
                      boolean used = s.grouping().at(k) >= 0;
                      none[k] = used ? s.network().cellCurrents()[k] : Double.NaN;
                    }
                    return none;
                  })
              .orElse(none);
      case HEAT -> state.temperatures().map(w -> w.map().frames().get(state.frame())).orElse(none);
    };
  }

  /** A bar of 100 mm, the face, and what light and dark mean. */
  private void foot(Pen pen, SheetView v) {
    SheetView.Pane pane = v.pane();
    double foot = pane.y() + pane.height() - SheetView.FOOT;
    double y = foot + 24;
    double x = pane.x() + 10;
    double bar = 0.1 * v.scale();
    pen.fill(Role.PAPER, pane.x(), foot, pane.width(), SheetView.FOOT);
    pen.line(Role.INK, 2, x, y, x + bar, y);
    pen.line(Role.INK, 2, x, y - 4, x, y + 4);
    pen.line(Role.INK, 2, x + bar, y - 4, x + bar, y + 4);
    String face = v.top() ? "upper face" : "lower face, seen from below";
    pen.name(Role.SOFT, Pen.TEXT, x + bar + 8, y, "100 mm, " + face);
    if (pane.x() == 0 && pane.y() == 0) {
      pen.name(Role.SOFT, Pen.TEXT, x, y - 17, legend());
    }
  }

  private String legend() {
    Layout l = state.layout().orElseThrow();
    double[] range = HeatMap.range(values(l));
    return switch (state.overlay()) {
      case GROUPS -> "number: group; + or −: the pole that is up here";
      case STRIPS -> "thicker: nearer a rise of 20 K; hot: beyond it";
      case SHARE ->
          range[0] > range[1]
              ? ""
              : "light to dark: %s to %s"
                  .formatted(Figures.of(range[0], Unit.AMPERE), Figures.of(range[1], Unit.AMPERE));
      case HEAT ->
          range[0] > range[1]
              ? "temperatures are being worked out"
              : String.format(
                  Locale.ROOT,
                  "light to dark: %s to %s",
                  Figures.of(range[0], Unit.CELSIUS, 1),
                  Figures.of(range[1], Unit.CELSIUS, 1));
    };
  }
}
