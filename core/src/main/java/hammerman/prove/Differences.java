package hammerman.prove;

import hammerman.unit.Figures;
import hammerman.unit.Unit;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/**
 * What two runs differ in, and what may be concluded from that: a result that differs is put down
 * to a condition only if it alone changed.
 *
 * @param conditions that differ, each in words
 * @param results that differ by more than scatter, each in words
 * @param cause the one condition that the difference may be put down to, if there is one
 * @param conclusion what may and may not be said
 */
public record Differences(
    List<String> conditions, List<String> results, Optional<String> cause, String conclusion) {
  public Differences {
    conditions = List.copyOf(conditions);
    results = List.copyOf(results);
  }

  /**
   * A run as it is compared.
   *
   * @param name of it
   * @param conditions by their names; those not named are not known
   * @param results by their names, in the core's unit
   */
  public record Compared(
      String name, Map<String, Condition> conditions, Map<String, Result> results) {
    public Compared {
      conditions = Map.copyOf(conditions);
      results = Map.copyOf(results);
    }
  }

  /**
   * A condition.
   *
   * @param words as it is shown
   * @param value in the core's unit; not a number if it is words only
   * @param same figures no further apart count as the same
   */
  public record Condition(String words, double value, double same) {
    /** A condition in words. */
    public static Condition of(String words) {
      return new Condition(words, Double.NaN, 0);
    }

    boolean isLike(Condition other) {
      return (Double.isNaN(value) || Double.isNaN(other.value))
          ? words.equals(other.words)
          : Math.abs(value - other.value) <= Math.max(same, other.same);
    }
  }

  /**
   * A result.
   *
   * @param value in the core's unit
   * @param scatter by which repeats of the same run differ, one standard deviation; 0 if not known
   * @param same results no further apart count as the same whatever the scatter, in the core's unit
   * @param unit it is shown in
   */
  public record Result(double value, double scatter, double same, Unit unit) {
    /** A result that counts as the same within a fiftieth. */
    public static Result of(double value, double scatter, Unit unit) {
      return new Result(value, scatter, SAME * Math.abs(value), unit);
    }
  }

  /** Results nearer than this share do not count as different. */
  private static final double SAME = 0.02;

  /** Compares two runs. */
  public static Differences between(Compared a, Compared b) {
    List<String> conditions = new ArrayList<>();
    List<String> unknown = new ArrayList<>();
    TreeMap<String, Condition> names = new TreeMap<>(a.conditions());
    names.putAll(b.conditions());
    String only = "";
    for (String name : names.keySet()) {
      Condition one = a.conditions().get(name);
      Condition other = b.conditions().get(name);
      if (one == null || other == null) {
        unknown.add(name);
      } else if (!one.isLike(other)) {
        conditions.add("%s: %s, then %s".formatted(name, one.words(), other.words()));
        only = name;
      }
    }
    List<String> results = results(a, b);
    boolean told = unknown.isEmpty() && conditions.size() == 1 && !results.isEmpty();
    return new Differences(
        conditions,
        results,
        told ? Optional.of(only) : Optional.empty(),
        conclusion(conditions, unknown, results, only));
  }

  private static List<String> results(Compared a, Compared b) {
    List<String> results = new ArrayList<>();
    new TreeMap<>(a.results())
        .forEach(
            (name, one) -> {
              Result other = b.results().get(name);
              if (other != null) {
                double apart = Math.abs(other.value() - one.value());
                double scatter = 2 * Math.hypot(one.scatter(), other.scatter());
                if (apart > Math.max(scatter, one.same())) {
                  results.add(
                      "%s: %s, then %s"
                          .formatted(
                              name,
                              Figures.of(one.value(), one.unit()),
                              Figures.of(other.value(), other.unit())));
                }
              }
            });
    return results;
  }

  private static String conclusion(
      List<String> conditions, List<String> unknown, List<String> results, String only) {
    if (results.isEmpty()) {
      return conditions.isEmpty()
          ? "Nothing differs by more than scatter."
          : "The results do not differ by more than scatter, though conditions did.";
    }
    if (!unknown.isEmpty()) {
      return "Nothing may be concluded: %s is known of one run only."
          .formatted(String.join(", ", unknown));
    }
    return switch (conditions.size()) {
      case 0 ->
          "No condition is left that was written down and differs: either the pack has changed, or"
              + " something that nobody wrote down. Repeat the run once to see its scatter.";
      case 1 ->
          "Only %s changed, so the difference may be put down to it; a repeat shows the scatter."
              .formatted(only);
      default ->
          "Nothing may be put down to one cause: %d conditions changed at once. Repeat the run with"
                  .formatted(conditions.size())
              + " all of them as before but one.";
    };
  }
}
