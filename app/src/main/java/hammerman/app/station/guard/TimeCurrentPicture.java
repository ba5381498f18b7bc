package hammerman.app.station.guard;

import hammerman.app.picture.Pen;
import hammerman.app.picture.Picture;
import hammerman.app.picture.Role;
import hammerman.chain.Chain;
import hammerman.guard.Bms;
import hammerman.guard.Fuse;
import hammerman.guard.Wire;
import hammerman.unit.Figures;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * Time against current, both logarithmic: the fuse as a band between the time it surely stands and
 * the time it surely opens, the duty's heaviest windows, the BMS trip, and what ruins the wire.
 */
final class TimeCurrentPicture extends Picture {
  private static final double SHORTEST = 0.01;
  private static final double LONGEST = 10_000;
  private static final int POINTS = 60;
  private static final double[] WINDOWS = {1, 2, 5, 10, 20, 30, 60, 120, 300, 600, 1800, 3600};

  private @Nullable Chain chain;
  private double[] duty = new double[WINDOWS.length];

  TimeCurrentPicture() {
    super("Time against current: fuse, BMS, wire and duty");
  }

  void show(Chain value) {
    chain = value;
    duty = new double[WINDOWS.length];
    for (int k = 0; k < WINDOWS.length; k++) {
      duty[k] = value.heaviest(WINDOWS[k]);
    }
    redraw();
  }

  /** The axes: pixels of a current (A) and a time (s). */
  private record Axes(
      double low, double high, double left, double right, double top, double bottom) {
    double x(double amperes) {
      return left + (right - left) * Math.log(amperes / low) / Math.log(high / low);
    }

    double y(double seconds) {
      double held = Math.clamp(seconds, SHORTEST, LONGEST);
      return bottom - (bottom - top) * Math.log(held / SHORTEST) / Math.log(LONGEST / SHORTEST);
    }
  }

  @Override
  protected void paint(Pen pen, double width, double height) {
    Chain c = chain;
    if (c == null) {
      return;
    }
    double least = Math.max(1, c.demand().continuous() / 3);
    double most = Math.max(c.shortCircuitCurrent() * 1.3, 12 * c.demand().peak());
    Axes a = new Axes(least, most, 56, width - 16, 26, height - 30);
    grid(pen, a);
    wire(pen, a, c);
    c.design().guard().fuse().ifPresent(f -> fuse(pen, a, f));
    c.design().guard().protection().inDischargePath().ifPresent(b -> bms(pen, a, b));
    duty(pen, a);
    double shorted = a.x(c.shortCircuitCurrent());
    pen.dashed(Role.INK, 1, shorted, a.top(), shorted, a.bottom());
    pen.wordsBefore(Role.INK, Pen.TEXT, shorted - 4, a.top() + 8, "short circuit");
  }

  private static void grid(Pen pen, Axes a) {
    for (double t = SHORTEST; t <= LONGEST * 1.01; t *= 10) {
      pen.line(Role.FAINT, 1, a.left(), a.y(t), a.right(), a.y(t));
      pen.figureBefore(Role.SOFT, Pen.TEXT, a.left() - 6, a.y(t), Figures.compact(t));
    }
    for (double ten = 1; ten < 1e6; ten *= 10) {
      for (int k : new int[] {1, 2, 5}) {
        double i = k * ten;
        if (i >= a.low() && i <= a.high()) {
          pen.line(Role.FAINT, 1, a.x(i), a.top(), a.x(i), a.bottom());
          if (a.x(i) < a.right() - 70) {
            pen.figureCentred(Role.SOFT, Pen.TEXT, a.x(i), a.bottom() + 12, Figures.compact(i));
          }
        }
      }
    }
    pen.line(Role.INK, 1, a.left(), a.bottom(), a.right(), a.bottom());
    pen.words(Role.SOFT, Pen.TEXT, 8, a.top() - 12, "Time, s");
    pen.wordsBefore(Role.SOFT, Pen.TEXT, a.right(), a.bottom() + 12, "Current, A");
  }

  private static double time(int k) {
    return SHORTEST * Math.pow(LONGEST / SHORTEST, (double) k / (POINTS - 1));
  }

