package hammerman.guard;

import hammerman.unit.In;
import hammerman.unit.Unit;
import hammerman.unit.Valid;
import io.soabase.recordbuilder.core.RecordBuilder;

/**
 * A battery management system.
 *
 * @param series groups it watches
 * @param continuousCurrent discharge it carries for long, A
 * @param overCurrent threshold at which it trips, A
 * @param overCurrentDelay time above the threshold before it trips, s
 * @param chargeCurrent highest charge current, A; also caps regeneration
 * @param cutOffVoltage group voltage at which it opens on discharge, V
 * @param overVoltage group voltage at which it opens on charge, V
 * @param resistance of both MOSFET banks in the path, Ω
 * @param mosfetVoltage highest voltage its switches block, V
 * @param balance how it evens the groups out
 * @param temperatureSensors how many it reads
 * @param quiescentCurrent what it draws from the pack itself, A
 */
@RecordBuilder
public record Bms(
    int series,
    @In(Unit.AMPERE) double continuousCurrent,
    @In(Unit.AMPERE) double overCurrent,
    @In(Unit.SECOND) double overCurrentDelay,
    @In(Unit.AMPERE) double chargeCurrent,
    @In(Unit.VOLT) double cutOffVoltage,
    @In(Unit.VOLT) double overVoltage,
    @In(Unit.MILLIOHM) double resistance,
    @In(Unit.VOLT) double mosfetVoltage,
    Balance balance,
    int temperatureSensors,
    @In(Unit.MILLIAMPERE) double quiescentCurrent)
    implements BmsBuilder.With {

  public Bms {
    Valid.count("BMS series count", series, 1, 250);
    Valid.range("BMS continuous current", continuousCurrent, 0.1, 5000, Unit.AMPERE);
    Valid.range("BMS over-current threshold", overCurrent, 0.1, 10_000, Unit.AMPERE);
    Valid.range("BMS over-current delay", overCurrentDelay, 0, 600, Unit.SECOND);
    Valid.range("BMS charge current", chargeCurrent, 0, 5000, Unit.AMPERE);
    Valid.range("BMS cut-off voltage", cutOffVoltage, 0.5, 5, Unit.VOLT);
    Valid.range("BMS over-voltage", overVoltage, 0.6, 6, Unit.VOLT);
    Valid.above("BMS over-voltage", overVoltage, "its cut-off voltage", cutOffVoltage, Unit.VOLT);
    Valid.range("BMS resistance", resistance, 0, 1, Unit.MILLIOHM);
    Valid.range("BMS switch voltage", mosfetVoltage, 1, 2000, Unit.VOLT);
    Valid.count("BMS temperature sensors", temperatureSensors, 0, 100);
    Valid.range("Current that the BMS draws", quiescentCurrent, 0, 10, Unit.MILLIAMPERE);
  }

  /**
   * How groups are evened out.
   *
   * @param kind by which way
   * @param current at which a group is evened out, A; 0 for none
   */
  public record Balance(Kind kind, @In(Unit.MILLIAMPERE) double current) {
    /** The ways of balancing. */
    public enum Kind {
      /** The fuller groups are bled through resistors. */
      PASSIVE,
      /** Charge goes from fuller groups to emptier ones. */
      ACTIVE
    }

    public Balance {
      Valid.range("Balance current", current, 0, 50, Unit.MILLIAMPERE);
    }

    /** Returns the hours to remove an imbalance (Ah), infinite without balancing. */
    public double hoursFor(double imbalance) {
      return imbalance / current;
    }
  }

  /** Returns this BMS with another over-current threshold (A) and delay (s). */
  public Bms withTrip(double threshold, double delay) {
    return withOverCurrent(threshold).withOverCurrentDelay(delay);
  }

  /** Returns this BMS with other group voltages (V) at which it opens. */
  public Bms withVoltages(double cutOff, double over) {
    return BmsBuilder.builder(this).cutOffVoltage(cutOff).overVoltage(over).build();
  }
}
