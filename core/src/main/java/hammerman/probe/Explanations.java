package hammerman.probe;

import hammerman.unit.Figures;
import hammerman.unit.Unit;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.function.Supplier;

/** Every way to explain readings with few faults. */
final class Explanations {
  /** A reading below this is that of a lead that touches nothing, V. */
  private static final double NOTHING = 0.3;

  /** More faults than these are not explained. */
  private static final int MOST = 2;

  /** Two leads on one tap read the same within this, V. */
  private static final double SAME = 0.02;

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
        if (Math.abs(off) > ProbeCard.LEVEL * spans) {
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
        if (Math.abs(step - (tap - last) * each) > ProbeCard.LEVEL * (tap - last)) {
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
