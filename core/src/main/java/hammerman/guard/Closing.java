package hammerman.guard;

/** What closes the main circuit last, and so takes the machine's inrush. */
public enum Closing {
  SWITCH("The switch"),
  CONTACTOR("A contactor"),
  PLUG("The plug");

  private final String label;

  Closing(String label) {
    this.label = label;
  }

  /** Returns it in words. */
  public String label() {
    return label;
  }
}
