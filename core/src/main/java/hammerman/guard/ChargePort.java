package hammerman.guard;

import hammerman.unit.In;
import hammerman.unit.Unit;
import hammerman.unit.Valid;
import io.soabase.recordbuilder.core.RecordBuilder;
import org.jspecify.annotations.Nullable;

/**
 * The charge lead from the pack's positive end to its plug, and back.
 *
 * @param wire of the lead
 * @param length one way, without slack, m
 * @param beforeFuse how much of it lies between the pack and its fuse, m
 * @param fuse in the lead; absent if there is none
 * @param plug at its end; absent if the charger is wired in
 */
@RecordBuilder
public record ChargePort(
    Wire wire,
    @In(Unit.METRE) double length,
    @In(Unit.METRE) double beforeFuse,
    @Nullable Fuse fuse,
    @Nullable Connector plug)
    implements ChargePortBuilder.With {
  public ChargePort {
    Valid.range("Lead to the charge port", length, 0, 100, Unit.METRE);
    Valid.range("Charge lead before its fuse", beforeFuse, 0, 100, Unit.METRE);
  }
}
