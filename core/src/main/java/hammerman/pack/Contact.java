package hammerman.pack;

/**
 * How cells touch the box around them.
 *
 * @param end conductance per area of their ends, to the box or to the next layer, W/(m² K)
 * @param side conductance per area of their open sides, W/(m² K)
 */
public record Contact(double end, double side) {
  /** Typical of cells in a box with insulation between. */
  public static final Contact USUAL = new Contact(12, 8);
}
