package hammerman.design;

import hammerman.cell.CellType;
import hammerman.duty.Duty;
import hammerman.fit.FitPlan;
import hammerman.guard.BmsClass;
import hammerman.guard.ChargePlan;
import hammerman.guard.Guard;
import hammerman.guard.Protection;
import hammerman.pack.MatchedCells;
import hammerman.pack.Pack;
import hammerman.readymade.ReadyMadeUse;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A whole design: the single input of every forecast.
 *
 * @param duty what the pack must do
 * @param pack what is built
 * @param guard what protects it
 * @param second a second pack used with it; absent for one pack alone
 * @param fit how it is fitted into its box; absent while that is open
 * @param readyMade a ready-made battery that works on the same machine; absent without one
 */
@RecordBuilder
public record Design(
    Duty duty,
    Pack pack,
    Guard guard,
    @Nullable SecondPack second,
    @Nullable FitPlan fit,
    @Nullable ReadyMadeUse readyMade)
    implements DesignBuilder.With {

  /** Returns the pack that is built and the one used with it, if there is one. */
  public List<Pack> packs() {
    return second == null ? List.of(pack) : List.of(pack, second.pack());
  }

  /** Returns the charge voltage per cell, V. */
  public double chargeVoltagePerCell() {
    return guard.charge().voltage() / pack.series();
  }

  /**
   * Returns this design with other counts. The charge voltage keeps its value per cell, and a BMS
   * that matched the string goes on matching it.
   */
  public Design withCounts(int series, int parallel) {
    double perCell = chargeVoltagePerCell();
    ChargePlan charge =
        series == pack.series() ? guard.charge() : guard.charge().following(perCell * series);
    return new Design(
        duty,
        pack.withCounts(series, parallel),
        guard.withCharge(charge).withProtection(following(series)),
        second,
        fit,
        readyMade);
  }

  /**
   * Returns this design with another cell. The charge voltage keeps its offset from the cell's full
   * voltage, and BMS voltages that suited the old cell's limits are set to the new cell's. Measured
   * cells are of one type: they stay only with it.
   */
  public Design withCell(CellType cell) {
    double offset = chargeVoltagePerCell() - pack.cell().fullVoltage();
    ChargePlan charge = guard.charge().following((cell.fullVoltage() + offset) * pack.series());
    Protection protection =
        guard
            .protection()
            .withBms(b -> b.withVoltages(BmsClass.cutOffFor(cell), BmsClass.overVoltageFor(cell)));
    return new Design(
        duty,
        pack.withCell(cell)
            .withMeasured(cell.id().equals(pack.cell().id()) ? pack.measured() : null),
        guard.withCharge(charge).withProtection(protection),
        second,
        fit,
        readyMade);
  }

  /**
   * Returns this design built of these very cells: with their counts, its cell as their mean is. If
   * there is a layout its plan stays.
   */
  public Design withMatched(MatchedCells cells) {
    Design counted = withCounts(cells.groups().size(), cells.groups().getFirst().cells().size());
    Pack built = counted.pack();
    return counted.withPack(built.withCell(cells.mean(built.cell())).withMeasured(cells));
  }

  private Protection following(int series) {
    return guard.protection().withBms(b -> b.series() == pack.series() ? b.withSeries(series) : b);
  }
}
