package hammerman.life;

/**
 * Ageing of NMC, also used for NCA: J. Schmalstieg et al., J. Power Sources 257 (2014) 325.
 * Capacity 1 − α t^0.75 − β √Q, resistance 1 + α_R t^0.75 + β_R Q; t in days, Q in Ah moved in both
 * directions by the paper's 2.05 Ah cell, V in volts, T in kelvin. α is not let below 0.
 */
record NickelLaw() implements AgeingLaw {
  private static final double PAPER_CAPACITY = 2.05;

  @Override
  public double calendarExponent() {
    return 0.75;
  }

  /** α, capacity. */
  @Override
  public double calendarRate(Conditions.Rest rest) {
    return Math.max(
        0, (7.543 * rest.voltage() - 23.75) * 1e6 * Math.exp(-6976 / rest.temperature()));
  }

  @Override
  public double cycleExponent() {
    return 0.5;
  }

  /** β, capacity. */
  @Override
  public double cycleRate(Conditions.Cycling cycling) {
    double off = cycling.meanVoltage() - 3.667;
    return 7.348e-3 * off * off + 7.600e-4 + 4.081e-3 * cycling.depth();
  }

  @Override
  public double throughputPerEquivalentCycle() {
    return 2 * PAPER_CAPACITY;
  }

  /** α_R. */
  @Override
  public double calendarResistanceRate(Conditions.Rest rest) {
    return Math.max(
        0, (5.270 * rest.voltage() - 16.32) * 1e5 * Math.exp(-5986 / rest.temperature()));
  }

  /** β_R, not below 0. */
  @Override
  public double cycleResistanceRate(Conditions.Cycling cycling) {
    double off = cycling.meanVoltage() - 3.725;
    return Math.max(0, 2.153e-4 * off * off - 1.521e-5 + 2.798e-4 * cycling.depth());
  }

  @Override
  public boolean knowsResistance() {
    return true;
  }

  @Override
  public String source() {
    return "Schmalstieg et al., J. Power Sources 257 (2014) 325, capacity and resistance equations";
  }

  @Override
  public String validity() {
    return "35 to 50 °C at rest, 35 °C cycling at 1 C, 3.0 to 4.2 V; one 2.05 Ah NMC cell type";
  }

  @Override
  public boolean extrapolates(Conditions conditions) {
    return conditions.rests().stream()
            .anyMatch(r -> r.temperature() < 308.15 - 0.01 || r.temperature() > 323.15)
        || Math.abs(conditions.cycling().temperature() - 308.15) > 5;
  }

  @Override
  public boolean indicative() {
    return false;
  }
}
