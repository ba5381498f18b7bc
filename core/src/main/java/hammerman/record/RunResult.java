package hammerman.record;

import hammerman.unit.Unit;
import hammerman.unit.Valid;

/** What a run gives, with the range that a figure can have. */
public enum RunResult {
  /** From the first to the last moment. */
  DURATION("Time", Unit.HOUR, 0, 30 * 86400.0),
  /** Out of the pack. */
  CHARGE("Charge taken", Unit.AMPERE_HOUR, 0, 1e6),
  /** Out of the pack. */
  ENERGY("Energy taken", Unit.WATT_HOUR, 0, 1e12),
  /** Back into the pack. */
  REGENERATED("Energy given back", Unit.WATT_HOUR, 0, 1e12),
  /** The highest. */
  PEAK_CURRENT("Peak current", Unit.AMPERE, 0, 20_000),
  /** The highest. */
  PEAK_POWER("Peak power", Unit.WATT, 0, 1e7),
  /** Under load. */
  LOWEST_VOLTAGE("Lowest voltage", Unit.VOLT, 0, 1000),
  /** Of whatever was measured. */
  HOTTEST("Hottest", Unit.CELSIUS, 200, 600),
  /** Way covered. */
  DISTANCE("Distance", Unit.KILOMETRE, 0, 1e8),
  /** Of the pack with its leads, by regression over some seconds. */
  RESISTANCE("Resistance", Unit.MILLIOHM, 0, 100);

  private final String label;
  private final Unit unit;
  private final double lowest;
  private final double highest;

  RunResult(String label, Unit unit, double lowest, double highest) {
    this.label = label;
    this.unit = unit;
    this.lowest = lowest;
    this.highest = highest;
  }

  /** Returns its name. */
  public String label() {
    return label;
  }

  /** Returns the unit it is shown in; the core's unit is J, Ah, s, A, W, V, K, m, Ω. */
  public Unit unit() {
    return unit;
  }

  /** Whether a result can have a value. */
  public boolean allows(double value) {
    return value >= lowest && value <= highest;
  }

  void check(double value) {
    Valid.range(label, value, lowest, highest, unit);
  }
}
