package hammerman.choice;

import java.util.List;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;

/**
 * Parts in order of strength, of which the first that has nothing against it is taken.
 *
 * @param taken the part taken; the last if none suits
 * @param smaller the one before it, if any
 * @param larger the one after it, if any
 * @param objection what stands against the smaller one; empty if nothing
 * @param suits whether the one taken suits
 */
record Ladder<T>(
    T taken, @Nullable T smaller, @Nullable T larger, String objection, boolean suits) {

  /**
   * Climbs a ladder.
   *
   * @param rungs weakest first, at least one
   * @param objection says what stands against a part; empty if nothing
   */
  static <T> Ladder<T> climb(List<T> rungs, Function<T, String> objection) {
    int k = 0;
    while (k < rungs.size() - 1 && !objection.apply(rungs.get(k)).isEmpty()) {
      k++;
    }
    T taken = rungs.get(k);
    T before = k > 0 ? rungs.get(k - 1) : null;
    return new Ladder<>(
        taken,
        before,
        k + 1 < rungs.size() ? rungs.get(k + 1) : null,
        before == null ? "" : objection.apply(before),
        objection.apply(taken).isEmpty());
  }

  /** Says what stands against the next smaller part; empty if there is none. */
  String below(Function<T, String> name) {
    return smaller == null ? "" : name.apply(smaller) + ": " + objection + ".";
  }

  /** Says why the next larger part is not taken; empty if there is none. */
  String above(Function<T, String> name, String why) {
    return larger == null ? "" : name.apply(larger) + ": " + why + ".";
  }
}
