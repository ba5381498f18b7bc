package hammerman.cell;

import hammerman.unit.In;
import hammerman.unit.Unit;
import hammerman.unit.Valid;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.Optional;

/**
 * What a datasheet promises: so many cycles until so much of the capacity is left, one like the
 * other.
 *
 * @param cycles how many, 10 to 1,000,000
 * @param left share of the new capacity that is left then, 0.5 to 0.98
 * @param depth share of the capacity taken each time, 0.05 to 1
 * @param rate discharge current over the capacity, 0.05 to 20 per hour
 * @param temperature of the cell, K
 */
@RecordBuilder
public record CycleLife(
    double cycles,
    @In(Unit.PERCENT) double left,
    @In(Unit.PERCENT) double depth,
    double rate,
    @In(Unit.CELSIUS) double temperature)
    implements CycleLifeBuilder.With {

  /** How datasheets usually test: whole cycles at 1 C and 25 °C, to 80 %. */
  public static final CycleLife USUAL = new CycleLife(500, 0.8, 1, 1, 298.15);

  public CycleLife {
    Valid.range("Cycles", cycles, 10, 1e6, Unit.ONE);
    Valid.range("Capacity after the cycles", left, 0.5, 0.98, Unit.PERCENT);
    Valid.range("Depth of the cycles", depth, 0.05, 1, Unit.PERCENT);
    Valid.range("C-rate of the cycles", rate, 0.05, 20, Unit.ONE);
    Valid.range("Temperature of the cycles", temperature, 253.15, 343.15, Unit.CELSIUS);
  }

  /** Returns what is typical for a chemistry that has no ageing law of its own here. */
  public static Optional<CycleLife> typical(Chemistry chemistry) {
    return switch (chemistry) {
      case LMO -> Optional.of(USUAL.withCycles(700));
      case LCO -> Optional.of(USUAL.withCycles(600));
      case NA_ION -> Optional.of(USUAL.withCycles(2500));
      case LTO -> Optional.of(USUAL.withCycles(12_000));
      case NMC, NCA, LFP -> Optional.empty();
    };
  }
}
