package hammerman.readymade;

/**
 * A ready-made battery in use: what it is, and the start that it must stand.
 *
 * @param battery the battery
 * @param start the hard start
 */
public record ReadyMadeUse(ReadyMade battery, HardStart start) {

  /** Returns this use with another battery. */
  public ReadyMadeUse withBattery(ReadyMade value) {
    return new ReadyMadeUse(value, start);
  }

  /** Returns this use with another start. */
  public ReadyMadeUse withStart(HardStart value) {
    return new ReadyMadeUse(battery, value);
  }
}
