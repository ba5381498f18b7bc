package hammerman.app.station.cell;

import hammerman.app.control.Beside;
import hammerman.app.control.FileAsk;
import hammerman.app.control.Form;
import hammerman.app.control.Words;
import hammerman.app.job.Latest;
import hammerman.app.picture.Role;
import hammerman.app.session.Session;
import hammerman.app.station.Bench;
import hammerman.app.station.Page;
import hammerman.cell.CellLibrary;
import hammerman.cell.CellType;
import hammerman.cell.Chemistry;
import hammerman.cell.CycleLife;
import hammerman.cell.Health;
import hammerman.datasheet.CellFit;
import hammerman.datasheet.DischargeCurve;
import hammerman.datasheet.Plausibility;
import hammerman.finding.Station;
import hammerman.forecast.Forecast;
import hammerman.project.CellFile;
import hammerman.project.Project;
import hammerman.project.UnreadableProject;
import hammerman.table.UnreadableTable;
import hammerman.unit.Figures;
import hammerman.unit.Unit;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.function.BiFunction;
import java.util.function.Function;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import org.jspecify.annotations.Nullable;

/**
 * The design's cell with figures of the user's own: a datasheet, the wear of used cells, or a fit
 * to measured discharges. The first change makes it a cell apart from the library's.
 */
final class OwnCell extends VBox {
  private static final FileAsk.Kind CELLS = new FileAsk.Kind("Cells", List.of("*.json", "*.csv"));
  private static final String OWN = "-own";

  private final Bench bench;
  private final Session session;
  private final Words doubts = new Words("caution", "cell-doubts");
  private final Label said = new Label();
  private final CurveForm curves;
  private final Latest fitting = new Latest("cell-fit");
  private final CellCurve chart = new CellCurve();
  private final Label verdict = new Label();
  private final Button use = new Button("Use the fitted cell");
  private @Nullable CellFit fit;

  OwnCell(Bench bench) {
    super(8);
    this.bench = bench;
    session = bench.session();
    said.getStyleClass().add("answer");
    said.setId("cell-said");
    said.setMinHeight(USE_PREF_SIZE);
    said.managedProperty().bind(said.textProperty().isNotEmpty());
    curves = new CurveForm(this::add, this::clear);
    verdict.setId("fit-verdict");
    verdict.getStyleClass().add("answer");
    verdict.setMinHeight(USE_PREF_SIZE);
    verdict.managedProperty().bind(verdict.textProperty().isNotEmpty());
    use.setId("use-fit");
    use.getStyleClass().add("act");
    use.setDisable(true);
    use.setOnAction(e -> useFit());
    VBox.setVgrow(chart, Priority.ALWAYS);
    chart.setMinHeight(160);
    chart.setPrefHeight(200);
    VBox right =
        new VBox(
            8,
            doubts,
            Page.heading("Measured discharges, from full"),
            curves,
            verdict,
            chart,
            new HBox(8, use));
    right.setMinWidth(320);
    VBox left = new VBox(8, figures().node(), keeping(), said);
    left.setMinWidth(300);
    left.setPrefWidth(300);
    VBox middle = new VBox(8, limits().node());
    middle.setMinWidth(228);
    middle.setPrefWidth(228);
    Beside parts = new Beside(left, middle, right);
    VBox.setVgrow(parts, Priority.ALWAYS);
    getChildren().add(parts);
  }

  void show(Forecast f) {
    CellType cell = f.design().pack().cell();
    doubts.setText(String.join(" ", Plausibility.doubts(cell)));
    if (fit == null) {
      chart.show("Voltage of one cell, V", List.of(DutyCurves.rest(cell)));
    }
  }

  private Form figures() {
    Form form = new Form(session, Station.CELL, 128, 76);
    form.section("Figures of the cell")
        .text("Cell name", p -> cell(p).name(), (p, v) -> own(p, c -> c.withName(v)))
        .choice(
            "Chemistry",
            List.of(Chemistry.values()),
            Chemistry::label,
            p -> cell(p).chemistry(),
            (p, v) -> own(p, c -> c.withChemistry(v)));
    in(form, "Rated capacity", Unit.AMPERE_HOUR, CellType::capacity, CellType::withCapacity);
    in(form, "Resistance, 10 s", Unit.MILLIOHM, CellType::r10, CellType::withR10);
    in(
        form,
        "Continuous",
        Unit.AMPERE,
        c -> c.currents().continuous(),
        (c, v) -> c.withCurrents(c.currents().withContinuous(v)));
    in(
        form,
        "For 10 s",
        Unit.AMPERE,
        c -> c.currents().peak(),
        (c, v) -> c.withCurrents(c.currents().withPeak(v)));
    in(
        form,
        "Charge, standard",
        Unit.AMPERE,
        c -> c.currents().standardCharge(),
        (c, v) -> c.withCurrents(c.currents().withStandardCharge(v)));
    in(
        form,
        "Charge, fast",
        Unit.AMPERE,
        c -> c.currents().fastCharge(),
        (c, v) -> c.withCurrents(c.currents().withFastCharge(v)));
    in(form, "Mass of one", Unit.GRAM, CellType::mass, CellType::withMass);
    in(
        form,
        "Specific heat",
        Unit.JOULE_PER_KILOGRAM_KELVIN,
        CellType::specificHeat,
        CellType::withSpecificHeat);
    in(form, "Price of one", Unit.MONEY, CellType::price, CellType::withPrice);
    form.text("Source", p -> cell(p).source(), (p, v) -> own(p, c -> c.withSource(v)));
    CellSizeFields.add(form, OwnCell::cell, OwnCell::own);
    return form;
  }

