package hammerman.app.station.fit;

import hammerman.app.picture.Pen;
import hammerman.app.picture.Picture;
import hammerman.app.picture.Role;
import hammerman.chain.Layout;
import hammerman.fit.Container;
import hammerman.fit.Grouping;
import hammerman.fit.HeatMap;
import hammerman.fit.Network;
import hammerman.fit.Outline;
import hammerman.fit.Placing;
import hammerman.fit.Point;
import hammerman.unit.Figures;
import hammerman.unit.Unit;
import java.util.List;
import java.util.function.IntConsumer;
import javafx.scene.input.KeyCode;
import org.jspecify.annotations.Nullable;

/**
 * The fit sheet: one face of the pack to scale, groups by number and tone, turned cells marked,
 * strips, and an overlay. A press chooses a cell, with Shift a second one; arrows walk from cell to
 * cell, with Shift for the second one.
 */
final class FitSheet extends Picture {
  private static final double MARGIN = 26;

  private @Nullable Layout layout;
  private @Nullable HeatMap heat;
  private Overlay overlay = Overlay.GROUPS;
  private boolean top = true;
  private int first = -1;
  private int second = -1;

  /**
   * @param one told the place that was pressed or walked to
   * @param other told the place that was pressed or walked to with Shift, to go with the first
   */
  FitSheet(IntConsumer one, IntConsumer other) {
    super("Fit sheet: cells in the box, to scale");
    setId("fit-sheet");
    setFocusTraversable(true);
    setOnMouseClicked(
        e -> {
          requestFocus();
          int k = at(e.getX(), e.getY());
          if (k >= 0) {
            (e.isShiftDown() && first >= 0 ? other : one).accept(k);
          }
        });
    setOnKeyPressed(
        e -> {
          int from = e.isShiftDown() && second >= 0 ? second : Math.max(0, first);
          int k = step(e.getCode(), from);
          if (k >= 0) {
            (e.isShiftDown() && first >= 0 ? other : one).accept(k);
            e.consume();
          }
        });
  }

  void show(
      @Nullable Layout value,
      @Nullable HeatMap warmth,
      Overlay shown,
      boolean upper,
      int one,
      int other) {
    layout = value;
    heat = warmth;
    overlay = shown;
    top = upper;
    first = one;
    second = other;
    redraw();
  }

  /** The way from metres to pixels; the lower face is seen from below, so mirrored. */
  private record View(
      double scale,
      double left,
      double right,
      double bottom,
      double x0,
      double y0,
      boolean mirrored) {
    double x(double m) {
      double at = (m - x0) * scale;
      return mirrored ? right - at : left + at;
    }

    double y(double m) {
      return bottom - (m - y0) * scale;
    }
  }

  private View view(Container c, double width, double height) {
    double[] box = {1e9, -1e9, 1e9, -1e9};
    for (Point p : c.outline().corners()) {
      box[0] = Math.min(box[0], p.x());
      box[1] = Math.max(box[1], p.x());
      box[2] = Math.min(box[2], p.y());
      box[3] = Math.max(box[3], p.y());
    }
    double scale =
        Math.min(
            (width - 2 * MARGIN) / (box[1] - box[0]),
            (height - 2 * MARGIN - 14) / (box[3] - box[2]));
    double wide = (box[1] - box[0]) * scale;
    return new View(
        scale, MARGIN, MARGIN + wide, MARGIN + (box[3] - box[2]) * scale, box[0], box[2], !top);
  }

  private int at(double px, double py) {
    Layout l = layout;
    if (l == null) {
      return -1;
    }
    View v = view(l.plan().container(), getWidth(), getHeight());
    for (int k = 0; k < l.arrangement().placing().places().size(); k++) {
      Point p = l.arrangement().placing().places().get(k);
      if (Math.hypot(v.x(p.x()) - px, v.y(p.y()) - py)
          <= l.arrangement().placing().radius() * v.scale()) {
        return k;
      }
    }
    return -1;
  }

