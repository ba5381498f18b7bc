package hammerman.cell;

import hammerman.unit.In;
import hammerman.unit.Unit;
import hammerman.unit.Valid;
import io.soabase.recordbuilder.core.RecordBuilder;

/**
 * Rated currents, A.
 *
 * @param continuous continuous discharge
 * @param peak discharge for 10 s
 * @param standardCharge charge for long life
 * @param fastCharge highest charge
 */
@RecordBuilder
public record CellCurrents(
    @In(Unit.AMPERE) double continuous,
    @In(Unit.AMPERE) double peak,
    @In(Unit.AMPERE) double standardCharge,
    @In(Unit.AMPERE) double fastCharge)
    implements CellCurrentsBuilder.With {
  public CellCurrents {
    Valid.range("Cell continuous current", continuous, 1e-3, 1e4, Unit.AMPERE);
    Valid.range("Cell peak current", peak, continuous, 1e4, Unit.AMPERE);
    Valid.range("Cell standard charge current", standardCharge, 1e-3, 1e4, Unit.AMPERE);
    Valid.range("Cell fast charge current", fastCharge, standardCharge, 1e4, Unit.AMPERE);
  }
}
