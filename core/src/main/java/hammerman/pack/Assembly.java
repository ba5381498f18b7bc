package hammerman.pack;

/**
 * A pack as it is put together: what joins its cells and how it sheds its heat. From the counts
 * alone both are estimates; a layout in its box gives its own figures, kept as ratios to the
 * estimates so that neighbouring counts of the same build can be judged by them too.
 *
 * @param pack the pack
 * @param joining resistance of all strips, links and contacts over the estimate, 0 or more
 * @param shedding heat shed per kelvin over the estimate, above 0
 */
public record Assembly(Pack pack, double joining, double shedding) {

  public Assembly {
    if (!(joining >= 0 && shedding > 0 && Double.isFinite(joining) && Double.isFinite(shedding))) {
      throw new IllegalArgumentException("joining " + joining + ", shedding " + shedding);
    }
  }

  /** Returns the assembly of a pack that is not laid out yet. */
  public static Assembly estimated(Pack pack) {
    return new Assembly(pack, 1, 1);
  }

  /**
   * Returns the assembly of a pack whose layout is known.
   *
   * @param resistance of its strips, links and contacts, Ω
   * @param kelvin their temperature, K
   * @param conductance heat shed by the cells per kelvin above the air, W/K
   */
  public static Assembly laidOut(Pack pack, double resistance, double kelvin, double conductance) {
    Assembly estimate = estimated(pack);
    return new Assembly(
        pack,
        Math.max(0, resistance) / estimate.stripResistance(kelvin),
        conductance / estimate.conductance());
  }

  /** Returns the assembly of another pack that is built in the same way. */
  public Assembly of(Pack other) {
    return new Assembly(other, joining, shedding);
  }

  /** Returns whether the figures are those of a layout. */
  public boolean known() {
    return joining != 1 || shedding != 1;
  }

  /**
   * Returns the resistance of what joins the cells at a temperature (K), Ω. The estimate is one
   * strip per cell and link, one pitch long, {@code series} links with the two ends counted as one.
   */
  public double stripResistance(double kelvin) {
    double pitch = pack.cell().format().pitch();
    return joining * pack.series() * pack.strip().resistance(pitch, kelvin) / pack.parallel();
  }

  /**
   * Returns the heat shed per kelvin above the air, W/K. The estimate is h A of a plain box, behind
   * the contact of the cells with it: all their ends, and the sides of the block that they form.
   */
  public double conductance() {
    return shedding * inside() * outside() / (inside() + outside());
  }

  /**
   * Returns the share of heat made beside the cells in their box that warms them as heat of their
   * own would: it has the way from the box to the air before it, and not that from them to the box.
   */
  public double boxShare() {
    return inside() / (inside() + outside());
  }

  private double outside() {
    return pack.cooling().heatTransfer() * pack.surface();
  }

  private double inside() {
    double ends = Contact.USUAL.end() * 2 * pack.cells() * pack.cell().format().end();
    return ends + Contact.USUAL.side() * pack.sides();
  }
}
