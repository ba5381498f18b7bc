package hammerman.duty;

import hammerman.unit.Figures;
import hammerman.unit.In;
import hammerman.unit.InvalidValue;
import hammerman.unit.Unit;
import hammerman.unit.Valid;

/**
 * A sealed lead battery that is to be replaced.
 *
 * <p>Voltages of a lead cell are usual practice: 2.0 V nominal, charged at 2.30 to 2.45 V, cut off
 * at 1.75 V.
 *
 * @param voltage nominal, V; a multiple of 2 V
 * @param capacity rated at 20 h, Ah
 */
public record LeadBattery(@In(Unit.VOLT) double voltage, @In(Unit.AMPERE_HOUR) double capacity) {
  private static final double CELL = 2.0;
  private static final double CHARGED = 2.45;
  private static final double CUT_OFF = 1.75;

  public LeadBattery {
    Valid.range("Lead battery voltage", voltage, 2, 480, Unit.VOLT);
    Valid.range("Lead battery capacity", capacity, 0.1, 5000, Unit.AMPERE_HOUR);
    if (Math.abs(voltage / CELL - Math.rint(voltage / CELL)) > 1e-6) {
      throw new InvalidValue(
          "Lead battery voltage",
          Figures.exact(voltage, Unit.VOLT),
          "lead cells have 2 V each, so it must be a multiple of 2 V",
          "Type the printed voltage, such as 12 V or 36 V.");
    }
  }

  /** Returns the highest voltage it had on charge, V. */
  public double charged() {
    return voltage / CELL * CHARGED;
  }

  /** Returns the voltage at which devices made for it usually stop, V. */
  public double cutOff() {
    return voltage / CELL * CUT_OFF;
  }
}
