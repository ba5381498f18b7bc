package hammerman.pack;

import hammerman.unit.Figures;
import hammerman.unit.In;
import hammerman.unit.Unit;
import hammerman.unit.Valid;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.Locale;

/**
 * The strip that joins cells: one strip from each cell to its neighbour in the next group.
 *
 * @param material metal
 * @param thickness of one layer, m
 * @param width where it is narrowest, m
 * @param layers strips on top of each other
 * @param steel thickness of a nickel-plated steel overlay, through which copper is welded, m; 0
 *     without
 */
@RecordBuilder
public record Strip(
    ConductorMaterial material,
    @In(Unit.MILLIMETRE) double thickness,
    @In(Unit.MILLIMETRE) double width,
    int layers,
    @In(value = Unit.MILLIMETRE, orZero = true) double steel)
    implements StripBuilder.With {
  /** Temperature rise that a strip on a cell may have, K (typical practice). */
  public static final double ALLOWED_RISE = 20;

  private static final ConductorMaterial OVERLAY = ConductorMaterial.NICKEL_PLATED_STEEL;

  /** Temperature at which ampacity takes the resistivity, K. */
  private static final double REFERENCE = 293.15;

  public Strip {
    Valid.range("Strip thickness", thickness, 0.02e-3, 20e-3, Unit.MILLIMETRE);
    Valid.range("Strip width", width, 0.5e-3, 0.5, Unit.MILLIMETRE);
    Valid.count("Strip layers", layers, 1, 20);
    Valid.range("Steel overlay", steel, 0, 2e-3, Unit.MILLIMETRE);
  }

  /** A strip without an overlay. */
  public static Strip plain(
      ConductorMaterial material, double thickness, double width, int layers) {
    return new Strip(material, thickness, width, layers, 0);
  }

  /** Returns the cross-section of all layers and the overlay, m². */
  public double area() {
    return (thickness * layers + steel) * width;
  }

  /**
   * Returns the resistance of a length (m) at a temperature (K), Ω: metal and overlay side by side.
   */
  public double resistance(double length, double kelvin) {
    double metal = thickness * layers * width / material.resistivity(kelvin);
    return length / (metal + steel * width / OVERLAY.resistivity(kelvin));
  }

  /** Returns the mass of a length (m), kg. */
  public double mass(double length) {
    return (thickness * layers * material.density() + steel * OVERLAY.density()) * width * length;
  }

  /** Returns the steady current for a rise of {@link #ALLOWED_RISE}, A. */
  public double ampacity() {
    double perMetal = material.resistivity(REFERENCE) / area();
    double factor = Math.sqrt(perMetal / resistance(1, REFERENCE));
    return factor * material.currentForRise(area(), perimeter(), ALLOWED_RISE, REFERENCE);
  }

  /** Returns the current it stands for a short time (s), A. */
  public double shortTimeAmpacity(double seconds) {
    return ampacity() * material.shortTimeFactor(area(), perimeter(), seconds);
  }

  private double perimeter() {
    return 2 * (width + thickness * layers + steel);
  }

  /** Returns the strip as people write it: "2 × 0.15 × 8 mm Nickel". */
  public String text() {
    return (layers > 1 ? layers + " × " : "")
        + Figures.plain(thickness * 1e3)
        + " × "
        + Figures.exact(width, Unit.MILLIMETRE)
        + " "
        + material.label().toLowerCase(Locale.ROOT)
        + (steel > 0 ? " + " + Figures.exact(steel, Unit.MILLIMETRE) + " steel" : "");
  }

  public Strip withSize(double newThickness, double newWidth) {
    return new Strip(material, newThickness, newWidth, layers, steel);
  }
}
