package hammerman.interconnect;

import static hammerman.interconnect.Layouts.PITCH;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import hammerman.fit.Arrangement;
import hammerman.fit.Container;
import hammerman.fit.Grouping;
import hammerman.fit.Joining;
import hammerman.fit.Outline;
import hammerman.pack.ConductorMaterial;
import hammerman.pack.Joint;
import hammerman.pack.Strip;
import hammerman.pack.TakeOff;
import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/** Cells that differ, in their layout: against hand, and against the other solver where alike. */
class CellNetworkTest {
  private static final Strip NICKEL = Strip.plain(ConductorMaterial.NICKEL, 0.15e-3, 8e-3, 1);
  private static final double WARM = 293.15;
  private static final double R = 0.016;
  private static final double EMF = 3.7;
  private static final double CURRENT = 20;
  private static final double PIECE = NICKEL.resistance(PITCH, WARM);
  private static final List<Container> BOX = List.of(Layouts.box(Outline.rectangle(1, 1)));

  private static CellNetwork network(Arrangement a, TakeOff takeOff) {
    return CellNetwork.of(BOX, a, a.grouping().orElseThrow(), Layouts.led(takeOff), NICKEL, WARM);
  }

  private static double[] all(int n, double value) {
    double[] out = new double[n];
    Arrays.fill(out, value);
    return out;
  }

  /** Two cells side by side, taken off at the first: e1 − i1 R1 = e2 − i2 (R2 + 2 r). */
  private static final class Pair {
    final CellNetwork network = network(Layouts.row(0, 0), TakeOff.ONE_CELL);
    final double[] emf = {3.7, 3.65};
    final double[] ohms = {0.016, 0.022};
    final double[] flows = new double[2];
    final double[] heat = new double[2];

    double currents(double current) {
      return network.currents(emf, ohms, current, flows, heat);
    }

    double first(double current) {
      return (emf[0] - emf[1] + current * (ohms[1] + 2 * PIECE)) / (ohms[0] + ohms[1] + 2 * PIECE);
    }
  }

  @Test
  void twoCellsThatDifferByHand() {
    Pair p = new Pair();
    assertThat(p.network.prepare(p.ohms)).isTrue();
    for (double current : new double[] {20, 0, -6}) {
      double heat = p.currents(current);
      double i1 = p.first(current);
      double i2 = current - i1;
      assertThat(p.flows[0]).as("at %s A", current).isCloseTo(i1, within(1e-9));
      assertThat(p.flows[1]).as("at %s A", current).isCloseTo(i2, within(1e-9));
      assertThat(p.network.voltage()).isCloseTo(p.emf[0] - i1 * p.ohms[0], within(1e-9));
      // One piece above and one below, each with half of its heat at either cell.
      assertThat(heat).isCloseTo(2 * i2 * i2 * PIECE, within(1e-9));
      assertThat(p.heat).containsExactly(all(2, i2 * i2 * PIECE), within(1e-9));
    }
  }

  @Test
  void seenFromItsEndsItIsOneVoltageAndOneResistance() {
    Pair p = new Pair();
    p.network.prepare(p.ohms);
    p.currents(0);
    double open = p.network.voltage();
    p.currents(CURRENT);
    double b1 = p.network.share(0);
    double b2 = p.network.share(1);
    assertThat(b1).isCloseTo((p.ohms[1] + 2 * PIECE) / (0.038 + 2 * PIECE), within(1e-9));
    assertThat(b1 + b2).isCloseTo(1, within(1e-9));
    assertThat(open).isCloseTo(b1 * p.emf[0] + b2 * p.emf[1], within(1e-9));
    double inside = b1 * b1 * p.ohms[0] + b2 * b2 * p.ohms[1] + p.network.strips();
    assertThat(p.network.voltage()).isCloseTo(open - CURRENT * inside, within(1e-9));
    assertThat(p.network.strips()).isCloseTo(2 * b2 * b2 * PIECE, within(1e-9));
    assertThat(p.network.contact()).isEqualTo(2 * Joint.SCREWED.contact());
  }

