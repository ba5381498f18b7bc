package hammerman.cell;

import hammerman.unit.In;
import hammerman.unit.Unit;
import hammerman.unit.Valid;

/**
 * A cell's datasheet, as far as the models use it.
 *
 * @param id stable short name, unique in a library
 * @param name name for people; generic, no maker
 * @param format shape and size
 * @param chemistry chemistry class
 * @param capacity rated capacity at C/5 and 25 °C, Ah
 * @param r10 DC resistance after 10 s at 50 % SOC and 25 °C, Ω
 * @param currents rated currents
 * @param nominalVoltage printed voltage, V
 * @param fullVoltage full-charge voltage, V
 * @param cutOffVoltage lowest loaded voltage, V
 * @param temperatures allowed temperatures
 * @param mass mass, kg
 * @param price price of one, in the user's currency
 * @param specificHeat specific heat, J/(kg K)
 * @param source where the figures come from
 */
public record CellType(
    String id,
    String name,
    CellFormat format,
    Chemistry chemistry,
    @In(Unit.AMPERE_HOUR) double capacity,
    @In(Unit.MILLIOHM) double r10,
    Currents currents,
    @In(Unit.VOLT) double nominalVoltage,
    @In(Unit.VOLT) double fullVoltage,
    @In(Unit.VOLT) double cutOffVoltage,
    Temperatures temperatures,
    @In(Unit.GRAM) double mass,
    double price,
    @In(Unit.JOULE_PER_KILOGRAM_KELVIN) double specificHeat,
    String source) {

  public CellType {
    Valid.text("Cell id", id);
    Valid.text("Cell name", name);
    Valid.range("Cell capacity", capacity, 0.01, 1000, Unit.AMPERE_HOUR);
    Valid.range("Cell resistance", r10, 1e-5, 10, Unit.MILLIOHM);
    Valid.range("Cell cut-off voltage", cutOffVoltage, 0.5, 5, Unit.VOLT);
    Valid.range("Cell full voltage", fullVoltage, 0.6, 6, Unit.VOLT);
    Valid.above("Cell full voltage", fullVoltage, "the cut-off voltage", cutOffVoltage, Unit.VOLT);
    Valid.range("Cell nominal voltage", nominalVoltage, cutOffVoltage, fullVoltage, Unit.VOLT);
    Valid.range("Cell mass", mass, 1e-4, 100, Unit.GRAM);
    Valid.range("Cell price", price, 0, 1e6, Unit.MONEY);
    Valid.range("Specific heat", specificHeat, 100, 5000, Unit.JOULE_PER_KILOGRAM_KELVIN);
  }

  /**
   * Rated currents, A.
   *
   * @param continuous continuous discharge
   * @param peak discharge for 10 s
   * @param standardCharge charge for long life
   * @param fastCharge highest charge
   */
  public record Currents(
      @In(Unit.AMPERE) double continuous,
      @In(Unit.AMPERE) double peak,
      @In(Unit.AMPERE) double standardCharge,
      @In(Unit.AMPERE) double fastCharge) {
    public Currents {
      Valid.range("Cell continuous current", continuous, 1e-3, 1e4, Unit.AMPERE);
      Valid.range("Cell peak current", peak, continuous, 1e4, Unit.AMPERE);
      Valid.range("Cell standard charge current", standardCharge, 1e-3, 1e4, Unit.AMPERE);
      Valid.range("Cell fast charge current", fastCharge, standardCharge, 1e4, Unit.AMPERE);
    }
  }

  /**
   * Allowed cell temperatures, K.
   *
   * @param chargeLowest lowest for charging
   * @param chargeHighest highest for charging
   * @param dischargeLowest lowest for discharging
   * @param dischargeHighest highest for discharging
   */
  public record Temperatures(
      @In(Unit.CELSIUS) double chargeLowest,
      @In(Unit.CELSIUS) double chargeHighest,
      @In(Unit.CELSIUS) double dischargeLowest,
      @In(Unit.CELSIUS) double dischargeHighest) {
    public Temperatures {
      Valid.range("Lowest charge temperature", chargeLowest, 213.15, 373.15, Unit.CELSIUS);
      Valid.range("Highest charge temperature", chargeHighest, chargeLowest, 373.15, Unit.CELSIUS);
      Valid.range("Lowest discharge temperature", dischargeLowest, 213.15, 373.15, Unit.CELSIUS);
      Valid.range(
          "Highest discharge temperature", dischargeHighest, dischargeLowest, 373.15, Unit.CELSIUS);
    }
  }
}
