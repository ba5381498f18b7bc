package hammerman.cell;

import hammerman.numeric.MonotoneCubic;
import hammerman.unit.In;
import hammerman.unit.Unit;
import hammerman.unit.Valid;
import io.soabase.recordbuilder.core.RecordBuilder;
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
 * @param cycleLife what its datasheet promises; absent when it promises nothing
 */
@RecordBuilder
public record CellType(
    String id,
    String name,
    CellFormat format,
    Chemistry chemistry,
    @In(Unit.AMPERE_HOUR) double capacity,
    @In(Unit.MILLIOHM) double r10,
    CellCurrents currents,
    @In(Unit.VOLT) double nominalVoltage,
    @In(Unit.VOLT) double fullVoltage,
    @In(Unit.VOLT) double cutOffVoltage,
    CellTemperatures temperatures,
    @In(Unit.GRAM) double mass,
    double price,
    @In(Unit.JOULE_PER_KILOGRAM_KELVIN) double specificHeat,
    String source,
    @Nullable RestVoltage restVoltage,
    @Nullable Health health,
    @Nullable CycleLife cycleLife)
    implements CellTypeBuilder.With {

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
  @Override
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
        value.isNew() ? null : value,
        cycleLife);
  }
}
