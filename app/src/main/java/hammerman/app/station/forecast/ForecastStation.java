package hammerman.app.station.forecast;

import hammerman.app.control.EvenRows;
import hammerman.app.control.FigureView;
import hammerman.app.control.Views;
import hammerman.app.job.Latest;
import hammerman.app.station.Bench;
import hammerman.app.station.Page;
import hammerman.app.station.StationView;
import hammerman.finding.Station;
import hammerman.forecast.AirSweep;
import hammerman.forecast.Forecast;
import hammerman.forecast.Headline;
import hammerman.forecast.PowerSweep;
import hammerman.forecast.Reach;
import hammerman.forecast.SpeedSweep;
import hammerman.forecast.Swept;
import hammerman.forecast.Workings;
import hammerman.simulation.Day;
import hammerman.simulation.Run;
import hammerman.unit.Figures;
import hammerman.unit.Unit;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import org.jspecify.annotations.Nullable;

/** The page of station Forecast: the headline figures, run trace, sag fan and life sheet. */
public final class ForecastStation implements StationView {
  private static final String SERVES = "It serves the %s asked for and goes on";

  private final Page page;
  private final Map<Headline, FigureView> figures = new LinkedHashMap<>();
  private final RunTrace trace = new RunTrace();
  private final SagFan sag = new SagFan();
  private final LifeSheet life = new LifeSheet();
  private final AirSheet air = new AirSheet();
  private final Views views = new Views();
  private final Latest sweeps = Latest.ofDetails("air-sweep");
  private final CellsView cells;
  private final LifeView years;
  private final SpeedView speed;
  private final Button speedWorking;
  private final SensitivityView sensitivity;
  private final PowerSheet power = new PowerSheet();
  private final Latest powers = Latest.ofDetails("power-sweep");
  private @Nullable Forecast forecast;
  private final FourDays days = new FourDays();
  private final DaysSheet fourDays = new DaysSheet();
  private final Label fullEffort = new Label();
  private final SpreadLine spread = new SpreadLine();
  private final Label lifeTitle = Page.heading("Life");

  public ForecastStation(Bench bench) {
    figure(bench, "Until it ends", Headline.RUN_TIME);
    figure(bench, "Range", Headline.RANGE);
    figure(bench, "Sag, 20 % charge", Headline.SAG);
    figure(bench, "Hottest cell", Headline.PEAK_TEMPERATURE);
    figure(bench, "Settles at", Headline.SETTLED_TEMPERATURE);
    figure(bench, "Charge time", Headline.CHARGE_TIME);
    figure(bench, "Life", Headline.LIFE);
    EvenRows row = new EvenRows(2, 2);
    row.getChildren().addAll(figures.values());
    fullEffort.getStyleClass().add("answer");
    fullEffort.setMinHeight(Region.USE_PREF_SIZE);
    VBox sagSheet = new VBox(4, Page.heading("Sag at the hardest moment"), sag);
    VBox lifeSheet = new VBox(4, lifeTitle, life);
    VBox.setVgrow(sag, Priority.ALWAYS);
    VBox.setVgrow(life, Priority.ALWAYS);
    HBox.setHgrow(sagSheet, Priority.ALWAYS);
    HBox.setHgrow(lifeSheet, Priority.ALWAYS);
    sagSheet.setPrefWidth(100);
    lifeSheet.setPrefWidth(100);
    HBox below = new HBox(20, sagSheet, lifeSheet);
    below.setPrefHeight(196);
    below.setMinHeight(160);
    VBox.setVgrow(trace, Priority.ALWAYS);
    trace.setPrefHeight(330);
    trace.setMinHeight(215);
    VBox run = new VBox(6, trace, below);
    VBox anyAir = new VBox(6, fullEffort, air, bench.working(Swept.AIR));
    VBox.setVgrow(air, Priority.ALWAYS);
    air.setMinHeight(260);
    power.setMinHeight(260);
    fourDays.setMinHeight(300);
    cells = new CellsView(this::showDays, bench.go());
    years = new LifeView(bench.session());
    sensitivity = new SensitivityView(bench.session());
    speed = new SpeedView(bench.go());
    speedWorking = bench.working(Swept.SPEED);
    views
        .add("The run, sag and life", "run", run, () -> {})
        .add("Four days", "days", above(fourDays, bench.working(Swept.DAYS)), () -> {})
        .add("Every cell", "cells", cells, () -> {})
        .add("Life", "life", years, this::sweep)
        .add("In any air", "air", anyAir, this::sweep)
        .add("At any power", "power", above(power, bench.working(Swept.POWER)), this::sweep)
        .add("At any speed", "speed", above(speed, speedWorking), this::sweep)
        .add("What moves it", "moves", above(sensitivity, bench.working(Swept.MOVES)), this::sweep);
    VBox.setVgrow(views, Priority.ALWAYS);
    HBox drawn = new HBox(12, spread, bench.working(Swept.SPREAD));
    drawn.setMinHeight(Region.USE_PREF_SIZE);
    HBox.setHgrow(spread, Priority.ALWAYS);
    spread.setMaxWidth(Double.MAX_VALUE);
    page = new Page(Station.FORECAST, new VBox(6, row, days, drawn, views), views);
  }

  private static VBox above(Region picture, Button working) {
    VBox.setVgrow(picture, Priority.ALWAYS);
    return new VBox(6, picture, working);
  }

  @Override
  public Page page() {
    return page;
  }

