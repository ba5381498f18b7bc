package hammerman.app.station.stack;

import hammerman.app.control.Beside;
import hammerman.app.control.TypedField;
import hammerman.app.job.Latest;
import hammerman.app.session.Session;
import hammerman.app.station.Page;
import hammerman.finding.Finding;
import hammerman.finding.Station;
import hammerman.forecast.Forecast;
import hammerman.forecast.Headline;
import hammerman.forecast.Workings;
import hammerman.project.Project;
import hammerman.unit.InvalidValue;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Function;
import javafx.beans.binding.Bindings;
import javafx.geometry.HPos;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** The variants of the project: made, named, removed, and up to four of them side by side. */
final class VariantsView extends VBox {
  /** The most variants shown beside each other. */
  private static final int MOST = 4;

  private static final double LIST_HEIGHT = 114;

  /** Charts stand beside each other where each has this, px. */
  private static final double LEAST_CHART = 300;

  /**
   * A variant with its forecast.
   *
   * @param name what it is called
   * @param forecast its results
   */
  record Column(String name, Forecast forecast) {}

  /** A row: its name, and what it says of a forecast. */
  private record Row(String name, Function<Forecast, String> text) {}

  private static final List<Row> ROWS =
      List.of(
          new Row("Cell", f -> f.design().pack().cell().name()),
          new Row("Stack", f -> f.design().pack().counts()),
          figure("Full voltage", Headline.FULL_VOLTAGE),
          figure("Capacity", Headline.CAPACITY),
          figure("Energy", Headline.ENERGY),
          figure("Mass", Headline.MASS),
          figure("Cells cost", Headline.COST),
          new Row("Serves the duty", f -> f.duty().served() ? "yes" : "no"),
          figure("Until it ends", Headline.RUN_TIME),
          figure("Hardest moment at 20 %", Headline.SAG),
          figure("Per cell then", Headline.CURRENT_PER_CELL),
          figure("Hottest cell", Headline.PEAK_TEMPERATURE),
          figure("Charge time", Headline.CHARGE_TIME),
          figure("Life", Headline.LIFE),
          new Row(
              "Judgements",
              f -> f.judgements().isEmpty() ? "none" : Finding.tally(f.judgements())));

  private final Session session;
  private final VBox list = new VBox(4);
  private final GridPane table = new GridPane();
  private final Label words = new Label();
  private final VariantsChart voltage = new VariantsChart(VariantsChart.Kind.VOLTAGE);
  private final VariantsChart life = new VariantsChart(VariantsChart.Kind.LIFE);
  private final Latest forecasting = new Latest("variants");
  private final Set<Integer> left = new TreeSet<>();

  VariantsView(Session session) {
    super(8);
    this.session = session;
    words.getStyleClass().add("answer");
    words.setId("variants-words");
    table.setId("comparison");
    table.setHgap(24);
    table.setVgap(0);
    VBox left = chart("Voltage at the machine, until the pack ends", voltage);
    Beside charts = new Beside(left, chart("Capacity over the years", life));
    left.prefWidthProperty().bind(charts.widthProperty().divide(2));
    VBox.setVgrow(charts, Priority.ALWAYS);
    ScrollPane scroll = new ScrollPane(list);
    scroll.setFitToWidth(true);
    scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
    scroll.getStyleClass().add("page");
    scroll.setFocusTraversable(false);
    scroll.setMaxHeight(LIST_HEIGHT);
    scroll.minHeightProperty().bind(Bindings.min(LIST_HEIGHT, list.heightProperty().add(4)));
    getChildren().addAll(scroll, words, table, charts);
  }

  private static VBox chart(String name, VariantsChart picture) {
    VBox box = new VBox(2, Page.heading(name), picture);
    VBox.setVgrow(picture, Priority.ALWAYS);
    picture.setPrefSize(300, 120);
    picture.setMinHeight(120);
    box.setMinWidth(LEAST_CHART);
    return box;
  }

  void show() {
    Project project = session.project();
    int n = project.variants().size();
    left.removeIf(k -> k >= n);
    List<Node> rows = new ArrayList<>();
    for (int k = 0; k < n; k++) {
      rows.add(row(project, k));
    }
    list.getChildren().setAll(rows);
    List<Integer> chosen = chosen(n);
    words.setText(
        n == 1
            ? "There is one variant only: “Duplicate” copies it, the search makes others."
            : "≠ marks what differs. Untick a variant to leave it out; up to four are shown.");
    forecasting.submit(() -> columns(project, chosen), this::fill);
  }

