package hammerman.app.station.stack;

import hammerman.app.job.Latest;
import hammerman.app.session.Session;
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
import java.util.function.Function;
import javafx.application.Platform;
import javafx.geometry.HPos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import org.jspecify.annotations.Nullable;

/** The search over every cell and count: a ranking, a scatter, and a press that makes a variant. */
final class SearchSheet extends VBox {
  private static final int ROWS = 10;

  /** A column: its head, its text, and its order when its head is pressed. */
  private record Column(
      String head, double width, Function<Candidate, String> text, Comparator<Candidate> order) {}

  private static final List<Column> COLUMNS =
      List.of(
          new Column(
              "Cell",
              150,
              c -> c.design().pack().cell().name(),
              Comparator.comparing(c -> c.design().pack().cell().name())),
          new Column(
              "Counts",
              64,
              Candidate::counts,
              Comparator.comparingInt(c -> c.design().pack().cells())),
          new Column(
              "Wh",
              56,
              c -> Figures.number(Unit.WATT_HOUR.fromCore(c.design().pack().energy())),
              Comparator.comparingDouble(c -> -c.design().pack().energy())),
          new Column(
              "kg", 54, c -> Figures.number(c.mass()), Comparator.comparingDouble(Candidate::mass)),
          new Column(
              "Cost",
              54,
              c -> Figures.fixed(c.cost(), 0),
              Comparator.comparingDouble(Candidate::cost)),
          new Column(
              "Years",
              54,
              c -> Figures.fixed(c.years(), 1),
              Comparator.comparingDouble(c -> -c.years())),
          new Column(
              "Left",
              54,
              c -> Figures.of(c.margin(), Unit.PERCENT, 0),
              Comparator.comparingDouble(c -> -c.margin())),
          new Column(
              "Hottest",
              62,
              c -> Figures.of(c.peakTemperature(), Unit.CELSIUS, 0),
              Comparator.comparingDouble(Candidate::peakTemperature)));

  private final Session session;
  private final Latest searching = new Latest("search");
  private final List<ToggleButton> qualities = new ArrayList<>();
  private final GridPane head = line();
  private final VBox rows = new VBox();
  private final Label found = new Label();
  private final SearchScatter scatter = new SearchScatter();
  private Comparator<Candidate> order = Comparator.comparingDouble(Candidate::score);
  private @Nullable Search result;
  private @Nullable Design searched;

  SearchSheet(Session session) {
    super(6);
    this.session = session;
    HBox choose = new HBox(4);
    for (String word : List.of("Light", "Cheap", "Lasting", "Reserve", "Cool")) {
      ToggleButton b = new ToggleButton(word);
      b.getStyleClass().add("segment");
      b.setSelected(true);
      b.setAccessibleText("Rank by " + word.toLowerCase(Locale.ROOT));
      b.setId("rank-" + word.toLowerCase(Locale.ROOT));
      b.setOnAction(e -> rank());
      qualities.add(b);
      choose.getChildren().add(b);
    }
    Label by = new Label("Rank by");
    by.getStyleClass().add("fact-name");
    HBox top = new HBox(8, by, choose);
    top.setStyle("-fx-alignment: center-left;");
    for (int c = 0; c < COLUMNS.size(); c++) {
      Column column = COLUMNS.get(c);
      Button b = new Button(column.head());
      b.getStyleClass().setAll("column-head");
      b.setAccessibleText("Sort by " + column.head());
      b.setOnAction(
          e -> {
            order = column.order();
            fill();
          });
      GridPane.setHalignment(b, c == 0 ? HPos.LEFT : HPos.RIGHT);
      head.add(b, c, 0);
    }
    head.setStyle("-fx-padding: 0 9 0 9;");
    found.getStyleClass().add("answer");
    found.setId("search-found");
    rows.setId("search-rows");
    VBox.setVgrow(scatter, Priority.ALWAYS);
    getChildren().addAll(top, found, head, rows, scatter);
  }

  /** Searches for a design's duty, unless that was just done; the list grows while it runs. */
  void show(Design design) {
    if (design.equals(searched)) {
      return;
    }
    searched = design;
    var cells = session.library();
    Weights weights = weights();
    searching.submit(
        () ->
            Search.of(
                design,
                cells,
                weights,
                soFar -> Platform.runLater(() -> take(design, soFar)),
                () -> Thread.currentThread().isInterrupted()),
        whole -> take(design, whole));
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
    double[] w = qualities.stream().mapToDouble(b -> b.isSelected() ? 1 : 0).toArray();
    return new Weights(w[0], w[1], w[2], w[3], w[4]);
  }

  private void fill() {
    Search search = result;
    if (search == null) {
      return;
    }
    found.setText(
        "%d of %d pairs serve; ● nothing beats it in everything. Press one for a variant."
            .formatted(search.candidates().size(), search.tried()));
    rows.getChildren()
        .setAll(search.candidates().stream().sorted(order).limit(ROWS).map(this::row).toList());
    scatter.show(search.candidates());
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
    String name = c.design().pack().cell().name() + " " + c.counts();
    row.setAccessibleText("Make a variant of " + name);
    row.setOnAction(
        e ->
            session.edit(
                "Variant " + name, Station.STACK, p -> p.plusVariant(name).withDesign(c.design())));
    return row;
  }

  private static GridPane line() {
    GridPane line = new GridPane();
    for (Column column : COLUMNS) {
      line.getColumnConstraints().add(new ColumnConstraints(column.width()));
    }
    return line;
  }
}
