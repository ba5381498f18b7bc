package hammerman.fit;

/** How the current gets from one group to the next. */
public enum Joining {
  /** Groups touch, and strips lie across from one to the next. */
  TOUCHING("Strips across, groups touch"),
  /** Every group is a block of its own, joined by wires or bars. */
  WIRED("Blocks, joined by wires or bars");

  private final String label;

  Joining(String label) {
    this.label = label;
  }

  /** Returns the choice in words. */
  public String label() {
    return label;
  }
}
