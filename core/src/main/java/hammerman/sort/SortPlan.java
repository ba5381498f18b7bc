package hammerman.sort;

import hammerman.pack.Pack;
import hammerman.schedule.BayPlan;
import hammerman.unit.In;
import hammerman.unit.Unit;
import hammerman.unit.Valid;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * How the builder measures, rejects and matches.
 *
 * @param school which of the cells are measured in full
 * @param direct whether resistances are those of direct current after 10 s; else at 1 kHz
 * @param rules which cells are put aside
 * @param level what is to be the same in all groups first
 * @param capacityWeight share that the capacity has where both count, 0 to 1
 * @param mostRatio largest resistance over the smallest within a group; absent for no limit
 * @param coolest whether the weaker cells of a group go to its cooler places
 * @param restDays days that a charged cell rests between the two voltages that tell its
 *     self-discharge; 0 for none
 * @param pinned cells that stay in a group whatever else is matched
 * @param bays the tester, and when somebody is there to swap cells
 */
@RecordBuilder
public record SortPlan(
    School school,
    boolean direct,
    RejectRules rules,
    Matching.Level level,
    @In(Unit.PERCENT) double capacityWeight,
    @Nullable Double mostRatio,
    boolean coolest,
    int restDays,
    List<Pin> pinned,
    BayPlan bays)
    implements SortPlanBuilder.With {

  /** What is usual. */
  public static final SortPlan USUAL =
      new SortPlan(
          School.EACH,
          false,
          RejectRules.USUAL,
          Matching.Level.CAPACITY,
          0.5,
          null,
          false,
          14,
          List.of(),
          BayPlan.USUAL);

  /** Which of the cells are measured in full. */
  public enum School {
    /** The capacity of each cell. */
    EACH("Capacity of each cell"),
    /** Rest voltage and resistance of each; the capacity is taken as that of the type. */
    QUICK("Rest voltage and resistance only"),
    /** The capacity of a sample; the others are taken as its mean. */
    SAMPLE("Capacity of a sample of a batch");

    private final String label;

    School(String label) {
      this.label = label;
    }

    /** Returns it in words. */
    public String label() {
      return label;
    }
  }

  public SortPlan {
    Valid.range("Weight of the capacity", capacityWeight, 0, 1, Unit.PERCENT);
    if (mostRatio != null) {
      Valid.range("Resistance ratio within a group", mostRatio, 1, 100, Unit.ONE);
    }
    Valid.count("Days of rest", restDays, 0, 365);
    pinned = List.copyOf(pinned);
    Valid.count("Pinned cells", pinned.size(), 0, 10_000);
  }

  /**
   * A cell that stays in a group.
   *
   * @param label of the cell
   * @param group from 0 at the negative end
   */
  public record Pin(String label, int group) {
    public Pin {
      Valid.text("Pinned cell", label);
      Valid.count("Group of a pinned cell", group, 0, Pack.MOST_SERIES - 1);
    }
  }

  /** Returns the plan with a cell pinned to a group, from 0; to none if absent. */
  public SortPlan withPin(String label, @Nullable Integer group) {
    List<Pin> pins = new ArrayList<>(pinned);
    pins.removeIf(p -> p.label().equals(label));
    if (group != null) {
      pins.add(new Pin(label, group));
    }
    return withPinned(pins);
  }

  /** Returns the group, from 0, that a cell is pinned to, if it is. */
  public Optional<Integer> pin(String label) {
    return pinned.stream().filter(p -> p.label().equals(label)).map(Pin::group).findFirst();
  }

  /**
   * Returns the terms of a matching.
   *
   * @param welded group, from 0, of cells that are built in already, by label; they stay there
   */
  public Matching.Terms terms(Map<String, Integer> welded) {
    Map<String, Integer> all = new HashMap<>();
    pinned.forEach(p -> all.put(p.label(), p.group()));
    all.putAll(welded);
    return new Matching.Terms(
        level, mostRatio == null ? Double.POSITIVE_INFINITY : mostRatio, all, 1, capacityWeight);
  }
}
