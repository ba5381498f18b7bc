package hammerman.app.control;

import javafx.scene.text.Font;
import javafx.scene.text.Text;

/** How wide words are drawn. */
final class WordWidth {
  private WordWidth() {}

  /** Returns the width of words in a font, px. */
  static double of(String words, Font font) {
    Text text = new Text(words);
    text.setFont(font);
    return Math.ceil(text.getLayoutBounds().getWidth());
  }
}
