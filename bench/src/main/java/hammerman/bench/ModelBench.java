package hammerman.bench;

import hammerman.cell.CellLibrary;
import hammerman.chain.Chain;
import hammerman.choice.Selection;
import hammerman.circuit.Circuit;
import hammerman.design.Design;
import hammerman.design.SecondPack;
import hammerman.duty.Load;
import hammerman.duty.Task;
import hammerman.finding.Finding;
import hammerman.forecast.Forecast;
import hammerman.forecast.StackField;
import hammerman.guard.Parts;
import hammerman.judgement.Case;
import hammerman.judgement.Judge;
import hammerman.pack.Assembly;
import hammerman.project.Shipped;
import hammerman.remedy.Remedy;
import hammerman.search.Search;
import hammerman.search.Weights;
import hammerman.simulation.Discharge;
import hammerman.simulation.Run;
import hammerman.simulation.TwinRun;
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

/** The models on the worked example, after warm-up. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Warmup(iterations = 3, time = 1)
@Measurement(iterations = 5, time = 1)
@Fork(1)
public class ModelBench {
  private final Design design = Shipped.terraceBarrow().design();
  private final CellLibrary cells = Shipped.cells();
  private final Discharge hour =
      Discharge.of(Chain.of(design), Load.power(300, 3600), 1, 298.15).withStep(1);

  private final Case judged = judged(Forecast.of(design));
  private final Parts parts = Shipped.parts();
  private final Design paired =
      design
          .withDuty(design.duty().withTask(new Task.ByTime(300, 3600)))
          .withSecond(
              new SecondPack(
                  design.pack().withCounts(13, 4),
                  design.guard(),
                  SecondPack.Joining.PARALLEL,
                  0.97,
                  1));

  private final Forecast pair = Forecast.of(paired);
  private final Forecast forecast = Forecast.of(design);

  private static Case judged(Forecast f) {
    return new Case(
        f.circuit(), f.duty(), f.own(), f.days(), f.pair(), f.layout(), f.thermal().map());
  }

  /** A uniform discharge of one hour in steps of 1 s. */
  @Benchmark
  public Run oneHourDischarge() {
    return hour.run();
  }

  /** Everything that one edit asks of the core. */
  @Benchmark
  public Forecast wholeForecast() {
    return Forecast.of(design);
  }

  /** All starter cells at 30 series and 40 parallel counts. */
  @Benchmark
  public Search search() {
    return Search.of(design, cells, Weights.EVEN);
  }

  /** The field of neighbouring counts. */
  @Benchmark
  public StackField stackField() {
    return StackField.of(design, Assembly.estimated(design.pack()));
  }

  /** Judging a design whose chain and run are known. */
  @Benchmark
  public List<Finding> judging() {
    return Judge.judge(judged);
  }

  /** The circuit of two packs, one with its layout, walked and judged. */
  @Benchmark
  public List<Finding> circuit() {
    return Judge.read(Circuit.of(pair.chain(), pair.layout()));
  }

  /** What cures the first finding of the worked example. */
  @Benchmark
  public List<Remedy> remedies() {
    return Remedy.of(forecast, forecast.judgements().getFirst(), parts);
  }

  /** Two packs in parallel through an hour in steps of 1 s. */
  @Benchmark
  public TwinRun twoPacksOneHour() {
    return TwinRun.of(Chain.of(paired));
  }

  /** Choosing all parts of the guard. */
  @Benchmark
  public Selection selection() {
    return Selection.of(design, parts);
  }
}
