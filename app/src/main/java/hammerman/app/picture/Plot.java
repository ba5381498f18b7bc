package hammerman.app.picture;

import hammerman.unit.Figures;
import java.util.Arrays;
import java.util.List;

/** Two ruled axes with their names and units, and curves between them. */
public final class Plot {
  private static final double X_GAP = 50;
  private static final double Y_GAP = 26;

  /** From one name to the next below it, px. */
  private static final double NAME_GAP = 1.1 * Pen.TEXT;

  private final Pen pen;
  private final Scale x;
  private final Scale y;

  /**
   * @param pen draws
   * @param x scale from left to right
   * @param y scale from bottom to top: {@code from} is the larger pixel
   */
  public Plot(Pen pen, Scale x, Scale y) {
    this.pen = pen;
    this.x = x;
    this.y = y;
  }

  /** Returns the scale from left to right. */
  public Scale x() {
    return x;
  }

  /** Returns the scale from bottom to top. */
  public Scale y() {
    return y;
  }

  /** Draws rules and figures of the y axis and its name above it. */
  public Plot vertical(String name) {
    pen.name(Role.SOFT, Pen.TEXT, Math.max(2, x.from() - 34), y.to() - 11, name);
    return rules();
  }

  /** Draws them for a low strip among others: the name stands clear of the figures. */
  public Plot strip(String name) {
    pen.name(Role.SOFT, Pen.TEXT, x.from(), y.to() - 9, name);
    return rules();
  }

  private Plot rules() {
    double gap = y.gap(Y_GAP);
    int decimals = y.decimals(gap);
    for (double tick : y.ticks(gap)) {
      pen.line(Role.FAINT, 1, x.from(), y.at(tick), x.to(), y.at(tick));
      pen.figureBefore(
          Role.SOFT, Pen.TEXT, x.from() - 6, y.at(tick), Figures.fixed(tick, decimals));
    }
    return this;
  }

  /** Draws figures of the x axis and its name at the end. */
  public Plot horizontal(String name) {
    double gap = x.gap(X_GAP);
    int decimals = x.decimals(gap);
    for (double tick : x.ticks(gap)) {
      pen.line(Role.RULE, 1, x.at(tick), y.from(), x.at(tick), y.from() + 4);
      pen.figureCentred(
          Role.SOFT, Pen.TEXT, x.at(tick), y.from() + 12, Figures.fixed(tick, decimals));
    }
    pen.line(Role.INK, 1, x.from(), y.from(), x.to(), y.from());
    pen.nameBefore(Role.SOFT, Pen.TEXT, x.to(), y.from() + 12, name);
    return this;
  }

  /** Draws a curve through values. */
  public Plot curve(Role role, double thickness, double[] xs, double[] ys) {
    double[][] at = pixels(xs, ys);
    pen.curve(role, thickness, at[0], at[1], xs.length);
    return this;
  }

  /** Draws a curve that notes stand beside where they can. */
  public Plot clearCurve(Role role, double thickness, double[] xs, double[] ys) {
    double[][] at = pixels(xs, ys);
    pen.curve(role, thickness, at[0], at[1], xs.length);
    pen.shun(at[0], at[1], xs.length);
    return this;
  }

  private double[][] pixels(double[] xs, double[] ys) {
    double[][] at = new double[2][xs.length];
    for (int k = 0; k < xs.length; k++) {
      at[0][k] = x.at(xs[k]);
      at[1][k] = y.at(ys[k]);
    }
    return at;
  }

  /** Shades between two curves over the same abscissae. */
  public Plot band(Role role, double opacity, double[] xs, double[] lower, double[] upper) {
    int n = xs.length;
    double[] px = new double[2 * n];
    double[] py = new double[2 * n];
    for (int k = 0; k < n; k++) {
      px[k] = x.at(xs[k]);
      py[k] = y.at(upper[k]);
      px[2 * n - 1 - k] = px[k];
      py[2 * n - 1 - k] = y.at(lower[k]);
    }
    pen.area(role, opacity, px, py, 2 * n);
    return this;
  }

  /**
   * Draws a level across, with its name above the line at the right end, or at the left or where
   * there is room along it.
   */
  public Plot level(Role role, double value, String name, boolean right) {
    if (value < y.low() || value > y.high()) {
      return this;
    }
    pen.dashed(role, 1, x.from(), y.at(value), x.to(), y.at(value));
    pen.shun(new double[] {x.from(), x.to()}, new double[] {y.at(value), y.at(value)}, 2);
    if (right) {
      pen.tagBefore(role, Pen.TEXT, x.to() - 4, y.at(value) - 9, name);
    } else {
      pen.tagAlong(role, Pen.TEXT, x.from() + 6, x.to() - 4, y.at(value) - 9, name);
    }
    return this;
  }

  /** Writes the names of curves behind their ends at the right, in the order of those ends. */
  public Plot ends(Role role, double[] values, List<String> names) {
    double[] at = Arrays.stream(values).map(y::at).toArray();
    double[] places = Ladder.spread(at, NAME_GAP, y.to(), y.from());
    for (int k = 0; k < places.length; k++) {
      pen.words(role, Pen.TEXT, x.to() + 5, places[k], names.get(k));
    }
    return this;
  }
}
