package hammerman.probe;

import hammerman.design.Design;
import hammerman.unit.Figures;
import hammerman.unit.InvalidValue;
import hammerman.unit.Unit;
import hammerman.unit.Valid;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.function.Supplier;
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

  /** A reading below this is that of a lead that touches nothing, V. */
  private static final double NOTHING = 0.3;

  /** Up to so many groups the middle one may itself be odd. */
  private static final int FEW = 3;

  /** More faults than these are not explained. */
  private static final int MOST = 2;

  /** Two leads on one tap read the same within this, V. */
  private static final double SAME = 0.02;

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

  /** Every way to explain readings with few faults. */
  private static final class Explanations {
    private final double[] volts;
    private final double each;
    private final double low;
    private final double high;
    private final int leads;

    /** Reading at each tap, as the leads are taken to be; not a number where none is. */
    private final double[] at;

    private int fewest = Integer.MAX_VALUE;
    private final Set<List<ProbeFault>> found = new LinkedHashSet<>();

    Explanations(double[] volts, double each, double low, double high) {
      this.volts = volts;
      this.each = each;
      this.low = low;
      this.high = high;
      leads = volts.length;
      at = new double[leads];
    }

    /** A lead fault: which tap each lead is on instead, -1 for none. */
    private record Move(Supplier<ProbeFault> fault, int a, int tapOfA, int b, int tapOfB) {
      boolean touches(int lead) {
        return a == lead || b == lead;
      }
    }

    List<List<ProbeFault>> fewest() {
      List<Move> moves = moves();
      int[] straight = new int[leads];
      Arrays.setAll(straight, k -> k);
      weigh(straight, List.of());
      for (int m = 0; m < moves.size() && fewest > 0; m++) {
        Move first = moves.get(m);
        int[] one = moved(straight, first);
        weigh(one, List.of(first));
        for (int n = m + 1; n < moves.size() && fewest > 1; n++) {
          Move second = moves.get(n);
          if (!first.touches(second.a()) && !(second.b() >= 0 && first.touches(second.b()))) {
            weigh(moved(one, second), List.of(first, second));
          }
        }
      }
      return List.copyOf(found);
    }

    private static int[] moved(int[] taps, Move m) {
      int[] now = taps.clone();
      now[m.a()] = m.tapOfA();
      if (m.b() >= 0) {
        now[m.b()] = m.tapOfB();
      }
      return now;
    }

    private List<Move> moves() {
      List<Move> all = new ArrayList<>();
      for (int k = 0; k < leads; k++) {
        int a = k;
        if (Double.isNaN(volts[a]) || (a > 0 && Math.abs(volts[a]) < NOTHING)) {
          all.add(new Move(() -> open(a), a, -1, -1, 0));
        }
        for (int other = a + 1; other < leads; other++) {
          int b = other;
          all.add(new Move(() -> swapped(a, b), a, b, b, a));
        }
        for (int tap : new int[] {a - 1, a + 1}) {
          if (tap >= 0 && tap < leads) {
            all.add(new Move(() -> misplaced(a, tap), a, tap, -1, 0));
          }
        }
      }
      return all;
    }

    /** Takes the leads to be on these taps, and counts what is odd then. */
    private void weigh(int[] taps, List<Move> wrong) {
      if (!place(taps)) {
        return;
      }
      int odd = wrong.size();
      int last = 0;
      for (int tap = 1; tap < leads && odd <= Math.min(fewest, MOST); tap++) {
        if (!Double.isNaN(at[tap])) {
          int spans = tap - last;
          double off = at[tap] - at[last] - spans * each;
          if (Math.abs(off) > LEVEL * spans) {
            odd += spans > 1 && !one(last, tap, off) ? MOST + 1 : 1;
          }
          last = tap;
        }
      }
      if (odd <= Math.min(fewest, MOST)) {
        keep(wrong);
      }
    }

    /** Puts the readings to the taps that the leads are on; false if that cannot be. */
    private boolean place(int[] taps) {
      Arrays.fill(at, Double.NaN);
      for (int k = 0; k < leads; k++) {
        int tap = taps[k];
        if (tap >= 0) {
          boolean apart = !Double.isNaN(at[tap]) && Math.abs(at[tap] - volts[k]) > SAME;
          if (Double.isNaN(volts[k]) || apart) {
            return false;
          }
          at[tap] = volts[k];
        }
      }
      // Battery minus is where the meter's other lead is, whatever lead 0 does.
      boolean sound = Double.isNaN(at[0]) || Math.abs(at[0]) <= SAME;
      at[0] = 0;
      return sound;
    }

    /** Whether one group among those of a span can be what is off. */
    private boolean one(int from, int to, double off) {
      double odd = each + off;
      return odd >= -high && odd <= high && to - from <= 3;
    }

    /** Keeps what was just weighed, in words. */
    private void keep(List<Move> wrong) {
      List<ProbeFault> all = new ArrayList<>();
      wrong.forEach(m -> all.add(m.fault().get()));
      int last = 0;
      for (int tap = 1; tap < leads; tap++) {
        if (!Double.isNaN(at[tap])) {
          double step = at[tap] - at[last];
          if (Math.abs(step - (tap - last) * each) > LEVEL * (tap - last)) {
            all.add(group(last, tap, step));
          }
          last = tap;
        }
      }
      if (all.size() < fewest) {
        fewest = all.size();
        found.clear();
      }
      found.add(all);
    }

    private ProbeFault group(int from, int to, double volts) {
      double odd = volts - (to - from - 1) * each;
      String which =
          to - from == 1 ? "Group " + to : "One of the groups %d to %d".formatted(from + 1, to);
      List<Integer> ends = List.of(from, to);
      String reads = Figures.of(odd, Unit.VOLT, 2);
      if (odd < -low) {
        return new ProbeFault(
            ProbeFault.Kind.REVERSED,
            ends,
            "%s reads %s: it is in with its ends exchanged. Take the fuse out and turn it; never plug the BMS in."
                .formatted(which, reads));
      }
      if (odd < 0.5) {
        return new ProbeFault(
            ProbeFault.Kind.SHORT,
            ends,
            "%s reads %s: it is shorted or dead. Touch it for warmth, take the links off, and read each of its cells; never charge it."
                .formatted(which, reads));
      }
      return odd < each
          ? new ProbeFault(
              ProbeFault.Kind.LOW,
              ends,
              "%s reads %s, %s below the others. Bring it up by itself before the BMS is plugged in; if it falls again, a cell in it leaks."
                  .formatted(which, reads, Figures.of(each - odd, Unit.VOLT, 2)))
          : new ProbeFault(
              ProbeFault.Kind.HIGH,
              ends,
              "%s reads %s, %s above the others. Bring it down by itself before the BMS is plugged in."
                  .formatted(which, reads, Figures.of(odd - each, Unit.VOLT, 2)));
    }

    private static ProbeFault open(int lead) {
      return new ProbeFault(
          ProbeFault.Kind.OPEN,
          List.of(lead),
          "Lead %d reads nothing: it is broken, not crimped through, or not joined. Mend it."
              .formatted(lead));
    }

    private static ProbeFault swapped(int a, int b) {
      return new ProbeFault(
          ProbeFault.Kind.SWAPPED,
          List.of(a, b),
          "Leads %d and %d are in each other's places: exchange them in the plug.".formatted(a, b));
    }

    private static ProbeFault misplaced(int lead, int tap) {
      return new ProbeFault(
          ProbeFault.Kind.MISPLACED,
          List.of(lead, tap),
          "Lead %d is on the tap of lead %d, and its own has none: move it to the %s end of group %d."
              .formatted(lead, tap, lead == 0 ? "negative" : "positive", Math.max(1, lead)));
    }
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
