package hammerman.unit;

import java.util.List;

/**
 * The units of files and screens, each with its way to the core's own unit of that dimension (SI;
 * charge in Ah).
 *
 * <p>{@code core = value * factor + offset}. Money has no unit: prices are in whatever currency the
 * user thinks in.
 */
public enum Unit {
  ONE("", "", Dimension.COUNT, 1),
  PERCENT("%", "percent", Dimension.FRACTION, 0.01),
  VOLT("V", "V", Dimension.VOLTAGE, 1),
  MILLIVOLT("mV", "mV", Dimension.VOLTAGE, 1e-3),
  AMPERE("A", "A", Dimension.CURRENT, 1),
  MILLIAMPERE("mA", "mA", Dimension.CURRENT, 1e-3),
  KILOAMPERE("kA", "kA", Dimension.CURRENT, 1e3),
  AMPERE_HOUR("Ah", "Ah", Dimension.CHARGE, 1),
  MILLIAMPERE_HOUR("mAh", "mAh", Dimension.CHARGE, 1e-3),
  OHM("Ω", "ohm", Dimension.RESISTANCE, 1, "ohm", "ohms", "R"),
  MILLIOHM("mΩ", "mOhm", Dimension.RESISTANCE, 1e-3, "mohm", "mohms", "mR"),
  WATT("W", "W", Dimension.POWER, 1),
  KILOWATT("kW", "kW", Dimension.POWER, 1e3),
  JOULE("J", "J", Dimension.ENERGY, 1),
  WATT_HOUR("Wh", "Wh", Dimension.ENERGY, 3600),
  KILOWATT_HOUR("kWh", "kWh", Dimension.ENERGY, 3.6e6),
  JOULE_PER_METRE("J/m", "J_per_m", Dimension.ENERGY_PER_DISTANCE, 1),
  WATT_HOUR_PER_KILOMETRE("Wh/km", "Wh_per_km", Dimension.ENERGY_PER_DISTANCE, 3.6),
  KILOGRAM("kg", "kg", Dimension.MASS, 1),
  GRAM("g", "g", Dimension.MASS, 1e-3),
  METRE("m", "m", Dimension.LENGTH, 1),
  KILOMETRE("km", "km", Dimension.LENGTH, 1000),
  CENTIMETRE("cm", "cm", Dimension.LENGTH, 0.01),
  MILLIMETRE("mm", "mm", Dimension.LENGTH, 1e-3),
  SQUARE_METRE("m²", "m2", Dimension.AREA, 1, "m2"),
  SQUARE_MILLIMETRE("mm²", "mm2", Dimension.AREA, 1e-6, "mm2", "sqmm"),
  MILLISECOND("ms", "ms", Dimension.TIME, 1e-3),
  SECOND("s", "s", Dimension.TIME, 1, "sec"),
  MINUTE("min", "min", Dimension.TIME, 60, "mins"),
  HOUR("h", "h", Dimension.TIME, 3600, "hr", "hrs", "hours"),
  DAY("d", "d", Dimension.TIME, 86400, "day", "days"),
  YEAR("years", "years", Dimension.TIME, 365.25 * 86400, "year", "a"),
  METRE_PER_SECOND("m/s", "m_per_s", Dimension.SPEED, 1),
  KILOMETRE_PER_HOUR("km/h", "km_per_h", Dimension.SPEED, 1 / 3.6, "kmh"),
  MILE_PER_HOUR("mph", "mph", Dimension.SPEED, 0.44704),
  KELVIN("K", "K", Dimension.TEMPERATURE, 1),
  CELSIUS("°C", "C", Dimension.TEMPERATURE, 1, 273.15, "C", "degC"),
  FAHRENHEIT("°F", "F", Dimension.TEMPERATURE, 5 / 9.0, 273.15 - 32 * 5 / 9.0, "F", "degF"),
  JOULE_PER_KILOGRAM_KELVIN("J/kg K", "J_per_kgK", Dimension.SPECIFIC_HEAT, 1, "J/kgK"),
  MONEY("", "money", Dimension.MONEY, 1),
  PER_WEEK("per week", "per_week", Dimension.FREQUENCY, 1 / (7 * 86400.0), "/week", "/wk"),
  CUBIC_METRE("m³", "m3", Dimension.VOLUME, 1, "m3"),
  LITRE("L", "L", Dimension.VOLUME, 1e-3, "l", "litre", "litres"),
  MICROFARAD("µF", "uF", Dimension.CAPACITANCE, 1e-6, "uF", "μF"),
  MILLIFARAD("mF", "mF", Dimension.CAPACITANCE, 1e-3),
  RPM_PER_VOLT("rpm/V", "rpm_per_V", Dimension.SPEED_CONSTANT, Math.PI / 30),
  NEWTON_METRE("N m", "Nm", Dimension.TORQUE, 1, "Nm"),
  VOLT_PER_SECOND("V/s", "V_per_s", Dimension.VOLTAGE_PER_TIME, 1),
  MILLIVOLT_PER_DAY(
      "mV/day",
      "mV_per_day",
      Dimension.VOLTAGE_PER_TIME,
      1e-3 / 86400,
      "mV/d",
      "mV per day",
      "mV a day");

  private final String symbol;
  private final String key;
  private final Dimension dimension;
  private final double factor;
  private final double offset;
  private final List<String> spellings;

  Unit(String symbol, String key, Dimension dimension, double factor, String... spellings) {
    this(symbol, key, dimension, factor, 0, spellings);
  }

  Unit(
      String symbol,
      String key,
      Dimension dimension,
      double factor,
      double offset,
      String... spellings) {
    this.symbol = symbol;
    this.key = key;
    this.dimension = dimension;
    this.factor = factor;
    this.offset = offset;
    this.spellings = List.of(spellings);
  }

  /** Returns the symbol as printed after a figure, empty for plain numbers. */
  public String symbol() {
    return symbol;
  }

  /** Returns the suffix that names this unit in file keys, such as {@code mOhm}. */
  public String key() {
    return key;
  }

  /** Returns what this unit measures. */
  public Dimension dimension() {
    return dimension;
  }

  /** Converts a value in this unit into the core's unit. */
  public double toCore(double value) {
    return value * factor + offset;
  }

  /** Converts a value in the core's unit into this unit. */
  public double fromCore(double core) {
    return (core - offset) / factor;
  }

  /** Whether the text, as a person types it, means this unit. */
  boolean isWritten(String text) {
    return text.equals(symbol)
        || spellings.contains(text)
        || (symbol.length() > 1 && text.equalsIgnoreCase(symbol) && !symbol.startsWith("m"))
        || spellings.stream().anyMatch(s -> s.length() > 1 && s.equalsIgnoreCase(text));
  }
}
