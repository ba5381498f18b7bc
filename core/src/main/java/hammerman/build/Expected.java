package hammerman.build;

import hammerman.unit.Figures;
import hammerman.unit.Unit;

/**
 * What a reading should be.
 *
 * @param value most likely, in the core's unit
 * @param low least that is let pass
 * @param high most that is let pass
 * @param unit it is read in
 * @param why how the figures were come by, with the figures they rest on
 */
public record Expected(double value, double low, double high, Unit unit, String why) {
  public Expected {
    if (!(low <= value && value <= high)) {
      throw new IllegalArgumentException(value + " is not from " + low + " to " + high);
    }
  }

  /** Returns the same of something that reads so many times as much. */
  public Expected scaled(double by) {
    return by == 1 ? this : new Expected(value * by, low * by, high * by, unit, why);
  }

  /** Whether a reading (core's unit) is let pass. */
  public boolean takes(double reading) {
    return reading >= low && reading <= high;
  }

  /** Returns the bounds in words, such as “48.1 V, from 47.6 V to 48.6 V”. */
  public String words() {
    String from = Figures.of(low, unit, decimals());
    String to = Figures.of(high, unit, decimals());
    if (low == high) {
      return "exactly " + to;
    }
    if (low == value) {
      return "at most " + to;
    }
    return high == value
        ? "at least " + from
        : "%s, from %s to %s".formatted(Figures.of(value, unit, decimals()), from, to);
  }

  /** Returns the decimals that tell the bounds apart, in the unit it is read in. */
  public int decimals() {
    if (unit == Unit.ONE) {
      return 0;
    }
    double room = Math.abs(unit.fromCore(high) - unit.fromCore(low)) / 2;
    return room >= 20 ? 0 : room >= 2 ? 1 : room >= 0.02 ? 2 : 3;
  }
}
