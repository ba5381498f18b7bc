package hammerman.fit;

import hammerman.cell.CellFormat;
import hammerman.pack.Pack;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Where the cells of a pack stand and which group each belongs to, with what was moved by hand.
 *
 * @param placing where cells can stand
 * @param joining how the current gets from one group to the next
 * @param why why there are no groups; empty if there are
 * @param faults what moves by hand have broken, in sentences
 * @param attempted the groups as found or moved, sound or not
 */
public record Arrangement(
    Placing placing,
    Joining joining,
    String why,
    List<String> faults,
    Optional<Grouping> attempted) {
  private static final int REMEMBERED = 12;
  private static final Map<Asked, Answer> LAST =
      new LinkedHashMap<>(16, 0.75f, true) {
        @Override
        protected boolean removeEldestEntry(Map.Entry<Asked, Answer> eldest) {
          return size() > REMEMBERED;
        }
      };

  public Arrangement {
    faults = List.copyOf(faults);
  }

  /** What places and groups depend on. */
  private record Asked(
      List<Container> boxes,
      Packing packing,
      CellFormat format,
      int series,
      int parallel,
      Style style,
      Joining joining) {
    Grouping.Wish wish() {
      return new Grouping.Wish(boxes, series, parallel, style, joining);
    }
  }

  private record Answer(Placing placing, Grouping.Result result) {}

  /**
   * Arranges a pack. Placing and grouping some 90 places takes about 20 ms, and most edits leave
   * them as they are, so the last few are remembered; the result is the same either way.
   */
  public static Arrangement of(FitPlan plan, Pack pack) {
    Asked asked = asked(plan, pack);
    HandGrouping byHand = plan.byHand();
    if (byHand != null) {
      Placing placing = placing(asked);
      if (byHand.suits(pack.series(), pack.parallel(), placing.places().size())) {
        Grouping moved = new Grouping(byHand.array(), pack.series(), pack.parallel());
        return new Arrangement(
            placing, plan.joining(), "", moved.faults(placing, plan.joining()), Optional.of(moved));
      }
    }
    Answer answer = answer(asked);
    return switch (answer.result()) {
      case Grouping.Result.NotPossible n ->
          new Arrangement(answer.placing(), plan.joining(), n.why(), List.of(), Optional.empty());
      case Grouping.Result.Found f ->
          new Arrangement(
              answer.placing(), plan.joining(), "", List.of(), Optional.of(f.grouping()));
    };
  }

  /** Arranges all groups anew but the locked ones, which stay where they are now. */
  public static Grouping.Result anew(FitPlan plan, Pack pack) {
    Arrangement now = of(plan, pack);
    int[] held = new int[now.placing().places().size()];
    Arrays.fill(held, -1);
    now.attempted()
        .ifPresent(
            g -> {
              for (int k = 0; k < held.length; k++) {
                held[k] = plan.locked().contains(g.at(k)) ? g.at(k) : -1;
              }
            });
    int[] none = new int[held.length];
    Arrays.fill(none, -1);
    int[] known = now.grouping().map(Grouping::group).orElse(none);
    return Grouping.of(now.placing(), asked(plan, pack).wish(), held, known);
  }

  private static Asked asked(FitPlan plan, Pack pack) {
    return new Asked(
        plan.boxes(),
        plan.packing(),
        pack.cell().format(),
        pack.series(),
        pack.parallel(),
        plan.style(),
        plan.joining());
  }

  private static Answer answer(Asked asked) {
    synchronized (LAST) {
      return LAST.computeIfAbsent(
          asked,
          a -> {
            Placing placing = placing(a);
            return new Answer(placing, Grouping.of(placing, a.wish()));
          });
    }
  }

  /** Places do not depend on the counts, so an answer with the same boxes has them already. */
  private static Placing placing(Asked asked) {
    synchronized (LAST) {
      for (Map.Entry<Asked, Answer> e : LAST.entrySet()) {
        Asked a = e.getKey();
        if (a.boxes().equals(asked.boxes())
            && a.packing().equals(asked.packing())
            && a.format().equals(asked.format())) {
          return e.getValue().placing();
        }
      }
    }
    return Placing.of(asked.boxes(), asked.format(), asked.packing());
  }

  /** Returns the groups, if they were found and are sound. */
  public Optional<Grouping> grouping() {
    return faults.isEmpty() ? attempted : Optional.empty();
  }
}
