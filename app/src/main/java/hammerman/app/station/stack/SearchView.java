package hammerman.app.station.stack;

import hammerman.app.control.Column;
import hammerman.app.control.QuantityField;
import hammerman.app.control.RecordTable;
import hammerman.app.control.Words;
import hammerman.app.job.Latest;
import hammerman.app.session.Session;
import hammerman.build.Equipped;
import hammerman.cell.CellLibrary;
import hammerman.design.Design;
import hammerman.finding.Finding;
import hammerman.finding.Station;
import hammerman.guard.Parts;
import hammerman.search.Candidate;
import hammerman.search.Search;
import hammerman.search.Weights;
import hammerman.unit.Figures;
import hammerman.unit.Sentence;
import hammerman.unit.Unit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.CancellationException;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import javafx.application.Platform;
import javafx.geometry.Pos;
import javafx.geometry.VPos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ProgressBar;
import javafx.scene.control.Slider;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import org.jspecify.annotations.Nullable;

/** The search over every cell and count: a ranking, a scatter, and a press that makes a variant. */
final class SearchView extends VBox {
  private static final List<String> QUALITIES =
      List.of("Light", "Cheap", "Lasting", "Reserve", "Cool");

  /** So many of the foremost are looked at with their parts. */
  private static final int EQUIPPED = 12;

  private final Session session;
  private final Consumer<Search> found;
  private final Latest searching = new Latest("search");
  private final List<Slider> weights = new ArrayList<>();
  private final RecordTable<Candidate> table =
      new RecordTable<>("search-rows", "what serves the duty", "Nothing found yet.", columns());
  private final Words whole = new Words("fact-name", "search-whole");
  private final Latest equipping = new Latest("parts of what was found");

  /** The foremost stacks with their parts, as far as they are worked out. */
  private final Map<Design, Equipped> equipped = new HashMap<>();

  private final Label words = new Label();
  private final ProgressBar progress = new ProgressBar(0);
  private final Button cancel = new Button("Cancel");
  private final SearchScatter scatter = new SearchScatter();
  private double years = Weights.USUAL_YEARS;
  private double reserve = Weights.USUAL_RESERVE;
  private @Nullable Search result;
  private @Nullable Design searched;

  /**
   * @param found told the ranking whenever it changes
   */
  SearchView(Session session, Consumer<Search> found) {
    super(6);
    this.session = session;
    this.found = found;
    HBox choose = new HBox(14);
    for (String quality : QUALITIES) {
      choose.getChildren().add(weight(quality));
    }
    Label by = new Label("What counts");
    by.getStyleClass().add("fact-name");
    progress.setPrefWidth(110);
    progress.visibleProperty().bind(searching.busyProperty());
    cancel.setId("cancel-search");
    cancel.getStyleClass().addAll("plain", "small");
    cancel.visibleProperty().bind(searching.busyProperty());
    cancel.setOnAction(e -> cancel());
    QuantityField yearsWanted =
        new QuantityField("Years wanted", Unit.ONE, false, v -> wanted(v, reserve));
    yearsWanted.setId("years-wanted");
    yearsWanted.setPrefWidth(56);
    yearsWanted.show(years);
    QuantityField leftWanted =
        new QuantityField("Left wanted", Unit.PERCENT, false, v -> wanted(years, v));
    leftWanted.setId("left-wanted");
    leftWanted.setPrefWidth(56);
    leftWanted.show(reserve);
    HBox wanted =
        new HBox(
            6,
            name("Wanted: years"),
            yearsWanted,
            name("left, %"),
            leftWanted,
            name("(more than that weighs nothing)"));
    wanted.setAlignment(Pos.CENTER_LEFT);
    FlowPane top = new FlowPane(12, 4, by, choose, wanted, progress, cancel);
    top.setRowValignment(VPos.CENTER);
    words.getStyleClass().add("answer");
    words.setId("search-found");
    words.setWrapText(true);
    words.setMinHeight(USE_PREF_SIZE);
    Button make = new Button("Make it a variant");
    make.setId("make-variant");
    make.getStyleClass().addAll("plain", "small");
    make.setMinWidth(Button.USE_PREF_SIZE);
    make.setOnAction(
        e -> {
          Candidate chosen = table.chosenProperty().get();
          if (chosen != null) {
            makeVariant(session, chosen);
          }
        });
    make.disableProperty().bind(table.chosenProperty().isNull());
    table.onAct(c -> makeVariant(session, c));
    table.setMinHeight(150);
    table.setPrefHeight(300);
    VBox.setVgrow(table, Priority.SOMETIMES);
    VBox.setVgrow(scatter, Priority.ALWAYS);
    scatter.setMinHeight(120);
    scatter.setPrefHeight(190);
    HBox.setHgrow(words, Priority.ALWAYS);
    words.setMaxWidth(Double.MAX_VALUE);
    HBox said = new HBox(12, words, make);
    said.setStyle("-fx-alignment: center-left;");
    getChildren().addAll(top, said, table, whole, scatter);
    table.chosenProperty().addListener((o, was, is) -> tell(is));
  }

