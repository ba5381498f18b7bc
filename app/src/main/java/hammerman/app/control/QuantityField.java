package hammerman.app.control;

import hammerman.unit.Figures;
import hammerman.unit.InvalidValue;
import hammerman.unit.QuantityText;
import hammerman.unit.QuantityText.Reading;
import hammerman.unit.Unit;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import org.jspecify.annotations.Nullable;

/** A field for one quantity, typed with or without a unit; Up and Down step the last digit. */
public final class QuantityField extends TypedField {
  /** Takes a value that was understood, in the core's unit; null when emptied. */
  @FunctionalInterface
  public interface Taker {
    /** Uses the value; may refuse it with an InvalidValue. */
    void take(@Nullable Double core);
  }

  private final Unit unit;
  private @Nullable Double value;

  /**
   * @param name what is typed here
   * @param unit of a bare number
   * @param optional whether it may be left empty
   * @param change takes each new value
   */
  public QuantityField(String name, Unit unit, boolean optional, Taker change) {
    super(name, text -> taken(text, unit, optional, change));
    this.unit = unit;
    getStyleClass().add("number");
    setAccessibleText(unit.symbol().isEmpty() ? name : name + ", in " + unit.symbol());
    addEventHandler(
        KeyEvent.KEY_PRESSED,
        e -> {
          if (e.getCode() == KeyCode.UP || e.getCode() == KeyCode.DOWN) {
            step(e.getCode() == KeyCode.UP ? 1 : -1);
            e.consume();
          }
        });
  }

  /** Shows a value in the core's unit, unless something typed here is still not understood. */
  public void show(@Nullable Double core) {
    value = core;
    show(core == null ? "" : Figures.plain(unit.fromCore(core)));
  }

  private static String taken(String text, Unit unit, boolean optional, Taker change) {
    try {
      if (optional && text.isBlank()) {
        change.take(null);
        return "";
      }
      return switch (QuantityText.read(text, unit)) {
        case Reading.Understood u -> {
          change.take(u.core());
          yield "";
        }
        case Reading.NotUnderstood n -> n.why();
      };
    } catch (InvalidValue e) {
      return String.valueOf(e.getMessage());
    }
  }

  private void step(int direction) {
    apply();
    if (value == null || !isSettled()) {
      return;
    }
    String text = Figures.plain(unit.fromCore(value));
    int point = text.indexOf('.');
    double digit = point < 0 ? 1 : Math.pow(10, point + 1 - text.length());
    setText(Figures.plain(unit.fromCore(value) + direction * digit));
    apply();
  }
}
