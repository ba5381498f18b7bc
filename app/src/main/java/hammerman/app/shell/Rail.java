package hammerman.app.shell;

import hammerman.app.station.Bench;
import hammerman.finding.Derivation;
import hammerman.finding.Judgement;
import hammerman.finding.Station;
import hammerman.forecast.Forecast;
import java.util.List;
import java.util.Locale;
import java.util.function.Consumer;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import org.jspecify.annotations.Nullable;

/** The rail beside the page: the judgements, worst first, or the working of a figure. */
final class Rail extends VBox {
  private final Consumer<Station> go;
  private final Label heading = new Label();
  private final VBox list = new VBox(8);
  private List<Judgement> shown = List.of();
  private Bench.@Nullable Working working;
  private @Nullable Forecast forecast;

  Rail(Consumer<Station> go) {
    this.go = go;
    getStyleClass().add("rail");
    heading.getStyleClass().add("heading");
    heading.setId("rail-heading");
    list.setId("rail-list");
    ScrollPane scroll = new ScrollPane(list);
    scroll.setFitToWidth(true);
    scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
    scroll.getStyleClass().add("page");
    VBox.setVgrow(scroll, Priority.ALWAYS);
    getChildren().addAll(heading, scroll);
  }

  void show(Forecast f) {
    forecast = f;
    if (working != null) {
      showWorking(working);
    } else if (!f.judgements().equals(shown) || list.getChildren().isEmpty()) {
      showJudgements();
    }
  }

  /** Shows how a figure came about until the judgements are asked for again. */
  void showWorking(Bench.Working of) {
    working = of;
    if (forecast != null) {
      heading.setText("How this figure came about");
      list.getChildren().setAll(working(of.of(forecast)));
    }
  }

  void showJudgements() {
    working = null;
    shown = forecast == null ? List.of() : forecast.judgements();
    heading.setText(summary(shown));
    list.getChildren().setAll(shown.stream().map(this::card).toList());
    if (shown.isEmpty()) {
      Label calm = new Label("Every rating lines up and the duty is served.");
      calm.getStyleClass().add("answer");
      list.getChildren().add(calm);
    }
  }

  private static String summary(List<Judgement> judgements) {
    return "Judgements: "
        + (judgements.isEmpty() ? "nothing to object to" : Judgement.tally(judgements));
  }

  private Node card(Judgement j) {
    String severity = j.severity().name().toLowerCase(Locale.ROOT);
    Region mark = new Region();
    mark.getStyleClass().setAll("mark", severity);
    Label word = new Label(j.severity().word());
    word.getStyleClass().add("word");
    HBox head = new HBox(6, mark, word);
    head.setStyle("-fx-alignment: center-left;");
    Button link = new Button("Go to " + j.station().label());
    link.getStyleClass().setAll("link");
    link.setOnAction(e -> go.accept(j.station()));
    VBox card =
        new VBox(head, text(j.title(), "title"), text(j.why(), "why"), text(j.fix(), "fix"), link);
    card.getStyleClass().addAll("judgement", severity);
    card.setId("judgement-" + j.id().replace('.', '-'));
    card.setAccessibleText(j.severity().word() + ": " + j.title() + ". " + j.why());
    return card;
  }

  private Node working(Derivation d) {
    Button back = new Button("Back to the judgements");
    back.getStyleClass().setAll("link");
    back.setId("back-to-judgements");
    back.setOnAction(e -> showJudgements());
    GridPane inputs = new GridPane();
    inputs.setHgap(8);
    inputs.setVgap(6);
    int row = 0;
    for (Derivation.Input in : d.inputs()) {
      inputs.add(text(in.symbol(), "symbol"), 0, row);
      VBox words =
          new VBox(
              text(in.value(), "input-value"),
              text(in.name() + " · " + in.origin().words(), "origin"));
      GridPane.setHgrow(words, Priority.ALWAYS);
      inputs.add(words, 1, row++);
    }
    VBox box =
        new VBox(
            8,
            back,
            text(d.title(), "title"),
            text(d.result(), "result"),
            text(d.formula(), "formula"),
            inputs,
            text("Source: " + d.source(), "source"),
            text("Holds for: " + d.validity(), "source"));
    if (d.extrapolated()) {
      box.getChildren().add(text("Outside this range: extrapolated.", "flag"));
    }
    box.getStyleClass().add("working");
    return box;
  }

  private static Label text(String words, String style) {
    Label label = new Label(words);
    label.getStyleClass().add(style);
    label.setWrapText(true);
    label.setMinHeight(Region.USE_PREF_SIZE);
    return label;
  }
}