  private Form limits() {
    Form form = new Form(session, Station.CELL, 118, 66);
    form.section("Voltages and temperatures");
    in(form, "Full", Unit.VOLT, CellType::fullVoltage, CellType::withFullVoltage);
    in(form, "Nominal", Unit.VOLT, CellType::nominalVoltage, CellType::withNominalVoltage);
    in(form, "Cut-off", Unit.VOLT, CellType::cutOffVoltage, CellType::withCutOffVoltage);
    in(
        form,
        "Charge from",
        Unit.CELSIUS,
        c -> c.temperatures().chargeLowest(),
        (c, v) -> c.withTemperatures(c.temperatures().withChargeLowest(v)));
    in(
        form,
        "Charge up to",
        Unit.CELSIUS,
        c -> c.temperatures().chargeHighest(),
        (c, v) -> c.withTemperatures(c.temperatures().withChargeHighest(v)));
    in(
        form,
        "Discharge from",
        Unit.CELSIUS,
        c -> c.temperatures().dischargeLowest(),
        (c, v) -> c.withTemperatures(c.temperatures().withDischargeLowest(v)));
    in(
        form,
        "Discharge up to",
        Unit.CELSIUS,
        c -> c.temperatures().dischargeHighest(),
        (c, v) -> c.withTemperatures(c.temperatures().withDischargeHighest(v)));
    form.section("Used cells, against new");
    in(
        form,
        "Capacity left",
        Unit.PERCENT,
        c -> health(c).capacity(),
        (c, v) -> c.withHealth(new Health(v, health(c).resistance())));
    in(
        form,
        "Resistance now",
        Unit.PERCENT,
        c -> health(c).resistance(),
        (c, v) -> c.withHealth(new Health(health(c).capacity(), v)));
    Words caution =
        Words.caution(
            "Used cells differ from each other: measure each. Never revive one that sat below its"
                + " cut-off.");
    form.addWhen(caution, p -> true);
    form.section("Cycle life, as the datasheet tells");
    form.optional(
        "Cycles",
        Unit.ONE,
        p -> {
          CycleLife told = cell(p).cycleLife();
          return told == null ? null : told.cycles();
        },
        (p, v) -> own(p, c -> c.withCycleLife(v == null ? null : told(c).withCycles(v))));
    cycles(form, "To a capacity of", Unit.PERCENT, CycleLife::left, CycleLife::withLeft);
    cycles(form, "Depth of each", Unit.PERCENT, CycleLife::depth, CycleLife::withDepth);
    cycles(form, "C-rate, capacities per hour", Unit.ONE, CycleLife::rate, CycleLife::withRate);
    cycles(form, "Cells at", Unit.CELSIUS, CycleLife::temperature, CycleLife::withTemperature);
    return form;
  }

  /** How the cycles were made; asked for once it is known how many. */
  private void cycles(
      Form form,
      String name,
      Unit unit,
      Function<CycleLife, Double> read,
      BiFunction<CycleLife, Double, CycleLife> write) {
    form.quantityWhen(
        p -> cell(p).cycleLife() != null,
        name,
        unit,
        p -> read.apply(told(cell(p))),
        (p, v) -> own(p, c -> c.withCycleLife(write.apply(told(c), v))));
  }

  private static CycleLife told(CellType c) {
    CycleLife told = c.cycleLife();
    return told == null ? CycleLife.USUAL : told;
  }

  private static Health health(CellType c) {
    Health health = c.health();
    return health == null ? Health.NEW : health;
  }

  private void in(
      Form form,
      String name,
      Unit unit,
      Function<CellType, Double> read,
      BiFunction<CellType, Double, CellType> write) {
    form.quantity(name, unit, p -> read.apply(cell(p)), (p, v) -> own(p, c -> write.apply(c, v)));
  }

  private static CellType cell(Project p) {
    return p.variant().pack().cell();
  }

