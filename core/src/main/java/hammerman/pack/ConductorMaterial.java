package hammerman.pack;

/**
 * Metals that carry the current. Resistivities and coefficients at 20 °C are typical for the metal
 * (handbook values), valid for about -40 to 200 °C.
 */
public enum ConductorMaterial {
  COPPER("Copper", 1.724e-8, 0.00393, 8960, 385),
  ALUMINIUM("Aluminium", 2.82e-8, 0.0039, 2700, 897),
  NICKEL("Nickel", 6.99e-8, 0.006, 8900, 444),
  NICKEL_PLATED_STEEL("Nickel-plated steel", 1.43e-7, 0.005, 7850, 490),
  BRASS("Brass", 6.6e-8, 0.0015, 8500, 380);

  /** Heat transfer of an exposed face in still air, W/(m² K); typical. */
  private static final double HEAT_TRANSFER = 10;

  private final String label;
  private final double resistivity;
  private final double coefficient;
  private final double density;
  private final double specificHeat;

  ConductorMaterial(
      String label, double resistivity, double coefficient, double density, double specificHeat) {
    this.label = label;
    this.resistivity = resistivity;
    this.coefficient = coefficient;
    this.density = density;
    this.specificHeat = specificHeat;
  }

  /** Returns the metal's name. */
  public String label() {
    return label;
  }

  /** Returns the resistivity at a temperature (K), Ω·m: ρ20 (1 + α (T − 293.15 K)). */
  public double resistivity(double kelvin) {
    return resistivity * (1 + coefficient * (kelvin - 293.15));
  }

  /** Returns the density, kg/m³. */
  public double density() {
    return density;
  }

  /**
   * Returns the steady current, A, that warms a conductor by a given rise: I² ρ/A = h · perimeter ·
   * ΔT, solved for I. Neglects heat flow along the conductor.
   *
   * @param area cross-section, m²
   * @param perimeter cooled outline of the cross-section, m
   * @param rise allowed temperature rise, K
   * @param kelvin temperature at which the resistivity is taken, K
   */
  public double currentForRise(double area, double perimeter, double rise, double kelvin) {
    return Math.sqrt(HEAT_TRANSFER * perimeter * Math.max(0, rise) * area / resistivity(kelvin));
  }

  /**
   * Returns how many times the steady current a conductor stands for a short time: 1/√(1 −
   * e^(−t/τ)), τ = density · specific heat · area / (h · perimeter), one lumped heat capacity.
   *
   * @param area cross-section, m²
   * @param perimeter cooled outline, m
   * @param seconds how long the current lasts, s
   */
  public double shortTimeFactor(double area, double perimeter, double seconds) {
    double tau = density * specificHeat * area / (HEAT_TRANSFER * perimeter);
    return 1 / Math.sqrt(-Math.expm1(-seconds / tau));
  }
}
