package hammerman.app.station.sort;

import hammerman.app.control.InWords;
import hammerman.app.control.PlainButton;
import hammerman.app.control.Words;
import hammerman.app.station.Bench;
import hammerman.sort.CellSheet;
import hammerman.sort.CellSheet.Column;
import hammerman.sort.MeasuredCell;
import hammerman.table.TableFile;
import hammerman.table.UnreadableTable;
import hammerman.unit.Figures;
import hammerman.unit.Unit;
import java.nio.file.Path;
import java.time.Instant;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.Consumer;
import javafx.scene.control.Button;
import javafx.scene.control.ChoiceBox;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import org.jspecify.annotations.Nullable;

/**
 * Takes in a table of cells: which column holds what is guessed, may be said otherwise, and is
 * remembered for a table with the same columns.
 */
final class ImportPanel extends VBox {
  private static final String NONE = "not there";

  /** So many labels are named at most. */
  private static final int FIRST_LABELS = 5;

  private final Bench bench;
  private final SortState state;
  private final Consumer<String> choose;
  private final Label source = new Label();
  private final Words complaint = new Words("complaint", "import-complaint");
  private final FlowPane columns = new FlowPane(14, 4);
  private final Words found = new Words("answer", "import-found");
  private final Map<Column, Choice> choices = new EnumMap<>(Column.class);
  private @Nullable TableFile table;

  /** Column and unit of a figure. */
  private record Choice(ChoiceBox<String> column, ChoiceBox<Unit> unit) {}

  /**
   * @param choose brings a cell into view, by its label
   */
  ImportPanel(Bench bench, SortState state, Consumer<String> choose) {
    super(6);
    this.bench = bench;
    this.state = state;
    this.choose = choose;
    getStyleClass().add("empty-card");
    source.setId("import-source");
    source.getStyleClass().add("section-title");
    Button take = new Button("Take them in");
    take.setId("take-cells");
    take.getStyleClass().add("act");
    take.setOnAction(e -> take());
    HBox last = new HBox(10, take, new PlainButton("Not now", "leave-import", this::leave));
    getChildren().addAll(source, columns, found, complaint, last);
    leave();
  }

  private void leave() {
    table = null;
    complaint.setText("");
    setVisible(false);
    setManaged(false);
  }

  /** Whether a table is being looked at. */
  boolean isOpen() {
    return isVisible();
  }

  /** Looks at a table, and asks what its columns are. */
  void open(Path file) {
    complaint.setText("");
    setVisible(true);
    setManaged(true);
    source.setText(String.valueOf(file.getFileName()));
    columns.getChildren().clear();
    choices.clear();
    found.setText("");
    try {
      TableFile opened = TableFile.open(file);
      table = opened;
      Map<Column, CellSheet.Source> guess = remembered(opened);
      long measured = guess.keySet().stream().filter(c -> !c.describes()).count();
      boolean more = opened.columns().size() > measured;
      for (Column c : Column.values()) {
        Choice choice = choice(c, opened, guess.get(c));
        choices.put(c, choice);
        if (c.describes() && !more) {
          continue; // no column is left for it
        }
        Label name = new Label(c == Column.SELF_DISCHARGE ? "voltage lost a day" : c.words());
        name.getStyleClass().add("fact-name");
        HBox row = new HBox(5, name, choice.column());
        if (choice.unit().getItems().size() > 1) {
          row.getChildren().add(choice.unit());
        }
        row.setStyle("-fx-alignment: center-left;");
        columns.getChildren().add(row);
      }
      preview();
    } catch (UnreadableTable e) {
      table = null;
      complaint.setText(e.getMessage());
    }
  }

  private static String key(TableFile opened) {
    return "cells." + Integer.toHexString(String.join("|", opened.columns()).hashCode());
  }

  private Map<Column, CellSheet.Source> remembered(TableFile opened) {
    Map<Column, CellSheet.Source> guess = CellSheet.guess(opened);
    String text = bench.settings().text(key(opened), "");
    for (String part : text.split(";", -1)) {
      String[] words = part.split(",", -1);
      if (words.length == 3) {
        Column column = Column.valueOf(words[0]);
        int index = Integer.parseInt(words[1]);
        if (index < 0 || index >= opened.columns().size()) {
          guess.remove(column);
        } else {
          guess.put(column, new CellSheet.Source(index, Unit.valueOf(words[2])));
        }
      }
    }
    return guess;
  }

  private void remember(TableFile opened, Map<Column, CellSheet.Source> chosen) {
    StringBuilder text = new StringBuilder();
    for (Column c : Column.values()) {
      CellSheet.Source s = chosen.get(c);
      text.append(c.name())
          .append(',')
          .append(s == null ? -1 : s.index())
          .append(',')
          .append((s == null ? Unit.ONE : s.unit()).name())
          .append(';');
    }
    bench.settings().put(key(opened), text.toString());
  }

