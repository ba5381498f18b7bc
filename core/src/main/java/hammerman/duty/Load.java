package hammerman.duty;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.ArrayList;
import java.util.List;

/**
 * What is asked of the pack over time: steps in order, the whole repeated.
 *
 * @param steps the steps of one round
 * @param rounds how often they are gone through, 1 or more
 */
@RecordBuilder
public record Load(List<Step> steps, int rounds) implements LoadBuilder.With {
  /** The longest load that is simulated, s: 30 days. */
  public static final double LONGEST = 30 * 86400.0;

  public Load {
    steps = List.copyOf(steps);
    if (steps.isEmpty() || rounds < 1) {
      throw new IllegalArgumentException(
          "a load needs a step and a round, not " + steps.size() + " and " + rounds);
    }
  }

  /** Returns a load of one constant current, A, for a time, s. */
  public static Load current(double amperes, double duration) {
    return new Load(List.of(new Step(new Current(amperes), duration, 0)), 1);
  }

  /** Returns a load of one constant power at the machine, W, for a time, s. */
  public static Load power(double watts, double duration) {
    return new Load(List.of(new Step(new Power(watts), duration, 0)), 1);
  }

  /** Returns the load with every demand, out and back, by a factor. */
  public Load times(double by) {
    return withSteps(
        steps.stream()
            .map(
                s ->
                    new Step(
                        switch (s.demand()) {
                          case Current c -> new Current(c.amperes() * by);
                          case Power p -> new Power(p.watts() * by);
                        },
                        s.duration(),
                        s.speed()))
            .toList());
  }

  /** Returns the time of one round, s. */
  public double roundDuration() {
    return steps.stream().mapToDouble(Step::duration).sum();
  }

  /** Returns the time of all rounds, s. */
  public double duration() {
    return roundDuration() * rounds;
  }

  /**
   * Returns what is left of it after a time, s; the step under way goes on for the rest of it.
   *
   * @throws IllegalArgumentException if nothing is left
   */
  public Load after(double time) {
    if (!(time >= 0 && time < duration())) {
      throw new IllegalArgumentException(
          "nothing is left of %s s after %s s".formatted(duration(), time));
    }
    int done = (int) Math.min(time / roundDuration(), rounds - 1.0);
    double gone = time - done * roundDuration();
    List<Step> left = new ArrayList<>();
    for (Step s : steps) {
      double of = Math.min(gone, s.duration());
      if (s.duration() > of) {
        left.add(new Step(s.demand(), s.duration() - of, s.speed()));
      }
      gone -= of;
    }
    for (int k = done + 1; k < rounds; k++) {
      left.addAll(steps);
    }
    return new Load(left, 1);
  }

  /** What a step holds constant. Discharge is positive. */
  public sealed interface Demand {}

  /** A constant battery current, A. */
  public record Current(double amperes) implements Demand {}

  /** A constant power at the machine's terminals, W. */
  public record Power(double watts) implements Demand {}

  /**
   * One demand held for a time.
   *
   * @param demand what is held
   * @param duration how long, s
   * @param speed how fast the machine moves, m/s
   */
  public record Step(Demand demand, double duration, double speed) {}
}
