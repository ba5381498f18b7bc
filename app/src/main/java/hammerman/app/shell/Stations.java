package hammerman.app.shell;

import hammerman.app.station.Bench;
import hammerman.app.station.StationView;
import hammerman.app.station.cell.CellStation;
import hammerman.app.station.duty.DutyStation;
import hammerman.app.station.fit.FitStation;
import hammerman.app.station.forecast.ForecastStation;
import hammerman.app.station.guard.GuardStation;
import hammerman.app.station.stack.StackStation;
import java.util.List;

/**
 * The stations that there are; the line, keys, palette, pictures and tests follow from the list.
 */
final class Stations {
  private Stations() {}

  static List<StationView> all(Bench bench) {
    return List.of(
        new DutyStation(bench),
        new CellStation(bench),
        new StackStation(bench),
        new GuardStation(bench),
        new FitStation(bench),
        new ForecastStation(bench));
  }
}
