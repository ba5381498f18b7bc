package hammerman.cell;

import hammerman.unit.In;
import hammerman.unit.Unit;
import hammerman.unit.Valid;

/**
 * Rated currents, A.
 *
 * @param continuous continuous discharge
 * @param peak discharge for 10 s
 * @param standardCharge charge for long life
 * @param fastCharge highest charge
 */
public record CellCurrents(
    @In(Unit.AMPERE) double continuous,
    @In(Unit.AMPERE) double peak,
    @In(Unit.AMPERE) double standardCharge,
    @In(Unit.AMPERE) double fastCharge) {
  public CellCurrents {
    Valid.range("Cell continuous current", continuous, 1e-3, 1e4, Unit.AMPERE);
    Valid.range("Cell peak current", peak, continuous, 1e4, Unit.AMPERE);
    Valid.range("Cell standard charge current", standardCharge, 1e-3, 1e4, Unit.AMPERE);
    Valid.range("Cell fast charge current", fastCharge, standardCharge, 1e4, Unit.AMPERE);
  }

  public CellCurrents withContinuous(double value) {
    return new CellCurrents(value, peak, standardCharge, fastCharge);
  }

  public CellCurrents withPeak(double value) {
    return new CellCurrents(continuous, value, standardCharge, fastCharge);
  }

  public CellCurrents withStandardCharge(double value) {
    return new CellCurrents(continuous, peak, value, fastCharge);
  }

  public CellCurrents withFastCharge(double value) {
    return new CellCurrents(continuous, peak, standardCharge, value);
  }
}
