package hammerman.app.station.fit;

import hammerman.app.picture.Pen;
import hammerman.app.picture.Picture;
import hammerman.chain.Layout;
import hammerman.fit.Container;
import hammerman.fit.Outline;
import hammerman.fit.Placing;
import hammerman.fit.Point;
import hammerman.interconnect.Network;
import java.util.List;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseEvent;
import javafx.scene.input.ScrollEvent;

/**
 * The fit sheet: one face of the pack to scale, or both. A press chooses a cell, with Shift a
 * second one; a cell dragged onto another is exchanged with it; arrows walk from cell to cell, with
 * Shift for the second. Over strip currents a press chooses a strip. The wheel enlarges, dragging
 * the ground moves the sheet, 0 fits it in again. While the box is being drawn, its corners are
 * dragged instead.
 */
final class FitSheet extends Picture {
  private static final double NEAR = 8;
  private static final double STEP = 1.25;

  private final FitState state;
  private final SheetPaint paint;
  private final Corners corners;
  private SheetView.Moved moved = SheetView.Moved.NOT;
  private double pressedX;
  private double pressedY;
  private int dragged = FitState.NONE;
  private boolean panning;

  FitSheet(FitState state) {
    super("Fit sheet: cells in the box, to scale");
    this.state = state;
    paint = new SheetPaint(state);
    corners = new Corners(state, this::redraw);
    setId("fit-sheet");
    setFocusTraversable(true);
    setOnMousePressed(this::pressed);
    setOnMouseDragged(this::dragged);
    setOnMouseReleased(this::released);
    setOnScroll(this::scrolled);
    setOnKeyPressed(this::key);
    state.follow(this::redraw);
  }

  private List<SheetView> views() {
    Outline outline = state.container().map(Container::outline).orElseThrow();
    Face face = state.shaping() ? Face.UPPER : state.face();
    return SheetView.of(outline, getWidth(), getHeight(), face, moved);
  }

  /** The face under a pixel. */
  private SheetView viewAt(double px, double py) {
    List<SheetView> views = views();
    return views.stream().filter(v -> v.pane().holds(px, py)).findFirst().orElse(views.getFirst());
  }

  private void pressed(MouseEvent e) {
    requestFocus();
    // Else the page around takes the focus, and keys no longer come here.
    e.consume();
    pressedX = e.getX();
    pressedY = e.getY();
    dragged = FitState.NONE;
    panning = false;
    if (state.layout().isEmpty()) {
      return;
    }
    if (state.shaping()) {
      panning = !corners.pressed(views().getFirst(), e);
      return;
    }
    int strip = state.overlay() == Overlay.STRIPS ? stripAt(e.getX(), e.getY()) : FitState.NONE;
    int place = placeAt(e.getX(), e.getY());
    if (strip >= 0) {
      state.plate(strip);
    } else if (place >= 0) {
      dragged = place;
      if (e.isShiftDown() && state.first() >= 0) {
        state.chooseSecond(place);
      } else {
        state.choose(place);
      }
    } else {
      panning = true;
    }
  }

  private void dragged(MouseEvent e) {
    if (panning) {
      SheetView v = viewAt(pressedX, pressedY);
      moved = v.panned(moved, e.getX() - pressedX, e.getY() - pressedY);
      pressedX = e.getX();
      pressedY = e.getY();
      redraw();
    } else if (state.shaping()) {
      corners.dragged(views().getFirst(), e);
    } else if (dragged >= 0) {
      int over = placeAt(e.getX(), e.getY());
      if (over >= 0 && over != dragged && over != state.second()) {
        state.chooseSecond(over);
      }
    }
  }

  private void released(MouseEvent e) {
    if (state.shaping()) {
      corners.released();
    } else if (dragged >= 0 && Math.hypot(e.getX() - pressedX, e.getY() - pressedY) > NEAR) {
      int over = placeAt(e.getX(), e.getY());
      if (over >= 0 && over != dragged) {
        state.exchange(dragged, over);
      }
    }
    dragged = FitState.NONE;
  }

  private void scrolled(ScrollEvent e) {
    zoom(e.getDeltaY() > 0 ? STEP : 1 / STEP, e.getX(), e.getY());
    e.consume();
  }

  private void zoom(double by, double px, double py) {
    if (state.layout().isPresent()) {
      moved = viewAt(px, py).zoomed(moved, by, px, py);
      redraw();
    }
  }

  /** Enlarges about the middle of the first face. */
  private void zoom(double by) {
    if (state.layout().isPresent()) {
      SheetView.Pane pane = views().getFirst().pane();
      zoom(by, pane.width() / 2, pane.height() / 2);
    }
  }

