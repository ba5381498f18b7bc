package hammerman.app.station.cell;

import hammerman.app.control.Beside;
import hammerman.app.control.Column;
import hammerman.app.control.Facts;
import hammerman.app.control.FewTicks;
import hammerman.app.control.RecordTable;
import hammerman.app.control.Words;
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
import javafx.beans.InvalidationListener;
import javafx.collections.ObservableList;
import javafx.scene.control.Label;
import javafx.scene.layout.Priority;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;

/** The library as a list to filter and sort, the chosen cell beside it. */
final class LibraryView extends StackPane {
  /** The most cells compared. */
  static final int MOST_COMPARED = 4;

  private final Bench bench;
  private final RecordTable<CellType> table;
  private final Facts facts = new Facts("fact-name", "fact-value");
  private final Label name = new Label();
  private final Words source = new Words("fact-name");
  private final CellCurve curve = new CellCurve();
  private final Latest curves = Latest.ofDetails("cell-curves");
  private final Latest trials = Latest.ofDetails("cell-trials");
  private final Words refused = new Words("complaint", "compare-refused");
  private final FewTicks<CellType, String> ticks =
      new FewTicks<>(CellType::id, 0, MOST_COMPARED, refused::setText);

  /** What each cell comes to at the present counts; empty while it serves. */
  private final Map<CellType, Optional<Finding>> verdicts = new HashMap<>();

  LibraryView(Bench bench) {
    this.bench = bench;
    table =
        new RecordTable<>("cells", "the cells", "No cell has these words.", columns())
            .alsoFiltered(
                "Filter by words, such as LFP, power or 18 mm", c -> c.id() + " " + c.source())
            .withTicks("Compare", c -> "compare-" + c.id(), ticks)
            .withRows(c -> "cell-" + c.id(), LibraryView::spoken)
            .onPick(c -> bench.session().editDesign("Cell", Station.CELL, d -> d.withCell(c)));
    table.setMinHeight(240);
    name.getStyleClass().add("question");
    facts.setVgap(2);
    facts.setId("cell-facts");
    curve.setPrefHeight(220);
    curve.setMinHeight(160);
    Words caution =
        Words.caution(
            "Reclaimed cells: never revive one that sat below its cut-off, and put aside any that"
                + " is dented, corroded or warm at rest.");
    facts.setMinWidth(264);
    curve.setMinWidth(264);
    Beside both = new Beside(facts, curve);
    VBox.setVgrow(both, Priority.ALWAYS);
    VBox chosen = new VBox(8, name, source, both, caution);
    chosen.setMinWidth(264);
    ticks.ticked().addListener((InvalidationListener) o -> refused.setText(""));
    VBox.setVgrow(table, Priority.ALWAYS);
    VBox choice = new VBox(4, table, refused);
    choice.minWidthProperty().bind(table.minWidthProperty());
    choice.setPrefWidth(612);
    getChildren().add(new Beside(choice, chosen));
    bench.session().shelf().cellsProperty().addListener((o, was, is) -> refresh());
  }

  /** Ids of the cells ticked to be compared. */
  ObservableList<String> compared() {
    return ticks.ticked();
  }

  void show(Forecast f) {
    CellType cell = f.design().pack().cell();
    List<CellType> cells = new ArrayList<>(bench.session().library().cells());
    if (!cells.contains(cell)) {
      cells.addFirst(cell);
    }
    table.show(cells);
    table.choose(cell);
    facts(f);
    curves.submit(
        () -> lines(f),
        made ->
            curve.show(
                "Voltage of one cell at "
                    + Figures.of(f.design().duty().surroundings().coldestInUse(), Unit.CELSIUS, 0)
                    + ", V",
                made));
    tryAll(cells, f);
  }

  private void tryAll(List<CellType> cells, Forecast f) {
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

  private List<Column<CellType>> columns() {
    return List.of(
        Column.words("Cell", 158, CellType::name),
        Column.words("Chem.", 54, c -> c.chemistry().label()),
        Column.figures(
            "Ah",
            54,
            c -> Figures.fixed(c.capacity(), 2),
            Comparator.comparingDouble(c -> -c.capacity())),
        Column.figures(
            "mΩ",
            42,
            c -> Figures.compact(c.r10() * 1e3),
            Comparator.comparingDouble(CellType::r10)),
        Column.figures(
            "A cont/10 s",
            78,
            c ->
                Figures.plain(c.currents().continuous()) + "/" + Figures.plain(c.currents().peak()),
            Comparator.comparingDouble(c -> -c.currents().continuous())),
        Column.figures(
            "g",
            42,
            c -> Figures.plain(c.mass() * 1e3),
            Comparator.comparingDouble(CellType::mass)),
        Column.figures(
            "Price",
            52,
            c -> Figures.fixed(c.price(), 2),
            Comparator.comparingDouble(CellType::price)),
        Column.words("These counts", 90, this::verdict).styled(this::verdictStyle));
  }

  private String verdict(CellType c) {
    Optional<Finding> worst = verdicts.get(c);
    return worst == null ? "" : worst.map(Finding::word).orElse("serves");
  }

  private String verdictStyle(CellType c) {
    Optional<Finding> worst = verdicts.get(c);
    return worst == null
        ? "verdict"
        : worst.map(j -> j.severity().name().toLowerCase(Locale.ROOT)).orElse("serves");
  }

  private static String spoken(CellType c) {
    return "%s, %s, %s, %s"
        .formatted(
            c.name(),
            c.chemistry().label(),
            Figures.exact(c.capacity(), Unit.AMPERE_HOUR),
            Figures.of(c.r10(), Unit.MILLIOHM));
  }

  private void verdicts(List<CellType> cells, List<Optional<Finding>> found) {
    List<String> was = cells.stream().map(c -> verdict(c) + verdictStyle(c)).toList();
    verdicts.clear();
    for (int k = 0; k < cells.size(); k++) {
      verdicts.put(cells.get(k), found.get(k));
    }
    if (!cells.stream().map(c -> verdict(c) + verdictStyle(c)).toList().equals(was)) {
      table.refresh();
    }
  }

  private void facts(Forecast f) {
    CellType cell = f.design().pack().cell();
    name.setText(cell.name());
    source.setText("Figures: " + cell.source());
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
                "Standard / fast charge",
                Figures.compact(cell.currents().standardCharge())
                    + " / "
                    + Figures.exact(cell.currents().fastCharge(), Unit.AMPERE)),
            List.of("Charge from", Figures.of(t.chargeLowest(), Unit.CELSIUS, 0) + " up"),
            List.of("Hottest allowed", Figures.of(t.dischargeHighest(), Unit.CELSIUS, 0)),
            List.of("Energy per mass", SideBySide.perMass(cell)),
            List.of(
                "Price per Wh",
                SideBySide.pricePerEnergy(cell, f.design().duty().bounds().prices()))));
  }
}
