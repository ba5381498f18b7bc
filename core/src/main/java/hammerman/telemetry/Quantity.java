package hammerman.telemetry;

import hammerman.unit.Unit;
import java.util.List;
import java.util.regex.Pattern;

/** What a column of a log can hold, with the units it may be written in. */
public enum Quantity {
  TIME(
      "Time",
      "time|timestamp|elapsed|date.?time|uptime|t",
      Unit.SECOND,
      Unit.MILLISECOND,
      Unit.MINUTE,
      Unit.HOUR),
  VOLTAGE(
      "Voltage",
      "volt(age)?s?|pack.?v(olt(age)?)?|v.?bat\\w*|bat\\w*.?v(olt(age)?)?|u|v",
      Unit.VOLT,
      Unit.MILLIVOLT),
  CURRENT(
      "Current",
      "curr(ent)?|amps?|amperes?|i.?bat\\w*|bat\\w*.?(curr(ent)?|i)|i|a",
      Unit.AMPERE,
      Unit.MILLIAMPERE),
  POWER("Power", "power|watts?|p|w", Unit.WATT, Unit.KILOWATT),
  SPEED(
      "Speed",
      "speed|velocity|v.?gps|gps.?speed",
      Unit.KILOMETRE_PER_HOUR,
      Unit.METRE_PER_SECOND,
      Unit.MILE_PER_HOUR),
  TEMPERATURE(
      "Temperature", "temp(erature)?s?\\w*|t.?bat\\w*", Unit.CELSIUS, Unit.KELVIN, Unit.FAHRENHEIT);

  private final String label;
  private final Pattern names;
  private final List<Unit> units;

  Quantity(String label, String names, Unit... units) {
    this.label = label;
    this.names = Pattern.compile(names, Pattern.CASE_INSENSITIVE);
    this.units = List.of(units);
  }

  /** Returns the quantity in a word. */
  public String label() {
    return label;
  }

  /** Returns the units it may be written in, the usual one first. */
  public List<Unit> units() {
    return units;
  }

  /** Whether a column's bare name usually means this. */
  boolean isNamed(String name) {
    return names.matcher(name).matches();
  }
}
