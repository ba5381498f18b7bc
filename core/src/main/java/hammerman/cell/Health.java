package hammerman.cell;

import hammerman.unit.In;
import hammerman.unit.Unit;
import hammerman.unit.Valid;

/**
 * State of health.
 *
 * @param capacity share of the new capacity that is left, 0.2 to 1
 * @param resistance times the new resistance, 1 to 10
 */
public record Health(@In(Unit.PERCENT) double capacity, @In(Unit.PERCENT) double resistance) {
  /** A new cell. */
  public static final Health NEW = new Health(1, 1);

  /** The resistance that a worn cell is taken to have where no law tells its growth, times new. */
  public static final double WORN_RESISTANCE = 1.5;

  public Health {
    Valid.range("Capacity left", capacity, 0.2, 1, Unit.PERCENT);
    Valid.range("Resistance against new", resistance, 1, 10, Unit.PERCENT);
  }

  boolean isNew() {
    return capacity == 1 && resistance == 1;
  }

  /**
   * Health within what can be told: at least a fifth of the capacity, at most ten times the
   * resistance. What no law tells, as far beyond its range, counts as the worst.
   *
   * @param capacity left, as a share of a new cell's
   * @param resistance against a new cell's
   */
  public static Health within(double capacity, double resistance) {
    return new Health(
        Double.isNaN(capacity) ? 0.2 : Math.clamp(capacity, 0.2, 1),
        Double.isNaN(resistance) ? 10 : Math.clamp(resistance, 1, 10));
  }
}
