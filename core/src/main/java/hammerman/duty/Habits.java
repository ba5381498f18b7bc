package hammerman.duty;

import hammerman.unit.In;
import hammerman.unit.Unit;
import hammerman.unit.Valid;
import io.soabase.recordbuilder.core.RecordBuilder;
import org.jspecify.annotations.Nullable;

/**
 * How the pack is used over the years; sets its ageing.
 *
 * @param cycles how often the duty is done while it is in use, 1/s
 * @param storageSoc state of charge at which it waits, 0 to 1
 * @param longestRest the longest time that it stands unused, s
 * @param season months of the year in which it is used, 1 to 12; all if absent
 * @param endOfLife share of the first capacity at which it counts as worn out, 0 to 1
 */
@RecordBuilder
public record Habits(
    @In(Unit.PER_WEEK) double cycles,
    @In(Unit.PERCENT) double storageSoc,
    @In(Unit.DAY) double longestRest,
    @In(Unit.ONE) @Nullable Double season,
    @In(Unit.PERCENT) double endOfLife)
    implements HabitsBuilder.With {
  public Habits {
    Valid.range("Duties per week", cycles, 0, Unit.PER_WEEK.toCore(100), Unit.PER_WEEK);
    Valid.range("Storage state of charge", storageSoc, 0, 1, Unit.PERCENT);
    Valid.range("Longest rest", longestRest, 0, 10 * 365 * 86400.0, Unit.DAY);
    if (season != null) {
      Valid.range("Months of use a year", season, 1, 12, Unit.ONE);
    }
    Valid.range("End of life", endOfLife, 0.3, 0.99, Unit.PERCENT);
  }

  /** Returns how often the duty is done over the whole year, 1/s. */
  public double meanCycles() {
    return season == null ? cycles : cycles * season / 12;
  }
}
