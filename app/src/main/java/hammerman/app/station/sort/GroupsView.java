package hammerman.app.station.sort;

import hammerman.app.control.Beside;
import hammerman.app.control.Column;
import hammerman.app.control.FileAsk;
import hammerman.app.control.Form;
import hammerman.app.control.PlainButton;
import hammerman.app.control.RecordTable;
import hammerman.app.control.Words;
import hammerman.app.job.Latest;
import hammerman.app.station.Bench;
import hammerman.app.station.Page;
import hammerman.design.Design;
import hammerman.finding.Station;
import hammerman.forecast.Forecast;
import hammerman.forecast.MatchCost;
import hammerman.forecast.Placement;
import hammerman.pack.MatchedCells;
import hammerman.pack.Pack;
import hammerman.project.Project;
import hammerman.sort.LabelSheet;
import hammerman.sort.Matching;
import hammerman.sort.MeasuredCell;
import hammerman.sort.SortPlan;
import hammerman.sort.StockTable;
import hammerman.sort.TooFewCells;
import hammerman.store.WholeFile;
import hammerman.unit.Figures;
import hammerman.unit.InvalidValue;
import hammerman.unit.Unit;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import javafx.scene.control.Button;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import org.jspecify.annotations.Nullable;

/** Good cells in level groups: how level, what it costs, and into the design with them. */
final class GroupsView extends StackPane {
  private final Bench bench;
  private final SortState state;
  private final Latest matching = new Latest("matching");
  private final Latest costing = new Latest("match cost");
  private final GroupsPicture picture = new GroupsPicture();
  private final Words words = new Words("answer", "groups-words");
  private final Words cost = new Words("fact-name", "match-cost");
  private final Button take = new Button("Take these cells into the design");
  private final RecordTable<Row> table =
      new RecordTable<Row>(
              "groups",
              "the groups",
              "No groups yet.",
              List.of(
                  Column.figures(
                      "Group",
                      50,
                      r -> String.valueOf(r.number()),
                      Comparator.comparingInt(Row::number)),
                  Column.figures(
                      "Ah",
                      64,
                      r -> Figures.fixed(r.capacity(), 3),
                      Comparator.comparingDouble(Row::capacity)),
                  Column.figures(
                      "mΩ",
                      58,
                      r ->
                          Double.isNaN(r.resistance())
                              ? "–"
                              : Figures.fixed(Unit.MILLIOHM.fromCore(r.resistance()), 2),
                      Comparator.comparingDouble(Row::resistance)),
                  Column.<Row>words("Cells", 140, Row::cells).inLines()))
          .withoutFilter();
  private @Nullable Asked asked;
  private @Nullable Result result;

  /** What a matching follows from. */
  private record Asked(
      List<MeasuredCell> cells, int series, int parallel, Matching.Terms terms, boolean direct) {}

  /** What came of it. */
  private sealed interface Result {
    record Matched(Matching matching) implements Result {}

    record Refused(String why) implements Result {}
  }

  /** A group in the table. */
  private record Row(int number, double capacity, double resistance, String cells) {}

  GroupsView(Bench bench, SortState state) {
    this.bench = bench;
    this.state = state;
    Form form = new Form(state.session(), Station.SORT, 150, 70);
    form.section("What is to be level")
        .choice(
            "Level by",
            List.of(Matching.Level.values()),
            Matching.Level::label,
            p -> p.sortPlan().level(),
            (p, v) -> with(p, s -> s.withLevel(v)))
        .quantityWhen(
            p -> p.sortPlan().level() == Matching.Level.BOTH,
            "Weight of the capacity",
            Unit.PERCENT,
            p -> p.sortPlan().capacityWeight(),
            (p, v) -> with(p, s -> s.withCapacityWeight(v)))
        .optional(
            "Resistance ratio, most",
            Unit.ONE,
            p -> p.sortPlan().mostRatio(),
            (p, v) -> with(p, s -> s.withMostRatio(v)))
        .choice(
            "Weak cells",
            List.of(false, true),
            cool -> cool ? "in the cooler places" : "anywhere in their group",
            p -> p.sortPlan().coolest(),
            (p, v) -> with(p, s -> s.withCoolest(v)));
    take.setId("take-groups");
    take.getStyleClass().add("act");
    take.setMinWidth(USE_PREF_SIZE);
    take.setOnAction(e -> take());
    Button labels = new PlainButton("Labels, PDF", "labels-pdf", this::labels);
    Button picking = new PlainButton("Picking list", "picking-list", this::picking);
    table.setMinHeight(130);
    table.setPrefHeight(240);
    VBox left =
        new VBox(
            8,
            form.node(),
            words,
            take,
            new FlowPane(6, 4, labels, picking),
            Page.heading("Groups"),
            table);
    left.setPrefWidth(350);
    VBox.setVgrow(table, Priority.ALWAYS);
    VBox right = new VBox(6, picture, Page.heading("What it comes to"), cost);
    VBox.setVgrow(picture, Priority.ALWAYS);
    right.setMinWidth(320);
    getChildren().add(new Beside(left, right));
    state.shownProperty().addListener((o, was, is) -> showIfSeen());
  }

  private static Project with(Project p, Function<SortPlan, SortPlan> change) {
    return p.withSorting(change.apply(p.sortPlan()));
  }

  private void showIfSeen() {
    if (getScene() != null) {
      show();
    }
  }

  /** Matches what there is now, unless that was just done. */
  void show() {
    SortState.Shown s = state.shown();
    Pack pack = s.pack();
    if (pack == null) {
      return;
    }
    Asked now =
        new Asked(
            s.sorting().accepted(),
            pack.series(),
            pack.parallel(),
            s.plan().terms(s.read().welded()),
            s.plan().direct());
    if (now.equals(asked)) {
      tell();
      return;
    }
    asked = now;
    words.setText("Matching " + now.cells().size() + " cells …");
    costing.cancel();
    matching.submit(
        () -> match(now),
        found -> {
          result = found;
          tell();
          if (found instanceof Result.Matched m) {
            weigh(now, m.matching());
          }
        });
  }

