package hammerman.app.station.prove;

import hammerman.app.control.Column;
import hammerman.app.control.EmptyCard;
import hammerman.app.control.Facts;
import hammerman.app.control.PlainButton;
import hammerman.app.control.RecordTable;
import hammerman.app.control.Words;
import hammerman.app.job.Latest;
import hammerman.app.station.Page;
import hammerman.app.station.prove.ProveState.Log;
import hammerman.app.station.prove.ProveState.Row;
import hammerman.design.Design;
import hammerman.finding.Station;
import hammerman.forecast.Forecast;
import hammerman.forecast.Reach;
import hammerman.prove.Accepted;
import hammerman.prove.Calibration;
import hammerman.prove.Calibration.Scale;
import hammerman.record.CalibrationRecord;
import hammerman.record.CalibrationRecord.Scaled;
import hammerman.record.Fact;
import hammerman.unit.Figures;
import hammerman.unit.Unit;
import java.time.Instant;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import org.jspecify.annotations.Nullable;

/** The scales that fit the chosen run's log best, what they would change, and what was decided. */
final class CalibrateView extends StackPane {
  private static final DateTimeFormatter WHEN =
      DateTimeFormatter.ofPattern("d MMM yyyy, HH:mm", Locale.ENGLISH);

  private final ProveState state;
  private final Latest working = Latest.ofDetails("calibrated forecast");
  private final ToggleButton alone = new ToggleButton("This log");
  private final ToggleButton together = new ToggleButton("All logs like it");
  private final Words which = new Words("answer", "calibrate-which");
  private final Words scales = new Words("verdict-line", "calibrate-scales");
  private final Words notTold = new Words("answer", "calibrate-not-told");
  private final CheckBox resistance = new CheckBox("Take the resistance");
  private final CheckBox capacity = new CheckBox("Take the capacity");
  private final Facts changes = new Facts("fact-name", "fact-value", "fact-value");
  private final ResidualPicture residuals = new ResidualPicture();

  /** What is said of the log chosen. */
  private final VBox fitted = new VBox(8);

  private final PlainButton accept = new PlainButton("Accept", "accept-scales", this::accept);
  private final PlainButton decline = new PlainButton("Decline", "decline-scales", this::decline);
  private final RecordTable<Fact<CalibrationRecord>> history =
      new RecordTable<Fact<CalibrationRecord>>(
              "scales",
              "what was decided",
              "Nothing was accepted or declined yet; forecasts are by the design alone.",
              List.of(
                  Column.<Fact<CalibrationRecord>>words(
                          "When", 136, f -> WHEN.format(f.at().atZone(ZoneId.systemDefault())))
                      .ordered(Comparator.comparing(Fact::at)),
                  Column.words("Scale of", 90, f -> f.value().quantity().label()),
                  Column.figures(
                      "Times",
                      64,
                      f -> Figures.fixed(f.value().scale(), 3),
                      Comparator.comparingDouble(f -> f.value().scale())),
                  Column.figures(
                      "Error",
                      64,
                      f -> "± " + Figures.fixed(1.96 * f.value().uncertainty(), 3),
                      Comparator.comparingDouble(f -> f.value().uncertainty())),
                  Column.<Fact<CalibrationRecord>>words(
                          "Decided", 90, f -> f.value().accepted() ? "accepted" : "declined")
                      .styled(f -> f.value().accepted() ? "good" : "")))
          .withoutFilter();

  /**
   * What may be accepted.
   *
   * @param resistance scale of resistance, if it is told
   * @param capacity scale of capacity, if it is told
   * @param runs whose logs tell it
   */
  private record Told(Optional<Scale> resistance, Optional<Scale> capacity, List<Row> runs) {}

