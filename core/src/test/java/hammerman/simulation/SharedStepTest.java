package hammerman.simulation;

import static org.assertj.core.api.Assertions.assertThat;

import hammerman.cell.CellType;
import hammerman.pack.Assembly;
import hammerman.pack.Pack;
import hammerman.project.Shipped;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class SharedStepTest {
  static Stream<CellType> everyClass() {
    return Shipped.cells().cells().stream();
  }

  private static CellPopulation pair(CellType cell) {
    Pack pack = Shipped.terraceBarrow().design().pack().withCell(cell).withCounts(1, 2);
    return CellPopulation.alike(pack).each().ahead(new double[] {0.03, 0});
  }

  /**
   * How often two cells side by side, nearly empty and hot, have drifted apart again in an hour.
   */
  private static int driftings(CellPopulation cells, double step) {
    double hot = cells.pack().cell().temperatures().dischargeHighest();
    PackState state =
        new PackState(
            cells, Assembly.estimated(cells.pack()), PackState.Leads.NONE, 0.01, hot, null);
    int apart = 0;
    double before = state.socApart();
    for (double t = 0; t < 3600; t += step) {
      state.step(0, step);
      apart += state.socApart() > before + 1e-9 ? 1 : 0;
      before = state.socApart();
    }
    return apart;
  }

  @ParameterizedTest
  @MethodSource("everyClass")
  void cellsOfEveryClassComeTogether(CellType cell) {
    CellPopulation cells = pair(cell);
    assertThat(driftings(cells, SharedStep.longest(cells))).isZero();
  }

  @Test
  void stepsTooLongMakeThemSwing() {
    CellType pouch =
        everyClass().filter(c -> SharedStep.longest(pair(c)) < 4).findFirst().orElseThrow();
    assertThat(driftings(pair(pouch), 4 * SharedStep.longest(pair(pouch)))).isPositive();
  }

  @Test
  void cellsOfLittleResistanceWantShorterSteps() {
    CellType cell = Shipped.terraceBarrow().design().pack().cell();
    double usual = SharedStep.longest(pair(cell));
    double tenth = SharedStep.longest(pair(cell.withR10(0.1 * cell.r10())));
    assertThat(tenth).isLessThan(0.2 * usual).isGreaterThan(0.5);
  }
}
