package hammerman.app.station.prove;

import hammerman.app.control.Form;
import hammerman.app.control.PlainButton;
import hammerman.app.control.QuantityField;
import hammerman.app.control.TypedField;
import hammerman.app.control.Words;
import hammerman.app.station.Bench;
import hammerman.app.station.Page;
import hammerman.app.station.prove.ProveState.Row;
import hammerman.record.Fact.Strike;
import hammerman.record.Run;
import hammerman.record.RunCondition;
import hammerman.record.RunResult;
import hammerman.record.RunSheet;
import hammerman.unit.Figures;
import hammerman.unit.Unit;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import org.jspecify.annotations.Nullable;

/** The run chosen: its log over the forecast, under what it was done, and what it gave. */
final class RunPanel extends VBox {
  private final ProveState state;
  private final Label title = Page.heading("No run chosen");
  private final Words against = new Words("answer", "run-against");
  private final LogView log;
  private final GridPane conditions = grid();
  private final GridPane results = grid();
  private final FlowPane forms = new FlowPane(24, 12);
  private final VBox own = new VBox(3);
  private final List<Runnable> fillers = new ArrayList<>();
  private final TextField ownName = new TextField();
  private final TextField ownValue = new TextField();
  private final TextField reason = new TextField();
  private final VBox whole;

  RunPanel(Bench bench, ProveState state) {
    super(6);
    this.state = state;
    setMinSize(320, 300);
    log = new LogView(bench.session().keeper(), state);
    words("Name", Run::name, Run::withName);
    for (RunCondition c : RunCondition.values()) {
      Unit unit = c.unit();
      if (unit == null) {
        words(
            c.label(),
            r -> r.sheet().words().getOrDefault(c, ""),
            (r, text) -> r.withSheet(r.sheet().withWords(c, text)));
      } else {
        figure(
            conditions,
            "condition",
            c.label(),
            unit,
            r -> r.sheet().figures().get(c),
            (r, v) -> r.withSheet(r.sheet().withFigure(c, v)));
      }
    }
    words("Notes", Run::notes, Run::withNotes);
    words(
        "Photos, by name",
        r -> String.join("; ", r.sheet().photos()),
        (r, text) -> r.withSheet(r.sheet().withPhotos(names(text))));
    for (RunResult r : RunResult.values()) {
      figure(
          results,
          "result",
          r.label(),
          r.unit(),
          run -> run.sheet().results().get(r),
          (run, v) -> run.withSheet(run.sheet().withResult(r, v)));
    }
    prompt(ownName, "own-name", "Own condition, such as pressure");
    prompt(ownValue, "own-value", "with its unit");
    ownValue.setOnAction(e -> addOwn());
    HBox ownRow = new HBox(6, ownName, ownValue, new PlainButton("Add", "add-own", this::addOwn));
    prompt(reason, "strike-reason", "Why it does not count");
    HBox strike = new HBox(6, reason, new PlainButton("Strike it out", "strike-run", this::strike));
    HBox.setHgrow(reason, Priority.ALWAYS);
    VBox under = new VBox(6, Page.heading("Under what it was done"), conditions, own, ownRow);
    VBox gave = new VBox(6, Page.heading("What it gave"), results);
    under.setPrefWidth(330);
    gave.setPrefWidth(270);
    forms.getChildren().addAll(under, gave);
    log.setMinHeight(230);
    log.setPrefHeight(300);
    whole = new VBox(8, against, log, forms, strike);
    ScrollPane scroll = new ScrollPane(whole);
    scroll.setFitToWidth(true);
    scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
    VBox.setVgrow(scroll, Priority.ALWAYS);
    scroll.visibleProperty().bind(whole.visibleProperty());
    scroll.managedProperty().bind(whole.visibleProperty());
    Label good =
        new Label(
            "A run is worth comparing when it says under what it was done. Let the pack rest for"
                + " some minutes with the logger on before you start, so that its first voltage"
                + " tells the charge. Log voltage and current once a second or more often. Write"
                + " down the air, the course, the load carried, the wire and the controller's"
                + " settings. Change one thing at a time, and run twice without changing any: that"
                + " is your scatter.");
    good.getStyleClass().add("answer");
    good.setWrapText(true);
    good.setMinHeight(USE_PREF_SIZE);
    good.visibleProperty().bind(whole.visibleProperty().not());
    good.managedProperty().bind(good.visibleProperty());
    getChildren().addAll(title, good, scroll);
    state.chosenProperty().addListener((o, was, is) -> show(is));
    state.logProperty().addListener((o, was, is) -> against(is));
    show(state.chosenProperty().get());
  }

  /** Names of files parted by semicolons, which a name of one may have least of all. */
  private static List<String> names(String text) {
    return Arrays.stream(text.split(";", -1))
        .map(String::strip)
        .filter(n -> !n.isEmpty())
        .distinct()
        .toList();
  }

  private static void prompt(TextField field, String id, String words) {
    field.setId(id);
    field.setPromptText(words);
    field.setAccessibleText(words);
  }

  private static GridPane grid() {
    GridPane grid = new GridPane();
    grid.setHgap(8);
    grid.setVgap(3);
    return grid;
  }

  private interface Reader<T> {
    @Nullable T of(Run run);
  }

  private interface WordWriter {
    Run to(Run run, String value);
  }

  private interface FigureWriter {
    Run to(Run run, @Nullable Double value);
  }

