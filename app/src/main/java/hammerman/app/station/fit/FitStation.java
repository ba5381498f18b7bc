package hammerman.app.station.fit;

import hammerman.app.control.Beside;
import hammerman.app.control.EmptyCard;
import hammerman.app.control.PlainButton;
import hammerman.app.control.Views;
import hammerman.app.control.Words;
import hammerman.app.station.Bench;
import hammerman.app.station.Page;
import hammerman.app.station.StationView;
import hammerman.chain.Layout;
import hammerman.finding.Station;
import hammerman.fit.Container;
import hammerman.fit.FitPlan;
import hammerman.fit.Grouping;
import hammerman.fit.Outline;
import hammerman.fit.Packing;
import hammerman.fit.Point;
import hammerman.forecast.Forecast;
import hammerman.interconnect.Network;
import hammerman.pack.Pack;
import hammerman.unit.Figures;
import hammerman.unit.Unit;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.function.Consumer;
import java.util.function.Function;
import javafx.application.Platform;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** The page of station Fit: the fit sheet, and beside it what it is made of, part by part. */
public final class FitStation implements StationView {
  private static final double PANEL = 372;

  /** The least width of the sheet, px. */
  private static final double LEAST_SHEET = 320;

  private static final double LEAST_SHEET_HEIGHT = 240;

  private final FitState state;
  private final Page page;
  private final Words cell = new Words("answer", "fit-cell");
  private final Views views = new Views();
  private final Map<Overlay, ToggleButton> overlays = new EnumMap<>(Overlay.class);
  private final Map<Face, ToggleButton> faces = new EnumMap<>(Face.class);

  /** Room for the longest name of a sheet, px. */
  private static final double NEXT_WIDTH = 156;

  private final PlainButton nextSheet;
  private final HeatPanel heat;
  private final EmptyCard begin;
  private final Beside body;

  public FitStation(Bench bench) {
    state = new FitState(bench.session());
    begin = begin();
    nextSheet = new PlainButton("", "next-sheet", this::nextSheet);
    FitSheet sheet = new FitSheet(state);
    HBox foot = new HBox(12, nextSheet, cell);
    foot.setAlignment(Pos.CENTER_LEFT);
    HBox.setHgrow(cell, Priority.ALWAYS);
    sheet.setMinHeight(LEAST_SHEET_HEIGHT);
    VBox left = new VBox(6, overlays(), sheet, foot);
    VBox.setVgrow(sheet, Priority.ALWAYS);
    left.setMinWidth(LEAST_SHEET);
    // All that the panel leaves.
    left.setPrefWidth(Double.MAX_VALUE);
    // Small buttons have a least width of their own in the sheet of styles.
    nextSheet.setStyle("-fx-min-width: %.0fpx;".formatted(NEXT_WIDTH));
    nextSheet.setVisible(false);
    nextSheet.managedProperty().bind(nextSheet.visibleProperty());
    heat = new HeatPanel(state);
    CutPanel cut = new CutPanel(state, bench.files());
    StripsPanel strips = new StripsPanel(state);
    add("Box", "box", new BoxPanel(state, bench.files()), Overlay.GROUPS, () -> {});
    add("Groups", "groups", new GroupsPanel(state), Overlay.GROUPS, () -> {});
    add("Strips", "strips", strips, Overlay.STRIPS, strips::point);
    add("Heat", "heat", heat, Overlay.HEAT, heat::compare);
    add("Cut", "cut", cut, Overlay.GROUPS, cut::follow);
    views.setMinWidth(PANEL);
    views.show("groups");
    body = new Beside(left, views);
    VBox.setVgrow(body, Priority.ALWAYS);
    page = new Page(Station.FIT, new VBox(8, begin, body), views);
    state.follow(this::follow);
  }

  private void add(String name, String id, Node panel, Overlay overlay, Runnable also) {
    views.add(
        name,
        id,
        panel,
        () -> {
          state.shaping(id.equals("box"));
          state.overlay(overlay);
          also.run();
        });
  }

  private EmptyCard begin() {
    return new EmptyCard(
        "Begin with the room there is: its inside width and height, and how deep it is. Cells,"
            + " groups, strips and heat follow.",
        EmptyCard.act(
            "Begin with a plain box",
            "begin-fit",
            () ->
                state
                    .session()
                    .edit(
                        "Begin the fit",
                        Station.FIT,
                        p -> FitState.with(p, fresh(p.variant().pack())))));
  }

  /** A box with a quarter of room to spare around the cells. */
  private static FitPlan fresh(Pack pack) {
    double side = Math.sqrt(pack.cells() * pack.cell().format().packedFootprint() * 1.25);
    double widest = pack.cell().format().pitch() * 2;
    double width = Math.ceil(Math.max(widest, side * 1.3) * 200) / 200;
    double height = Math.ceil(Math.max(widest, side / 1.3) * 200) / 200 + 0.01;
    Container box =
        new Container(
            Outline.rectangle(width, height),
            pack.cell().format().height() + 0.012,
            List.of(),
            new Point(0, height / 2),
            2e-3);
    return FitPlan.of(box, new Packing(Packing.Pattern.HEXAGONAL, 5e-4));
  }

