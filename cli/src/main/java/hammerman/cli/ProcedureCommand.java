package hammerman.cli;

import hammerman.build.Progress;
import hammerman.build.Setting;
import hammerman.forecast.Forecast;
import hammerman.project.Project;
import hammerman.project.UnreadableProject;
import hammerman.store.NotKept;
import hammerman.store.ProjectFile;
import java.time.Clock;
import picocli.CommandLine.Command;

/** Prints the steps of the build with what each reading should be. */
@Command(
    name = "procedure",
    description = "Lists the steps that build a project's active variant, with expected readings.")
final class ProcedureCommand extends OnProject {
  @Override
  int report(Project project, Forecast forecast) throws UnreadableProject, NotKept {
    Progress progress = Progress.of(forecast, ProjectFile.built(file).steps());
    out()
        .println(
            json
                ? BuildReport.json(progress, Setting.of(forecast))
                : BuildReport.text(progress, Setting.of(forecast), Clock.systemUTC().instant()));
    return Main.FINE;
  }
}
