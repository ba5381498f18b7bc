package hammerman.app.station.sort;

import hammerman.app.station.Bench;
import javafx.scene.layout.StackPane;

final class TesterView extends StackPane {
  TesterView(Bench bench, SortState state) {}

  void show() {}
}