  /**
   * @param toRuns shows the runs, to choose one
   */
  CalibrateView(ProveState state, Runnable toRuns) {
    this.state = state;
    ToggleGroup of = new ToggleGroup();
    for (ToggleButton b : List.of(alone, together)) {
      b.getStyleClass().add("segment");
      b.setToggleGroup(of);
      b.setOnAction(e -> show(state.logProperty().get()));
    }
    alone.setId("calibrate-alone");
    together.setId("calibrate-together");
    alone.setSelected(true);
    for (Label l : List.of(which, scales, notTold)) {
      l.setMaxWidth(900);
    }
    resistance.setId("take-resistance");
    capacity.setId("take-capacity");
    accept.getStyleClass().add("act");
    changes.setId("calibrate-changes");
    FlowPane take = new FlowPane(12, 4, resistance, capacity, accept, decline);
    resistance.selectedProperty().addListener((o, was, is) -> preview());
    capacity.selectedProperty().addListener((o, was, is) -> preview());
    residuals.setMinHeight(130);
    residuals.setPrefHeight(170);
    VBox.setVgrow(residuals, Priority.SOMETIMES);
    history.setMinHeight(120);
    history.setPrefHeight(150);
    fitted
        .getChildren()
        .addAll(
            scales,
            notTold,
            take,
            changes,
            Page.heading("What is left between log and forecast"),
            residuals);
    VBox.setVgrow(fitted, Priority.SOMETIMES);
    fitted.managedProperty().bind(fitted.visibleProperty());
    EmptyCard card =
        new EmptyCard(
            "The design's resistance and capacity are scaled until the forecast of a log's own"
                + " current meets its voltage best. Starts and stops tell the resistance; a run"
                + " through a third of the charge or more tells the capacity, best from full.",
            EmptyCard.act("Choose a run", "calibrate-runs", toRuns));
    card.visibleProperty().bind(fitted.visibleProperty().not());
    VBox.setVgrow(history, Priority.ALWAYS);
    getChildren()
        .add(
            new VBox(
                8,
                new HBox(alone, together),
                which,
                card,
                fitted,
                Page.heading("What was decided"),
                history));
    state.logProperty().addListener((o, was, is) -> show(is));
    state
        .fitsProperty()
        .addListener(
            (o, was, is) -> {
              if (together.isSelected()) {
                show(state.logProperty().get());
              }
            });
    state.shownProperty().addListener((o, was, is) -> history.show(is.scales().reversed()));
    history.show(state.shown().scales().reversed());
    show(state.logProperty().get());
  }

  private @Nullable Calibration fit() {
    Log l = state.logProperty().get();
    return l == null ? null : l.fit().orElse(null);
  }

  /** What the log tells, or all logs of the same pack and wire. */
  private @Nullable Told told() {
    Log l = state.logProperty().get();
    Calibration c = fit();
    if (l == null || c == null) {
      return null;
    }
    List<Row> like = together.isSelected() ? state.fittedLike(l.row()) : List.of();
    if (like.size() < 2) {
      return new Told(c.resistanceTold(), c.capacityTold(), List.of(l.row()));
    }
    Map<Long, Calibration> fits = state.fitsProperty().get();
    List<Calibration> all =
        like.stream().map(r -> Objects.requireNonNull(fits.get(r.id()))).toList();
    return new Told(
        together(all, Calibration::resistanceTold), together(all, Calibration::capacityTold), like);
  }

  /** What those logs tell together that tell it at all. */
  private static Optional<Scale> together(
      List<Calibration> all, Function<Calibration, Optional<Scale>> of) {
    List<Scale> told = all.stream().flatMap(c -> of.apply(c).stream()).toList();
    return told.isEmpty() ? Optional.empty() : Optional.of(Scale.together(told));
  }

  private void show(@Nullable Log l) {
    Calibration c = fit();
    Told told = told();
    boolean has = c != null && told != null;
    for (var n : List.of(resistance, capacity, accept, decline)) {
      n.setDisable(!has);
    }
    fitted.setVisible(has);
    residuals.show(l);
    if (l == null || c == null || told == null) {
      which.setText(
          l == null
              ? "No run with a log is chosen."
              : "The log of “%s” fits nothing: it has too few voltages, or is of another pack."
                  .formatted(l.row().run().value().name()));
      scales.setText("");
      notTold.setText("");
      changes.show(List.of());
      return;
    }
    which.setText(
        told.runs().size() > 1
            ? "From %d logs of the same pack and wire: %s."
                .formatted(
                    told.runs().size(),
                    told.runs().stream()
                        .map(r -> "“%s”".formatted(r.run().value().name()))
                        .collect(Collectors.joining(", ")))
            : "From “%s”: %s samples over %s of the charge. %s before, %s with both scales, root mean square.%s"
                .formatted(
                    l.row().run().value().name(),
                    Figures.number(c.samples()),
                    Figures.of(c.used(), Unit.PERCENT, 0),
                    Figures.of(c.before(), Unit.VOLT, 3),
                    Figures.of(c.rms(), Unit.VOLT, 3),
                    together.isSelected() ? " No other log is of the same pack and wire." : ""));
    scales.setText(
        "Times the design's, 95 %% certain: resistance %s, capacity %s."
            .formatted(words(told.resistance()), words(told.capacity())));
    boolean several = told.runs().size() > 1;
    notTold.setText(several ? "" : Figures.unbroken(String.join(" ", c.notTold())));
    resistance.setDisable(told.resistance().isEmpty());
    capacity.setDisable(told.capacity().isEmpty());
    decline.setDisable(told.resistance().isEmpty() && told.capacity().isEmpty());
    resistance.setSelected(told.resistance().filter(Scale::differs).isPresent());
    capacity.setSelected(told.capacity().filter(Scale::differs).isPresent());
    preview();
  }

