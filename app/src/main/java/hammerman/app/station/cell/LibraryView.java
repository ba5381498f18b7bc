package hammerman.app.station.cell;

import hammerman.app.control.Facts;
import hammerman.app.job.Latest;
import hammerman.app.picture.Role;
import hammerman.app.station.Bench;
import hammerman.cell.CellType;
import hammerman.design.Design;
import hammerman.finding.Finding;
import hammerman.finding.Station;
import hammerman.forecast.Forecast;
import hammerman.forecast.Trial;
import hammerman.unit.Figures;
import hammerman.unit.Unit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import javafx.collections.FXCollections;
import javafx.collections.ObservableList;
import javafx.geometry.HPos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** The library as a list to filter and sort, the chosen cell beside it. */
final class LibraryView extends HBox {
  /** The most cells compared. */
  static final int MOST_COMPARED = 4;

  /** A column: its head, width, text, and the order when its head is pressed. */
  private record Column(
      String head, double width, Function<CellType, String> text, Comparator<CellType> order) {}

  private static final List<Column> COLUMNS =
      List.of(
          new Column("Cell", 148, CellType::name, Comparator.comparing(CellType::name)),
          new Column(
              "Chem.", 50, c -> c.chemistry().label(), Comparator.comparing(CellType::chemistry)),
          new Column(
              "Ah",
              46,
              c -> Figures.fixed(c.capacity(), 2),
              Comparator.comparingDouble(c -> -c.capacity())),
          new Column(
              "mΩ",
              44,
              c -> Figures.compact(c.r10() * 1e3),
              Comparator.comparingDouble(CellType::r10)),
          new Column(
              "A cont/10 s",
              74,
              c ->
                  Figures.plain(c.currents().continuous())
                      + "/"
                      + Figures.plain(c.currents().peak()),
              Comparator.comparingDouble(c -> -c.currents().continuous())),
          new Column(
              "g",
              44,
              c -> Figures.plain(c.mass() * 1e3),
              Comparator.comparingDouble(CellType::mass)),
          new Column(
              "Price",
              48,
              c -> Figures.fixed(c.price(), 2),
              Comparator.comparingDouble(CellType::price)));

  private static final double VERDICT_WIDTH = 76;

  private final Bench bench;
  private final VBox rows = new VBox();
  private final ToggleGroup group = new ToggleGroup();
  private final Facts facts = new Facts("fact-name", "fact-value");
  private final Label name = new Label();
  private final CellCurve curve = new CellCurve();
  private final Latest curves = new Latest("cell-curves");
  private final Latest trials = new Latest("cell-trials");
  private final TextField filter = new TextField();
  private final ObservableList<String> compared = FXCollections.observableArrayList();
  private final Map<CellType, Label> verdicts = new HashMap<>();
  private List<CellType> listed = List.of();
  private Optional<Comparator<CellType>> order = Optional.empty();

  LibraryView(Bench bench) {
    super(20);
    this.bench = bench;
    filter.setPromptText("Filter by words, such as LFP, power or 18 mm");
    filter.setId("cell-filter");
    filter.setAccessibleText("Filter the cells");
    filter.textProperty().addListener((o, was, is) -> refresh());
    HBox.setHgrow(filter, Priority.ALWAYS);
    GridPane head = line();
    for (int c = 0; c < COLUMNS.size(); c++) {
      Column column = COLUMNS.get(c);
      Button button = new Button(column.head());
      button.getStyleClass().setAll("column-head");
      button.setAccessibleText("Sort by " + column.head());
      button.setId("cell-sort-" + c);
      button.setOnAction(
          e -> {
            order = Optional.of(column.order());
            refresh();
          });
      GridPane.setHalignment(button, c < 2 ? HPos.LEFT : HPos.RIGHT);
      head.add(button, c, 0);
    }
    Label counts = new Label("These counts");
    counts.getStyleClass().add("table-head");
    GridPane.setHalignment(counts, HPos.RIGHT);
    head.add(counts, COLUMNS.size(), 0);
    head.setStyle("-fx-padding: 0 9 0 33;");
    ScrollPane scroll = new ScrollPane(rows);
    scroll.setFitToWidth(true);
    scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
    scroll.getStyleClass().add("page");
    scroll.setFocusTraversable(false);
    VBox.setVgrow(scroll, Priority.ALWAYS);
    VBox list = new VBox(4, filter, head, scroll);
    list.setMinWidth(584);
    name.getStyleClass().add("question");
    facts.setVgap(2);
    VBox.setVgrow(curve, Priority.ALWAYS);
    curve.setPrefHeight(220);
    Label caution =
        new Label(
            "Reclaimed cells: never revive one that sat below its cut-off, and put aside any that"
                + " is dented, corroded or warm at rest.");
    caution.getStyleClass().add("caution");
    caution.setMinHeight(Label.USE_PREF_SIZE);
    VBox chosen = new VBox(8, name, facts, curve, caution);
    setHgrow(chosen, Priority.ALWAYS);
    getChildren().addAll(list, chosen);
    bench.session().shelf().cellsProperty().addListener((o, was, is) -> refresh());
  }

