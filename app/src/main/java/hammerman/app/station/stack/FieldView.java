package hammerman.app.station.stack;

import hammerman.app.control.Beside;
import hammerman.app.control.Facts;
import hammerman.app.control.FigureView;
import hammerman.app.control.Form;
import hammerman.app.control.Stepper;
import hammerman.app.job.Latest;
import hammerman.app.session.Session;
import hammerman.app.station.Bench;
import hammerman.app.station.Page;
import hammerman.design.Design;
import hammerman.finding.Finding;
import hammerman.finding.Station;
import hammerman.forecast.Forecast;
import hammerman.forecast.Headline;
import hammerman.forecast.StackField;
import hammerman.forecast.StackField.Measure;
import hammerman.forecast.StackField.Square;
import hammerman.forecast.Workings;
import hammerman.pack.ConductorMaterial;
import hammerman.pack.Cooling;
import hammerman.pack.Lot;
import hammerman.pack.Pack;
import hammerman.pack.Strip;
import hammerman.project.Project;
import hammerman.unit.Figures;
import hammerman.unit.Unit;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import javafx.scene.control.ChoiceBox;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import org.jspecify.annotations.Nullable;

/** The field of counts for the chosen cell, with strip and box beside it. */
final class FieldView extends StackPane {
  /** Where there is less for the map than this, px, what is beside it goes below. */
  private static final double LEAST_MAP = 300;

  private final Session session;
  private final FieldPicture field;
  private final Label reason = new Label();
  private final Stepper series;
  private final Stepper parallel;
  private final FigureView perCell;
  private final FigureView continuous;
  private final FigureView sag;
  private final Latest fields = Latest.ofDetails("stack-field");
  private final Facts steps = new Facts("fact-value", "fact-value", "fact-value", "answer");
  private final Runnable answered;
  private @Nullable Forecast shown;
  private int serving;
  private int tried;

  FieldView(Bench bench, Runnable answered) {
    session = bench.session();
    this.answered = answered;
    field = new FieldPicture(this::choose);
    field.pointedProperty().addListener((o, was, is) -> reason());
    reason.getStyleClass().add("answer");
    reason.setId("field-reason");
    reason.setMinHeight(36);
    reason.setMaxWidth(Double.MAX_VALUE);
    ChoiceBox<String> contours = contours();
    HBox top = new HBox(8, new Label("Contours of"), contours);
    top.setStyle("-fx-alignment: center-left;");
    VBox map = new VBox(6, top, field, reason);
    VBox.setVgrow(field, Priority.ALWAYS);
    field.setMinHeight(200);
    map.setMinWidth(LEAST_MAP);
    series = new Stepper("In series", n -> choose(n, pack().parallel()));
    parallel = new Stepper("In parallel", n -> choose(pack().series(), n));
    perCell = bench.figure("Per cell, hardest moment", Headline.CURRENT_PER_CELL);
    continuous = bench.figure("Heaviest ten minutes", Headline.CONTINUOUS_CURRENT);
    sag = bench.figure("Hardest moment at 20 %", Headline.SAG);
    VBox right =
        new VBox(
            10,
            new HBox(14, series, parallel),
            new VBox(0, perCell, continuous, sag),
            build().node(),
            new VBox(4, Page.heading("One step away"), steps));
    right.setMinWidth(310);
    right.setPrefWidth(310);
    getChildren().add(new Beside(map, right).growing(map));
  }

  private ChoiceBox<String> contours() {
    ChoiceBox<String> box = new ChoiceBox<>();
    box.setId("contours");
    box.setAccessibleText("Contours of");
    box.getItems().add("nothing");
    for (Measure m : Measure.values()) {
      box.getItems().add(m.label());
    }
    box.setValue("nothing");
    box.getSelectionModel()
        .selectedIndexProperty()
        .addListener(
            (o, was, is) ->
                field.showContours(
                    is.intValue() > 0
                        ? Optional.of(Measure.values()[is.intValue() - 1])
                        : Optional.empty()));
    return box;
  }

  void show(Forecast f) {
    shown = f;
    Pack pack = f.design().pack();
    series.show(pack.series());
    parallel.show(pack.parallel());
    perCell.show(Workings.figure(Headline.CURRENT_PER_CELL, f));
    continuous.show(Workings.figure(Headline.CONTINUOUS_CURRENT, f));
    sag.show(Workings.figure(Headline.SAG, f));
    Design design = f.design();
    fields.submit(
        () -> StackField.of(design, f.chain().path().assembly()),
        made -> {
          field.show(made, pack.series(), pack.parallel());
          serving = (int) made.squares().stream().filter(s -> !s.stopped()).count();
          tried = made.squares().size();
          answered.run();
          steps(made, pack);
          reason();
        });
  }

