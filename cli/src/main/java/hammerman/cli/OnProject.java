package hammerman.cli;

import hammerman.forecast.Forecast;
import hammerman.project.Project;
import hammerman.project.UnreadableProject;
import hammerman.store.NotKept;
import hammerman.store.ProjectFile;
import java.io.PrintWriter;
import java.nio.file.Path;
import java.util.concurrent.Callable;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** What every command about one project takes. */
abstract class OnProject implements Callable<Integer> {
  @Spec CommandSpec spec;

  @Parameters(paramLabel = "FILE", description = "a project file (.hammerman or .json)")
  Path file;

  @Option(names = "--json", description = "print JSON")
  boolean json;

  @Override
  public Integer call() throws UnreadableProject, NotKept {
    Project project = ProjectFile.read(file);
    return report(project, Forecast.of(project.design()));
  }

  /** Returns where the answer goes. */
  PrintWriter out() {
    return spec.commandLine().getOut();
  }

  abstract int report(Project project, Forecast forecast) throws UnreadableProject, NotKept;
}
