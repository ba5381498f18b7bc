package hammerman.app.control;

import hammerman.glossary.Glossary;
import javafx.event.EventHandler;
import javafx.scene.control.Control;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.input.MouseEvent;

/** Explains the word of the field that a control uses to who points at it. */
public final class Explained {
  private static final double WIDTH = 320;

  private Explained() {}

  /** Explains a label if a word of the field is in it. */
  public static void by(Label label) {
    by(label, label.getText());
  }

  /** Explains a control if a word of the field is in its name; looked up when it is pointed at. */
  static void by(Control control, String name) {
    control.addEventHandler(
        MouseEvent.MOUSE_ENTERED,
        new EventHandler<>() {
          @Override
          public void handle(MouseEvent e) {
            control.removeEventHandler(MouseEvent.MOUSE_ENTERED, this);
            Glossary.best(name)
                .map(term -> term.name() + ": " + term.meaning())
                .ifPresent(words -> control.setTooltip(tip(words)));
          }
        });
  }

  private static Tooltip tip(String words) {
    Tooltip tip = new Tooltip(words);
    tip.setWrapText(true);
    tip.setMaxWidth(WIDTH);
    return tip;
  }
}
