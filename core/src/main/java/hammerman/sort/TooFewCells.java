package hammerman.sort;

/** There are not enough good cells for the groups that are wanted. */
public final class TooFewCells extends Exception {
  private static final long serialVersionUID = 1;

  TooFewCells(int have, int series, int parallel) {
    super(
        "%dS%dP needs %d cells, and only %d are good; measure %d more, or use smaller groups."
            .formatted(series, parallel, series * parallel, have, series * parallel - have));
  }
}
