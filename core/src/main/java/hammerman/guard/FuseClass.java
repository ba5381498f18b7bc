package hammerman.guard;

import java.util.Arrays;
import java.util.List;

/**
 * Classes of fuse with their ratings for direct current, their standard sizes and the time they
 * stand a current; typical for the class. Times: fast blade class from its usual limits; the larger
 * classes are slower by a factor, since they hold more metal.
 */
public enum FuseClass {
  BLADE("Blade", 58, 1000, 1, 5, 7.5, 10, 15, 20, 25, 30, 40, 50, 60, 70, 80),
  BOLT_DOWN(
      "Bolt-down", 80, 2000, 1, 30, 40, 50, 60, 70, 80, 100, 125, 150, 175, 200, 225, 250, 300),
  TERMINAL("Terminal-mounted", 58, 10_000, 1, 30, 40, 50, 60, 75, 80, 90, 100, 125, 150, 200, 250),
  CARTRIDGE(
      "High-interrupt cartridge",
      160,
      20_000,
      1.5,
      5,
      10,
      15,
      20,
      25,
      30,
      40,
      50,
      60,
      80,
      100,
      125,
      150,
      200,
      250,
      300,
      350,
      400);

  /** Multiples of the rating, with the least and the longest opening time (s) at each. */
  private static final double[][] TIMES = {
    {1.1, 360_000, 1e9},
    {1.35, 0.75, 600},
    {1.6, 0.25, 50},
    {2, 0.15, 5},
    {3.5, 0.08, 0.5},
    {6, 0.02, 0.1}
  };

  /** Shortest time in which an arc in a fuse is out, s; typical. */
  private static final double SHORTEST_ARC = 2e-3;

  private final String label;
  private final double voltageRating;
  private final double interruptRating;
  private final double slowness;
  private final List<Double> sizes;

  FuseClass(
      String label,
      double voltageRating,
      double interruptRating,
      double slowness,
      double... sizes) {
    this.label = label;
    this.voltageRating = voltageRating;
    this.interruptRating = interruptRating;
    this.slowness = slowness;
    this.sizes = Arrays.stream(sizes).boxed().toList();
  }

  /** Returns the class in words. */
  public String label() {
    return label;
  }

  /** Returns the highest DC voltage usually found in the class, V. */
  public double voltageRating() {
    return voltageRating;
  }

  /** Returns the interrupt rating, A. */
  public double interruptRating() {
    return interruptRating;
  }

  /** Returns the ratings that are usually made, A, ascending. */
  public List<Double> sizes() {
    return sizes;
  }

  /**
   * Returns the highest multiple of the rating that surely does not open the fuse within a time;
   * interpolated on logarithmic axes, 1.0 for ever.
   *
   * @param seconds time that the current lasts, s
   */
  public double safeMultiple(double seconds) {
    return multiple(seconds / slowness, 1);
  }

  /**
   * Returns the multiple of the rating that surely opens the fuse within a time; infinite below the
   * shortest time known.
   *
   * @param seconds time, s
   */
  public double openingMultiple(double seconds) {
    double t = seconds / slowness;
    return t < TIMES[TIMES.length - 1][2] ? Double.POSITIVE_INFINITY : multiple(t, 2);
  }

  /**
   * Returns the longest time that the fuse takes to open at a multiple of its rating, s; infinite
   * up to 1.1 times. Above six times the heat that melts it stays the same (I² t constant), down to
   * 2 ms, an arc's time.
   */
  public double openingTime(double multiple) {
    double[] last = TIMES[TIMES.length - 1];
    if (multiple >= last[0]) {
      double ratio = last[0] / multiple;
      return slowness * Math.max(SHORTEST_ARC, last[2] * ratio * ratio);
    }
    for (int k = 1; k < TIMES.length; k++) {
      double[] a = TIMES[k - 1];
      double[] b = TIMES[k];
      if (multiple > a[0] && multiple <= b[0]) {
        double share = Math.log(multiple / a[0]) / Math.log(b[0] / a[0]);
        return slowness * a[2] * Math.pow(b[2] / a[2], share);
      }
    }
    return Double.POSITIVE_INFINITY;
  }

  private static double multiple(double seconds, int column) {
    double[] first = TIMES[0];
    if (seconds >= first[column]) {
      return column == 1 ? 1 : first[0];
    }
    for (int k = 1; k < TIMES.length; k++) {
      double[] a = TIMES[k - 1];
      double[] b = TIMES[k];
      if (seconds >= b[column]) {
        double share = Math.log(a[column] / seconds) / Math.log(a[column] / b[column]);
        return a[0] * Math.pow(b[0] / a[0], share);
      }
    }
    return TIMES[TIMES.length - 1][0];
  }
}
