package hammerman.datasheet;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import hammerman.Samples;
import hammerman.cell.CellCircuit;
import hammerman.cell.CellType;
import hammerman.cell.Health;
import hammerman.cell.RestVoltage;
import hammerman.table.UnreadableTable;
import hammerman.unit.InvalidValue;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class CellFitTest {
  @TempDir Path folder;

  /** A discharge worked out by small steps of the circuit, not by the fit's own formula. */
  private static DischargeCurve measured(CellType cell, double current, double noise, long seed) {
    CellCircuit c = new CellCircuit(cell);
    Random random = new Random(seed);
    List<DischargeCurve.Point> points = new ArrayList<>();
    double fast = 0;
    double slow = 0;
    double dt = 3600 * cell.capacity() / current / 400;
    for (int k = 0; k <= 400; k++) {
      double q = current * k * dt / 3600;
      double z = 1 - q / cell.capacity();
      double r = c.r10(z, Samples.ROOM);
      double v = c.openCircuit(z) - fast - slow - current * CellCircuit.R0_SHARE * r;
      if (v < cell.cutOffVoltage()) {
        break;
      }
      points.add(new DischargeCurve.Point(q, v + noise * random.nextGaussian()));
      double a = Math.exp(-dt / CellCircuit.TAU1);
      double b = Math.exp(-dt / CellCircuit.TAU2);
      fast = fast * a + current * CellCircuit.R1_SHARE * r * (1 - a);
      slow = slow * b + current * CellCircuit.R2_SHARE * r * (1 - b);
    }
    return new DischargeCurve(current + " A", current, Samples.ROOM, points);
  }

  /** A cell that is not in the library: another curve, resistance and capacity. */
  private static CellType truth() {
    return Samples.cell("b21700")
        .withCapacity(4.23)
        .withR10(0.0213)
        .withRestVoltage(
            new RestVoltage(
                List.of(2.95, 3.26, 3.40, 3.53, 3.60, 3.66, 3.75, 3.87, 3.96, 4.05, 4.13, 4.19)));
  }

  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3})
  void threeNoisyCurvesGiveTheCellBack(long seed) {
    CellType truth = truth();
    List<DischargeCurve> curves =
        List.of(
            measured(truth, 0.85, 2e-3, seed),
            measured(truth, 4.2, 2e-3, seed + 10),
            measured(truth, 12, 2e-3, seed + 20));
    CellFit fit = CellFit.of(Samples.cell("b21700"), curves);
    assertThat(fit.notIdentified()).isEmpty();
    assertThat(fit.cell().r10()).isCloseTo(truth.r10(), within(0.05 * truth.r10()));
    assertThat(fit.cell().capacity()).isCloseTo(4.23, within(0.01 * 4.23));
    for (int k = 1; k < RestVoltage.SOC.size(); k++) {
      double z = RestVoltage.SOC.get(k);
      assertThat(fit.cell().openCircuit().value(z))
          .as("rested voltage at %s", z)
          .isCloseTo(truth.openCircuit().value(z), within(z < 0.08 ? 0.05 : 0.015));
    }
    assertThat(fit.rms()).isLessThan(6e-3);
    assertThat(fit.residuals()).hasSize(3);
  }

  @Test
  void oneCurveLeavesTheResistanceAndSaysSo() {
    CellType base = Samples.cell("b21700");
    CellFit fit = CellFit.of(base, List.of(measured(truth(), 2, 0, 1)));
    assertThat(fit.cell().r10()).isEqualTo(base.r10());
    assertThat(fit.notIdentified()).hasSize(1);
    assertThat(fit.notIdentified().getFirst()).startsWith("Resistance").contains("16.0 mΩ");
    assertThat(fit.rms()).isLessThan(5e-3);
  }

  @Test
  void aCurveBrokenOffLeavesTheCapacity() {
    DischargeCurve whole = measured(truth(), 2, 0, 1);
    DischargeCurve half =
        new DischargeCurve("half", 2, Samples.ROOM, whole.points().subList(0, 180));
    CellFit fit = CellFit.of(Samples.cell("b21700"), List.of(half));
    assertThat(fit.cell().capacity()).isEqualTo(4.5);
    assertThat(fit.notIdentified()).hasSize(3);
    assertThat(fit.notIdentified().get(1)).startsWith("Capacity");
    assertThat(fit.notIdentified().get(2)).startsWith("Rested voltage below");
  }

  @Test
  void curvesAreReadInAhAndMah() throws IOException, UnreadableTable {
    Path file = folder.resolve("curve.csv");
    Files.writeString(
        file, "Capacity (mAh);Voltage (V)\n0;4,15\n1000;3,8\n2000;3,6\n3000;3,4\n4000;3,0\n");
    DischargeCurve c = DischargeCurve.read(file, 2, Samples.ROOM);
    assertThat(c.charge()).isEqualTo(4);
    assertThat(c.points().get(1).voltage()).isEqualTo(3.8);
    Files.writeString(file, "Ah,V\n0,41.5\n1,38\n2,36\n3,34\n4,30\n");
    assertThatThrownBy(() -> DischargeCurve.read(file, 2, Samples.ROOM))
        .isInstanceOf(UnreadableTable.class)
        .hasMessageContaining("only 0 rows");
  }

  @Test
  void theLibraryLooksLikelyAndSlipsOfTheFingerDoNot() {
    for (CellType c : hammerman.project.Shipped.cells().cells()) {
      assertThat(Plausibility.doubts(c)).as(c.id()).isEmpty();
    }
    CellType b = Samples.cell("b21700");
    assertThat(Plausibility.doubts(b.withCapacity(45))).anyMatch(d -> d.contains("Wh/kg"));
    assertThat(Plausibility.doubts(b.withR10(0.16))).anyMatch(d -> d.contains("drop"));
    assertThat(Plausibility.doubts(b.withR10(0.0005))).anyMatch(d -> d.contains("1 kHz"));
    assertThat(Plausibility.doubts(b.withMass(0.7))).anyMatch(d -> d.contains("kg/L"));
  }

  @Test
  void healthScalesTheNewFiguresAndIsTakenBack() {
    CellType b = Samples.cell("b21700");
    CellType used = b.withHealth(new Health(0.8, 1.5));
    assertThat(used.capacity()).isCloseTo(3.6, within(1e-12));
    assertThat(used.r10()).isCloseTo(0.024, within(1e-12));
    CellType worse = used.withHealth(new Health(0.7, 2));
    assertThat(worse.capacity()).isCloseTo(3.15, within(1e-12));
    CellType fresh = worse.withHealth(Health.NEW);
    assertThat(fresh.capacity()).isCloseTo(4.5, within(1e-12));
    assertThat(fresh.health()).isNull();
    assertThatThrownBy(() -> new Health(0.1, 1)).isInstanceOf(InvalidValue.class);
  }
}
