package hammerman.app.control;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import hammerman.app.theme.Theme;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.scene.control.Label;
import javafx.scene.control.Labeled;
import javafx.scene.control.TableColumn;
import javafx.scene.control.TableRow;
import javafx.scene.control.TableView;
import javafx.scene.control.TextField;
import javafx.scene.input.Clipboard;
import javafx.scene.input.ClipboardContent;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.StackPane;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.util.WaitForAsyncUtils;

/** The table for what grows: sorted by value, filtered by words, copied and pasted. */
@ExtendWith(ApplicationExtension.class)
class RecordTableTest {
  private record Cell(String label, double volts) {}

  private static <T> T fx(Callable<T> work) {
    return WaitForAsyncUtils.waitForAsyncFx(10_000, work);
  }

  private static RecordTable<Cell> table() {
    return table(
        List.of(
            Column.words("Label", 100, Cell::label),
            Column.figures(
                "V",
                80,
                c -> "%.2f".formatted(c.volts()),
                Comparator.comparingDouble(Cell::volts))));
  }

  private static RecordTable<Cell> table(List<Column<Cell>> columns) {
    RecordTable<Cell> table = new RecordTable<>("cells", "the cells", "None yet.", columns);
    new Scene(new StackPane(table), 400, 300);
    return table;
  }

  @SuppressWarnings("unchecked")
  private static TableView<Cell> inner(RecordTable<Cell> table) {
    return (TableView<Cell>) table.lookup("#cells");
  }

  private static void key(RecordTable<Cell> table, KeyCode code, boolean held) {
    inner(table)
        .fireEvent(new KeyEvent(KeyEvent.KEY_PRESSED, "", "", code, false, held, false, false));
  }

  @Test
  void aHeadSortsByValueAndNotByText() {
    fx(
        () -> {
          RecordTable<Cell> table = table();
          table.show(List.of(new Cell("a", 10), new Cell("b", 9.5), new Cell("c", -3)));
          TableView<Cell> view = inner(table);
          TableColumn<Cell, ?> volts = view.getColumns().get(1);
          view.getSortOrder().add(volts);
          view.sort();
          assertThat(view.getItems()).extracting(Cell::label).containsExactly("c", "b", "a");
          volts.setSortType(TableColumn.SortType.DESCENDING);
          view.sort();
          assertThat(view.getItems()).extracting(Cell::label).containsExactly("a", "b", "c");
          return null;
        });
  }

  @Test
  void twoHeadsSortTogetherAndNewRowsComeInTheirOrder() {
    fx(
        () -> {
          RecordTable<Cell> table = table();
          table.show(List.of(new Cell("a", 2), new Cell("c", 1), new Cell("b", 2)));
          TableView<Cell> view = inner(table);
          TableColumn<Cell, ?> label = view.getColumns().get(0);
          label.setSortType(TableColumn.SortType.DESCENDING);
          view.getSortOrder().add(view.getColumns().get(1));
          view.getSortOrder().add(label);
          assertThat(view.getItems()).extracting(Cell::label).containsExactly("c", "b", "a");
          table.show(List.of(new Cell("a", 2), new Cell("d", 2), new Cell("c", 3)));
          assertThat(view.getItems()).extracting(Cell::label).containsExactly("d", "a", "c");
          ((TextField) table.lookup("#cells-filter")).setText("2.00");
          assertThat(view.getItems()).extracting(Cell::label).containsExactly("d", "a");
          return null;
        });
  }

