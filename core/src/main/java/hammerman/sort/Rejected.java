package hammerman.sort;

/**
 * A cell put aside.
 *
 * @param cell that is put aside
 * @param rule that it broke
 * @param reason in words, with the figure and its limit
 */
public record Rejected(MeasuredCell cell, Rule rule, String reason) {
  /** Why a cell is put aside. */
  public enum Rule {
    TWICE("label stands twice"),
    NOT_MEASURED("no capacity yet"),
    NOT_POSSIBLE("cannot be"),
    BELOW_CUT_OFF("below its cut-off"),
    SELF_DISCHARGE("self-discharge"),
    CAPACITY_LOW("low capacity"),
    CAPACITY_ODD("odd capacity"),
    RESISTANCE_HIGH("high resistance"),
    RESISTANCE_ODD("odd resistance");

    private final String words;

    Rule(String words) {
      this.words = words;
    }

    /** Returns it in a few words. */
    public String words() {
      return words;
    }
  }
}
