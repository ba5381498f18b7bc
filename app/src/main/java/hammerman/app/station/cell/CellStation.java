package hammerman.app.station.cell;

import hammerman.app.control.Views;
import hammerman.app.station.Bench;
import hammerman.app.station.Page;
import hammerman.app.station.StationView;
import hammerman.cell.CellType;
import hammerman.finding.Station;
import hammerman.forecast.Forecast;
import hammerman.unit.Figures;
import hammerman.unit.Unit;

/** The page of station Cell: the library, cells side by side, a cell of one's own. */
public final class CellStation implements StationView {
  private final Page page;
  private final Views views = new Views();
  private final LibraryView library;
  private final SideBySide beside;
  private final OwnCell own;

  public CellStation(Bench bench) {
    library = new LibraryView(bench);
    beside = new SideBySide(bench.session(), library.compared());
    own = new OwnCell(bench);
    views
        .add("Library", "library", library, () -> {})
        .add("Side by side", "beside", beside, () -> beside.show(forecast(bench)))
        .add("Own figures", "own", own, () -> own.show(forecast(bench)));
    page = new Page(Station.CELL, views);
  }

  private static Forecast forecast(Bench bench) {
    return bench.session().forecastProperty().get();
  }

  @Override
  public Page page() {
    return page;
  }

  @Override
  public void show(Forecast f) {
    if (views.isShown("library")) {
      library.show(f);
    } else if (views.isShown("beside")) {
      beside.show(f);
    } else {
      own.show(f);
    }
    CellType cell = f.design().pack().cell();
    double share = f.chain().demand().peak() / f.design().pack().parallel();
    page.answer(
        "%s: %s per cell at the hardest moment, rated %s for 10 s."
            .formatted(
                cell.name(),
                Figures.of(share, Unit.AMPERE),
                Figures.exact(cell.currents().peak(), Unit.AMPERE)));
  }

  @Override
  public String help() {
    return """
    Choose by current as well as by capacity: divide the hardest moment by the number in parallel and \
    hold it against the cell's ratings. An energy cell gives more Wh per kg; a power cell sags and heats \
    less.

    The list holds generic classes, with figures typical for the class. Type to filter it, press a head \
    to sort it, tick up to four cells to see them side by side. A change of cell keeps the counts; \
    charge voltage and BMS voltages follow the new cell.

    Own figures: type those of your datasheet, say how worn used cells are, or fit rested voltage and \
    resistance to measured discharge curves. Keep a cell to have it in every project.\
    """;
  }
}
