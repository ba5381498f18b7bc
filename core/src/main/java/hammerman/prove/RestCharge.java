package hammerman.prove;

import hammerman.cell.CellCircuit;
import hammerman.cell.CellType;
import hammerman.cell.Chemistry;
import hammerman.unit.Figures;
import hammerman.unit.Unit;

/**
 * State of charge from the voltage at rest, with what the meter and the chemistry leave open. The
 * curve is that of the cell's type at 25 °C after some hours at rest; hysteresis is counted as
 * {@value #HYSTERESIS} V either way for phosphate, which rests higher after a charge than after a
 * discharge, and {@value #USUAL} V for others (typical).
 *
 * @param soc most likely, 0 to 1
 * @param low at least
 * @param high at most
 */
public record RestCharge(double soc, double low, double high) {
  private static final double HYSTERESIS = 0.010;
  private static final double USUAL = 0.003;

  /** A span wider than this tells next to nothing. */
  private static final double VAGUE = 0.2;

  /**
   * Reads a voltage.
   *
   * @param perCell rest voltage of one cell, V
   * @param error of the meter for one cell, V, at least 0
   */
  public static RestCharge of(CellType cell, double perCell, double error) {
    CellCircuit circuit = new CellCircuit(cell);
    boolean flat = cell.chemistry() == Chemistry.LFP;
    double off = error + (flat ? HYSTERESIS : USUAL);
    return new RestCharge(
        Math.clamp(circuit.socAt(perCell), 0, 1),
        Math.clamp(circuit.socAt(perCell - off), 0, 1),
        Math.clamp(circuit.socAt(perCell + off), 0, 1));
  }

  /** Whether the voltage tells the charge at all. */
  public boolean tells() {
    return high - low <= VAGUE;
  }

  /** Returns it in a sentence. */
  public String words() {
    return tells()
        ? "About %s full (%s to %s)."
            .formatted(
                Figures.of(soc, Unit.PERCENT, 0),
                Figures.of(low, Unit.PERCENT, 0),
                Figures.of(high, Unit.PERCENT, 0))
        : "The voltage cannot tell here: anything from %s to %s rests like this. Count the charge, or"
                .formatted(Figures.of(low, Unit.PERCENT, 0), Figures.of(high, Unit.PERCENT, 0))
            + " read it near full or near empty.";
  }
}
