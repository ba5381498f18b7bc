package hammerman.guard;

/**
 * What protects the pack and carries its current.
 *
 * @param protection school of protection with its BMS
 * @param charge how it is charged
 * @param fuse main fuse
 * @param wiring main leads
 */
public record Guard(Protection protection, ChargePlan charge, Fuse fuse, Wiring wiring) {
  /**
   * Returns the resistance of everything between the pack's ends and the machine at a temperature
   * (K), Ω: leads, connectors, fuse and, in the discharge path, the BMS.
   */
  public double resistance(double kelvin) {
    return wiring.resistance(kelvin)
        + fuse.resistance()
        + protection.inDischargePath().map(Bms::resistance).orElse(0.0);
  }

  /**
   * Returns the highest current that may be pushed into the pack, A: the machine's, capped by the
   * BMS charge limit.
   *
   * @param regeneration what the machine pushes back, A
   */
  public double allowedRegeneration(double regeneration) {
    return protection
        .inDischargePath()
        .map(b -> Math.min(regeneration, b.chargeCurrent()))
        .orElse(regeneration);
  }

  public Guard withProtection(Protection value) {
    return new Guard(value, charge, fuse, wiring);
  }

  public Guard withCharge(ChargePlan value) {
    return new Guard(protection, value, fuse, wiring);
  }

  public Guard withFuse(Fuse value) {
    return new Guard(protection, charge, value, wiring);
  }

  public Guard withWiring(Wiring value) {
    return new Guard(protection, charge, fuse, value);
  }
}
