package hammerman.bench;

import java.nio.file.Path;
import org.openjdk.jmh.runner.Runner;
import org.openjdk.jmh.runner.options.OptionsBuilder;

/**
 * Runs the measurements: {@code start}, {@code edit}, {@code sheet}, {@code log}, {@code store},
 * {@code zoom}, {@code flood}, {@code kill}, {@code mutants}, {@code engine}, {@code models},
 * {@code fit}, {@code sort}, {@code cells}; all without a name; and {@code use MINUTES FOLDER},
 * which is none of all.
 */
public final class Main {
  private Main() {}

  public static void main(String[] args) throws Exception {
    String which = args.length == 0 ? "all" : args[0];
    if (which.equals("start") || which.equals("all")) {
      StartBench.run();
    }
    if (which.equals("edit") || which.equals("all")) {
      EditBench.run();
    }
    if (which.equals("sheet") || which.equals("all")) {
      SheetBench.run();
    }
    if (which.equals("log") || which.equals("all")) {
      new Runner(new OptionsBuilder().include(LogBench.class.getName()).build()).run();
    }
    if (which.equals("store") || which.equals("all")) {
      StoreBench.run();
    }
    if (which.equals("zoom") || which.equals("all")) {
      ZoomBench.run();
    }
    if (which.equals("flood") || which.equals("all")) {
      FloodBench.run();
    }
    if (which.equals("use")) {
      UseBench.run(Integer.parseInt(args[1]), Path.of(args[2]));
    }
    if (which.equals("kill") || which.equals("all")) {
      KillBench.run(args.length > 1 ? Integer.parseInt(args[1]) : 500);
    }
    if (which.equals("mutants") || which.equals("all")) {
      MutantBench.run(args.length > 1 ? Integer.parseInt(args[1]) : 20_000);
    }
    if (which.equals("engine") || which.equals("all")) {
      EngineBench.run();
      IntegratorBench.run();
    }
    if (which.equals("models") || which.equals("all")) {
      new Runner(new OptionsBuilder().include(ModelBench.class.getName()).build()).run();
    }
    if (which.equals("fit") || which.equals("all")) {
      new Runner(new OptionsBuilder().include(FitBench.class.getName()).build()).run();
    }
    if (which.equals("sort") || which.equals("all")) {
      SortBench.run();
    }
    if (which.equals("cells") || which.equals("all")) {
      SortBench.table();
    }
    System.exit(0);
  }
}