  @Test
  void wordsFilterAndTheChosenRowStaysChosenWhenRowsComeAnew() {
    fx(
        () -> {
          RecordTable<Cell> table = table();
          List<Cell> many =
              IntStream.range(0, 5000).mapToObj(k -> new Cell("C" + k, k * 0.001)).toList();
          table.show(many);
          ((TextField) table.lookup("#cells-filter")).setText("c49 4.9");
          assertThat(inner(table).getItems()).allMatch(c -> c.label().startsWith("C49"));
          assertThat(inner(table).getItems()).hasSizeBetween(5, 111);
          ((TextField) table.lookup("#cells-filter")).setText("");
          table.choose(many.get(77));
          List<Cell> more = new ArrayList<>(many);
          more.add(new Cell("new", 1));
          table.show(more);
          assertThat(table.chosenProperty().get()).isEqualTo(many.get(77));
          return null;
        });
  }

  /** What can be seen in the rows of a table that is laid out, line by line. */
  private static List<String> seen(RecordTable<Cell> table) {
    table.getScene().getRoot().applyCss();
    table.getScene().getRoot().layout();
    return table.lookupAll(".table-row-cell").stream()
        .filter(row -> row instanceof TableRow<?> r && !r.isEmpty())
        .filter(row -> row.isVisible() && row.getOpacity() > 0)
        .sorted(Comparator.comparingDouble(Node::getLayoutY))
        .map(
            row ->
                row.lookupAll(".table-cell").stream()
                    .sorted(Comparator.comparingDouble(Node::getLayoutX))
                    .map(cell -> ((Labeled) cell).getText())
                    .collect(Collectors.joining(" ")))
        .toList();
  }

  @Test
  void onlyTheRowsThatPassAreSeenAndTheyComeBack() {
    fx(
        () -> {
          RecordTable<Cell> table = table();
          TextField filter = (TextField) table.lookup("#cells-filter");
          table.show(
              IntStream.range(0, 40).mapToObj(k -> new Cell("C" + k, 3 + k * 0.01)).toList());
          int page = seen(table).size();
          assertThat(page).as("rows that have room").isBetween(6, 12);
          filter.setText("c7");
          assertThat(seen(table)).containsExactly("C7 3.07");
          filter.setText("3.1");
          assertThat(seen(table)).hasSize(page).startsWith("C10 3.10", "C11 3.11");
          filter.setText("c0");
          assertThat(seen(table)).containsExactly("C0 3.00");
          filter.setText("");
          assertThat(seen(table)).hasSize(page).startsWith("C0 3.00", "C1 3.01", "C2 3.02");
          table.show(IntStream.range(0, 5).mapToObj(k -> new Cell("C" + k, 3)).toList());
          List<String> five = seen(table);
          assertThat(five).hasSize(5);
          filter.setText("c0");
          assertThat(seen(table)).hasSize(1);
          filter.setText("");
          assertThat(seen(table)).as("the same rows in the same places").isEqualTo(five);
          filter.setText("nowhere");
          Label nothing = (Label) inner(table).getPlaceholder();
          assertThat(nothing.getText()).contains("No row has these words");
          filter.setText("");
          table.show(List.of(new Cell("C0", 3.5)));
          assertThat(seen(table)).containsExactly("C0 3.50");
          table.show(List.of());
          table.applyCss();
          table.layout();
          assertThat(nothing.getText()).isEqualTo("None yet.");
          return null;
        });
  }

  /** One whose labels look otherwise for a cell that is low. */
  private static RecordTable<Cell> byVoltage() {
    return table(
        List.of(
            Column.words("Label", 100, Cell::label).styled(c -> c.volts() < 2.5 ? "bad" : "good")));
  }

  @Test
  void aLongTableIsAsItWasWhenItHasBeenGotReady() {
    List<Cell> many = IntStream.range(0, 900).mapToObj(k -> new Cell("C" + k, k)).toList();
    List<@Nullable Cell> told = new ArrayList<>();
    RecordTable<Cell> table =
        fx(
            () -> {
              RecordTable<Cell> made = table();
              made.chosenProperty().addListener((o, was, is) -> told.add(is));
              seen(made);
              made.show(many);
              return made;
            });
    for (int k = 0; k < 30; k++) {
      fx(() -> null); // between events it goes on by a step
    }
    fx(
        () -> {
          assertThat(inner(table).getItems()).isEqualTo(many);
          assertThat(seen(table)).startsWith("C0 0.00", "C1 1.00", "C2 2.00");
          assertThat(told).as("nothing was chosen on the way").isEmpty();
          return null;
        });
  }

