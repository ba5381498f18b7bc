package hammerman.cli;

import hammerman.forecast.Forecast;
import hammerman.project.Project;
import picocli.CommandLine.Command;

/** Prints the judgements and says by its exit code whether one is a stop. */
@Command(name = "check", description = "Judges a project's active variant; exit 1 on a stop.")
final class CheckCommand extends OnProject {
  @Override
  int report(Project project, Forecast forecast) {
    out().println(json ? JsonReport.check(project, forecast) : TextReport.check(project, forecast));
    return TextReport.stops(forecast) > 0 ? Main.STOPPED : Main.FINE;
  }
}
