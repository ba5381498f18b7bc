package hammerman.cli;

import hammerman.forecast.MatchCost;
import hammerman.project.UnreadableProject;
import hammerman.sort.CellSheet;
import hammerman.sort.Matching;
import hammerman.sort.RejectRules;
import hammerman.sort.TooFewCells;
import hammerman.store.ProjectFile;
import hammerman.table.UnreadableTable;
import hammerman.unit.Unit;
import hammerman.unit.Valid;
import java.io.PrintWriter;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.Callable;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** Puts measured cells into level groups. */
@Command(
    name = "match",
    description =
        "Puts measured cells of a table into level groups; exit 1 with too few good ones.")
final class MatchCommand implements Callable<Integer> {
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
      description = "what is level first: capacity, resistance or both (default: ${DEFAULT-VALUE})")
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
      return Main.FINE;
    } catch (TooFewCells e) {
      if (json) {
        out.println(MatchReport.json(sorted, Optional.empty(), Optional.empty()));
      } else {
        sorted
            .rejected()
            .forEach(r -> out.println("Aside     %s: %s.".formatted(r.cell().label(), r.reason())));
      }
      spec.commandLine().getErr().println("hammerman: " + e.getMessage());
      return Main.STOPPED;
    }
  }

  private Matching.Terms terms() {
    return new Matching.Terms(by, ratio == null ? Double.POSITIVE_INFINITY : ratio, pinned(), seed);
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
