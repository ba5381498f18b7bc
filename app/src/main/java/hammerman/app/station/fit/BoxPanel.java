package hammerman.app.station.fit;

import hammerman.app.control.FileAsk;
import hammerman.app.control.Form;
import hammerman.app.control.PlainButton;
import hammerman.app.control.TypedField;
import hammerman.app.control.Words;
import hammerman.app.job.Latest;
import hammerman.chain.Layout;
import hammerman.finding.Station;
import hammerman.fit.Container;
import hammerman.fit.FitPlan;
import hammerman.fit.Outline;
import hammerman.fit.Packing;
import hammerman.fit.Point;
import hammerman.fit.Room;
import hammerman.outline.OutlineFile;
import hammerman.pack.Pack;
import hammerman.unit.Figures;
import hammerman.unit.InvalidValue;
import hammerman.unit.Unit;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.OptionalDouble;
import java.util.function.BiFunction;
import java.util.function.Function;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** The room there is: boxes, their outlines and keep-outs, and how cells stand in them. */
final class BoxPanel extends VBox {
  private static final FileAsk.Kind SHAPES =
      new FileAsk.Kind("Outlines", List.of("*.svg", "*.dxf", "*.csv", "*.tsv", "*.txt"));

  private final FitState state;
  private final FileAsk files;
  private final Words said = new Words("complaint", "box-said");
  private final Label room = new Label();
  private final Label which = new Label();
  private final TypedField corners;
  private final Latest asking = Latest.ofDetails("room for one more group");
  private List<Object> asked = List.of();

  BoxPanel(FitState state, FileAsk files) {
    super(6);
    this.state = state;
    this.files = files;
    corners = new TypedField("Corners, mm", this::typed);
    corners.setId("corners");
    which.setId("fit-shape");
    which.getStyleClass().add("field-label");
    room.getStyleClass().add("answer");
    room.setId("fit-room");
    room.setWrapText(true);
    room.setMinHeight(34);
    FlowPane shapes = new FlowPane(4, 4);
    for (Shape shape : Shape.values()) {
      shapes
          .getChildren()
          .add(
              new PlainButton(
                  shape.label(),
                  "shape-" + shape.name().toLowerCase(Locale.ROOT),
                  () -> shape(shape)));
    }
    FlowPane more =
        new FlowPane(
            4,
            4,
            new PlainButton("From a file…", "import-outline", this::load),
            new PlainButton("Add a keep-out", "add-keep-out", this::addKeepOut),
            new PlainButton("Remove it", "remove-keep-out", this::removeKeepOut),
            new PlainButton("Add a box", "add-box", this::addBox),
            new PlainButton("Remove the box", "remove-box", this::removeBox));
    Label hint =
        new Label(
            "Drag the corners; press a side twice for a corner more, Delete for one less. They snap"
                + " to 5 mm, with Shift to 1 mm.");
    hint.getStyleClass().add("fact-name");
    hint.setWrapText(true);
    hint.setMinHeight(USE_PREF_SIZE);
    HBox step =
        new HBox(
            4,
            which,
            new PlainButton("‹", "shape-before", () -> turn(-1)),
            new PlainButton("›", "shape-after", () -> turn(1)));
    step.setAlignment(Pos.CENTER_LEFT);
    which.setMaxWidth(Double.MAX_VALUE);
    HBox.setHgrow(which, Priority.ALWAYS);
    getChildren().addAll(step, corners, said, shapes, more, hint, form().node(), room);
    state.follow(this::follow);
  }

  private Form form() {
    Form form = new Form(state.session(), Station.FIT, 150, 66);
    box(form, "Depth", Container::depth, Container::withDepth);
    box(form, "Clearance", Container::clearance, Container::withClearance);
    box(
        form,
        "Leads leave at x",
        c -> c.exit().x(),
        (c, v) -> c.withExit(new Point(v, c.exit().y())));
    box(form, "and y", c -> c.exit().y(), (c, v) -> c.withExit(new Point(c.exit().x(), v)));
    form.choiceWhen(
        FitState::has,
        "Pattern",
        List.of(Packing.Pattern.values()),
        Packing.Pattern::label,
        p -> FitState.plan(p).packing().pattern(),
        FitState.writing((p, v) -> p.withPacking(p.packing().withPattern(v))));
    form.quantityWhen(
        FitState::has,
        "Gap between cells",
        Unit.MILLIMETRE,
        p -> FitState.plan(p).packing().gap(),
        FitState.writing((p, v) -> p.withPacking(p.packing().withGap(v))));
    return form;
  }

  private void box(
      Form form,
      String name,
      Function<Container, Double> read,
      BiFunction<Container, Double, Container> write) {
    form.quantityWhen(
        FitState::has,
        name,
        Unit.MILLIMETRE,
        p -> read.apply(shown(FitState.plan(p))),
        FitState.writing((p, v) -> p.withBox(index(p), write.apply(shown(p), v))));
  }

  private int index(FitPlan p) {
    return Math.min(state.box(), p.boxes().size() - 1);
  }

  private Container shown(FitPlan p) {
    return p.boxes().get(index(p));
  }

