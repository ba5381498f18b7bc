package hammerman.app.station.build;

import hammerman.build.OnePack;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.HBox;

/** Which of two packs stands on the bench; not there with one, and fixed while one is charged. */
final class PackSwitch extends HBox {
  private final BuildState state;
  private final ToggleButton first = button("First pack", "bench-first");
  private final ToggleButton second = button("Second pack", "bench-second");

  PackSwitch(BuildState state) {
    this.state = state;
    ToggleGroup group = new ToggleGroup();
    first.setToggleGroup(group);
    second.setToggleGroup(group);
    first.setOnAction(e -> state.putOnBench(false));
    second.setOnAction(e -> state.putOnBench(true));
    getChildren().addAll(first, second);
    managedProperty().bind(visibleProperty());
    disableProperty().bind(state.watchedProperty());
    state.shownProperty().addListener((o, was, is) -> show());
    state.secondProperty().addListener((o, was, is) -> show());
    show();
  }

  private static ToggleButton button(String words, String id) {
    ToggleButton b = new ToggleButton(words);
    b.setId(id);
    b.getStyleClass().add("segment");
    return b;
  }

  private void show() {
    BuildState.Shown s = state.shown();
    OnePack on = state.onBench();
    setVisible(s != null && s.packs().size() > 1);
    boolean isSecond = on != null && on.second();
    first.setSelected(!isSecond);
    second.setSelected(isSecond);
  }
}