  /** Ids of the cells ticked to be compared. */
  ObservableList<String> compared() {
    return compared;
  }

  void show(Forecast f) {
    CellType cell = f.design().pack().cell();
    list(cell);
    rows.getChildren()
        .forEach(
            n -> {
              ToggleButton row = (ToggleButton) ((HBox) n).getChildren().get(1);
              row.setSelected(cell.equals(row.getUserData()));
            });
    facts(f);
    curves.submit(
        () -> lines(f),
        made ->
            curve.show(
                "Voltage of one cell at "
                    + Figures.of(f.design().duty().surroundings().coldestInUse(), Unit.CELSIUS, 0)
                    + ", V",
                made));
    List<CellType> cells = listed;
    trials.submit(
        () ->
            cells.stream()
                .map(c -> Trial.of(f.design().withCell(c), f.chain().path().assembly()).worst())
                .toList(),
        found -> verdicts(cells, found));
  }

  private void refresh() {
    show(bench.session().forecastProperty().get());
  }

  private static List<CellCurve.Line> lines(Forecast f) {
    Design d = f.design();
    CellType cell = d.pack().cell();
    double cold = d.duty().surroundings().coldestInUse();
    double steady = f.chain().demand().continuous() / d.pack().parallel();
    double peak = f.chain().demand().peak() / d.pack().parallel();
    return List.of(
        DutyCurves.rest(cell),
        DutyCurves.discharge(
            Figures.of(steady, Unit.AMPERE) + ", heaviest ten minutes",
            Role.HOT,
            1.2,
            d,
            cell,
            steady,
            cold),
        DutyCurves.discharge(
            Figures.of(peak, Unit.AMPERE) + ", hardest moment",
            Role.HOT,
            2.8,
            d,
            cell,
            peak,
            cold));
  }

  /** Lists what the filter lets pass, and the design's own cell if it is not in the library. */
  private void list(CellType chosen) {
    List<CellType> cells = new ArrayList<>(bench.session().library().cells());
    if (!cells.contains(chosen)) {
      cells.addFirst(chosen);
    }
    String[] words = filter.getText().toLowerCase(Locale.ROOT).strip().split("\\s+");
    cells.removeIf(c -> !matches(c, words));
    order.ifPresent(cells::sort);
    if (!cells.equals(listed)) {
      listed = List.copyOf(cells);
      verdicts.clear();
      rows.getChildren().setAll(cells.stream().map(this::row).toList());
    }
  }

  private static boolean matches(CellType c, String[] words) {
    String text =
        (c.id() + " " + c.name() + " " + c.chemistry().label() + " " + c.source())
            .toLowerCase(Locale.ROOT);
    for (String word : words) {
      if (!text.contains(word)) {
        return false;
      }
    }
    return true;
  }

