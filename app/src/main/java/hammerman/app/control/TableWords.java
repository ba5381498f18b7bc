package hammerman.app.control;

import javafx.application.Platform;
import javafx.scene.control.ContentDisplay;
import javafx.scene.control.TableCell;
import javafx.scene.control.TableView;
import javafx.scene.control.TextField;
import javafx.scene.control.Tooltip;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.text.Text;
import org.jspecify.annotations.Nullable;

/**
 * A cell of a table: words or a figure, in as many lines as its column asks, and a field while it
 * is typed in. Enter takes what was typed and goes on in the row below, Escape leaves it.
 *
 * @param <T> what a row shows
 */
final class TableWords<T> extends TableCell<T, String> {
  private final Column<T> column;
  private final @Nullable Text lines;
  private @Nullable TextField field;
  private String style = "";
  private boolean restyled;

  TableWords(Column<T> column) {
    this.column = column;
    getStyleClass().add(column.figure() ? "figure" : "word");
    if (column.wrapped()) {
      // A cell that wraps its own text does not tell its row how high it is.
      Text made = new Text();
      made.getStyleClass().add("word-lines");
      made.wrappingWidthProperty().bind(widthProperty().subtract(14));
      made.textProperty().bind(textProperty());
      made.fillProperty().bind(textFillProperty());
      made.fontProperty().bind(fontProperty());
      lines = made;
      setContentDisplay(ContentDisplay.GRAPHIC_ONLY);
      setGraphic(made);
    } else {
      lines = null;
    }
  }

  @Override
  protected void updateItem(@Nullable String text, boolean empty) {
    if (empty && !isEmpty()) {
      return; // its row is not seen
    }
    super.updateItem(text, empty);
    setText(empty ? null : text);
    // The row of this cell may still hold what it showed before.
    T row = empty ? null : row();
    String now = row == null ? "" : column.style().apply(row);
    if (!now.equals(style)) {
      getStyleClass().remove(style);
      getStyleClass().add(now);
      style = now;
      restyled = true;
    }
  }

  /** Styles this cell if what it shows now looks otherwise than what it showed before. */
  void styleIfChanged() {
    if (restyled) {
      restyled = false;
      applyCss();
    }
  }

  private @Nullable T row() {
    int index = getIndex();
    TableView<T> table = getTableView();
    return table == null || index < 0 || index >= table.getItems().size()
        ? null
        : table.getItems().get(index);
  }

  @Override
  public void startEdit() {
    super.startEdit();
    T row = row();
    if (!isEditing() || row == null) {
      return;
    }
    String shown = getItem();
    TextField typing = new TextField(shown.equals("–") ? "" : shown);
    typing.setId("cell-typing");
    typing.getStyleClass().add("number");
    typing.setAccessibleText(column.head());
    typing.addEventFilter(
        KeyEvent.KEY_PRESSED,
        e -> {
          if (e.getCode() == KeyCode.ESCAPE) {
            cancelEdit();
            e.consume();
          }
        });
    typing.setOnAction(e -> take(row, typing));
    field = typing;
    setGraphic(typing);
    setContentDisplay(ContentDisplay.GRAPHIC_ONLY);
    typing.selectAll();
    typing.requestFocus();
  }

  private void take(T row, TextField typing) {
    String why = column.typed().take(row, typing.getText());
    typing.getStyleClass().remove("wrong");
    if (!why.isEmpty()) {
      typing.getStyleClass().add("wrong");
      typing.setTooltip(new Tooltip(why));
      typing.setAccessibleHelp(why);
      return;
    }
    int next = getIndex() + 1;
    TableView<T> table = getTableView();
    var at = getTableColumn();
    cancelEdit();
    if (next < table.getItems().size()) {
      Platform.runLater(
          () -> {
            table.getSelectionModel().clearAndSelect(next);
            table.scrollTo(Math.max(0, next - 4));
            table.layout();
            table.edit(next, at);
          });
    }
  }

  @Override
  public void cancelEdit() {
    super.cancelEdit();
    boolean had = field != null && field.isFocused();
    field = null;
    setGraphic(lines);
    setContentDisplay(lines == null ? ContentDisplay.TEXT_ONLY : ContentDisplay.GRAPHIC_ONLY);
    if (had) {
      getTableView().requestFocus();
    }
  }
}
