package hammerman.probe;

import hammerman.design.Design;
import hammerman.unit.Unit;
import hammerman.unit.Valid;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.DoubleStream;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * The balance connector read lead by lead against battery minus, unplugged from the BMS, and what
 * the readings say. Lead k ends at the upper end of group k; lead 0 at battery minus itself.
 *
 * <p>The fewest faults that explain all readings are sought: every way to have up to two leads in
 * wrong places or open, and what is then odd about the groups between them. If several ways need as
 * few, all are given, as one of these: nothing is said that the readings do not tell. The voltage
 * of a group is taken from the readings themselves, within what the cell can have; it tells nothing
 * about the state of charge of all groups together.
 *
 * @param expected reading at each lead, V, from the middle of the groups as they read
 * @param faults what is wrong, empty if nothing is; more than one of a set of alternatives is never
 *     meant together
 * @param alternatives whether the faults are alternatives, of which one is so
 */
public record ProbeCard(
    List<Double> expected, List<List<ProbeFault>> faults, boolean alternatives) {
  /** The longest string that is looked at. */
  public static final int MOST_SERIES = 32;

  /** Groups nearer than this to the middle are level, V; a meter's error and an unbalanced rest. */
  static final double LEVEL = 0.05;

  /** Up to so many groups the middle one may itself be odd. */
  private static final int FEW = 3;

  public ProbeCard {
    expected = List.copyOf(expected);
    faults = faults.stream().map(List::copyOf).toList();
  }

  /** Whether all is well. */
  public boolean isSound() {
    return faults.isEmpty();
  }

  /** Returns all faults, of alternatives each. */
  public List<ProbeFault> all() {
    return faults.stream().flatMap(List::stream).distinct().toList();
  }

  /**
   * Reads a card.
   *
   * @param volts reading at each lead from 0 on, V; not a number where there was none
   * @throws InvalidValue if the design has more than {@value #MOST_SERIES} groups, or a reading
   *     cannot be
   */
  public static ProbeCard of(Design design, double[] volts) {
    int series = design.pack().series();
    Valid.count("Series count of a probe card", series, 1, MOST_SERIES);
    for (double v : volts) {
      if (!Double.isNaN(v)) {
        Valid.range("Reading", v, -400, 400, Unit.VOLT);
      }
    }
    double low = Math.max(0.5, design.pack().cell().cutOffVoltage() - 0.5);
    double high = design.pack().cell().fullVoltage() + 0.1;
    if (volts.length != series + 1) {
      return miscounted(series, volts.length);
    }
    double[] read = volts.clone();
    if (Double.isNaN(read[0])) {
      // Lead 0 is battery minus itself, and is often left out.
      read[0] = 0;
    }
    return read(series, read, low, high);
  }

  private static ProbeCard read(int series, double[] volts, double low, double high) {
    double[] steps = middle(volts, low, high);
    if (steps.length == 0) {
      return unknown(series, volts);
    }
    double each = steps[steps.length / 2];
    List<List<ProbeFault>> best = new Explanations(volts, each, low, high).fewest();
    double other = steps[(steps.length - 1) / 2];
    if (each - other > LEVEL) {
      // Half of the groups stand against the other half: which is odd the readings do not tell.
      best = fewer(best, new Explanations(volts, other, low, high).fewest());
    }
    if (series <= FEW) {
      // So few groups have no middle to speak of: any level that two readings tell may be it.
      for (double level : levels(volts, low, high)) {
        best = fewer(best, new Explanations(volts, level, low, high).fewest());
      }
    }
    List<Double> expected = new ArrayList<>();
    for (int k = 0; k <= series; k++) {
      expected.add(k * each);
    }
    if (best.isEmpty()) {
      return unknown(series, volts);
    }
    return new ProbeCard(expected, best.getFirst().isEmpty() ? List.of() : best, best.size() > 1);
  }

  /** Every voltage that a group may have by two of the readings, V. */
  private static List<Double> levels(double[] volts, double low, double high) {
    List<Double> all = new ArrayList<>();
    for (int from = 0; from < volts.length; from++) {
      for (int to = from + 1; to < volts.length; to++) {
        double level = (volts[to] - volts[from]) / (to - from);
        if (level >= low && level <= high) {
          all.add(level);
        }
      }
    }
    return all;
  }

  private static List<List<ProbeFault>> fewer(List<List<ProbeFault>> a, List<List<ProbeFault>> b) {
    if (a.isEmpty() || b.isEmpty() || a.getFirst().size() != b.getFirst().size()) {
      boolean first = b.isEmpty() || (!a.isEmpty() && a.getFirst().size() < b.getFirst().size());
      return first ? a : b;
    }
    return Stream.concat(a.stream(), b.stream()).distinct().toList();
  }

  private static ProbeCard miscounted(int series, int readings) {
    return new ProbeCard(
        List.of(),
        List.of(
            List.of(
                new ProbeFault(
                    ProbeFault.Kind.SERIES,
                    List.of(),
                    "%d readings for %d groups, which have %d leads. Read each lead, from battery minus on; if there are as many leads as readings, the pack has %d groups."
                        .formatted(readings, series, series + 1, readings - 1)))),
        false);
  }

  private static ProbeCard unknown(int series, double[] volts) {
    List<Integer> leads = new ArrayList<>();
    for (int k = 0; k <= series && k < volts.length; k++) {
      leads.add(k);
    }
    return new ProbeCard(
        List.of(),
        List.of(
            List.of(
                new ProbeFault(
                    ProbeFault.Kind.UNKNOWN,
                    leads,
                    "No two faults explain these readings. Do not plug it in; look at each lead"
                        + " from battery minus on, and read again."))),
        false);
  }

  /**
   * The steps from lead to lead that a cell can make, in rising order, or, where few are, also
   * those over two leads; the voltage of a group is the one in the middle.
   */
  private static double[] middle(double[] volts, double low, double high) {
    double[] steps = steps(volts, 1, low, high);
    if (2 * steps.length >= volts.length - 1) {
      return steps;
    }
    double[] twos = steps(volts, 2, low, high);
    return DoubleStream.concat(Arrays.stream(steps), Arrays.stream(twos)).sorted().toArray();
  }

  private static double[] steps(double[] volts, int over, double low, double high) {
    return IntStream.range(over, volts.length)
        .mapToDouble(k -> Math.abs(volts[k] - volts[k - over]) / over)
        .filter(step -> step >= low && step <= high)
        .sorted()
        .toArray();
  }

  /** Returns what the card says, in sentences. */
  public String words() {
    if (isSound()) {
      return "Every lead reads what it should. The balance plug may go in after the last check of"
          + " polarity.";
    }
    return faults.stream()
        .map(set -> set.stream().map(ProbeFault::say).collect(Collectors.joining(" ")))
        .collect(
            Collectors.joining(
                alternatives ? "\nOr: " : "\n", alternatives ? "One of these: " : "", ""));
  }
}
