package hammerman.app.control;

import java.util.function.Function;
import javafx.scene.control.TableRow;
import org.jspecify.annotations.Nullable;

/**
 * A row of a table. One with nothing to show is made transparent rather than turned into an empty
 * one: the toolkit styles a row and all its cells anew for that, which is most of what a key typed
 * in the filter would cost.
 *
 * @param <T> what it shows
 */
final class RecordRow<T> extends TableRow<T> {
  private final @Nullable Function<T, String> id;
  private final @Nullable Function<T, String> spoken;

  RecordRow(@Nullable Function<T, String> id, @Nullable Function<T, String> spoken) {
    this.id = id;
    this.spoken = spoken;
  }

  /** One that is not seen still holds what it showed; shown again, that is a change. */
  @Override
  protected boolean isItemChanged(@Nullable T before, @Nullable T now) {
    return getOpacity() == 0 || super.isItemChanged(before, now);
  }

  @Override
  protected void updateItem(@Nullable T row, boolean empty) {
    setOpacity(row == null ? 0 : 1);
    setMouseTransparent(row == null);
    if (row != null) {
      super.updateItem(row, empty);
    }
    if (id != null && spoken != null) {
      setId(row == null ? null : id.apply(row));
      setAccessibleText(row == null ? null : spoken.apply(row));
    }
  }
}