  private static void fuse(Pen pen, Axes a, Fuse f) {
    double[] x = new double[2 * POINTS];
    double[] y = new double[2 * POINTS];
    for (int k = 0; k < POINTS; k++) {
      double t = time(k);
      double opens = f.rating() * Math.min(20, f.kind().openingMultiple(t));
      x[k] = a.x(Math.clamp(f.rating() * f.kind().safeMultiple(t), a.low(), a.high()));
      y[k] = a.y(t);
      x[2 * POINTS - 1 - k] = a.x(Math.clamp(opens, a.low(), a.high()));
      y[2 * POINTS - 1 - k] = y[k];
    }
    pen.area(Role.AMBER, 0.28, x, y, 2 * POINTS);
    pen.curve(Role.AMBER, 1.5, x, y, POINTS);
    pen.words(
        Role.INK,
        Pen.TEXT,
        a.x(f.rating() * 6.3),
        a.y(0.03),
        "the " + Figures.compact(f.rating()) + " A fuse opens in this band");
  }

  private static void bms(Pen pen, Axes a, Bms b) {
    double delay = Math.max(SHORTEST, b.overCurrentDelay());
    double[] x = {a.x(b.overCurrent()), a.x(b.overCurrent()), a.right()};
    double[] y = {a.top(), a.y(delay), a.y(delay)};
    pen.curve(Role.COOL, 2, x, y, 3);
    pen.tag(Role.COOL, Pen.TEXT, a.x(b.overCurrent()) + 6, a.y(delay) - 9, "BMS opens above");
  }

  private static void wire(Pen pen, Axes a, Chain c) {
    Wire wire = c.design().guard().wiring().wire();
    double hottest = c.design().duty().surroundings().hottestInUse();
    double[] x = new double[POINTS];
    double[] y = new double[POINTS];
    int n = 0;
    for (int k = 0; k < POINTS; k++) {
      double i = wire.damageCurrent(hottest, time(k));
      if (i >= a.low() && i <= a.high()) {
        x[n] = a.x(i);
        y[n++] = a.y(time(k));
      }
    }
    pen.curve(Role.HOT, 2, x, y, n);
    if (n > 4) {
      pen.tag(Role.HOT, Pen.TEXT, x[n / 3] + 8, y[n / 3], "ruins the wire");
    }
  }

  private void duty(Pen pen, Axes a) {
    double[] x = new double[WINDOWS.length];
    double[] y = new double[WINDOWS.length];
    int n = 0;
    for (int k = 0; k < WINDOWS.length; k++) {
      if (duty[k] >= a.low()) {
        x[n] = a.x(duty[k]);
        y[n++] = a.y(WINDOWS[k]);
      }
    }
    pen.curve(Role.INK, 2.6, x, y, n);
    for (int k = 0; k < n; k++) {
      pen.dot(Role.INK, x[k], y[k], 3);
    }
    if (n > 0) {
      pen.wordsBefore(Role.INK, Pen.TEXT, x[0] - 8, y[0] + 10, "the duty's heaviest windows");
    }
  }

  /** Says in a sentence whether the curves lie in the right order. */
  static String verdict(Chain c) {
    Optional<Fuse> fuse = c.design().guard().fuse();
    if (fuse.isEmpty()) {
      return "There is no fuse: only the BMS stands between a short circuit and the wire.";
    }
    Fuse f = fuse.get();
    for (double t : WINDOWS) {
      if (c.heaviest(t) > f.rating() * f.kind().safeMultiple(t)) {
        return "The duty's %s over %s lies in the fuse's band: it may blow in use."
            .formatted(Figures.compact(c.heaviest(t)) + " A", Figures.duration(t));
      }
    }
    double hottest = c.design().duty().surroundings().hottestInUse();
    Wire wire = c.design().guard().wiring().wire();
    for (double t = 0.2; t < LONGEST; t *= 1.5) {
      double opens = f.rating() * f.kind().openingMultiple(t);
      if (Double.isFinite(opens) && opens > wire.damageCurrent(hottest, t)) {
        return "At %s a current could ruin the wire before the fuse surely opens."
            .formatted(Figures.duration(t));
      }
    }
    return "In order: the duty stays left of the fuse, and the fuse opens before the wire is"
        + " ruined.";
  }
}
