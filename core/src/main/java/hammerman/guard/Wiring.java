package hammerman.guard;

import hammerman.numeric.Root;
import hammerman.pack.ConductorMaterial;
import hammerman.unit.In;
import hammerman.unit.Unit;
import hammerman.unit.Valid;

/**
 * The main leads from pack to machine.
 *
 * @param material metal
 * @param area cross-section of the thinnest main wire, m²
 * @param length one way, m
 * @param insulationLimit highest temperature of its insulation, K
 * @param connectors connector pairs in the path
 * @param connectorResistance of one pair, Ω
 */
public record Wiring(
    ConductorMaterial material,
    @In(Unit.SQUARE_MILLIMETRE) double area,
    @In(Unit.METRE) double length,
    @In(Unit.CELSIUS) double insulationLimit,
    int connectors,
    @In(Unit.MILLIOHM) double connectorResistance) {

  /** Share of a stranded wire's circle that is metal; typical. */
  private static final double STRAND_FILL = 0.78;

  /** Insulation thickness as a share of the strand's diameter, and its least value, m; typical. */
  private static final double INSULATION_SHARE = 0.2;

  private static final double LEAST_INSULATION = 0.7e-3;

  public Wiring {
    Valid.range("Wire cross-section", area, 0.01e-6, 1000e-6, Unit.SQUARE_MILLIMETRE);
    Valid.range("Wire length", length, 0, 1000, Unit.METRE);
    Valid.range("Insulation limit", insulationLimit, 323.15, 573.15, Unit.CELSIUS);
    Valid.count("Connector pairs", connectors, 0, 50);
    Valid.range("Connector resistance", connectorResistance, 0, 0.1, Unit.MILLIOHM);
  }

  /** Returns the resistance out and back with its connectors at a temperature (K), Ω. */
  public double resistance(double kelvin) {
    return material.resistivity(kelvin) * 2 * length / area + connectors * connectorResistance;
  }

  /**
   * Returns the steady current that brings the insulation to its limit in still air, A: I² ρ/A = h
   * · perimeter · ΔT with the outside of the insulation as the cooled face.
   *
   * @param ambient air temperature, K
   */
  public double ampacity(double ambient) {
    return material.currentForRise(area, perimeter(), insulationLimit - ambient, insulationLimit);
  }

  /** Returns the current it stands for a short time (s) at an air temperature (K), A. */
  public double shortTimeAmpacity(double ambient, double seconds) {
    return ampacity(ambient) * material.shortTimeFactor(area, perimeter(), seconds);
  }

  private double perimeter() {
    double strand = Math.sqrt(4 * area / (Math.PI * STRAND_FILL));
    return Math.PI * (strand + 2 * Math.max(LEAST_INSULATION, INSULATION_SHARE * strand));
  }

  /**
   * Returns the cross-section whose ampacity is {@code current} (A) at an air temperature (K), m².
   */
  public double areaFor(double current, double ambient) {
    return Root.bisect(a -> withArea(a).ampacity(ambient) - current, 0.01e-6, 1000e-6, 1e-9);
  }

  public Wiring withMaterial(ConductorMaterial value) {
    return new Wiring(value, area, length, insulationLimit, connectors, connectorResistance);
  }

  public Wiring withArea(double value) {
    return new Wiring(material, value, length, insulationLimit, connectors, connectorResistance);
  }

  public Wiring withLength(double value) {
    return new Wiring(material, area, value, insulationLimit, connectors, connectorResistance);
  }

  public Wiring withInsulationLimit(double value) {
    return new Wiring(material, area, length, value, connectors, connectorResistance);
  }

  /** Returns this wiring with other connector pairs, their resistance in Ω. */
  public Wiring withConnectors(int pairs, double resistance) {
    return new Wiring(material, area, length, insulationLimit, pairs, resistance);
  }
}