  private static String words(Optional<Scale> scale) {
    return scale.map(Scale::words).orElse("not told");
  }

  private static double taken(CheckBox box, Optional<Scale> scale) {
    return box.isSelected() ? scale.map(Scale::value).orElse(1.0) : 1;
  }

  private @Nullable Design accepted() {
    Told c = told();
    Forecast f = state.forecast();
    return c == null || f == null
        ? null
        : Accepted.by(f.design(), taken(capacity, c.capacity()), taken(resistance, c.resistance()));
  }

  private void preview() {
    Forecast now = state.forecast();
    Design as = accepted();
    accept.setDisable(as == null || (!resistance.isSelected() && !capacity.isSelected()));
    if (now == null || as == null) {
      return;
    }
    working.submit(
        () -> Forecast.of(as), then -> changes(now, then), e -> state.say(Latest.inWords(e)));
  }

  private void changes(Forecast now, Forecast then) {
    var before = now.reach();
    var after = then.reach();
    changes.show(
        List.of(
            List.of("What it changes", "now", "then"),
            List.of(
                "Capacity of the pack",
                Figures.of(now.design().pack().capacity(), Unit.AMPERE_HOUR),
                Figures.of(then.design().pack().capacity(), Unit.AMPERE_HOUR)),
            List.of(
                "Until it ends, typical day",
                Reach.time(before.typical()),
                Reach.time(after.typical())),
            List.of(
                "Lowest voltage in the duty",
                Figures.of(now.duty().extremes().lowestVoltage(), Unit.VOLT, 1),
                Figures.of(then.duty().extremes().lowestVoltage(), Unit.VOLT, 1)),
            List.of(
                "Hottest cell in the duty",
                Figures.of(now.own().extremes().peakTemperature(), Unit.CELSIUS, 0),
                Figures.of(then.own().extremes().peakTemperature(), Unit.CELSIUS, 0)),
            List.of(
                "Life",
                Figures.of(now.life().years(), Unit.ONE, 1) + " years",
                Figures.of(then.life().years(), Unit.ONE, 1) + " years")));
  }

  private void accept() {
    Design as = accepted();
    if (as != null) {
      keep(true);
      state.session().editDesign("Accept what the log says", Station.PROVE, d -> as);
      state.say("Every forecast now counts with it. Undo takes it back; the record stays.");
    }
  }

  private void decline() {
    keep(false);
    state.say("Declined; nothing changes, and the record says so.");
  }

  private void keep(boolean yes) {
    Told c = told();
    if (c == null) {
      return;
    }
    List<Long> runs = c.runs().stream().map(Row::id).toList();
    Instant now = state.now();
    List<CalibrationRecord> all = new ArrayList<>();
    c.resistance()
        .ifPresent(
            s -> all.add(record(Scaled.RESISTANCE, s, runs, yes && resistance.isSelected())));
    c.capacity()
        .ifPresent(s -> all.add(record(Scaled.CAPACITY, s, runs, yes && capacity.isSelected())));
    state
        .session()
        .keeper()
        .record(store -> store.proofBook().keep(all, now), ids -> {}, t -> state.say(t.why()));
  }

  private static CalibrationRecord record(
      Scaled quantity, Scale scale, List<Long> runs, boolean accepted) {
    return new CalibrationRecord(quantity, scale.value(), scale.error(), runs, accepted);
  }
}
