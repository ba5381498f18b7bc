package hammerman.app.station.cell;

import hammerman.app.control.Facts;
import hammerman.app.job.Latest;
import hammerman.app.station.Bench;
import hammerman.app.station.Page;
import hammerman.app.station.StationView;
import hammerman.cell.CellType;
import hammerman.finding.Judgement;
import hammerman.finding.Station;
import hammerman.forecast.Forecast;
import hammerman.forecast.Trial;
import hammerman.unit.Figures;
import hammerman.unit.Unit;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import javafx.geometry.HPos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** The page of station Cell: the library as a list, the chosen cell beside it. */
public final class CellStation implements StationView {
  private static final double[] WIDTHS = {150, 48, 46, 44, 72, 44, 48, 74};
  private static final String[] HEADS = {
    "Cell", "Chem.", "Ah", "mΩ", "A cont/10 s", "g", "Price", "These counts"
  };

  private final Bench bench;
  private final Page page;
  private final VBox rows = new VBox();
  private final ToggleGroup group = new ToggleGroup();
  private final Facts facts = new Facts("fact-name", "fact-value");
  private final Label name = new Label();
  private final CellCurve curve = new CellCurve();
  private final Latest curves = new Latest("cell-curves");
  private final Latest trials = new Latest("cell-trials");
  private final Map<CellType, Label> verdicts = new HashMap<>();
  private List<CellType> listed = List.of();

  public CellStation(Bench bench) {
    this.bench = bench;
    GridPane head = line();
    for (int c = 0; c < HEADS.length; c++) {
      Label label = new Label(HEADS[c]);
      label.getStyleClass().add("table-head");
      GridPane.setHalignment(label, c < 2 ? HPos.LEFT : HPos.RIGHT);
      head.add(label, c, 0);
    }
    head.setStyle("-fx-padding: 0 9 2 9;");
    VBox list = new VBox(head, rows);
    list.setMinWidth(560);
    name.getStyleClass().add("question");
    facts.setVgap(2);
    VBox.setVgrow(curve, Priority.ALWAYS);
    curve.setPrefHeight(240);
    Label caution =
        new Label(
            "Reclaimed cells: never revive one that sat below its cut-off, and put aside any that"
                + " is dented, corroded or warm at rest.");
    caution.getStyleClass().add("caution");
    caution.setMinHeight(Label.USE_PREF_SIZE);
    VBox chosen = new VBox(8, name, facts, curve, caution);
    HBox.setHgrow(chosen, Priority.ALWAYS);
    page = new Page(Station.CELL, new HBox(20, list, chosen));
  }

  @Override
  public Station station() {
    return Station.CELL;
  }

  @Override
  public Node node() {
    return page;
  }

  @Override
  public void show(Forecast f) {
    CellType cell = f.design().pack().cell();
    list(cell);
    rows.getChildren().forEach(n -> ((ToggleButton) n).setSelected(cell.equals(n.getUserData())));
    facts(f);
    curves.submit(() -> CellCurve.Curves.of(f), curve::show);
    List<CellType> cells = listed;
    trials.submit(
        () -> cells.stream().map(c -> Trial.of(f.design().withCell(c)).worst()).toList(),
        found -> verdicts(cells, found));
    double share = f.chain().demand().peak() / f.design().pack().parallel();
    page.answer(
        "%s: %s per cell at the hardest moment, rated %s for 10 s."
            .formatted(
                cell.name(),
                Figures.of(share, Unit.AMPERE),
                Figures.exact(cell.currents().peak(), Unit.AMPERE)));
  }

  @Override
  public String help() {
    return """
    Choose by current as well as by capacity: divide the hardest moment by the number in parallel and \
    hold it against the cell's ratings. An energy cell gives more Wh per kg; a power cell sags and heats \
    less.

    The list holds generic classes, with figures typical for the class. The curves show one cell at rest \
    and at this duty's own currents, in the coldest air of the duty.

    Up and Down move in the list, Space chooses. A change of cell keeps the counts; charge voltage and BMS \
    voltages follow the new cell.\
    """;
  }

  /** Lists the library, and the design's own cell if it is not in it. */
  private void list(CellType chosen) {
    List<CellType> cells = new ArrayList<>(bench.session().library().cells());
    if (!cells.contains(chosen)) {
      cells.addFirst(chosen);
    }
    if (!cells.equals(listed)) {
      listed = List.copyOf(cells);
      rows.getChildren().setAll(cells.stream().map(this::row).toList());
    }
  }

  private Node row(CellType cell) {
    String[] data = {
      cell.name(),
      cell.chemistry().label(),
      Figures.fixed(cell.capacity(), 2),
      Figures.plain(cell.r10() * 1e3),
      Figures.plain(cell.currents().continuous()) + "/" + Figures.plain(cell.currents().peak()),
      Figures.plain(cell.mass() * 1e3),
      Figures.fixed(cell.price(), 2)
    };
    GridPane line = line();
    for (int c = 0; c < data.length; c++) {
      Label label = new Label(data[c]);
      label.getStyleClass().add(c < 2 ? "name" : "data");
      GridPane.setHalignment(label, c < 2 ? HPos.LEFT : HPos.RIGHT);
      line.add(label, c, 0);
    }
    Label verdict = new Label();
    verdict.getStyleClass().add("verdict");
    verdicts.put(cell, verdict);
    GridPane.setHalignment(verdict, HPos.RIGHT);
    line.add(verdict, data.length, 0);
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
                Figures.exact(cell.r10(), Unit.MILLIOHM)));
    row.setOnAction(
        e -> {
          bench.session().editDesign("Cell", Station.CELL, d -> d.withCell(cell));
          row.setSelected(true);
        });
    return row;
  }

  /** Shows how each cell would do at the present counts. */
  private void verdicts(List<CellType> cells, List<Optional<Judgement>> found) {
    for (int k = 0; k < cells.size(); k++) {
      Label label = verdicts.get(cells.get(k));
      if (label != null) {
        Optional<Judgement> worst = found.get(k);
        label.setText(worst.map(Judgement::word).orElse("serves"));
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
    for (double width : WIDTHS) {
      ColumnConstraints column = new ColumnConstraints(width);
      line.getColumnConstraints().add(column);
    }
    return line;
  }

  private void facts(Forecast f) {
    CellType cell = f.design().pack().cell();
    name.setText(cell.name());
    var t = cell.temperatures();
    facts.show(
        List.of(
            List.of("Size", cell.format().sizeText()),
            List.of(
                "Full / cut-off",
                Figures.fixed(cell.fullVoltage(), 2)
                    + " / "
                    + Figures.of(cell.cutOffVoltage(), Unit.VOLT, 2)),
            List.of(
                "Charge, kind / fast",
                Figures.plain(cell.currents().standardCharge())
                    + " / "
                    + Figures.exact(cell.currents().fastCharge(), Unit.AMPERE)),
            List.of("Charge from", Figures.of(t.chargeLowest(), Unit.CELSIUS, 0) + " up"),
            List.of("Hottest allowed", Figures.of(t.dischargeHighest(), Unit.CELSIUS, 0)),
            List.of(
                "Energy per mass",
                Figures.number(cell.nominalVoltage() * cell.capacity() / cell.mass()) + " Wh/kg"),
            List.of("Price per Wh", price(cell)),
            List.of("Figures", cell.source())));
  }

  private static String price(CellType cell) {
    return cell.price() > 0
        ? Figures.number(cell.price() / (cell.nominalVoltage() * cell.capacity()))
        : "no price";
  }
}
