package hammerman.fit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import hammerman.Samples;
import hammerman.cell.CellType;
import hammerman.pack.ConductorMaterial;
import hammerman.pack.Cooling;
import hammerman.pack.Strip;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;

class NetworkTest {
  private static final Strip NICKEL = new Strip(ConductorMaterial.NICKEL, 0.15e-3, 8e-3, 1);
  private static final double PITCH = 21.5e-3;
  private static final double R = 0.016;
  private static final double WARM = 293.15;
  private static final Point EXIT = new Point(0, 0);

  /** Cells in a row, one pitch apart. */
  private static Placing row(int n) {
    List<Point> places = new ArrayList<>();
    for (int k = 0; k < n; k++) {
      places.add(new Point(k * PITCH, 0));
    }
    return new Placing(places, PITCH, 10.5e-3, 0, 1, 1);
  }

  private static Network solve(Placing p, Grouping g, Network.TakeOff takeOff) {
    return Network.of(p, g, NICKEL, R, 20, WARM, EXIT, takeOff);
  }

  @Test
  void twoCellsInParallelFedAtOneEndByHand() {
    // The far cell sees two strips more: i1 R = i2 (R + 2 r), i1 + i2 = 20.
    Placing p = row(2);
    Grouping g = new Grouping(new int[] {0, 0}, 1, 2, 0, 0);
    Network n = solve(p, g, Network.TakeOff.ONE_CELL);
    double r = NICKEL.resistance(PITCH, WARM);
    double near = 20 * (R + 2 * r) / (2 * R + 2 * r);
    assertThat(n.cellCurrents()[0]).isCloseTo(near, within(1e-9));
    assertThat(n.cellCurrents()[1]).isCloseTo(20 - near, within(1e-9));
    assertThat(n.residual()).isLessThan(1e-9);
  }

  /** A ladder of cells: the input resistance by folding it up from the far end. */
  @Test
  void aLadderByFolding() {
    int cells = 6;
    double r = NICKEL.resistance(PITCH, WARM);
    double z = R;
    for (int k = 1; k < cells; k++) {
      double far = z + 2 * r;
      z = R * far / (R + far);
    }
    Network n =
        solve(row(cells), new Grouping(new int[cells], 1, cells, 0, 0), Network.TakeOff.ONE_CELL);
    assertThat(n.extraResistance()).isCloseTo(z - R / cells, within(1e-9));
  }

  @Test
  void feedingTheWholeGroupSharesEvenlyAndCostsLess() {
    Placing p = row(6);
    Grouping g = new Grouping(new int[6], 1, 6, 0, 0);
    Network one = solve(p, g, Network.TakeOff.ONE_CELL);
    Network all = solve(p, g, Network.TakeOff.WHOLE_GROUP);
    assertThat(one.worstShare(g)).isGreaterThan(1.3);
    assertThat(all.worstShare(g)).isCloseTo(1, within(1e-9));
    assertThat(all.heat()).isLessThan(one.heat() / 100);
  }

  @Test
  void everyGroupCarriesTheWholeCurrent() {
    Container box = new Container(Outline.rightTriangle(0.36, 0.30), 0.08, List.of(), EXIT, 1e-3);
    Placing p =
        Placing.of(
            box, Samples.cell("b21700").format(), new Packing(Packing.Pattern.HEXAGONAL, 5e-4));
    Grouping g = ((Grouping.Result.Found) Grouping.of(p, 13, 6, EXIT)).grouping();
    Network n = solve(p, g, Network.TakeOff.ONE_CELL);
    double[] sums = new double[13];
    for (int k = 0; k < g.group().length; k++) {
      if (g.group()[k] >= 0) {
        sums[g.group()[k]] += n.cellCurrents()[k];
      }
    }
    for (double sum : sums) {
      assertThat(sum).isCloseTo(20, within(2e-8));
    }
    assertThat(n.residual()).isLessThan(1e-9);
    Network copper =
        Network.of(
            p,
            g,
            new Strip(ConductorMaterial.COPPER, 0.2e-3, 10e-3, 1),
            R,
            20,
            WARM,
            EXIT,
            Network.TakeOff.ONE_CELL);
    assertThat(copper.heat()).isLessThan(n.heat() / 4);
    assertThat(copper.extraResistance()).isLessThan(n.extraResistance() / 4);
  }

  private static double[] steady(double amperes, int seconds) {
    double[] i = new double[seconds];
    Arrays.fill(i, amperes);
    return i;
  }

  private static HeatMap heat(Filling filling, Cooling cooling, int seconds) {
    Container box = new Container(Outline.rectangle(0.2, 0.16), 0.08, List.of(), EXIT, 0);
    CellType cell = Samples.cell("b21700");
    Placing p = Placing.of(box, cell.format(), new Packing(Packing.Pattern.HEXAGONAL, 5e-4));
    Grouping g = ((Grouping.Result.Found) Grouping.of(p, 10, 6, EXIT)).grouping();
    Network n = solve(p, g, Network.TakeOff.WHOLE_GROUP);
    return HeatMap.of(p, g, n, cell, 0.02, steady(30, seconds), 298.15, filling, cooling);
  }

  @Test
  void heatIsKeptAndThatOfTheMiddleIsHottest() {
    HeatMap map = heat(Filling.AIR, Cooling.SEALED, 3600);
    assertThat(map.imbalance()).isCloseTo(0, within(1e-3));
    double coolest = Arrays.stream(map.last()).filter(t -> !Double.isNaN(t)).min().orElseThrow();
    assertThat(map.peak()).isGreaterThan(coolest + 0.5);
  }

  @Test
  void aPlateEvensOutAndAFanCools() {
    HeatMap air = heat(Filling.AIR, Cooling.SEALED, 3600);
    HeatMap plate = heat(Filling.PLATE, Cooling.SEALED, 3600);
    HeatMap fan = heat(Filling.AIR, Cooling.MOVING_AIR, 3600);
    assertThat(spread(plate)).isLessThan(spread(air));
    assertThat(fan.peak()).isLessThan(air.peak() - 0.5);
  }

  private static double spread(HeatMap m) {
    double[] t = Arrays.stream(m.last()).filter(v -> !Double.isNaN(v)).toArray();
    return Arrays.stream(t).max().orElseThrow() - Arrays.stream(t).min().orElseThrow();
  }

  /** Settled, the heat made each second leaves by the case: h A (T_case − T_air). */
  @Test
  void settledItShedsWhatItMakes() {
    HeatMap early = heat(Filling.AIR, Cooling.MOVING_AIR, 60_000);
    HeatMap late = heat(Filling.AIR, Cooling.MOVING_AIR, 60_600);
    double made = (late.made() - early.made()) / 600;
    double shed = (late.shed() - early.shed()) / 600;
    assertThat(shed).isCloseTo(made, within(0.01 * made));
  }
}
