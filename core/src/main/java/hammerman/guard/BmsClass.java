package hammerman.guard;

import hammerman.cell.CellType;
import hammerman.unit.In;
import hammerman.unit.Unit;
import hammerman.unit.Valid;

/**
 * A class of BMS, made for a range of series counts.
 *
 * @param name generic, no maker
 * @param leastSeries smallest count it is made for
 * @param mostSeries largest count it is made for
 * @param continuousCurrent A
 * @param overCurrent threshold at which it trips, A
 * @param overCurrentDelay s
 * @param chargeCurrent A
 * @param mosfetVoltage highest voltage its switches block, V
 * @param balance how it evens groups out
 * @param resistance Ω
 * @param temperatureSensors how many
 * @param source where the figures come from
 */
public record BmsClass(
    String name,
    int leastSeries,
    int mostSeries,
    @In(Unit.AMPERE) double continuousCurrent,
    @In(Unit.AMPERE) double overCurrent,
    @In(Unit.SECOND) double overCurrentDelay,
    @In(Unit.AMPERE) double chargeCurrent,
    @In(Unit.VOLT) double mosfetVoltage,
    Bms.Balance balance,
    @In(Unit.MILLIOHM) double resistance,
    int temperatureSensors,
    String source) {
  /** What a BMS of the hobby draws from the pack while it waits, A; typical. */
  private static final double USUAL_DRAW = 0.2e-3;

  public BmsClass {
    Valid.text("BMS class name", name);
    Valid.count("Least series count", leastSeries, 1, 250);
    Valid.count("Most series count", mostSeries, leastSeries, 250);
  }

  /** Returns the BMS of this class for a string, with voltages that suit a cell. */
  public Bms unit(int series, CellType cell) {
    return new Bms(
        series,
        continuousCurrent,
        overCurrent,
        overCurrentDelay,
        chargeCurrent,
        cutOffFor(cell),
        overVoltageFor(cell),
        resistance,
        mosfetVoltage,
        balance,
        temperatureSensors,
        USUAL_DRAW);
  }

  /**
   * Returns the group voltage at which a BMS should open on discharge, V: 0.3 V above the cell's.
   */
  public static double cutOffFor(CellType cell) {
    return rounded(cell.cutOffVoltage() + 0.3);
  }

  /** Returns the group voltage at which a BMS should open on charge, V: 50 mV above full. */
  public static double overVoltageFor(CellType cell) {
    return rounded(cell.fullVoltage() + 0.05);
  }

  private static double rounded(double volts) {
    return Math.round(volts * 1000) / 1000.0;
  }
}
