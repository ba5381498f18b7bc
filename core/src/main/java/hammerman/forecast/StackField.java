package hammerman.forecast;

import hammerman.design.Design;
import hammerman.duty.Machine;
import hammerman.finding.Finding;
import hammerman.finding.Severity;
import hammerman.pack.Assembly;
import hammerman.pack.Pack;
import hammerman.unit.Unit;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.ToDoubleFunction;

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

  /** What contours can be drawn of. */
  public enum Measure {
    ENERGY("Energy", Unit.WATT_HOUR, Square::energy),
    MASS("Mass", Unit.KILOGRAM, Square::mass),
    COST("Cells cost", Unit.MONEY, Square::cost),
    SAG("Hardest moment at 20 %", Unit.VOLT, Square::sag),
    TIME_TO_LIMIT("Full effort until too hot", Unit.MINUTE, Square::timeToLimit);

    private final String label;
    private final Unit unit;
    private final ToDoubleFunction<Square> value;

    Measure(String label, Unit unit, ToDoubleFunction<Square> value) {
      this.label = label;
      this.unit = unit;
      this.value = value;
    }

    /** Returns it in words. */
    public String label() {
      return label;
    }

    /** Returns the unit it is shown in. */
    public Unit unit() {
      return unit;
    }

    /** Returns its value for a square, in the core's unit; infinite where it is never reached. */
    public double of(Square square) {
      return value.applyAsDouble(square);
    }
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
   * @param sag voltage at the hardest moment, 20 % charge, V
   * @param timeToLimit time at full effort to the temperature limit, s; infinite if the pack ends
   *     first
   */
  public record Square(
      int series,
      int parallel,
      Optional<Finding> worst,
      double energy,
      double mass,
      double cost,
      double sag,
      double timeToLimit) {
    /** Returns the counts as people write them: "13S6P". */
    public String counts() {
      return series + "S" + parallel + "P";
    }

    /** Whether a stop stands against it. */
    public boolean stopped() {
      return worst.filter(j -> j.severity() == Severity.STOP).isPresent();
    }
  }

  /**
   * Tries the counts around a design, all built like it; BMS and charge voltage follow the series
   * count.
   */
  public static StackField of(Design design, Assembly like) {
    int[] columns = columns(design);
    int lastParallel = Math.min(Pack.MOST_PARALLEL, Math.max(ROWS, design.pack().parallel() + 2));
    int top = lastParallel - ROWS + 1;
    List<Square> squares = new ArrayList<>();
    for (int row = 0; row < ROWS; row++) {
      for (int series = columns[0]; series <= columns[1]; series++) {
        squares.add(square(design.withCounts(series, top + row), like));
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

  private static Square square(Design design, Assembly like) {
    Trial trial = Trial.of(design, like);
    Pack pack = design.pack();
    return new Square(
        pack.series(),
        pack.parallel(),
        trial.worst(),
        pack.energy(),
        pack.mass(),
        pack.cost(),
        trial.sag(),
        Thermal.timeToLimit(trial.chain(), Trial.STEP).orElse(Double.POSITIVE_INFINITY));
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
