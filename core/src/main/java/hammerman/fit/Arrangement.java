package hammerman.fit;

import hammerman.cell.CellFormat;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Where the cells of a pack stand and which group each belongs to, with what was moved by hand.
 *
 * @param placing where cells can stand
 * @param why why there are no groups; empty if there are
 * @param faults what moves by hand have broken, in sentences
 * @param grouping the groups, if they were found and are sound
 */
public record Arrangement(
    Placing placing, String why, List<String> faults, Optional<Grouping> grouping) {
  private static final int REMEMBERED = 8;
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
      Container container, Packing packing, CellFormat format, int series, int parallel) {}

  private record Answer(Placing placing, Grouping.Result result) {}

  /**
   * Arranges a pack. Placing and grouping some 90 places takes about 20 ms, and most edits leave
   * them as they are, so the last few are remembered; the result is the same either way.
   *
   * @param series number of groups
   * @param parallel cells of a group
   */
  public static Arrangement of(FitPlan plan, CellFormat format, int series, int parallel) {
    Answer answer = answer(new Asked(plan.container(), plan.packing(), format, series, parallel));
    return switch (answer.result()) {
      case Grouping.Result.NotPossible n ->
          new Arrangement(answer.placing(), n.why(), List.of(), Optional.empty());
      case Grouping.Result.Found found -> moved(plan, answer.placing(), found.grouping());
    };
  }

  private static Answer answer(Asked asked) {
    synchronized (LAST) {
      return LAST.computeIfAbsent(
          asked,
          a -> {
            Placing placing = placing(a);
            return new Answer(
                placing, Grouping.of(placing, a.series(), a.parallel(), a.container().exit()));
          });
    }
  }

  /** Places do not depend on the counts, so an answer with the same box has them already. */
  private static Placing placing(Asked asked) {
    for (Map.Entry<Asked, Answer> e : LAST.entrySet()) {
      Asked a = e.getKey();
      if (a.container().equals(asked.container())
          && a.packing().equals(asked.packing())
          && a.format().equals(asked.format())) {
        return e.getValue().placing();
      }
    }
    return Placing.of(asked.container(), asked.format(), asked.packing());
  }

  private static Arrangement moved(FitPlan plan, Placing placing, Grouping found) {
    Grouping grouping = found;
    for (FitPlan.Swap s : plan.swaps()) {
      if (Math.max(s.first(), s.second()) < placing.places().size()) {
        grouping = grouping.swapped(s.first(), s.second());
      }
    }
    List<String> faults = plan.swaps().isEmpty() ? List.of() : grouping.faults(placing);
    return new Arrangement(
        placing, "", faults, faults.isEmpty() ? Optional.of(grouping) : Optional.empty());
  }
}
