package hammerman.app.control;

import java.util.function.Function;
import javafx.scene.control.TableRow;
import org.jspecify.annotations.Nullable;

/**
 * A row of a table with an id in the scene and words for screen readers.
 *
 * @param <T> what it shows
 */
final class RecordRow<T> extends TableRow<T> {
  private final Function<T, String> id;
  private final Function<T, String> spoken;

  RecordRow(Function<T, String> id, Function<T, String> spoken) {
    this.id = id;
    this.spoken = spoken;
  }

  @Override
  protected void updateItem(@Nullable T row, boolean empty) {
    super.updateItem(row, empty);
    setId(row == null ? null : id.apply(row));
    setAccessibleText(row == null ? null : spoken.apply(row));
  }
}
