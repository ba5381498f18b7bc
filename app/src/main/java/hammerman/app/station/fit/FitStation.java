package hammerman.app.station.fit;

import hammerman.app.control.Facts;
import hammerman.app.control.FileAsk;
import hammerman.app.control.Form;
import hammerman.app.control.TypedField;
import hammerman.app.job.Latest;
import hammerman.app.session.Session;
import hammerman.app.station.Bench;
import hammerman.app.station.Page;
import hammerman.app.station.StationView;
import hammerman.chain.Layout;
import hammerman.finding.Station;
import hammerman.fit.Container;
import hammerman.fit.Filling;
import hammerman.fit.FitPlan;
import hammerman.fit.Grouping;
import hammerman.fit.HeatMap;
import hammerman.fit.Network;
import hammerman.fit.Outline;
import hammerman.fit.Packing;
import hammerman.fit.Point;
import hammerman.fit.Template;
import hammerman.forecast.Forecast;
import hammerman.pack.Pack;
import hammerman.project.Project;
import hammerman.unit.Figures;
import hammerman.unit.InvalidValue;
import hammerman.unit.Unit;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import org.jspecify.annotations.Nullable;

/** The page of station Fit: the box, the fit sheet, currents and heat of the very layout. */
public final class FitStation implements StationView {
  private static final FileAsk.Kind SVG = new FileAsk.Kind("SVG drawings", List.of("*.svg"));

  private final Session session;
  private final FileAsk files;
  private final Page page;
  private final FitSheet sheet = new FitSheet(this::one, this::other);
  private final Facts facts = new Facts("fact-name", "fact-value");
  private final Label said = new Label();
  private final Label cell = new Label();
  private final Latest warming = new Latest("heat of the layout");
  private final Button swap = new Button("Exchange the two cells");
  private final VBox begin;
  private final HBox body;
  private @Nullable Layout layout;
  private @Nullable HeatMap heat;
  private Overlay overlay = Overlay.GROUPS;
  private boolean top = true;
  private int first = -1;
  private int second = -1;

  public FitStation(Bench bench) {
    session = bench.session();
    files = bench.files();
    begin = begin();
    VBox left = new VBox(6, overlays(), sheet, cell);
    VBox.setVgrow(sheet, Priority.ALWAYS);
    HBox.setHgrow(left, Priority.ALWAYS);
    cell.getStyleClass().add("answer");
    cell.setId("fit-cell");
    cell.setWrapText(true);
    cell.setMinHeight(36);
    said.getStyleClass().add("complaint");
    said.setId("fit-said");
    said.setMinHeight(Label.USE_PREF_SIZE);
    said.setWrapText(true);
    said.managedProperty().bind(said.textProperty().isNotEmpty());
    facts.setId("fit-facts");
    facts.setVgap(2);
    VBox right = new VBox(8, form().node(), Page.heading("This layout"), said, facts, moves());
    right.setMinWidth(300);
    right.setMaxWidth(300);
    body = new HBox(20, left, right);
    VBox.setVgrow(body, Priority.ALWAYS);
    page = new Page(Station.FIT, new VBox(8, begin, body));
  }

  private VBox begin() {
    Label words =
        new Label(
            "Begin with the room there is: its inside width and height, and how deep it is. Cells,"
                + " groups, strips and heat follow.");
    words.setWrapText(true);
    Button start = new Button("Begin with a plain box");
    start.setId("begin-fit");
    start.getStyleClass().add("act");
    start.setOnAction(e -> edit("Begin the fit", p -> fresh(p.variant().pack())));
    VBox card = new VBox(8, words, start);
    card.getStyleClass().add("empty-card");
    return card;
  }

  /** A box with a tenth of room to spare around the cells. */
  private static FitPlan fresh(Pack pack) {
    double side = Math.sqrt(pack.cells() * pack.cell().format().packedFootprint() * 1.25);
    double width = Math.ceil(side * 1.3 * 200) / 200;
    double height = Math.ceil(side / 1.3 * 200) / 200 + 0.01;
    return new FitPlan(
        new Container(
            Outline.rectangle(width, height),
            pack.cell().format().height() + 0.012,
            List.of(),
            new Point(0, height / 2),
            2e-3),
        new Packing(Packing.Pattern.HEXAGONAL, 5e-4),
        Filling.AIR,
        Network.TakeOff.ONE_CELL,
        List.of());
  }

  private Node overlays() {
    HBox row = new HBox();
    ToggleGroup group = new ToggleGroup();
    for (Overlay o : Overlay.values()) {
      ToggleButton b = new ToggleButton(o.label());
      b.setId("overlay-" + o.name().toLowerCase(Locale.ROOT));
      b.getStyleClass().add("segment");
      b.setToggleGroup(group);
      b.setSelected(o == overlay);
      b.setOnAction(
          e -> {
            b.setSelected(true);
            overlay = o;
            draw();
          });
      row.getChildren().add(b);
    }
    ToggleButton below = new ToggleButton("Lower face");
    below.setId("lower-face");
    below.getStyleClass().add("segment");
    below.setOnAction(
        e -> {
          top = !below.isSelected();
          draw();
        });
    HBox both = new HBox(16, row, below);
    both.setStyle("-fx-alignment: center-left;");
    return both;
  }