  private Node overlays() {
    HBox what = segments("overlay", Overlay.values(), Overlay::label, overlays, state::overlay);
    HBox seen = segments("face", Face.values(), Face::label, faces, state::face);
    FlowPane all = new FlowPane(12, 4, what, seen);
    all.setMinHeight(FlowPane.USE_PREF_SIZE);
    all.setPrefWrapLength(0);
    return all;
  }

  /** A row of buttons of which one is down. */
  private static <E extends Enum<E>> HBox segments(
      String id,
      E[] values,
      Function<E, String> label,
      Map<E, ToggleButton> buttons,
      Consumer<E> act) {
    HBox row = new HBox();
    ToggleGroup group = new ToggleGroup();
    for (E value : values) {
      ToggleButton b = new ToggleButton(label.apply(value));
      b.setId(id + "-" + value.name().toLowerCase(Locale.ROOT));
      b.getStyleClass().add("segment");
      b.setMinWidth(Button.USE_PREF_SIZE);
      b.setToggleGroup(group);
      b.setOnAction(e -> act.accept(value));
      buttons.put(value, b);
      row.getChildren().add(b);
    }
    return row;
  }

  /** Goes to the next layer, or the next box. */
  private void nextSheet() {
    int boxes = state.layout().map(l -> l.plan().boxes().size()).orElse(1);
    if (state.layer() + 1 < state.layers()) {
      state.sheet(state.box(), state.layer() + 1);
    } else {
      state.sheet((state.box() + 1) % boxes, 0);
    }
  }

  private void follow() {
    Objects.requireNonNull(overlays.get(state.overlay())).setSelected(true);
    Objects.requireNonNull(faces.get(state.face())).setSelected(true);
    Layout l = state.layout().orElse(null);
    if (l == null) {
      return;
    }
    int boxes = l.plan().boxes().size();
    boolean several = boxes > 1 || state.layers() > 1;
    String words =
        (boxes > 1 ? "Box %d of %d, ".formatted(state.box() + 1, boxes) : "")
            + "layer %d of %d ›".formatted(state.layer() + 1, Math.max(1, state.layers()));
    // This may run within a layout pass, in which new words would not be laid out.
    Platform.runLater(
        () -> {
          nextSheet.setVisible(several);
          nextSheet.setText(words);
          nextSheet.requestLayout();
        });
    int k = state.second() >= 0 ? state.second() : state.first();
    cell.setText(
        k < 0
            ? "Press a cell, or walk with the arrows, to hear what it carries. The wheel enlarges;"
                + " drag the ground to move the sheet, 0 fits it in again."
            : words(l, k));
    page.answer(answer(l));
  }

  /** Says in a line what a place holds. */
  private String words(Layout l, int k) {
    Grouping grouping = l.arrangement().attempted().orElse(null);
    int g = grouping == null ? -1 : grouping.at(k);
    if (grouping == null || g < 0) {
      return "An empty place.";
    }
    String turned = g % 2 == 1 ? ", turned over" : "";
    Network n = l.continuous().orElse(null);
    return n == null
        ? "Group " + (g + 1) + turned + "."
        : "Group %d%s: %s, an equal share is %s%s."
            .formatted(
                g + 1,
                turned,
                Figures.of(n.cellCurrents()[k], Unit.AMPERE),
                Figures.of(n.current() / grouping.parallel(), Unit.AMPERE),
                state
                    .temperatures()
                    .map(w -> w.map().frames().get(state.frame())[k])
                    .filter(t -> !Double.isNaN(t))
                    .map(t -> "; " + Figures.of(t, Unit.CELSIUS, 1) + " in the duty")
                    .orElse(""));
  }

  private String answer(Layout l) {
    Pack pack = state.forecast().orElseThrow().design().pack();
    if (l.continuous().isEmpty()) {
      return l.arrangement().why().isEmpty()
          ? "Moves by hand have broken a group: " + l.arrangement().faults().getFirst()
          : "%s does not go in.".formatted(pack.counts());
    }
    return "%s fits: %d places for %d cells, groups %s in order."
        .formatted(
            pack.counts(),
            l.arrangement().placing().places().size(),
            pack.cells(),
            l.continuous().orElseThrow().links().isEmpty() ? "touch" : "are joined");
  }

  @Override
  public Page page() {
    return page;
  }

  @Override
  public void show(Forecast f) {
    boolean has = f.design().fit() != null;
    begin.setVisible(!has);
    body.setVisible(has);
    body.setManaged(has);
    if (!has) {
      page.answer("Not begun: the box is not known yet.");
      return;
    }
    state.show(f);
    heat.warm(f);
    if (views.isShown("heat")) {
      heat.compare();
    }
  }

  @Override
  public String help() {
    return """
    Box: give the inside of the box by its corners, draw it, or take it from a file; posts and the BMS are \
    keep-outs. Cells are placed in the pattern, turned and shifted until most fit. Further layers and boxes are \
    filled in turn.

    Groups are connected and touch in series order; every second one is turned over. Take another way to part \
    them, move cells by hand, lock what is to stay and have the rest arranged anew. What a move breaks is said.

    Strips: the network of this very layout is solved; a thick strip is a hard-worked one. Each plate can have a \
    strip of its own, and what would mend the worst place is worked out with its effect. Heat: temperatures \
    through the duty, and what would change them. Cut: templates at true scale, strip and leads to cut.

    Cover one face before you turn to the other, take rings off, and bridge one cell at a time.\
    """;
  }
}
