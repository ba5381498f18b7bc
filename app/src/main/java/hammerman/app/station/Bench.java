package hammerman.app.station;

import hammerman.app.control.FigureView;
import hammerman.app.control.FileAsk;
import hammerman.app.session.Session;
import hammerman.app.session.Settings;
import hammerman.finding.Derivation;
import hammerman.finding.Station;
import hammerman.forecast.Forecast;
import hammerman.forecast.Headline;
import hammerman.forecast.Swept;
import hammerman.forecast.Workings;
import java.util.Locale;
import java.util.Optional;
import java.util.function.BiConsumer;
import java.util.function.Consumer;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.layout.Region;

/**
 * What every station is given.
 *
 * @param session the project being worked on
 * @param settings what is remembered between starts
 * @param files asks for files
 * @param showWorking shows how a figure came about
 * @param fill lays something over the whole window until it is closed
 * @param go goes to a view of a station by its id; an empty one is its page as it was left
 */
public record Bench(
    Session session,
    Settings settings,
    FileAsk files,
    Consumer<Working> showWorking,
    Consumer<Node> fill,
    BiConsumer<Station, String> go) {
  /** How a figure of a forecast came about; empty once the design has no such figure. */
  @FunctionalInterface
  public interface Working {
    Optional<Derivation> of(Forecast forecast);
  }

  /** Returns a figure whose working can be shown. */
  public FigureView figure(String name, Headline headline) {
    return new FigureView(
        name, () -> showWorking.accept(f -> Optional.of(Workings.of(headline, f))));
  }

  /** Returns a link below a picture of many runs that shows how it came about. */
  public Button working(Swept swept) {
    Button link = new Button("How it came about");
    link.getStyleClass().setAll("link");
    link.setId("working-" + swept.name().toLowerCase(Locale.ROOT));
    link.setMinSize(Region.USE_PREF_SIZE, Region.USE_PREF_SIZE);
    link.setOnAction(e -> showWorking.accept(f -> Optional.of(Workings.of(swept, f))));
    return link;
  }
}
