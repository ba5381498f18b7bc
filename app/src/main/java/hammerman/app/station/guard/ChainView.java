package hammerman.app.station.guard;

import hammerman.app.control.Beside;
import hammerman.app.control.EvenRows;
import hammerman.app.control.FigureView;
import hammerman.app.job.Latest;
import hammerman.app.session.Session;
import hammerman.app.station.Bench;
import hammerman.choice.Choice;
import hammerman.choice.Selection;
import hammerman.circuit.Link;
import hammerman.finding.Station;
import hammerman.forecast.Forecast;
import hammerman.forecast.Headline;
import hammerman.forecast.Workings;
import hammerman.guard.Guard;
import hammerman.guard.Guard.Part;
import hammerman.guard.Parts;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import org.jspecify.annotations.Nullable;

/** The chain of ratings, and the suggestion of a consistent set with its reasons. */
final class ChainView extends VBox {
  private static final double LIST_WIDTH = 376;

  /** Room for the rows of an opened part, px. */
  private static final double LEAST_OPENED = 470;

  private final Session session;
  private final Parts parts;
  private final PartPanel part = new PartPanel();
  private final ChainPicture chain = new ChainPicture(this::open);
  private final Latest choosing = Latest.ofDetails("choose-parts");
  private @Nullable Forecast forecast;
  private final Map<Headline, FigureView> figures = new EnumMap<>(Headline.class);
  private final List<Row> rows = new ArrayList<>();
  private final VBox reasons = new VBox(6);
  private List<Choice> choices = List.of();
  private Part pointed = Part.FUSE;

  /** A part: a tick that locks it, and its choice, which shows its reasons when pressed. */
  private record Row(Part part, CheckBox lock, ToggleButton choice) {}

  ChainView(Bench bench, Parts parts) {
    super(4);
    session = bench.session();
    this.parts = parts;
    figure(bench, "Fuse window", Headline.FUSE_WINDOW);
    figure(bench, "Wire carries", Headline.WIRE_AMPACITY);
    figure(bench, "Short circuit at the fuse", Headline.SHORT_CIRCUIT);
    figure(bench, "Charges to", Headline.CHARGE_CEILING);
    figure(bench, "Heaviest ten minutes", Headline.CONTINUOUS_CURRENT);
    EvenRows figureRow = new EvenRows(14, 2);
    figureRow.setMinHeight(USE_PREF_SIZE);
    figureRow.getChildren().addAll(figures.values());
    VBox.setVgrow(chain, Priority.ALWAYS);
    Button suggest = new Button("Suggest a set for this duty");
    suggest.setId("suggest");
    suggest.getStyleClass().add("act");
    suggest.setMinWidth(USE_PREF_SIZE);
    suggest.setOnAction(e -> suggest());
    HBox head =
        new HBox(
            16,
            suggest,
            line(
                "A set that lines up: ticked parts stay; press one to see why. Press a row above to"
                    + " open that part.",
                "answer"));
    head.setStyle("-fx-alignment: center-left;");
    VBox list = new VBox(1);
    ToggleGroup group = new ToggleGroup();
    for (Part part : Part.values()) {
      list.getChildren().add(row(part, group));
    }
    list.setMinWidth(LIST_WIDTH);
    list.setPrefWidth(LIST_WIDTH);
    reasons.setId("reasons");
    VBox opened = new VBox(reasons, part);
    opened.setMinWidth(LEAST_OPENED);
    opened.managedProperty().bind(reasons.visibleProperty().or(part.visibleProperty()));
    reasons.managedProperty().bind(reasons.visibleProperty());
    part.managedProperty().bind(part.visibleProperty());
    reasons.setVisible(false);
    Label caution =
        line(
            "A shorted pack welds tools: rings off, insulated tools, fuse fitted last. Above 60 V"
                + " DC a touch can kill; local codes and a licensed person first.",
            "caution");
    caution.setMaxWidth(Double.MAX_VALUE);
    getChildren().addAll(chain, figureRow, head, new Beside(list, opened), caution);
  }

  private void figure(Bench bench, String name, Headline headline) {
    figures.put(headline, bench.figure(name, headline));
  }

  private HBox row(Part part, ToggleGroup group) {
    String id = part.name().toLowerCase(Locale.ROOT);
    CheckBox lock = new CheckBox();
    lock.setId("lock-" + id);
    lock.setAccessibleText("Keep the " + part.label() + " as it is");
    lock.setOnAction(
        e ->
            session.edit(
                "Lock " + part.label(),
                Station.GUARD,
                p -> PackGuard.FIRST.write(p, g -> g.withLocked(part, lock.isSelected()))));
    ToggleButton choice = new ToggleButton();
    choice.setId("choice-" + id);
    choice.getStyleClass().setAll("toggle-button", "cell-row", "tight");
    choice.setToggleGroup(group);
    choice.setMaxWidth(Double.MAX_VALUE);
    choice.setOnAction(
        e -> {
          choice.setSelected(true);
          pointed = part;
          this.part.setVisible(false);
          reasons.setVisible(true);
          reason();
        });
    rows.add(new Row(part, lock, choice));
    HBox.setHgrow(choice, Priority.ALWAYS);
    HBox both = new HBox(4, lock, choice);
    both.setStyle("-fx-alignment: center-left;");
    return both;
  }

  /** Opens a part of the circuit to its rows of the stress table. */
  private void open(Link link) {
    reasons.setVisible(false);
    part.setVisible(true);
    if (forecast != null) {
      part.show(forecast.circuit(), link);
    }
  }

  void show(Forecast f) {
    forecast = f;
    boolean reasoned = reasons.isVisible();
    chain.show(f.circuit());
    reasons.setVisible(reasoned);
    part.setVisible(!reasoned);
    figures.forEach((headline, view) -> view.show(Workings.figure(headline, f)));
    choosing.submit(() -> Selection.of(f.design(), parts).choices(), this::fill);
  }

  private void fill(List<Choice> found) {
    choices = found;
    Guard guard = session.project().variant().guard();
    for (Row row : rows) {
      row.lock().setSelected(guard.locked().contains(row.part()));
      String chosen = choice(row.part()).map(Choice::chosen).orElse("none in this school");
      row.choice().setText(row.part().label() + ": " + chosen);
      row.choice().setSelected(row.part() == pointed);
    }
    reason();
  }

  private Optional<Choice> choice(Part part) {
    return choices.stream().filter(c -> c.part() == part).findFirst();
  }

  /** Says why the part pointed at is suggested, and what its neighbours would do. */
  private void reason() {
    reasons.getChildren().clear();
    choice(pointed)
        .ifPresent(
            c -> {
              say(c.part().label() + ": " + c.chosen(), "title-line");
              say(c.why(), "reason");
              if (!c.smaller().isEmpty()) {
                say("Smaller: " + c.smaller(), "reason");
              }
              if (!c.larger().isEmpty()) {
                say("Larger: " + c.larger(), "reason");
              }
            });
  }

  private void say(String text, String style) {
    reasons.getChildren().add(line(text, style));
  }

  private static Label line(String text, String style) {
    Label line = new Label(text);
    line.getStyleClass().add(style);
    line.setWrapText(true);
    line.setMinHeight(USE_PREF_SIZE);
    return line;
  }

  private void suggest() {
    session.edit(
        "Suggested parts",
        Station.GUARD,
        p -> p.withDesign(p.design().withGuard(Selection.of(p.design(), parts).guard())));
  }
}
