package hammerman.choice;

import hammerman.cell.CellCircuit;
import hammerman.circuit.Circuit;
import hammerman.design.Design;
import hammerman.unit.Figures;
import hammerman.unit.Unit;
import hammerman.unit.Valid;

/**
 * A charger's voltage, measured at the plug without load, judged per cell against the pack.
 *
 * <p>Bands are usual practice: a meter of the hobby reads to about 0.5 %, of which up to 10 mV a
 * cell above full is let pass; more shortens life, and far more can burn.
 *
 * @param volts measured, V
 * @param perCell the same for one cell, V
 * @param offset of one cell from its full voltage, V
 * @param share of the capacity that it charges to, 0 to 1
 * @param verdict what to do
 */
public record ChargerCheck(
    double volts, double perCell, double offset, double share, Verdict verdict) {
  /** How far above full one cell may read, V. */
  public static final double TOLERANCE = Circuit.CHARGE_TOLERANCE;

  /** Share of the capacity that may be missing without a word. */
  private static final double NEGLIGIBLE = 0.03;

  /** Share of the capacity below which it is a charger for another pack. */
  private static final double WRONG = 0.40;

  /** What to do with the charger. */
  public enum Verdict {
    FINE,
    UNDER_CHARGES,
    WRONG_CHARGER,
    DO_NOT_USE
  }

  /** Judges a voltage (V) for a design. */
  public static ChargerCheck of(Design design, double volts) {
    Valid.range("Voltage at the plug", volts, 0.5, 1500, Unit.VOLT);
    var cell = design.pack().cell();
    double perCell = volts / design.pack().series();
    double offset = perCell - cell.fullVoltage();
    CellCircuit circuit = new CellCircuit(cell);
    double share = circuit.socAt(perCell) / circuit.socAt(cell.fullVoltage());
    Verdict verdict =
        offset > TOLERANCE + 1e-9
            ? Verdict.DO_NOT_USE
            : share >= 1 - NEGLIGIBLE
                ? Verdict.FINE
                : share >= WRONG ? Verdict.UNDER_CHARGES : Verdict.WRONG_CHARGER;
    return new ChargerCheck(volts, perCell, offset, share, verdict);
  }

  /** Returns the verdict in a sentence or two. Never advice to open the charger. */
  public String words() {
    String cell =
        "%s per cell, %s against full. "
            .formatted(
                Figures.of(perCell, Unit.VOLT, 3),
                (offset >= 0 ? "+" : "") + Figures.of(offset, Unit.MILLIVOLT, 0));
    return cell
        + switch (verdict) {
          case FINE -> "Fine: this is not worth touching.";
          case UNDER_CHARGES ->
              "It under-charges by about "
                  + Figures.of(1 - share, Unit.PERCENT, 0)
                  + " of the capacity. That costs range and gives life; use it as it is, or take"
                  + " another.";
          case WRONG_CHARGER ->
              "It fills only "
                  + Figures.of(share, Unit.PERCENT, 0)
                  + ": a charger for another series count or chemistry. Take the right one.";
          case DO_NOT_USE ->
              "Do not use it: it overcharges every cell. Return it or take another; do not open"
                  + " it.";
        };
  }
}
