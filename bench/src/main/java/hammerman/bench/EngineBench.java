package hammerman.bench;

import hammerman.cell.CellCircuit;
import hammerman.chain.Layout;
import hammerman.design.Design;
import hammerman.duty.Load;
import hammerman.fit.Container;
import hammerman.fit.FitPlan;
import hammerman.fit.Outline;
import hammerman.fit.Point;
import hammerman.forecast.Ensemble;
import hammerman.forecast.EveryCell;
import hammerman.forecast.Forecast;
import hammerman.pack.Lot;
import hammerman.pack.Pack;
import hammerman.project.Shipped;
import hammerman.simulation.CellPopulation;
import hammerman.simulation.Day;
import hammerman.simulation.Discharge;
import hammerman.simulation.Run;
import hammerman.simulation.Tolerance;
import java.util.List;
import java.util.Objects;
import java.util.Random;

/**
 * How fast every cell of a pack is stepped, against a bare loop over flat arrays with the same
 * arithmetic and nothing else (no limits, no books, no trace): tables of two points each, no
 * exponential, no branch in a cell. Also the four days of the demo and an ensemble.
 */
final class EngineBench {
  private static final int[][] COUNTS = {{5, 4}, {13, 6}, {20, 20}, {40, 50}};

  /** Packs that are laid out. */
  private static final int[][] PLACED = {{13, 6}, {20, 20}, {20, 50}};

  private static final int REPEATS = 7;
  private static final int WARM = 3;

  /** Of the box for each cell of 21 mm, m². */
  private static final double CELL_AREA = 0.00047;

  private EngineBench() {}

  static void run() {
    Design barrow = Shipped.terraceBarrow().design();
    for (int[] counts : COUNTS) {
      Pack pack = barrow.pack().withCounts(counts[0], counts[1]);
      double floor = Double.POSITIVE_INFINITY;
      double engine = Double.POSITIVE_INFINITY;
      // In turn, so that a busy machine slows both.
      for (int k = 0; k < REPEATS; k++) {
        double bare = bare(pack);
        double ours = engine(pack);
        if (k >= WARM) {
          floor = Math.min(floor, bare);
          engine = Math.min(engine, ours);
        }
      }
      System.out.printf(
          "%4d cells: floor %.1f ns, engine %.1f ns a cell and step, ratio %.2f, %.1f M/s%n",
          pack.cells(), floor, engine, engine / floor, 1e3 / engine);
    }
    Forecast f = Forecast.of(barrow);
    for (int[] counts : PLACED) {
      inPlace(Forecast.of(roomy(barrow, counts[0], counts[1])));
    }
    days(f);
    for (int k = 0; k < REPEATS; k++) {
      long began = System.nanoTime();
      for (Day day : f.days()) {
        CellPopulation cells =
            CellPopulation.drawn(barrow.pack(), Tolerance.of(Lot.ONE_BATCH), new Random(k));
        Discharge.of(f.chain(), barrow.duty().task().load(), f.chain().ceiling(), day.air())
            .with(cells)
            .withStep(10)
            .run();
      }
      double days = (System.nanoTime() - began) / 1e6;
      began = System.nanoTime();
      Ensemble.NONE.grown(f, Ensemble.enough(f));
      double ensemble = (System.nanoTime() - began) / 1e6;
      System.out.printf(
          "four days, every cell: %.0f ms on one core; %d members: %.0f ms%n",
          days, Ensemble.enough(f), ensemble);
    }
  }

  /** The same design with other counts, in a square box that has room for them. */
  private static Design roomy(Design design, int series, int parallel) {
    double side = 1.3 * Math.sqrt(series * parallel * CELL_AREA);
    Container box =
        new Container(Outline.rectangle(side, side), 0.08, List.of(), new Point(0, 0), 0);
    FitPlan fit = Objects.requireNonNull(design.fit());
    return design.withCounts(series, parallel).withFit(fit.withBoxes(List.of(box)));
  }

  /** Every cell in its place, on one core. */
  private static void inPlace(Forecast f) {
    Design design = f.design();
    Layout.Solved layout = f.layout().flatMap(Layout::solved).orElseThrow();
    double each = Double.POSITIVE_INFINITY;
    // As often as it takes until all of it is compiled.
    int runs = REPEATS + WARM + 4000 / design.pack().cells();
    for (int k = 0; k < runs; k++) {
      long began = System.nanoTime();
      Run run =
          Discharge.of(
                  f.chain(),
                  design.duty().task().load(),
                  f.chain().ceiling(),
                  design.duty().surroundings().hottestInUse())
              .inPlace(design, layout)
              .withStep(5)
              .run();
      each =
          Math.min(
              each,
              (System.nanoTime() - began) / (double) run.trace().size() / design.pack().cells());
    }
    System.out.printf(
        "in place, %d cells: %.0f ns a cell and step, %.1f M/s%n",
        design.pack().cells(), each, 1e3 / each);
  }

