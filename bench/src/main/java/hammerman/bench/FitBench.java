package hammerman.bench;

import hammerman.chain.Chain;
import hammerman.chain.Layout;
import hammerman.design.Design;
import hammerman.fit.Arrangement;
import hammerman.fit.Container;
import hammerman.fit.FitPlan;
import hammerman.fit.Grouping;
import hammerman.fit.Outline;
import hammerman.fit.Packing;
import hammerman.fit.Placing;
import hammerman.fit.Point;
import hammerman.heat.HeatMap;
import hammerman.heat.HeatProfile;
import hammerman.heat.ThermalLayout;
import hammerman.interconnect.Network;
import hammerman.pack.Pack;
import hammerman.project.Shipped;
import java.util.List;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/** The fit of large packs in right triangles. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 2, time = 1)
@Measurement(iterations = 3, time = 1)
@Fork(1)
public class FitBench {
  private static final double WARM = 298.15;

  private final Case twoHundred = new Case(0.52, 0.46, 20, 10);
  private final Case fourHundred = new Case(0.72, 0.64, 20, 20);
  private final Case thousand = new Case(1.12, 1.0, 20, 50);
  private final Layout.Solved ofFourHundred = fourHundred.solved();
  private final ThermalLayout warm = twoHundred.solved().warm(twoHundred.design());
  private final HeatProfile hour = HeatProfile.steady(50, 3600);

  /** A triangle and the pack that goes into it. */
  private record Case(FitPlan plan, Pack pack) {
    Case(double width, double height, int series, int parallel) {
      this(
          FitPlan.of(
              new Container(
                  Outline.rightTriangle(width, height), 0.08, List.of(), new Point(0, 0), 1e-3),
              new Packing(Packing.Pattern.HEXAGONAL, 5e-4)),
          Shipped.terraceBarrow().design().pack().withCounts(series, parallel));
    }

    /** Places and groups worked out, not remembered. */
    Grouping.Result arranged() {
      Placing placing = Placing.of(plan.boxes(), pack.cell().format(), plan.packing());
      if (placing.places().size() < pack.cells()) {
        throw new IllegalStateException("only " + placing.places().size() + " places");
      }
      return Arrangement.anew(plan, pack);
    }

    Design design() {
      return Shipped.terraceBarrow().design().withPack(pack).withFit(plan);
    }

    Layout.Solved solved() {
      return Layout.of(Chain.of(design()), plan).solved().orElseThrow();
    }
  }

  /** 200 cells placed and parted into groups. */
  @Benchmark
  public Grouping.Result placeTwoHundred() {
    return twoHundred.arranged();
  }

  /** 1000 cells placed and parted into groups. */
  @Benchmark
  public Grouping.Result placeThousand() {
    return thousand.arranged();
  }

  /** The network of 400 cells. */
  @Benchmark
  public Network networkOfFourHundred() {
    return Network.of(
        fourHundred.plan().boxes(),
        ofFourHundred.layout().arrangement(),
        ofFourHundred.grouping(),
        fourHundred.plan().conductors(),
        fourHundred.pack().strip(),
        0.016,
        50,
        WARM);
  }

  /** Currents and heat of 200 cells through an hour in steps of 1 s. */
  @Benchmark
  public HeatMap hourOfTwoHundred() {
    return warm.through(hour);
  }
}
