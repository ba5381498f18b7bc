package hammerman.search;

import hammerman.unit.Unit;
import hammerman.unit.Valid;

/**
 * How much each quality counts in the ranking; only their proportions matter. Life and what is left
 * count up to what is wanted, and more of them weighs nothing; so does being cooler than {@value
 * #COOL} K above the air.
 *
 * @param mass a light pack
 * @param cost cheap cells
 * @param life many years
 * @param margin energy left after the duty
 * @param coolness cells that stay cool
 * @param years life wanted, years
 * @param reserve share of the capacity wanted left after the duty, 0 to 1
 */
public record Weights(
    double mass,
    double cost,
    double life,
    double margin,
    double coolness,
    double years,
    double reserve) {
  /** Years that a pack is wanted to last unless something else is said. */
  public static final double USUAL_YEARS = 3;

  /** Share wanted left after the duty unless something else is said. */
  public static final double USUAL_RESERVE = 0.2;

  /** Cells no warmer than this above the hottest air count as cool, K. */
  static final double COOL = 10;

  /** Every quality counts the same. */
  public static final Weights EVEN = of(1, 1, 1, 1, 1);

  private static final double MOST = 100;

  public Weights {
    Valid.range("Weight of mass", mass, 0, MOST, Unit.ONE);
    Valid.range("Weight of cost", cost, 0, MOST, Unit.ONE);
    Valid.range("Weight of life", life, 0, MOST, Unit.ONE);
    Valid.range("Weight of margin", margin, 0, MOST, Unit.ONE);
    Valid.range("Weight of coolness", coolness, 0, MOST, Unit.ONE);
    Valid.range("Years wanted", years, 0, 50, Unit.ONE);
    Valid.range("Share wanted left", reserve, 0, 0.95, Unit.PERCENT);
  }

  /** Weights with the usual life and reserve wanted. */
  public static Weights of(double mass, double cost, double life, double margin, double coolness) {
    return new Weights(mass, cost, life, margin, coolness, USUAL_YEARS, USUAL_RESERVE);
  }
}
