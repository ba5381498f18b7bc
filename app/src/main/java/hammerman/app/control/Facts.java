package hammerman.app.control;

import java.util.ArrayList;
import java.util.List;
import javafx.scene.control.Label;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Priority;

/** A small table of texts whose labels are kept and only change their words. */
public final class Facts extends GridPane {
  private final List<String> styles;
  private final List<Label> labels = new ArrayList<>();

  private static final double LEAST_WORDS = 120;

  /** Words at the head of a column of figures go on in further lines beyond this, px. */
  private static final double HEAD = 92;

  private boolean heads;

  /**
   * Makes an empty table.
   *
   * @param styles style class of each column
   */
  public Facts(String... styles) {
    this.styles = List.of(styles);
    setHgap(12);
    setVgap(4);
  }

  /** Lets the first row have words that go on in further lines, and no column be wider for them. */
  public Facts withHeads() {
    heads = true;
    return this;
  }

  /** Shows rows, each with a text for every column. */
  public void show(List<List<String>> rows) {
    int k = 0;
    for (List<String> row : rows) {
      for (String text : row) {
        label(k++).setText(text);
      }
    }
    for (int rest = k; rest < labels.size(); rest++) {
      labels.get(rest).setText("");
    }
  }

  private Label label(int k) {
    while (labels.size() <= k) {
      int at = labels.size();
      Label label = new Label();
      label.getStyleClass().add(styles.get(at % styles.size()));
      if (heads && at < styles.size()) {
        label.getStyleClass().setAll("label", "fact-name");
        label.setWrapText(true);
        label.setPrefWidth(HEAD);
        label.setMinHeight(USE_PREF_SIZE);
      } else if (styles.get(at % styles.size()).equals("answer")) {
        // Words go on in further lines; figures never do.
        label.setWrapText(true);
        label.setMinWidth(LEAST_WORDS);
        label.setMinHeight(USE_PREF_SIZE);
        setHgrow(label, Priority.ALWAYS);
      } else {
        label.setMinWidth(USE_PREF_SIZE);
      }
      labels.add(label);
      add(label, at % styles.size(), at / styles.size());
    }
    return labels.get(k);
  }
}
