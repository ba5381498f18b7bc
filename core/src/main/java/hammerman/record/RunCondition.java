package hammerman.record;

import hammerman.unit.Unit;
import hammerman.unit.Valid;
import org.jspecify.annotations.Nullable;

/** What a run is done under; what is not of this list has a name of the builder's own. */
public enum RunCondition {
  /** Open-circuit voltage of the pack before the start. */
  START_VOLTAGE("Rest voltage at the start", Unit.VOLT, 0, 1000),
  /** State of charge at the start, where it is known better than by the voltage. */
  START_SOC("Charge at the start", Unit.PERCENT, 0, 1),
  /** Temperature of the air, and of a pack that lay in it. */
  AIR("Air", Unit.CELSIUS, 200, 340),
  /** What the machine carries besides itself. */
  CARRIED("Load carried", Unit.KILOGRAM, 0, 100_000),
  /** Which pack is on. */
  PACK("Pack", null, 0, 0),
  /** Wire and connectors on the way. */
  WIRE("Wire", null, 0, 0),
  /** Where it goes. */
  COURSE("Course", null, 0, 0),
  /** What the controller is set to. */
  SETTINGS("Controller's settings", null, 0, 0),
  /** What is on the shaft. */
  TOOL("Tyre or tool", null, 0, 0);

  private final String label;
  private final @Nullable Unit unit;
  private final double lowest;
  private final double highest;

  RunCondition(String label, @Nullable Unit unit, double lowest, double highest) {
    this.label = label;
    this.unit = unit;
    this.lowest = lowest;
    this.highest = highest;
  }

  /** Returns its name. */
  public String label() {
    return label;
  }

  /** Returns the unit it is shown in; absent for words. */
  public @Nullable Unit unit() {
    return unit;
  }

  void check(double value) {
    Unit of = unit;
    if (of != null) {
      Valid.range(label, value, lowest, highest, of);
    }
  }
}
