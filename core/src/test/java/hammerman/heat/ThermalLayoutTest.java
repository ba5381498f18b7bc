package hammerman.heat;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import hammerman.Samples;
import hammerman.cell.CellType;
import hammerman.fit.Arrangement;
import hammerman.fit.Filling;
import hammerman.fit.FitPlan;
import hammerman.fit.Grouping;
import hammerman.fit.Joining;
import hammerman.fit.Outline;
import hammerman.fit.Packing;
import hammerman.interconnect.Layouts;
import hammerman.interconnect.Network;
import hammerman.pack.ConductorMaterial;
import hammerman.pack.Contact;
import hammerman.pack.Cooling;
import hammerman.pack.Strip;
import hammerman.pack.TakeOff;
import java.util.Arrays;
import java.util.List;
import org.ejml.data.DMatrixRMaj;
import org.ejml.dense.row.CommonOps_DDRM;
import org.junit.jupiter.api.Test;

class ThermalLayoutTest {
  private static final double AIR = 298.15;
  private static final double R = 0.02;

  /** Outside of a box of 200 × 160 × 80 mm, m². */
  private static final double OUTSIDE = 2 * 0.2 * 0.16 + 2 * (0.2 + 0.16) * 0.08;

  private static final Strip NICKEL = Strip.plain(ConductorMaterial.NICKEL, 0.15e-3, 8e-3, 1);

  private static ThermalLayout layout(Filling filling, Cooling cooling) {
    return layout(Layouts.plan(Outline.rectangle(0.2, 0.16)), 10, filling, cooling);
  }

  private static ThermalLayout layout(FitPlan plan, int series, Filling filling, Cooling cooling) {
    CellType cell = Samples.cell("b21700");
    Arrangement a = Layouts.arranged(plan, series, 6, NICKEL);
    Grouping g = a.grouping().orElseThrow();
    Network n =
        Network.of(plan.boxes(), a, g, Layouts.led(TakeOff.WHOLE_GROUP), NICKEL, 0.016, 20, AIR);
    return new ThermalLayout(
        plan.boxes(),
        a.placing(),
        Packing.Pattern.HEXAGONAL,
        g,
        n,
        cell,
        R,
        0,
        AIR,
        filling,
        cooling,
        Contact.USUAL);
  }

  private static HeatMap heat(Filling filling, Cooling cooling, int seconds) {
    return layout(filling, cooling).through(HeatProfile.steady(30, seconds));
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
    ThermalLayout one = layout(Filling.PLATE, Cooling.SEALED).withContact(new Contact(1e4, 1e4));
    HeatMap map = one.through(HeatProfile.steady(30, 3600));
    CellType cell = one.cell();
    double capacity = 60 * cell.mass() * cell.specificHeat();
    double g = Cooling.SEALED.heatTransfer() * OUTSIDE;
    double power = map.made() / 3600;
    double lumped = AIR + power / g * (1 - Math.exp(-g * 3600 / capacity));
    double rise = lumped - AIR;
    assertThat(Arrays.stream(map.last()).filter(t -> !Double.isNaN(t)))
        .allSatisfy(t -> assertThat(t).isCloseTo(lumped, within(0.01 * rise)));
  }

