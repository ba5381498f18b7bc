package hammerman.app.station.stack;

import hammerman.app.control.RecordTable;
import hammerman.app.control.Words;
import hammerman.app.job.Latest;
import hammerman.app.session.Session;
import hammerman.cell.CellLibrary;
import hammerman.design.Design;
import hammerman.finding.Station;
import hammerman.search.Candidate;
import hammerman.search.Search;
import hammerman.search.Weights;
import java.util.Comparator;
import java.util.List;
import java.util.function.Consumer;
import javafx.application.Platform;
import javafx.geometry.VPos;
import javafx.scene.control.Button;
import javafx.scene.control.ProgressBar;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import org.jspecify.annotations.Nullable;

/** The search over every cell and count: a ranking, a scatter, and a press that makes a variant. */
final class SearchView extends VBox {
  private final Session session;
  private final Consumer<Search> found;
  private final Latest searching = new Latest("search");
  private final Wishes wishes = new Wishes(this::rank);
  private final Foremost foremost;
  private final RecordTable<Candidate> table;
  private final Words whole = new Words("fact-name", "search-whole");
  private final Words words = new Words("answer", "search-found");
  private final ProgressBar progress = new ProgressBar(0);
  private final Button cancel = new Button("Cancel");
  private final SearchScatter scatter = new SearchScatter();
  private @Nullable Search result;
  private @Nullable Design searched;

  /**
   * @param found told the ranking whenever it changes
   */
  SearchView(Session session, Consumer<Search> found) {
    super(6);
    this.session = session;
    this.found = found;
    foremost = new Foremost(session::parts, this::equipped);
    table =
        new RecordTable<>(
            "search-rows",
            "what serves the duty",
            "What serves the duty is listed here, the smallest first.",
            CandidateColumns.of(foremost));
    progress.setPrefWidth(110);
    progress.visibleProperty().bind(searching.busyProperty());
    cancel.setId("cancel-search");
    cancel.getStyleClass().addAll("plain", "small");
    cancel.visibleProperty().bind(searching.busyProperty());
    cancel.setOnAction(e -> cancel());
    FlowPane top = new FlowPane(12, 4);
    top.getChildren().addAll(wishes.nodes());
    top.getChildren().addAll(progress, cancel);
    top.setRowValignment(VPos.CENTER);
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
    HBox said = new HBox(12, words, make);
    said.setStyle("-fx-alignment: center-left;");
    getChildren().addAll(top, said, table, whole, scatter);
    table.chosenProperty().addListener((o, was, is) -> tell(is));
  }

  private void tell(@Nullable Candidate c) {
    whole.setText(c == null ? "" : foremost.told(c));
  }

  private void equipped() {
    if (result != null) {
      list(result);
      table.refresh();
    }
    tell(table.chosenProperty().get());
  }

  private void list(Search search) {
    List<Candidate> ranked =
        search.candidates().stream()
            .sorted(
                Comparator.<Candidate, Boolean>comparing(foremost::isRuledOut)
                    .thenComparingDouble(Candidate::score))
            .toList();
    table.show(ranked);
    scatter.show(ranked, search.knee().orElse(null));
  }

  /** Searches for a design's duty, unless that was just done; the list grows while it runs. */
  void show(Design design) {
    if (design.equals(searched)) {
      return;
    }
    searched = design;
    String sign = design.duty().bounds().prices().sign();
    table.unitOf(CandidateColumns.COST, sign);
    table.unitOf(CandidateColumns.ALL_COST, sign);
    foremost.clear();
    progress.setProgress(0);
    CellLibrary cells = session.library();
    Weights chosen = wishes.weights();
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
            foremost.equip(result);
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
      result = search.ranked(wishes.weights());
      fill();
    }
  }

  private void rank() {
    if (result != null) {
      result = result.ranked(wishes.weights());
      fill();
    }
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
                        .map(k -> " Beyond " + k.name() + " each year costs more mass.")
                        .orElse("")));
    list(search);
    if (!searching.busyProperty().get()) {
      foremost.equip(search);
    }
    found.accept(search);
  }

  static void makeVariant(Session session, Candidate c) {
    String name = c.name();
    session.edit("Variant " + name, Station.STACK, p -> p.plusVariant(name).withDesign(c.design()));
  }
}
