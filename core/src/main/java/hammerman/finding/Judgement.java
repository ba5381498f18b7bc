package hammerman.finding;

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
    Station station) {}
