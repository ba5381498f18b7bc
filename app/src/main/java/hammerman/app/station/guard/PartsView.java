package hammerman.app.station.guard;

import hammerman.app.control.Beside;
import hammerman.app.station.Page;
import hammerman.forecast.Forecast;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;

/** Every part with its ratings, and what each school of protection rests on. */
final class PartsView extends VBox {
  private final FlowPane schools = new FlowPane(12, 8);

  PartsView(GuardForms forms, ChargeForms charging) {
    super(6);
    VBox[] columns = {
      forms.protection(),
      new VBox(8, forms.fuses(), forms.connectors()),
      new VBox(8, forms.wire(), charging.port())
    };
    for (VBox column : columns) {
      column.setPrefWidth(290);
    }
    for (School school : School.values()) {
      schools.getChildren().add(card(school));
    }
    getChildren().addAll(new Beside(columns), Page.heading("Three schools of protection"), schools);
  }

  private static Node card(School school) {
    Label title = new Label(school.words());
    title.getStyleClass().add("title");
    VBox card = new VBox(2, title, text(school.holds(), "why"));
    Tooltip.install(card, new Tooltip(school.costs()));
    card.getStyleClass().add("judgement");
    card.setMinWidth(292);
    card.setPrefWidth(292);
    card.setMaxWidth(292);
    card.setUserData(school);
    return card;
  }

  private static Label text(String words, String style) {
    Label label = new Label(words);
    label.getStyleClass().add(style);
    label.setMinHeight(USE_PREF_SIZE);
    return label;
  }

  /** Marks the school that the design follows. */
  void show(Forecast f) {
    School now = School.of(f.design().guard().protection());
    for (Node card : schools.getChildren()) {
      card.getStyleClass().remove("warn");
      if (card.getUserData() == now) {
        card.getStyleClass().add("warn");
      }
    }
  }
}
