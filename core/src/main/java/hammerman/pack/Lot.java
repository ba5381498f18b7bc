package hammerman.pack;

/** Where cells come from, and how far their capacities then differ; typical. */
public enum Lot {
  ONE_BATCH("One batch", 0.008),
  MIXED("Mixed batches", 0.03),
  UNKNOWN("Unknown, not measured", 0.10);

  private final String label;
  private final double spread;

  Lot(String label, double spread) {
    this.label = label;
    this.spread = spread;
  }

  /** Returns it in words. */
  public String label() {
    return label;
  }

  /** Returns the standard deviation of the cells' capacities as a share of the mean. */
  public double spread() {
    return spread;
  }

  /**
   * Returns the share of the mean that the weakest of {@code series} groups of {@code parallel}
   * cells is expected to have: 1 − σ √(2 ln S) / √P, the usual bound on the least of S normal
   * values (H. Cramér, Mathematical Methods of Statistics, 1946, sec. 28.6).
   */
  public double weakestGroup(int series, int parallel) {
    return Math.max(0.1, 1 - spread * Math.sqrt(2 * Math.log(series) / parallel));
  }
}
