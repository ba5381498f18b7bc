package hammerman.record;

import hammerman.unit.Unit;

/** What can be measured of a cell, a group or a pack, with the range that a figure can have. */
public enum Measured {
  /** Open-circuit voltage after a rest. */
  REST_VOLTAGE("Rest voltage", Unit.VOLT, -1000, 1000),
  /** Resistance by alternating current, mostly at 1 kHz. */
  AC_RESISTANCE("AC resistance", Unit.OHM, 0, 100),
  /** Resistance by a step of direct current. */
  DC_RESISTANCE("DC resistance", Unit.OHM, 0, 100),
  /** Charge given between full and the cut-off. */
  CAPACITY("Capacity", Unit.AMPERE_HOUR, 0, 100_000),
  /** Voltage lost at rest, per second. */
  SELF_DISCHARGE("Self-discharge", Unit.MILLIVOLT_PER_DAY, -1, 1),
  /** Surface temperature. */
  TEMPERATURE("Temperature", Unit.CELSIUS, 200, 1500),
  /** Mass. */
  MASS("Mass", Unit.KILOGRAM, 0, 10_000);

  private final String label;
  private final Unit unit;
  private final double lowest;
  private final double highest;

  Measured(String label, Unit unit, double lowest, double highest) {
    this.label = label;
    this.unit = unit;
    this.lowest = lowest;
    this.highest = highest;
  }

  /** Returns its name. */
  public String label() {
    return label;
  }

  /** Returns the unit it is shown in. */
  public Unit unit() {
    return unit;
  }

  /** Returns the least value that can be, in the core's unit. */
  public double lowest() {
    return lowest;
  }

  /** Returns the greatest value that can be, in the core's unit. */
  public double highest() {
    return highest;
  }
}
