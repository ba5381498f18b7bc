package hammerman.app.control;

import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Function;
import javafx.application.Platform;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.ReadOnlyStringWrapper;
import javafx.collections.FXCollections;
import javafx.collections.ObservableList;
import javafx.scene.control.Label;
import javafx.scene.control.SelectionMode;
import javafx.scene.control.TableColumn;
import javafx.scene.control.TablePosition;
import javafx.scene.control.TableView;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyCodeCombination;
import javafx.scene.input.KeyCombination;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import org.jspecify.annotations.Nullable;

/**
 * A table that may grow long: only the rows seen are made. A head sorts, words filter, rows are
 * copied to a spreadsheet and cells of one are pasted.
 *
 * @param <T> what a row shows
 */
public final class RecordTable<T> extends VBox {
  private static final KeyCombination COPY =
      new KeyCodeCombination(KeyCode.C, KeyCombination.SHORTCUT_DOWN);
  private static final KeyCombination PASTE =
      new KeyCodeCombination(KeyCode.V, KeyCombination.SHORTCUT_DOWN);

  /** Room for the bar that scrolls the rows and for the rims, px. */
  private static final double BAR = 20;

  private static final double TICK = 30;

  /** Left and right of a unit in a head, px. */
  private static final double HEAD_RIM = 18;

  /** A column of figures is at most so much wider than it need be, where there are words. */
  private static final double FIGURES_AT_MOST = 2;

  /** Height of a row of one line, px: where all are alike, none has to be measured. */
  private static final double ROW = 27;

  private static final String NONE_PASSES = "No row has these words. Clear the filter to see all.";

  private final List<Column<T>> columns;
  private final TableView<T> table = new TableView<>();
  private final TextField filter = new TextField();
  private final ReadyRows<T> rows;
  private final Label nothing = new Label();
  private final String empty;

  /**
   * The rows that pass the filter, in the order of the heads; changed as a whole, which is quick.
   */
  private final ObservableList<T> seen = FXCollections.observableArrayList();

  private final Sideways sideways;
  private boolean filling;
  private boolean rehearsed;
  private final ReadOnlyObjectWrapper<@Nullable T> chosen =
      new ReadOnlyObjectWrapper<>(this, "chosen", null);
  private Consumer<List<List<String>>> paste = lines -> {};
  private Consumer<T> act = row -> {};
  private int clicks = 2;

  private Function<T, Object> key = row -> row;

  /**
   * @param id in the scene; the filter has it with “-filter”
   * @param name for screen readers
   * @param empty what stands there without rows
   */
  public RecordTable(String id, String name, String empty, List<Column<T>> columns) {
    super(4);
    this.columns = List.copyOf(columns);
    rows = new ReadyRows<>(this.columns, this::rehearse);
    filter.setId(id + "-filter");
    filter.setPromptText("Filter by words");
    filter.setAccessibleText("Filter " + name);
    filter.textProperty().addListener((o, was, is) -> fill());
    table.setId(id);
    table.setAccessibleText(name);
    this.empty = empty;
    nothing.setWrapText(true);
    nothing.getStyleClass().add("answer");
    table.setPlaceholder(nothing);
    table.getSelectionModel().setSelectionMode(SelectionMode.MULTIPLE);
    columns.forEach(c -> table.getColumns().add(column(c)));
    table.setEditable(columns.stream().anyMatch(c -> c.typed().isOpen()));
    if (columns.stream().anyMatch(Column::wrapped)) {
      table.getStyleClass().add("lines");
    } else {
      table.setFixedCellSize(ROW);
      table.setSkin(new RecordSkin<>(table));
    }
    table.setRowFactory(made -> new RecordRow<>());
    table.setItems(seen);
    // A column sorts by its rows' values, not by their texts.
    table.setSortPolicy(
        t -> {
          fill();
          return true;
        });
    table
        .getSelectionModel()
        .selectedItemProperty()
        .addListener(
            (o, was, is) -> {
              if (!filling) {
                chosen.set(is);
              }
            });
    table.addEventFilter(KeyEvent.KEY_PRESSED, this::key);
    table.setOnMouseClicked(
        e -> {
          if (e.getClickCount() == clicks) {
            act();
          }
        });
    sideways = new Sideways(this, table);
    sideways.need(columns.stream().mapToDouble(Column::width).sum() + BAR);
    VBox.setVgrow(table, Priority.ALWAYS);
    getChildren().addAll(filter, table);
  }

