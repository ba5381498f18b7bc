package hammerman.app.station.stack;

import hammerman.app.control.QuantityField;
import hammerman.search.Weights;
import hammerman.unit.Unit;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.Slider;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import org.jspecify.annotations.Nullable;

/** What counts in a ranking and how much: a slider each, and the years and reserve wanted. */
final class Wishes {
  private static final List<String> QUALITIES =
      List.of("Light", "Cheap", "Lasting", "Reserve", "Cool");

  private final Runnable changed;
  private final List<Node> nodes;
  private final List<Slider> sliders = new ArrayList<>();
  private double years = Weights.USUAL_YEARS;
  private double reserve = Weights.USUAL_RESERVE;

  /**
   * @param changed run whenever another ranking is wished
   */
  Wishes(Runnable changed) {
    this.changed = changed;
    HBox choose = new HBox(14);
    QUALITIES.forEach(q -> choose.getChildren().add(slider(q)));
    QuantityField yearsWanted =
        new QuantityField("Years wanted", Unit.ONE, false, v -> wanted(v, reserve));
    yearsWanted.setId("years-wanted");
    yearsWanted.setPrefWidth(56);
    yearsWanted.show(years);
    QuantityField leftWanted =
        new QuantityField("Left wanted", Unit.PERCENT, false, v -> wanted(years, v));
    leftWanted.setId("left-wanted");
    leftWanted.setPrefWidth(56);
    leftWanted.show(reserve);
    HBox wanted =
        new HBox(
            6,
            name("Wanted: years"),
            yearsWanted,
            name("left, %"),
            leftWanted,
            name("(more than that weighs nothing)"));
    wanted.setAlignment(Pos.CENTER_LEFT);
    nodes = List.of(name("What counts"), choose, wanted);
  }

  /** Returns what it is typed and moved with, side by side. */
  List<Node> nodes() {
    return nodes;
  }

  /** Returns what is wished now. */
  Weights weights() {
    return weights(years, reserve);
  }

  private Weights weights(double forYears, double left) {
    double[] w = sliders.stream().mapToDouble(s -> Math.rint(s.getValue())).toArray();
    return new Weights(w[0], w[1], w[2], w[3], w[4], forYears, left);
  }

  /** Takes what is wanted, unless that cannot be. */
  private void wanted(@Nullable Double forYears, @Nullable Double left) {
    if (forYears != null && left != null) {
      Weights now = weights(forYears, left);
      years = now.years();
      reserve = now.reserve();
      changed.run();
    }
  }

  private VBox slider(String quality) {
    Slider slider = new Slider(0, 3, 1);
    slider.setMajorTickUnit(1);
    slider.setMinorTickCount(0);
    slider.setSnapToTicks(true);
    slider.setBlockIncrement(1);
    slider.setPrefWidth(84);
    slider.setId("rank-" + quality.toLowerCase(Locale.ROOT));
    Label label = new Label();
    label.getStyleClass().add("fact-name");
    Runnable name =
        () -> {
          int weight = (int) Math.rint(slider.getValue());
          label.setText(quality + " × " + weight);
          slider.setAccessibleText("Weight of " + quality + ", " + weight);
        };
    slider
        .valueProperty()
        .addListener(
            (o, was, is) -> {
              name.run();
              if (Math.rint(was.doubleValue()) != Math.rint(is.doubleValue())) {
                changed.run();
              }
            });
    name.run();
    sliders.add(slider);
    return new VBox(0, label, slider);
  }

  private static Label name(String text) {
    Label l = new Label(text);
    l.getStyleClass().add("fact-name");
    l.setMinWidth(Region.USE_PREF_SIZE);
    return l;
  }
}
