package hammerman.app.station.stack;

import hammerman.app.job.Latest;
import hammerman.app.session.Session;
import hammerman.cell.CellLibrary;
import hammerman.design.Design;
import hammerman.finding.Station;
import hammerman.search.Candidate;
import hammerman.search.Search;
import hammerman.search.Weights;
import hammerman.unit.Figures;
import hammerman.unit.Unit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.function.Consumer;
import java.util.function.Function;
import javafx.application.Platform;
import javafx.geometry.HPos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ProgressBar;
import javafx.scene.control.Slider;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import org.jspecify.annotations.Nullable;

/** The search over every cell and count: a ranking, a scatter, and a press that makes a variant. */
final class SearchView extends VBox {
  private static final int ROWS = 11;
  private static final List<String> QUALITIES =
      List.of("Light", "Cheap", "Lasting", "Reserve", "Cool");

  /** A column: its head, its text, and its order when its head is pressed. */
  private record Column(
      String head, double width, Function<Candidate, String> text, Comparator<Candidate> order) {}

  private static final List<Column> COLUMNS =
      List.of(
          new Column(
              "Cell",
              190,
              c -> c.design().pack().cell().name(),
              Comparator.comparing(c -> c.design().pack().cell().name())),
          new Column(
              "Counts",
              74,
              Candidate::counts,
              Comparator.comparingInt(c -> c.design().pack().cells())),
          new Column(
              "Wh",
              74,
              c -> Figures.number(Unit.WATT_HOUR.fromCore(c.design().pack().energy())),
              Comparator.comparingDouble(c -> -c.design().pack().energy())),
          new Column(
              "kg", 74, c -> Figures.number(c.mass()), Comparator.comparingDouble(Candidate::mass)),
          new Column(
              "Cost",
              74,
              c -> Figures.fixed(c.cost(), 0),
              Comparator.comparingDouble(Candidate::cost)),
          new Column(
              "Years",
              74,
              c -> Figures.fixed(c.years(), 1),
              Comparator.comparingDouble(c -> -c.years())),
          new Column(
              "Left",
              74,
              c -> Figures.of(c.margin(), Unit.PERCENT, 0),
              Comparator.comparingDouble(c -> -c.margin())),
          new Column(
              "Hottest",
              74,
              c -> Figures.of(c.peakTemperature(), Unit.CELSIUS, 0),
              Comparator.comparingDouble(Candidate::peakTemperature)),
          new Column(
              "Sag to",
              74,
              c -> Figures.of(c.sag(), Unit.VOLT, 1),
              Comparator.comparingDouble(c -> -c.sag())));

  private final Session session;
  private final Consumer<Search> found;
  private final Latest searching = new Latest("search");
  private final List<Slider> weights = new ArrayList<>();
  private final GridPane head = line();
  private final VBox rows = new VBox();
  private final Label words = new Label();
  private final ProgressBar progress = new ProgressBar(0);
  private final Button cancel = new Button("Cancel");
  private final SearchScatter scatter = new SearchScatter();
  private Comparator<Candidate> order = Comparator.comparingDouble(Candidate::score);
  private @Nullable Search result;
  private @Nullable Design searched;

  /**
   * @param found told the ranking whenever it changes
   */
  SearchView(Session session, Consumer<Search> found) {
    super(6);
    this.session = session;
    this.found = found;
    HBox choose = new HBox(14);
    for (String quality : QUALITIES) {
      choose.getChildren().add(weight(quality));
    }
    Label by = new Label("What counts");
    by.getStyleClass().add("fact-name");
    progress.setPrefWidth(110);
    progress.visibleProperty().bind(searching.busyProperty());
    cancel.setId("cancel-search");
    cancel.getStyleClass().addAll("plain", "small");
    cancel.visibleProperty().bind(searching.busyProperty());
    cancel.setOnAction(e -> cancel());
    HBox top = new HBox(12, by, choose, progress, cancel);
    top.setStyle("-fx-alignment: center-left;");
    for (int c = 0; c < COLUMNS.size(); c++) {
      Column column = COLUMNS.get(c);
      Button b = new Button(column.head());
      b.getStyleClass().setAll("column-head");
      b.setAccessibleText("Sort by " + column.head());
      b.setId("search-sort-" + c);
      b.setOnAction(
          e -> {
            order = column.order();
            fill();
          });
      GridPane.setHalignment(b, c == 0 ? HPos.LEFT : HPos.RIGHT);
      head.add(b, c, 0);
    }
    head.setStyle("-fx-padding: 0 9 0 9;");
    words.getStyleClass().add("answer");
    words.setId("search-found");
    rows.setId("search-rows");
    VBox.setVgrow(scatter, Priority.ALWAYS);
    getChildren().addAll(top, words, head, rows, scatter);
  }