  @Test
  void aRowThatIsUsedAgainTakesTheLookOfWhatItShows() {
    fx(
        () -> {
          RecordTable<Cell> table = byVoltage();
          table.show(List.of(new Cell("low", 1), new Cell("full", 4.2)));
          assertThat(seen(table)).containsExactly("low", "full");
          ((TextField) table.lookup("#cells-filter")).setText("full");
          assertThat(seen(table)).containsExactly("full");
          assertThat(table.lookupAll(".table-cell.bad")).isEmpty();
          return null;
        });
  }

  @Test
  void aCellWithTheSameWordsTakesTheLookOfItsNewRow() {
    fx(
        () -> {
          RecordTable<Cell> table = byVoltage();
          table.show(List.of(new Cell("same", 1)));
          assertThat(seen(table)).containsExactly("same");
          assertThat(table.lookupAll(".table-cell.bad")).hasSize(1);
          table.show(List.of(new Cell("same", 4.2)));
          assertThat(seen(table)).containsExactly("same");
          assertThat(table.lookupAll(".table-cell.bad")).isEmpty();
          assertThat(table.lookupAll(".table-cell.good")).hasSize(1);
          return null;
        });
  }

  @Test
  void whatIsSaidOfARowMayChangeThoughTheRowDoesNot() {
    fx(
        () -> {
          Map<String, String> said = new HashMap<>();
          RecordTable<Cell> table =
              table(
                  List.of(
                      Column.words("Label", 100, Cell::label),
                      Column.<Cell>words("Said", 100, c -> said.getOrDefault(c.label(), "-"))
                          .styled(c -> said.containsKey(c.label()) ? "good" : "bad")));
          List<Cell> two = List.of(new Cell("a", 1), new Cell("b", 2));
          table.show(two);
          assertThat(seen(table)).containsExactly("a -", "b -");
          said.put("b", "fits");
          table.refresh();
          assertThat(seen(table)).containsExactly("a -", "b fits");
          said.put("a", "fits");
          table.show(List.of(new Cell("a", 1), new Cell("b", 2), new Cell("c", 3)));
          assertThat(seen(table)).containsExactly("a fits", "b fits", "c -");
          assertThat(table.lookupAll(".table-cell.good")).hasSize(2);
          said.put("c", "-");
          table.refresh();
          assertThat(seen(table)).containsExactly("a fits", "b fits", "c -");
          assertThat(table.lookupAll(".table-cell.good")).as("by style alone").hasSize(3);
          return null;
        });
  }

  /** Where the cells of a row stand and in what colour, once the table is laid out. */
  private static List<String> looks(RecordTable<Cell> table) {
    table.getScene().getRoot().layout();
    return table.lookupAll(".table-row-cell").stream()
        .filter(row -> row.isVisible() && row.getOpacity() > 0)
        .sorted(Comparator.comparingDouble(Node::getLayoutY))
        .flatMap(row -> row.lookupAll(".table-cell").stream())
        .map(Labeled.class::cast)
        .map(cell -> cell.getText() + " " + cell.getAlignment() + " " + cell.getTextFill())
        .toList();
  }

