package hammerman.cli;

import hammerman.cell.CellLibrary;
import hammerman.cell.CellType;
import hammerman.forecast.Forecast;
import hammerman.forecast.MatchCost;
import hammerman.judgement.Judge;
import hammerman.probe.ProbeCard;
import hammerman.probe.ReadingsFile;
import hammerman.project.Project;
import hammerman.project.Shipped;
import hammerman.project.UnreadableProject;
import hammerman.record.BayTest;
import hammerman.search.Search;
import hammerman.search.Weights;
import hammerman.sort.CellSheet;
import hammerman.sort.Matching;
import hammerman.sort.RejectRules;
import hammerman.sort.TooFewCells;
import hammerman.store.NotKept;
import hammerman.store.ProjectFile;
import hammerman.table.UnreadableTable;
import hammerman.tester.SimulatedTester;
import hammerman.tester.TesterServer;
import hammerman.unit.InvalidValue;
import hammerman.unit.Unit;
import hammerman.unit.Valid;
import java.io.FileDescriptor;
import java.io.FileOutputStream;
import java.io.IOException;
import java.io.OutputStreamWriter;
import java.io.PrintWriter;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Clock;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.Callable;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** Entry point of the command line. */
@Command(
    name = "hammerman",
    description = "Designs and judges battery packs built from cells.",
    mixinStandardHelpOptions = true,
    version = "Hammerman 0.1",
    subcommands = {
      Main.Predict.class,
      Main.Check.class,
      Main.Plan.class,
      Main.Convert.class,
      Main.Match.class,
      Main.Probe.class,
      Main.Tester.class,
      Main.Rules.class
    })
public final class Main {
  /** Exit code when all is well. */
  static final int FINE = 0;

  /**
   * Exit code when {@code check} found a stop, {@code match} too few cells, {@code probe} a fault.
   */
  static final int STOPPED = 1;

  /** Exit code when the input cannot be used. */
  static final int UNUSABLE = 2;

  private Main() {}

  public static void main(String[] args) {
    PrintWriter out = utf8(FileDescriptor.out);
    PrintWriter err = utf8(FileDescriptor.err);
    int code = run(args, out, err);
    out.flush();
    err.flush();
    if (out.checkError()) {
      err.println("hammerman: the output could not be written; free some room where it goes.");
      err.flush();
      code = UNUSABLE;
    }
    System.exit(code);
  }

  /** Runs a command line and returns its exit code. */
  static int run(String[] args, PrintWriter out, PrintWriter err) {
    return new CommandLine(new Main())
        .setCaseInsensitiveEnumValuesAllowed(true)
        .setOut(out)
        .setErr(err)
        .setExecutionExceptionHandler(
            (e, line, parsed) -> {
              String message =
                  e instanceof UnreadableProject
                          || e instanceof InvalidValue
                          || e instanceof NotKept
                          || e instanceof UnreadableTable
                      ? e.getMessage()
                      : "internal error: " + e;
              line.getErr()
                  .println("hammerman: " + String.valueOf(message).replaceAll("\\s*\\R\\s*", " "));
              return UNUSABLE;
            })
        .setParameterExceptionHandler(
            (e, words) -> {
              e.getCommandLine().getErr().println("hammerman: " + e.getMessage() + "; see --help.");
              return UNUSABLE;
            })
        .execute(args);
  }

  private static PrintWriter utf8(FileDescriptor descriptor) {
    return new PrintWriter(
        new OutputStreamWriter(new FileOutputStream(descriptor), StandardCharsets.UTF_8));
  }

  /** What both commands take. */
  abstract static class OnProject implements Callable<Integer> {
    @Spec CommandSpec spec;

    @Parameters(paramLabel = "FILE", description = "a project file (.hammerman or .json)")
    Path file;

    @Option(names = "--json", description = "print JSON")
    boolean json;

    @Override
    public Integer call() throws UnreadableProject {
      Project project = ProjectFile.read(file);
      return report(project, Forecast.of(project.design()), spec.commandLine().getOut());
    }

    abstract int report(Project project, Forecast forecast, PrintWriter out);
  }

  /** Prints everything that is forecast. */
  @Command(name = "predict", description = "Forecasts a project's active variant.")
  static final class Predict extends OnProject {
    @Override
    int report(Project project, Forecast forecast, PrintWriter out) {
      out.println(json ? JsonReport.full(project, forecast) : TextReport.full(project, forecast));
      return FINE;
    }
  }

  /** Prints the judgements and says by its exit code whether one is a stop. */
  @Command(name = "check", description = "Judges a project's active variant; exit 1 on a stop.")
  static final class Check extends OnProject {
    @Override
    int report(Project project, Forecast forecast, PrintWriter out) {
      out.println(json ? JsonReport.check(project, forecast) : TextReport.check(project, forecast));
      return TextReport.stops(forecast) > 0 ? STOPPED : FINE;
    }
  }

