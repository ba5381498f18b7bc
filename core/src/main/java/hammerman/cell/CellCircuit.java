package hammerman.cell;

import hammerman.numeric.MonotoneCubic;
import hammerman.unit.Reference;

/**
 * The equivalent circuit of one cell: open-circuit voltage, a series resistance and two RC
 * branches.
 *
 * <p>Form: G. Plett, Battery Management Systems vol. I (2015), ch. 2. Shares: R0 = 0.70 R10, R1 =
 * 0.596 R10 with τ1 = 15 s, R2 = 0.30 R10 with τ2 = 300 s, so that the drop 10 s after a current
 * step, divided by the step, is R10. Valid for -30 to 80 °C; temperatures outside are clamped.
 * Neglects hysteresis and the dependence of resistance on current.
 */
public final class CellCircuit {
  /** Share of R10 that acts at once. */
  public static final double R0_SHARE = 0.70;

  /** Share of R10 in the fast branch. */
  public static final double R1_SHARE = 0.596;

  /** Share of R10 in the slow branch. */
  public static final double R2_SHARE = 0.30;

  /** Time constant of the fast branch, s. */
  public static final double TAU1 = 15;

  /** Time constant of the slow branch, s. */
  public static final double TAU2 = 300;

  /** Temperatures below are taken as this, K. */
  static final double COLDEST = 243.15;

  /** Temperatures above are taken as this, K. */
  static final double HOTTEST = 353.15;

  private static final double GAS_CONSTANT = 8.314462618;

  /** Resistance by state of charge; typical for the class. */
  private static final MonotoneCubic BY_SOC =
      new MonotoneCubic(
          new double[] {0, .05, .1, .2, .3, .8, .9, 1},
          new double[] {2.2, 1.6, 1.3, 1.1, 1.0, 1.0, 1.02, 1.08});

  /** Share of the capacity that can be reached by temperature (K); typical for the class. */
  private static final MonotoneCubic REACHABLE =
      new MonotoneCubic(
          new double[] {253.15, 263.15, 273.15, 283.15, Reference.ROOM},
          new double[] {0.75, 0.86, 0.93, 0.97, 1.00});

  private final CellType type;
  private final MonotoneCubic openCircuit;

  public CellCircuit(CellType type) {
    this.type = type;
    this.openCircuit = type.openCircuit();
  }

  /** Returns the rested voltage, V, at a state of charge from 0 to 1. */
  public double openCircuit(double soc) {
    return openCircuit.value(soc);
  }

  /** Returns the mean rested voltage, V, between two states of charge. */
  public double meanOpenCircuit(double from, double to) {
    return openCircuit.mean(from, to);
  }

  /** Returns the state of charge at which the rested voltage is {@code volts}, 0 to 1. */
  public double socAt(double volts) {
    return openCircuit.inverse(volts);
  }

  /** Returns R10 at a state of charge and temperature (K), Ω. */
  public double r10(double soc, double kelvin) {
    return type.r10() * BY_SOC.value(soc) * temperatureFactor(kelvin);
  }

  /** Returns the resistance at once (R0), Ω. */
  public double ohmic(double soc, double kelvin) {
    return R0_SHARE * r10(soc, kelvin);
  }

  /** Returns the resistance once both branches have settled, Ω. */
  public double settled(double soc, double kelvin) {
    return (R0_SHARE + R1_SHARE + R2_SHARE) * r10(soc, kelvin);
  }

  /**
   * Returns the share of the capacity at 25 °C that can be taken out at a temperature (K), at most
   * 1. What the cold keeps back is there again when the cell is warm.
   */
  public double reachable(double kelvin) {
    return reachableAt(kelvin);
  }

  static double reachableAt(double kelvin) {
    return REACHABLE.value(kelvin);
  }

  /** Returns the capacity that a discharge from full measures at a temperature (K), Ah. */
  public double capacity(double kelvin) {
    return type.capacity() * reachable(kelvin);
  }

  /** Returns the factor of resistance against 25 °C: exp(Ea/Rg (1/T − 1/298.15 K)). */
  public double temperatureFactor(double kelvin) {
    return factorAt(type.chemistry(), kelvin);
  }

  static double factorAt(Chemistry chemistry, double kelvin) {
    double clamped = Math.clamp(kelvin, COLDEST, HOTTEST);
    return Math.exp(
        chemistry.activationEnergy() / GAS_CONSTANT * (1 / clamped - 1 / Reference.ROOM));
  }

  /** Returns the resistance factor of a state of charge, 1 in the middle. */
  public double socFactor(double soc) {
    return factorAt(soc);
  }

  static double factorAt(double soc) {
    return BY_SOC.value(soc);
  }
}
