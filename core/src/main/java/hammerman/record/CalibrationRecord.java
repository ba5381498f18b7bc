package hammerman.record;

import hammerman.unit.Unit;
import hammerman.unit.Valid;
import java.util.List;

/**
 * A scale that logs gave, and what was made of it.
 *
 * @param quantity that it scales
 * @param scale times the design's at that time
 * @param uncertainty its standard error
 * @param runs numbers of the runs it rests on
 * @param accepted whether the design was changed by it
 */
public record CalibrationRecord(
    Scaled quantity, double scale, double uncertainty, List<Long> runs, boolean accepted) {
  /** What a scale is of. */
  public enum Scaled {
    RESISTANCE("Resistance"),
    CAPACITY("Capacity");

    private final String label;

    Scaled(String label) {
      this.label = label;
    }

    /** Returns it in words. */
    public String label() {
      return label;
    }
  }

  public CalibrationRecord {
    Valid.range("Scale", scale, 0.05, 20, Unit.ONE);
    Valid.range("Uncertainty of the scale", uncertainty, 0, 20, Unit.ONE);
    runs = List.copyOf(runs);
  }
}
