package hammerman.finding;

/** Where an input of a derivation came from. */
public enum Origin {
  YOURS("you entered it"),
  CELL("cell data"),
  MODEL("model constant"),
  COMPUTED("computed");

  private final String words;

  Origin(String words) {
    this.words = words;
  }

  /** Returns the origin in words. */
  public String words() {
    return words;
  }
}