  private void follow() {
    state.shapeShown().ifPresent(o -> corners.show(Shape.text(o)));
    int boxes = state.layout().map(l -> l.plan().boxes().size()).orElse(1);
    which.setText(
        (boxes > 1 ? "Box " + (state.box() + 1) + ": " : "")
            + (state.shape() == 0 ? "outline" : "keep-out " + state.shape()));
    if (getScene() != null) {
      state.layout().ifPresent(this::askRoom);
    }
  }

  /** Says how many fit; how much more room another group takes is worked out apart. */
  private void askRoom(Layout l) {
    Pack pack = state.forecast().orElseThrow().design().pack();
    int places = l.arrangement().placing().places().size();
    List<Object> question =
        List.of(l.plan().boxes(), l.plan().packing(), pack.cell().format(), pack.cells());
    if (question.equals(asked)) {
      return;
    }
    asked = question;
    String now = "%d places for %d cells. ".formatted(places, pack.cells());
    int wanted = Math.max(pack.cells(), (places / pack.parallel() + 1) * pack.parallel());
    room.setText(now);
    asking.submit(
        () -> Room.forCells(l.plan().boxes(), pack.cell().format(), l.plan().packing(), wanted),
        by -> room.setText(now + more(by, wanted > pack.cells())));
  }

  private static String more(OptionalDouble by, boolean another) {
    String what = another ? "One more group takes " : "All of them take ";
    return by.isEmpty()
        ? what + "more than 300 mm on every side."
        : what
            + Figures.compact(Math.ceil(by.getAsDouble() * 2000) / 2)
            + " mm more on every side.";
  }

  private void said(String why) {
    said.setText(why);
  }

  private String typed(String text) {
    try {
      String why = state.reshape("Outline of the box", Shape.read(text));
      said(why);
      return why;
    } catch (InvalidValue e) {
      said(String.valueOf(e.getMessage()));
      return String.valueOf(e.getMessage());
    }
  }

  /** Takes a shape in the width and height that the outline has now. */
  private void shape(Shape shape) {
    state
        .shapeShown()
        .ifPresent(
            o -> {
              double x = o.corners().stream().mapToDouble(Point::x).max().orElse(0.3);
              double y = o.corners().stream().mapToDouble(Point::y).max().orElse(0.2);
              said(state.reshape("Shape of the box", shape.of(x, y)));
            });
  }

  private void turn(int by) {
    int n = 1 + state.container().map(c -> c.keepOuts().size()).orElse(0);
    state.shape((state.shape() + by + n) % n);
  }

  private void addKeepOut() {
    Outline o = state.container().orElseThrow().outline();
    double x = o.corners().stream().mapToDouble(Point::x).average().orElse(0);
    double y = o.corners().stream().mapToDouble(Point::y).average().orElse(0);
    double w = 20e-3;
    double h = 10e-3;
    Outline keepOut =
        new Outline(
            List.of(
                new Point(x - w, y - h),
                new Point(x + w, y - h),
                new Point(x + w, y + h),
                new Point(x - w, y + h)));
    change(
        "Add a keep-out",
        c -> {
          List<Outline> all = new ArrayList<>(c.keepOuts());
          all.add(keepOut);
          return c.withKeepOuts(all);
        });
    state.shape(state.container().map(c -> c.keepOuts().size()).orElse(0));
  }

  private void removeKeepOut() {
    int k = state.shape();
    if (k == 0) {
      said("The outline stays; choose a keep-out with ‹ and › first.");
      return;
    }
    state.shape(0);
    change(
        "Remove a keep-out",
        c -> {
          List<Outline> all = new ArrayList<>(c.keepOuts());
          all.remove(k - 1);
          return c.withKeepOuts(all);
        });
  }

  private void change(String what, Function<Container, Container> change) {
    said(state.edit(what, p -> p.withBox(index(p), change.apply(shown(p)))));
  }

  private void addBox() {
    said(
        state.edit(
            "Add a box",
            p -> {
              List<Container> all = new ArrayList<>(p.boxes());
              all.add(shown(p).withKeepOuts(List.of()));
              return p.withBoxes(all);
            }));
  }

  private void removeBox() {
    if (state.layout().map(l -> l.plan().boxes().size()).orElse(1) == 1) {
      said("The only box stays.");
      return;
    }
    said(
        state.edit(
            "Remove a box",
            p -> {
              List<Container> all = new ArrayList<>(p.boxes());
              all.remove(index(p));
              return p.withBoxes(all);
            }));
  }

  private void load() {
    files.open("Take the outline from a file", SHAPES).ifPresent(this::load);
  }

  private void load(Path file) {
    try {
      OutlineFile read = OutlineFile.open(file);
      state.shape(0);
      change(
          "Outline from a file", c -> c.withOutline(read.outline()).withKeepOuts(read.keepOuts()));
    } catch (InvalidValue e) {
      said(String.valueOf(e.getMessage()));
    } catch (IOException e) {
      said(file.getFileName() + " cannot be read: " + e.getMessage() + ". Choose another file.");
    }
  }
}
