package hammerman.record;

import hammerman.unit.InvalidValue;
import hammerman.unit.Valid;
import org.jspecify.annotations.Nullable;

/**
 * A step of the build, done.
 *
 * @param step its id in the procedure
 * @param reading in the core's unit, if the step has one
 * @param verdict on it
 * @param reason for an override; empty otherwise
 */
public record StepRecord(String step, @Nullable Double reading, Verdict verdict, String reason) {
  public StepRecord {
    Valid.text("Step", step);
    if (verdict == Verdict.OVERRIDDEN && reason.isBlank()) {
      throw new InvalidValue(
          "Reason", "empty", "an override needs one", "Say why the step may go on.");
    }
  }

  /** What was made of the reading. */
  public enum Verdict {
    DONE,
    WITHIN,
    OUTSIDE,
    OVERRIDDEN
  }
}