  private void key(KeyEvent e) {
    switch (e.getCode()) {
      case PLUS, EQUALS, ADD -> zoom(STEP);
      case MINUS, SUBTRACT -> zoom(1 / STEP);
      case DIGIT0, NUMPAD0 -> {
        if (e.isShortcutDown()) {
          return;
        }
        moved = SheetView.Moved.NOT;
        redraw();
      }
      case ENTER -> {
        if (state.first() < 0 || state.second() < 0) {
          return;
        }
        state.exchange(state.first(), state.second());
      }
      default -> {
        boolean used = state.shaping() ? corners.key(e) : walked(e);
        // At the rim of the pack an arrow does nothing, rather than leave the sheet.
        if (!used && !e.getCode().isArrowKey()) {
          return;
        }
      }
    }
    e.consume();
  }

  private boolean walked(KeyEvent e) {
    boolean other = e.isShiftDown() && state.first() >= 0;
    int from = other && state.second() >= 0 ? state.second() : Math.max(0, state.first());
    int k = step(e.getCode(), from);
    if (k < 0) {
      return false;
    }
    if (other) {
      state.chooseSecond(k);
    } else {
      state.choose(k);
    }
    return true;
  }

  /** The nearest place of the sheet in the direction of an arrow key. */
  private int step(KeyCode key, int from) {
    if (!key.isArrowKey() || state.layout().isEmpty()) {
      return FitState.NONE;
    }
    Placing placing = state.layout().orElseThrow().arrangement().placing();
    List<Point> places = placing.places();
    double dx =
        (key == KeyCode.RIGHT ? 1 : key == KeyCode.LEFT ? -1 : 0)
            * (state.face() == Face.LOWER ? -1 : 1);
    double dy = key == KeyCode.UP ? 1 : key == KeyCode.DOWN ? -1 : 0;
    int best = FitState.NONE;
    double least = Double.POSITIVE_INFINITY;
    for (int k = 0; k < places.size(); k++) {
      double x = places.get(k).x() - places.get(from).x();
      double y = places.get(k).y() - places.get(from).y();
      double along = x * dx + y * dy;
      double across = Math.abs(x * dy) + Math.abs(y * dx);
      if (k != from
          && along > across * 0.5
          && along + 2 * across < least
          && state.shows(placing, k)) {
        least = along + 2 * across;
        best = k;
      }
    }
    return best;
  }

  private int placeAt(double px, double py) {
    Placing placing = state.layout().orElseThrow().arrangement().placing();
    Point at = viewAt(px, py).back(px, py);
    int best = FitState.NONE;
    double least = 1.3 * Math.max(placing.footprint().width(), placing.footprint().thickness()) / 2;
    for (int k = 0; k < placing.places().size(); k++) {
      double far = placing.places().get(k).to(at);
      if (far < least && state.shows(placing, k)) {
        least = far;
        best = k;
      }
    }
    return best;
  }

  /** The plate of the strip under a point. */
  private int stripAt(double px, double py) {
    Layout.Solved s = state.solved().orElse(null);
    if (s == null) {
      return FitState.NONE;
    }
    Placing placing = s.layout().arrangement().placing();
    SheetView v = viewAt(px, py);
    int best = FitState.NONE;
    double least = NEAR;
    for (Network.Segment g : s.network().segments()) {
      if (g.top() == v.top() && state.shows(placing, g.from())) {
        Point a = placing.places().get(g.from());
        Point b = placing.places().get(g.to());
        double far = toSegment(v.x(a.x()), v.y(a.y()), v.x(b.x()), v.y(b.y()), px, py);
        if (far < least) {
          least = far;
          best = g.plate();
        }
      }
    }
    return best;
  }

  static double toSegment(double ax, double ay, double bx, double by, double px, double py) {
    double dx = bx - ax;
    double dy = by - ay;
    double t = Math.clamp(((px - ax) * dx + (py - ay) * dy) / (dx * dx + dy * dy), 0, 1);
    return Math.hypot(ax + t * dx - px, ay + t * dy - py);
  }

  @Override
  protected void paint(Pen pen, double width, double height) {
    if (state.layout().isEmpty()) {
      return;
    }
    List<SheetView> views = views();
    if (state.shaping()) {
      corners.grid(pen, views.getFirst(), width, height);
      paint.paint(pen, views.getFirst());
      corners.paint(pen, views.getFirst());
    } else if (views.size() == 1) {
      paint.paint(pen, views.getFirst());
    } else {
      for (SheetView v : views) {
        SheetView.Pane p = v.pane();
        pen.within(p.x(), p.y(), p.width(), p.height(), () -> paint.paint(pen, v));
      }
    }
  }
}
