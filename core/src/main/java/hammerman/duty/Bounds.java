package hammerman.duty;

import hammerman.unit.Currency;
import hammerman.unit.In;
import hammerman.unit.InvalidValue;
import hammerman.unit.Unit;
import hammerman.unit.Valid;
import io.soabase.recordbuilder.core.RecordBuilder;
import org.jspecify.annotations.Nullable;

/**
 * Limits of size, mass, money and law; each absent when it does not matter.
 *
 * @param mass most mass of the pack, kg
 * @param volume room there is for it, m³
 * @param budget most money for cells
 * @param localPower power that local rules allow the machine, W
 * @param currency that all prices are in, as it is written after them, such as EUR; absent while
 *     that is not said
 */
@RecordBuilder
public record Bounds(
    @In(Unit.KILOGRAM) @Nullable Double mass,
    @In(Unit.LITRE) @Nullable Double volume,
    @Nullable Double budget,
    @In(Unit.WATT) @Nullable Double localPower,
    @Nullable String currency)
    implements BoundsBuilder.With {
  private static final int LONGEST_CURRENCY = 8;

  /** No limits. */
  public static final Bounds NONE = new Bounds(null, null, null, null, null);

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
    if (currency != null) {
      Valid.text("Currency", currency);
      if (currency.length() > LONGEST_CURRENCY) {
        throw new InvalidValue(
            "Currency",
            currency.length() + " characters long",
            "at most " + LONGEST_CURRENCY + " fit",
            "Give its sign or its three letters.");
      }
    }
  }

  /** Returns what all prices are in. */
  public Currency prices() {
    return new Currency(currency);
  }
}
