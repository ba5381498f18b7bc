package hammerman.chain;

/**
 * What the duty asks of the whole chain.
 *
 * @param continuous rms current over its heaviest ten minutes, A
 * @param tenSeconds rms current over its heaviest ten seconds, or of the hardest moment if that is
 *     more, A
 * @param peak current of the hardest moment, A
 * @param peakDuration how long it lasts, s
 */
public record Demand(double continuous, double tenSeconds, double peak, double peakDuration) {
  /**
   * The window that counts as continuous, s; the thermal time constant of cells is of this order.
   */
  public static final double WINDOW = 600;
}
