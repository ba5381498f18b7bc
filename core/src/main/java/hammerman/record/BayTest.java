package hammerman.record;

import hammerman.unit.Valid;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * A cell on test in a bay of a cell tester; begun when its fact was kept.
 *
 * @param cell its number in the inventory
 * @param bay from 1
 * @param due when it should be done
 * @param ended when it was, if it is
 * @param outcome of it, if it has ended
 */
public record BayTest(
    long cell, int bay, Instant due, @Nullable Instant ended, @Nullable Outcome outcome) {
  /** The most bays of a tester. */
  public static final int MOST_BAYS = 64;

  public BayTest {
    Valid.count("Bay", bay, 1, MOST_BAYS);
  }

  /** How a test ends. */
  public sealed interface Outcome {
    /** With its capacity measured. */
    record Measured() implements Outcome {}

    /** By the builder, before its end. */
    record BrokenOff() implements Outcome {}

    /**
     * By the tester, before its end.
     *
     * @param why as the tester says it
     */
    record Failed(String why) implements Outcome {
      public Failed {
        Valid.text("Reason", why);
      }
    }
  }

  /** Whether it is still going on. */
  public boolean isRunning() {
    return ended == null;
  }
}
