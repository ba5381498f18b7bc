package hammerman.cli;

import hammerman.forecast.Forecast;
import hammerman.project.Project;
import picocli.CommandLine.Command;

/** Prints everything that is forecast. */
@Command(name = "predict", description = "Forecasts a project's active variant.")
final class PredictCommand extends OnProject {
  @Override
  int report(Project project, Forecast forecast) {
    out().println(json ? JsonReport.full(project, forecast) : TextReport.full(project, forecast));
    return Main.FINE;
  }
}
