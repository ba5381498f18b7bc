package hammerman.guard;

/**
 * Classes of fuse with their ratings for direct current and the time they stand a current; typical
 * for the class.
 */
public enum FuseClass {
  BLADE("Blade", 58, 1000),
  BOLT_DOWN("Bolt-down", 80, 2000),
  TERMINAL("Terminal-mounted", 58, 10_000),
  CARTRIDGE("High-interrupt cartridge", 160, 20_000);

  /** Least opening time (s) by multiple of the rating, fast blade class; typical. */
  private static final double[][] LEAST_MELTING = {
    {1.1, 360_000}, {1.35, 0.75}, {1.6, 0.25}, {2, 0.15}, {3.5, 0.08}, {6, 0.02}
  };

  private final String label;
  private final double voltageRating;
  private final double interruptRating;

  FuseClass(String label, double voltageRating, double interruptRating) {
    this.label = label;
    this.voltageRating = voltageRating;
    this.interruptRating = interruptRating;
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

  /**
   * Returns the highest multiple of the rating that surely does not open the fuse within a time;
   * interpolated on logarithmic axes, 1.0 for ever.
   *
   * @param seconds time that the current lasts, s
   */
  public static double safeMultiple(double seconds) {
    double[] first = LEAST_MELTING[0];
    if (seconds >= first[1]) {
      return 1;
    }
    for (int k = 1; k < LEAST_MELTING.length; k++) {
      double[] a = LEAST_MELTING[k - 1];
      double[] b = LEAST_MELTING[k];
      if (seconds >= b[1]) {
        double share = Math.log(a[1] / seconds) / Math.log(a[1] / b[1]);
        return a[0] * Math.pow(b[0] / a[0], share);
      }
    }
    return LEAST_MELTING[LEAST_MELTING.length - 1][0];
  }
}