  /** The nearest place in the direction of an arrow key. */
  private int step(KeyCode key, int from) {
    Layout l = layout;
    if (l == null || l.arrangement().placing().places().isEmpty() || !key.isArrowKey()) {
      return -1;
    }
    List<Point> places = l.arrangement().placing().places();
    double dx = (key == KeyCode.RIGHT ? 1 : key == KeyCode.LEFT ? -1 : 0) * (top ? 1 : -1);
    double dy = key == KeyCode.UP ? 1 : key == KeyCode.DOWN ? -1 : 0;
    int best = -1;
    double least = Double.POSITIVE_INFINITY;
    for (int k = 0; k < places.size(); k++) {
      double x = places.get(k).x() - places.get(from).x();
      double y = places.get(k).y() - places.get(from).y();
      double along = x * dx + y * dy;
      double across = Math.abs(x * dy) + Math.abs(y * dx);
      if (k != from && along > across * 0.5 && along + 2 * across < least) {
        least = along + 2 * across;
        best = k;
      }
    }
    return best;
  }

  @Override
  protected void paint(Pen pen, double width, double height) {
    Layout l = layout;
    if (l == null) {
      return;
    }
    Container c = l.plan().container();
    View v = view(c, width, height);
    outline(pen, v, c.outline(), Role.INK, 2);
    for (Outline keep : c.keepOuts()) {
      area(pen, v, keep);
      outline(pen, v, keep, Role.SOFT, 1);
    }
    if (overlay != Overlay.STRIPS) {
      l.continuous().ifPresent(n -> strips(pen, v, l.arrangement().placing(), n));
    }
    cells(pen, v, l);
    if (overlay == Overlay.STRIPS) {
      l.continuous().ifPresent(n -> strips(pen, v, l.arrangement().placing(), n));
    }
    l.arrangement().grouping().ifPresent(g -> names(pen, v, l.arrangement().placing(), g));
    double ex = v.x(c.exit().x());
    double ey = v.y(c.exit().y());
    pen.dot(Role.HOT, ex, ey, 5);
    pen.tag(Role.HOT, Pen.TEXT, ex + 8, ey - 8, "leads");
    scaleBar(pen, v, Math.min(height, v.bottom() + 34));
  }

  private static void outline(Pen pen, View v, Outline o, Role role, double thick) {
    int n = o.corners().size();
    double[] x = new double[n + 1];
    double[] y = new double[n + 1];
    for (int k = 0; k <= n; k++) {
      Point p = o.corners().get(k % n);
      x[k] = v.x(p.x());
      y[k] = v.y(p.y());
    }
    pen.curve(role, thick, x, y, n + 1);
  }

  private static void area(Pen pen, View v, Outline o) {
    int n = o.corners().size();
    double[] x = new double[n];
    double[] y = new double[n];
    for (int k = 0; k < n; k++) {
      x[k] = v.x(o.corners().get(k).x());
      y[k] = v.y(o.corners().get(k).y());
    }
    pen.area(Role.SOFT, 0.25, x, y, n);
  }

  private void strips(Pen pen, View v, Placing placing, Network n) {
    double most = 1e-9;
    for (Network.Segment g : n.segments()) {
      most = Math.max(most, Math.abs(g.current()));
    }
    for (Network.Segment g : n.segments()) {
      if (g.top() == top) {
        Point a = placing.places().get(g.from());
        Point b = placing.places().get(g.to());
        double share = Math.abs(g.current()) / most;
        boolean strong = overlay == Overlay.STRIPS;
        pen.curve(
            strong && share > 0.6 ? Role.HOT : Role.RULE,
            strong ? 2 + 9 * share : 5,
            new double[] {v.x(a.x()), v.x(b.x())},
            new double[] {v.y(a.y()), v.y(b.y())},
            2);
      }
    }
  }

