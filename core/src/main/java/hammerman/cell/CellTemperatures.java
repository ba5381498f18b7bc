package hammerman.cell;

import hammerman.unit.In;
import hammerman.unit.Unit;
import hammerman.unit.Valid;
import io.soabase.recordbuilder.core.RecordBuilder;

/**
 * Allowed cell temperatures, K.
 *
 * @param chargeLowest lowest for charging
 * @param chargeHighest highest for charging
 * @param dischargeLowest lowest for discharging
 * @param dischargeHighest highest for discharging
 */
@RecordBuilder
public record CellTemperatures(
    @In(Unit.CELSIUS) double chargeLowest,
    @In(Unit.CELSIUS) double chargeHighest,
    @In(Unit.CELSIUS) double dischargeLowest,
    @In(Unit.CELSIUS) double dischargeHighest)
    implements CellTemperaturesBuilder.With {
  public CellTemperatures {
    Valid.range("Lowest charge temperature", chargeLowest, 213.15, 373.15, Unit.CELSIUS);
    Valid.range("Highest charge temperature", chargeHighest, chargeLowest, 373.15, Unit.CELSIUS);
    Valid.range("Lowest discharge temperature", dischargeLowest, 213.15, 373.15, Unit.CELSIUS);
    Valid.range(
        "Highest discharge temperature", dischargeHighest, dischargeLowest, 373.15, Unit.CELSIUS);
  }
}
