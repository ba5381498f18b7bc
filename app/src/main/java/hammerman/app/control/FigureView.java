package hammerman.app.control;

import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.VBox;

/** A figure with its name; pressing it shows how it came about. */
public final class FigureView extends Button {
  private final String name;
  private final Label value = new Label("–");
  private final Label note = new Label();
  private final VBox lines = new VBox();

  /**
   * @param name what the figure is
   * @param showWorking called when pressed
   */
  public FigureView(String name, Runnable showWorking) {
    this.name = name;
    Label caption = new Label(name);
    caption.getStyleClass().add("name");
    Explained.by(this, name);
    value.getStyleClass().add("value");
    note.getStyleClass().add("name");
    lines.getChildren().addAll(caption, value);
    setGraphic(lines);
    getStyleClass().setAll("figure");
    setId("figure-" + Form.id(name));
    setMinWidth(USE_PREF_SIZE);
    setOnAction(e -> showWorking.run());
  }

  /** Shows a value, and below it what it comes to otherwise. */
  public void show(String text, String otherwise) {
    show(text);
    note.setText(otherwise);
    if (!lines.getChildren().contains(note)) {
      lines.getChildren().add(note);
    }
    setAccessibleText("%s %s, %s, show working".formatted(name, text, otherwise));
  }

  /** Shows a value. */
  public void show(String text) {
    value.setText(text);
    setAccessibleText(name + " " + text + ", show working");
  }

  /** Returns what is shown. */
  public String shown() {
    return value.getText();
  }
}