  @Test
  void theFactorIsMadeAnewOnlyWhenAResistanceHasMovedFar() {
    Pair p = new Pair();
    p.network.prepare(p.ohms);
    assertThat(p.network.prepare(p.ohms)).isFalse();
    for (double near : new double[] {0.97, 1.03}) {
      p.ohms[1] = 0.022 * near;
      assertThat(p.network.prepare(p.ohms)).as("moved to %s", near).isFalse();
    }
    for (double far : new double[] {0.95, 1.06}) {
      p.ohms[1] = 0.022 * far;
      assertThat(p.network.prepare(p.ohms)).as("moved to %s", far).isTrue();
      p.currents(CURRENT);
      assertThat(p.flows[0]).isCloseTo(p.first(CURRENT), within(1e-9));
    }
  }

  /**
   * What a resistance moves in between is of second order at once, and nothing after some steps.
   */
  @Test
  void anOldFactorGivesTheRightCurrents() {
    Pair p = new Pair();
    p.network.prepare(p.ohms);
    double stale = p.first(CURRENT);
    p.ohms[1] *= 1.03;
    p.ohms[0] *= 0.98;
    p.network.prepare(p.ohms);
    double now = p.first(CURRENT);
    p.currents(CURRENT);
    assertThat(Math.abs(p.flows[0] - now)).isLessThan(0.1 * Math.abs(stale - now));
    for (int k = 0; k < 12; k++) {
      p.currents(CURRENT);
    }
    assertThat(p.flows[0]).isCloseTo(now, within(1e-9));
    assertThat(p.flows[0] + p.flows[1]).isCloseTo(CURRENT, within(1e-9));
    // A load that jumps takes the same shares with it.
    p.currents(2 * CURRENT);
    assertThat(p.flows[0]).isCloseTo(p.first(2 * CURRENT), within(0.01));
  }

  private static void asTheOtherSolverHasIt(Arrangement a, TakeOff takeOff) {
    Grouping g = a.grouping().orElseThrow();
    int series = g.series();
    int cells = series * g.parallel();
    CellNetwork n = network(a, takeOff);
    double branch = R + n.contact();
    n.prepare(all(cells, branch));
    double[] flows = new double[cells];
    double[] heat = new double[cells];
    double made = n.currents(all(cells, EMF), all(cells, branch), CURRENT, flows, heat);
    Network other = Network.of(BOX, a, g, Layouts.led(takeOff), NICKEL, R, CURRENT, WARM);
    // One counts cells group by group, the other places, some of which may be free.
    double[] wanted =
        IntStream.range(0, series)
            .flatMap(k -> Arrays.stream(g.members(k)))
            .mapToDouble(place -> other.cellCurrents()[place])
            .toArray();
    assertThat(flows).containsExactly(wanted, within(1e-7));
    double strips = other.heat() - other.contactHeat();
    assertThat(made).isCloseTo(strips, within(1e-6));
    assertThat(Arrays.stream(heat).sum()).isCloseTo(made, within(1e-9));
    assertThat(n.strips() * CURRENT * CURRENT).isCloseTo(strips, within(1e-6));
    double even = series * R / g.parallel();
    assertThat(n.voltage())
        .isCloseTo(series * EMF - CURRENT * (even + other.extraResistance()), within(1e-7));
    for (int k = 0; k < cells; k++) {
      assertThat(n.share(k)).isCloseTo(wanted[k] / CURRENT, within(1e-8));
    }
  }

  @Test
  void cellsThatAreAlikeAreAsTheOtherSolverHasThem() {
    Arrangement row = Layouts.row(0, 0, 0, 1, 1, 1);
    for (TakeOff takeOff : TakeOff.values()) {
      asTheOtherSolverHasIt(row, takeOff);
    }
    Arrangement pack =
        Layouts.arranged(Layouts.plan(Outline.rightTriangle(0.36, 0.30)), 13, 6, NICKEL);
    asTheOtherSolverHasIt(pack, TakeOff.ONE_CELL);
  }

  @Test
  void aLinkIsHeatedAndCounted() {
    Arrangement touching = Layouts.row(0, 1);
    Arrangement wired =
        new Arrangement(touching.placing(), Joining.WIRED, "", List.of(), touching.attempted());
    asTheOtherSolverHasIt(wired, TakeOff.ONE_CELL);
    assertThat(network(wired, TakeOff.ONE_CELL).prepare(all(2, 0.02))).isTrue();
  }
}
