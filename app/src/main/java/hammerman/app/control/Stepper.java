package hammerman.app.control;

import hammerman.unit.Unit;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** A whole number with a button on either side; it can also be typed. */
public final class Stepper extends VBox {
  private final QuantityField field;
  private int shown;

  /**
   * @param name what is counted
   * @param change takes the new count; may refuse it
   */
  public Stepper(String name, Change<Integer> change) {
    super(2);
    getStyleClass().add("stepper");
    field =
        new QuantityField(
            name,
            Unit.ONE,
            false,
            v -> {
              if (v != null) {
                change.apply(Form.whole(name, v));
              }
            });
    field.getStyleClass().add("count");
    field.setPrefColumnCount(3);
    field.setId(Form.id(name));
    Button less = button("−", name + ", one less", -1, change);
    Button more = button("+", name + ", one more", 1, change);
    Label label = new Label(name);
    label.getStyleClass().add("fact-name");
    Words complaint = Words.complaint(field.complaintProperty());
    complaint.setMaxWidth(240);
    getChildren().addAll(label, new HBox(2, less, field, more), complaint);
  }

  /** Shows a count. */
  public void show(int count) {
    shown = count;
    field.show((double) count);
  }

  private Button button(String sign, String words, int by, Change<Integer> change) {
    Button b = new Button(sign);
    b.getStyleClass().addAll("plain", "small");
    b.setAccessibleText(words);
    b.setOnAction(
        e -> {
          try {
            change.apply(shown + by);
          } catch (hammerman.unit.InvalidValue atLimit) {
            b.setDisable(false);
          }
        });
    return b;
  }
}
