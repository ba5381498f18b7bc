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

  /** Explains the page in a few sentences. */
  String help();
}
