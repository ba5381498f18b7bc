package hammerman.interconnect;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import hammerman.fit.Arrangement;
import hammerman.fit.FitPlan;
import hammerman.fit.Grouping;
import hammerman.fit.Joining;
import hammerman.fit.Outline;
import hammerman.pack.ConductorMaterial;
import hammerman.pack.Conductors;
import hammerman.pack.Joint;
import hammerman.pack.Strip;
import hammerman.pack.TakeOff;
import java.util.Random;
import org.ejml.data.DMatrixRMaj;
import org.ejml.dense.row.CommonOps_DDRM;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * Currents of random layouts against the same node equations put up another way: plate by plate
 * from the pieces' own lengths, dense, with the reference taken out instead of tied down.
 */
class DenseNetworkTest {
  private static final double R = 0.02;
  private static final double WARM = 303.15;
  private static final double AMPERES = 35;
  private static final Strip STRIP = Strip.plain(ConductorMaterial.NICKEL, 0.2e-3, 7e-3, 1);

  private static Network solve(FitPlan plan, Arrangement a, Grouping g) {
    return Network.of(plan.boxes(), a, g, plan.conductors(), STRIP, R, AMPERES, WARM);
  }

  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4, 5, 6})
  void randomLayoutsAgree(long seed) {
    Random random = new Random(seed);
    int series = 2 + random.nextInt(7);
    int parallel = 1 + random.nextInt(6);
    FitPlan plan =
        Layouts.plan(Outline.rectangle(0.14 + 0.1 * random.nextDouble(), 0.24))
            .withConductors(
                Layouts.led(TakeOff.values()[random.nextInt(TakeOff.values().length)])
                    .withJoint(Joint.values()[random.nextInt(Joint.values().length)]));
    compare(plan, series, parallel);
  }

  @ParameterizedTest
  @EnumSource(TakeOff.class)
  void wiredBlocksAgree(TakeOff takeOff) {
    compare(
        Layouts.plan(Outline.rectangle(0.2, 0.2))
            .withJoining(Joining.WIRED)
            .withConductors(Layouts.led(takeOff)),
        5,
        5);
  }

  private static void compare(FitPlan plan, int series, int parallel) {
    Arrangement a = Layouts.arranged(plan, series, parallel, STRIP);
    Grouping g = a.grouping().orElseThrow();
    Network n = solve(plan, a, g);
    double[] dense = dense(plan.conductors(), g, n);
    for (int k = 0; k < dense.length; k++) {
      assertThat(n.cellCurrents()[k]).as("cell at %d", k).isCloseTo(dense[k], within(1e-6));
    }
  }

  /** Node of a place: its negative end if the plate is that of its group, else its positive. */
  private static int node(Grouping g, int place, int plate) {
    return 2 * place + (g.at(place) == plate ? 0 : 1);
  }

  private static double[] dense(Conductors led, Grouping g, Network n) {
    int nodes = 2 * g.places();
    DMatrixRMaj y = new DMatrixRMaj(nodes, nodes);
    DMatrixRMaj i = new DMatrixRMaj(nodes, 1);
    for (Network.Segment s : n.segments()) {
      join(y, node(g, s.from(), s.plate()), node(g, s.to(), s.plate()), s);
    }
    for (Network.Segment s : n.links()) {
      // A link goes from the positive end of one group to the negative end of the next.
      boolean forward = g.at(s.from()) < g.at(s.to());
      join(y, 2 * s.from() + (forward ? 1 : 0), 2 * s.to() + (forward ? 0 : 1), s);
    }
    double branch = 1 / (R + 2 * led.joint().contact());
    for (int k = 0; k < g.places(); k++) {
      if (g.at(k) >= 0) {
        add(y, 2 * k, 2 * k + 1, branch);
        i.add(2 * k + 1, 0, 1.0 * branch);
        i.add(2 * k, 0, -1.0 * branch);
      }
    }
    // Where the leads meet shows in Kirchhoff's sums of the solved network: what is left over.
    double[] left = leftOver(g, n);
    for (int k = 0; k < nodes; k++) {
      i.add(k, 0, -left[k]);
    }
    int reference = 2 * g.members(0)[0];
    for (int k = 0; k < nodes; k++) {
      boolean used = g.at(k / 2) >= 0;
      if (k == reference || !used) {
        for (int m = 0; m < nodes; m++) {
          y.set(k, m, 0);
        }
        y.set(k, k, 1);
        i.set(k, 0, 0);
      }
    }
    DMatrixRMaj v = new DMatrixRMaj(nodes, 1);
    assertThat(CommonOps_DDRM.solve(y, i, v)).isTrue();
    double[] currents = new double[g.places()];
    for (int k = 0; k < currents.length; k++) {
      if (g.at(k) >= 0) {
        currents[k] = (1 - (v.get(2 * k + 1, 0) - v.get(2 * k, 0))) * branch;
      }
    }
    return currents;
  }

  /** Current that leaves at each node: all of it, at the take-offs of the end groups only. */
  private static double[] leftOver(Grouping g, Network n) {
    double[] left = new double[2 * g.places()];
    for (int k = 0; k < g.places(); k++) {
      left[2 * k] -= n.cellCurrents()[k];
      left[2 * k + 1] += n.cellCurrents()[k];
    }
    for (Network.Segment s : n.segments()) {
      left[node(g, s.from(), s.plate())] -= s.current();
      left[node(g, s.to(), s.plate())] += s.current();
    }
    for (Network.Segment s : n.links()) {
      boolean forward = g.at(s.from()) < g.at(s.to());
      left[2 * s.from() + (forward ? 1 : 0)] -= s.current();
      left[2 * s.to() + (forward ? 0 : 1)] += s.current();
    }
    double out = 0;
    double in = 0;
    for (int k = 0; k < left.length; k++) {
      int group = g.at(k / 2);
      boolean positive = k % 2 == 1 && group == g.series() - 1;
      boolean negative = k % 2 == 0 && group == 0;
      out += positive ? left[k] : 0;
      in += negative ? left[k] : 0;
      if (!positive && !negative) {
        assertThat(left[k]).as("node %d of group %d", k % 2, group).isCloseTo(0, within(1e-7));
      }
    }
    assertThat(out).isCloseTo(AMPERES, within(1e-6));
    assertThat(in).isCloseTo(-AMPERES, within(1e-6));
    return left;
  }

  private static void join(DMatrixRMaj y, int a, int b, Network.Segment s) {
    add(y, a, b, 1 / s.strip().resistance(s.length(), WARM));
  }

  private static void add(DMatrixRMaj y, int a, int b, double conductance) {
    y.add(a, a, conductance);
    y.add(b, b, conductance);
    y.add(a, b, -conductance);
    y.add(b, a, -conductance);
  }
}
