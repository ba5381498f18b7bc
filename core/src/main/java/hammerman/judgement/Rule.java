package hammerman.judgement;

import hammerman.finding.Finding;
import hammerman.finding.Finding.Measure;
import hammerman.finding.Severity;
import hammerman.finding.Station;
import java.util.Optional;
import java.util.function.Function;

/**
 * One thing about duty, bounds or fit that is looked at. A value exactly on its limit is within it.
 *
 * @param id stable name
 * @param word the matter in a word or two
 * @param station where it is mended
 * @param looksAt what it looks at, in a sentence
 * @param check gives what was found, if anything
 */
record Rule(
    String id,
    String word,
    Station station,
    String looksAt,
    Function<Case, Optional<Found>> check) {

  Optional<Finding> judge(Case c) {
    return check
        .apply(c)
        .map(
            f ->
                new Finding(
                    id,
                    f.severity,
                    word,
                    f.title,
                    f.why,
                    f.fix,
                    station,
                    station.label(),
                    f.measure,
                    f.state,
                    "asked by you, or usual practice",
                    ""));
  }

  /** What a check found. */
  record Found(
      Severity severity, String title, String why, String fix, Measure measure, String state) {
    static Optional<Found> stop(String title, String why, String fix, Measure measure) {
      return Optional.of(new Found(Severity.STOP, title, why, fix, measure, "running"));
    }

    static Optional<Found> warn(String title, String why, String fix, Measure measure) {
      return Optional.of(new Found(Severity.WARN, title, why, fix, measure, "running"));
    }

    static Optional<Found> note(String title, String why, String fix, Measure measure) {
      return Optional.of(new Found(Severity.NOTE, title, why, fix, measure, "running"));
    }
  }
}
