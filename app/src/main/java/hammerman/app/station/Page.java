package hammerman.app.station;

import hammerman.app.control.Views;
import hammerman.app.control.Words;
import hammerman.finding.Station;
import hammerman.unit.Figures;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.beans.property.ReadOnlyBooleanWrapper;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import org.jspecify.annotations.Nullable;

/** The sheet of a station: its question, a one-sentence answer, and the body. */
public final class Page extends VBox {
  private final Label answer = new Label();
  private final Station station;
  private final @Nullable Views views;
  private final ReadOnlyBooleanWrapper complete =
      new ReadOnlyBooleanWrapper(this, "complete", false);

  /** Makes a sheet for a station around a body that takes the room there is. */
  public Page(Station station, Node body) {
    this(station, body, null);
  }

  /** Makes a sheet for a station around a few views. */
  public Page(Station station, Views views) {
    this(station, views, views);
  }

  /** Makes a sheet for a station around a body with views somewhere in it. */
  public Page(Station station, Node body, @Nullable Views views) {
    super(8);
    this.station = station;
    this.views = views;
    getStyleClass().add("sheet-of-paper");
    Label question = new Label(station.question());
    question.setWrapText(true);
    question.setMinHeight(USE_PREF_SIZE);
    question.getStyleClass().add("question");
    answer.getStyleClass().add("answer");
    answer.setId("answer");
    answer.setMinHeight(USE_PREF_SIZE);
    VBox.setVgrow(body, Priority.ALWAYS);
    getChildren().addAll(new VBox(1, question, answer), body);
  }

  /** Returns the station that it is the page of. */
  public Station station() {
    return station;
  }

  /** Returns the ids of the page's views, in their order; empty if it has only one. */
  public List<String> views() {
    return views == null ? List.of() : views.ids();
  }

  /** Returns what the page holds by the id of its view; by an empty one if it has no views. */
  public Map<String, Node> parts() {
    return views == null ? Map.of("", this) : views.parts();
  }

  /** Goes to one of the page's views by its id. */
  public void showView(String id) {
    if (views == null) {
      throw new IllegalArgumentException(station.label() + " has no view " + id);
    }
    views.show(id);
  }

  /** Says whether nothing is left to do at the station. */
  public void complete(boolean is) {
    complete.set(is);
  }

  /** Whether nothing is left to do at the station, as far as it knows. */
  public ReadOnlyBooleanProperty completeProperty() {
    return complete.getReadOnlyProperty();
  }

  /** Shows the answer to the station's question. */
  public void answer(String sentence) {
    answer.setText(Figures.unbroken(sentence));
  }

  /** Shows what was just said, above the body, as long as there is something. */
  public Page withSaid(ReadOnlyStringProperty words) {
    Words said = new Words("said");
    said.setId(station.name().toLowerCase(Locale.ROOT) + "-said");
    said.textProperty().bind(words);
    getChildren().add(1, said);
    return this;
  }

  /** Returns a section heading. */
  public static Label heading(String text) {
    Label label = new Label(text);
    label.getStyleClass().add("section-title");
    label.setWrapText(true);
    label.setMinHeight(USE_PREF_SIZE);
    label.setMaxWidth(Double.MAX_VALUE);
    return label;
  }
}