  /** Leaves the filter out, where a few rows need none. */
  public RecordTable<T> withoutFilter() {
    getChildren().remove(filter);
    return this;
  }

  /** Puts boxes to tick before the rows. */
  public RecordTable<T> withTicks(String name, Function<T, String> id, Ticks<T> ticks) {
    TableColumn<T, T> column = new TableColumn<>("");
    column.setSortable(false);
    column.setMinWidth(TICK);
    column.setMaxWidth(TICK);
    sideways.need(sideways.needed() + TICK);
    column.setCellValueFactory(
        row -> new ReadOnlyObjectWrapper<>(row.getValue()).getReadOnlyProperty());
    column.setCellFactory(made -> new TickCell<>(name, id, ticks));
    table.getColumns().addFirst(column);
    return this;
  }

  /** Says what makes a row the same one though what it shows has changed. */
  public RecordTable<T> keyed(Function<T, Object> by) {
    key = by;
    return this;
  }

  /** Gives each row an id in the scene and words for screen readers. */
  public RecordTable<T> withRows(Function<T, String> id, Function<T, String> spoken) {
    table.setRowFactory(made -> new RecordRow.Named<>(id, spoken));
    return this;
  }

  /** Lets the filter find words that stand in no column. */
  public RecordTable<T> alsoFiltered(String prompt, Function<T, String> words) {
    filter.setPromptText(prompt);
    rows.alsoIn(words);
    return this;
  }

  /** What Enter and a click do with a row. */
  public RecordTable<T> onPick(Consumer<T> action) {
    clicks = 1;
    table.getSelectionModel().setSelectionMode(SelectionMode.SINGLE);
    return onAct(action);
  }

  /** What Enter and a double click do with a row. */
  public RecordTable<T> onAct(Consumer<T> action) {
    act = action;
    return this;
  }

  /** Takes cells pasted from a spreadsheet, line by line. */
  public RecordTable<T> onPaste(Consumer<List<List<String>>> action) {
    paste = action;
    return this;
  }

  /** Shows rows; the one chosen stays so if it is still there. */
  public void show(List<T> all) {
    if (rows.all().equals(all)) {
      return;
    }
    TablePosition<T, ?> typed = table.getEditingCell();
    String text =
        typed != null && table.lookup("#cell-typing") instanceof TextField f ? f.getText() : "";
    rows.take(all);
    fill();
    if (typed != null) {
      Platform.runLater(() -> typeOn(typed, text));
    }
  }

  /** A table that gets new rows leaves off editing; what was being typed must not go with it. */
  private void typeOn(TablePosition<T, ?> at, String text) {
    if (table.getEditingCell() == null && at.getRow() < table.getItems().size()) {
      table.layout();
      table.edit(at.getRow(), at.getTableColumn());
      if (table.lookup("#cell-typing") instanceof TextField f) {
        f.setText(text);
        f.end();
      }
    }
  }

  /**
   * Shows the rows the other way round, and as they were again before anybody sees it: a table
   * whose code has never run would follow the first key typed several times as slowly.
   */
  private void rehearse() {
    if (rehearsed || table.getScene() == null || chosen.get() != null) {
      return;
    }
    rehearsed = true;
    List<T> now = List.copyOf(seen);
    filling = true;
    seen.setAll(now.reversed());
    table.layout();
    seen.setAll(now);
    table.layout();
    filling = false;
  }

  /** Puts the rows that pass the filter into the table; the one chosen stays so if it is there. */
  private void fill() {
    List<T> now = rows.passing(filter.getText(), heads());
    nothing.setText(rows.all().isEmpty() ? empty : NONE_PASSES);
    T was = chosen.get();
    filling = true;
    if (table.getEditingCell() != null && sameRows(now)) {
      // Somebody types in one of them: only what changed is put anew.
      for (int k = 0; k < now.size(); k++) {
        if (!seen.get(k).equals(now.get(k))) {
          seen.set(k, now.get(k));
        }
      }
    } else if (!seen.equals(now)) {
      seen.setAll(now);
    }
    filling = false;
    T selected = table.getSelectionModel().getSelectedItem();
    if (was != null) {
      Object same = key.apply(was);
      Optional<T> again = now.stream().filter(row -> key.apply(row).equals(same)).findFirst();
      if (again.isPresent() && !again.get().equals(selected)) {
        select(again.get());
        selected = again.get();
      }
    }
    chosen.set(selected);
  }

