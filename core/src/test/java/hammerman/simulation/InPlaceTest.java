package hammerman.simulation;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import hammerman.Samples;
import hammerman.cell.CellCircuit;
import hammerman.chain.LaidOut;
import hammerman.chain.Layout;
import hammerman.design.Design;
import hammerman.duty.Load;
import hammerman.fit.FitPlan;
import hammerman.fit.Placing;
import hammerman.heat.ThermalLayout;
import hammerman.interconnect.Network;
import hammerman.pack.ConductorMaterial;
import hammerman.pack.Contact;
import hammerman.pack.Pack;
import hammerman.pack.Strip;
import hammerman.pack.TakeOff;
import hammerman.simulation.Trace.Channel;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import java.util.Random;
import org.ejml.data.DMatrixRMaj;
import org.ejml.dense.row.factory.LinearSolverFactory_DDRM;
import org.ejml.interfaces.linsol.LinearSolverDense;
import org.hipparchus.ode.ODEState;
import org.hipparchus.ode.OrdinaryDifferentialEquation;
import org.hipparchus.ode.nonstiff.DormandPrince853Integrator;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Runs with every cell in its place, against the same equations written down and solved anew. */
class InPlaceTest {
  private static final double AIR = 283.15;

  private static Design design(String cell, int series, int parallel, TakeOff leads) {
    Pack pack =
        Samples.pack(cell, series, parallel)
            .withStrip(Strip.plain(ConductorMaterial.NICKEL, 0.15e-3, 7e-3, 1));
    FitPlan plan = Objects.requireNonNull(Samples.barrow().fit());
    return Samples.barrow()
        .withPack(pack)
        .withFit(plan.withConductors(plan.conductors().withTakeOff(leads)));
  }

  private static Layout.Solved solved(Design d) {
    return LaidOut.of(d).solved().orElseThrow();
  }

  /** Node equations, dense; two branches, charge and temperature of each cell. */
  private static final class Equations implements OrdinaryDifferentialEquation {
    private final CellPopulation cells;
    private final CellCircuit circuit;
    private final Layout.Solved layout;
    private final ThermalLayout warm;
    private final int[] order;
    private final int[] index;
    private final double amperes;
    private final double inBox;
    private final double contact;
    private final DMatrixRMaj strips;
    private final double[] ends;
    private final double[] current;
    private final List<Network.Segment> edges = new ArrayList<>();
    private double voltage;
    private double[] volts = new double[0];

    Equations(Design d, Layout.Solved layout, CellPopulation cells, double amperes) {
      this.cells = cells;
      this.layout = layout;
      this.amperes = amperes;
      circuit = new CellCircuit(d.pack().cell());
      warm = layout.warm(d).withAir(AIR);
      inBox = d.guard().inBox(AIR);
      contact = 2 * layout.layout().plan().conductors().joint().contact();
      order = warm.order();
      index = new int[layout.grouping().places()];
      for (int k = 0; k < order.length; k++) {
        index[order[k]] = k;
      }
      current = new double[order.length];
      strips = new DMatrixRMaj(2 * order.length, 2 * order.length);
      double[] left = new double[2 * order.length];
      Network one = layout.network().at(1);
      for (int k = 0; k < order.length; k++) {
        left[2 * k] -= one.cellCurrents()[order[k]];
        left[2 * k + 1] += one.cellCurrents()[order[k]];
      }
      one.segments().forEach(s -> join(s, left));
      one.links().forEach(s -> join(s, left));
      ends = left;
    }

    private int node(int place, int plate) {
      return 2 * index[place] + (layout.grouping().at(place) == plate ? 0 : 1);
    }

    private void join(Network.Segment s, double[] left) {
      int a = node(s.from(), s.plate());
      int b = node(s.to(), s.plate());
      add(a, b, 1 / s.strip().resistance(s.length(), AIR));
      edges.add(s);
      left[a] -= s.current();
      left[b] += s.current();
    }

    private void add(int a, int b, double conductance) {
      strips.add(a, a, conductance);
      strips.add(b, b, conductance);
      strips.add(a, b, -conductance);
      strips.add(b, a, -conductance);
    }

    @Override
    public int getDimension() {
      return 4 * order.length;
    }

    private double resistance(double[] y, int k) {
      return cells.resistance(k)
          * circuit.socFactor(y[4 * k])
          * circuit.temperatureFactor(y[4 * k + 3]);
    }