  private List<Column<Candidate>> columns() {
    return List.of(
        Column.words("Cell", 138, c -> (c.best() ? "● " : "○ ") + c.design().pack().cell().name()),
        Column.figures(
            "Counts",
            58,
            Candidate::counts,
            Comparator.comparingInt(c -> c.design().pack().cells())),
        Column.figures(
            "Wh",
            50,
            c -> Figures.number(Unit.WATT_HOUR.fromCore(c.design().pack().energy())),
            Comparator.comparingDouble(c -> -c.design().pack().energy())),
        Column.figures(
            "kg", 46, c -> Figures.number(c.mass()), Comparator.comparingDouble(Candidate::mass)),
        Column.figures(
            "Cost",
            46,
            c -> Figures.fixed(c.cost(), 0),
            Comparator.comparingDouble(Candidate::cost)),
        Column.figures(
            "Years",
            46,
            c -> Figures.fixed(c.years(), 1),
            Comparator.comparingDouble(c -> -c.years())),
        Column.figures(
            "Left",
            50,
            c -> Figures.of(c.margin(), Unit.PERCENT, 0),
            Comparator.comparingDouble(c -> -c.margin())),
        Column.figures(
            "Hottest",
            58,
            c -> Figures.of(c.peakTemperature(), Unit.CELSIUS, 0),
            Comparator.comparingDouble(Candidate::peakTemperature)),
        Column.figures(
            "Sag to",
            60,
            c -> Figures.of(c.sag(), Unit.VOLT, 1),
            Comparator.comparingDouble(c -> -c.sag())),
        Column.figures(
            "All cost",
            60,
            c -> of(c).map(e -> Figures.fixed(e.price(), 0)).orElse(""),
            Comparator.comparingDouble(c -> of(c).map(Equipped::price).orElse(Double.MAX_VALUE))),
        Column.<Candidate>words("Parts", 70, this::suits).styled(this::suitsStyle));
  }

  private Optional<Equipped> of(Candidate c) {
    return Optional.ofNullable(equipped.get(c.design()));
  }

  private String suits(Candidate c) {
    return of(c)
        .map(e -> e.against().stream().findFirst().map(Finding::word).orElse("suit"))
        .orElse("");
  }

  private String suitsStyle(Candidate c) {
    return of(c)
        .map(e -> e.against().isEmpty() ? "serves" : e.isFeasible() ? "warn" : "stop")
        .orElse("");
  }

  /** What the chosen stack comes to with its parts. */
  private void tell(@Nullable Candidate c) {
    whole.setText(
        c == null
            ? ""
            : of(c)
                .map(
                    e ->
                        "%s with its parts: %s, %s by rough prices. %s"
                            .formatted(
                                name(c),
                                Figures.of(e.mass(), Unit.KILOGRAM),
                                e.design().duty().bounds().money(e.price(), 0),
                                e.against().isEmpty()
                                    ? e.design().fit() == null
                                        ? "They suit it."
                                        : "They suit it, and it fits its box."
                                    : "No part on the shelf cures: "
                                        + e.against().stream()
                                            .map(f -> Sentence.within(f.title()))
                                            .collect(Collectors.joining("; "))
                                        + "."))
                .map(Figures::unbroken)
                .orElse(""));
  }

  /** Looks for the parts of the foremost, one after another; what cannot be made goes last. */
  private void equip(Search search) {
    List<Design> foremost =
        search.candidates().stream()
            .sorted(Comparator.comparingDouble(Candidate::score))
            .limit(EQUIPPED)
            .map(Candidate::design)
            .filter(d -> !equipped.containsKey(d))
            .toList();
    if (foremost.isEmpty()) {
      return;
    }
    Parts parts = session.parts();
    equipping.submit(
        () -> {
          for (Design d : foremost) {
            if (Thread.currentThread().isInterrupted()) {
              throw new CancellationException("superseded");
            }
            Equipped made = Equipped.of(d, parts);
            Platform.runLater(() -> take(d, made));
          }
          return foremost.size();
        },
        all -> {});
  }

