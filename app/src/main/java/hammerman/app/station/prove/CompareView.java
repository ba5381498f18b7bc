package hammerman.app.station.prove;

import hammerman.app.control.Beside;
import hammerman.app.control.Column;
import hammerman.app.control.Facts;
import hammerman.app.control.FewTicks;
import hammerman.app.control.InWords;
import hammerman.app.control.RecordTable;
import hammerman.app.control.Words;
import hammerman.app.job.Latest;
import hammerman.app.station.Page;
import hammerman.app.station.prove.ProveState.Row;
import hammerman.forecast.Forecast;
import hammerman.prove.Comparison;
import hammerman.prove.Comparisons;
import hammerman.record.RunResult;
import hammerman.record.RunSheet;
import hammerman.unit.Figures;
import hammerman.unit.Sentence;
import hammerman.unit.Unit;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import javafx.beans.InvalidationListener;
import javafx.scene.control.ChoiceBox;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import org.jspecify.annotations.Nullable;

/**
 * Runs beside one of them: what differs, what is worked out, and what may be concluded. Nobody
 * reads more than a few columns: at most {@value #MOST} are compared at once.
 */
final class CompareView extends StackPane {
  private static final int MOST = 4;

  private final ProveState state;
  private final Latest working = new Latest("comparison");
  private final ChoiceBox<Row> first = new ChoiceBox<>();
  private final FewTicks<Row, Long> ticks;
  private final RecordTable<Row> others;
  private final Words conclusion = new Words("verdict-line", "differs-conclusion");
  private final Words worked = new Words("answer", "differs-worked");
  private final Words next = new Words("answer", "differs-next");
  private final Words conditions = new Words("answer", "differs-conditions");
  private final Words differ = new Words("answer", "differs-apart");
  private final Facts results =
      new Facts("fact-name", "fact-value", "fact-value", "fact-value", "fact-value", "fact-value")
          .withHeads();
  private boolean filling;

  CompareView(ProveState state) {
    this.state = state;
    ticks = new FewTicks<>(Row::id, 1, MOST, state::say);
    others =
        new RecordTable<Row>(
                "differs-runs",
                "the runs to compare with it",
                "Two runs are needed to compare.",
                List.of(
                    Column.words("Run", 190, r -> r.run().value().name()),
                    Column.<Row>words("Under what", 220, CompareView::under).inLines()))
            .keyed(Row::id)
            .withTicks("Compare", r -> "differs-" + r.id(), ticks)
            .withoutFilter();
    first.setId("first-run");
    first.setAccessibleText("Run that others are compared with");
    first.setPrefWidth(240);
    first.setConverter(new InWords<>(r -> r.run().value().name()));
    results.setId("differs-results");
    Label with = new Label("Compare with");
    with.getStyleClass().add("field-label");
    first.valueProperty().addListener((o, was, is) -> chosen());
    others.setMinHeight(120);
    others.setPrefSize(430, 160);
    Label gave = Page.heading("What they gave");
    gave.visibleProperty().bind(differ.visibleProperty());
    gave.managedProperty().bind(differ.visibleProperty());
    VBox what =
        new VBox(
            8,
            conclusion,
            next,
            Page.heading("Conditions that differ"),
            conditions,
            worked,
            gave,
            differ);
    what.setMinWidth(300);
    VBox which = new VBox(8, new FlowPane(8, 4, with, first), others);
    which.minWidthProperty().bind(others.minWidthProperty());
    which.setPrefWidth(430);
    VBox.setVgrow(others, Priority.ALWAYS);
    Beside both = new Beside(which, what);
    VBox.setVgrow(both, Priority.ALWAYS);
    getChildren().add(new VBox(12, both, results));
    state.shownProperty().addListener((o, was, is) -> fill());
    ticks.ticked().addListener((InvalidationListener) o -> compare());
    state.fitsProperty().addListener((o, was, is) -> compare());
    state.forecastProperty().addListener((o, was, is) -> compare());
    fill();
  }

  /** Conditions of a run in a line. */
  private static String under(Row row) {
    RunSheet s = row.run().value().sheet();
    List<String> all = new ArrayList<>();
    s.figures()
        .forEach(
            (c, v) -> {
              Unit unit = c.unit();
              if (unit != null) {
                all.add(Figures.of(v, unit));
              }
            });
    all.addAll(s.words().values());
    s.own().forEach((name, v) -> all.add(name + " " + v));
    return Figures.unbroken(String.join(", ", all));
  }

