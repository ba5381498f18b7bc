package hammerman.app.station.sort;

import hammerman.app.control.Beside;
import hammerman.app.control.Column;
import hammerman.app.control.EmptyCard;
import hammerman.app.control.FileAsk;
import hammerman.app.control.RecordTable;
import hammerman.app.control.Words;
import hammerman.app.station.Bench;
import hammerman.project.Shipped;
import hammerman.record.Measured;
import hammerman.sort.CellState;
import hammerman.sort.LabelOrder;
import hammerman.sort.MeasuredCell;
import hammerman.sort.Sorting.Entry;
import hammerman.sort.StockTable;
import hammerman.store.WholeFile;
import hammerman.unit.Figures;
import hammerman.unit.InvalidValue;
import hammerman.unit.QuantityText;
import hammerman.unit.QuantityText.Reading;
import hammerman.unit.Unit;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Comparator;
import java.util.List;
import java.util.function.ToDoubleFunction;
import java.util.stream.Collectors;
import javafx.scene.control.Button;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;

/** All cells of the inventory in a table, with the one chosen beside it. */
final class CellsView extends StackPane {
  private final Bench bench;
  private final SortState state;
  private final RecordTable<Entry> table =
      new RecordTable<>(
          "cells",
          "the cells",
          "No cell yet. Import a table, paste one from a spreadsheet, or add labels.",
          List.of(
              Column.<Entry>words("Label", 78, e -> e.cell().label())
                  .ordered(Comparator.comparing(e -> e.cell().label(), LabelOrder.COUNTED)),
              Column.words("State", 84, Entry::words).styled(CellsView::style),
              figures("mAh", 62, Unit.MILLIAMPERE_HOUR, 0, MeasuredCell::capacity)
                  .typed((e, text) -> type(e, Measured.CAPACITY, Unit.MILLIAMPERE_HOUR, text)),
              figures("mΩ", 58, Unit.MILLIOHM, 1, MeasuredCell::resistance)
                  .typed((e, text) -> type(e, resistance(), Unit.MILLIOHM, text)),
              figures("Rest V", 62, Unit.VOLT, 3, MeasuredCell::voltage)
                  .typed((e, text) -> type(e, Measured.REST_VOLTAGE, Unit.VOLT, text)),
              figures("mV/day", 64, Unit.MILLIVOLT_PER_DAY, 1, MeasuredCell::selfDischarge),
              Column.words("Why", 120, Entry::cause)));
  private final CellPanel panel;
  private final ImportPanel importing;
  private final EmptyCard empty;
  private final VBox list;
  private final Words count = new Words("fact-name", "cells-count");

  CellsView(Bench bench, SortState state) {
    this.bench = bench;
    this.state = state;
    panel = new CellPanel(state);
    importing = new ImportPanel(bench, state, this::choose);
    table.chosenProperty().addListener((o, was, is) -> panel.show(is));
    table.onPaste(this::paste).keyed(e -> e.cell().id());
    table.setMinHeight(200);
    table.setPrefWidth(640);
    list = new VBox(6, new Beside(wide(table), scrolled(panel)), count);
    VBox.setVgrow(list.getChildren().getFirst(), Priority.ALWAYS);
    empty = empty();
    VBox all = new VBox(8, tools(), importing, empty, list);
    VBox.setVgrow(list, Priority.ALWAYS);
    getChildren().add(all);
    state.shownProperty().addListener((o, was, is) -> show());
    importing.visibleProperty().addListener((o, was, is) -> show());
    show();
  }

  private static RecordTable<Entry> wide(RecordTable<Entry> table) {
    VBox.setVgrow(table, Priority.ALWAYS);
    return table;
  }

  /** The panel may be higher than the page; the table beside it is not made longer by that. */
  private static ScrollPane scrolled(CellPanel panel) {
    ScrollPane pane = new ScrollPane(panel);
    pane.setFitToWidth(true);
    pane.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
    pane.getStyleClass().add("page");
    pane.setFocusTraversable(false);
    pane.setMinSize(290, 240);
    pane.setPrefHeight(300);
    return pane;
  }

