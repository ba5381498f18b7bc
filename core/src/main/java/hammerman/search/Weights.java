package hammerman.search;

import hammerman.unit.Unit;
import hammerman.unit.Valid;

/**
 * How much each quality counts in the ranking; only their proportions matter.
 *
 * @param mass a light pack
 * @param cost cheap cells
 * @param life many years
 * @param margin energy left after the duty
 * @param coolness cells that stay cool
 */
public record Weights(double mass, double cost, double life, double margin, double coolness) {
  /** Every quality counts the same. */
  public static final Weights EVEN = new Weights(1, 1, 1, 1, 1);

  private static final double MOST = 100;

  public Weights {
    Valid.range("Weight of mass", mass, 0, MOST, Unit.ONE);
    Valid.range("Weight of cost", cost, 0, MOST, Unit.ONE);
    Valid.range("Weight of life", life, 0, MOST, Unit.ONE);
    Valid.range("Weight of margin", margin, 0, MOST, Unit.ONE);
    Valid.range("Weight of coolness", coolness, 0, MOST, Unit.ONE);
  }
}
