package hammerman.build;

import org.jspecify.annotations.Nullable;

/**
 * A likely cause of a reading that is not as it should be.
 *
 * @param say what may be wrong
 * @param next what to measure, to tell it from the others
 * @param reads what one would read then, in the core's unit; absent if that can be anything
 */
public record Cause(String say, String next, @Nullable Double reads) {
  /** How well it fits a reading where this much may be off: 0 well, 1 may be, 2 not. */
  int rank(double reading, double room) {
    return reads == null ? 1 : Math.abs(reading - reads) <= room ? 0 : 2;
  }
}