  private void cells(Pen pen, View v, Layout l) {
    Placing placing = l.arrangement().placing();
    double r = placing.radius() * v.scale();
    Grouping grouping = l.arrangement().grouping().orElse(null);
    double low = Double.POSITIVE_INFINITY;
    double high = Double.NEGATIVE_INFINITY;
    for (int k = 0; k < placing.places().size(); k++) {
      double value = value(l, k);
      if (!Double.isNaN(value)) {
        low = Math.min(low, value);
        high = Math.max(high, value);
      }
    }
    for (int k = 0; k < placing.places().size(); k++) {
      Point p = placing.places().get(k);
      double x = v.x(p.x());
      double y = v.y(p.y());
      int g = grouping == null ? -1 : grouping.group()[k];
      if (g < 0) {
        pen.ring(Role.RULE, 1, x, y, r);
        continue;
      }
      double value = value(l, k);
      double share = high > low && !Double.isNaN(value) ? (value - low) / (high - low) : 0;
      Role role = overlay == Overlay.GROUPS || overlay == Overlay.STRIPS ? Role.COOL : Role.HOT;
      double tone =
          overlay == Overlay.GROUPS || overlay == Overlay.STRIPS
              ? 0.10 + 0.13 * (g % 3)
              : 0.08 + 0.62 * share;
      pen.dot(Role.PAPER, x, y, overlay == Overlay.STRIPS ? r * 0.62 : r);
      pen.tint(role, tone, x, y, overlay == Overlay.STRIPS ? r * 0.62 : r);
      pen.ring(
          k == first || k == second ? Role.HOT : Role.INK,
          k == first || k == second ? 3 : 1,
          x,
          y,
          r - 1);
    }
  }

  /** Numbers and poles; over strips on a patch of paper, so that they stay legible. */
  private void names(Pen pen, View v, Placing placing, Grouping grouping) {
    double r = placing.radius() * v.scale();
    double size = Math.clamp(r * 0.62, 8, 14);
    for (int k = 0; k < placing.places().size(); k++) {
      int g = grouping.group()[k];
      if (g < 0) {
        continue;
      }
      double x = v.x(placing.places().get(k).x());
      double y = v.y(placing.places().get(k).y());
      boolean plus = (g % 2 == 0) == top;
      if (overlay == Overlay.STRIPS) {
        pen.dot(Role.PAPER, x, y, r * 0.55);
        pen.figureCentred(Role.INK, size, x, y, Integer.toString(g + 1));
      } else {
        pen.figureCentred(Role.INK, size, x, y - r * 0.16, Integer.toString(g + 1));
        pen.centred(plus ? Role.HOT : Role.SOFT, size, x, y + r * 0.5, plus ? "+" : "−");
      }
    }
  }

  private double value(Layout l, int k) {
    int g = l.arrangement().grouping().map(x -> x.group()[k]).orElse(-1);
    HeatMap h = heat;
    return switch (overlay) {
      case GROUPS, STRIPS -> Double.NaN;
      case SHARE -> g < 0 ? Double.NaN : l.continuous().orElseThrow().cellCurrents()[k];
      case HEAT -> h != null && k < h.last().length ? h.last()[k] : Double.NaN;
    };
  }

  private void scaleBar(Pen pen, View v, double height) {
    double y = height - 12;
    pen.line(Role.INK, 2, MARGIN, y, MARGIN + 0.1 * v.scale(), y);
    pen.line(Role.INK, 2, MARGIN, y - 4, MARGIN, y + 4);
    pen.line(Role.INK, 2, MARGIN + 0.1 * v.scale(), y - 4, MARGIN + 0.1 * v.scale(), y + 4);
    pen.words(
        Role.SOFT,
        Pen.TEXT,
        MARGIN + 0.1 * v.scale() + 8,
        y,
        "100 mm, " + (top ? "upper face" : "lower face, seen from below"));
  }

  /** Says in a line what a place holds. */
  static String words(Layout l, @Nullable HeatMap heat, int k) {
    Grouping grouping = l.arrangement().grouping().orElse(null);
    Network n = l.continuous().orElse(null);
    if (grouping == null || n == null || k < 0 || k >= grouping.group().length) {
      return "";
    }
    int g = grouping.group()[k];
    if (g < 0) {
      return "An empty place.";
    }
    return "Group %d%s: %s, an equal share is %s%s."
        .formatted(
            g + 1,
            g % 2 == 1 ? ", turned over" : "",
            Figures.of(n.cellCurrents()[k], Unit.AMPERE),
            Figures.of(n.current() / grouping.parallel(), Unit.AMPERE),
            heat == null || k >= heat.last().length
                ? ""
                : "; " + Figures.of(heat.last()[k], Unit.CELSIUS, 1) + " after the duty");
  }
}
