package hammerman.cell;

import hammerman.unit.In;
import hammerman.unit.Unit;
import hammerman.unit.Valid;

/**
 * Allowed cell temperatures, K.
 *
 * @param chargeLowest lowest for charging
 * @param chargeHighest highest for charging
 * @param dischargeLowest lowest for discharging
 * @param dischargeHighest highest for discharging
 */
public record CellTemperatures(
    @In(Unit.CELSIUS) double chargeLowest,
    @In(Unit.CELSIUS) double chargeHighest,
    @In(Unit.CELSIUS) double dischargeLowest,
    @In(Unit.CELSIUS) double dischargeHighest) {
  public CellTemperatures {
    Valid.range("Lowest charge temperature", chargeLowest, 213.15, 373.15, Unit.CELSIUS);
    Valid.range("Highest charge temperature", chargeHighest, chargeLowest, 373.15, Unit.CELSIUS);
    Valid.range("Lowest discharge temperature", dischargeLowest, 213.15, 373.15, Unit.CELSIUS);
    Valid.range(
        "Highest discharge temperature", dischargeHighest, dischargeLowest, 373.15, Unit.CELSIUS);
  }

  public CellTemperatures withChargeLowest(double value) {
    return new CellTemperatures(value, chargeHighest, dischargeLowest, dischargeHighest);
  }

  public CellTemperatures withChargeHighest(double value) {
    return new CellTemperatures(chargeLowest, value, dischargeLowest, dischargeHighest);
  }

  public CellTemperatures withDischargeLowest(double value) {
    return new CellTemperatures(chargeLowest, chargeHighest, value, dischargeHighest);
  }

  public CellTemperatures withDischargeHighest(double value) {
    return new CellTemperatures(chargeLowest, chargeHighest, dischargeLowest, value);
  }
}