  @Test
  void filteredRowsLookAtOnceAsTheyDoWhenAllIsStyledAnew() {
    fx(
        () -> {
          Theme.loadFonts();
          Theme.DAY.apply();
          RecordTable<Cell> table =
              table(
                  List.of(
                      Column.words("Label", 100, Cell::label)
                          .styled(c -> c.volts() < 3.2 ? "bad" : "good"),
                      Column.figures(
                          "V",
                          80,
                          c -> "%.2f".formatted(c.volts()),
                          Comparator.comparingDouble(Cell::volts))));
          TextField filter = (TextField) table.lookup("#cells-filter");
          table.show(
              IntStream.range(0, 60).mapToObj(k -> new Cell("C" + k, 3 + k * 0.01)).toList());
          seen(table);
          String low = looks(table).getFirst();
          filter.setText("c41");
          String full = looks(table).getFirst();
          assertThat(full).as("one that is full").doesNotEndWith(low.substring(low.indexOf("0x")));
          for (String typed : List.of("c3", "c", "c41", "", "3.5", "c1", "none", "3.2")) {
            filter.setText(typed);
            List<String> atOnce = looks(table);
            seen(table);
            assertThat(atOnce).as("with “%s” typed", typed).isEqualTo(looks(table));
            assertThat(atOnce)
                .filteredOn(cell -> Character.isDigit(cell.charAt(0)))
                .allMatch(cell -> cell.contains("CENTER_RIGHT"));
          }
          return null;
        });
  }

  @Test
  void rowsGoToASpreadsheetAndCellsComeFromOne() {
    fx(
        () -> {
          RecordTable<Cell> table = table();
          List<List<String>> pasted = new ArrayList<>();
          List<Cell> acted = new ArrayList<>();
          table.onPaste(pasted::addAll).onAct(acted::add);
          table.show(List.of(new Cell("a", 1), new Cell("b", 2)));
          inner(table).getSelectionModel().selectAll();
          key(table, KeyCode.C, true);
          assertThat(Clipboard.getSystemClipboard().getString())
              .isEqualTo("Label\tV\na\t1.00\nb\t2.00");
          ClipboardContent content = new ClipboardContent();
          content.putString("x1\t3.61\r\n\r\nx2\t3,58\t\n");
          Clipboard.getSystemClipboard().setContent(content);
          key(table, KeyCode.V, true);
          assertThat(pasted).containsExactly(List.of("x1", "3.61"), List.of("x2", "3,58", ""));
          inner(table).getSelectionModel().clearAndSelect(1);
          key(table, KeyCode.ENTER, false);
          assertThat(acted).containsExactly(new Cell("b", 2));
          return null;
        });
  }

  @Test
  void whatIsHiddenIsNotShownAnewUntilItIsSeen() {
    fx(
        () -> {
          Label label = new Label();
          StackPane place = new StackPane(label);
          new Scene(place, 100, 100);
          ReadOnlyObjectWrapper<String> value = new ReadOnlyObjectWrapper<>("one");
          List<String> shown = new ArrayList<>();
          Following.follow(label, value, shown::add);
          value.set("two");
          place.getChildren().clear();
          value.set("three");
          value.set("four");
          assertThat(shown).containsExactly("one", "two");
          place.getChildren().add(label);
          assertThat(shown).containsExactly("one", "two", "four");
          place.getChildren().clear();
          place.getChildren().add(label);
          assertThat(shown).as("nothing is below").hasSize(3);
          return null;
        });
  }

  @Test
  void aUnitStandsBelowAHeadWithRoomForItUntilItIsTakenAway() {
    String below = "Guldengroschen";
    fx(
        () -> {
          RecordTable<Cell> table = table();
          TableColumn<Cell, ?> volts = inner(table).getColumns().get(1);
          double before = table.getMinWidth();
          table.unitOf("V", below);
          assertThat(volts.getText()).isEqualTo("V,\n" + below);
          assertThat(volts.getMinWidth()).isGreaterThan(100);
          assertThat(table.getMinWidth() - before).isEqualTo(volts.getMinWidth() - 80);
          table.unitOf("V", null);
          assertThat(volts.getText()).isEqualTo("V");
          assertThat(table.getMinWidth()).isEqualTo(before);
          assertThatThrownBy(() -> table.unitOf("W", below)).hasMessageContaining("W");
          return null;
        });
  }
}