  /** Searches the starter cells and the project's own at all counts for its duty. */
  @Command(name = "plan", description = "Searches cells and counts that serve a project's duty.")
  static final class Plan extends OnProject {
    @Option(
        names = "--top",
        paramLabel = "N",
        defaultValue = "10",
        description = "how many to print (default: ${DEFAULT-VALUE})")
    int top;

    @Override
    int report(Project project, Forecast forecast, PrintWriter out) {
      Valid.count("--top", top, 1, 100_000);
      CellLibrary cells =
          Shipped.cells()
              .with(project.variants().stream().map(v -> v.pack().cell()).distinct().toList());
      Search search = Search.of(project.design(), cells, Weights.EVEN);
      out.println(json ? JsonReport.plan(search, top) : TextReport.plan(search, top));
      return FINE;
    }
  }

  /** Turns a project's file into the other form. */
  @Command(
      name = "convert",
      description = "Writes a project as a database (.hammerman) or as a bare document (.json).")
  static final class Convert implements Callable<Integer> {
    @Spec CommandSpec spec;

    @Parameters(index = "0", paramLabel = "FROM", description = "a project file of any form")
    Path from;

    @Parameters(index = "1", paramLabel = "TO", description = "a new file; its ending says which")
    Path to;

    @Override
    public Integer call() throws UnreadableProject, NotKept {
      ProjectFile.write(ProjectFile.read(from), to, Clock.systemUTC().instant());
      spec.commandLine().getOut().println("Wrote " + to.getFileName() + ".");
      return FINE;
    }
  }

  /** Puts measured cells into level groups. */
  @Command(
      name = "match",
      description =
          "Puts measured cells of a table into level groups; exit 1 with too few good ones.")
  static final class Match implements Callable<Integer> {
    @Spec CommandSpec spec;

    @Parameters(paramLabel = "CELLS.csv", description = "a table of measured cells, with a head")
    Path file;

    @Option(names = "--series", paramLabel = "S", required = true, description = "groups")
    int series;

    @Option(
        names = "--parallel",
        paramLabel = "P",
        required = true,
        description = "cells in each group")
    int parallel;

    @Option(
        names = "--by",
        paramLabel = "WHAT",
        defaultValue = "capacity",
        description =
            "what is level first: capacity, resistance or both (default: ${DEFAULT-VALUE})")
    Matching.Level by = Matching.Level.CAPACITY;

    @Option(
        names = "--ratio",
        paramLabel = "R",
        description = "largest resistance over smallest within a group")
    @Nullable Double ratio;

    @Option(names = "--least", paramLabel = "AH", description = "capacity below which one goes")
    @Nullable Double least;

    @Option(
        names = "--most",
        paramLabel = "MOHM",
        description = "resistance, in mΩ, above which one goes")
    @Nullable Double most;

    @Option(
        names = "--cut-off",
        paramLabel = "V",
        description =
            "rest voltage below which a cell is never used (default: 2.5, or 1.5 for"
                + " cells that rest below 2.7)")
    @Nullable Double cutOff;

    @Option(
        names = "--pin",
        paramLabel = "LABEL=GROUP",
        description = "a cell that stays in a group, counted from 1; may stand several times")
    Map<String, Integer> pins = Map.of();

    @Option(names = "--keep-odd", description = "keep outliers")
    boolean keepOdd;

    @Option(
        names = "--seed",
        paramLabel = "N",
        defaultValue = "1",
        description = "of what is left to chance (default: ${DEFAULT-VALUE})")
    long seed;

    @Option(
        names = "--in",
        paramLabel = "FILE",
        description = "a project: what the groups come to in its pack, with these counts")
    @Nullable Path in;

    @Option(names = "--dc", description = "resistances are those of direct current after 10 s")
    boolean dc;

    @Option(names = "--json", description = "print JSON")
    boolean json;

    @Override
    public Integer call() throws UnreadableTable, UnreadableProject {
      PrintWriter out = spec.commandLine().getOut();
      RejectRules rules =
          RejectRules.USUAL
              .withLowestVoltage(cutOff)
              .withLeastCapacity(least)
              .withMostResistance(most == null ? null : Unit.MILLIOHM.toCore(most))
              .withDeviations(keepOdd ? null : RejectRules.USUAL.deviations());
      CellSheet.Read read = CellSheet.read(file);
      RejectRules.Sorted sorted = rules.apply(read.cells());
      try {
        Matching matched = Matching.of(sorted.accepted(), series, parallel, terms());
        Optional<MatchCost> cost =
            in == null
                ? Optional.empty()
                : Optional.of(
                    MatchCost.of(ProjectFile.read(in).design(), matched, sorted.accepted(), dc));
        out.println(
            json
                ? MatchReport.json(sorted, Optional.of(matched), cost)
                : MatchReport.text(read, sorted, matched, cost));
        return FINE;
      } catch (TooFewCells e) {
        if (json) {
          out.println(MatchReport.json(sorted, Optional.empty(), Optional.empty()));
        } else {
          sorted
              .rejected()
              .forEach(
                  r -> out.println("Aside     %s: %s.".formatted(r.cell().label(), r.reason())));
        }
        spec.commandLine().getErr().println("hammerman: " + e.getMessage());
        return STOPPED;
      }
    }

