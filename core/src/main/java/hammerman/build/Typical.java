package hammerman.build;

import hammerman.guard.Bms;
import hammerman.guard.ChargePlan;
import hammerman.guard.Wire;
import hammerman.pack.ConductorMaterial;
import hammerman.pack.Strip;

/**
 * Rough prices and masses of parts, typical of what is sold to hobbyists, in money of the same
 * worth as the prices of the starter cells. They say what weighs in a total; the builder types
 * their own. Valid for packs of some kilograms, 10 to 300 A.
 */
final class Typical {
  /** Density of wire insulation, kg/m³; silicone and PVC alike. */
  private static final double INSULATION_DENSITY = 1350;

  private Typical() {}

  static double bmsPrice(Bms b) {
    return 6 + 0.5 * b.series() + 0.25 * b.continuousCurrent();
  }

  static double bmsMass(Bms b) {
    return 0.03 + 0.0022 * b.continuousCurrent() + 0.002 * b.series();
  }

  static double wirePrice(Wire w) {
    return 0.5 + 0.35 * w.area() * 1e6;
  }

  static double wireMass(Wire w) {
    double r = w.outerDiameter() / 2;
    return w.area() * w.material().density()
        + (Math.PI * r * r - w.area() / 0.78) * INSULATION_DENSITY;
  }

  static double stripPrice(Strip s) {
    double perKilogram = s.material() == ConductorMaterial.COPPER ? 30 : 60;
    return 0.5 + perKilogram * s.mass(1);
  }

  static double connectorPrice(double amperes) {
    return 1 + 0.03 * amperes;
  }

  static double connectorMass(double amperes) {
    return 0.004 + 0.0003 * amperes;
  }

  static double switchPrice(double amperes) {
    return 5 + 0.12 * amperes;
  }

  static double switchMass(double amperes) {
    return 0.05 + 0.001 * amperes;
  }

  static double fusePrice(double amperes, double interrupt) {
    return interrupt >= 20_000
        ? 12 + 0.05 * amperes
        : interrupt >= 10_000 ? 8 : 1.5 + 0.01 * amperes;
  }

  static double chargerPrice(ChargePlan p) {
    return 12 + 0.12 * p.voltage() * p.current();
  }
}
