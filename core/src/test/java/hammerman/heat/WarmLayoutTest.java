package hammerman.heat;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import hammerman.Samples;
import hammerman.cell.CellType;
import hammerman.fit.Arrangement;
import hammerman.fit.Filling;
import hammerman.fit.FitPlan;
import hammerman.fit.Grouping;
import hammerman.fit.Outline;
import hammerman.fit.Packing;
import hammerman.interconnect.Layouts;
import hammerman.interconnect.Network;
import hammerman.pack.ConductorMaterial;
import hammerman.pack.Cooling;
import hammerman.pack.Strip;
import hammerman.pack.TakeOff;
import java.util.Arrays;
import java.util.List;
import org.ejml.data.DMatrixRMaj;
import org.ejml.dense.row.CommonOps_DDRM;
import org.junit.jupiter.api.Test;

class WarmLayoutTest {
  private static final double AIR = 298.15;
  private static final double R = 0.02;
  private static final Strip NICKEL = Strip.plain(ConductorMaterial.NICKEL, 0.15e-3, 8e-3, 1);

  private static WarmLayout layout(Filling filling, Cooling cooling) {
    FitPlan plan = Layouts.plan(Outline.rectangle(0.2, 0.16));
    CellType cell = Samples.cell("b21700");
    Arrangement a = Layouts.arranged(plan, 10, 6, NICKEL);
    Grouping g = a.grouping().orElseThrow();
    Network n =
        Network.of(plan.boxes(), a, g, Layouts.led(TakeOff.WHOLE_GROUP), NICKEL, 0.016, 20, AIR);
    return new WarmLayout(
        a.placing(),
        Packing.Pattern.HEXAGONAL,
        g,
        n,
        cell,
        R,
        AIR,
        filling,
        cooling,
        WarmLayout.Contact.USUAL);
  }

  private static double[] steady(double amperes, int seconds) {
    double[] i = new double[seconds];
    Arrays.fill(i, amperes);
    return i;
  }

  private static HeatMap heat(Filling filling, Cooling cooling, int seconds) {
    return layout(filling, cooling).through(steady(30, seconds));
  }

  @Test
  void heatIsKeptAndThatOfTheMiddleIsHottest() {
    HeatMap map = heat(Filling.AIR, Cooling.SEALED, 3600);
    assertThat(map.imbalance()).isCloseTo(0, within(1e-3));
    assertThat(map.hottest()).isGreaterThan(HeatMap.range(map.last())[0] + 0.5);
    assertThat(map.hottestTime()).isEqualTo(3600);
    assertThat(map.last()[map.hottestPlace()]).isEqualTo(map.hottest());
  }

