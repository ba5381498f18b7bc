package hammerman.guard;

import hammerman.unit.In;
import hammerman.unit.Unit;
import hammerman.unit.Valid;
import io.soabase.recordbuilder.core.RecordBuilder;

/**
 * How the pack is charged.
 *
 * @param voltage charger's set voltage at the plug, V
 * @param current charger's current, A
 * @param kind what kind of charger it is
 * @param tolerance share by which its voltage may lie above the set one, 0 to 0.2
 */
@RecordBuilder
public record ChargePlan(
    @In(Unit.VOLT) double voltage,
    @In(Unit.AMPERE) double current,
    Kind kind,
    @In(Unit.PERCENT) double tolerance)
    implements ChargePlanBuilder.With {
  /** Share of the charge current at which the charger ends its constant-voltage phase; typical. */
  public static final double TAPER_END = 0.05;

  /** Tolerance of a charger whose voltage was set by a meter; typical. */
  public static final double USUAL_TOLERANCE = 0.002;

  private static final double LEAST_VOLTAGE = 0.5;
  private static final double MOST_VOLTAGE = 1500;

  /** Kinds of charger. */
  public enum Kind {
    LITHIUM("Constant current, then voltage"),
    BALANCING("Balancing, reads every group"),
    SUPPLY("Bench supply, no end of charge"),
    LEAD("Lead charger with float stage");

    private final String label;

    Kind(String label) {
      this.label = label;
    }

    /** Returns it in words. */
    public String label() {
      return label;
    }
  }

  public ChargePlan {
    Valid.range("Charge voltage", voltage, LEAST_VOLTAGE, MOST_VOLTAGE, Unit.VOLT);
    Valid.range("Charge current", current, 0.01, 5000, Unit.AMPERE);
    Valid.range("Tolerance of the charger", tolerance, 0, 0.2, Unit.PERCENT);
  }

  /** Returns a usual lithium charger of a voltage (V) and current (A). */
  public static ChargePlan usual(double voltage, double current) {
    return new ChargePlan(voltage, current, Kind.LITHIUM, USUAL_TOLERANCE);
  }

  /**
   * Returns it with a voltage that follows from something else, V, to the millivolt; if that is
   * none that a charger has, with the nearest: it is judged, never refused in the name of a field
   * that nobody touched.
   */
  public ChargePlan following(double volts) {
    return withVoltage(Math.clamp(Math.round(volts * 1000) / 1000.0, LEAST_VOLTAGE, MOST_VOLTAGE));
  }

  /** Returns the highest voltage it may come to, V. */
  public double highest() {
    return voltage * (1 + tolerance);
  }
}