    /** Solves for the current of each cell and the voltage between the take-offs. */
    void solve(double[] y) {
      int n = order.length;
      DMatrixRMaj a = strips.copy();
      DMatrixRMaj fed = new DMatrixRMaj(2 * n, 1);
      for (int k = 0; k < n; k++) {
        double g = 1 / (0.70 * resistance(y, k) + contact);
        double e = circuit.openCircuit(y[4 * k]) - y[4 * k + 1] - y[4 * k + 2];
        a.add(2 * k, 2 * k, g);
        a.add(2 * k + 1, 2 * k + 1, g);
        a.add(2 * k, 2 * k + 1, -g);
        a.add(2 * k + 1, 2 * k, -g);
        fed.add(2 * k + 1, 0, g * e - amperes * ends[2 * k + 1]);
        fed.add(2 * k, 0, -g * e - amperes * ends[2 * k]);
      }
      a.add(0, 0, 1);
      LinearSolverDense<DMatrixRMaj> solver = LinearSolverFactory_DDRM.linear(2 * n);
      assertThat(solver.setA(a)).isTrue();
      DMatrixRMaj v = new DMatrixRMaj(2 * n, 1);
      solver.solve(fed, v);
      voltage = 0;
      volts = v.data;
      for (int k = 0; k < n; k++) {
        double g = 1 / (0.70 * resistance(y, k) + contact);
        double e = circuit.openCircuit(y[4 * k]) - y[4 * k + 1] - y[4 * k + 2];
        current[k] = g * (e - v.get(2 * k + 1, 0) + v.get(2 * k, 0));
        voltage += ends[2 * k + 1] * v.get(2 * k + 1, 0) + ends[2 * k] * v.get(2 * k, 0);
      }
    }

    @Override
    public double[] computeDerivatives(double t, double[] y) {
      solve(y);
      int n = order.length;
      double[] d = new double[y.length];
      double[] heat = new double[n];
      for (Network.Segment s : edges) {
        double across = volts[node(s.from(), s.plate())] - volts[node(s.to(), s.plate())];
        double watts = across * across / s.strip().resistance(s.length(), AIR);
        heat[index[s.from()]] += watts / 2;
        heat[index[s.to()]] += watts / 2;
      }
      for (int k = 0; k < n; k++) {
        double r = resistance(y, k);
        double i = current[k];
        d[4 * k] = -i / (3600 * cells.capacity(k));
        d[4 * k + 1] = (0.596 * r * i - y[4 * k + 1]) / 15;
        d[4 * k + 2] = (0.30 * r * i - y[4 * k + 2]) / 300;
        heat[k] += i * (0.70 * r * i + y[4 * k + 1] + y[4 * k + 2]) + i * i * contact;
      }
      conduct(y, heat);
      for (int k = 0; k < n; k++) {
        d[4 * k + 3] = heat[k] / (warm.cell().mass() * warm.cell().specificHeat());
      }
      return d;
    }

    /** Adds what each cell gets from its neighbours and from the one box. */
    private void conduct(double[] y, double[] heat) {
      Placing placing = warm.placing();
      double end = Contact.USUAL.end() * placing.footprint().end();
      double[] toBox = new double[heat.length];
      double flow = 0;
      double sum = 0;
      for (int k = 0; k < heat.length; k++) {
        int touching = 0;
        for (int m : placing.neighbours().get(order[k])) {
          if (layout.grouping().at(m) >= 0) {
            touching++;
            double far = placing.places().get(order[k]).to(placing.places().get(m));
            heat[k] +=
                placing.footprint().conductance(warm.filling().conductivity(), far)
                    * (y[4 * index[m] + 3] - y[4 * k + 3]);
          }
        }
        int enclosing = placing.footprint().enclosing(warm.pattern());
        double open = Math.max(0, enclosing - touching) / (double) enclosing;
        toBox[k] = 2 * end + Contact.USUAL.side() * open * placing.footprint().side();
        flow += toBox[k] * y[4 * k + 3];
        sum += toBox[k];
      }
      double outside = warm.cooling().heatTransfer() * warm.boxes().getFirst().surface();
      double box = (flow + amperes * amperes * inBox + outside * AIR) / (sum + outside);
      for (int k = 0; k < heat.length; k++) {
        heat[k] += toBox[k] * (box - y[4 * k + 3]);
      }
    }
  }

