package hammerman.circuit;

import hammerman.finding.Finding.Measure;
import hammerman.unit.Unit;

/**
 * One row of the stress table: the worst that happens to a part in one way.
 *
 * @param part which part
 * @param kind in which way
 * @param value the worst value, in the core's unit
 * @param limit what the part stands, in the core's unit
 * @param atLeast whether the limit is the least allowed, not the most
 * @param unit in which it is shown
 * @param state what goes on then
 * @param corner at which conditions
 * @param seconds for how long, s; not a number where time does not matter
 * @param protector who ends it; empty for nobody
 * @param source where the limit comes from
 */
public record Stress(
    Part part,
    Kind kind,
    double value,
    double limit,
    boolean atLeast,
    Unit unit,
    State state,
    Corner corner,
    double seconds,
    String protector,
    String source) {
  /** The ways in which a part is stressed. */
  public enum Kind {
    VOLTAGE("voltage", "voltage"),
    CURRENT("current", "current of the duty"),
    EFFORT("effort", "current at full effort"),
    ALONE("alone", "current when alone"),
    TRIP("trip", "current that opens it in use"),
    CHARGE("charge", "charge current"),
    BRAKE("brake", "braking current"),
    BRAKE_COLD("brakeCold", "coldest braking"),
    BRAKE_FULL("brakeFull", "charge when braking begins"),
    CHARGE_COLD("chargeCold", "coldest charging"),
    CHARGE_HOT("chargeHot", "hottest charging"),
    OVERCHARGE("overcharge", "end of charge"),
    UNDERCHARGE("undercharge", "charge reached"),
    INTERRUPTED("interrupted", "charge cut off at"),
    COLD("cold", "coldest use"),
    HOT("hot", "hottest use"),
    LOW("low", "end of discharge"),
    FLOOR("floor", "charge where it cuts off"),
    SHORT("short", "short-circuit current"),
    WITHSTAND("withstand", "current until it is cleared"),
    CLEARS("clears", "time to clear a short circuit"),
    OVERLOAD("overload", "current that nobody ends"),
    MISSING("none", "presence"),
    COUNT("count", "count"),
    ENERGY("energy", "energy of one start"),
    SPARK("spark", "first current"),
    TIME("time", "time"),
    BALANCE("balance", "hours to even out 1 %"),
    SENSOR("sensor", "temperature sensors"),
    UNUSED("unused", "charge left unused"),
    LENGTH("length", "length without a fuse"),
    DROP("drop", "voltage lost"),
    TOUCH("touch", "touch voltage"),
    GAP("gap", "current when joined"),
    UNEQUAL("unequal", "difference of full voltages"),
    CAPACITY("capacity", "difference of capacities"),
    MATCH("match", "kind"),
    DAYS("days", "days until it is empty"),
    STORED_FULL("storedFull", "charge in storage"),
    STORED_HOT("storedHot", "heat in storage"),
    STORED_EMPTY("storedEmpty", "charge in storage"),
    LOT("lot", "spread of the cells"),
    FIGURE("figure", "figure as typed"),
    FIGURE_LOW("figureLow", "figure as typed"),
    FIGURE_COLD("figureCold", "figure as typed"),
    FIGURE_HOT("figureHot", "figure as typed");

    private final String key;
    private final String label;

    Kind(String key, String label) {
      this.key = key;
      this.label = label;
    }

    /** Returns its stable name in ids. */
    public String key() {
      return key;
    }

    /** Returns what is compared, in words. */
    public String label() {
      return label;
    }
  }

  /** Returns the stable name of part and kind, such as “second.fuse.voltage”. */
  public String id() {
    return part.key() + "." + kind.key();
  }

  /** Returns what is compared. */
  public Measure measure() {
    return new Measure(kind.label(), value, limit, atLeast, unit);
  }

  /** Whether the limit is passed; a value exactly on it is within. */
  public boolean exceeded() {
    return measure().exceeded();
  }
}
