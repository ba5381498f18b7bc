package hammerman.schedule;

import hammerman.record.BayTest;
import hammerman.unit.In;
import hammerman.unit.Unit;
import hammerman.unit.Valid;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.time.Duration;

/**
 * A cell tester and how it measures: charge full, rest, discharge to the cut-off, rest, charge
 * full.
 *
 * @param bays cells that it tests at a time
 * @param charge current, A
 * @param discharge current, A
 * @param rest after the charge and after the discharge, s
 * @param presence when the builder can swap cells
 */
@RecordBuilder
public record BayPlan(
    int bays,
    @In(Unit.AMPERE) double charge,
    @In(Unit.AMPERE) double discharge,
    @In(Unit.MINUTE) double rest,
    Presence presence)
    implements BayPlanBuilder.With {
  /** The end of a charge, at falling current, takes so much of the time of the rest; typical. */
  private static final double TAPER = 0.2;

  /** Four bays in the evenings. */
  public static final BayPlan USUAL = new BayPlan(4, 1, 1, 1800, Presence.EVENINGS);

  public BayPlan {
    Valid.count("Bays", bays, 1, BayTest.MOST_BAYS);
    Valid.range("Charge current of the tester", charge, 0.01, 100, Unit.AMPERE);
    Valid.range("Discharge current of the tester", discharge, 0.01, 100, Unit.AMPERE);
    Valid.range("Rest in the test", rest, 0, 7 * 86400, Unit.MINUTE);
  }

  /**
   * Returns how long one test takes.
   *
   * @param capacity of the cell, Ah
   */
  public Duration test(double capacity) {
    double charging = 3600 * capacity / charge * (1 + TAPER);
    double discharging = 3600 * capacity / discharge;
    return Duration.ofMinutes(
        Math.max(1, Math.round((2 * charging + discharging + 2 * rest) / 60)));
  }
}
