package hammerman.sort;

/**
 * A cell as it was measured. What was not measured is not a number.
 *
 * @param label written on it
 * @param capacity Ah
 * @param resistance Ω, AC or DC as they were all measured
 * @param voltage rested, V
 * @param selfDischarge voltage lost at rest, V/s
 */
public record MeasuredCell(
    String label, double capacity, double resistance, double voltage, double selfDischarge) {

  /** A cell of which capacity (Ah) and resistance (Ω) are known. */
  public static MeasuredCell of(String label, double capacity, double resistance) {
    return new MeasuredCell(label, capacity, resistance, Double.NaN, Double.NaN);
  }

  /** Whether the resistance was measured. */
  public boolean hasResistance() {
    return !Double.isNaN(resistance);
  }
}
