package hammerman.app.station.build;

import hammerman.app.control.Views;
import hammerman.app.station.Bench;
import hammerman.app.station.Page;
import hammerman.app.station.Slice;
import hammerman.app.station.StationView;
import hammerman.build.OnePack;
import hammerman.finding.Severity;
import hammerman.finding.Station;
import hammerman.forecast.Forecast;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.function.Function;

/** The page of station Build. */
public final class BuildStation implements StationView {
  private final BuildState state;
  private final Page page;

  public BuildStation(Bench bench) {
    this(bench, OnePack::all);
  }

  /**
   * Makes the page.
   *
   * @param packs makes the packs of a design with the steps of each
   */
  BuildStation(Bench bench, Function<Forecast, List<OnePack>> packs) {
    state = new BuildState(bench.session(), packs);
    PackDesk desk = new PackDesk(state);
    Views views = new Views();
    views
        .add("Steps", "steps", new StepsView(bench, state), () -> {})
        .add("Level", "level", new LevelView(state), () -> {})
        .add("Probe card", "probe", new ProbeView(state, desk), () -> {})
        .add("Parts", "parts", new PartsView(bench, state), () -> {})
        .add("Settings", "settings", new SettingsView(state), () -> {})
        .add(
            "First charge",
            "charge",
            new ChargeView(state, desk, () -> System.nanoTime() / 1e9),
            () -> {})
        .add("Record", "record", new RecordView(state), () -> {});
    page = new Page(Station.BUILD, views).withSaid(state.saidProperty());
    // Without steps there is nothing to do here, except to watch a charge that is under way.
    views.visibleProperty().bind(state.failureProperty().isEmpty().or(state.watchedProperty()));
    state.shownProperty().addListener((o, was, is) -> answer());
    state.failureProperty().addListener((o, was, is) -> answer());
    answer();
  }

  @Override
  public Page page() {
    return page;
  }

  @Override
  public void show(Forecast forecast) {
    state.follow(forecast);
  }

  private void answer() {
    BuildState.Shown s = state.shown();
    page.complete(s != null && s.progress().isComplete());
    page.answer(
        s == null
            ? unmade(state.failureProperty().get())
            : "%d of %d steps are done. %s%s"
                .formatted(
                    s.progress().done(),
                    s.progress().marks().size(),
                    stops(s.forecast()),
                    s.progress().words(state.now())));
  }

  private static String unmade(String failure) {
    return failure.isEmpty()
        ? "The procedure is being worked out."
        : "This design has no steps: they could not be made (%s). What was recorded stays in the file. Change the design to go on."
            .formatted(failure);
  }

  /** A design that is judged a stop is not built before that is settled. */
  private static String stops(Forecast f) {
    long n = f.judgements().stream().filter(j -> j.severity() == Severity.STOP).count();
    return n == 0
        ? ""
        : "The design has %s: settle %s before you go on. "
            .formatted(n == 1 ? "a stop" : n + " stops", n == 1 ? "it" : "them");
  }

  @Override
  public Set<Slice> reads() {
    return EnumSet.of(Slice.FORECAST, Slice.RECORDS);
  }

  @Override
  public String help() {
    return """
    Steps lists what to do in an order in which nothing live is touched before its protection is in \
    place. Each step says what it should read, worked out from this design and from what you read \
    before. A reading outside its bounds stops the work and says what is likely, and what to measure \
    next. Steps that protect you or the BMS take their reading; going on without needs a reason, which \
    stays on the record.

    Level takes rest voltages before anything is joined, and says what to bring up or down, with what, \
    and how long that takes.

    Probe card is the balance plug: type what each contact reads against battery minus, in any order, \
    and it says which leads are wrong and where they go.

    Parts is what to buy, with spares; tick what is there. Settings are the figures for controller, \
    charger, meter and BMS.

    First charge watches every group against the forecast and says stop in time. It cannot pull the \
    plug unless a switched one is connected: stay with it.

    Where local rules ask for a licensed person, they come first.\
    """;
  }
}
