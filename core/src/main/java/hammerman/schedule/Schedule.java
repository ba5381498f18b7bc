package hammerman.schedule;

import hammerman.unit.Valid;
import java.time.Duration;
import java.time.ZonedDateTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.PriorityQueue;
import java.util.TreeMap;

/**
 * When cells are measured. A bay is loaded anew at the first moment after its test at which the
 * builder is there: no later loading of a bay can end earlier, and all tests take as long, so that
 * no schedule is done sooner.
 *
 * @param each how long a test takes
 * @param swaps at which bays are emptied and loaded, in their order; the last ones only empty
 * @param measured when the last cell comes out
 * @param rested when the last of them has rested, if they rest
 * @param late bays whose test has been done since before the builder was last expected there
 */
public record Schedule(
    Duration each,
    List<Swap> swaps,
    ZonedDateTime measured,
    ZonedDateTime rested,
    List<Integer> late) {

  /** The most cells in one schedule. */
  public static final int MOST_CELLS = 100_000;

  /**
   * A visit to the tester.
   *
   * @param at when
   * @param empty bays whose test is done
   * @param load bays into which a cell goes
   */
  public record Swap(ZonedDateTime at, List<Integer> empty, List<Integer> load) {
    public Swap {
      empty = List.copyOf(empty);
      load = List.copyOf(load);
    }
  }

  /**
   * A bay at work.
   *
   * @param bay from 1
   * @param due when its test is done
   */
  public record Running(int bay, ZonedDateTime due) {}

  /** A bay and from when on it waits for the builder. */
  private record Waiting(int bay, ZonedDateTime since, boolean full) {}

  public Schedule {
    swaps = List.copyOf(swaps);
    late = List.copyOf(late);
  }

  /**
   * Plans from now on.
   *
   * @param cells still to be tested, those in bays not counted
   * @param capacity of a cell, Ah
   * @param running bays at work, or done and not emptied yet
   * @param restDays that cells rest after the test, for their self-discharge
   * @param now with the zone in which the builder's hours are meant
   */
  public static Schedule of(
      BayPlan plan,
      int cells,
      double capacity,
      List<Running> running,
      int restDays,
      ZonedDateTime now) {
    Valid.count("Cells to test", cells, 0, MOST_CELLS);
    Duration each = plan.test(capacity);
    PriorityQueue<Waiting> bays =
        new PriorityQueue<>(Comparator.comparing(Waiting::since).thenComparingInt(Waiting::bay));
    List<Integer> late = new ArrayList<>();
    for (int bay = 1; bay <= plan.bays(); bay++) {
      int number = bay;
      running.stream()
          .filter(r -> r.bay() == number)
          .findFirst()
          .ifPresentOrElse(
              r -> {
                if (plan.presence().next(r.due()).isBefore(now)) {
                  late.add(number);
                }
                bays.add(new Waiting(number, visit(plan, r.due(), now), true));
              },
              () -> bays.add(new Waiting(number, visit(plan, now, now), false)));
    }
    TreeMap<ZonedDateTime, List<Waiting>> visits = new TreeMap<>();
    TreeMap<ZonedDateTime, List<Integer>> loads = new TreeMap<>();
    int left = cells;
    ZonedDateTime measured = now;
    while (!bays.isEmpty()) {
      Waiting w = bays.poll();
      if (w.full()) {
        visits.computeIfAbsent(w.since(), t -> new ArrayList<>()).add(w);
        measured = w.since().isAfter(measured) ? w.since() : measured;
      }
      if (left > 0) {
        left--;
        loads.computeIfAbsent(w.since(), t -> new ArrayList<>()).add(w.bay());
        bays.add(new Waiting(w.bay(), visit(plan, w.since().plus(each), now), true));
      }
    }
    TreeMap<ZonedDateTime, Swap> swaps = new TreeMap<>();
    visits.forEach(
        (at, done) ->
            swaps.put(at, new Swap(at, done.stream().map(Waiting::bay).toList(), List.of())));
    loads.forEach(
        (at, into) -> {
          Swap was = swaps.get(at);
          swaps.put(at, new Swap(at, was == null ? List.of() : was.empty(), into));
        });
    return new Schedule(
        each,
        List.copyOf(swaps.values()),
        measured,
        restDays == 0 ? measured : plan.presence().next(measured.plusDays(restDays)),
        late);
  }

  private static ZonedDateTime visit(BayPlan plan, ZonedDateTime from, ZonedDateTime now) {
    return plan.presence().next(from.isBefore(now) ? now : from);
  }

  /** Returns how long it takes from a moment until all are measured. */
  public Duration until(ZonedDateTime from) {
    return Duration.between(from, measured);
  }
}
