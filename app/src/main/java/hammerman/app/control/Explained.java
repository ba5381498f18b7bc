package hammerman.app.control;

import hammerman.glossary.Glossary;
import hammerman.glossary.Term;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;

/** Explains the word of the field that a label uses to who points at it. */
public final class Explained {
  private static final double WIDTH = 320;

  private Explained() {}

  /** Explains a label if a word of the field is in it. */
  public static void by(Label label) {
    Glossary.best(label.getText()).ifPresent(term -> label.setTooltip(tooltip(term)));
  }

  static Tooltip tooltip(Term term) {
    Tooltip tip = new Tooltip(term.name() + ": " + term.meaning());
    tip.setWrapText(true);
    tip.setMaxWidth(WIDTH);
    return tip;
  }
}
