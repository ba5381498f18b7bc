package hammerman.app.station.duty;

import hammerman.app.control.Beside;
import hammerman.app.control.RecordTable;
import hammerman.app.control.RecordTable.Column;
import hammerman.app.session.Keeper;
import hammerman.app.station.duty.RunPicture.Stretch;
import hammerman.record.Fact;
import hammerman.record.Fact.Strike;
import hammerman.record.Run;
import hammerman.record.Run.Channel;
import hammerman.record.Trace;
import hammerman.store.NotKept;
import hammerman.store.ProjectStore;
import hammerman.unit.Figures;
import java.time.Clock;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.TreeSet;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import org.jspecify.annotations.Nullable;

/** The logs that were taken in, whole: a list, and the picture of the one chosen. */
final class RunsView extends StackPane {
  private static final int MOST_LISTED = 2000;
  private static final int MOST_DRAWN = 4;
  private static final DateTimeFormatter TIME =
      DateTimeFormatter.ofPattern("d MMM yyyy HH:mm", Locale.ENGLISH);

  private final Keeper keeper;
  private final Clock clock = Clock.systemUTC();
  private final RecordTable<Row> table;
  private final FlowPane channels = new FlowPane(10, 4);
  private final TextField reason = new TextField();
  private final Label said = new Label();
  private final RunPicture picture = new RunPicture(this::window);
  private final TreeSet<Integer> drawn = new TreeSet<>();
  private @Nullable Row shown;
  private long request;

  /** A run and how long its log is. */
  private record Row(Fact<Run> run, long samples) {}

  RunsView(Keeper keeper) {
    this.keeper = keeper;
    table =
        new RecordTable<>(
            "runs",
            "the runs",
            "No log yet. Take one in at Task, From a log; it is kept whole, with all its channels.",
            List.of(
                Column.words("Run", 100, r -> r.run().value().name()),
                Column.<Row>words(
                        "Taken in",
                        120,
                        r -> TIME.format(r.run().at().atZone(ZoneId.systemDefault())))
                    .ordered(Comparator.comparing(r -> r.run().at())),
                Column.figures(
                    "Samples",
                    74,
                    r -> Figures.fixed((double) r.samples(), 0),
                    Comparator.comparingLong(Row::samples)),
                Column.words(
                    "Struck out", 82, r -> r.run().strike().map(Strike::reason).orElse(""))));
    table.setPrefWidth(430);
    table.setMinSize(384, 160);
    table.chosenProperty().addListener((o, was, is) -> choose(is));
    reason.setPromptText("Why it does not count");
    reason.setId("strike-reason");
    reason.setAccessibleText("Why this run does not count");
    HBox.setHgrow(reason, Priority.ALWAYS);
    Button strike = new Button("Strike it out");
    strike.setId("strike-run");
    strike.getStyleClass().add("plain");
    strike.setMinWidth(Button.USE_PREF_SIZE);
    strike.setOnAction(e -> strike());
    said.setId("runs-said");
    said.getStyleClass().add("answer");
    said.setMinHeight(Region.USE_PREF_SIZE);
    said.managedProperty().bind(said.textProperty().isNotEmpty());
    VBox list = new VBox(6, table, new HBox(8, reason, strike), said);
    VBox.setVgrow(table, Priority.ALWAYS);
    VBox.setVgrow(picture, Priority.ALWAYS);
    Label keys = new Label("Wheel or + and − zoom, drag or arrows move, Home shows all.");
    keys.getStyleClass().add("fact-name");
    keys.setWrapText(true);
    keys.setMinHeight(Region.USE_PREF_SIZE);
    keys.visibleProperty().bind(table.chosenProperty().isNotNull());
    VBox right = new VBox(6, channels, picture, keys);
    picture.setMinSize(230, 250);
    getChildren().add(new Beside(list, right));
    picture.widthProperty().addListener((o, was, is) -> again());
  }

  /** Reads the list of runs anew, if the project has a file. */
  void refresh() {
    if (keeper.keptProperty().get().file() == null) {
      table.show(List.of());
      return;
    }
    keeper.records(RunsView::rows, table::show, trouble -> said.setText(trouble.why()));
  }

  private static List<Row> rows(ProjectStore store) throws NotKept {
    List<Row> rows = new ArrayList<>();
    for (Fact<Run> run : store.runBook().runs(0, MOST_LISTED)) {
      rows.add(new Row(run, store.runBook().samples(run.id())));
    }
    return rows;
  }

  private void choose(@Nullable Row row) {
    shown = row;
    drawn.clear();
    channels.getChildren().clear();
    picture.show(null);
    if (row == null) {
      return;
    }
    List<Channel> all = row.run().value().channels();
    for (int c = 1; c < all.size(); c++) {
      int channel = c;
      CheckBox tick = new CheckBox(all.get(c).name());
      tick.setId("channel-" + c);
      tick.setSelected(c <= Math.min(3, all.size() - 1));
      if (tick.isSelected()) {
        drawn.add(c);
      }
      tick.setOnAction(
          e -> {
            drawn.remove(channel);
            if (tick.isSelected() && drawn.size() < MOST_DRAWN) {
              drawn.add(channel);
            }
            tick.setSelected(drawn.contains(channel));
            again();
          });
      channels.getChildren().add(tick);
    }
    window(0, row.samples());
  }

  private long from;
  private long to;

  private void again() {
    if (shown != null) {
      window(from, to);
    }
  }

  private void window(long first, long end) {
    Row row = shown;
    if (row == null) {
      return;
    }
    from = first;
    to = end;
    long mine = ++request;
    int slots = picture.slots();
    List<Integer> which = List.copyOf(drawn);
    keeper.records(
        store -> stretch(store, row, which, first, end, slots),
        made -> {
          if (mine == request && row.equals(shown)) {
            picture.show(made);
          }
        },
        trouble -> said.setText(trouble.why()));
  }

  private static Stretch stretch(
      ProjectStore store, Row row, List<Integer> which, long from, long to, int slots)
      throws NotKept {
    long run = row.run().id();
    Trace time = store.runBook().trace(run, 0, from, to, slots);
    List<Trace> traces = new ArrayList<>();
    List<Channel> shown = new ArrayList<>();
    for (int c : which) {
      traces.add(store.runBook().trace(run, c, from, to, slots));
      shown.add(row.run().value().channels().get(c));
    }
    return new Stretch(row.samples(), from, to, time, shown, traces);
  }

  private void strike() {
    Row row = shown;
    if (row == null || reason.getText().isBlank()) {
      said.setText("Choose a run, and say why it does not count; the log stays all the same.");
      return;
    }
    Strike strike = new Strike(clock.instant(), reason.getText().strip());
    keeper.record(
        store -> {
          store.runBook().strike(row.run().id(), strike);
          return true;
        },
        done -> {
          reason.clear();
          said.setText("Struck out; it stays in the record with its reason.");
        },
        trouble -> said.setText(trouble.why()));
  }
}
