package hammerman.app.control;

import hammerman.app.job.Latest;
import hammerman.app.session.RunLog;
import hammerman.app.session.Session;
import hammerman.app.session.Settings;
import hammerman.prove.SheetOfLog;
import hammerman.record.Run;
import hammerman.store.LogImport;
import hammerman.store.NotKept;
import hammerman.table.TableFile;
import hammerman.table.UnreadableTable;
import hammerman.telemetry.Mapping;
import hammerman.telemetry.Quantity;
import hammerman.telemetry.Telemetry;
import hammerman.unit.InvalidValue;
import hammerman.unit.Unit;
import java.nio.file.Path;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import javafx.application.Platform;
import javafx.geometry.VPos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ChoiceBox;
import javafx.scene.control.Label;
import javafx.scene.control.ProgressBar;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import org.jspecify.annotations.Nullable;

/**
 * Takes in the log of a run: a small preview, which column is what, then the reading with its
 * progress. The log is kept whole among the runs, with what it says for itself. What was chosen for
 * a set of columns is remembered.
 */
public final class LogPanel extends VBox {
  private static final int PREVIEW_ROWS = 5;
  private static final int PREVIEW_COLUMNS = 8;
  private static final String NONE = "not there";

  private final FlowPane top = new FlowPane(12, 4);
  private final Session session;
  private final Settings settings;
  private final String purpose;
  private final Taker taker;
  private final Latest reading = new Latest("log");
  private final Label source = new Label();
  private final Words complaint = new Words("complaint", "log-complaint");
  private final VBox preview = new VBox(6);
  private final ProgressBar progress = new ProgressBar(0);
  private final Button cancel = new Button("Cancel");
  private final Map<Quantity, Choice> choices = new EnumMap<>(Quantity.class);
  private final CheckBox negative = new CheckBox("Discharge is written as negative");
  private @Nullable TableFile table;

  /** Column and unit of a quantity. */
  private record Choice(ChoiceBox<String> column, ChoiceBox<Unit> unit) {}

  /** Takes what was read of a log that is kept by then. */
  @FunctionalInterface
  public interface Taker {
    /**
     * Takes it.
     *
     * @param run its number
     */
    void take(long run, Telemetry log);
  }

  /**
   * Makes a panel with nothing chosen yet.
   *
   * @param use what the log is read for, on the button
   */
  public LogPanel(Session session, Settings settings, FileAsk files, String use, Taker taker) {
    super(6);
    this.session = session;
    this.settings = settings;
    purpose = use;
    this.taker = taker;
    source.setId("log-source");
    source.getStyleClass().add("answer");
    Button choose = new Button("Choose a log");
    choose.setId("choose-log");
    choose.getStyleClass().add("act");
    choose.setOnAction(e -> files.open("Choose a log", FileAsk.Kind.TABLE).ifPresent(this::open));
    cancel.setId("cancel-log");
    cancel.getStyleClass().addAll("plain", "small");
    cancel.setOnAction(
        e -> {
          reading.cancel();
          complaint.setText("Cancelled; all is as it was.");
        });
    progress.setPrefWidth(180);
    progress.visibleProperty().bind(reading.busyProperty());
    cancel.visibleProperty().bind(reading.busyProperty());
    top.getChildren().addAll(choose, source, progress, cancel);
    top.setRowValignment(VPos.CENTER);
    getChildren().addAll(top, complaint, preview);
  }

  /** Returns it with other ways to begin beside its own. */
  public LogPanel beside(Node... others) {
    top.getChildren().addAll(1, List.of(others));
    return this;
  }

  /** Says where the present log is from. */
  public void show(String from) {
    source.setText(from);
  }

  /** Opens a file as if it had been chosen. */
  public void open(Path file) {
    complaint.setText("");
    preview.getChildren().clear();
    try {
      TableFile opened = TableFile.open(file);
      table = opened;
      preview(opened, remembered(opened).orElseGet(() -> Mapping.guess(opened)));
    } catch (UnreadableTable e) {
      complaint.setText(e.getMessage());
    }
  }

  private Optional<Mapping> remembered(TableFile opened) {
    return Mapping.of(settings.text(key(opened), ""), opened);
  }

  private static String key(TableFile opened) {
    return "mapping." + Integer.toHexString(String.join("|", opened.columns()).hashCode());
  }