  private void fill() {
    filling = true;
    List<Row> runs = state.shown().counting();
    long a = first.getValue() == null ? -1 : first.getValue().id();
    first.getItems().setAll(runs);
    int n = runs.size();
    first.setValue(
        runs.stream()
            .filter(r -> r.id() == a)
            .findFirst()
            .orElse(n > 1 ? runs.get(n - 2) : n > 0 ? runs.getFirst() : null));
    filling = false;
    chosen();
  }

  /** Another run is the one that others are compared with. */
  private void chosen() {
    Row a = first.getValue();
    if (filling) {
      return;
    }
    List<Row> rest =
        state.shown().counting().stream().filter(r -> a != null && r.id() != a.id()).toList();
    ticks.keep(rest);
    if (ticks.ticked().isEmpty() && !rest.isEmpty()) {
      ticks.turn(rest.getLast(), true);
    }
    others.show(rest);
    others.refresh();
    compare();
  }

  private void compare() {
    Row a = first.getValue();
    Forecast f = state.forecast();
    if (filling) {
      return;
    }
    List<Row> counting = state.shown().counting();
    List<Comparison.Entry> runs = counting.stream().filter(ticks::has).map(state::entry).toList();
    if (a == null || f == null || runs.isEmpty()) {
      working.cancel();
      conclusion.setText("Two runs are needed to compare.");
      for (Label l : List.of(worked, next, conditions, differ)) {
        l.setText("");
      }
      results.show(List.of());
      return;
    }
    List<Comparison.Entry> all = counting.stream().map(state::entry).toList();
    Comparison.Entry one = state.entry(a);
    working.submit(
        () -> Comparisons.of(f.chain(), one, runs, all),
        c -> show(c, runs),
        e -> state.say(Latest.inWords(e)));
  }

  private void show(Comparisons all, List<Comparison.Entry> runs) {
    conclusion.setText(all.conclusion());
    next.setText(
        all.each().stream().map(Comparison::next).filter(n -> !n.isEmpty()).findFirst().orElse(""));
    conditions.setText(lines(all, c -> c.raw().conditions(), "", "none that was written down"));
    worked.setText(lines(all, Comparison::worked, "Worked out by the engine and taken off: ", ""));
    differ.setText(lines(all, c -> c.remaining().results(), "More apart than scatter: ", ""));
    boolean corrected = all.each().stream().anyMatch(c -> !c.worked().isEmpty());
    List<List<String>> rows = new ArrayList<>();
    List<String> heads = new ArrayList<>(List.of("", all.first().name()));
    runs.forEach(r -> heads.add(r.name()));
    rows.add(filled(heads));
    for (RunResult r : RunResult.values()) {
      List<String> row =
          new ArrayList<>(
              List.of(r.label() + ", " + r.unit().symbol(), text(all.first().sheet(), r)));
      for (int k = 0; k < runs.size(); k++) {
        String was = text(runs.get(k).sheet(), r);
        String is = text(all.each().get(k).corrected(), r);
        row.add(was.equals(is) ? was : was + " → " + is);
      }
      if (row.stream().skip(1).anyMatch(t -> !t.isEmpty())) {
        rows.add(filled(row));
      }
    }
    if (corrected) {
      rows.add(filled(List.of("→ as if done like the first")));
    }
    results.show(rows);
  }

  private static List<String> filled(List<String> row) {
    List<String> whole = new ArrayList<>(row);
    while (whole.size() < MOST + 2) {
      whole.add("");
    }
    return whole;
  }

  /** What is said of each run, in a line each; with several runs each is named. */
  private static String lines(
      Comparisons all, Function<Comparison, List<String>> of, String before, String none) {
    Map<String, List<String>> names = new LinkedHashMap<>();
    for (Comparison c : all.each()) {
      String said = of.apply(c).isEmpty() ? none : String.join("; ", of.apply(c));
      if (!said.isEmpty()) {
        names.computeIfAbsent(said, k -> new ArrayList<>()).add("“%s”".formatted(c.name()));
      }
    }
    boolean several = all.each().size() > 1;
    List<String> lines = new ArrayList<>();
    names.forEach(
        (said, whose) ->
            lines.add(
                several
                    ? String.join(", ", whose) + ": " + said + "."
                    : Sentence.beginning(before + said) + "."));
    String head = several && !lines.isEmpty() && !before.isEmpty() ? before.strip() + "\n" : "";
    return Figures.unbroken(head + String.join("\n", lines));
  }

  private static String text(RunSheet sheet, RunResult r) {
    @Nullable Double v = sheet.results().get(r);
    return v == null ? "" : Figures.number(r.unit().fromCore(v));
  }
}
