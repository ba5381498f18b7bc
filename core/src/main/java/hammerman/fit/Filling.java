package hammerman.fit;

/**
 * What lies between the cells, with its conductivity; typical values. That of air counts radiation
 * and slow convection, that of a holder and of a plate that they touch the cells only in part.
 */
public enum Filling {
  AIR("Air", 0.062),
  HOLDER("Plastic holders", 0.11),
  FOAM("Foam", 0.042),
  POTTING("Potting", 0.42),
  PLATE("Aluminium plate", 1.25);

  private final String label;
  private final double conductivity;

  Filling(String label, double conductivity) {
    this.label = label;
    this.conductivity = conductivity;
  }

  /** Returns it in words. */
  public String label() {
    return label;
  }

  /** Returns the conductivity W/(m K). */
  public double conductivity() {
    return conductivity;
  }
}
