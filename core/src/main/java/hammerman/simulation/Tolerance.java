package hammerman.simulation;

import hammerman.pack.Lot;
import hammerman.pack.Pack;

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

  /** How well a cell tester tells capacities and resistances apart; typical. */
  private static final double TESTER = 0.01;

  private static final double METER = 0.03;

  /**
   * Returns what is usual of a pack's cells, joined by hand; of measured cells how far they may lie
   * from what was measured.
   */
  public static Tolerance of(Pack pack) {
    return pack.matched().isPresent()
        ? new Tolerance(TESTER, METER, WELDS, WELDING)
        : of(pack.lot());
  }

  /** Returns what is usual of cells from where these come, joined by hand. */
  public static Tolerance of(Lot lot) {
    return new Tolerance(
        lot.spread(), Math.min(0.25, RESISTANCE_OVER_CAPACITY * lot.spread()), WELDS, WELDING);
  }
}