  private VBox weight(String quality) {
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
                rank();
              }
            });
    name.run();
    weights.add(slider);
    return new VBox(0, label, slider);
  }

  /** Searches for a design's duty, unless that was just done; the list grows while it runs. */
  void show(Design design) {
    if (design.equals(searched)) {
      return;
    }
    searched = design;
    progress.setProgress(0);
    CellLibrary cells = session.library();
    Weights chosen = weights();
    int all = cells.cells().size() * Search.MOST_SERIES * Search.MOST_PARALLEL;
    searching.submit(
        () ->
            Search.of(
                design,
                cells,
                chosen,
                soFar ->
                    Platform.runLater(
                        () -> {
                          progress.setProgress((double) soFar.tried() / all);
                          take(design, soFar);
                        }),
                () -> Thread.currentThread().isInterrupted()),
        whole -> take(design, whole));
  }

  private void cancel() {
    searching.cancel();
    searched = null;
    words.setText("Cancelled; what was found so far is below.");
  }

  private void take(Design design, Search search) {
    if (design.equals(searched)) {
      result = search.ranked(weights());
      fill();
    }
  }

  private void rank() {
    order = Comparator.comparingDouble(Candidate::score);
    if (result != null) {
      result = result.ranked(weights());
      fill();
    }
  }

  private Weights weights() {
    double[] w = weights.stream().mapToDouble(s -> Math.rint(s.getValue())).toArray();
    return new Weights(w[0], w[1], w[2], w[3], w[4]);
  }

  private void fill() {
    Search search = result;
    if (search == null) {
      return;
    }
    words.setText(
        search.candidates().isEmpty()
            ? "None of %d pairs serves the duty within its limits. Ease the mass, room or budget, or the duty."
                .formatted(search.tried())
            : "%d of %d pairs serve; ● nothing beats it in everything. Press one for a variant."
                .formatted(search.candidates().size(), search.tried()));
    rows.getChildren()
        .setAll(search.candidates().stream().sorted(order).limit(ROWS).map(this::row).toList());
    scatter.show(search.candidates());
    found.accept(search);
  }

  private Button row(Candidate c) {
    GridPane line = line();
    for (int k = 0; k < COLUMNS.size(); k++) {
      String text = COLUMNS.get(k).text().apply(c);
      Label label = new Label(k == 0 ? (c.best() ? "● " : "○ ") + text : text);
      label.getStyleClass().add(k == 0 ? "name" : "data");
      GridPane.setHalignment(label, k == 0 ? HPos.LEFT : HPos.RIGHT);
      line.add(label, k, 0);
    }
    Button row = new Button();
    row.setGraphic(line);
    row.getStyleClass().setAll("cell-row", "tight");
    row.setMaxWidth(Double.MAX_VALUE);
    String name = name(c);
    row.setAccessibleText("Make a variant of " + name);
    row.setOnAction(e -> makeVariant(session, c));
    return row;
  }

  static String name(Candidate c) {
    return c.design().pack().cell().name() + " " + c.counts();
  }

  static void makeVariant(Session session, Candidate c) {
    String name = name(c);
    session.edit("Variant " + name, Station.STACK, p -> p.plusVariant(name).withDesign(c.design()));
  }

  private static GridPane line() {
    GridPane line = new GridPane();
    for (Column column : COLUMNS) {
      line.getColumnConstraints().add(new ColumnConstraints(column.width()));
    }
    return line;
  }
}
