package hammerman.cli;

import hammerman.project.UnreadableProject;
import hammerman.store.NotKept;
import hammerman.store.ProjectFile;
import java.nio.file.Path;
import java.time.Clock;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** Turns a project's file into the other form. */
@Command(
    name = "convert",
    description = "Writes a project as a database (.hammerman) or as a bare document (.json).")
final class ConvertCommand implements Callable<Integer> {
  @Spec CommandSpec spec;

  @Parameters(index = "0", paramLabel = "FROM", description = "a project file of any form")
  Path from;

  @Parameters(index = "1", paramLabel = "TO", description = "a new file; its ending says which")
  Path to;

  @Override
  public Integer call() throws UnreadableProject, NotKept {
    ProjectFile.write(ProjectFile.read(from), to, Clock.systemUTC().instant());
    spec.commandLine().getOut().println("Wrote " + to.getFileName() + ".");
    return Main.FINE;
  }
}
