package hammerman.cell;

import hammerman.numeric.MonotoneCubic;
import hammerman.unit.In;
import hammerman.unit.Unit;
import hammerman.unit.Valid;
import org.jspecify.annotations.Nullable;

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
 * @param restVoltage its own rested voltage curve; absent when the chemistry's typical one serves
 * @param health what use has left of the figures of a new one; absent for new cells. Capacity and
 *     resistance above are those of today.
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
    String source,
    @Nullable RestVoltage restVoltage,
    @Nullable Health health) {

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

  /** Returns the rested voltage (V, 25 °C) over state of charge (0 to 1), strictly increasing. */
  public MonotoneCubic openCircuit() {
    return restVoltage == null ? chemistry.openCircuit() : restVoltage.curve();
  }

  /** Returns the energy at rated capacity and nominal voltage, J. */
  public double energy() {
    return nominalVoltage * capacity * 3600;
  }

  /**
   * Returns this cell after use: capacity and resistance are those of the new cell by the factors.
   */
  public CellType withHealth(Health value) {
    double freshCapacity = health == null ? capacity : capacity / health.capacity();
    double freshResistance = health == null ? r10 : r10 / health.resistance();
    return new CellType(
        id,
        name,
        format,
        chemistry,
        freshCapacity * value.capacity(),
        freshResistance * value.resistance(),
        currents,
        nominalVoltage,
        fullVoltage,
        cutOffVoltage,
        temperatures,
        mass,
        price,
        specificHeat,
        source,
        restVoltage,
        value.isNew() ? null : value);
  }

  public CellType withId(String value) {
    return new CellType(
        value,
        name,
        format,
        chemistry,
        capacity,
        r10,
        currents,
        nominalVoltage,
        fullVoltage,
        cutOffVoltage,
        temperatures,
        mass,
        price,
        specificHeat,
        source,
        restVoltage,
        health);
  }

  public CellType withName(String value) {
    return new CellType(
        id,
        value,
        format,
        chemistry,
        capacity,
        r10,
        currents,
        nominalVoltage,
        fullVoltage,
        cutOffVoltage,
        temperatures,
        mass,
        price,
        specificHeat,
        source,
        restVoltage,
        health);
  }

  public CellType withFormat(CellFormat value) {
    return new CellType(
        id,
        name,
        value,
        chemistry,
        capacity,
        r10,
        currents,
        nominalVoltage,
        fullVoltage,
        cutOffVoltage,
        temperatures,
        mass,
        price,
        specificHeat,
        source,
        restVoltage,
        health);
  }

  public CellType withChemistry(Chemistry value) {
    return new CellType(
        id,
        name,
        format,
        value,
        capacity,
        r10,
        currents,
        nominalVoltage,
        fullVoltage,
        cutOffVoltage,
        temperatures,
        mass,
        price,
        specificHeat,
        source,
        restVoltage,
        health);
  }

  public CellType withCapacity(double value) {
    return new CellType(
        id,
        name,
        format,
        chemistry,
        value,
        r10,
        currents,
        nominalVoltage,
        fullVoltage,
        cutOffVoltage,
        temperatures,
        mass,
        price,
        specificHeat,
        source,
        restVoltage,
        health);
  }

  public CellType withR10(double value) {
    return new CellType(
        id,
        name,
        format,
        chemistry,
        capacity,
        value,
        currents,
        nominalVoltage,
        fullVoltage,
        cutOffVoltage,
        temperatures,
        mass,
        price,
        specificHeat,
        source,
        restVoltage,
        health);
  }

  public CellType withCurrents(Currents value) {
    return new CellType(
        id,
        name,
        format,
        chemistry,
        capacity,
        r10,
        value,
        nominalVoltage,
        fullVoltage,
        cutOffVoltage,
        temperatures,
        mass,
        price,
        specificHeat,
        source,
        restVoltage,
        health);
  }

  public CellType withNominalVoltage(double value) {
    return new CellType(
        id,
        name,
        format,
        chemistry,
        capacity,
        r10,
        currents,
        value,
        fullVoltage,
        cutOffVoltage,
        temperatures,
        mass,
        price,
        specificHeat,
        source,
        restVoltage,
        health);
  }

  public CellType withFullVoltage(double value) {
    return new CellType(
        id,
        name,
        format,
        chemistry,
        capacity,
        r10,
        currents,
        nominalVoltage,
        value,
        cutOffVoltage,
        temperatures,
        mass,
        price,
        specificHeat,
        source,
        restVoltage,
        health);
  }

  public CellType withCutOffVoltage(double value) {
    return new CellType(
        id,
        name,
        format,
        chemistry,
        capacity,
        r10,
        currents,
        nominalVoltage,
        fullVoltage,
        value,
        temperatures,
        mass,
        price,
        specificHeat,
        source,
        restVoltage,
        health);
  }

  public CellType withTemperatures(Temperatures value) {
    return new CellType(
        id,
        name,
        format,
        chemistry,
        capacity,
        r10,
        currents,
        nominalVoltage,
        fullVoltage,
        cutOffVoltage,
        value,
        mass,
        price,
        specificHeat,
        source,
        restVoltage,
        health);
  }

  public CellType withMass(double value) {
    return new CellType(
        id,
        name,
        format,
        chemistry,
        capacity,
        r10,
        currents,
        nominalVoltage,
        fullVoltage,
        cutOffVoltage,
        temperatures,
        value,
        price,
        specificHeat,
        source,
        restVoltage,
        health);
  }

  public CellType withPrice(double value) {
    return new CellType(
        id,
        name,
        format,
        chemistry,
        capacity,
        r10,
        currents,
        nominalVoltage,
        fullVoltage,
        cutOffVoltage,
        temperatures,
        mass,
        value,
        specificHeat,
        source,
        restVoltage,
        health);
  }

  public CellType withSpecificHeat(double value) {
    return new CellType(
        id,
        name,
        format,
        chemistry,
        capacity,
        r10,
        currents,
        nominalVoltage,
        fullVoltage,
        cutOffVoltage,
        temperatures,
        mass,
        price,
        value,
        source,
        restVoltage,
        health);
  }

  public CellType withSource(String value) {
    return new CellType(
        id,
        name,
        format,
        chemistry,
        capacity,
        r10,
        currents,
        nominalVoltage,
        fullVoltage,
        cutOffVoltage,
        temperatures,
        mass,
        price,
        specificHeat,
        value,
        restVoltage,
        health);
  }

  public CellType withRestVoltage(@Nullable RestVoltage value) {
    return new CellType(
        id,
        name,
        format,
        chemistry,
        capacity,
        r10,
        currents,
        nominalVoltage,
        fullVoltage,
        cutOffVoltage,
        temperatures,
        mass,
        price,
        specificHeat,
        source,
        value,
        health);
  }

  /**
   * State of health.
   *
   * @param capacity share of the new capacity that is left, 0.2 to 1
   * @param resistance times the new resistance, 1 to 10
   */
  public record Health(@In(Unit.PERCENT) double capacity, @In(Unit.PERCENT) double resistance) {
    /** A new cell. */
    public static final Health NEW = new Health(1, 1);

    public Health {
      Valid.range("Capacity left", capacity, 0.2, 1, Unit.PERCENT);
      Valid.range("Resistance against new", resistance, 1, 10, Unit.PERCENT);
    }

    boolean isNew() {
      return capacity == 1 && resistance == 1;
    }
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

    public Currents withContinuous(double value) {
      return new Currents(value, peak, standardCharge, fastCharge);
    }

    public Currents withPeak(double value) {
      return new Currents(continuous, value, standardCharge, fastCharge);
    }

    public Currents withStandardCharge(double value) {
      return new Currents(continuous, peak, value, fastCharge);
    }

    public Currents withFastCharge(double value) {
      return new Currents(continuous, peak, standardCharge, value);
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

    public Temperatures withChargeLowest(double value) {
      return new Temperatures(value, chargeHighest, dischargeLowest, dischargeHighest);
    }

    public Temperatures withChargeHighest(double value) {
      return new Temperatures(chargeLowest, value, dischargeLowest, dischargeHighest);
    }

    public Temperatures withDischargeLowest(double value) {
      return new Temperatures(chargeLowest, chargeHighest, value, dischargeHighest);
    }

    public Temperatures withDischargeHighest(double value) {
      return new Temperatures(chargeLowest, chargeHighest, dischargeLowest, value);
    }
  }
}