  private Node row(CellType cell) {
    GridPane line = line();
    for (int c = 0; c < COLUMNS.size(); c++) {
      Label label = new Label(COLUMNS.get(c).text().apply(cell));
      label.getStyleClass().add(c < 2 ? "name" : "data");
      GridPane.setHalignment(label, c < 2 ? HPos.LEFT : HPos.RIGHT);
      line.add(label, c, 0);
    }
    Label verdict = new Label();
    verdict.getStyleClass().add("verdict");
    verdicts.put(cell, verdict);
    GridPane.setHalignment(verdict, HPos.RIGHT);
    line.add(verdict, COLUMNS.size(), 0);
    ToggleButton row = new ToggleButton();
    row.setGraphic(line);
    row.getStyleClass().setAll("cell-row");
    row.setUserData(cell);
    row.setToggleGroup(group);
    row.setMaxWidth(Double.MAX_VALUE);
    row.setId("cell-" + cell.id());
    row.setAccessibleText(
        "%s, %s, %s, %s"
            .formatted(
                cell.name(),
                cell.chemistry().label(),
                Figures.exact(cell.capacity(), Unit.AMPERE_HOUR),
                Figures.of(cell.r10(), Unit.MILLIOHM)));
    row.setOnAction(
        e -> {
          bench.session().editDesign("Cell", Station.CELL, d -> d.withCell(cell));
          row.setSelected(true);
        });
    setHgrow(row, Priority.ALWAYS);
    HBox both = new HBox(tick(cell), row);
    both.setStyle("-fx-alignment: center-left;");
    return both;
  }

  private CheckBox tick(CellType cell) {
    CheckBox tick = new CheckBox();
    tick.setId("compare-" + cell.id());
    tick.setAccessibleText("Compare " + cell.name());
    tick.setSelected(compared.contains(cell.id()));
    tick.setOnAction(
        e -> {
          compared.remove(cell.id());
          if (tick.isSelected() && compared.size() < MOST_COMPARED) {
            compared.add(cell.id());
          }
          tick.setSelected(compared.contains(cell.id()));
        });
    return tick;
  }

  /** Shows how each cell would do at the present counts. */
  private void verdicts(List<CellType> cells, List<Optional<Finding>> found) {
    for (int k = 0; k < cells.size(); k++) {
      Label label = verdicts.get(cells.get(k));
      if (label != null) {
        Optional<Finding> worst = found.get(k);
        label.setText(worst.map(Finding::word).orElse("serves"));
        String style =
            worst.map(j -> j.severity().name().toLowerCase(Locale.ROOT)).orElse("serves");
        if (!label.getStyleClass().contains(style)) {
          label.getStyleClass().setAll("label", "verdict", style);
        }
      }
    }
  }

  private static GridPane line() {
    GridPane line = new GridPane();
    for (Column column : COLUMNS) {
      line.getColumnConstraints().add(new ColumnConstraints(column.width()));
    }
    line.getColumnConstraints().add(new ColumnConstraints(VERDICT_WIDTH));
    return line;
  }

  private void facts(Forecast f) {
    CellType cell = f.design().pack().cell();
    name.setText(cell.name());
    var t = cell.temperatures();
    int p = f.design().pack().parallel();
    facts.show(
        List.of(
            List.of("Size", cell.format().sizeText()),
            List.of(
                "Full / cut-off",
                Figures.fixed(cell.fullVoltage(), 2)
                    + " / "
                    + Figures.of(cell.cutOffVoltage(), Unit.VOLT, 2)),
            List.of(
                "Draws of rated",
                Figures.number(f.chain().demand().continuous() / p)
                    + " of "
                    + Figures.of(cell.currents().continuous(), Unit.AMPERE)),
            List.of(
                "Charged with", Figures.of(f.design().guard().charge().current() / p, Unit.AMPERE)),
            List.of(
                "Charge, kind / fast",
                Figures.compact(cell.currents().standardCharge())
                    + " / "
                    + Figures.exact(cell.currents().fastCharge(), Unit.AMPERE)),
            List.of("Charge from", Figures.of(t.chargeLowest(), Unit.CELSIUS, 0) + " up"),
            List.of("Hottest allowed", Figures.of(t.dischargeHighest(), Unit.CELSIUS, 0)),
            List.of("Energy per mass", SideBySide.perMass(cell)),
            List.of("Price per Wh", SideBySide.pricePerEnergy(cell)),
            List.of("Figures", cell.source())));
  }
}
