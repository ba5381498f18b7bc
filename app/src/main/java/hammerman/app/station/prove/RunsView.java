package hammerman.app.station.prove;

import hammerman.app.control.Beside;
import hammerman.app.control.Column;
import hammerman.app.control.LogPanel;
import hammerman.app.control.PlainButton;
import hammerman.app.control.RecordTable;
import hammerman.app.control.Words;
import hammerman.app.station.Bench;
import hammerman.app.station.prove.ProveState.Row;
import hammerman.record.Fact.Strike;
import hammerman.record.Run;
import hammerman.record.RunCondition;
import hammerman.record.RunResult;
import hammerman.record.RunSheet;
import hammerman.unit.Figures;
import hammerman.unit.Unit;
import java.time.Clock;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import javafx.scene.control.Button;
import javafx.scene.layout.Priority;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import org.jspecify.annotations.Nullable;

/**
 * The runs: a list, and the one chosen with its log over the forecast and what was written down.
 */
final class RunsView extends StackPane {
  /** The list takes no more than it needs; the run is what is looked at. */
  private static final double LIST = 400;

  private static final DateTimeFormatter TIME =
      DateTimeFormatter.ofPattern("d MMM yyyy", Locale.ENGLISH);

  /** The least width of the list, px; what does not fit of it scrolls. */
  private final ProveState state;

  private final RecordTable<Row> table;
  private final LogPanel importer;
  private final Button season;

  RunsView(Bench bench, ProveState state) {
    this.state = state;
    table =
        new RecordTable<>(
            "runs",
            "the runs",
            "No run yet. Take in a log, or type what you noted: start voltage, peak current, lowest"
                + " voltage, energy, distance.",
            List.of(
                Column.<Row>words("Run", 126, r -> r.run().value().name())
                    .styled(r -> r.counts() ? "" : "warn")
                    .inLines(),
                Column.<Row>words(
                        "When", 92, r -> TIME.format(r.run().at().atZone(ZoneId.systemDefault())))
                    .ordered(Comparator.comparing(r -> r.run().at())),
                figure("Energy", 76, RunResult.ENERGY),
                figure("Lowest", 58, RunResult.LOWEST_VOLTAGE),
                Column.figures(
                    "Air",
                    64,
                    r -> air(r.run().value().sheet()),
                    Comparator.comparingDouble(
                        r -> r.run().value().sheet().figure(RunCondition.AIR).orElse(0))),
                Column.<Row>words(
                        "Struck", 62, r -> r.run().strike().map(Strike::reason).orElse(""))
                    .inLines()));
    table.setMinHeight(150);
    VBox.setVgrow(table, Priority.ALWAYS);
    table.chosenProperty().addListener((o, was, is) -> chosen(is));
    importer =
        new LogPanel(
            bench.session(),
            bench.settings(),
            bench.files(),
            "Take it in",
            (run, log) -> state.chooseSoon(run));
    season =
        new PlainButton("Take the season of this example", "example-season", state::takeSeason);
    Button typed = new PlainButton("Type a run", "type-run", this::type);
    importer.beside(typed, season);
    Words caution =
        Words.caution(
            "A first full run is at low effort, on level ground, with someone by; local rules say"
                + " where it may be used.");
    VBox list = new VBox(8, table, caution);
    list.setPrefWidth(LIST);
    Beside runs = new Beside(list, new RunPanel(bench, state));
    VBox.setVgrow(runs, Priority.ALWAYS);
    getChildren().add(new VBox(8, importer, runs));
    state.shownProperty().addListener((o, was, is) -> show(is));
    state
        .chosenProperty()
        .addListener(
            (o, was, is) -> {
              if (is != null) {
                table.choose(is);
              }
            });
    show(state.shown());
  }

  private static Column<Row> figure(String head, double width, RunResult r) {
    return Column.figures(
        head,
        width,
        row ->
            row.run().value().sheet().result(r).stream()
                .mapToObj(v -> Figures.of(v, r.unit()))
                .findFirst()
                .orElse(""),
        Comparator.comparingDouble(row -> row.run().value().sheet().result(r).orElse(-1)));
  }

  private static String air(RunSheet s) {
    var air = s.figure(RunCondition.AIR);
    return air.isPresent() ? Figures.of(air.getAsDouble(), Unit.CELSIUS, 0) : "";
  }

  private void chosen(@Nullable Row row) {
    if (row != null) {
      state.choose(row);
    }
  }

  private void show(ProveState.Shown s) {
    table.show(s.runs());
    boolean example = s.runs().isEmpty() && state.example().isPresent();
    season.setVisible(example);
    season.setManaged(example);
    Row now = state.chosenProperty().get();
    if (now != null) {
      table.choose(now);
    }
  }

  private void type() {
    Clock clock = state.session().keeper().clock();
    String name = "Run of " + TIME.format(clock.instant().atZone(ZoneId.systemDefault()));
    state
        .session()
        .keeper()
        .record(
            store ->
                store
                    .runBook()
                    .typed(
                        Run.typed(name, RunSheet.NOTHING),
                        store.design().presentState(),
                        clock.instant()),
            id -> {
              state.chooseSoon(id);
              state.say("Type what you noted; what you leave empty is not known.");
            },
            t -> state.say(t.why()));
  }
}
