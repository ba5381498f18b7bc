package hammerman.app.control;

import java.util.function.UnaryOperator;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;
import javafx.scene.control.TextField;
import javafx.scene.control.Tooltip;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;

/**
 * A field that takes what people type: it keeps what was typed until it is understood, and says why
 * it was not. Enter or leaving the field applies; Escape goes back.
 */
public class TypedField extends TextField {
  /** What lies beside the words in a field, px. */
  private static final double RIMS = 18;

  private final String name;
  private final UnaryOperator<String> taker;
  private final ReadOnlyStringWrapper complaint = new ReadOnlyStringWrapper(this, "complaint", "");
  private String shown = "";
  private boolean touched;
  private double narrowest;
  private double widest;
  private boolean yields;

  /**
   * @param name what is typed here
   * @param taker uses the text and returns an empty text, or why it cannot
   */
  public TypedField(String name, UnaryOperator<String> taker) {
    this.name = name;
    this.taker = taker;
    setAccessibleText(name);
    setOnAction(e -> apply());
    focusedProperty()
        .addListener(
            (o, was, is) -> {
              if (is) {
                selectAll();
              } else {
                apply();
              }
            });
    textProperty().addListener((o, was, is) -> touched = true);
    addEventHandler(KeyEvent.KEY_PRESSED, this::key);
  }

  private void key(KeyEvent e) {
    if (e.getCode() == KeyCode.ESCAPE && (touched || !complaint.get().isEmpty())) {
      revert();
      e.consume();
    }
  }

  /** Why the text was not understood, or empty. */
  public final ReadOnlyStringProperty complaintProperty() {
    return complaint.getReadOnlyProperty();
  }

  /** Shows a text, unless something typed here is still not applied or not understood. */
  public final void show(String text) {
    if (text.equals(shown) && (touched || !complaint.get().isEmpty())) {
      return;
    }
    shown = text;
    revert();
  }

  /**
   * Makes the field as wide as its words, within bounds; what is longer is told when one points.
   *
   * @param least px
   * @param most px
   */
  public final void widen(double least, double most) {
    if (widest == 0) {
      textProperty().addListener((o, was, is) -> fit());
      fontProperty().addListener((o, was, is) -> fit());
    }
    narrowest = least;
    widest = most;
    fit();
  }

  /** Lets the field be narrower than its words where others need the room, down to its least. */
  public final void giveWay() {
    yields = true;
    widthProperty().addListener((o, was, is) -> tell());
    fit();
  }

  private void fit() {
    double width = Math.clamp(wanted(), narrowest, widest);
    setMinWidth(yields ? narrowest : width);
    setPrefWidth(width);
    tell();
  }

  /** Tells the whole of words that have no room when one points. */
  private void tell() {
    double room = yields && getWidth() > 0 ? getWidth() : widest;
    setTooltip(wanted() > room + 0.5 ? new Tooltip(getText()) : null);
  }

  private double wanted() {
    return WordWidth.of(getText().isEmpty() ? getPromptText() : getText(), getFont()) + RIMS;
  }

  /** Applies what was typed, if anything. */
  final void apply() {
    if (!touched) {
      return;
    }
    touched = false;
    String why = taker.apply(getText());
    if (why.isEmpty()) {
      revert();
    } else {
      touched = true;
      complain(why);
    }
  }

  /** Whether what is shown has been applied and understood. */
  final boolean isSettled() {
    return !touched && complaint.get().isEmpty();
  }

  /** Gives up what is typed and not applied. */
  final void forget() {
    if (!isSettled()) {
      revert();
    }
  }

  private void revert() {
    if (!shown.equals(getText())) {
      setText(shown);
    }
    touched = false;
    complain("");
  }

  private void complain(String why) {
    if (why.equals(complaint.get())) {
      return;
    }
    complaint.set(why);
    getStyleClass().remove("wrong");
    if (!why.isEmpty()) {
      getStyleClass().add("wrong");
    }
    setAccessibleHelp(why.isEmpty() ? name : why);
  }
}