  @Override
  public void show(Forecast f) {
    figures.forEach(
        (headline, view) ->
            view.show(Workings.figure(headline, f), Workings.otherDays(headline, f)));
    FigureView range = figures.get(Headline.RANGE);
    if (range != null) {
      range.setVisible(f.range() > 0);
      range.setManaged(f.range() > 0);
    }
    speedWorking.setVisible(SpeedSweep.vehicle(f).isPresent());
    trace.show(f);
    sag.show(f.chain());
    life.show(f);
    lifeTitle.setText(
        "Life, charged to %s; limited by %s"
            .formatted(Figures.of(f.chain().ceiling(), Unit.PERCENT, 0), f.life().limit().words()));
    fullEffort.setText(Figures.unbroken(fullEffort(f)));
    forecast = f;
    showDays(f.days());
    cells.show(f);
    spread.show(f);
    sweep();
    page.answer(answer(f));
  }

  @Override
  public void leave() {
    cells.leave();
    spread.leave();
  }

  @Override
  public String help() {
    return """
    The duty is run on four days: in the middle of the temperatures in use, on the hottest, on the \
    coldest, and on the coldest with cells at the end of their life. What stops a pack may come back \
    once the load is off: switch the machine off as soon as it stops, or it starts with nobody at it.

    Then packs are drawn as they might come out: cells from where they come, joints by hand, the air \
    anywhere in use, the load by 10 % either way. Nine of ten lie in the band.

    The great figures are those of a typical day, with the worst below. The run drawn starts from the charge ceiling, in the hottest air, and goes on past the duty until \
    something ends it: the machine's cut-out, the BMS, an empty cell or heat. Move over this picture or another, or use \
    Left and Right, to read its curves at one point; Ctrl+C copies it with its figures.

    With two packs, what they do is that of both together; heat, charge, life and every cell are those of \
    the first, with its share of the load.

    The sag fan is drawn for the coldest air: each band runs from the drop at once to the settled one, \
    the line is after 10 s. A dot below the cut-out is a moment that stops the machine.

    “Four days” draws them below each other over one time, with the lowest voltage and the hottest cell \
    of each.

    “Every cell” runs the four days with each cell in its place of the layout, and measured cells before \
    they have one: which group is lowest, which cell is hottest, how far they drift apart. Its days take the \
    place of the first, quicker ones, and the run drawn then names the lowest group and the hottest cell.

    “In any air” runs the same load from −20 to 45 °C, with new cells and with worn ones, and the machine's \
    full effort. “At any power” tells the energy to be had at a power, and the charge below which that power \
    must be cut. “At any speed” tells how far on the level, where there is a vehicle.

    “Life” tells which habits cost it most and what another would give, until when the duty fits, and what the \
    cells cost for what they deliver. “Change it” does otherwise; undo takes it back.

    “What moves it” changes every input by a tenth, one at a time, and shows what that does to the answer \
    chosen. Type the answer you want, and the least change of each lever that gives it is offered; undo takes \
    it back.

    Life is a band: 30 % of the loss either way. Press any figure, or the link below a picture of many runs, to see how it \
    came about, with its source and the range in which it holds.\
    """;
  }

  /** Works out what only one view shows, when that is looked at. */
  private void sweep() {
    Forecast f = forecast;
    if (f == null) {
      return;
    }
    if (views.isShown("air")) {
      sweeps.submit(() -> AirSweep.of(f), made -> air.show(f, made));
    } else if (views.isShown("life")) {
      years.show(f);
    } else if (views.isShown("power")) {
      powers.submit(() -> PowerSweep.of(f), power::show);
    } else if (views.isShown("speed")) {
      speed.show(f);
    } else if (views.isShown("moves")) {
      sensitivity.show(f);
    }
  }

  private void figure(Bench bench, String name, Headline headline) {
    FigureView view = bench.figure(name, headline);
    view.getStyleClass().add("big");
    figures.put(headline, view);
  }

  private static String answer(Forecast f) {
    boolean pair = f.pair().isPresent();
    String wanted = Figures.duration(f.design().duty().task().load().duration());
    if (f.duty().outcome().complete() && !f.duty().served()) {
      return "%s for the %s asked for, but it is not served: a current limit withholds %s of the energy."
          .formatted(
              pair ? "Both packs go on" : "It goes on",
              wanted,
              Figures.of(f.duty().totals().withheldShare(), Unit.PERCENT, 0));
    }
    if (f.duty().served()) {
      Run typical = f.reach().typical();
      String serve = pair ? "Both packs serve the %s asked for and go on" : SERVES;
      return typical.outcome().complete()
          ? (serve + " for %s on a typical day, longer than is forecast.")
              .formatted(wanted, Reach.time(typical))
          : (serve + " to %s on a typical day; then %s.")
              .formatted(wanted, Reach.time(typical), Day.ending(typical.outcome()));
    }
    return "%s after %s of the %s asked for: %s."
        .formatted(
            pair ? "Both packs end" : "It ends",
            Figures.duration(f.duty().endTime()),
            wanted,
            Day.ending(f.duty().outcome()));
  }

  /** The four days, two in a row; one that is not served stands out. */
  private void showDays(List<Day> all) {
    trace.show(all.get(Day.Kind.HOTTEST.ordinal()));
    days.show(all);
    Forecast f = forecast;
    if (f != null) {
      fourDays.show(f.design().duty(), all);
    }
  }

  private static String fullEffort(Forecast f) {
    double current = f.design().duty().machine().fullEffortCurrent();
    OptionalDouble limit = f.thermal().timeToLimit();
    String heat =
        limit.isPresent()
            ? "reaches the cells' limit after " + Figures.duration(limit.getAsDouble())
            : "does not reach the cells' temperature limit before the pack ends";
    String braking =
        f.duty().totals().regenerated() > 0
            ? " Braking gives back %s."
                .formatted(Figures.of(f.duty().totals().energyBack(), Unit.WATT_HOUR))
            : "";
    return "Full effort (%s) in the hottest air %s.%s"
        .formatted(Figures.of(current, Unit.AMPERE), heat, braking);
  }
}
