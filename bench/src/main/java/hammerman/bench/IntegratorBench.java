package hammerman.bench;

import hammerman.cell.CellCircuit;
import hammerman.duty.Load;
import hammerman.pack.Assembly;
import hammerman.pack.Pack;
import hammerman.project.Shipped;
import hammerman.simulation.CellPopulation;
import hammerman.simulation.Discharge;
import hammerman.simulation.Run;
import hammerman.simulation.Tolerance;
import hammerman.simulation.Trace;
import java.lang.management.ManagementFactory;
import java.util.List;
import java.util.Random;
import org.hipparchus.ode.ODEState;
import org.hipparchus.ode.OrdinaryDifferentialEquation;
import org.hipparchus.ode.nonstiff.DormandPrince853Integrator;

/**
 * The engine against a general-purpose adaptive integrator on the same equations under the demo's
 * load, the integrator no more exact than the pack's voltage to 1 mV; and what a step of the engine
 * allocates.
 */
final class IntegratorBench {
  private static final double AIR = 298.15;
  private static final double START = 0.95;
  private static final int REPEATS = 5;

  /** Of the engine, s; it is off by less than a millivolt too. */
  private static final double STEP = 10;

  private static final double MILLIVOLT = 1e-3;

  private IntegratorBench() {}

  static void run() {
    Pack pack = Shipped.terraceBarrow().design().pack();
    CellPopulation cells =
        CellPopulation.drawn(pack, new Tolerance(0.01, 0.03, 0, 0), new Random(3));
    Load load = Shipped.terraceBarrow().design().duty().task().load();
    double exact = integrated(cells, load, 1e-10).voltage;
    double loose = 1e-2;
    while (Math.abs(integrated(cells, load, loose).voltage - exact) > MILLIVOLT) {
      loose /= 10;
    }
    double integrator = Double.POSITIVE_INFINITY;
    double engine = Double.POSITIVE_INFINITY;
    double off = 0;
    for (int k = 0; k < REPEATS; k++) {
      long began = System.nanoTime();
      Equations made = integrated(cells, load, loose);
      integrator = Math.min(integrator, (System.nanoTime() - began) / 1e6);
      off = made.voltage - exact;
      began = System.nanoTime();
      engine(cells, load, STEP);
      engine = Math.min(engine, (System.nanoTime() - began) / 1e6);
    }
    Run run = engine(cells, load, STEP);
    double ends = run.trace().at(Trace.Channel.VOLTAGE, run.trace().size() - 1);
    System.out.printf(
        "%d cells in the duty: engine %.2f ms (%.2f mV off), integrator %.1f ms (tolerance %.0e,"
            + " %.2f mV off), ratio %.0f%n",
        pack.cells(),
        engine,
        1e3 * (ends - exact),
        integrator,
        loose,
        1e3 * off,
        integrator / engine);
    allocation(pack);
  }

  /** What 3,000 steps more take, without samples and with them. */
  private static void allocation(Pack pack) {
    for (Pack p : List.of(pack.withCounts(5, 4), pack.withCounts(20, 20))) {
      System.out.printf(
          "allocated for 3000 steps more of %d cells: %d B, and %d B with the trace kept%n",
          p.cells(),
          allocated(p, 6000, false) - allocated(p, 3000, false),
          allocated(p, 6000, true) - allocated(p, 3000, true));
    }
  }

  private static long allocated(Pack pack, double seconds, boolean traced) {
    CellPopulation cells =
        CellPopulation.drawn(pack, new Tolerance(0.01, 0.03, 0, 0), new Random(3));
    Load load = Load.current(0.1 * pack.capacity(), seconds);
    Discharge run = discharge(cells, load, 1);
    Discharge of = traced ? run : run.untraced();
    var threads = (com.sun.management.ThreadMXBean) ManagementFactory.getThreadMXBean();
    of.run();
    long before = threads.getCurrentThreadAllocatedBytes();
    of.run();
    return threads.getCurrentThreadAllocatedBytes() - before;
  }

  private static Run engine(CellPopulation cells, Load load, double step) {
    return discharge(cells, load, step).run();
  }

