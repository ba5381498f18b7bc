package hammerman.guard;

import hammerman.numeric.Root;
import hammerman.pack.ConductorMaterial;
import hammerman.unit.Figures;
import hammerman.unit.In;
import hammerman.unit.Unit;
import hammerman.unit.Valid;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.Locale;

/**
 * A stranded, insulated wire.
 *
 * @param material metal
 * @param area cross-section, m²
 * @param insulationLimit highest temperature of its insulation, K
 * @param laid how it lies
 */
@RecordBuilder
public record Wire(
    ConductorMaterial material,
    @In(Unit.SQUARE_MILLIMETRE) double area,
    @In(Unit.CELSIUS) double insulationLimit,
    Laid laid)
    implements WireBuilder.With {

  /** Share of a stranded wire's circle that is metal; typical. */
  private static final double STRAND_FILL = 0.78;

  /** Insulation thickness as a share of the strand's diameter, and its least value, m; typical. */
  private static final double INSULATION_SHARE = 0.2;

  private static final double LEAST_INSULATION = 0.7e-3;

  /** Temperature at which insulation is damaged within seconds, above its limit, K; typical. */
  private static final double DAMAGE_ABOVE_LIMIT = 55;

  /** How a wire lies, with the share of the free-air ampacity it keeps; typical practice. */
  public enum Laid {
    FREE("in free air", 1),
    BUNDLED("bundled or covered", 0.7);

    private final String label;
    private final double share;

    Laid(String label, double share) {
      this.label = label;
      this.share = share;
    }

    /** Returns it in words. */
    public String label() {
      return label;
    }
  }

  public Wire {
    Valid.range("Wire cross-section", area, 0.01e-6, 1000e-6, Unit.SQUARE_MILLIMETRE);
    Valid.range("Insulation limit", insulationLimit, 323.15, 573.15, Unit.CELSIUS);
  }

  /** Returns the resistance of a length (m) at a temperature (K), Ω. */
  public double resistance(double length, double kelvin) {
    return material.resistivity(kelvin) * length / area;
  }

  /**
   * Returns the steady current that brings the insulation to its limit, A: I² ρ/A = h · perimeter ·
   * ΔT with the outside of the insulation as the cooled face, less for a bundle.
   *
   * @param ambient air temperature, K
   */
  public double ampacity(double ambient) {
    return laid.share
        * material.currentForRise(area, perimeter(), insulationLimit - ambient, insulationLimit);
  }

  /** Returns the current it stands for a short time (s) at an air temperature (K), A. */
  public double shortTimeAmpacity(double ambient, double seconds) {
    return ampacity(ambient) * material.shortTimeFactor(area, perimeter(), seconds);
  }

  /**
   * Returns the current that ruins the insulation after a time (s), A: as {@link
   * #shortTimeAmpacity}, to 55 K above the limit.
   */
  public double damageCurrent(double ambient, double seconds) {
    double rise = insulationLimit + DAMAGE_ABOVE_LIMIT - ambient;
    return laid.share
        * material.currentForRise(area, perimeter(), rise, insulationLimit)
        * material.shortTimeFactor(area, perimeter(), seconds);
  }

  /** Returns the cross-section whose ampacity is {@code current} (A) at an air temperature, m². */
  public double areaFor(double current, double ambient) {
    return Root.bisect(a -> withArea(a).ampacity(ambient) - current, 0.01e-6, 1000e-6, 1e-9);
  }

  /** Returns the outer diameter, m. */
  public double outerDiameter() {
    double strand = Math.sqrt(4 * area / (Math.PI * STRAND_FILL));
    return strand + 2 * Math.max(LEAST_INSULATION, INSULATION_SHARE * strand);
  }

  private double perimeter() {
    return Math.PI * outerDiameter();
  }

  /** Returns the wire as people write it: "8.37 mm² copper". */
  public String text() {
    return Figures.compact(area * 1e6) + " mm² " + material.label().toLowerCase(Locale.ROOT);
  }
}
