package hammerman.app.station.prove;

import hammerman.app.control.Views;
import hammerman.app.station.Bench;
import hammerman.app.station.Page;
import hammerman.app.station.Slice;
import hammerman.app.station.StationView;
import hammerman.finding.Station;
import hammerman.forecast.Forecast;
import java.util.EnumSet;
import java.util.Set;

/** The page of station Prove. */
public final class ProveStation implements StationView {
  private final ProveState state;
  private final Page page;
  private final HealthView health;

  public ProveStation(Bench bench) {
    state = new ProveState(bench.session());
    health = new HealthView(bench, state);
    Views views = new Views();
    views
        .add("Runs", "runs", new RunsView(bench, state), () -> {})
        .add("Live", "live", new LiveView(state, views), () -> {})
        .add("What differs", "differs", new CompareView(state), () -> {})
        .add("Calibrate", "calibrate", new CalibrateView(state, () -> views.show("runs")), () -> {})
        .add("Health", "health", health, () -> {})
        .add("Range and rota", "rota", new RotaView(state), () -> {})
        .add("Incidents", "incidents", new IncidentsView(state), () -> {});
    page = new Page(Station.PROVE, views).withSaid(state.saidProperty());
    state.shownProperty().addListener((o, was, is) -> answer());
    health.verdictProperty().addListener((o, was, is) -> answer());
    answer();
  }

  @Override
  public Page page() {
    return page;
  }

  @Override
  public void show(Forecast forecast) {
    state.follow(forecast);
    health.forecast(forecast);
    answer();
  }

  private void answer() {
    int runs = state.shown().counting().size();
    page.answer(
        runs == 0
            ? "No run is written down yet. Take in a log, meter one live, or type what you noted."
            : "%s written down. %s"
                .formatted(
                    runs == 1 ? "One run is" : runs + " runs are", health.verdictProperty().get()));
  }

  @Override
  public Set<Slice> reads() {
    return EnumSet.of(Slice.FORECAST, Slice.RECORDS);
  }

  @Override
  public String help() {
    return """
    Runs keeps what you ran: the log whole, or the figures you noted, and under what it was done. The \
    log is drawn with the forecast of the very same load over it.

    Live takes a run from an inline meter as it happens.

    What differs puts two runs beside each other. A result is put down to a condition only if it alone \
    changed; charge at the start and air are worked out by the engine first, so that they need not be \
    the same.

    Calibrate fits the cells' resistance and capacity to logs, with their uncertainty. Nothing changes \
    until you accept it, and it can be undone.

    Health lays measured capacities over the life forecast, tells the charge from a rest voltage where \
    the voltage can tell it, and writes reminders into a calendar.

    Range and rota gives measured energy back to Duty, and says how many batteries last a day.

    Incidents: note a trip, a blown fuse, a cut-out or a hot connector in one line, and read what the \
    record says about its cause. Let it cool and unplug it before you look.\
    """;
  }
}