  private static Discharge discharge(CellPopulation cells, Load load, double step) {
    return Discharge.bare(cells.pack(), load, START, AIR).with(cells).withStep(step);
  }

  /** Goes through every step of the load, beginning anew where the power changes. */
  private static Equations integrated(CellPopulation cells, Load load, double tolerance) {
    Equations of = new Equations(cells);
    double[] y = new double[of.getDimension()];
    for (int k = 0; k < y.length; k += 4) {
      y[k] = START;
      y[k + 3] = AIR;
    }
    var integrator = new DormandPrince853Integrator(1e-6, 60, tolerance, tolerance);
    double at = 0;
    for (int round = 0; round < load.rounds(); round++) {
      for (Load.Step s : load.steps()) {
        of.power = ((Load.Power) s.demand()).watts();
        double to = at + s.duration();
        y = integrator.integrate(of, new ODEState(at, y), to).getPrimaryState();
        at = to;
      }
    }
    of.share(y);
    return of;
  }

  /** SOC, two RC branches and a temperature of each cell under a constant power. */
  private static final class Equations implements OrdinaryDifferentialEquation {
    private final CellPopulation cells;
    private final Pack pack;
    private final Assembly assembly;
    private final CellCircuit circuit;
    private final double[] current;
    private final double[] own;
    private final double[] inner;
    private final double[] behind;
    private final double[] through;
    private double power;
    private double demand;
    private double voltage;

    Equations(CellPopulation cells) {
      this.cells = cells;
      this.pack = cells.pack();
      this.assembly = Assembly.estimated(pack);
      this.circuit = new CellCircuit(pack.cell());
      current = new double[pack.cells()];
      own = new double[pack.cells()];
      inner = new double[pack.cells()];
      behind = new double[pack.series()];
      through = new double[pack.series()];
    }

    @Override
    public int getDimension() {
      return 4 * pack.cells();
    }

    /** The current that gives the power, shared within each group, which has one voltage. */
    private void share(double[] y) {
      int p = pack.parallel();
      double e = 0;
      double r = assembly.stripResistance(AIR);
      for (int k = 0; k < pack.cells(); k++) {
        int g = k / p;
        own[k] =
            cells.resistance(k)
                * circuit.socFactor(y[4 * k])
                * circuit.temperatureFactor(y[4 * k + 3]);
        inner[k] = circuit.openCircuit(y[4 * k]) - y[4 * k + 1] - y[4 * k + 2];
        double conducts = 1 / (CellCircuit.R0_SHARE * own[k]);
        through[g] = (k % p == 0 ? 0 : through[g]) + conducts;
        behind[g] = (k % p == 0 ? 0 : behind[g]) + inner[k] * conducts;
      }
      for (int g = 0; g < pack.series(); g++) {
        e += behind[g] / through[g];
        r += 1 / through[g];
      }
      demand = (e - Math.sqrt(e * e - 4 * r * power)) / (2 * r);
      voltage = e - demand * r;
      for (int k = 0; k < pack.cells(); k++) {
        double volts = (behind[k / p] - demand) / through[k / p];
        current[k] = (inner[k] - volts) / (CellCircuit.R0_SHARE * own[k]);
      }
    }

    @Override
    public double[] computeDerivatives(double t, double[] y) {
      share(y);
      double[] d = new double[y.length];
      int n = pack.cells();
      double strips = assembly.stripResistance(AIR) * demand * demand / n;
      for (int k = 0; k < n; k++) {
        double i = current[k];
        d[4 * k] = -i / (3600 * cells.capacity(k));
        d[4 * k + 1] = (CellCircuit.R1_SHARE * own[k] * i - y[4 * k + 1]) / CellCircuit.TAU1;
        d[4 * k + 2] = (CellCircuit.R2_SHARE * own[k] * i - y[4 * k + 2]) / CellCircuit.TAU2;
        double heat = i * (CellCircuit.R0_SHARE * own[k] * i + y[4 * k + 1] + y[4 * k + 2]);
        double shed = assembly.conductance() / n * (y[4 * k + 3] - AIR);
        d[4 * k + 3] = (heat + strips - shed) / (pack.heatCapacity() / n);
      }
      return d;
    }
  }
}
