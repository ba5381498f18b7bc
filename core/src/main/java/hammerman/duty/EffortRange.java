package hammerman.duty;

/**
 * Typical energy per distance by kind of effort, at the battery; rough ranges typical of the kind,
 * worked out with {@link Vehicle} for usual masses and grounds. A guess to begin with: a measured
 * figure is better.
 */
public enum EffortRange {
  WALKING_LIGHT("Walking pace, light, firm and level", 4, 12),
  WALKING_LOADED("Walking pace, loaded, firm and level", 10, 30),
  WALKING_HILLS("Walking pace, loaded, steep ground", 40, 150),
  RIDING_SLOW("Carrying a person, up to 15 km/h", 8, 18),
  RIDING_BRISK("Carrying a person, 15 to 30 km/h", 12, 30),
  HEAVY_SLOW("Several hundred kg, up to 15 km/h", 30, 90),
  SOFT_GROUND("Soft or wet ground, any load", 60, 250);

  private static final double WATT_HOUR_PER_KILOMETRE = 3.6;

  private final String label;
  private final double low;
  private final double high;

  EffortRange(String label, double low, double high) {
    this.label = label;
    this.low = low * WATT_HOUR_PER_KILOMETRE;
    this.high = high * WATT_HOUR_PER_KILOMETRE;
  }

  /** Returns the kind in words. */
  public String label() {
    return label;
  }

  /** Returns the low end, J/m. */
  public double low() {
    return low;
  }

  /** Returns the high end, J/m. */
  public double high() {
    return high;
  }

  /** Returns the middle of the range by ratio, J/m. */
  public double typical() {
    return Math.sqrt(low * high);
  }
}
