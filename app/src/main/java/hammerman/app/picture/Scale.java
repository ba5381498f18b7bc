package hammerman.app.picture;

import java.util.ArrayList;
import java.util.List;

/**
 * A straight scale from values to pixels.
 *
 * @param low value at {@code from}
 * @param high value at {@code to}
 * @param from pixel of {@code low}
 * @param to pixel of {@code high}
 */
public record Scale(double low, double high, double from, double to) {
  private static final double MOST_STEPS = 5;
  private static final double ROOM = 0.07;

  /** Figures nearer than that would lie over each other, px. */
  private static final double SMALLEST = 12;

  public Scale {
    if (!(high > low)) {
      throw new IllegalArgumentException("scale needs low < high, not " + low + ", " + high);
    }
  }

  /**
   * A scale around values with a little room; it begins at nothing where they would fall below.
   *
   * @param least span that is shown at least, so that a quiver does not look like an event
   */
  public static Scale around(double low, double high, double least, double from, double to) {
    double span = Math.max(least, high - low);
    double middle = (low + high) / 2;
    double bottom = Math.min(low, middle - span / 2) - ROOM * span;
    double top = Math.max(high, middle + span / 2) + ROOM * span;
    return new Scale(low >= 0 ? Math.max(0, bottom) : bottom, top, from, to);
  }

  /** Returns the pixel of a value. */
  public double at(double value) {
    return from + (value - low) / (high - low) * (to - from);
  }

  /** Returns the value at a pixel. */
  public double valueAt(double pixel) {
    return low + (pixel - from) / (to - from) * (high - low);
  }

  /** Returns round values about {@code gap} pixels apart. */
  public List<Double> ticks(double gap) {
    double step = step(gap);
    List<Double> ticks = new ArrayList<>();
    for (double k = Math.ceil(low / step - 1e-9); k * step <= high + step * 1e-9; k++) {
      ticks.add(k * step);
    }
    return ticks;
  }

  /**
   * Returns a distance of ticks, px, at which there are two to six of them.
   *
   * @param least what a figure needs, px
   */
  public double gap(double least) {
    double length = Math.abs(to - from);
    double gap = Math.max(least, length / MOST_STEPS);
    while (ticks(gap).size() < 2 && gap > SMALLEST) {
      gap /= 2;
    }
    return gap;
  }

  /** Returns the decimals that ticks this far apart need. */
  public int decimals(double gap) {
    return (int) Math.clamp(Math.ceil(-Math.log10(step(gap)) - 1e-9), 0, 4);
  }

  private double step(double gap) {
    double raw = (high - low) * gap / Math.max(1, Math.abs(to - from));
    double ten = Math.pow(10, Math.floor(Math.log10(raw)));
    double ratio = raw / ten;
    return ten * (ratio <= 1 ? 1 : ratio <= 2 ? 2 : ratio <= 5 ? 5 : 10);
  }
}
