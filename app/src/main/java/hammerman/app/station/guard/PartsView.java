package hammerman.app.station.guard;

import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** Every part with its ratings, to be typed off what lies on the bench. */
final class PartsView extends HBox {
  PartsView(GuardForms forms) {
    super(24);
    VBox fuses = forms.fuses().node();
    VBox wire = forms.wire().node();
    getChildren().addAll(forms.protection().node(), fuses, wire);
    getChildren().forEach(n -> HBox.setHgrow(n, Priority.ALWAYS));
    getChildren().forEach(n -> ((VBox) n).setPrefWidth(290));
  }
}