  private Form form() {
    Form form = new Form(session, Station.FIT, 132, 66);
    form.section("The room there is, inside");
    TypedField corners = new TypedField("Corners, mm", this::corners);
    corners.setId("corners");
    form.addWhen(corners, FitStation::has);
    session
        .projectProperty()
        .addListener((o, was, is) -> planOf(is).ifPresent(p -> corners.show(text(p))));
    planOf(session.project()).ifPresent(p -> corners.show(text(p)));
    FlowPane shapes = new FlowPane(4, 4);
    for (Shape shape : Shape.values()) {
      Button b = new Button(shape.label());
      b.setId("shape-" + shape.name().toLowerCase(Locale.ROOT));
      b.getStyleClass().addAll("plain", "small");
      b.setOnAction(e -> shape(shape));
      shapes.getChildren().add(b);
    }
    form.addWhen(shapes, FitStation::has);
    quantity(
        form,
        "Depth",
        p -> p.container().depth(),
        (p, v) -> p.withContainer(p.container().withDepth(v)));
    quantity(
        form,
        "Clearance",
        p -> p.container().clearance(),
        (p, v) -> p.withContainer(p.container().withClearance(v)));
    quantity(
        form,
        "Leads leave at x",
        p -> p.container().exit().x(),
        (p, v) -> p.withContainer(p.container().withExit(new Point(v, p.container().exit().y()))));
    quantity(
        form,
        "and y",
        p -> p.container().exit().y(),
        (p, v) -> p.withContainer(p.container().withExit(new Point(p.container().exit().x(), v))));
    form.choiceWhen(
        FitStation::has,
        "Pattern",
        List.of(Packing.Pattern.values()),
        Packing.Pattern::label,
        p -> plan(p).packing().pattern(),
        (p, v) -> with(p, plan(p).withPacking(plan(p).packing().withPattern(v))));
    quantity(
        form,
        "Gap between cells",
        p -> p.packing().gap(),
        (p, v) -> p.withPacking(p.packing().withGap(v)));
    form.choiceWhen(
        FitStation::has,
        "Between",
        List.of(Filling.values()),
        Filling::label,
        p -> plan(p).filling(),
        (p, v) -> with(p, plan(p).withFilling(v)));
    form.choiceWhen(
        FitStation::has,
        "Leads from",
        List.of(Network.TakeOff.values()),
        t -> t == Network.TakeOff.ONE_CELL ? "one cell" : "a bar over the group",
        p -> plan(p).takeOff(),
        (p, v) -> with(p, plan(p).withTakeOff(v)));
    return form;
  }

  private static String text(FitPlan p) {
    return Shape.text(p.container().outline());
  }

  private void quantity(
      Form form,
      String name,
      Function<FitPlan, Double> read,
      BiFunction<FitPlan, Double, FitPlan> write) {
    form.quantityWhen(
        FitStation::has,
        name,
        Unit.MILLIMETRE,
        p -> read.apply(plan(p)),
        (p, v) -> with(p, write.apply(plan(p), v)));
  }

  private Node moves() {
    swap.setId("swap-cells");
    swap.getStyleClass().addAll("plain", "small");
    swap.setOnAction(
        e -> {
          int a = first;
          int b = second;
          edit("Exchange two cells", p -> plan(p).plusSwap(a, b));
        });
    Button back = new Button("Take all moves back");
    back.setId("unswap-cells");
    back.getStyleClass().addAll("plain", "small");
    back.setOnAction(e -> edit("Take moves back", p -> plan(p).withoutSwaps()));
    Button export = new Button("Save this face at 1:1");
    export.setId("export-face");
    export.getStyleClass().addAll("plain", "small");
    export.setOnAction(
        e ->
            files
                .save("Save this face", SVG, session.project().name() + " face.svg")
                .ifPresent(this::save));
    FlowPane row = new FlowPane(6, 6);
    row.getChildren().addAll(swap, back, export);
    return row;
  }

  private void save(Path file) {
    Layout l = layout;
    if (l == null || l.continuous().isEmpty()) {
      said.setText("There is no layout to save yet.");
      return;
    }
    try {
      Files.writeString(
          file,
          Template.svg(
              l.plan().container(),
              l.arrangement().placing(),
              l.arrangement().grouping().orElseThrow(),
              l.continuous().orElseThrow(),
              session.project().variant().pack().strip(),
              top,
              session.project().name()));
      cell.setText("Wrote " + file.getFileName() + "; print at 100 % and measure its bar.");
    } catch (IOException e) {
      said.setText("Not saved: " + e.getMessage() + ". Choose another folder.");
    }
  }

  private static Optional<FitPlan> planOf(Project p) {
    return Optional.ofNullable(p.variant().fit());
  }

  private static boolean has(Project p) {
    return planOf(p).isPresent();
  }

  private static FitPlan plan(Project p) {
    return planOf(p).orElseThrow();
  }

