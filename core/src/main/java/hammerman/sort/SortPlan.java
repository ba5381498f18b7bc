package hammerman.sort;

import hammerman.schedule.BayPlan;
import hammerman.unit.In;
import hammerman.unit.Unit;
import hammerman.unit.Valid;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.Map;
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
  }

  /**
   * Returns the terms of a matching.
   *
   * @param pinned group, from 0, of cells that stay where they are, by label
   */
  public Matching.Terms terms(Map<String, Integer> pinned) {
    return new Matching.Terms(
        level, mostRatio == null ? Double.POSITIVE_INFINITY : mostRatio, pinned, 1, capacityWeight);
  }
}
