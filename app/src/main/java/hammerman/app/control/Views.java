package hammerman.app.control;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import javafx.scene.Node;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;

/** A few views of one page, one shown at a time, chosen by a row of words. */
public final class Views extends VBox {
  private final FlowPane words = new FlowPane();
  private final StackPane place = new StackPane();
  private final ToggleGroup group = new ToggleGroup();
  private final Map<String, View> views = new LinkedHashMap<>();
  private String shown = "";

  private record View(ToggleButton button, Node node, Runnable onShow) {}

  public Views() {
    super(8);
    VBox.setVgrow(place, Priority.ALWAYS);
    words.setMinHeight(USE_PREF_SIZE);
    words.setPrefWrapLength(0);
    getChildren().addAll(words, place);
  }

  /** Adds a view; the first added is shown. */
  public Views add(String name, String id, Node node, Runnable onShow) {
    ToggleButton button = new ToggleButton(name);
    button.setId("view-" + id);
    button.setMinWidth(USE_PREF_SIZE);
    button.getStyleClass().add("segment");
    button.setToggleGroup(group);
    button.setOnAction(e -> show(id));
    views.put(id, new View(button, node, onShow));
    words.getChildren().add(button);
    if (views.size() == 1) {
      show(id);
    }
    return this;
  }

  /** Shows a view by its id. */
  public void show(String id) {
    View view = views.get(id);
    if (view == null) {
      throw new IllegalArgumentException("no view " + id + " among " + views.keySet());
    }
    view.button().setSelected(true);
    shown = id;
    place.getChildren().setAll(view.node());
    view.onShow().run();
  }

  /** Returns the ids of the views, in their order. */
  public List<String> ids() {
    return List.copyOf(views.keySet());
  }

  /** Returns what each view shows, by its id. */
  public Map<String, Node> parts() {
    Map<String, Node> all = new LinkedHashMap<>();
    views.forEach((id, view) -> all.put(id, view.node()));
    return all;
  }

  /** Whether a view is the one shown. */
  public boolean isShown(String id) {
    return shown.equals(id);
  }
}
