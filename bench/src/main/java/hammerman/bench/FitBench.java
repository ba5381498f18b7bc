package hammerman.bench;

import hammerman.cell.CellCircuit;
import hammerman.cell.CellType;
import hammerman.fit.Container;
import hammerman.fit.Filling;
import hammerman.fit.Grouping;
import hammerman.fit.HeatMap;
import hammerman.fit.Network;
import hammerman.fit.Outline;
import hammerman.fit.Packing;
import hammerman.fit.Placing;
import hammerman.fit.Point;
import hammerman.pack.Pack;
import hammerman.project.Shipped;
import java.util.Arrays;
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
  private static final Point EXIT = new Point(0, 0);
  private static final double WARM = 298.15;

  private final Pack pack = Shipped.terraceBarrow().design().pack();
  private final CellType cell = pack.cell();
  private final Placing twoHundred = placed(0.52, 0.46);
  private final Grouping ofTwoHundred = grouped(twoHundred, 20, 10);
  private final Placing fourHundred = placed(0.72, 0.64);
  private final Grouping ofFourHundred = grouped(fourHundred, 20, 20);
  private final Network currents = network(twoHundred, ofTwoHundred);
  private final double[] hour = new double[3600];

  /** An hour at 50 A. */
  public FitBench() {
    Arrays.fill(hour, 50);
  }

  private Placing placed(double width, double height) {
    Container box =
        new Container(Outline.rightTriangle(width, height), 0.08, List.of(), EXIT, 1e-3);
    return Placing.of(box, cell.format(), new Packing(Packing.Pattern.HEXAGONAL, 5e-4));
  }

  private static Grouping grouped(Placing placing, int series, int parallel) {
    return switch (Grouping.of(placing, series, parallel, EXIT)) {
      case Grouping.Result.Found f -> f.grouping();
      case Grouping.Result.NotPossible n -> throw new IllegalStateException(n.why());
    };
  }

  private Network network(Placing placing, Grouping grouping) {
    double r = new CellCircuit(cell).r10(0.5, WARM);
    return Network.of(placing, grouping, pack.strip(), r, 50, WARM, EXIT, Network.TakeOff.ONE_CELL);
  }

  /** 200 cells placed and parted into groups. */
  @Benchmark
  public Grouping placeTwoHundred() {
    return grouped(placed(0.52, 0.46), 20, 10);
  }

  /** 1000 cells placed and parted into groups. */
  @Benchmark
  public Grouping placeThousand() {
    return grouped(placed(1.12, 1.0), 20, 50);
  }

  /** The network of 400 cells. */
  @Benchmark
  public Network networkOfFourHundred() {
    return network(fourHundred, ofFourHundred);
  }

  /** The heat of 200 cells through an hour in steps of 1 s. */
  @Benchmark
  public HeatMap hourOfTwoHundred() {
    return HeatMap.of(
        twoHundred,
        ofTwoHundred,
        currents,
        cell,
        new CellCircuit(cell).settled(0.5, WARM),
        hour,
        WARM,
        Filling.AIR,
        pack.cooling());
  }
}
