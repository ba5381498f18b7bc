package hammerman.app.control;

import javafx.scene.Node;
import javafx.scene.control.TableRow;
import javafx.scene.control.TableView;
import javafx.scene.control.skin.TableViewSkin;
import javafx.scene.control.skin.VirtualFlow;

/**
 * A table whose rows keep their style when they are used again for something else. The toolkit
 * styles a row with all its cells whenever it shows another item, though all rows look alike but
 * for what their words say: of a step of the filter that is two thirds.
 *
 * @param <T> what a row shows
 */
final class RecordSkin<T> extends TableViewSkin<T> {

  RecordSkin(TableView<T> table) {
    super(table);
  }

  @Override
  protected VirtualFlow<TableRow<T>> createVirtualFlow() {
    return new Flow<>();
  }

  /** Only a row that was styled before, and looks the same but for some cells, is left alone. */
  private static final class Flow<T> extends VirtualFlow<TableRow<T>> {
    private static final String STYLED = "hammerman.styled";

    @Override
    protected void setCellIndex(TableRow<T> row, int index) {
      if (row instanceof RecordRow.Named || !row.getProperties().containsKey(STYLED)) {
        super.setCellIndex(row, index);
        if (row.getSkin() != null && row.getScene() != null) {
          row.getProperties().put(STYLED, true);
        }
        return;
      }
      boolean chosen = row.isSelected();
      row.updateIndex(index);
      if (row.isSelected() != chosen) {
        row.applyCss();
        return;
      }
      for (Node cell : row.getChildrenUnmodifiable()) {
        if (cell instanceof TableWords<?> words) {
          words.styleIfChanged();
        }
      }
    }
  }
}
