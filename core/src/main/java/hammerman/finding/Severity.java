package hammerman.finding;

/** How grave a judgement is, gravest first. */
public enum Severity {
  STOP("Stop"),
  WARN("Warning"),
  NOTE("Note");

  private final String word;

  Severity(String word) {
    this.word = word;
  }

  /** Returns the word shown beside the shape. */
  public String word() {
    return word;
  }
}
