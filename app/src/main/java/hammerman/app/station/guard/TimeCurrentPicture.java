package hammerman.app.station.guard;

import hammerman.app.picture.Pen;
import hammerman.app.picture.PictureOf;
import hammerman.app.picture.Role;
import hammerman.chain.Demand;
import hammerman.circuit.Circuit;
import hammerman.circuit.DutyCurve;
import hammerman.circuit.Link;
import hammerman.circuit.Part;
import hammerman.circuit.Stress;
import hammerman.guard.Bms;
import hammerman.guard.Fuse;
import hammerman.guard.Wire;
import hammerman.unit.Figures;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;

/**
 * Time against current, both logarithmic: what every part of the main circuit stands, the fuse as a
 * band between the time it surely stands and the time it surely opens, the duty at every duration,
 * the BMS trip, what ruins the wire, and the short circuits that can happen.
 */
final class TimeCurrentPicture extends PictureOf<Circuit> {
  private static final double SHORTEST = 0.01;
  private static final double LONGEST = 10_000;
  private static final int POINTS = 60;
  private static final Set<Stress.Kind> LOOKED_AT =
      EnumSet.of(Stress.Kind.CURRENT, Stress.Kind.OVERLOAD, Stress.Kind.WITHSTAND);

  TimeCurrentPicture() {
    super("Time against current: every part, fuse, BMS and duty");
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
  protected void paint(Pen pen, double width, double height, Circuit c) {
    Demand demand = c.chain().demand();
    double shorted = c.shortCircuitCurrent(false);
    double least = Math.max(0.5, demand.continuous() / 3);
    double most = Math.max(shorted * 1.3, 12 * demand.peak());
    Axes a = new Axes(least, most, 56, width - 16, 26, height - 30);
    grid(pen, a);
    c.design().guard().fuse().ifPresent(f -> fuse(pen, a, f));
    parts(pen, a, c);
    wire(pen, a, c);
    c.design().guard().protection().inDischargePath().ifPresent(b -> bms(pen, a, b));
    duty(pen, a, c.duty());
    shorts(pen, a, c, shorted);
  }

  /** What each part of the main circuit stands, named where the curves are apart, at the top. */
  private static void parts(Pen pen, Axes a, Circuit c) {
    List<Link> links =
        c.links().stream()
            .filter(l -> !l.charging() && l.part().kind() != Part.Kind.FUSE)
            .sorted(Comparator.comparingDouble(Link::continuous))
            .toList();
    double[] x = new double[POINTS];
    double[] y = new double[POINTS];
    int row = 0;
    for (Link link : links) {
      int n = 0;
      for (int k = 0; k < POINTS; k++) {
        double t = time(k);
        double i = link.stands().at(t) / link.share();
        if (t >= 1 && i >= a.low() && i <= a.high()) {
          x[n] = a.x(i);
          y[n++] = a.y(t);
        }
      }
      if (n > 2) {
        Role role = c.margin(link) < 0 ? Role.HOT : Role.SOFT;
        pen.curve(role, 1, x, y, n);
        double at = a.top() + 10 + 13 * (row++ % 9);
        double longest = link.stands().at(LONGEST) / link.share();
        pen.tag(
            role,
            Pen.TEXT,
            a.x(Math.clamp(longest, a.low(), a.high())) + 4,
            at,
            link.part().kind().label());
      }
    }
  }

  /** The largest short circuit, at the fuse, and the smallest, at the far end of the leads. */
  private static void shorts(Pen pen, Axes a, Circuit c, double most) {
    double least =
        c.links().stream()
            .filter(l -> l.part().kind() == Part.Kind.WIRE)
            .mapToDouble(Link::leastFault)
            .min()
            .orElse(most);
    pen.dashed(Role.INK, 1, a.x(most), a.top(), a.x(most), a.bottom());
    pen.dashed(Role.INK, 1, a.x(least), a.top(), a.x(least), a.bottom());
    pen.tagBefore(Role.INK, Pen.TEXT, a.x(most) - 4, a.top() + 10, "short circuit at the fuse");
    pen.tagBefore(Role.INK, Pen.TEXT, a.x(least) - 4, a.top() + 25, "at the far end, weakest");
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
    pen.name(Role.SOFT, Pen.TEXT, 8, a.top() - 12, "Time, s");
    pen.nameBefore(Role.SOFT, Pen.TEXT, a.right(), a.bottom() + 12, "Current, A");
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

  private static void wire(Pen pen, Axes a, Circuit c) {
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

  private static void duty(Pen pen, Axes a, DutyCurve duty) {
    double[] x = new double[duty.size()];
    double[] y = new double[duty.size()];
    int n = 0;
    for (int k = 0; k < duty.size(); k++) {
      if (duty.amperes(k) >= a.low()) {
        x[n] = a.x(duty.amperes(k));
        y[n++] = a.y(duty.seconds(k));
      }
    }
    pen.curve(Role.INK, 2.6, x, y, n);
    for (int k = 0; k < n; k++) {
      pen.dot(Role.INK, x[k], y[k], 3);
    }
    if (n > 0) {
      pen.wordsBefore(Role.INK, Pen.TEXT, x[0] - 8, y[0], "the duty at every duration");
    }
  }

  /** Says in a sentence whether the curves lie in the right order. */
  static String verdict(Circuit c) {
    if (c.design().guard().fuse().isEmpty()) {
      return "There is no fuse: only the BMS stands between a short circuit and the wire.";
    }
    return c.stresses().stream()
        .filter(s -> LOOKED_AT.contains(s.kind()) && s.exceeded())
        .min(Comparator.comparingDouble(s -> s.measure().margin()))
        .map(
            s ->
                "Out of order: %s, %s: %s for %s; it stands %s."
                    .formatted(
                        s.part().label(),
                        s.state().words(),
                        Figures.of(s.value(), s.unit()),
                        Figures.duration(s.seconds()),
                        Figures.of(s.limit(), s.unit())))
        .orElse(
            "In order: the duty stays left of every part, and fuse or BMS open before anything is"
                + " ruined.");
  }
}
