package hammerman.unit;

/** Conditions to which figures refer unless something else is said. */
public final class Reference {
  /** Temperature of datasheets and of the laws of ageing, K: 25 °C. */
  public static final double ROOM = 298.15;

  private Reference() {}
}