  private static Project with(Project p, FitPlan plan) {
    return p.withDesign(p.design().withFit(plan));
  }

  private String edit(String what, Function<Project, FitPlan> change) {
    try {
      session.edit(what, Station.FIT, p -> with(p, change.apply(p)));
      return "";
    } catch (InvalidValue e) {
      return String.valueOf(e.getMessage());
    }
  }

  private String corners(String typed) {
    try {
      Outline outline = Shape.read(typed);
      return edit(
          "Outline of the box",
          p -> plan(p).withContainer(plan(p).container().withOutline(outline)));
    } catch (InvalidValue e) {
      said.setText(e.getMessage());
      return String.valueOf(e.getMessage());
    }
  }

  /** Takes a shape in the width and height that the outline has now. */
  private void shape(Shape shape) {
    UnaryOperator<Outline> change =
        o -> {
          double x = o.corners().stream().mapToDouble(Point::x).max().orElse(0.3);
          double y = o.corners().stream().mapToDouble(Point::y).max().orElse(0.2);
          return shape.of(x, y);
        };
    edit(
        "Shape of the box",
        p ->
            plan(p)
                .withContainer(
                    plan(p).container().withOutline(change.apply(plan(p).container().outline()))));
  }

  private void one(int k) {
    first = k;
    second = -1;
    draw();
  }

  private void other(int k) {
    second = k == first ? -1 : k;
    draw();
  }

  private void draw() {
    sheet.show(layout, heat, overlay, top, first, second);
    swap.setDisable(first < 0 || second < 0);
    Layout l = layout;
    cell.setText(
        l == null || first < 0
            ? "Press a cell, or walk with the arrows, to hear what it carries; hold Shift for a"
                + " second one, to exchange them."
            : FitSheet.words(l, heat, second >= 0 ? second : first));
  }

  @Override
  public Station station() {
    return Station.FIT;
  }

  @Override
  public Node node() {
    return page;
  }

  @Override
  public void show(Forecast f) {
    boolean has = f.design().fit() != null;
    begin.setVisible(!has);
    begin.setManaged(!has);
    body.setVisible(has);
    if (!has) {
      page.answer("Not begun: the box is not known yet.");
      return;
    }
    f.layout().ifPresent(l -> fill(f, l));
    warming.submit(
        f::heatMap,
        h -> {
          heat = h.orElse(null);
          f.layout().ifPresent(l -> fill(f, l));
        });
  }

  private void fill(Forecast f, Layout l) {
    if (layout != null && !layout.arrangement().equals(l.arrangement())) {
      heat = null;
    }
    layout = l;
    int places = l.arrangement().placing().places().size();
    if (first >= places || second >= places) {
      first = -1;
      second = -1;
    }
    Pack pack = f.design().pack();
    said.setText(l.arrangement().why() + String.join(" ", l.arrangement().faults()));
    List<List<String>> rows = new ArrayList<>();
    rows.add(List.of("Places, cells", places + ", " + pack.cells()));
    l.continuous().ifPresent(n -> rows.addAll(rows(l, n)));
    HeatMap h = heat;
    if (h != null && l.continuous().isPresent()) {
      rows.add(List.of("Hottest in the duty", Figures.of(h.peak(), Unit.CELSIUS, 1)));
    }
    facts.show(rows);
    page.answer(answer(pack, l));
    draw();
  }

  private static List<List<String>> rows(Layout l, Network n) {
    Grouping g = l.arrangement().grouping().orElseThrow();
    return List.of(
        List.of("Fewest strips in a link", Integer.toString(g.links())),
        List.of("Most of an equal share", Figures.of(n.worstShare(g), Unit.PERCENT, 0)),
        List.of("Strongest strip piece", Figures.of(n.strongest(), Unit.AMPERE)),
        List.of("Density there", Figures.compact(n.densest() / 1e6) + " A/mm²"),
        List.of("Strips add", Figures.of(n.extraResistance(), Unit.MILLIOHM)),
        List.of("Strips lose", Figures.of(n.heat(), Unit.WATT)));
  }

  private static String answer(Pack pack, Layout l) {
    if (l.continuous().isEmpty()) {
      return l.arrangement().why().isEmpty()
          ? "Moves by hand have broken a group."
          : "%s does not go in.".formatted(pack.counts());
    }
    return "%s fits: %d places for %d cells, groups touch in order."
        .formatted(pack.counts(), l.arrangement().placing().places().size(), pack.cells());
  }

  @Override
  public String help() {
    return """
    Give the inside of the box: its corners in mm in the order in which one walks around it, or a plain \
    shape, and its depth. Cells are placed in the pattern, turned and shifted until most fit.

    Groups are connected and touch in series order; every second one is turned over. The strips' network \
    is solved at the duty's continuous current: a group whose leads are taken off at one cell shares \
    unevenly. Temperatures are those of each cell through the duty, in the hottest air.

    Press a cell to hear its figures; press a second one with Shift and exchange them to move cells by hand. What a \
    move breaks is said.\
    """;
  }
}
