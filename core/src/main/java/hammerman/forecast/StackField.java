package hammerman.forecast;

import hammerman.design.Design;
import hammerman.duty.Machine;
import hammerman.finding.Judgement;
import hammerman.finding.Severity;
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
public record StackField(
    int firstSeries, int columns, int firstParallel, int rows, List<Square> squares) {
  private static final int MOST_COLUMNS = 12;
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
      int series,
      int parallel,
      Optional<Judgement> worst,
      double energy,
      double mass,
      double cost) {
    /** Whether a stop stands against it. */
    public boolean stopped() {
      return worst.filter(j -> j.severity() == Severity.STOP).isPresent();
    }
  }

  /** Tries the counts around a design; BMS and charge voltage follow the series count. */
  public static StackField of(Design design) {
    int[] columns = columns(design);
    int lastParallel = Math.min(Pack.MOST_PARALLEL, Math.max(ROWS, design.pack().parallel() + 2));
    int top = lastParallel - ROWS + 1;
    List<Square> squares = new ArrayList<>();
    for (int row = 0; row < ROWS; row++) {
      for (int series = columns[0]; series <= columns[1]; series++) {
        squares.add(square(design.withCounts(series, top + row)));
      }
    }
    return new StackField(columns[0], columns[1] - columns[0] + 1, top, ROWS, squares);
  }

  /** Returns the square at counts, if it is in the field. */
  public Optional<Square> at(int series, int parallel) {
    return squares.stream()
        .filter(s -> s.series() == series && s.parallel() == parallel)
        .findFirst();
  }

  private static Square square(Design design) {
    Optional<Judgement> worst = Trial.of(design).worst();
    Pack pack = design.pack();
    return new Square(
        pack.series(), pack.parallel(), worst, pack.energy(), pack.mass(), pack.cost());
  }

  /**
   * The first and last column: from the count whose full voltage just clears the machine's cut-out
   * to two past its maximum, with the chosen count inside.
   */
  private static int[] columns(Design design) {
    Machine machine = design.duty().machine();
    double cell = design.pack().cell().fullVoltage();
    int least = (int) Math.floor(machine.cutOutVoltage() / cell) - 1;
    int most = (int) Math.floor(machine.maximumVoltage() / cell + 1e-9) + 2;
    int chosen = design.pack().series();
    int last = Math.clamp(Math.max(most, chosen + 1), 1, Pack.MOST_SERIES);
    int first = Math.clamp(Math.min(least, chosen - 1), 1, last);
    if (last - first < MOST_COLUMNS) {
      return new int[] {first, last};
    }
    int from = Math.clamp(chosen - MOST_COLUMNS / 2, 1, Pack.MOST_SERIES - MOST_COLUMNS + 1);
    return new int[] {from, from + MOST_COLUMNS - 1};
  }
}
