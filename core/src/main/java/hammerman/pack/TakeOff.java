package hammerman.pack;

/** Where the leads are taken off an end group. */
public enum TakeOff {
  ONE_CELL("One cell"),
  BOTH_ENDS("Both ends of the group"),
  WHOLE_GROUP("A bar over the group");

  private final String label;

  TakeOff(String label) {
    this.label = label;
  }

  /** Returns the choice in words. */
  public String label() {
    return label;
  }
}
