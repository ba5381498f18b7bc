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
 */
@RecordBuilder
public record ChargePlan(@In(Unit.VOLT) double voltage, @In(Unit.AMPERE) double current)
    implements ChargePlanBuilder.With {
  /** Share of the charge current at which the charger ends its constant-voltage phase; typical. */
  public static final double TAPER_END = 0.05;

  public ChargePlan {
    Valid.range("Charge voltage", voltage, 0.5, 1500, Unit.VOLT);
    Valid.range("Charge current", current, 0.01, 5000, Unit.AMPERE);
  }
}
