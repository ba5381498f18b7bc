package hammerman.finding;

import hammerman.unit.Dimension;
import hammerman.unit.Figures;
import hammerman.unit.Unit;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/**
 * Something wrong, risky or worth knowing about a design. Its sentences are written from its
 * figures.
 *
 * @param id stable name, such as {@code fuse.voltage}; {@code second.} before it for a second pack
 * @param severity how grave, by its consequence
 * @param word the matter in a word or two, for small places
 * @param title what is the matter, in a few words
 * @param why the reason, with its figures
 * @param fix what to change, and to what
 * @param station where to change it
 * @param subject the part or place
 * @param measure what was compared
 * @param state what goes on then
 * @param source where the limit comes from
 * @param caution the usual caution at this hazard; empty for none
 */
public record Finding(
    String id,
    Severity severity,
    String word,
    String title,
    String why,
    String fix,
    Station station,
    String subject,
    Measure measure,
    String state,
    String source,
    String caution) {

  /**
   * What was compared, in the core's unit.
   *
   * @param quantity what it is, in words
   * @param value as found
   * @param limit as allowed
   * @param atLeast whether the limit is the least allowed, not the most
   * @param unit in which both are shown
   */
  public record Measure(String quantity, double value, double limit, boolean atLeast, Unit unit) {
    /** Share by which a value may pass its limit from rounding alone. */
    private static final double ROUNDING = 1e-9;

    /** Whether the limit is passed; a value exactly on it is within. */
    public boolean exceeded() {
      double slack = ROUNDING * Math.max(Math.abs(limit), 1e-12);
      return atLeast ? value < limit - slack : value > limit + slack;
    }

    /**
     * Returns what is left before the limit: as a share of it, 0 exactly on it and negative beyond;
     * of temperatures in hundreds of kelvin.
     */
    public double margin() {
      double left = atLeast ? value - limit : limit - value;
      if (unit.dimension() == Dimension.TEMPERATURE) {
        return left / 100;
      }
      if (limit == 0) {
        return left == 0 ? 0 : left > 0 ? 1 : -1;
      }
      return Double.isInfinite(value) && atLeast ? 1 : Math.clamp(left / Math.abs(limit), -99, 99);
    }

    /** Returns the margin in words: “+12 %”, “−5 K”. */
    public String marginWords() {
      double m = margin();
      String figure =
          unit.dimension() == Dimension.TEMPERATURE
              ? Figures.of(m * 100, Unit.KELVIN, 0)
              : Figures.of(m, Unit.PERCENT, 0);
      return m > 0 ? "+" + figure : figure;
    }

    /** A value that may be at most its limit. */
    public static Measure most(String quantity, double value, double limit, Unit unit) {
      return new Measure(quantity, value, limit, false, unit);
    }

    /** A value that must be at least its limit. */
    public static Measure least(String quantity, double value, double limit, Unit unit) {
      return new Measure(quantity, value, limit, true, unit);
    }
  }

  /** Returns how many there are of each severity, such as "1 stop, 2 warnings"; empty for none. */
  public static String tally(List<Finding> findings) {
    List<String> words = new ArrayList<>();
    for (Severity s : Severity.values()) {
      long n = findings.stream().map(Finding::severity).filter(s::equals).count();
      if (n > 0) {
        words.add(n + " " + s.word().toLowerCase(Locale.ROOT) + (n > 1 ? "s" : ""));
      }
    }
    return String.join(", ", words);
  }
}