  /** Whether rows are the same ones in the same order, whatever they show. */
  private boolean sameRows(List<T> now) {
    if (seen.size() != now.size()) {
      return false;
    }
    for (int k = 0; k < now.size(); k++) {
      if (!key.apply(seen.get(k)).equals(key.apply(now.get(k)))) {
        return false;
      }
    }
    return true;
  }

  /** Writes the rows anew, when what they say has changed though they are the same. */
  public void refresh() {
    rows.forget();
    table.refresh();
  }

  /** Chooses a row and brings it into view; a filter that hides it is cleared. */
  public void choose(T row) {
    if (!seen.contains(row)) {
      filter.clear();
    }
    if (row.equals(chosen.get())) {
      return;
    }
    select(row);
  }

  private void select(T row) {
    table.getSelectionModel().clearSelection();
    table.getSelectionModel().select(row);
    table.scrollTo(row);
  }

  /** Shows a column, or takes it away while it has nothing to say. */
  public void showColumn(String head, boolean seen) {
    column(head).setVisible(seen);
  }

  /** Puts a unit below a head, as the currency once it is chosen; none if it is absent. */
  public void unitOf(String head, @Nullable String unit) {
    TableColumn<T, ?> column = column(head);
    double width = columns.get(place(head)).width();
    double before = column.getMinWidth();
    if (unit == null) {
      column.setText(head);
      column.setMinWidth(width);
    } else {
      column.setText(head + ",\n" + unit);
      column.setMinWidth(Math.max(width, WordWidth.of(unit, filter.getFont()) + HEAD_RIM));
    }
    sideways.need(sideways.needed() + column.getMinWidth() - before);
  }

  private TableColumn<T, ?> column(String head) {
    return table.getColumns().get(place(head) + table.getColumns().size() - columns.size());
  }

  /** Where a column stands among those that are not for ticks. */
  private int place(String head) {
    for (int k = 0; k < columns.size(); k++) {
      if (columns.get(k).head().equals(head)) {
        return k;
      }
    }
    throw new IllegalArgumentException("no column is named " + head);
  }

  /** The row chosen, if one is. */
  public ReadOnlyObjectProperty<@Nullable T> chosenProperty() {
    return chosen.getReadOnlyProperty();
  }

  private TableColumn<T, String> column(Column<T> c) {
    TableColumn<T, String> column = new TableColumn<>(c.head());
    column.setPrefWidth(c.width());
    column.setMinWidth(c.width());
    if (c.figure() && columns.stream().anyMatch(other -> !other.figure())) {
      // Room that is left over is for words.
      column.setMaxWidth(c.width() * FIGURES_AT_MOST);
    }
    column.setCellValueFactory(
        row -> new ReadOnlyStringWrapper(c.text().apply(row.getValue())).getReadOnlyProperty());
    column.setCellFactory(made -> new TableWords<>(c));
    column.setEditable(c.typed().isOpen());
    // Each is found by its place.
    column.setReorderable(false);
    column.getStyleClass().add(c.figure() ? "figures" : "words");
    return column;
  }

  private List<ReadyRows.Head> heads() {
    int ticks = table.getColumns().size() - columns.size();
    return table.getSortOrder().stream()
        .map(
            by ->
                new ReadyRows.Head(
                    table.getColumns().indexOf(by) - ticks,
                    by.getSortType() == TableColumn.SortType.DESCENDING))
        .toList();
  }

  private void key(KeyEvent e) {
    if (COPY.match(e)) {
      SpreadsheetRows.copy(columns, table.getSelectionModel().getSelectedItems());
      e.consume();
    } else if (PASTE.match(e)) {
      SpreadsheetRows.pasted().ifPresent(paste);
      e.consume();
    } else if (e.getCode() == KeyCode.F2) {
      type();
      e.consume();
    } else if (e.getCode() == KeyCode.ENTER && table.getEditingCell() == null) {
      act();
      e.consume();
    }
  }

  /** Types into the first column of the row chosen that can be typed in. */
  private void type() {
    int row = table.getSelectionModel().getSelectedIndex();
    table.getColumns().stream()
        .filter(TableColumn::isEditable)
        .findFirst()
        .filter(c -> row >= 0 && table.isEditable())
        .ifPresent(c -> table.edit(row, c));
  }

  private void act() {
    T row = chosen.get();
    if (row != null) {
      act.accept(row);
    }
  }
}
