package hammerman.app.control;

import hammerman.unit.Figures;
import hammerman.unit.InvalidValue;
import hammerman.unit.QuantityText;
import hammerman.unit.QuantityText.Reading;
import hammerman.unit.Unit;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import org.jspecify.annotations.Nullable;

/**
 * A field for one quantity. It takes what people type with or without a unit, keeps what was typed
 * until it is understood, and says why it was not. Enter or leaving the field applies; Escape goes
 * back; Up and Down step the last digit.
 */
public final class QuantityField extends TextField {
  /** Takes a value that was understood, in the core's unit; null when emptied. */
  @FunctionalInterface
  interface Taker {
    /** Uses the value; may refuse it with an InvalidValue. */
    void take(@Nullable Double core);
  }

  private final String name;
  private final Unit unit;
  private final boolean optional;
  private final Taker change;
  private final ReadOnlyStringWrapper complaint = new ReadOnlyStringWrapper(this, "complaint", "");
  private @Nullable Double shown;
  private boolean touched;

  QuantityField(String name, Unit unit, boolean optional, Taker change) {
    this.name = name;
    this.unit = unit;
    this.optional = optional;
    this.change = change;
    getStyleClass().add("number");
    setAccessibleText(unit.symbol().isEmpty() ? name : name + ", in " + unit.symbol());
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
    setOnKeyPressed(
        e -> {
          if (e.getCode() == KeyCode.ESCAPE && (touched || !complaint.get().isEmpty())) {
            revert();
            e.consume();
          } else if (e.getCode() == KeyCode.UP || e.getCode() == KeyCode.DOWN) {
            step(e.getCode() == KeyCode.UP ? 1 : -1);
            e.consume();
          }
        });
  }

  /** Why the text was not understood, or empty. */
  public ReadOnlyStringProperty complaintProperty() {
    return complaint.getReadOnlyProperty();
  }

  /** Shows a value in the core's unit, unless something typed here is still not understood. */
  void show(@Nullable Double core) {
    boolean same = core == null ? shown == null : core.equals(shown);
    if (same && (touched || !complaint.get().isEmpty())) {
      return;
    }
    shown = core;
    revert();
  }

  private void revert() {
    String text = shown == null ? "" : Figures.plain(unit.fromCore(shown));
    if (!text.equals(getText())) {
      setText(text);
    }
    touched = false;
    complain("");
  }

  private void apply() {
    if (!touched) {
      return;
    }
    if (optional && getText().isBlank()) {
      take(null);
      return;
    }
    switch (QuantityText.read(getText(), unit)) {
      case Reading.Understood u -> take(u.core());
      case Reading.NotUnderstood n -> complain(n.why());
    }
  }

  private void take(@Nullable Double core) {
    try {
      touched = false;
      change.take(core);
      shown = core;
      revert();
    } catch (InvalidValue e) {
      touched = true;
      complain(e.getMessage());
    }
  }

  private void step(int direction) {
    apply();
    if (shown == null || !complaint.get().isEmpty()) {
      return;
    }
    String text = Figures.plain(unit.fromCore(shown));
    int point = text.indexOf('.');
    double digit = point < 0 ? 1 : Math.pow(10, point + 1 - text.length());
    take(unit.toCore(unit.fromCore(shown) + direction * digit));
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
