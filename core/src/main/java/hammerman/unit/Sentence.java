package hammerman.unit;

import java.util.Locale;

/** Words put together. */
public final class Sentence {
  private static final int LONGEST = 120;

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

  /** Writes words that stand within a sentence as they begin one. */
  public static String beginning(String words) {
    return words.isEmpty()
        ? words
        : words.substring(0, 1).toUpperCase(Locale.ROOT) + words.substring(1);
  }

  /** Says that a file is not there, and why its name may be to blame. */
  public static String missing(String name) {
    String cure =
        name.contains("�")
            ? "Its name has characters that cannot be told here; give the file a plain one."
            : "Check the name and the folder.";
    return printable(name) + " does not exist. " + cure;
  }

  /**
   * Writes a stranger's words so that they can be shown: no control characters, no endless line.
   */
  public static String printable(String words) {
    String plain = words.replaceAll("[\\p{Cntrl}\\p{Cf}\\x{2028}\\x{2029}]", "�");
    return plain.length() <= LONGEST ? plain : plain.substring(0, LONGEST) + "…";
  }
}
