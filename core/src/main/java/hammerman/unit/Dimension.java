package hammerman.unit;

/** What a quantity measures; units of the same dimension convert into each other. */
public enum Dimension {
  COUNT("a number"),
  FRACTION("a percentage"),
  VOLTAGE("a voltage"),
  CURRENT("a current"),
  CHARGE("a capacity"),
  RESISTANCE("a resistance"),
  POWER("a power"),
  ENERGY("an energy"),
  ENERGY_PER_DISTANCE("an energy per distance"),
  MASS("a mass"),
  LENGTH("a length"),
  AREA("a cross-section"),
  TIME("a time"),
  SPEED("a speed"),
  TEMPERATURE("a temperature"),
  SPECIFIC_HEAT("a specific heat"),
  MONEY("a price"),
  FREQUENCY("a rate"),
  VOLUME("a volume"),
  CAPACITANCE("a capacitance"),
  SPEED_CONSTANT("a motor constant"),
  TORQUE("a torque"),
  VOLTAGE_PER_TIME("a loss of voltage");

  private final String noun;

  Dimension(String noun) {
    this.noun = noun;
  }

  /** Returns the dimension with its article, for messages: "a voltage". */
  public String noun() {
    return noun;
  }
}
