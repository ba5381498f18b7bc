package hammerman.app.station;

import hammerman.finding.Station;
import hammerman.forecast.Forecast;
import javafx.scene.Node;

/** The page of a station. */
public interface StationView {
  /** Returns which station it is. */
  Station station();

  /** Returns the page; always the same node. */
  Node node();

  /** Shows a forecast; called while the page is visible, and when it becomes so. */
  void show(Forecast forecast);

  /** Goes to one of the page's views by its id; a page without views has none. */
  default void showView(String id) {
    throw new IllegalArgumentException(station().label() + " has no view " + id);
  }

  /** Explains the page in a few sentences. */
  String help();
}
