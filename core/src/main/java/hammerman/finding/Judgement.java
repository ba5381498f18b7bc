package hammerman.finding;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/**
 * Something wrong, risky or worth knowing about a design.
 *
 * @param id stable name of the rule that found it, such as {@code cell.peak}
 * @param severity how grave
 * @param word the matter in a word or two, for small places
 * @param title what is the matter, in a few words
 * @param why the reason, with its figures
 * @param fix what to change, and to what
 * @param station where to change it
 */
public record Judgement(
    String id,
    Severity severity,
    String word,
    String title,
    String why,
    String fix,
    Station station) {

  /** Returns how many there are of each severity, such as "1 stop, 2 warnings"; empty for none. */
  public static String tally(List<Judgement> judgements) {
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
