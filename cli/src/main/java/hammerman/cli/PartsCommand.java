package hammerman.cli;

import hammerman.build.PartsList;
import hammerman.forecast.Forecast;
import hammerman.project.Project;
import hammerman.project.UnreadableProject;
import hammerman.record.PartRecord;
import hammerman.store.NotKept;
import hammerman.store.ProjectFile;
import java.util.HashMap;
import java.util.Map;
import picocli.CommandLine.Command;

/** Prints what the build needs. */
@Command(
    name = "parts",
    description = "Lists what a project's active variant needs, with prices, masses and totals.")
final class PartsCommand extends OnProject {
  @Override
  int report(Project project, Forecast forecast) throws UnreadableProject, NotKept {
    Map<String, PartRecord> known = ProjectFile.built(file).parts();
    Map<String, Double> prices = new HashMap<>();
    known.forEach(
        (key, p) -> {
          Double price = p.price();
          if (price != null) {
            prices.put(key, price);
          }
        });
    PartsList parts = PartsList.of(forecast, prices);
    out()
        .println(
            json
                ? PartsReport.json(parts, known)
                : PartsReport.text(parts, known, project.duty().bounds().prices()));
    return Main.FINE;
  }
}
