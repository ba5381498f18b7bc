package hammerman.app.station;

import hammerman.finding.Station;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** The sheet of a station: its question, a one-sentence answer, and the body. */
public final class Page extends VBox {
  private final Label answer = new Label();

  /** Makes a sheet for a station around a body that takes the room there is. */
  public Page(Station station, Node body) {
    super(8);
    getStyleClass().add("sheet-of-paper");
    Label question = new Label(station.question());
    question.getStyleClass().add("question");
    answer.getStyleClass().add("answer");
    answer.setId("answer");
    VBox.setVgrow(body, Priority.ALWAYS);
    getChildren().addAll(new VBox(1, question, answer), body);
  }

  /** Shows the answer to the station's question. */
  public void answer(String sentence) {
    answer.setText(sentence);
  }

  /** Returns a section heading. */
  public static Label heading(String text) {
    Label label = new Label(text);
    label.getStyleClass().add("section-title");
    label.setMaxWidth(Double.MAX_VALUE);
    return label;
  }
}
