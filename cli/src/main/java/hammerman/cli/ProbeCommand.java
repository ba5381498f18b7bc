package hammerman.cli;

import hammerman.probe.ProbeCard;
import hammerman.probe.ReadingsFile;
import hammerman.project.UnreadableProject;
import hammerman.store.ProjectFile;
import hammerman.table.UnreadableTable;
import java.nio.file.Path;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** Reads a probe card. */
@Command(
    name = "probe",
    description =
        "Judges readings of the balance leads against battery minus; exit 1 if something is"
            + " wrong.")
final class ProbeCommand implements Callable<Integer> {
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
    return card.isSound() ? Main.FINE : Main.STOPPED;
  }
}
