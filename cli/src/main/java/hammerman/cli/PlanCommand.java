package hammerman.cli;

import hammerman.cell.CellLibrary;
import hammerman.forecast.Forecast;
import hammerman.project.Project;
import hammerman.project.Shipped;
import hammerman.search.Search;
import hammerman.search.Weights;
import hammerman.unit.Valid;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;

/** Searches the starter cells and the project's own at all counts for its duty. */
@Command(name = "plan", description = "Searches cells and counts that serve a project's duty.")
final class PlanCommand extends OnProject {
  @Option(
      names = "--top",
      paramLabel = "N",
      defaultValue = "10",
      description = "how many to print (default: ${DEFAULT-VALUE})")
  int top;

  @Override
  int report(Project project, Forecast forecast) {
    Valid.count("--top", top, 1, 100_000);
    CellLibrary cells =
        Shipped.cells()
            .with(project.variants().stream().map(v -> v.pack().cell()).distinct().toList());
    Search search = Search.of(project.design(), cells, Weights.EVEN);
    out().println(json ? JsonReport.plan(search, top) : TextReport.plan(search, top));
    return Main.FINE;
  }
}
