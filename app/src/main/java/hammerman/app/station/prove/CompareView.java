package hammerman.app.station.prove;

import hammerman.app.control.Facts;
import hammerman.app.control.InWords;
import hammerman.app.job.Latest;
import hammerman.app.station.Page;
import hammerman.app.station.prove.ProveState.Row;
import hammerman.forecast.Forecast;
import hammerman.prove.Comparison;
import hammerman.record.RunResult;
import hammerman.record.RunSheet;
import hammerman.unit.Figures;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.scene.control.ChoiceBox;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import org.jspecify.annotations.Nullable;

/** Two runs beside each other: what differs, what is worked out, and what may be concluded. */
final class CompareView extends StackPane {
  private final ProveState state;
  private final Latest working = new Latest("comparison");
  private final ChoiceBox<Row> first = choice("first-run", "First run");
  private final ChoiceBox<Row> second = choice("second-run", "Second run");
  private final Label conclusion = new Label();
  private final Label worked = new Label();
  private final Label next = new Label();
  private final Label conditions = new Label();
  private final Label differ = new Label();
  private final Facts results = new Facts("fact-name", "fact-value", "fact-value", "fact-value");
  private boolean filling;

  CompareView(ProveState state) {
    this.state = state;
    conclusion.setId("differs-conclusion");
    conclusion.getStyleClass().add("verdict-line");
    worked.setId("differs-worked");
    next.setId("differs-next");
    conditions.setId("differs-conditions");
    differ.setId("differs-apart");
    results.setId("differs-results");
    for (Label l : List.of(conclusion, worked, next, conditions, differ)) {
      l.setWrapText(true);
      l.setMinHeight(USE_PREF_SIZE);
      l.setMaxWidth(900);
      l.managedProperty().bind(l.textProperty().isNotEmpty());
    }
    for (Label l : List.of(worked, next, conditions, differ)) {
      l.getStyleClass().add("answer");
    }
    FlowPane which = new FlowPane(8, 4, label("First"), first, label("and then"), second);
    first.valueProperty().addListener((o, was, is) -> compare());
    second.valueProperty().addListener((o, was, is) -> compare());
    getChildren()
        .add(
            new VBox(
                10,
                which,
                conclusion,
                next,
                Page.heading("Conditions that differ"),
                conditions,
                worked,
                Page.heading("What they gave"),
                differ,
                results));
    state.shownProperty().addListener((o, was, is) -> fill());
    state.fitsProperty().addListener((o, was, is) -> compare());
    fill();
  }

  private static Label label(String text) {
    Label l = new Label(text);
    l.getStyleClass().add("field-label");
    return l;
  }

  private static ChoiceBox<Row> choice(String id, String spoken) {
    ChoiceBox<Row> box = new ChoiceBox<>();
    box.setId(id);
    box.setAccessibleText(spoken);
    box.setPrefWidth(220);
    box.setConverter(new InWords<>(r -> r.run().value().name()));
    return box;
  }

  private void fill() {
    filling = true;
    List<Row> runs = state.shown().counting();
    long a = first.getValue() == null ? -1 : first.getValue().id();
    long b = second.getValue() == null ? -1 : second.getValue().id();
    first.getItems().setAll(runs);
    second.getItems().setAll(runs);
    int n = runs.size();
    first.setValue(find(runs, a).orElse(n > 1 ? runs.get(n - 2) : null));
    second.setValue(find(runs, b).orElse(n > 0 ? runs.get(n - 1) : null));
    filling = false;
    compare();
  }

  private static Optional<Row> find(List<Row> runs, long id) {
    return runs.stream().filter(r -> r.id() == id).findFirst();
  }

  private void compare() {
    Row a = first.getValue();
    Row b = second.getValue();
    Forecast f = state.forecast();
    if (filling) {
      return;
    }
    if (a == null || b == null || f == null || a.id() == b.id()) {
      working.cancel();
      conclusion.setText(
          state.shown().counting().size() < 2
              ? "Two runs are needed to compare."
              : "Choose two different runs.");
      for (Label l : List.of(worked, next, conditions, differ)) {
        l.setText("");
      }
      results.show(List.of());
      return;
    }
    List<Comparison.Entry> others = state.shown().counting().stream().map(state::entry).toList();
    Comparison.Entry one = state.entry(a);
    Comparison.Entry other = state.entry(b);
    working.submit(
        () -> Comparison.of(f.chain(), one, other, others),
        c -> show(one, other, c),
        e -> state.say(Latest.inWords(e)));
  }

  private void show(Comparison.Entry a, Comparison.Entry b, Comparison c) {
    conclusion.setText(Figures.unbroken(c.remaining().conclusion()));
    next.setText(Figures.unbroken(c.next()));
    differ.setText(
        c.remaining().results().isEmpty()
            ? ""
            : Figures.unbroken(
                "More apart than scatter: %s."
                    .formatted(String.join("; ", c.remaining().results()))));
    conditions.setText(
        c.raw().conditions().isEmpty()
            ? "None that was written down."
            : Figures.unbroken(String.join("; ", c.raw().conditions()) + "."));
    worked.setText(
        c.worked().isEmpty()
            ? ""
            : Figures.unbroken(
                "Worked out by the engine and taken off: %s."
                    .formatted(String.join("; ", c.worked()))));
    List<List<String>> rows = new ArrayList<>();
    boolean corrected = !c.worked().isEmpty();
    rows.add(List.of("", a.name(), b.name(), corrected ? "as if begun like the first" : ""));
    for (RunResult r : RunResult.values()) {
      String one = text(a.sheet(), r);
      String two = text(b.sheet(), r);
      if (!one.isEmpty() || !two.isEmpty()) {
        rows.add(List.of(r.label(), one, two, corrected ? text(c.corrected(), r) : ""));
      }
    }
    results.show(rows);
  }

  private static String text(RunSheet sheet, RunResult r) {
    @Nullable Double v = sheet.results().get(r);
    return v == null ? "" : Figures.of(v, r.unit());
  }
}
