package hammerman.app.station;

import hammerman.forecast.Forecast;

/** The page of a station, and what fills it. */
public interface StationView {
  /** Returns the page; always the same node. */
  Page page();

  /** Shows a forecast; called while the page is visible, and when it becomes so. */
  void show(Forecast forecast);

  /** Explains the page in a few sentences. */
  String help();
}
