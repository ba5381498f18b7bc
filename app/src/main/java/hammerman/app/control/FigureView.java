package hammerman.app.control;

import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.VBox;

/** A figure with its name; pressing it shows how it came about. */
public final class FigureView extends Button {
  private final String name;
  private final Label value = new Label("–");

  /**
   * @param name what the figure is
   * @param showWorking called when pressed
   */
  public FigureView(String name, Runnable showWorking) {
    this.name = name;
    Label caption = new Label(name);
    caption.getStyleClass().add("name");
    value.getStyleClass().add("value");
    setGraphic(new VBox(caption, value));
    getStyleClass().setAll("figure");
    setId("figure-" + Form.id(name));
    setMinWidth(USE_PREF_SIZE);
    setOnAction(e -> showWorking.run());
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
