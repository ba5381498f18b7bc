package hammerman.duty;

import hammerman.unit.In;
import hammerman.unit.Unit;
import hammerman.unit.Valid;
import io.soabase.recordbuilder.core.RecordBuilder;

/**
 * The air around the pack.
 *
 * @param coldestInUse lowest temperature at which it must work, K
 * @param hottestInUse highest temperature at which it must work, K
 * @param coldestCharging lowest temperature at which it is charged, K
 * @param hottestCharging highest temperature at which it is charged, K
 * @param coldestStored lowest temperature of the place where it waits, K
 * @param hottestStored highest temperature of the place where it waits, K
 */
@RecordBuilder
public record Surroundings(
    @In(Unit.CELSIUS) double coldestInUse,
    @In(Unit.CELSIUS) double hottestInUse,
    @In(Unit.CELSIUS) double coldestCharging,
    @In(Unit.CELSIUS) double hottestCharging,
    @In(Unit.CELSIUS) double coldestStored,
    @In(Unit.CELSIUS) double hottestStored)
    implements SurroundingsBuilder.With {
  private static final double LOWEST = 223.15;
  private static final double HIGHEST = 353.15;

  public Surroundings {
    Valid.range("Coldest in use", coldestInUse, LOWEST, HIGHEST, Unit.CELSIUS);
    Valid.range("Hottest in use", hottestInUse, coldestInUse, HIGHEST, Unit.CELSIUS);
    Valid.range("Coldest when charging", coldestCharging, LOWEST, HIGHEST, Unit.CELSIUS);
    Valid.range("Hottest when charging", hottestCharging, coldestCharging, HIGHEST, Unit.CELSIUS);
    Valid.range("Coldest in storage", coldestStored, LOWEST, HIGHEST, Unit.CELSIUS);
    Valid.range("Hottest in storage", hottestStored, coldestStored, HIGHEST, Unit.CELSIUS);
  }
}
