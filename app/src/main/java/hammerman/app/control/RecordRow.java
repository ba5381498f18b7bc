package hammerman.app.control;

import java.util.Objects;
import java.util.function.Function;
import javafx.scene.Node;
import javafx.scene.control.IndexedCell;
import javafx.scene.control.TableRow;
import org.jspecify.annotations.Nullable;

/**
 * A row of a table. One with nothing to show is made transparent rather than turned into an empty
 * one: the toolkit styles a row and all its cells anew for that, which is most of what a key typed
 * in the filter would cost.
 *
 * @param <T> what it shows
 */
class RecordRow<T> extends TableRow<T> {

  private boolean aside;

  /**
   * One that is put aside keeps what it shows: most often it is taken for the same place again. Not
   * so the one with which a table measures, whose parent is never seen.
   */
  @Override
  public void updateIndex(int index) {
    if (index < 0 && getParent() != null && getParent().isVisible()) {
      aside = true;
      return;
    }
    boolean again = aside && index == getIndex();
    T before = getItem();
    aside = false;
    super.updateIndex(index);
    if (again && index >= 0 && Objects.equals(before, getItem())) {
      // What its cells say of it may have changed though it has not.
      getChildrenUnmodifiable().forEach(RecordRow::readAnew);
    }
  }

  private static void readAnew(Node cell) {
    if (cell instanceof IndexedCell<?> of) {
      int index = of.getIndex();
      of.updateIndex(-1);
      of.updateIndex(index);
    }
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
  }

  /** One with an id in the scene and words for screen readers. */
  static final class Named<T> extends RecordRow<T> {
    private final Function<T, String> id;
    private final Function<T, String> spoken;

    Named(Function<T, String> id, Function<T, String> spoken) {
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
}