  /** Says how many of the pairs around the chosen one serve; empty before it is known. */
  String summary() {
    return tried == 0
        ? ""
        : "%d of the %d pairs around it serve the duty without a stop.".formatted(serving, tried);
  }

  /** What one group or one parallel cell more or less would change. */
  private void steps(StackField made, Pack now) {
    List<List<String>> rows = new ArrayList<>();
    int[][] ways = {{0, 1}, {0, -1}, {1, 0}, {-1, 0}};
    for (int[] way : ways) {
      made.at(now.series() + way[0], now.parallel() + way[1])
          .ifPresent(
              s ->
                  rows.add(
                      List.of(
                          s.counts(),
                          signed(Unit.WATT_HOUR.fromCore(s.energy() - now.energy()), 0) + " Wh",
                          signed(s.mass() - now.mass(), 1) + " kg",
                          s.worst().map(Finding::word).orElse("serves"))));
    }
    steps.show(rows);
  }

  /** Explains the square pointed at, or the chosen one. */
  private void reason() {
    Square pointed = field.pointedProperty().get();
    Forecast f = shown;
    if (pointed == null || f == null) {
      reason.setText(
          "Point at a square to see what it gives and what stops it. Click it, or press Enter, to"
              + " choose it.");
      return;
    }
    Pack now = f.design().pack();
    String trade =
        "%s: %s, %s, cells %s (%s kg against now). "
            .formatted(
                pointed.counts(),
                Figures.of(pointed.energy(), Unit.WATT_HOUR),
                Figures.of(pointed.mass(), Unit.KILOGRAM),
                f.design().duty().bounds().prices().money(pointed.cost(), 0),
                signed(pointed.mass() - now.mass(), 1));
    reason.setText(
        trade + pointed.worst().map(j -> j.title() + ". " + j.why()).orElse("Serves the duty."));
  }

  private static String signed(double value, int decimals) {
    return (value >= 0 ? "+" : "") + Figures.fixed(value, decimals);
  }

  private Pack pack() {
    return session.project().design().pack();
  }

  private void choose(int newSeries, int newParallel) {
    session.editDesign(
        "Counts " + newSeries + "S" + newParallel + "P",
        Station.STACK,
        d -> d.withCounts(newSeries, newParallel));
  }

  private Form build() {
    Form form = new Form(session, Station.STACK, 118, 84);
    form.section("Strip, cell to cell")
        .choice(
            "As sold",
            session.parts().strips(),
            Strip::text,
            p -> p.variant().pack().strip().withLayers(1),
            (p, v) -> pack(p, k -> k.withStrip(v.withLayers(k.strip().layers()))))
        .choice(
            "Metal",
            List.of(ConductorMaterial.values()),
            ConductorMaterial::label,
            p -> p.variant().pack().strip().material(),
            (p, v) -> pack(p, k -> k.withStrip(k.strip().withMaterial(v))))
        .crossSection(
            "Thickness × width",
            p -> size(p.variant().pack()),
            (p, t, w) -> pack(p, k -> k.withStrip(k.strip().withSize(t, w))))
        .count(
            "Layers",
            p -> p.variant().pack().strip().layers(),
            (p, n) -> pack(p, k -> k.withStrip(k.strip().withLayers(n))),
            p -> true)
        .section("Box")
        .choice(
            "Sheds heat",
            List.of(Cooling.values()),
            Cooling::label,
            p -> p.variant().pack().cooling(),
            (p, v) -> pack(p, k -> k.withCooling(v)))
        .choice(
            "Cells are of",
            List.of(Lot.values()),
            Lot::label,
            p -> p.variant().pack().lot(),
            (p, v) -> pack(p, k -> k.withLot(v)));
    return form;
  }

  private static String size(Pack pack) {
    return Figures.plain(pack.strip().thickness() * 1e3)
        + " × "
        + Figures.plain(pack.strip().width() * 1e3);
  }

  private static Project pack(Project p, UnaryOperator<Pack> change) {
    return p.withDesign(p.design().withPack(change.apply(p.variant().pack())));
  }
}