  @Test
  void aPlateEvensOutAndAFanCools() {
    HeatMap air = heat(Filling.AIR, Cooling.SEALED, 3600);
    HeatMap plate = heat(Filling.PLATE, Cooling.SEALED, 3600);
    HeatMap fan = heat(Filling.AIR, Cooling.MOVING_AIR, 3600);
    assertThat(plate.spread()).isLessThan(air.spread());
    assertThat(fan.hottest()).isLessThan(air.hottest() - 0.5);
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

  /**
   * Cells that touch the case as if they were part of it are one lump: T = T_air + P/G (1 − e^(−G
   * t/C)), in closed form.
   */
  @Test
  void perfectContactIsTheLumpedModel() {
    WarmLayout one =
        layout(Filling.PLATE, Cooling.SEALED).withContact(new WarmLayout.Contact(1e4, 1e4));
    HeatMap map = one.through(steady(30, 3600));
    CellType cell = one.cell();
    double capacity = 60 * cell.mass() * cell.specificHeat();
    double height = cell.format().height();
    double side = Math.sqrt(60 * cell.format().packedFootprint());
    double g = Cooling.SEALED.heatTransfer() * (2 * side * side + 4 * side * height);
    double power = map.made() / 3600;
    double lumped = AIR + power / g * (1 - Math.exp(-g * 3600 / capacity));
    double rise = lumped - AIR;
    assertThat(Arrays.stream(map.last()).filter(t -> !Double.isNaN(t)))
        .allSatisfy(t -> assertThat(t).isCloseTo(lumped, within(0.01 * rise)));
  }

  /** The settled temperatures against a direct solve of G T = P for the same network. */
  @Test
  void theSteadyStateIsThatOfADirectSolve() {
    WarmLayout w = layout(Filling.HOLDER, Cooling.MOVING_AIR);
    HeatMap map = w.through(steady(30, 80_000));
    List<int[]> near = w.placing().neighbours();
    int[] group = w.grouping().group();
    int n = group.length;
    DMatrixRMaj g = CommonOps_DDRM.identity(n + 1);
    DMatrixRMaj p = new DMatrixRMaj(n + 1, 1);
    DMatrixRMaj t = new DMatrixRMaj(n + 1, 1);
    double height = w.cell().format().height();
    double side = Math.sqrt(60 * w.cell().format().packedFootprint());
    double outside = Cooling.MOVING_AIR.heatTransfer() * (2 * side * side + 4 * side * height);
    g.set(n, n, outside);
    p.set(n, 0, outside * AIR);
    double[] heat = heats(w);
    for (int k = 0; k < n; k++) {
      if (group[k] < 0) {
        continue;
      }
      int touching = 0;
      double diagonal = 0;
      for (int m : near.get(k)) {
        if (group[m] >= 0) {
          touching++;
          // Two cylinders of 21 mm, 0.5 mm apart: k π √(r/s) h.
          double between = Filling.HOLDER.conductivity() * Math.PI * Math.sqrt(21) * height;
          g.set(k, m, -between);
          diagonal += between;
        }
      }
      double r = 10.5e-3;
      double toCase =
          12 * 2 * Math.PI * r * r + 8 * (6 - touching) / 6.0 * 2 * Math.PI * r * height;
      g.set(k, k, diagonal + toCase);
      g.set(k, n, -toCase);
      g.set(n, k, -toCase);
      g.set(n, n, g.get(n, n) + toCase);
      p.set(k, 0, heat[k]);
    }
    assertThat(CommonOps_DDRM.solve(g, p, t)).isTrue();
    for (int k = 0; k < n; k++) {
      if (group[k] >= 0) {
        assertThat(map.last()[k]).isCloseTo(t.get(k, 0), within(0.02));
      }
    }
  }

  /** Heat of each place at 30 A: cell, its contacts, and half of every strip it sits under. */
  private static double[] heats(WarmLayout w) {
    double[] heat = new double[w.grouping().group().length];
    Network n = w.network().at(30);
    for (int k = 0; k < heat.length; k++) {
      heat[k] = n.cellCurrents()[k] * n.cellCurrents()[k] * R;
      heat[k] += w.grouping().group()[k] < 0 ? 0 : n.contactHeat() / 60;
    }
    for (Network.Segment s : n.segments()) {
      heat[s.from()] += s.heat() / 2;
      heat[s.to()] += s.heat() / 2;
    }
    return heat;
  }

  @Test
  void fullEffortLastsUntilTheLimit() {
    WarmLayout w = layout(Filling.AIR, Cooling.SEALED);
    double limit = 333.15;
    double seconds = w.timeTo(limit, 60).orElseThrow();
    assertThat(w.through(steady(60, (int) seconds)).hottest()).isGreaterThanOrEqualTo(limit);
    assertThat(w.through(steady(60, (int) seconds - 1)).hottest()).isLessThan(limit);
    assertThat(w.timeTo(limit, 5)).isEmpty();
  }

  @Test
  void framesGoFromTheAirsTemperatureToTheEnd() {
    HeatMap map = heat(Filling.AIR, Cooling.SEALED, 1000);
    assertThat(map.time()[0]).isZero();
    assertThat(Arrays.stream(map.frames().getFirst())).allMatch(t -> Double.isNaN(t) || t == AIR);
    assertThat(map.time()[map.time().length - 1]).isEqualTo(1000);
    assertThat(map.time()[map.frameAt(500)]).isBetween(490.0, 500.0);
  }
}
