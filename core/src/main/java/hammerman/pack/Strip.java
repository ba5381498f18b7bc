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
 */
@RecordBuilder
public record Strip(
    ConductorMaterial material,
    @In(Unit.MILLIMETRE) double thickness,
    @In(Unit.MILLIMETRE) double width,
    int layers)
    implements StripBuilder.With {
  /** Temperature rise that a strip on a cell may have, K (typical practice). */
  public static final double ALLOWED_RISE = 20;

  /** Temperature at which ampacity takes the resistivity, K. */
  private static final double REFERENCE = 293.15;

  public Strip {
    Valid.range("Strip thickness", thickness, 0.02e-3, 20e-3, Unit.MILLIMETRE);
    Valid.range("Strip width", width, 0.5e-3, 0.5, Unit.MILLIMETRE);
    Valid.count("Strip layers", layers, 1, 20);
  }

  /** Returns the cross-section of all layers, m². */
  public double area() {
    return thickness * width * layers;
  }

  /** Returns the resistance of a length (m) at a temperature (K), Ω. */
  public double resistance(double length, double kelvin) {
    return material.resistivity(kelvin) * length / area();
  }

  /** Returns the steady current for a rise of {@link #ALLOWED_RISE}, A. */
  public double ampacity() {
    return material.currentForRise(area(), perimeter(), ALLOWED_RISE, REFERENCE);
  }

  /** Returns the current it stands for a short time (s), A. */
  public double shortTimeAmpacity(double seconds) {
    return ampacity() * material.shortTimeFactor(area(), perimeter(), seconds);
  }

  private double perimeter() {
    return 2 * (width + thickness * layers);
  }

  /** Returns the strip as people write it: "2 × 0.15 × 8 mm Nickel". */
  public String text() {
    return (layers > 1 ? layers + " × " : "")
        + Figures.plain(thickness * 1e3)
        + " × "
        + Figures.exact(width, Unit.MILLIMETRE)
        + " "
        + material.label().toLowerCase(Locale.ROOT);
  }

  public Strip withSize(double newThickness, double newWidth) {
    return new Strip(material, newThickness, newWidth, layers);
  }
}
