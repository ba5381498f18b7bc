package hammerman.simulation;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import hammerman.Samples;
import hammerman.cell.CellCircuit;
import hammerman.duty.Load;
import hammerman.pack.Assembly;
import hammerman.pack.Lot;
import hammerman.pack.Pack;
import hammerman.simulation.Trace.Channel;
import java.util.Random;
import org.hipparchus.ode.ODEState;
import org.hipparchus.ode.OrdinaryDifferentialEquation;
import org.hipparchus.ode.nonstiff.DormandPrince853Integrator;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * The engine against a general-purpose adaptive integrator on the same equations, written down anew
 * here: cells that differ in groups that share one voltage, two RC branches and a thermal node for
 * each. The integrator lets the currents between cells change continuously; the engine holds them
 * for a step.
 */
class IntegratorTest {

  /** The equations of a pack under a constant current: SOC, two branches and a temperature each. */
  private static final class Equations implements OrdinaryDifferentialEquation {
    private final CellPopulation cells;
    private final Pack pack;
    private final Assembly assembly;
    private final CellCircuit circuit;
    private final double demand;
    private final boolean power;
    private final double air;
    private final double[] current;
    private double voltage;

    Equations(CellPopulation cells, double demand, boolean power, double air) {
      this.cells = cells;
      this.pack = cells.pack();
      this.assembly = Assembly.estimated(pack);
      this.circuit = new CellCircuit(pack.cell());
      this.demand = demand;
      this.power = power;
      this.air = air;
      current = new double[pack.cells()];
    }

    @Override
    public int getDimension() {
      return 4 * pack.cells();
    }

    private double resistance(double[] y, int k) {
      return cells.resistance(k)
          * circuit.socFactor(y[4 * k])
          * circuit.temperatureFactor(y[4 * k + 3]);
    }

    /** Shares the current at a state; returns the current at the machine. */
    double share(double[] y) {
      int p = pack.parallel();
      double strips = assembly.stripResistance(air);
      double joints = 0;
      for (int k = 0; k < pack.cells(); k++) {
        joints += cells.joint(k) / p / p;
      }
      double e = 0;
      double r = strips - joints;
      double[] groupE = new double[pack.series()];
      double[] groupR = new double[pack.series()];
      for (int g = 0; g < pack.series(); g++) {
        double conductance = 0;
        double flow = 0;
        for (int k = g * p; k < (g + 1) * p; k++) {
          double own = 0.70 * resistance(y, k) + cells.joint(k);
          conductance += 1 / own;
          flow += (circuit.openCircuit(y[4 * k]) - y[4 * k + 1] - y[4 * k + 2]) / own;
        }
        groupE[g] = flow / conductance;
        groupR[g] = 1 / conductance;
        e += groupE[g];
        r += groupR[g];
      }
      double i = power ? (e - Math.sqrt(e * e - 4 * r * demand)) / (2 * r) : demand;
      voltage = e - i * r;
      for (int k = 0; k < pack.cells(); k++) {
        int g = k / p;
        double own = 0.70 * resistance(y, k) + cells.joint(k);
        double inner = circuit.openCircuit(y[4 * k]) - y[4 * k + 1] - y[4 * k + 2];
        current[k] = (inner - groupE[g] + i * groupR[g]) / own;
      }
      return i;
    }

    @Override
    public double[] computeDerivatives(double t, double[] y) {
      double i = share(y);
      double[] d = new double[y.length];
      int n = pack.cells();
      double joints = 0;
      for (int k = 0; k < n; k++) {
        joints += cells.joint(k) / pack.parallel() / pack.parallel();
      }
      double strips = (assembly.stripResistance(air) - joints) * i * i / n;
      for (int k = 0; k < n; k++) {
        double r = resistance(y, k);
        double own = current[k];
        d[4 * k] = -own / (3600 * cells.capacity(k));
        d[4 * k + 1] = (0.596 * r * own - y[4 * k + 1]) / 15;
        d[4 * k + 2] = (0.30 * r * own - y[4 * k + 2]) / 300;
        double heat = own * (0.70 * r * own + y[4 * k + 1] + y[4 * k + 2]);
        double shed = assembly.conductance() / n * (y[4 * k + 3] - air);
        d[4 * k + 3] =
            (heat + own * own * cells.joint(k) + strips - shed) / (pack.heatCapacity() / n);
      }
      return d;
    }
  }

  @ParameterizedTest
  @CsvSource({
    "e18650, 1, 1, 2.0, false, 25, ONE_BATCH",
    "e18650, 2, 3, 9.0, false, 0, MIXED",
    "b21700, 3, 2, 90, true, 25, MIXED",
    "b21700, 4, 4, 300, true, -10, UNKNOWN",
    "f32700, 4, 3, 12.0, false, 25, MIXED",
    "f32700, 4, 6, 5.0, false, -5, UNKNOWN",
    "m18650, 2, 4, 40, true, 35, UNKNOWN",
    "n18650, 3, 2, 2.5, false, 10, MIXED",
    "l66160, 2, 2, 60, false, 20, UNKNOWN",
    "r18650, 2, 5, 25, true, 30, UNKNOWN",
  })
  void voltageAndSharingAgreeToAMillivoltACell(
      String type, int s, int p, double demand, boolean power, double celsius, Lot lot) {
    Pack pack = Samples.pack(type, s, p);
    double air = celsius + 273.15;
    CellPopulation cells = CellPopulation.drawn(pack, Tolerance.of(lot), new Random(7));
    double seconds = 1800;
    Load load = power ? Load.power(demand, seconds) : Load.current(demand, seconds);
    Run run = Discharge.bare(pack, load, 0.95, air).with(cells).withStep(1).run();
    assertThat(run.outcome().complete()).as("the load fits").isTrue();

    Equations equations = new Equations(cells, demand, power, air);
    double[] y = new double[equations.getDimension()];
    for (int k = 0; k < pack.cells(); k++) {
      y[4 * k] = 0.95;
      y[4 * k + 3] = air;
    }
    DormandPrince853Integrator integrator = new DormandPrince853Integrator(1e-6, 20, 1e-10, 1e-10);
    double at = 0;
    for (double to : new double[] {1, 10, 60, 600, 1800}) {
      y = integrator.integrate(equations, new ODEState(at, y), to).getPrimaryState();
      at = to;
      equations.share(y);
      int k = run.trace().indexAt(to + 1e-6);
      assertThat(run.trace().at(Channel.VOLTAGE, k))
          .as("after %s s", to)
          .isCloseTo(equations.voltage, within(1e-3 * s));
    }
    double hottest = air;
    for (int k = 0; k < pack.cells(); k++) {
      hottest = Math.max(hottest, y[4 * k + 3]);
    }
    assertThat(run.trace().at(Channel.TEMPERATURE, run.trace().size() - 1))
        .isCloseTo(hottest, within(0.02));
  }
}
