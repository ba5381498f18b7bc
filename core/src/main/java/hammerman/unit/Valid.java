package hammerman.unit;

/** Checks that record constructors make; each returns its value or throws {@link InvalidValue}. */
public final class Valid {
  private Valid() {}

  /**
   * Requires a finite value within limits, all in the core's unit.
   *
   * @param unit the unit in which the message speaks
   */
  public static double range(String field, double value, double low, double high, Unit unit) {
    // A limit in °C or % may come out of its conversion by the last bit beside itself.
    double rounding = 1e-12 * Math.max(Math.abs(low), Math.abs(high));
    if (Double.isFinite(value) && value >= low - rounding && value <= high + rounding) {
      return value;
    }
    throw new InvalidValue(
        field,
        Double.isFinite(value) ? Figures.exact(value, unit) : "not a number",
        "it must be from " + Figures.exact(low, unit) + " to " + Figures.exact(high, unit),
        "Give a value within these limits.");
  }

  /** Requires a whole number within limits. */
  public static int count(String field, int value, int low, int high) {
    if (value >= low && value <= high) {
      return value;
    }
    throw new InvalidValue(
        field,
        Integer.toString(value),
        "it must be a whole number from " + low + " to " + high,
        "Give a count within these limits.");
  }

  /** Requires one value above another, both in the core's unit. */
  public static void above(String field, double value, String other, double limit, Unit unit) {
    if (!(value > limit)) {
      throw new InvalidValue(
          field,
          Figures.exact(value, unit),
          "it must be above " + other + ", " + Figures.exact(limit, unit),
          "Raise it, or lower " + other + ".");
    }
  }

  /** Requires text that is not blank and not longer than 200 characters. */
  public static String text(String field, String value) {
    if (value.isBlank() || value.length() > 200) {
      throw new InvalidValue(
          field,
          value.isBlank() ? "empty" : value.length() + " characters long",
          "it must have 1 to 200 characters",
          "Give it a short name.");
    }
    return value;
  }
}