  private void words(String name, Reader<String> read, WordWriter write) {
    TypedField field = new TypedField(name, text -> state.describe(r -> write.to(r, text.strip())));
    field.setId("run-" + Form.id(name));
    fillers.add(
        () -> {
          Row chosen = state.chosenProperty().get();
          String text = chosen == null ? "" : read.of(chosen.run().value());
          field.show(text == null ? "" : text);
        });
    GridPane.setHgrow(field, Priority.ALWAYS);
    field.setMaxWidth(Double.MAX_VALUE);
    row(conditions, name, field, "");
  }

  private void figure(
      GridPane grid, String kind, String name, Unit unit, Reader<Double> read, FigureWriter write) {
    QuantityField field =
        new QuantityField(
            name,
            unit,
            true,
            v -> {
              String refused = state.describe(r -> write.to(r, v));
              if (!refused.isEmpty()) {
                state.say(refused);
              }
            });
    field.setId(kind + "-" + Form.id(name));
    field.setPrefWidth(86);
    fillers.add(
        () -> {
          Row chosen = state.chosenProperty().get();
          field.show(chosen == null ? null : rounded(read.of(chosen.run().value()), unit));
        });
    row(grid, name, field, unit.symbol());
  }

  /** Four digits are enough to read, and to type again. */
  private static @Nullable Double rounded(@Nullable Double core, Unit unit) {
    if (core == null) {
      return null;
    }
    double shown = unit.fromCore(core);
    double step = Math.pow(10, Math.floor(Math.log10(Math.max(1e-9, Math.abs(shown)))) - 3);
    return unit.toCore(Math.rint(shown / step) * step);
  }

  private static void row(GridPane grid, String name, TypedField field, String unit) {
    Label label = new Label(name);
    label.getStyleClass().add("field-label");
    label.setMinWidth(USE_PREF_SIZE);
    label.setLabelFor(field);
    Words complaint = Words.complaint(field.complaintProperty());
    int at = grid.getRowCount();
    grid.add(label, 0, at);
    if (unit.isEmpty()) {
      grid.add(field, 1, at, 2, 1);
    } else {
      Label symbol = new Label(unit);
      symbol.getStyleClass().add("fact-name");
      grid.add(field, 1, at);
      grid.add(symbol, 2, at);
    }
    grid.add(complaint, 0, at + 1, 3, 1);
  }

  private void show(@Nullable Row row) {
    whole.setVisible(row != null);
    fillers.forEach(Runnable::run);
    own.getChildren().clear();
    if (row == null) {
      title.setText("No run chosen");
      return;
    }
    title.setText(row.run().value().name());
    log.setVisible(row.samples() > 0);
    log.setManaged(row.samples() > 0);
    for (Map.Entry<String, String> e : row.run().value().sheet().own().entrySet()) {
      own.getChildren()
          .add(
              new HBox(
                  8,
                  label(e.getKey(), "field-label"),
                  label(e.getValue(), "fact-value"),
                  new PlainButton(
                      "Remove",
                      "remove-own-" + Form.id(e.getKey()),
                      () -> sheet(s -> s.withOwn(e.getKey(), "")))));
    }
    against(state.logProperty().get());
  }

  private static Label label(String text, String style) {
    Label l = new Label(text);
    l.getStyleClass().add(style);
    return l;
  }

  private interface Change {
    RunSheet of(RunSheet sheet);
  }

  private void sheet(Change change) {
    String refused = state.describe(r -> r.withSheet(change.of(r.sheet())));
    state.say(refused);
  }

  private void addOwn() {
    String name = ownName.getText().strip();
    String value = ownValue.getText().strip();
    if (name.isEmpty() || value.isEmpty()) {
      state.say("An own condition needs a name and what it was.");
      return;
    }
    sheet(s -> s.withOwn(name, value));
    ownName.clear();
    ownValue.clear();
  }

  private void against(ProveState.@Nullable Log l) {
    Row row = state.chosenProperty().get();
    if (row == null) {
      against.setText("");
      return;
    }
    if (l == null || l.row().id() != row.id()) {
      against.setText(
          row.samples() > 0
              ? "The forecast of this load is being worked out."
              : "Without a log only what is typed is known; no forecast lies beside it.");
      return;
    }
    double measured = row.run().value().sheet().result(RunResult.LOWEST_VOLTAGE).orElse(Double.NaN);
    double forecast = l.replay().run().extremes().lowestVoltage();
    double rms = l.replay().rms(l.replay().run());
    String lowest =
        Double.isNaN(measured)
            ? ""
            : " Lowest %s, forecast %s."
                .formatted(Figures.of(measured, Unit.VOLT, 1), Figures.of(forecast, Unit.VOLT, 1));
    against.setText(
        "The log lies %s from the forecast of the same load, root mean square.%s%s"
            .formatted(
                Figures.of(rms, Unit.VOLT, 2),
                lowest,
                l.replay().fromRest()
                    ? " It began at rest, %s full."
                        .formatted(Figures.of(l.replay().startSoc(), Unit.PERCENT, 0))
                    : " It did not begin at rest, so its charge at the start is a guess."));
  }

  private void strike() {
    Row row = state.chosenProperty().get();
    if (row == null || reason.getText().isBlank()) {
      state.say("Say why the run does not count; its log stays all the same.");
      return;
    }
    Strike strike = new Strike(state.now(), reason.getText().strip());
    reason.clear();
    state.record(
        "Struck out; it stays in the record with its reason.",
        store -> {
          store.runBook().strike(row.id(), strike);
          return true;
        });
  }
}
