package hammerman.drawing;

/** Sizes of paper that people print on, mm. */
public enum Paper {
  A4("A4", 210, 297),
  LETTER("Letter", 215.9, 279.4);

  private final String label;
  private final double width;
  private final double height;

  Paper(String label, double width, double height) {
    this.label = label;
    this.width = width;
    this.height = height;
  }

  /** Returns its name. */
  public String label() {
    return label;
  }

  double width() {
    return width;
  }

  double height() {
    return height;
  }
}
