package hammerman.app.control;

import hammerman.unit.Figures;
import javafx.beans.value.ObservableValue;
import javafx.scene.control.Label;

/** Words that go on in further lines where they must, and take no room while there are none. */
public final class Words extends Label {
  /**
   * @param style style class
   */
  public Words(String style) {
    getStyleClass().add(style);
    setWrapText(true);
    setMinHeight(USE_PREF_SIZE);
    setMaxWidth(Double.MAX_VALUE);
    setShown(false);
    textProperty().addListener((o, was, is) -> said(is));
  }

  /**
   * @param style style class
   * @param id names it in the scene
   */
  public Words(String style, String id) {
    this(style);
    setId(id);
  }

  /** A figure and its unit stay on one line; what another says for them stays as it is. */
  private void said(String text) {
    setShown(!text.isEmpty());
    if (!textProperty().isBound()) {
      setText(Figures.unbroken(text));
    }
  }

  private void setShown(boolean shown) {
    setVisible(shown);
    setManaged(shown);
  }

  /** Returns words that say what a field says of what was typed. */
  public static Words complaint(ObservableValue<String> complains) {
    Words words = new Words("complaint");
    words.textProperty().bind(complains);
    return words;
  }

  /** Returns the usual cautions at a step. */
  public static Words caution(String text) {
    Words words = new Words("caution");
    words.setText(text);
    return words;
  }
}
