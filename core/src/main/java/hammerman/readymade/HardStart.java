package hammerman.readymade;

import hammerman.unit.In;
import hammerman.unit.Unit;
import hammerman.unit.Valid;
import io.soabase.recordbuilder.core.RecordBuilder;
import org.jspecify.annotations.Nullable;

/**
 * A motor that starts from rest.
 *
 * @param resistance of winding, leads and controller, Ω
 * @param spinUp time constant with which it comes up to speed at full voltage, s
 * @param running battery current once it runs, A
 * @param ramp time over which the voltage is raised, s; 0 for a hard start
 * @param cap battery current that the controller never exceeds, A; absent without
 */
@RecordBuilder
public record HardStart(
    @In(Unit.OHM) double resistance,
    @In(Unit.SECOND) double spinUp,
    @In(Unit.AMPERE) double running,
    @In(Unit.SECOND) double ramp,
    @In(Unit.AMPERE) @Nullable Double cap)
    implements HardStartBuilder.With {
  public HardStart {
    Valid.range("Winding resistance", resistance, 1e-3, 100, Unit.OHM);
    Valid.range("Spin-up time", spinUp, 0.01, 60, Unit.SECOND);
    Valid.range("Running current", running, 0, 5000, Unit.AMPERE);
    Valid.range("Soft start", ramp, 0, 60, Unit.SECOND);
    if (cap != null) {
      Valid.range("Current limit of the start", cap, 0.1, 5000, Unit.AMPERE);
    }
  }

  /** Returns the battery current that is never exceeded, A; infinite without a limit. */
  public double limit() {
    return cap == null ? Double.POSITIVE_INFINITY : cap;
  }
}
