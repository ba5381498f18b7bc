package hammerman.record;

/**
 * A stretch of a channel made fit for drawing: the least and greatest of the samples of each slot.
 * A slot without a sample has NaN.
 */
public final class Trace {
  private final long from;
  private final long perSlot;
  private final double[] low;
  private final double[] high;

  /**
   * @param from index of the first sample
   * @param perSlot samples in each slot
   * @param low least of each slot
   * @param high greatest of each slot
   */
  public Trace(long from, long perSlot, double[] low, double[] high) {
    if (low.length != high.length || perSlot < 1) {
      throw new IllegalArgumentException(low.length + " and " + high.length + " slots");
    }
    this.from = from;
    this.perSlot = perSlot;
    this.low = low.clone();
    this.high = high.clone();
  }

  /** Returns the index of the first sample. */
  public long from() {
    return from;
  }

  /** Returns how many samples a slot spans. */
  public long perSlot() {
    return perSlot;
  }

  /** Returns the number of slots. */
  public int size() {
    return low.length;
  }

  /** Returns the least sample of a slot. */
  public double low(int slot) {
    return low[slot];
  }

  /** Returns the greatest sample of a slot. */
  public double high(int slot) {
    return high[slot];
  }
}