  private Choice choice(Column c, TableFile opened, CellSheet.@Nullable Source guess) {
    ChoiceBox<String> column = new ChoiceBox<>();
    column.getItems().add(NONE);
    column.getItems().addAll(opened.columns());
    column.setId("column-" + c.name().toLowerCase(Locale.ROOT).replace('_', '-'));
    column.setAccessibleText("Column of " + c.words());
    column.setPrefWidth(178);
    column.getSelectionModel().select(guess == null ? 0 : guess.index() + 1);
    ChoiceBox<Unit> unit = new ChoiceBox<>();
    unit.getItems().setAll(units(c));
    unit.setAccessibleText("Unit of " + c.words());
    unit.setPrefWidth(74);
    unit.setConverter(new InWords<>(Unit::symbol));
    unit.setValue(guess == null ? units(c).getFirst() : guess.unit());
    column.getSelectionModel().selectedIndexProperty().addListener((o, was, is) -> preview());
    unit.valueProperty().addListener((o, was, is) -> preview());
    return new Choice(column, unit);
  }

  private static List<Unit> units(Column c) {
    return switch (c) {
      case LABEL, TYPE, LOT, SOURCE, BOUGHT, PRICE, NOTES, PHOTO -> List.of(Unit.ONE);
      case CAPACITY -> List.of(Unit.MILLIAMPERE_HOUR, Unit.AMPERE_HOUR);
      case RESISTANCE -> List.of(Unit.MILLIOHM, Unit.OHM);
      case VOLTAGE, SELF_DISCHARGE -> List.of(Unit.VOLT, Unit.MILLIVOLT);
    };
  }

  private Map<Column, CellSheet.Source> chosen() {
    Map<Column, CellSheet.Source> all = new EnumMap<>(Column.class);
    choices.forEach(
        (c, choice) -> {
          int index = choice.column().getSelectionModel().getSelectedIndex() - 1;
          if (index >= 0) {
            all.put(c, new CellSheet.Source(index, choice.unit().getValue()));
          }
        });
    return all;
  }

  private CellSheet.@Nullable Read read() {
    TableFile opened = table;
    if (opened == null || choices.size() < Column.values().length) {
      return null;
    }
    try {
      complaint.setText("");
      return CellSheet.readAny(opened, chosen());
    } catch (UnreadableTable e) {
      complaint.setText(e.getMessage());
      return null;
    }
  }

  private void preview() {
    CellSheet.Read read = read();
    if (read != null) {
      List<MeasuredCell> cells = read.cells();
      found.setText(
          "%s%s; the first is %s.%s"
              .formatted(
                  counted(read),
                  middle(cells),
                  cells.isEmpty() ? "none" : cells.getFirst().label(),
                  repeated(read)));
    }
  }

  private static String counted(CellSheet.Read read) {
    long cells = read.cells().stream().map(MeasuredCell::label).distinct().count();
    return cells == 1 ? "1 cell" : cells + " cells";
  }

  private static String repeated(CellSheet.Read read) {
    List<String> labels = read.repeated();
    if (labels.isEmpty()) {
      return "";
    }
    int left = labels.size() - FIRST_LABELS;
    return " More than once there: %s%s; the last figure of each counts."
        .formatted(
            String.join(", ", labels.subList(0, Math.min(FIRST_LABELS, labels.size()))),
            left > 0 ? " and " + left + " more" : "");
  }

  private static String middle(List<MeasuredCell> cells) {
    double[] q =
        cells.stream()
            .mapToDouble(MeasuredCell::capacity)
            .filter(v -> !Double.isNaN(v))
            .sorted()
            .toArray();
    return q.length == 0
        ? ", no capacities"
        : ", capacities from %s to %s, middle %s"
            .formatted(mAh(q[0]), mAh(q[q.length - 1]), mAh(q[q.length / 2]));
  }

  private static String mAh(double ah) {
    return Figures.of(ah, Unit.MILLIAMPERE_HOUR, 0);
  }

  private void take() {
    CellSheet.Read read = read();
    TableFile opened = table;
    if (read == null || opened == null) {
      return;
    }
    remember(opened, chosen());
    boolean direct = state.shown().plan().direct();
    String name = String.valueOf(opened.file().getFileName());
    Instant now = state.now();
    state
        .session()
        .keeper()
        .record(
            store -> store.inventory().take(read.rows(), direct, name, now),
            added -> {
              state.say(
                  "%s taken in from %s, %s new.%s"
                      .formatted(
                          counted(read),
                          name,
                          added == 0 ? "none of them" : added + " of them",
                          repeated(read)));
              leave();
              if (!read.rows().isEmpty()) {
                choose.accept(read.rows().getFirst().measured().label());
              }
            },
            trouble -> complaint.setText(trouble.why()));
  }
}
