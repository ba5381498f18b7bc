package hammerman.cli;

import hammerman.chain.LaidOut;
import hammerman.project.UnreadableProject;
import hammerman.prove.Calibration;
import hammerman.prove.Replay;
import hammerman.prove.RunFigures;
import hammerman.store.ProjectFile;
import hammerman.table.TableFile;
import hammerman.table.UnreadableTable;
import hammerman.telemetry.Mapping;
import hammerman.telemetry.Telemetry;
import java.nio.file.Path;
import java.util.Optional;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** Reads the log of a run against the forecast of the same load. */
@Command(
    name = "read-run",
    description =
        "Reads the log of a run: its figures, the forecast of the same load, and the scales of"
            + " resistance and capacity that fit it best.")
final class ReadRunCommand implements Callable<Integer> {
  @Spec CommandSpec spec;

  @Parameters(index = "0", paramLabel = "FILE", description = "a project file")
  Path file;

  @Parameters(
      index = "1",
      paramLabel = "LOG.csv",
      description = "a table with time, voltage and current, and what else there is")
  Path log;

  @Option(names = "--json", description = "print JSON")
  boolean json;

  @Override
  public Integer call() throws UnreadableProject, UnreadableTable {
    var design = ProjectFile.read(file).design();
    TableFile table = TableFile.open(log);
    Telemetry read =
        Telemetry.read(table, Mapping.guess(table), share -> {}, () -> false).orElseThrow();
    RunFigures figures = RunFigures.of(read);
    Replay replay = Replay.of(LaidOut.of(design).chain(), read);
    Optional<Calibration> fit = Calibration.of(replay);
    spec.commandLine()
        .getOut()
        .println(
            json
                ? RunReport.json(read, figures, replay, fit)
                : RunReport.text(read, figures, replay, fit));
    return Main.FINE;
  }
}
