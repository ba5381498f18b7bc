package hammerman.guard;

import hammerman.unit.Figures;
import hammerman.unit.In;
import hammerman.unit.Sentence;
import hammerman.unit.Unit;
import hammerman.unit.Valid;
import io.soabase.recordbuilder.core.RecordBuilder;

/**
 * The main fuse.
 *
 * @param kind class of fuse
 * @param rating rated current, A
 * @param voltageRating DC voltage printed on it, V
 */
@RecordBuilder
public record Fuse(
    FuseClass kind, @In(Unit.AMPERE) double rating, @In(Unit.VOLT) double voltageRating)
    implements FuseBuilder.With {
  /** Share of its rating that a fuse carries for long (usual practice). */
  public static final double CONTINUOUS_SHARE = 0.75;

  /** Factor in time kept to the least melting curve at the hardest moment (usual practice). */
  public static final double TIME_FACTOR = 2;

  /** Voltage drop at the rated current, V; typical for the size. */
  private static final double DROP_AT_RATING = 0.1;

  public Fuse {
    Valid.range("Fuse rating", rating, 0.1, 5000, Unit.AMPERE);
    Valid.range("Fuse voltage rating", voltageRating, 1, 2000, Unit.VOLT);
  }

  /** Returns rating and class, such as “60 A high-interrupt cartridge”. */
  public String text() {
    return Figures.compact(rating) + " A " + Sentence.within(kind.label());
  }

  /** Returns the resistance, Ω: 0.1 V at the rated current. */
  public double resistance() {
    return DROP_AT_RATING / rating;
  }

  /**
   * Returns the smallest rating of a class that does not open for a load, A.
   *
   * @param kind class of fuse
   * @param continuous continuous current, A
   * @param peak current of the hardest moment, A
   * @param peakDuration how long it lasts, s
   */
  public static double smallestRating(
      FuseClass kind, double continuous, double peak, double peakDuration) {
    return Math.max(
        continuous / CONTINUOUS_SHARE, peak / kind.safeMultiple(TIME_FACTOR * peakDuration));
  }

  @Override
  public Fuse withKind(FuseClass value) {
    return new Fuse(value, rating, value.voltageRating());
  }
}
