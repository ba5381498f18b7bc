package hammerman.sort;

/** Where a cell of the inventory stands. */
public enum CellState {
  NEW("new"),
  ON_TEST("on test"),
  RESTING("resting"),
  ACCEPTED("accepted"),
  REJECTED("put aside"),
  SPARE("spare"),
  IN_PACK("in the pack");

  private final String words;

  CellState(String words) {
    this.words = words;
  }

  /** Returns it in words. */
  public String words() {
    return words;
  }
}
