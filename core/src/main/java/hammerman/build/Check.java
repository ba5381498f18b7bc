package hammerman.build;

import java.util.Comparator;
import java.util.List;

/**
 * A reading to take.
 *
 * @param expects what it should be
 * @param ifLow causes of a reading below, likeliest first
 * @param ifHigh causes of a reading above, likeliest first
 */
public record Check(Expected expects, List<Cause> ifLow, List<Cause> ifHigh) {
  /** A cause fits a reading within this share of what was expected. */
  private static final double ROOM = 0.05;

  public Check {
    ifLow = List.copyOf(ifLow);
    ifHigh = List.copyOf(ifHigh);
  }

  /**
   * Returns the likely causes of a reading (core's unit), likeliest first; none if it is fine.
   * Those come first which would read just so.
   */
  public List<Cause> causes(double reading) {
    if (expects.takes(reading)) {
      return List.of();
    }
    double room = Math.max(expects.high() - expects.low(), ROOM * Math.abs(expects.value()));
    return (reading < expects.low() ? ifLow : ifHigh)
        .stream().sorted(Comparator.comparingInt(c -> c.rank(reading, room))).toList();
  }
}
