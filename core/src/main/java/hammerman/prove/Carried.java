package hammerman.prove;

import hammerman.duty.Segment;
import hammerman.duty.Segment.Effort;
import hammerman.duty.Task;
import java.util.OptionalDouble;

/**
 * What another load carried makes of a run's power: by the vehicle of the duty, whose round is gone
 * through with either, E(m) = Σ P t, where P is of m for the segments that are worked out. The
 * run's own slopes and speeds are not in its log; that its course is like the duty's is assumed.
 */
final class Carried {
  private Carried() {}

  /**
   * Returns the factor on the power of a run.
   *
   * @param was mass carried then, kg
   * @param wanted mass carried in the run to compare with, kg
   * @return empty if the duty is no round of a vehicle, or none of it is worked out
   */
  static OptionalDouble factor(Task task, double was, double wanted) {
    if (!(task instanceof Task.ByRound round)) {
      return OptionalDouble.empty();
    }
    if (round.segments().stream().noneMatch(s -> s.effort() instanceof Effort.Worked)) {
      return OptionalDouble.empty();
    }
    double from = energy(round, was);
    double to = energy(round, wanted);
    return from > 0 && to > 0 ? OptionalDouble.of(to / from) : OptionalDouble.empty();
  }

  /** Energy that the round draws, J, with a mass on every segment that is worked out. */
  private static double energy(Task.ByRound round, double mass) {
    double sum = 0;
    for (Segment s : round.segments()) {
      Effort effort =
          s.effort() instanceof Effort.Worked w ? new Effort.Worked(w.slope(), mass) : s.effort();
      sum += Math.max(0, effort.power(round.vehicle(), s.speed())) * s.duration();
    }
    return sum;
  }
}
