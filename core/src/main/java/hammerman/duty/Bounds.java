package hammerman.duty;

import hammerman.unit.In;
import hammerman.unit.Unit;
import hammerman.unit.Valid;
import io.soabase.recordbuilder.core.RecordBuilder;
import org.jspecify.annotations.Nullable;

/**
 * Limits of size, mass, money and law; each absent when it does not matter.
 *
 * @param mass most mass of the pack, kg
 * @param volume room there is for it, m³
 * @param budget most money for cells, in the user's currency
 * @param localPower power that local rules allow the machine, W
 */
@RecordBuilder
public record Bounds(
    @In(Unit.KILOGRAM) @Nullable Double mass,
    @In(Unit.LITRE) @Nullable Double volume,
    @Nullable Double budget,
    @In(Unit.WATT) @Nullable Double localPower)
    implements BoundsBuilder.With {
  /** No limits. */
  public static final Bounds NONE = new Bounds(null, null, null, null);

  public Bounds {
    if (mass != null) {
      Valid.range("Mass limit", mass, 0.001, 1e5, Unit.KILOGRAM);
    }
    if (volume != null) {
      Valid.range("Room for the pack", volume, 1e-6, 1000, Unit.LITRE);
    }
    if (budget != null) {
      Valid.range("Budget", budget, 0.01, 1e9, Unit.MONEY);
    }
    if (localPower != null) {
      Valid.range("Local power limit", localPower, 1, 1e6, Unit.WATT);
    }
  }
}
