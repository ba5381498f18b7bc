package hammerman.app.control;

import java.util.function.Function;
import javafx.scene.control.CheckBox;
import javafx.scene.control.TableCell;
import org.jspecify.annotations.Nullable;

/**
 * A box to tick in a row.
 *
 * @param <T> what the row shows
 */
final class TickCell<T> extends TableCell<T, T> {
  private final CheckBox box = new CheckBox();
  private final String name;
  private final Function<T, String> id;
  private final Ticks<T> ticks;

  TickCell(String name, Function<T, String> id, Ticks<T> ticks) {
    this.name = name;
    this.id = id;
    this.ticks = ticks;
    getStyleClass().add("tick");
    box.setOnAction(
        e -> {
          T row = getItem();
          ticks.turn(row, box.isSelected());
          box.setSelected(ticks.has(row));
        });
  }

  @Override
  protected void updateItem(@Nullable T row, boolean empty) {
    super.updateItem(row, empty);
    setGraphic(row == null ? null : box);
    if (row != null) {
      box.setId(id.apply(row));
      box.setAccessibleText(name + " " + id.apply(row));
      box.setSelected(ticks.has(row));
    }
  }
}