  private void preview(TableFile opened, Mapping mapping) {
    GridPane sample = new GridPane();
    sample.setHgap(16);
    sample.setVgap(1);
    int columns = Math.min(PREVIEW_COLUMNS, opened.columns().size());
    for (int c = 0; c < columns; c++) {
      sample.add(label(opened.columns().get(c), "table-head"), c, 0);
      for (int r = 0; r < Math.min(PREVIEW_ROWS, opened.sample().size()); r++) {
        List<String> fields = opened.sample().get(r);
        sample.add(label(c < fields.size() ? fields.get(c) : "", "fact-same"), c, r + 1);
      }
    }
    GridPane chosen = new GridPane();
    chosen.setHgap(8);
    chosen.setVgap(3);
    choices.clear();
    for (Quantity q : Quantity.values()) {
      int at = q.ordinal();
      Choice choice = choice(q, opened, mapping);
      choices.put(q, choice);
      chosen.add(label(q.label(), "field-label"), 3 * (at % 2), at / 2);
      chosen.add(choice.column(), 3 * (at % 2) + 1, at / 2);
      chosen.add(choice.unit(), 3 * (at % 2) + 2, at / 2);
    }
    negative.setId("discharge-negative");
    negative.setSelected(mapping.dischargeNegative());
    Button use = new Button(purpose);
    use.setId("use-log");
    use.getStyleClass().add("act");
    use.setOnAction(e -> read());
    HBox last = new HBox(16, negative, use);
    last.setStyle("-fx-alignment: center-left;");
    preview.getChildren().setAll(sample, chosen, last);
  }

  private static Label label(String text, String style) {
    Label label = new Label(text);
    label.getStyleClass().add(style);
    return label;
  }

  private static Choice choice(Quantity q, TableFile opened, Mapping mapping) {
    ChoiceBox<String> column = new ChoiceBox<>();
    column.getItems().add(NONE);
    column.getItems().addAll(opened.columns());
    column.setId("log-" + q.name().toLowerCase(Locale.ROOT));
    column.setAccessibleText("Column of " + q.label());
    column.setPrefWidth(190);
    ChoiceBox<Unit> unit = new ChoiceBox<>();
    unit.getItems().setAll(q.units());
    unit.setAccessibleText("Unit of " + q.label());
    unit.setPrefWidth(80);
    unit.setConverter(new InWords<>(Unit::symbol));
    Optional<Mapping.Source> source = mapping.source(q);
    column.setValue(source.map(Mapping.Source::column).orElse(NONE));
    unit.setValue(source.map(Mapping.Source::unit).orElse(q.units().getFirst()));
    return new Choice(column, unit);
  }

  private Mapping chosen() {
    Mapping mapping = new Mapping(Map.of(), negative.isSelected());
    for (Map.Entry<Quantity, Choice> e : choices.entrySet()) {
      String column = e.getValue().column().getValue();
      if (!column.equals(NONE)) {
        mapping =
            mapping.with(
                e.getKey(),
                Optional.of(new Mapping.Source(column, e.getValue().unit().getValue())));
      }
    }
    return mapping;
  }

  /** What reading gave: a task, or why not. */
  private sealed interface Result {
    record Read(long run, Telemetry log) implements Result {}

    record Refused(String why) implements Result {}
  }

  private void read() {
    TableFile opened = table;
    if (opened == null) {
      return;
    }
    Mapping mapping = chosen();
    settings.put(key(opened), mapping.text());
    complaint.setText("");
    progress.setProgress(0);
    reading.submit(
        () -> result(opened, mapping),
        result -> {
          switch (result) {
            case Result.Read r -> {
              preview.getChildren().clear();
              taker.take(r.run(), r.log());
            }
            case Result.Refused r -> complaint.setText(r.why());
          }
        });
  }

  private Result result(TableFile opened, Mapping mapping) {
    LogImport log = new LogImport(opened, mapping);
    String name = String.valueOf(opened.file().getFileName()).replaceFirst("\\.[^.]*$", "");
    try {
      Run described = log.run(name.isBlank() ? "Run" : name);
      RunLog run = session.keeper().beginRun(described);
      boolean whole = false;
      try {
        Optional<LogImport.Imported> read =
            log.read(
                run::append,
                share -> Platform.runLater(() -> progress.setProgress(share)),
                () -> Thread.currentThread().isInterrupted());
        if (read.isEmpty()) {
          return new Result.Refused("Cancelled; all is as it was.");
        }
        Telemetry telemetry = read.get().telemetry();
        run.finish(
            read.get().samples(), described.withSheet(SheetOfLog.of(telemetry, described.sheet())));
        whole = true;
        return new Result.Read(run.id(), telemetry);
      } finally {
        if (!whole) {
          run.abandon();
        }
      }
    } catch (UnreadableTable | InvalidValue | NotKept e) {
      return new Result.Refused(String.valueOf(e.getMessage()));
    }
  }
}