    private Matching.Terms terms() {
      return new Matching.Terms(
          by, ratio == null ? Double.POSITIVE_INFINITY : ratio, pinned(), seed);
    }

    private Map<String, Integer> pinned() {
      Map<String, Integer> all = new HashMap<>();
      pins.forEach(
          (label, group) -> {
            Valid.count("--pin " + label, group, 1, series);
            all.put(label, group - 1);
          });
      return all;
    }
  }

  /** Reads a probe card. */
  @Command(
      name = "probe",
      description =
          "Judges readings of the balance leads against battery minus; exit 1 if something is"
              + " wrong.")
  static final class Probe implements Callable<Integer> {
    @Spec CommandSpec spec;

    @Parameters(index = "0", paramLabel = "FILE", description = "a project file")
    Path file;

    @Parameters(
        index = "1",
        paramLabel = "READINGS.csv",
        description = "two columns: the lead's number, 0 at battery minus, and its volts")
    Path readings;

    @Option(names = "--json", description = "print JSON")
    boolean json;

    @Override
    public Integer call() throws UnreadableProject, UnreadableTable {
      ProbeCard card = ProbeCard.of(ProjectFile.read(file).design(), ReadingsFile.read(readings));
      spec.commandLine().getOut().println(json ? ProbeReport.json(card) : card.words());
      return card.isSound() ? FINE : STOPPED;
    }
  }

  /** Stands in for a cell tester. */
  @Command(
      name = "tester",
      description =
          "Stands in for a cell tester, on a loopback socket, until it is stopped"
              + " (docs/devices.md).")
  static final class Tester implements Callable<Integer> {
    /** Where the program looks for a tester if nothing else is said. */
    static final int PORT = 7717;

    @Spec CommandSpec spec;

    @Option(
        names = "--port",
        paramLabel = "N",
        defaultValue = "" + PORT,
        description = "of the loopback address; 0 for any (default: ${DEFAULT-VALUE})")
    int port;

    @Option(
        names = "--bays",
        paramLabel = "N",
        defaultValue = "4",
        description = "cells at a time (default: ${DEFAULT-VALUE})")
    int bays;

    @Option(
        names = "--speed",
        paramLabel = "N",
        defaultValue = "600",
        description = "seconds of a test in each second (default: ${DEFAULT-VALUE})")
    double speed;

    @Option(
        names = "--seed",
        paramLabel = "N",
        defaultValue = "1",
        description = "of its made-up cells (default: ${DEFAULT-VALUE})")
    long seed;

    @Option(
        names = "--cell",
        paramLabel = "ID",
        defaultValue = "e18650",
        description = "type of its cells in the starter library (default: ${DEFAULT-VALUE})")
    String cell = "";

    @Override
    public Integer call() {
      Valid.count("--port", port, 0, 65_535);
      Valid.count("--bays", bays, 1, BayTest.MOST_BAYS);
      Valid.range("--speed", speed, 0.1, 100_000, Unit.ONE);
      CellType type =
          Shipped.cells().cells().stream()
              .filter(c -> c.id().equals(cell))
              .findFirst()
              .orElseThrow(
                  () ->
                      new InvalidValue(
                          "--cell",
                          cell,
                          "must be in the starter library",
                          "Use e18650, p18650 or f32700."));
      try (TesterServer server =
          new TesterServer(new SimulatedTester(type, bays, seed), port, speed)) {
        PrintWriter out = spec.commandLine().getOut();
        out.println("A tester with %d bays listens at port %d.".formatted(bays, server.port()));
        out.flush();
        server.serve();
        return FINE;
      } catch (IOException e) {
        spec.commandLine()
            .getErr()
            .println(
                "hammerman: port %d cannot be had (%s); name another with --port."
                    .formatted(port, e.getMessage()));
        return UNUSABLE;
      }
    }
  }

  /** Prints what is judged, as the page docs/judgements.md. */
  @Command(name = "rules", description = "Prints the list of judgements.")
  static final class Rules implements Callable<Integer> {
    @Spec CommandSpec spec;

    @Override
    public Integer call() {
      spec.commandLine().getOut().print(Judge.page());
      return FINE;
    }
  }
}
