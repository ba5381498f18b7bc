package hammerman.app.station.cell;

import hammerman.app.control.Words;
import hammerman.app.job.Latest;
import hammerman.app.picture.Role;
import hammerman.app.session.Session;
import hammerman.app.station.Page;
import hammerman.cell.CellType;
import hammerman.design.Design;
import hammerman.finding.Finding;
import hammerman.forecast.Forecast;
import hammerman.forecast.Trial;
import hammerman.unit.Currency;
import hammerman.unit.Figures;
import hammerman.unit.Unit;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import javafx.collections.ObservableList;
import javafx.geometry.HPos;
import javafx.scene.control.Label;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** Two to four cells at the present counts, in one table and on one chart. */
final class SideBySide extends VBox {
  private static final Role[] ROLES = {Role.HOT, Role.COOL, Role.AMBER, Role.INK};
  private static final double[] THICKNESS = {2.4, 1.4, 3.2, 1};

  private final Session session;
  private final ObservableList<String> compared;
  private final Words words = new Words("answer", "beside-words");
  private final GridPane table = new GridPane();
  private final CellCurve chart = new CellCurve();
  private final Latest trials = new Latest("cells-beside");

  /** A cell with how it does at the present counts. */
  private record Column(
      CellType cell, Currency prices, Trial trial, double years, CellCurve.Line line) {}

  /** A row: its name and its text for a column. */
  private record Row(String name, Function<Column, String> text) {}

  private static final List<Row> ROWS =
      List.of(
          new Row("Chemistry", c -> c.cell().chemistry().label()),
          new Row("Capacity", c -> Figures.of(c.cell().capacity(), Unit.AMPERE_HOUR)),
          new Row("Resistance, 10 s", c -> Figures.of(c.cell().r10(), Unit.MILLIOHM)),
          new Row("Pack energy", c -> Figures.of(c.trial().energy(), Unit.WATT_HOUR)),
          new Row("Energy per mass", c -> perMass(c.cell())),
          new Row("Price per Wh", c -> pricePerEnergy(c.cell(), c.prices())),
          new Row("Pack mass", c -> Figures.of(c.trial().mass(), Unit.KILOGRAM)),
          new Row("Cells cost", c -> c.prices().money(c.trial().cost(), 0)),
          new Row("Hardest moment, 20 %", c -> Figures.of(c.trial().sag(), Unit.VOLT, 1)),
          new Row(
              "Heat in the duty",
              c -> Figures.of(c.trial().duty().totals().heat(), Unit.WATT_HOUR)),
          new Row("Hottest", c -> Figures.of(c.trial().peakTemperature(), Unit.CELSIUS, 0)),
          new Row("Left after the duty", c -> Figures.of(c.trial().margin(), Unit.PERCENT, 0)),
          new Row("Life", c -> Figures.fixed(c.years(), 1) + " years"),
          new Row("At these counts", c -> c.trial().worst().map(Finding::word).orElse("serves")),
          new Row("Figures", c -> c.cell().source()));

  SideBySide(Session session, ObservableList<String> compared) {
    super(10);
    this.session = session;
    this.compared = compared;
    table.setId("beside-table");
    table.setHgap(20);
    table.setVgap(2);
    chart.setMinHeight(160);
    VBox.setVgrow(chart, Priority.ALWAYS);
    getChildren().addAll(words, table, Page.heading("At the duty's heaviest ten minutes"), chart);
  }

  static String perMass(CellType cell) {
    return Figures.number(Unit.WATT_HOUR.fromCore(cell.energy()) / cell.mass()) + " Wh/kg";
  }

  static String pricePerEnergy(CellType cell, Currency prices) {
    return cell.price() > 0
        ? prices.of(Figures.number(cell.price() / Unit.WATT_HOUR.fromCore(cell.energy())))
        : "no price";
  }

  void show(Forecast f) {
    List<CellType> cells = chosen(f.design().pack().cell());
    words.setText(
        cells.size() < 2
            ? "Tick two to four cells in the library to see them here. The present one is always"
                + " first."
            : "The same counts, "
                + f.design().pack().counts()
                + ", with each cell; the present one first.");
    trials.submit(() -> columns(f, cells), this::fill);
  }

  private List<CellType> chosen(CellType present) {
    List<CellType> cells = new ArrayList<>(List.of(present));
    for (String id : compared) {
      session
          .library()
          .find(id)
          .filter(c -> !c.id().equals(present.id()) && cells.size() < LibraryView.MOST_COMPARED)
          .ifPresent(cells::add);
    }
    return cells;
  }

  private static List<Column> columns(Forecast f, List<CellType> cells) {
    Design d = f.design();
    double share = f.chain().demand().continuous() / d.pack().parallel();
    double cold = d.duty().surroundings().coldestInUse();
    List<Column> columns = new ArrayList<>();
    for (int k = 0; k < cells.size(); k++) {
      CellType cell = cells.get(k);
      Trial trial = Trial.of(d.withCell(cell), f.chain().path().assembly());
      columns.add(
          new Column(
              cell,
              d.duty().bounds().prices(),
              trial,
              trial.years(),
              DutyCurves.discharge(cell.name(), ROLES[k], THICKNESS[k], d, cell, share, cold)));
    }
    return columns;
  }

  private void fill(List<Column> columns) {
    table.getChildren().clear();
    table.getColumnConstraints().clear();
    table.getColumnConstraints().add(new ColumnConstraints(150));
    for (int c = 0; c < columns.size(); c++) {
      table.getColumnConstraints().add(new ColumnConstraints(165));
      Label head = new Label(columns.get(c).cell().name());
      head.getStyleClass().add("section-title");
      GridPane.setHalignment(head, HPos.RIGHT);
      table.add(head, c + 1, 0);
    }
    for (int r = 0; r < ROWS.size(); r++) {
      Label name = new Label(ROWS.get(r).name());
      name.getStyleClass().add("fact-name");
      table.add(name, 0, r + 1);
      for (int c = 0; c < columns.size(); c++) {
        Label value = new Label(ROWS.get(r).text().apply(columns.get(c)));
        value.getStyleClass().add("fact-value");
        GridPane.setHalignment(value, HPos.RIGHT);
        table.add(value, c + 1, r + 1);
      }
    }
    chart.show("Voltage of one cell, V", columns.stream().map(Column::line).toList());
  }
}
