package hammerman.app.station.cell;

import hammerman.app.control.QuantityField;
import hammerman.datasheet.DischargeCurve;
import hammerman.unit.Figures;
import hammerman.unit.Reference;
import hammerman.unit.Unit;
import java.util.ArrayList;
import java.util.List;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;

/** The measured curves of a fit: at which current and temperature the next one was taken. */
final class CurveForm extends VBox {
  private final List<DischargeCurve> curves = new ArrayList<>();
  private final Label list = new Label();
  private double current = 1;
  private double temperature = Reference.ROOM;
  private final QuantityField currentField =
      new QuantityField(
          "Curve current", Unit.AMPERE, false, v -> current = v == null ? current : v);
  private final QuantityField temperatureField =
      new QuantityField(
          "Curve temperature", Unit.CELSIUS, false, v -> temperature = v == null ? temperature : v);

  CurveForm(Runnable add, Runnable cleared) {
    super(6);
    currentField.setId("curve-current");
    temperatureField.setId("curve-temperature");
    currentField.setPrefColumnCount(4);
    temperatureField.setPrefColumnCount(4);
    currentField.show(current);
    temperatureField.show(temperature);
    list.getStyleClass().add("answer");
    list.setId("curve-list");
    list.setMinHeight(USE_PREF_SIZE);
    Button choose = new Button("Add a curve");
    choose.setId("add-curve");
    choose.getStyleClass().addAll("plain", "small");
    choose.setOnAction(e -> add.run());
    Button clear = new Button("Clear");
    clear.setId("clear-curves");
    clear.getStyleClass().addAll("plain", "small");
    clear.setOnAction(
        e -> {
          curves.clear();
          refresh();
          cleared.run();
        });
    FlowPane row =
        new FlowPane(
            6,
            4,
            new Label("At"),
            currentField,
            new Label("A,"),
            temperatureField,
            new Label("°C"),
            choose,
            clear);
    row.setAlignment(Pos.CENTER_LEFT);
    row.setMinHeight(USE_PREF_SIZE);
    getChildren().addAll(row, list);
    refresh();
  }

  double current() {
    return current;
  }

  double temperature() {
    return temperature;
  }

  List<DischargeCurve> curves() {
    return List.copyOf(curves);
  }

  void add(DischargeCurve curve) {
    curves.removeIf(c -> c.name().equals(curve.name()));
    curves.add(curve);
    refresh();
  }

  private void refresh() {
    if (curves.isEmpty()) {
      list.setText(
          "A table of Ah and V for each current. Two currents or more tell the resistance.");
      return;
    }
    List<String> words = new ArrayList<>();
    for (DischargeCurve c : curves) {
      words.add(c.name() + " at " + Figures.of(c.current(), Unit.AMPERE));
    }
    list.setText(String.join("; ", words));
  }
}
