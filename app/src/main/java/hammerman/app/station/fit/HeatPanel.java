package hammerman.app.station.fit;

import hammerman.app.control.ActTable;
import hammerman.app.control.Facts;
import hammerman.app.control.Form;
import hammerman.app.job.Latest;
import hammerman.app.station.Page;
import hammerman.finding.Station;
import hammerman.fit.Filling;
import hammerman.fit.FitPlan;
import hammerman.forecast.CellTemperatures;
import hammerman.forecast.Forecast;
import hammerman.heat.HeatMap;
import hammerman.unit.Figures;
import hammerman.unit.Unit;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.OptionalDouble;
import javafx.scene.control.Label;
import javafx.scene.control.Slider;
import javafx.scene.layout.VBox;
import org.jspecify.annotations.Nullable;

/** How warm each cell gets through the duty, when, and what would change it. */
final class HeatPanel extends VBox {
  private final FitState state;
  private final Facts facts = new Facts("fact-name", "fact-value");
  private final ActTable changes = new ActTable("fit-changes");
  private final Slider slider = new Slider(0, 1, 1);
  private final Label moment = new Label();
  private final Latest warming = Latest.ofDetails("heat of the layout");
  private final Latest comparing = Latest.ofDetails("other ways to cool");
  private @Nullable Forecast warmed;
  private @Nullable Forecast compared;

  HeatPanel(FitState state) {
    super(8);
    this.state = state;
    slider.setId("heat-time");
    slider.setAccessibleText("Moment of the duty");
    slider.setBlockIncrement(1);
    slider
        .valueProperty()
        .addListener(
            (o, was, is) -> {
              if (Math.rint(is.doubleValue()) != state.frame() && slider.isFocused()) {
                state.frame((int) Math.rint(is.doubleValue()));
              }
            });
    slider.setOnMousePressed(e -> slider.requestFocus());
    moment.setId("heat-moment");
    moment.getStyleClass().add("answer");
    facts.setId("heat-facts");
    Form form = new Form(state.session(), Station.FIT, 132, 66);
    form.choiceWhen(
        FitState::has,
        "Between",
        List.of(Filling.values()),
        Filling::label,
        p -> FitState.plan(p).filling(),
        FitState.writing(FitPlan::withFilling));
    getChildren()
        .addAll(
            Page.heading("Through the duty, in the hottest air"),
            slider,
            moment,
            facts,
            form.node(),
            Page.heading("What would change it"),
            changes);
    state.follow(this::follow);
  }

  /** Works the temperatures of a forecast out, unless they are those at hand. */
  void warm(Forecast f) {
    if (!Objects.equals(warmed, f)) {
      warmed = f;
      warming.submit(() -> CellTemperatures.of(f), w -> state.temperatures(w.orElse(null)));
    }
  }

  /** Works out what would change them; only while this is looked at. */
  void compare() {
    Forecast f = state.forecast().orElse(null);
    if (f == null || Objects.equals(compared, f)) {
      return;
    }
    compared = f;
    changes.show(List.of("Being worked out …"), List.of());
    comparing.submit(() -> CellTemperatures.changes(f), this::show);
  }

  private void show(List<CellTemperatures.Change> found) {
    changes.show(
        List.of("", "Hottest", "Spread"),
        found.stream()
            .map(
                c -> {
                  List<String> texts =
                      List.of(
                          c.what(),
                          Figures.of(c.map().hottest(), Unit.CELSIUS, 1),
                          Figures.of(c.map().spread(), Unit.KELVIN, 1));
                  return c.plan()
                      .map(
                          p ->
                              new ActTable.Row(texts, "Take", () -> state.edit(c.what(), now -> p)))
                      .orElse(ActTable.Row.of(texts));
                })
            .toList());
  }

  private void follow() {
    CellTemperatures w = state.temperatures().orElse(null);
    slider.setDisable(w == null);
    if (w == null) {
      moment.setText("Temperatures are being worked out.");
      return;
    }
    HeatMap map = w.map();
    int frame = state.frame();
    slider.setMax(map.frames().size() - 1);
    if (!slider.isFocused()) {
      slider.setValue(frame);
    }
    double[] range = HeatMap.range(map.frames().get(frame));
    moment.setText(
        "After %s: %s to %s."
            .formatted(
                Figures.duration(map.time()[frame]),
                Figures.of(range[0], Unit.CELSIUS, 1),
                Figures.of(range[1], Unit.CELSIUS, 1)));
    List<List<String>> rows = new ArrayList<>();
    rows.add(
        List.of(
            "Hottest, in group " + (state.group(map.hottestPlace()) + 1),
            Figures.of(map.hottest(), Unit.CELSIUS, 1)));
    rows.add(List.of("That is after", Figures.duration(map.hottestTime())));
    rows.add(List.of("Most between two cells", Figures.of(map.spread(), Unit.KELVIN, 1)));
    rows.add(
        List.of(
            "Full effort until the limit",
            state
                .forecast()
                .map(f -> f.thermal().timeToLimit())
                .filter(OptionalDouble::isPresent)
                .map(s -> Figures.duration(s.getAsDouble()))
                .orElse("the pack ends first")));
    rows.add(List.of("Life of the hottest cell", Figures.fixed(w.hottestYears(), 2) + " years"));
    rows.add(List.of("Life of the coolest cell", Figures.fixed(w.coolestYears(), 2) + " years"));
    facts.show(rows);
  }
}