  /** The settled temperatures against a direct solve of G T = P for the same network. */
  @Test
  void theSteadyStateIsThatOfADirectSolve() {
    ThermalLayout w = layout(Filling.HOLDER, Cooling.MOVING_AIR);
    HeatMap map = w.through(HeatProfile.steady(30, 80_000));
    List<int[]> near = w.placing().neighbours();
    int[] group = w.grouping().group();
    int n = group.length;
    DMatrixRMaj g = CommonOps_DDRM.identity(n + 1);
    DMatrixRMaj p = new DMatrixRMaj(n + 1, 1);
    DMatrixRMaj t = new DMatrixRMaj(n + 1, 1);
    double height = w.cell().format().height();
    double outside = Cooling.MOVING_AIR.heatTransfer() * OUTSIDE;
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
  private static double[] heats(ThermalLayout w) {
    double[] heat = new double[w.grouping().places()];
    Network n = w.network().at(30);
    for (int k = 0; k < heat.length; k++) {
      heat[k] = n.cellCurrents()[k] * n.cellCurrents()[k] * R;
      heat[k] += w.grouping().at(k) < 0 ? 0 : n.contactHeat() / 60;
    }
    for (Network.Segment s : n.segments()) {
      heat[s.from()] += s.heat() / 2;
      heat[s.to()] += s.heat() / 2;
    }
    return heat;
  }

  @Test
  void fullEffortLastsUntilTheLimit() {
    ThermalLayout w = layout(Filling.AIR, Cooling.SEALED);
    double limit = 333.15;
    double seconds = w.through(HeatProfile.steady(60, 4 * 3600), limit).hottestTime();
    assertThat(w.through(HeatProfile.steady(60, (int) seconds)).hottest())
        .isGreaterThanOrEqualTo(limit);
    assertThat(w.through(HeatProfile.steady(60, (int) seconds - 1)).hottest()).isLessThan(limit);
    assertThat(w.through(HeatProfile.steady(5, 4 * 3600), limit).hottest()).isLessThan(limit);
  }

  @Test
  void framesGoFromTheAirsTemperatureToTheEnd() {
    HeatMap map = heat(Filling.AIR, Cooling.SEALED, 1000);
    assertThat(map.time()[0]).isZero();
    assertThat(Arrays.stream(map.frames().getFirst())).allMatch(t -> Double.isNaN(t) || t == AIR);
    assertThat(map.time()[map.time().length - 1]).isEqualTo(1000);
    assertThat(map.time()[map.frameAt(500)]).isBetween(490.0, 500.0);
  }

  /** Two layers of 60 cells each in a box of twice the depth. */
  private static ThermalLayout layers(Cooling cooling) {
    FitPlan plan = Layouts.plan(Outline.rectangle(0.2, 0.16));
    FitPlan deep =
        plan.withBoxes(plan.boxes().stream().map(b -> b.withDepth(0.15)).toList())
            .withJoining(Joining.WIRED);
    return layout(deep, 20, Filling.HOLDER, cooling);
  }

  /** Each cell touches the box with one end only, the other one with the cell of its column. */
  @Test
  void layersTouchEndToEndAndTheBoxWithOneEndEach() {
    ThermalLayout w = layers(Cooling.SEALED);
    int[] group = w.grouping().group();
    List<int[]> stacked = w.placing().stacked();
    List<int[]> beside = w.placing().neighbours();
    double r = 10.5e-3;
    double end = 12 * Math.PI * r * r;
    double inside = 0;
    for (int k = 0; k < group.length; k++) {
      if (group[k] < 0) {
        continue;
      }
      int closed = (int) Arrays.stream(beside.get(k)).filter(m -> group[m] >= 0).count();
      int covered = (int) Arrays.stream(stacked.get(k)).filter(m -> group[m] >= 0).count();
      assertThat(stacked.get(k)).hasSize(1);
      inside +=
          end * (2 - covered)
              + 8 * (6 - closed) / 6.0 * 2 * Math.PI * r * w.cell().format().height();
    }
    double outside = Cooling.SEALED.heatTransfer() * w.boxes().getFirst().surface();
    assertThat(w.conductance()).isCloseTo(inside * outside / (inside + outside), within(1e-9));
    HeatMap map = w.through(HeatProfile.steady(30, 7200));
    assertThat(map.imbalance()).isCloseTo(0, within(1e-3));
  }

  /** The lump with the layout's own conductance warms as the mean of its cells does. */
  @Test
  void theMeanOfTheCellsFollowsTheLumpOfTheSameConductance() {
    ThermalLayout w = layout(Filling.PLATE, Cooling.OPEN);
    HeatMap map = w.through(HeatProfile.steady(30, 7200));
    double capacity = 60 * w.cell().mass() * w.cell().specificHeat();
    double g = w.conductance();
    double rise = map.made() / 7200 / g * (1 - Math.exp(-g * 7200 / capacity));
    double mean =
        Arrays.stream(map.last()).filter(t -> !Double.isNaN(t)).average().orElseThrow() - AIR;
    assertThat(mean).isCloseTo(rise, within(0.03 * rise));
  }

  /** Longer steps of the same profile change nothing that anyone could measure. */
  @Test
  void theLengthOfTheStepDoesNotMatter() {
    ThermalLayout w = layout(Filling.HOLDER, Cooling.SEALED);
    double[] squares = new double[720];
    double[] ones = new double[720];
    Arrays.fill(squares, 900);
    Arrays.fill(ones, 1);
    HeatMap coarse = w.through(new HeatProfile(5, squares, ones));
    HeatMap fine = w.through(HeatProfile.steady(30, 3600));
    assertThat(coarse.hottest()).isCloseTo(fine.hottest(), within(0.01));
    assertThat(coarse.hottestPlace()).isEqualTo(fine.hottestPlace());
  }

  /** A factor on the cells leaves the heat of the strips alone. */
  @Test
  void warmerCellsMakeLessHeatAndStripsAsMuch() {
    ThermalLayout w = layout(Filling.HOLDER, Cooling.SEALED);
    HeatProfile cold = HeatProfile.steady(30, 600);
    double[] half = new double[600];
    Arrays.fill(half, 0.5);
    double full = w.through(cold).made();
    double less = w.through(new HeatProfile(1, cold.squares(), half)).made();
    double cells = Arrays.stream(w.network().at(30).cellCurrents()).map(i -> i * i * R).sum() * 600;
    assertThat(full - less).isCloseTo(cells / 2, within(1e-6 * cells));
  }

  /** All that the current heats is made: cells, contacts, strips, links, and what is in the box. */
  @Test
  void theHeatMadeIsThatOfAllTheCurrentGoesThrough() {
    ThermalLayout w = layers(Cooling.SEALED).withInBox(4e-3);
    Network n = w.network().at(30);
    double cells = Arrays.stream(n.cellCurrents()).map(i -> i * i * R).sum();
    double strips = n.segments().stream().mapToDouble(Network.Segment::heat).sum();
    double links = n.links().stream().mapToDouble(Network.Segment::heat).sum();
    assertThat(links).isPositive();
    double watts = cells + n.contactHeat() + strips + links + 30 * 30 * 4e-3;
    HeatMap map = w.through(HeatProfile.steady(30, 200));
    assertThat(map.made()).isCloseTo(watts * 200, within(1e-6 * map.made()));
    assertThat(map.imbalance()).isCloseTo(0, within(1e-3));
    assertThat(map.imbalance()).isEqualTo((map.made() - map.shed() - map.stored()) / map.made());
  }

  /** A BMS in the box warms its air, which holds back the cells' heat. */
  @Test
  void whatElseGetsWarmInTheBoxWarmsItsAir() {
    ThermalLayout bare = layout(Filling.HOLDER, Cooling.SEALED);
    ThermalLayout with = bare.withInBox(10e-3);
    HeatMap alone = bare.through(HeatProfile.steady(30, 90_000));
    HeatMap warmed = with.through(HeatProfile.steady(30, 90_000));
    // Settled, the box's air is warmer by P / hA, and so is every cell.
    double more = 30 * 30 * 10e-3 / (Cooling.SEALED.heatTransfer() * OUTSIDE);
    for (int k = 0; k < alone.last().length; k++) {
      if (!Double.isNaN(alone.last()[k])) {
        assertThat(warmed.last()[k] - alone.last()[k]).isCloseTo(more, within(0.01 * more));
      }
    }
  }

  @Test
  void theMeansAreOverEveryStep() {
    ThermalLayout w = layout(Filling.AIR, Cooling.SEALED);
    HeatMap map = w.through(HeatProfile.steady(40, 100));
    assertThat(map.frames()).as("so few that each is kept").hasSize(101);
    for (int k = 0; k < map.means().length; k++) {
      int place = k;
      double mean =
          map.frames().stream().skip(1).mapToDouble(f -> f[place]).average().orElseThrow();
      assertThat(Double.isNaN(map.means()[k])).isEqualTo(Double.isNaN(mean));
      if (!Double.isNaN(mean)) {
        assertThat(map.means()[k]).isCloseTo(mean, within(1e-9));
      }
    }
    HeatMap none = w.through(new HeatProfile(1, new double[0], new double[0]));
    assertThat(none.hottest()).isEqualTo(AIR);
    assertThat(Arrays.stream(none.means()).filter(t -> !Double.isNaN(t))).containsOnly(AIR);
    assertThat(none.stored()).isZero();
    assertThat(none.frames()).hasSize(1);
  }

  /** A thousand steps make frames of nine each, and one at the end. */
  @Test
  void longEffortsAreToldInAHundredAndSomeFrames() {
    HeatMap map = heat(Filling.AIR, Cooling.SEALED, 1000);
    assertThat(map.time()).hasSize(1 + 111 + 1).startsWith(0, 9, 18).endsWith(999, 1000);
    assertThat(map.frames()).hasSameSizeAs(map.time());
    assertThat(map.frameAt(-1)).isZero();
    assertThat(map.frameAt(8.9)).isZero();
    assertThat(map.frameAt(9)).isEqualTo(1);
    assertThat(map.frameAt(1e6)).isEqualTo(112);
    double most = 0;
    for (double[] frame : map.frames()) {
      double[] ends = HeatMap.range(frame);
      most = Math.max(most, ends[1] - ends[0]);
    }
    assertThat(map.spread()).isEqualTo(most).isPositive().isLessThan(20);
  }

  /** Short steps or long ones of a hot plate: never so long that the stiffest cell swings. */
  @Test
  void longStepsAreCutUntilTheStiffestCellBearsThem() {
    ThermalLayout w = layout(Filling.PLATE, Cooling.MOVING_AIR);
    double[] squares = {900, 900, 900};
    double[] ones = {1, 1, 1};
    HeatMap coarse = w.through(new HeatProfile(1200, squares, ones));
    HeatMap fine = w.through(HeatProfile.steady(30, 3600));
    double rise = fine.hottest() - AIR;
    assertThat(coarse.hottest()).isCloseTo(fine.hottest(), within(0.02 * rise));
    assertThat(coarse.imbalance()).isCloseTo(0, within(1e-3));
  }

  @Test
  void stepsOfNoLengthAndListsThatDoNotMatchAreRefused() {
    assertThatThrownBy(() -> new HeatProfile(0, new double[2], new double[2]))
        .hasMessageContaining("steps of 0.0 s");
    assertThatThrownBy(() -> new HeatProfile(1, new double[2], new double[3]))
        .hasMessageContaining("2 squares, 3 factors");
  }
}
