package hammerman.chain;

/**
 * One link of the chain of ratings, at the pack's level.
 *
 * @param kind what it is
 * @param name what it is called in this design
 * @param continuous current it carries for long, A
 * @param shortTime current it stands for the length of the hardest moment, A
 */
public record Link(Kind kind, String name, double continuous, double shortTime) {

  /** The links, from the cell outwards. */
  public enum Kind {
    CELLS,
    CELL_FUSES,
    STRIP,
    BMS,
    FUSE,
    SWITCH,
    WIRE,
    CONNECTOR,
    MACHINE
  }

  /**
   * Returns how much of its rating is left when the duty asks its most of it: 1 is idle, 0 is
   * exactly at a rating, below 0 is over it.
   */
  public double margin(Demand demand) {
    return 1 - Math.max(demand.continuous() / continuous, demand.peak() / shortTime);
  }
}
