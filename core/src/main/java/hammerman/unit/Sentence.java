package hammerman.unit;

import java.util.Locale;

/** Words put together. */
public final class Sentence {
  private Sentence() {}

  /**
   * Writes words that begin a sentence as they stand within one; abbreviations stay as they are.
   */
  public static String within(String words) {
    boolean abbreviation = words.length() > 1 && Character.isUpperCase(words.charAt(1));
    return words.isEmpty() || abbreviation
        ? words
        : words.substring(0, 1).toLowerCase(Locale.ROOT) + words.substring(1);
  }
}
