package hammerman.fit;

/**
 * What lies between the cells, with the heat that a pair of neighbours exchanges per kelvin along a
 * metre of their height; typical values, from the conductivity of the filling over the narrow gap.
 */
public enum Filling {
  AIR("Air", 0.9),
  HOLDER("Plastic holders", 1.6),
  FOAM("Foam", 0.6),
  POTTING("Potting", 6),
  PLATE("Aluminium plate", 18);

  private final String label;
  private final double conductance;

  Filling(String label, double conductance) {
    this.label = label;
    this.conductance = conductance;
  }

  /** Returns it in words. */
  public String label() {
    return label;
  }

  /** Returns the conductance between neighbours per height, W/(m K). */
  public double conductance() {
    return conductance;
  }
}
