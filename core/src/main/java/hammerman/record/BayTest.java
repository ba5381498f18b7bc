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
  public enum Outcome {
    MEASURED,
    BROKEN_OFF
  }

  /** Whether it is still going on. */
  public boolean isRunning() {
    return ended == null;
  }
}
