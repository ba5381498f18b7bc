package hammerman.app.control;

import java.util.List;
import javafx.scene.control.Label;
import javafx.scene.layout.GridPane;

/** A small table whose rows can be taken: figures, and a button at the end of a row. */
public final class ActTable extends GridPane {
  /**
   * A row.
   *
   * @param texts of its columns, the first being words, the others figures
   * @param word on its button; empty for none
   * @param action of the button
   */
  public record Row(List<String> texts, String word, Runnable action) {
    public Row {
      texts = List.copyOf(texts);
    }

    /** A row that is only read. */
    public static Row of(List<String> texts) {
      return new Row(texts, "", () -> {});
    }
  }

  /**
   * @param id in the scene; buttons have it with their row's number
   */
  public ActTable(String id) {
    setId(id);
    setHgap(8);
    setVgap(3);
  }

  /** Shows rows under headings. */
  public void show(List<String> headings, List<Row> rows) {
    getChildren().clear();
    for (int c = 0; c < headings.size(); c++) {
      Label heading = new Label(headings.get(c));
      heading.getStyleClass().add("fact-name");
      heading.setMinWidth(USE_PREF_SIZE);
      add(heading, c, 0);
    }
    for (int r = 0; r < rows.size(); r++) {
      Row row = rows.get(r);
      for (int c = 0; c < row.texts().size(); c++) {
        Label cell = new Label(row.texts().get(c));
        cell.getStyleClass().add(c == 0 ? "fact-name" : "fact-value");
        if (c == 0) {
          cell.setWrapText(true);
          cell.setMaxWidth(168);
          cell.setMinHeight(USE_PREF_SIZE);
        } else {
          cell.setMinWidth(USE_PREF_SIZE);
        }
        add(cell, c, r + 1);
      }
      if (!row.word().isEmpty()) {
        add(new PlainButton(row.word(), getId() + "-" + r, row.action()), headings.size(), r + 1);
      }
    }
  }
}
