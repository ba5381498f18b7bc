package hammerman.app.station.stack;

import hammerman.app.control.Views;
import hammerman.app.session.Session;
import hammerman.app.station.Bench;
import hammerman.app.station.Page;
import hammerman.app.station.StationView;
import hammerman.finding.Station;
import hammerman.forecast.Forecast;
import hammerman.pack.Pack;

/** The page of station Stack: the field of counts, the search, the schools, the variants. */
public final class StackStation implements StationView {
  private final Session session;
  private final Page page;
  private final Views views = new Views();
  private final FieldView field;
  private final SearchView search;
  private final VariantsView variants;

  public StackStation(Bench bench) {
    session = bench.session();
    field = new FieldView(bench, this::answer);
    SchoolsView schools = new SchoolsView(session);
    search = new SearchView(session, schools::show);
    variants = new VariantsView(session);
    views
        .add("This cell, all counts", "field", field, () -> show(forecast()))
        .add("All cells, ranked", "search", search, () -> show(forecast()))
        .add("Schools", "schools", schools, () -> show(forecast()))
        .add("Variants", "variants", variants, () -> show(forecast()));
    page = new Page(Station.STACK, views);
  }

  private Forecast forecast() {
    return session.forecastProperty().get();
  }

  @Override
  public Page page() {
    return page;
  }

  @Override
  public void show(Forecast f) {
    if (views.isShown("field")) {
      field.show(f);
    } else if (views.isShown("variants")) {
      variants.show();
    } else if (views.isShown("search") || views.isShown("schools")) {
      search.show(f.design());
    }
    answer();
  }

  private void answer() {
    if (page == null) {
      return;
    }
    Pack pack = forecast().design().pack();
    page.answer(pack.counts() + " of " + pack.cell().name() + ". " + field.summary());
  }

  @Override
  public String help() {
    return """
    Series sets the voltage: full charge must stay below the machine's limit, and under load near empty \
    it must stay above its cut-out. Parallel sets capacity and the current per cell.

    Each square is one pair of counts, run through the whole duty. A plain square serves; a hatched one \
    is stopped by the word in it. Click a square or use the arrows and Enter. The BMS count and the charge \
    voltage follow the series count. Contours show where energy, mass, cost, sag or time to the \
    temperature limit are the same.

    “All cells, ranked” tries every cell of the library at every count and ranks what serves by your \
    weights; press a row to make it a variant beside the present one. “Schools” sets the best of either \
    side against each other. “Variants” keeps what you tried, side by side.

    Strips are counted as one from each cell to its neighbour; the box as one layer with 5 mm of wall.\
    """;
  }
}
