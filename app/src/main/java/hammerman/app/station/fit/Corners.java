package hammerman.app.station.fit;

import hammerman.app.picture.Pen;
import hammerman.app.picture.Role;
import hammerman.fit.Outline;
import hammerman.fit.Point;
import hammerman.unit.Figures;
import hammerman.unit.InvalidValue;
import hammerman.unit.Unit;
import java.util.ArrayList;
import java.util.List;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseEvent;

/**
 * Draws a shape by its corners: they are dragged and snap to a grid of 5 mm, with Shift of 1 mm; a
 * double press on a side makes a corner there, Delete takes one away; Page Up and Page Down go from
 * corner to corner, arrows move one. Lengths of sides and the angle at the corner are shown.
 */
final class Corners {
  private static final double GRAB = 10;
  private static final double COARSE = 5e-3;
  private static final double FINE = 1e-3;

  private final FitState state;
  private final Runnable redraw;
  private List<Point> draft = List.of();
  private int chosen = FitState.NONE;

  Corners(FitState state, Runnable redraw) {
    this.state = state;
    this.redraw = redraw;
  }

  private List<Point> corners() {
    return draft.isEmpty() ? state.shapeShown().map(Outline::corners).orElse(List.of()) : draft;
  }

  /** Takes a press; returns whether it was on a corner or a side. */
  boolean pressed(SheetView v, MouseEvent e) {
    List<Point> c = corners();
    chosen = FitState.NONE;
    for (int k = 0; k < c.size(); k++) {
      if (Math.hypot(v.x(c.get(k).x()) - e.getX(), v.y(c.get(k).y()) - e.getY()) < GRAB) {
        chosen = k;
      }
    }
    if (chosen < 0 && e.getClickCount() == 2) {
      split(v, e);
    }
    redraw.run();
    return chosen >= 0;
  }

  private void split(SheetView v, MouseEvent e) {
    List<Point> c = corners();
    for (int k = 0; k < c.size(); k++) {
      Point a = c.get(k);
      Point b = c.get((k + 1) % c.size());
      double far =
          FitSheet.toSegment(v.x(a.x()), v.y(a.y()), v.x(b.x()), v.y(b.y()), e.getX(), e.getY());
      if (far < GRAB) {
        List<Point> more = new ArrayList<>(c);
        more.add(k + 1, snapped(v.back(e.getX(), e.getY()), FINE));
        take("Add a corner", more);
        chosen = k + 1;
        return;
      }
    }
  }

  void dragged(SheetView v, MouseEvent e) {
    if (chosen < 0) {
      return;
    }
    List<Point> moved = new ArrayList<>(corners());
    moved.set(chosen, snapped(v.back(e.getX(), e.getY()), e.isShiftDown() ? FINE : COARSE));
    draft = moved;
    redraw.run();
  }

  /** Takes what was dragged as an edit; a shape that is none goes back. */
  void released() {
    if (!draft.isEmpty()) {
      List<Point> made = draft;
      draft = List.of();
      take("Move a corner", made);
    }
  }

  boolean key(KeyEvent e) {
    List<Point> c = corners();
    if (c.isEmpty()) {
      return false;
    }
    if (e.getCode() == KeyCode.PAGE_DOWN || e.getCode() == KeyCode.PAGE_UP) {
      int by = e.getCode() == KeyCode.PAGE_DOWN ? 1 : c.size() - 1;
      chosen = chosen < 0 ? 0 : (chosen + by) % c.size();
      redraw.run();
      return true;
    }
    if (chosen < 0 || chosen >= c.size()) {
      return false;
    }
    List<Point> changed = new ArrayList<>(c);
    if (e.getCode() == KeyCode.DELETE && c.size() > 3) {
      changed.remove(chosen);
      take("Take a corner away", changed);
      chosen = FitState.NONE;
      return true;
    }
    if (!e.getCode().isArrowKey()) {
      return false;
    }
    double by = e.isShiftDown() ? FINE : COARSE;
    Point p = c.get(chosen);
    changed.set(
        chosen,
        switch (e.getCode()) {
          case LEFT -> new Point(p.x() - by, p.y());
          case RIGHT -> new Point(p.x() + by, p.y());
          case UP -> new Point(p.x(), p.y() + by);
          default -> new Point(p.x(), p.y() - by);
        });
    take("Move a corner", changed);
    return true;
  }

  private void take(String what, List<Point> made) {
    try {
      state.reshape(what, new Outline(made));
    } catch (InvalidValue e) {
      // A shape that crosses itself is not taken; the one before stays.
      redraw.run();
    }
  }

  private static Point snapped(Point p, double grid) {
    return new Point(Math.round(p.x() / grid) * grid, Math.round(p.y() / grid) * grid);
  }

  /** A grid of 10 mm, stronger every 50. */
  void grid(Pen pen, SheetView v, double width, double height) {
    Point low = v.back(0, height);
    Point high = v.back(width, 0);
    for (int k = (int) Math.ceil(low.x() * 100); k <= high.x() * 100; k++) {
      double x = v.x(k / 100.0);
      pen.line(k % 5 == 0 ? Role.RULE : Role.FAINT, 1, x, 0, x, height);
    }
    for (int k = (int) Math.ceil(low.y() * 100); k <= high.y() * 100; k++) {
      double y = v.y(k / 100.0);
      pen.line(k % 5 == 0 ? Role.RULE : Role.FAINT, 1, 0, y, width, y);
    }
  }

  void paint(Pen pen, SheetView v) {
    List<Point> c = corners();
    int n = c.size();
    for (int k = 0; k < n; k++) {
      Point a = c.get(k);
      Point b = c.get((k + 1) % n);
      pen.curve(
          Role.HOT,
          2,
          new double[] {v.x(a.x()), v.x(b.x())},
          new double[] {v.y(a.y()), v.y(b.y())},
          2);
      String length = Figures.of(a.to(b), Unit.MILLIMETRE);
      double x = v.x((a.x() + b.x()) / 2) - pen.width(Pen.TEXT, length) / 2;
      pen.tag(Role.INK, Pen.TEXT, x, v.y((a.y() + b.y()) / 2), length);
    }
    for (int k = 0; k < n; k++) {
      Point p = c.get(k);
      pen.dot(k == chosen ? Role.HOT : Role.PAPER, v.x(p.x()), v.y(p.y()), 5);
      pen.ring(Role.HOT, 2, v.x(p.x()), v.y(p.y()), 5);
    }
    if (chosen >= 0 && chosen < n) {
      Point p = c.get(chosen);
      pen.tag(Role.HOT, Pen.TEXT, v.x(p.x()) + 10, v.y(p.y()) + 12, words(c, chosen));
    }
  }

  /** Where a corner is, and its angle inside. */
  private static String words(List<Point> c, int k) {
    int n = c.size();
    Point p = c.get(k);
    Point before = c.get((k + n - 1) % n);
    Point after = c.get((k + 1) % n);
    double one = Math.atan2(before.y() - p.y(), before.x() - p.x());
    double other = Math.atan2(after.y() - p.y(), after.x() - p.x());
    double angle = Math.abs(Math.IEEEremainder(one - other, 2 * Math.PI));
    return "%s, %s mm · %.0f°"
        .formatted(
            Figures.compact(Math.rint(p.x() * 1e4) / 10),
            Figures.compact(Math.rint(p.y() * 1e4) / 10),
            Math.toDegrees(angle));
  }
}
