package hammerman.cell;

import hammerman.numeric.MonotoneCubic;

/**
 * A cathode or anode chemistry with its rested voltage curve and temperature behaviour.
 *
 * <p>Open-circuit voltages are typical for the class at 25 °C. The entropic coefficient dU/dT is
 * taken as zero for every chemistry: no curve typical for the class is shipped, so reversible heat
 * is neglected and the workings say so.
 */
public enum Chemistry {
  NMC("NMC", 3.60, 22e3, 3.00, 3.30, 3.43, 3.55, 3.61, 3.66, 3.73, 3.85, 3.95, 4.04, 4.11, 4.20),
  NCA("NCA", 3.60, 22e3, 2.90, 3.22, 3.37, 3.50, 3.58, 3.64, 3.71, 3.82, 3.92, 4.02, 4.09, 4.19),
  LCO("LCO", 3.70, 22e3, 3.30, 3.60, 3.69, 3.74, 3.77, 3.79, 3.83, 3.88, 3.95, 4.03, 4.11, 4.20),
  LMO("LMO", 3.80, 22e3, 3.20, 3.50, 3.62, 3.73, 3.80, 3.86, 3.91, 3.96, 4.01, 4.06, 4.11, 4.19),
  LFP(
      "LFP", 3.20, 30e3, 2.80, 3.10, 3.20, 3.25, 3.28, 3.295, 3.305, 3.315, 3.330, 3.337, 3.345,
      3.450),
  LTO("LTO", 2.30, 18e3, 1.90, 2.02, 2.08, 2.14, 2.18, 2.22, 2.26, 2.31, 2.37, 2.43, 2.51, 2.70),
  NA_ION(
      "Na-ion", 3.05, 22e3, 2.00, 2.36, 2.55, 2.72, 2.85, 2.97, 3.08, 3.19, 3.31, 3.45, 3.62, 3.90);

  private final String label;
  private final double nominalVoltage;
  private final double activationEnergy;
  private final MonotoneCubic openCircuit;

  Chemistry(String label, double nominalVoltage, double activationEnergy, double... volts) {
    this.label = label;
    this.nominalVoltage = nominalVoltage;
    this.activationEnergy = activationEnergy;
    this.openCircuit = new MonotoneCubic(Points.SOC, volts);
  }

  /** Returns the short name in the field. */
  public String label() {
    return label;
  }

  /** Returns the voltage printed on a typical cell of this class, V. */
  public double nominalVoltage() {
    return nominalVoltage;
  }

  /** Returns the activation energy of the resistance, J/mol (typical for the class). */
  public double activationEnergy() {
    return activationEnergy;
  }

  /** Returns the rested voltage (V, 25 °C) over state of charge (0 to 1), strictly increasing. */
  public MonotoneCubic openCircuit() {
    return openCircuit;
  }

  /** Holds the abscissae, which an enum's constructor may not read from the enum itself. */
  private static final class Points {
    static final double[] SOC = {0, .05, .1, .2, .3, .4, .5, .6, .7, .8, .9, 1};
  }
}
