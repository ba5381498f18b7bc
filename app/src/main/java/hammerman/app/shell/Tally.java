package hammerman.app.shell;

import hammerman.finding.Judgement;
import hammerman.finding.Severity;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/** Counts judgements by severity, in words. */
final class Tally {
  private Tally() {}

  /** Returns the counts, gravest first, such as "1 stop, 2 warnings"; empty for none. */
  static String of(List<Judgement> judgements) {
    List<String> words = new ArrayList<>();
    for (Severity s : Severity.values()) {
      long n = judgements.stream().map(Judgement::severity).filter(s::equals).count();
      if (n > 0) {
        words.add(n + " " + s.word().toLowerCase(Locale.ROOT) + (n > 1 ? "s" : ""));
      }
    }
    return String.join(", ", words);
  }
}
