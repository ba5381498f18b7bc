package hammerman.forecast;

import hammerman.chain.Chain;
import hammerman.design.Design;
import hammerman.duty.Machine;
import hammerman.finding.Judgement;
import hammerman.finding.Severity;
import hammerman.finding.Station;
import hammerman.pack.Pack;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * The chosen cell tried at many series and parallel counts.
 *
 * @param firstSeries series count of the first column
 * @param columns number of columns
 * @param firstParallel parallel count of the first row
 * @param rows number of rows
 * @param squares the squares, row by row
 */
public record StackField(int firstSeries, int columns, int firstParallel, int rows, List<Square> squares) {
  /** Step of the duty when a square is tried, s. */
  private static final double STEP = 20;

  private static final int COLUMNS = 14;
  private static final int ROWS = 12;

  public StackField {
    squares = List.copyOf(squares);
  }

  /**
   * One pair of counts.
   *
   * @param series groups in series
   * @param parallel cells in parallel
   * @param worst gravest judgement that the counts can mend, if any
   * @param energy rated energy, J
   * @param mass kg
   * @param cost of the cells
   */
  public record Square(
      int series, int parallel, Optional<Judgement> worst, double energy, double mass, double cost) {
    /** Whether a stop stands against it. */
    public boolean stopped() {
      return worst.filter(j -> j.severity() == Severity.STOP).isPresent();
    }
  }

  /** Tries the counts around a design; BMS and charge voltage follow the series count. */
  public static StackField of(Design design) {
    int first = firstSeries(design);
    int lastParallel =
        Math.min(Pack.MOST_PARALLEL, Math.max(ROWS, design.pack().parallel() + 2));
    int top = lastParallel - ROWS + 1;
    List<Square> squares = new ArrayList<>();
    for (int row = 0; row < ROWS; row++) {
      for (int column = 0; column < COLUMNS; column++) {
        squares.add(square(design.withCounts(first + column, top + row)));
      }
    }
    return new StackField(first, COLUMNS, top, ROWS, squares);
  }

  /** Returns the square at counts, if it is in the field. */
  public Optional<Square> at(int series, int parallel) {
    return squares.stream()
        .filter(s -> s.series() == series && s.parallel() == parallel)
        .findFirst();
  }

  private static Square square(Design design) {
    Chain chain = Chain.of(design);
    Optional<Judgement> worst =
        Forecast.glance(chain, STEP).stream()
            .filter(j -> j.station() == Station.STACK && j.severity() != Severity.NOTE)
            .findFirst();
    Pack pack = design.pack();
    return new Square(
        pack.series(), pack.parallel(), worst, pack.energy(), pack.mass(), pack.cost());
  }

  /** Columns are laid so that the machine's voltage window and the chosen count are inside. */
  private static int firstSeries(Design design) {
    Machine machine = design.duty().machine();
    double cell = design.pack().cell().fullVoltage();
    int most = (int) Math.floor(machine.maximumVoltage() / cell + 1e-9);
    int first = Math.max(1, most + 3 - COLUMNS);
    int chosen = design.pack().series();
    if (chosen < first || chosen >= first + COLUMNS) {
      first = Math.max(1, chosen - COLUMNS / 2);
    }
    return Math.min(first, Pack.MOST_SERIES - COLUMNS + 1);
  }
}