  /** Changes the cell; the first change parts it from the library's cell of the same id. */
  private static Project own(Project p, Function<CellType, CellType> change) {
    CellType before = cell(p);
    CellType after = change.apply(before);
    if (!before.id().endsWith(OWN) && !after.equals(before)) {
      String name = after.name().equals(before.name()) ? before.name() + ", own" : after.name();
      after = after.withId(before.id() + OWN).withName(name);
    }
    return p.withDesign(p.design().withCell(after));
  }

  private FlowPane keeping() {
    FlowPane row = new FlowPane(6, 6);
    row.getChildren()
        .addAll(
            button("Keep in my library", "keep-cell", this::keep),
            button("Import cells", "import-cells", this::importCells),
            button("Export my cells", "export-cells", this::exportCells));
    return row;
  }

  private static Button button(String words, String id, Runnable action) {
    Button button = new Button(words);
    button.setId(id);
    button.getStyleClass().addAll("plain", "small");
    button.setOnAction(e -> action.run());
    return button;
  }

  private void keep() {
    CellType cell = cell(session.project());
    session
        .shelf()
        .keep(
            List.of(cell),
            () -> said.setText("“" + cell.name() + "” is in your library, for every project."),
            why -> said.setText("Not kept: " + why + " The project still carries it."));
  }

  private void importCells() {
    bench
        .files()
        .open("Import cells", CELLS)
        .ifPresent(
            file -> {
              try {
                CellLibrary read = CellFile.read(file);
                session
                    .shelf()
                    .keep(
                        read.cells(),
                        () -> said.setText(read.cells().size() + " cells are now in your library."),
                        why -> said.setText("Nothing imported. " + why));
              } catch (UnreadableProject e) {
                said.setText("Nothing imported. " + e.getMessage());
              }
            });
  }

  private void exportCells() {
    CellLibrary mine = session.shelf().cellsProperty().get();
    CellLibrary out =
        mine.cells().isEmpty() ? new CellLibrary(List.of(cell(session.project()))) : mine;
    bench
        .files()
        .save("Export cells", CELLS, "cells.json")
        .ifPresent(
            file -> {
              try {
                CellFile.save(out, file);
                said.setText(
                    "Wrote " + out.cells().size() + " cells to " + file.getFileName() + ".");
              } catch (IOException e) {
                said.setText("Not exported: " + e.getMessage() + ". Choose another folder.");
              }
            });
  }

  private void add() {
    bench.files().open("Choose a discharge curve", FileAsk.Kind.TABLE).ifPresent(this::add);
  }

  private void add(Path file) {
    try {
      curves.add(DischargeCurve.read(file, curves.current(), curves.temperature()));
      refit();
    } catch (UnreadableTable e) {
      verdict.setText(e.getMessage());
    }
  }

  private void clear() {
    fitting.cancel();
    fit = null;
    use.setDisable(true);
    verdict.setText("");
    show(session.forecastProperty().get());
  }

  private void refit() {
    CellType base = cell(session.project());
    List<DischargeCurve> all = curves.curves();
    fitting.submit(() -> CellFit.of(base, all), this::show);
  }

  private void show(CellFit made) {
    fit = made;
    use.setDisable(false);
    List<CellCurve.Line> lines = new ArrayList<>();
    StringBuilder words = new StringBuilder();
    words.append(
        "Fitted R10 %s, capacity %s; differences %s rms. "
            .formatted(
                Figures.of(made.cell().r10(), Unit.MILLIOHM),
                Figures.of(made.cell().capacity(), Unit.AMPERE_HOUR),
                Figures.of(made.rms(), Unit.MILLIVOLT)));
    for (CellFit.Residual r : made.residuals()) {
      double[] charge =
          r.curve().points().stream().mapToDouble(DischargeCurve.Point::charge).toArray();
      String amperes = Figures.of(r.curve().current(), Unit.AMPERE);
      lines.add(
          new CellCurve.Line(
              amperes + " measured",
              Role.INK,
              1,
              true,
              charge,
              r.curve().points().stream().mapToDouble(DischargeCurve.Point::voltage).toArray()));
      lines.add(
          new CellCurve.Line(
              amperes + " fitted, worst " + Figures.of(r.worst(), Unit.MILLIVOLT),
              Role.HOT,
              1.6,
              false,
              charge,
              r.fitted().stream().mapToDouble(Double::doubleValue).toArray()));
    }
    made.notIdentified()
        .forEach(s -> words.append("Not told by the curves: ").append(s).append(' '));
    verdict.setText(words.toString().strip());
    chart.show("Voltage of one cell, V", lines);
  }

  private void useFit() {
    CellFit made = fit;
    if (made != null) {
      session.edit("Fitted cell", Station.CELL, p -> own(p, c -> made.cell()));
    }
  }
}
