package hammerman.simulation;

import hammerman.pack.Lot;

/**
 * How far cells and their joints differ: standard deviations as shares of the mean.
 *
 * @param capacity of capacities
 * @param resistance of resistances
 * @param joint mean resistance between a cell and its group's bar, Ω
 * @param jointSpread of those resistances
 */
public record Tolerance(double capacity, double resistance, double joint, double jointSpread) {
  /** Spread of resistance over that of capacity; 3 % to 0.8 % within one batch, typical. */
  private static final double RESISTANCE_OVER_CAPACITY = 3.75;

  /** Two spot-welded ends, Ω; typical. */
  private static final double WELDS = 0.3e-3;

  /** Spread of hand-made welds; typical. */
  private static final double WELDING = 0.3;

  /** Returns what is usual of cells from where these come, joined by hand. */
  public static Tolerance of(Lot lot) {
    return new Tolerance(
        lot.spread(), Math.min(0.25, RESISTANCE_OVER_CAPACITY * lot.spread()), WELDS, WELDING);
  }
}