  @ParameterizedTest
  @CsvSource({
    "b21700, 4, 3, 40, WHOLE_GROUP",
    "b21700, 3, 5, 60, ONE_CELL",
    "p21700, 5, 2, 25, BOTH_ENDS",
    "e18650, 2, 6, 30, ONE_CELL",
    "f26650, 4, 4, 30, WHOLE_GROUP",
    "r18650, 3, 4, 10, ONE_CELL",
    "n18650, 6, 2, 6, BOTH_ENDS",
    "m18650, 2, 5, 20, ONE_CELL",
  })
  void voltageCurrentsAndWarmthAgreeWithAnIntegrator(
      String type, int s, int p, double amperes, TakeOff leads) {
    Design d = design(type, s, p, leads);
    Layout.Solved layout = solved(d);
    CellPopulation cells =
        CellPopulation.drawn(d.pack(), new Tolerance(0.02, 0.08, 0, 0), new Random(5));
    Load load = Load.current(amperes, 300);
    Run run =
        Discharge.bare(d.pack(), load, 0.9, AIR).with(cells).inPlace(d, layout).withStep(1).run();
    assertThat(run.outcome().complete()).as("%s", run.outcome()).isTrue();
    assertThat(run.totals().imbalance()).isCloseTo(0, within(1e-3));

    Equations equations = new Equations(d, layout, cells, amperes);
    double[] y = new double[equations.getDimension()];
    for (int k = 0; k < d.pack().cells(); k++) {
      y[4 * k] = 0.9;
      y[4 * k + 3] = AIR;
    }
    DormandPrince853Integrator integrator = new DormandPrince853Integrator(1e-6, 20, 1e-7, 1e-7);
    double at = 0;
    for (double to : new double[] {10, 60, 300}) {
      y = integrator.integrate(equations, new ODEState(at, y), to).getPrimaryState();
      at = to;
      equations.solve(y);
      int k = run.trace().indexAt(to + 1e-6);
      assertThat(run.trace().at(Channel.VOLTAGE, k))
          .as("after %s s", to)
          .isCloseTo(equations.voltage, within(1e-3 * s));
    }
    double[] last = run.cells().orElseThrow().kelvin().getLast();
    for (int k = 0; k < last.length; k++) {
      assertThat(last[k]).as("cell %d", k).isCloseTo(y[4 * k + 3], within(0.1));
    }
  }

  /** Thick bars and cells all alike: what the strips do vanishes, and the ideal group remains. */
  @Test
  void thickBarsMakeIdealGroups() {
    Design d = design("b21700", 4, 3, TakeOff.WHOLE_GROUP);
    Design thick =
        d.withPack(d.pack().withStrip(Strip.plain(ConductorMaterial.COPPER, 5e-3, 20e-3, 1)));
    Load load = Load.current(20, 3600);
    Run laid = Discharge.bare(thick.pack(), load, 0.9, AIR).inPlace(thick, solved(thick)).run();
    CellPopulation joined = CellPopulation.alike(thick.pack()).each().joined(contacts(thick));
    Run ideal = Discharge.bare(thick.pack(), load, 0.9, AIR).with(joined).run();
    assertThat(laid.endTime()).isCloseTo(ideal.endTime(), within(2.0));
    assertThat(laid.cells().orElseThrow().socApart()).isLessThan(0.01);
  }

  private static double[] contacts(Design d) {
    double[] ohms = new double[d.pack().cells()];
    Arrays.fill(ohms, 2 * Objects.requireNonNull(d.fit()).conductors().joint().contact());
    return ohms;
  }

  /** Thin strip and one take-off: the cells at the leads give more, get emptier and warmer. */
  @Test
  void cellsAtTheLeadsWorkHarder() {
    Design d = design("b21700", 4, 6, TakeOff.ONE_CELL);
    Load load = Load.current(60, 1200);
    Run thin = Discharge.bare(d.pack(), load, 0.9, AIR).inPlace(d, solved(d)).run();
    Design even =
        d.withPack(d.pack().withStrip(Strip.plain(ConductorMaterial.COPPER, 1e-3, 20e-3, 1)));
    Run thick = Discharge.bare(even.pack(), load, 0.9, AIR).inPlace(even, solved(even)).run();
    assertThat(thin.cells().orElseThrow().socApart())
        .isGreaterThan(3 * thick.cells().orElseThrow().socApart());
    assertThat(thin.totals().energyOut()).isLessThan(thick.totals().energyOut());
  }

  /** The charge taken from the cells is the charge that flowed, however the strips share it. */
  @Test
  void chargeIsKept() {
    Design d = design("b21700", 3, 5, TakeOff.ONE_CELL);
    Run run = Discharge.bare(d.pack(), Load.current(40, 900), 0.9, AIR).inPlace(d, solved(d)).run();
    double taken = (0.9 - run.endSoc()) * d.pack().capacity();
    assertThat(taken).isCloseTo(run.totals().delivered(), within(1e-9 * taken));
  }
}
