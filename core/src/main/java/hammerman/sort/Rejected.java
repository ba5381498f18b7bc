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
    TWICE,
    NOT_MEASURED,
    NOT_POSSIBLE,
    BELOW_CUT_OFF,
    SELF_DISCHARGE,
    CAPACITY_LOW,
    CAPACITY_ODD,
    RESISTANCE_HIGH,
    RESISTANCE_ODD
  }
}
