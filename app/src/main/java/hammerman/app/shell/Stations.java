package hammerman.app.shell;

import hammerman.app.station.Bench;
import hammerman.app.station.StationView;
import hammerman.app.station.build.BuildStation;
import hammerman.app.station.cell.CellStation;
import hammerman.app.station.duty.DutyStation;
import hammerman.app.station.fit.FitStation;
import hammerman.app.station.forecast.ForecastStation;
import hammerman.app.station.guard.GuardStation;
import hammerman.app.station.prove.ProveStation;
import hammerman.app.station.sort.SortStation;
import hammerman.app.station.stack.StackStation;
import hammerman.finding.Station;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;

/**
 * The stations that there are; the line, keys, palette, pictures and tests follow from the list. A
 * station is made when it is first gone to, so that the window opens with one.
 */
final class Stations {
  private static final Map<Station, Function<Bench, StationView>> MAKERS =
      new EnumMap<>(
          Map.of(
              Station.DUTY, DutyStation::new,
              Station.CELL, CellStation::new,
              Station.STACK, StackStation::new,
              Station.GUARD, GuardStation::new,
              Station.FIT, FitStation::new,
              Station.FORECAST, ForecastStation::new,
              Station.SORT, SortStation::new,
              Station.BUILD, BuildStation::new,
              Station.PROVE, ProveStation::new));

  private final Bench bench;
  private final Runnable completed;
  private final Map<Station, StationView> made = new EnumMap<>(Station.class);

  /**
   * @param completed called when work at a station is complete, or is not any more
   */
  Stations(Bench bench, Runnable completed) {
    this.bench = bench;
    this.completed = completed;
  }

  /** Returns the stations in the order of the line. */
  static List<Station> inOrder() {
    return Arrays.stream(Station.values()).filter(MAKERS::containsKey).toList();
  }

  /** Returns a station; always the same. */
  StationView of(Station station) {
    StationView was = made.get(station);
    if (was != null) {
      return was;
    }
    Function<Bench, StationView> maker = MAKERS.get(station);
    if (maker == null) {
      throw new IllegalArgumentException("there is no page for " + station);
    }
    StationView view = maker.apply(bench);
    made.put(station, view);
    view.page().completeProperty().addListener((o, before, is) -> completed.run());
    return view;
  }

  /** Whether nothing is left to do at a station, as far as it was looked at. */
  boolean isComplete(Station station) {
    StationView view = made.get(station);
    return view != null && view.page().completeProperty().get();
  }

  /** Returns all stations. */
  List<StationView> all() {
    return inOrder().stream().map(this::of).toList();
  }
}