  private FlowPane tools() {
    Button open = new Button("Import a table");
    open.setId("import-cells");
    open.getStyleClass().add("plain");
    open.setOnAction(
        e ->
            bench
                .files()
                .open("Choose a table of cells", FileAsk.Kind.TABLE)
                .ifPresent(importing::open));
    Button add = new Button("Add labels");
    add.setId("add-cells");
    add.getStyleClass().add("plain");
    add.setOnAction(e -> panel.addLabels());
    Button export = new Button("Export");
    export.setId("export-cells");
    export.getStyleClass().add("plain");
    export.setOnAction(e -> export());
    return new FlowPane(8, 4, open, add, export);
  }

  private EmptyCard empty() {
    return new EmptyCard(
        "Every cell is measured before it is built in: rest voltage, resistance, capacity, and"
            + " what it loses in days of rest. Import what your tester wrote, type it, or look"
            + " at a hundred made-up reclaimed cells.",
        EmptyCard.act("Take the hundred example cells", "example-cells", this::example));
  }

  private void show() {
    SortState.Shown shown = state.shown();
    boolean none = shown.sorting().entries().isEmpty();
    empty.setVisible(none && !importing.isOpen());
    table.show(shown.sorting().entries());
    panel.follow(shown);
    count.setText(
        none
            ? ""
            : List.of(CellState.values()).stream()
                .filter(s -> shown.sorting().count(s) > 0)
                .map(s -> shown.sorting().count(s) + " " + s.words())
                .collect(Collectors.joining(", ")));
  }

  private Measured resistance() {
    return state.shown().plan().direct() ? Measured.DC_RESISTANCE : Measured.AC_RESISTANCE;
  }

  /** Keeps a reading typed into the table. */
  private String type(Entry e, Measured what, Unit unit, String text) {
    if (!(QuantityText.read(text, unit) instanceof Reading.Understood u)) {
      return "“%s” is not a figure in %s.".formatted(text, unit.symbol());
    }
    try {
      panel.measure(e, what, u.core());
      return "";
    } catch (InvalidValue refused) {
      return String.valueOf(refused.getMessage());
    }
  }

  /** Brings a cell into view, ready for its capacity to be typed. */
  void typeCapacity(String label) {
    choose(label);
    panel.typeCapacity();
  }

  private void choose(String label) {
    state.shown().sorting().entries().stream()
        .filter(e -> e.cell().label().equals(label))
        .findFirst()
        .ifPresent(table::choose);
  }

  private void example() {
    openBytes(Shipped.exampleCells(), "pavement-speaker-cells.csv");
  }

  private void paste(List<List<String>> lines) {
    String text =
        lines.stream().map(l -> String.join("\t", l)).collect(Collectors.joining("\n", "", "\n"));
    openBytes(text.getBytes(StandardCharsets.UTF_8), "pasted cells.tsv");
  }

  /** A table that is no file becomes one for as long as it is looked at. */
  private void openBytes(byte[] bytes, String name) {
    try {
      Path folder = Files.createTempDirectory("hammerman");
      Path file = folder.resolve(name);
      WholeFile.write(file, bytes);
      file.toFile().deleteOnExit();
      folder.toFile().deleteOnExit();
      importing.open(file);
    } catch (IOException e) {
      state.say("The table could not be put down to be read: " + e.getMessage());
    }
  }

  private void export() {
    bench
        .files()
        .save("Export the cells", FileAsk.Kind.TABLE, "cells.csv")
        .ifPresent(
            file -> {
              try {
                StockTable.write(file, state.shown().sorting());
                state.say("Wrote " + file.getFileName() + ".");
              } catch (IOException e) {
                state.say(
                    "%s could not be written (%s). Choose another folder."
                        .formatted(file.getFileName(), e.getMessage()));
              }
            });
  }

  private static Column<Entry> figures(
      String head, double width, Unit unit, int decimals, ToDoubleFunction<MeasuredCell> of) {
    ToDoubleFunction<Entry> value = e -> of.applyAsDouble(e.cell().measured());
    return Column.figures(
        head,
        width,
        e ->
            Double.isNaN(value.applyAsDouble(e))
                ? "–"
                : Figures.fixed(unit.fromCore(value.applyAsDouble(e)), decimals),
        Comparator.comparingDouble(value));
  }

  private static String style(Entry e) {
    return switch (e.state()) {
      case REJECTED -> "bad";
      case ACCEPTED, IN_PACK -> "good";
      case NEW, ON_TEST, RESTING, SPARE -> "";
    };
  }
}