  private void take(Design stack, Equipped made) {
    equipped.put(stack, made);
    if (result != null) {
      list(result);
      table.refresh();
    }
    tell(table.chosenProperty().get());
  }

  private void list(Search search) {
    table.show(
        search.candidates().stream()
            .sorted(
                Comparator.<Candidate, Boolean>comparing(
                        c -> of(c).filter(e -> !e.isFeasible()).isPresent())
                    .thenComparingDouble(Candidate::score))
            .toList());
  }

  private static Label name(String text) {
    Label l = new Label(text);
    l.getStyleClass().add("fact-name");
    l.setMinWidth(USE_PREF_SIZE);
    return l;
  }

  /** Ranks by what is wanted, unless that cannot be. */
  private void wanted(@Nullable Double forYears, @Nullable Double left) {
    if (forYears != null && left != null) {
      double[] w = weights.stream().mapToDouble(s -> Math.rint(s.getValue())).toArray();
      Weights now = new Weights(w[0], w[1], w[2], w[3], w[4], forYears, left);
      years = now.years();
      reserve = now.reserve();
      rank();
    }
  }

  private VBox weight(String quality) {
    Slider slider = new Slider(0, 3, 1);
    slider.setMajorTickUnit(1);
    slider.setMinorTickCount(0);
    slider.setSnapToTicks(true);
    slider.setBlockIncrement(1);
    slider.setPrefWidth(84);
    slider.setId("rank-" + quality.toLowerCase(Locale.ROOT));
    Label label = new Label();
    label.getStyleClass().add("fact-name");
    Runnable name =
        () -> {
          int weight = (int) Math.rint(slider.getValue());
          label.setText(quality + " × " + weight);
          slider.setAccessibleText("Weight of " + quality + ", " + weight);
        };
    slider
        .valueProperty()
        .addListener(
            (o, was, is) -> {
              name.run();
              if (Math.rint(was.doubleValue()) != Math.rint(is.doubleValue())) {
                rank();
              }
            });
    name.run();
    weights.add(slider);
    return new VBox(0, label, slider);
  }

  /** Searches for a design's duty, unless that was just done; the list grows while it runs. */
  void show(Design design) {
    if (design.equals(searched)) {
      return;
    }
    searched = design;
    equipped.clear();
    equipping.cancel();
    progress.setProgress(0);
    CellLibrary cells = session.library();
    Weights chosen = weights();
    int all = cells.cells().size() * Search.MOST_SERIES * Search.MOST_PARALLEL;
    searching.submit(
        () ->
            Search.of(
                design,
                cells,
                chosen,
                soFar ->
                    Platform.runLater(
                        () -> {
                          progress.setProgress((double) soFar.tried() / all);
                          take(design, soFar);
                        }),
                () -> Thread.currentThread().isInterrupted()),
        last -> {
          take(design, last);
          if (result != null) {
            equip(result);
          }
        });
  }

  private void cancel() {
    searching.cancel();
    searched = null;
    words.setText("Cancelled; what was found so far is below.");
  }

  private void take(Design design, Search search) {
    if (design.equals(searched)) {
      result = search.ranked(weights());
      fill();
    }
  }

  private void rank() {
    if (result != null) {
      result = result.ranked(weights());
      fill();
    }
  }

  private Weights weights() {
    double[] w = weights.stream().mapToDouble(s -> Math.rint(s.getValue())).toArray();
    return new Weights(w[0], w[1], w[2], w[3], w[4], years, reserve);
  }

  private void fill() {
    Search search = result;
    if (search == null) {
      return;
    }
    words.setText(
        search.candidates().isEmpty()
            ? "None of %d pairs serves the duty within its limits. Ease the mass, room or budget, or the duty."
                .formatted(search.tried())
            : "%d of %d pairs serve; ● nothing beats it in everything. Enter makes a variant.%s"
                .formatted(
                    search.candidates().size(),
                    search.tried(),
                    search
                        .knee()
                        .map(k -> " Beyond " + name(k) + " each year costs more mass.")
                        .orElse("")));
    list(search);
    if (!searching.busyProperty().get()) {
      equip(search);
    }
    scatter.show(search);
    found.accept(search);
  }

  static String name(Candidate c) {
    return c.design().pack().cell().name() + " " + c.counts();
  }

  static void makeVariant(Session session, Candidate c) {
    String name = name(c);
    session.edit("Variant " + name, Station.STACK, p -> p.plusVariant(name).withDesign(c.design()));
  }
}