  /** The four days of a design cell by cell, and a forecast with its quick days, on all cores. */
  private static void days(Forecast f) {
    double whole = Double.POSITIVE_INFINITY;
    double first = Double.POSITIVE_INFINITY;
    for (int k = 0; k < REPEATS + WARM; k++) {
      long began = System.nanoTime();
      EveryCell.of(f);
      whole = Math.min(whole, (System.nanoTime() - began) / 1e6);
      began = System.nanoTime();
      Forecast.of(f.design());
      first = Math.min(first, (System.nanoTime() - began) / 1e6);
    }
    System.out.printf(
        "four days in place %.0f ms on all cores; a forecast with its quick days %.0f ms%n",
        whole, first);
  }

  private static int steps(Pack pack) {
    return 1_500_000 / pack.cells() + 100;
  }

  /** Nanoseconds for each cell and step of the engine. */
  private static double engine(Pack pack) {
    CellPopulation cells = CellPopulation.drawn(pack, Tolerance.of(Lot.ONE_BATCH), new Random(1));
    double seconds = Math.min(steps(pack), 6 * 3600);
    Load load = Load.current(0.1 * pack.capacity(), seconds);
    Discharge discharge = Discharge.bare(pack, load, 1, 298.15).with(cells).withStep(1);
    long began = System.nanoTime();
    Run run = discharge.run();
    return (System.nanoTime() - began) / run.endTime() / pack.cells();
  }

  /** Nanoseconds for each cell and step of a bare loop. */
  private static double bare(Pack pack) {
    CellCircuit circuit = new CellCircuit(pack.cell());
    int parts = 200;
    double[] ocv = new double[parts + 2];
    double[] factor = new double[parts + 2];
    double[] warm = new double[parts + 2];
    for (int k = 0; k < ocv.length; k++) {
      ocv[k] = circuit.openCircuit(k / (double) parts);
      factor[k] = circuit.socFactor(k / (double) parts);
      warm[k] = circuit.temperatureFactor(243.15 + 0.5 * k);
    }
    int n = pack.cells();
    int p = pack.parallel();
    double[] soc = new double[n];
    double[] fast = new double[n];
    double[] slow = new double[n];
    double[] kelvin = new double[n];
    double[] source = new double[n];
    double[] conducts = new double[n];
    double[] r10 = new double[n];
    double[] perCoulomb = new double[n];
    Random random = new Random(1);
    for (int k = 0; k < n; k++) {
      soc[k] = 0.99;
      kelvin[k] = 298.15;
      r10[k] = pack.cell().r10() * (1 + 0.03 * random.nextGaussian());
      perCoulomb[k] = 1 / (3600 * pack.cell().capacity() * (1 + 0.01 * random.nextGaussian()));
      conducts[k] = 1 / (0.7 * r10[k]);
      source[k] = ocv[parts];
    }
    double current = 0.1 * pack.capacity();
    double fastDecay = Math.exp(-1 / CellCircuit.TAU1);
    double slowDecay = Math.exp(-1 / CellCircuit.TAU2);
    double heatDecay = 0.999;
    int steps = Math.min(steps(pack), 6 * 3600);
    double sink = 0;
    long began = System.nanoTime();
    for (int s = 0; s < steps; s++) {
      for (int g = 0; g < n; g += p) {
        double conduct = 0;
        double flow = 0;
        for (int k = g; k < g + p; k++) {
          conduct += conducts[k];
          flow += conducts[k] * source[k];
        }
        double volts = (flow - current) / conduct;
        for (int k = g; k < g + p; k++) {
          double i = (source[k] - volts) * conducts[k];
          double r = 1 / (0.7 * conducts[k]);
          double toFast = i * 0.596 * r;
          double toSlow = i * 0.3 * r;
          fast[k] = toFast + (fast[k] - toFast) * fastDecay;
          slow[k] = toSlow + (slow[k] - toSlow) * slowDecay;
          double z = soc[k] - i * perCoulomb[k];
          double settled = 298.15 + i * (fast[k] + slow[k] + 0.7 * r * i) * 20;
          double t = settled + (kelvin[k] - settled) * heatDecay;
          soc[k] = z;
          kelvin[k] = t;
          double at = z * parts;
          int a = (int) at;
          double u = at - a;
          double hot = (t - 243.15) * 2;
          int b = (int) hot;
          double w = hot - b;
          double open = ocv[a] + u * (ocv[a + 1] - ocv[a]);
          double now =
              r10[k]
                  * (factor[a] + u * (factor[a + 1] - factor[a]))
                  * (warm[b] + w * (warm[b + 1] - warm[b]));
          source[k] = open - fast[k] - slow[k];
          conducts[k] = 1 / (0.7 * now);
        }
        sink += volts;
      }
    }
    double nanos = (System.nanoTime() - began) / (double) steps / n;
    if (Double.isNaN(sink)) {
      throw new IllegalStateException("the bare loop went astray");
    }
    return nanos;
  }
}