  private List<Integer> chosen(int n) {
    List<Integer> chosen = new ArrayList<>();
    for (int k = 0; k < n && chosen.size() < MOST; k++) {
      if (!left.contains(k)) {
        chosen.add(k);
      }
    }
    return chosen;
  }

  private static List<Column> columns(Project project, List<Integer> chosen) {
    return chosen.stream()
        .map(project::withActive)
        .map(p -> new Column(p.variant().name(), Forecast.of(p.design())))
        .toList();
  }

  private Node row(Project project, int k) {
    Project.Variant v = project.variants().get(k);
    CheckBox tick = new CheckBox();
    tick.setId("show-variant-" + (k + 1));
    tick.setAccessibleText("Compare variant " + (k + 1));
    tick.setSelected(!left.contains(k));
    tick.setOnAction(
        e -> {
          if (tick.isSelected()) {
            left.remove(k);
          } else {
            left.add(k);
          }
          show();
        });
    TypedField name = new TypedField("Name of variant " + (k + 1), text -> rename(k, text));
    name.setId("variant-name-" + (k + 1));
    name.setPrefWidth(220);
    name.show(v.name());
    Label counts = new Label(v.pack().counts() + " " + v.pack().cell().name());
    counts.getStyleClass().add(k == project.active() ? "field-label" : "fact-name");
    counts.setMinWidth(190);
    Button work = button(k == project.active() ? "Worked on" : "Work on this", "use-variant", k);
    work.setDisable(k == project.active());
    work.setOnAction(e -> session.edit("Other variant", Station.STACK, p -> p.withActive(k)));
    Button copy = button("Duplicate", "copy-variant", k);
    copy.setOnAction(
        e ->
            session.edit(
                "Copy variant",
                Station.STACK,
                p -> p.withActive(k).plusVariant(v.name() + ", copy")));
    Button remove = button("Remove", "remove-variant", k);
    remove.setDisable(project.variants().size() == 1);
    remove.setOnAction(
        e -> session.edit("Remove variant", Station.STACK, p -> p.withActive(k).minusVariant()));
    HBox what = new HBox(8, tick, name, counts);
    what.setAlignment(Pos.CENTER_LEFT);
    HBox todo = new HBox(8, work, copy, remove);
    todo.setAlignment(Pos.CENTER_LEFT);
    FlowPane row = new FlowPane(8, 4, what, todo);
    row.setPrefWrapLength(700);
    row.setMinHeight(USE_PREF_SIZE);
    return row;
  }

  private static Button button(String words, String id, int k) {
    Button button = new Button(words);
    button.setId(id + "-" + (k + 1));
    button.setAccessibleText(words + ", variant " + (k + 1));
    button.getStyleClass().addAll("plain", "small");
    button.setMinWidth(USE_PREF_SIZE);
    return button;
  }

  private String rename(int k, String text) {
    if (k >= session.project().variants().size()) {
      // It was removed while its name was half typed.
      return "";
    }
    try {
      session.edit("Name of a variant", Station.STACK, p -> p.withVariantName(k, text.strip()));
      return "";
    } catch (InvalidValue e) {
      return String.valueOf(e.getMessage());
    }
  }

  private void fill(List<Column> columns) {
    table.getChildren().clear();
    table.getColumnConstraints().setAll(new ColumnConstraints(184));
    for (int c = 0; c < columns.size(); c++) {
      Label name = new Label(VariantsChart.letter(c) + " " + columns.get(c).name());
      name.getStyleClass().add("section-title");
      name.setMaxWidth(170);
      GridPane.setHalignment(name, HPos.RIGHT);
      table.add(name, c + 1, 0);
    }
    int row = 1;
    for (Row r : ROWS) {
      row(r.name(), columns.stream().map(Column::forecast).map(r.text()).toList(), row++);
    }
    voltage.show(columns);
    life.show(columns);
  }

  private void row(String name, List<String> values, int row) {
    boolean differs = values.stream().distinct().count() > 1;
    Label label = new Label((differs ? "≠ " : "   ") + name);
    label.getStyleClass().add(differs ? "field-label" : "fact-name");
    table.add(label, 0, row);
    for (int c = 0; c < values.size(); c++) {
      Label value = new Label(values.get(c));
      value.getStyleClass().add(differs ? "fact-value" : "fact-same");
      GridPane.setHalignment(value, HPos.RIGHT);
      table.add(value, c + 1, row);
    }
  }

  private static Row figure(String name, Headline headline) {
    return new Row(name, f -> Workings.figure(headline, f));
  }
}