  private static Result match(Asked a) {
    try {
      return new Result.Matched(Matching.of(a.cells(), a.series(), a.parallel(), a.terms()));
    } catch (TooFewCells | InvalidValue e) {
      return new Result.Refused(String.valueOf(e.getMessage()));
    }
  }

  private void weigh(Asked a, Matching m) {
    cost.setText("Running the three …");
    Design design = state.session().project().design();
    costing.submit(
        () -> MatchCost.of(design, m, a.cells(), a.direct()),
        c -> cost.setText(GroupWords.of(c)),
        e -> cost.setText("These groups cannot be run with this design: " + Latest.inWords(e)));
  }

  private void tell() {
    switch (result) {
      case null -> {}
      case Result.Refused r -> {
        words.setText(r.why());
        picture.show(null);
        table.show(List.of());
        cost.setText("");
        take.setDisable(true);
      }
      case Result.Matched r -> {
        Matching m = r.matching();
        picture.show(m);
        table.show(rows(m));
        MatchedCells found = cells(m);
        MatchedCells in = state.shown().inPack();
        boolean taken =
            in != null
                && labels(in).equals(labels(found))
                && Set.copyOf(in.withoutCapacity()).equals(Set.copyOf(found.withoutCapacity()));
        take.setDisable(taken);
        words.setText(
            "%s; %d cells are spare%s.%s%s%s"
                .formatted(
                    GroupWords.level(m),
                    m.spares().size(),
                    pins(m),
                    GroupWords.resistances(m),
                    GroupWords.assumed(found),
                    taken ? " They are the cells of the design." : ""));
      }
    }
  }

  /** How many of the cells stay where they are pinned or welded. */
  private String pins(Matching m) {
    SortState.Shown s = state.shown();
    var stays = s.plan().terms(s.read().welded()).pinned().keySet();
    long held =
        m.groups().stream().flatMap(List::stream).filter(c -> stays.contains(c.label())).count();
    return held == 0
        ? ""
        : ", and %d %s pinned or welded in place".formatted(held, held == 1 ? "is" : "are");
  }

  /** Which labels are in which group, in whatever places. */
  private static List<List<String>> labels(MatchedCells cells) {
    return cells.groups().stream()
        .map(g -> g.cells().stream().map(MatchedCells.Cell::label).sorted().toList())
        .toList();
  }

  private static List<Row> rows(Matching m) {
    List<Row> rows = new ArrayList<>();
    for (int g = 0; g < m.groups().size(); g++) {
      List<MeasuredCell> cells = m.groups().get(g);
      rows.add(
          new Row(
              g + 1,
              Matching.capacity(cells),
              Matching.resistance(cells),
              GroupWords.listed(cells)));
    }
    return rows;
  }

  /** Groups as cells of the design. */
  private MatchedCells cells(Matching m) {
    SortState.Shown s = state.shown();
    return m.cells(s.plan().direct()).assuming(s.sorting().assumed());
  }

  private void take() {
    if (result instanceof Result.Matched r) {
      MatchedCells cells = cells(r.matching());
      Forecast now = state.session().forecastProperty().get();
      boolean cool = state.shown().plan().coolest();
      MatchedCells placed = cool ? Placement.coolest(now, cells).orElse(cells) : cells;
      state.session().editDesign("Matched cells", Station.SORT, d -> d.withMatched(placed));
      state.say(
          "The design is built of these cells now; Forecast and Fit count with each group."
              + (cool && placed.equals(cells)
                  ? " There is no layout yet, so no place is cooler than another."
                  : ""));
    }
  }

  private void labels() {
    save(
        "Labels",
        new FileAsk.Kind("PDF", List.of("*.pdf")),
        "labels.pdf",
        file ->
            WholeFile.write(
                file, LabelSheet.pdf(groupsAsPlaced(), state.session().project().name())));
  }

  private void picking() {
    save(
        "Picking list",
        FileAsk.Kind.TABLE,
        "picking-list.csv",
        file -> StockTable.writePicking(file, groupsAsPlaced()));
  }

  /** The cells of the design in their places if these groups are taken; else as matched. */
  private List<List<MeasuredCell>> groupsAsPlaced() {
    if (!(result instanceof Result.Matched r)) {
      return List.of();
    }
    MatchedCells in = state.shown().inPack();
    if (in == null || !take.isDisabled()) {
      return r.matching().groups();
    }
    Map<String, MeasuredCell> byLabel =
        r.matching().groups().stream()
            .flatMap(List::stream)
            .collect(Collectors.toMap(MeasuredCell::label, c -> c));
    return in.groups().stream()
        .map(
            g ->
                g.cells().stream()
                    .map(c -> Objects.requireNonNull(byLabel.get(c.label())))
                    .toList())
        .toList();
  }

  /** Writes a file, or says why not. */
  private interface Write {
    void to(Path file) throws IOException;
  }

  private void save(String title, FileAsk.Kind kind, String name, Write write) {
    if (groupsAsPlaced().isEmpty()) {
      state.say("There are no groups yet; match enough good cells first.");
      return;
    }
    bench
        .files()
        .save(title, kind, name)
        .ifPresent(
            file -> {
              try {
                write.to(file);
                state.say("Wrote " + file.getFileName() + ".");
              } catch (IOException e) {
                state.say(
                    "%s could not be written (%s). Choose another folder."
                        .formatted(file.getFileName(), e.getMessage()));
              }
            });
  }
}
