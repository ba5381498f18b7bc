package hammerman.chain;

/**
 * Where the hardest moment meets the lowest voltage allowed.
 *
 * @param who what cuts off there
 * @param limit its voltage: at the machine, or of one group, V
 * @param soc state of charge at which the hardest moment just reaches it, 0 to 1; 1 when even a
 *     full pack does not bear it
 */
public record Floor(Who who, double limit, double soc) {
  /** What cuts off first. */
  public enum Who {
    MACHINE("the machine"),
    BMS("the BMS"),
    CELL("the cell's own cut-off");

    private final String words;

    Who(String words) {
      this.words = words;
    }

    /** Returns it in words. */
    public String words() {
      return words;
    }
  }
}
