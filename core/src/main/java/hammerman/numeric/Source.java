package hammerman.numeric;

/** A source of constant voltage behind a resistance, loaded with a power. */
public final class Source {
  private Source() {}

  /**
   * Returns the current at which a source gives a power: I = 2P / (E + √(E² − 4RP)), the smaller
   * root of E I − R I² = P, written so that it holds for R = 0 and loses no digits.
   *
   * @param emf E, V
   * @param resistance R, Ω
   * @param power P, W; negative to take it up
   * @return A; NaN if the source cannot give the power
   */
  public static double current(double emf, double resistance, double power) {
    double root = emf * emf - 4 * resistance * power;
    return root < 0 ? Double.NaN : 2 * power / (emf + Math.sqrt(root));
  }

  /** Returns the same, or at the most the current of greatest power, E/2R. */
  public static double currentAtMost(double emf, double resistance, double power) {
    double current = current(emf, resistance, power);
    return Double.isNaN(current) ? emf / (2 * resistance) : current;
  }
}
