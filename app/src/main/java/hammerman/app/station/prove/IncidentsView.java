package hammerman.app.station.prove;

import hammerman.app.control.Beside;
import hammerman.app.control.Column;
import hammerman.app.control.InWords;
import hammerman.app.control.PlainButton;
import hammerman.app.control.RecordTable;
import hammerman.app.control.Words;
import hammerman.app.station.Page;
import hammerman.app.station.prove.ProveState.Row;
import hammerman.forecast.Forecast;
import hammerman.prove.Suspects;
import hammerman.record.Fact;
import hammerman.record.Fact.Strike;
import hammerman.record.Incident;
import hammerman.record.Incident.Kind;
import hammerman.record.RunSheet;
import hammerman.unit.Figures;
import hammerman.unit.InvalidValue;
import java.time.Instant;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;
import javafx.scene.control.ChoiceBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import org.jspecify.annotations.Nullable;

/** What went wrong, noted in a line, and what the record says about its cause. */
final class IncidentsView extends StackPane {
  private static final DateTimeFormatter WHEN =
      DateTimeFormatter.ofPattern("d MMM yyyy, HH:mm", Locale.ENGLISH);

  private final ProveState state;
  private final ChoiceBox<Kind> kind = new ChoiceBox<>();
  private final ChoiceBox<Optional<Row>> run = new ChoiceBox<>();
  private final TextField words = new TextField();
  private final TextField reason = new TextField();
  private final Label about = Page.heading("What the record says");
  private final VBox suspects = new VBox(8);
  private final RecordTable<Fact<Incident>> table =
      new RecordTable<Fact<Incident>>(
              "incidents",
              "what went wrong",
              "Nothing went wrong yet. Note a trip, a blown fuse, a cut-out or a hot connector"
                  + " here, the same day.",
              List.of(
                  Column.<Fact<Incident>>words(
                          "When", 118, f -> WHEN.format(f.at().atZone(ZoneId.systemDefault())))
                      .ordered(Comparator.comparing(Fact::at)),
                  Column.<Fact<Incident>>words("What", 100, f -> f.value().kind().label())
                      .inLines(),
                  Column.<Fact<Incident>>words("Noted", 120, f -> f.value().words()).inLines(),
                  Column.<Fact<Incident>>words(
                          "Struck out", 84, f -> f.strike().map(Strike::reason).orElse(""))
                      .inLines()))
          .withoutFilter();

  IncidentsView(ProveState state) {
    this.state = state;
    kind.setId("incident-kind");
    kind.setAccessibleText("What went wrong");
    kind.getItems().setAll(Kind.values());
    kind.setConverter(new InWords<>(Kind::label));
    kind.setValue(Kind.CUT_OUT);
    run.setId("incident-run");
    run.setAccessibleText("In which run");
    run.setConverter(
        new InWords<>(r -> r.map(x -> x.run().value().name()).orElse("in no run written down")));
    words.setId("incident-words");
    words.setPromptText("In one line: on the ramp, third round, warm day");
    words.setAccessibleText("What happened, in one line");
    words.setOnAction(e -> note());
    reason.setId("incident-reason");
    reason.setPromptText("Why it does not count");
    reason.setAccessibleText("Why this incident does not count");
    HBox.setHgrow(words, Priority.ALWAYS);
    HBox.setHgrow(reason, Priority.ALWAYS);
    suspects.setId("suspects");
    Words caution =
        Words.caution(
            "Unplug it and let it cool before you look. A cell that swells, hisses or smells goes"
                + " outdoors, away from what burns; a protection that opened is never bridged.");
    table.setMinHeight(140);
    VBox.setVgrow(table, Priority.ALWAYS);
    VBox list =
        new VBox(
            8,
            caution,
            new FlowPane(8, 4, kind, run),
            new HBox(6, words, new PlainButton("Note it", "note-incident", this::note)),
            table,
            new HBox(6, reason, new PlainButton("Strike it out", "strike-incident", this::strike)));
    list.setPrefWidth(470);
    VBox right = new VBox(8, about, suspects);
    right.setMinWidth(300);
    getChildren().add(new Beside(list, right));
    table.chosenProperty().addListener((o, was, is) -> suspect(is));
    kind.valueProperty().addListener((o, was, is) -> suspect(null));
    run.valueProperty().addListener((o, was, is) -> suspect(null));
    state.shownProperty().addListener((o, was, is) -> show(is));
    state.forecastProperty().addListener((o, was, is) -> show(state.shown()));
    show(state.shown());
  }

  private void show(ProveState.Shown s) {
    Optional<Row> was = inRun();
    run.getItems().clear();
    run.getItems().add(Optional.empty());
    s.counting().reversed().forEach(r -> run.getItems().add(Optional.of(r)));
    run.setValue(was.flatMap(w -> s.counting().stream().filter(r -> r.id() == w.id()).findFirst()));
    table.show(s.incidents().reversed());
    suspect(table.chosenProperty().get());
  }

  private void suspect(@Nullable Fact<Incident> chosen) {
    Forecast f = state.forecast();
    if (f == null) {
      return;
    }
    Kind of = chosen == null ? kind.getValue() : chosen.value().kind();
    Long in = chosen == null ? runId() : chosen.value().run();
    Optional<RunSheet> sheet =
        in == null
            ? Optional.empty()
            : state.shown().runs().stream()
                .filter(r -> r.id() == in)
                .map(r -> r.run().value().sheet())
                .findFirst();
    about.setText("What the record says of: " + of.label().toLowerCase(Locale.ROOT));
    suspects.getChildren().clear();
    for (Suspects.Suspect s : Suspects.of(of, f, sheet)) {
      Label head = new Label("%s: %s".formatted(capital(s.likely()), s.cause()));
      head.getStyleClass().add("verdict-line");
      Label why = text(capital(s.why()) + ".", "answer");
      Label test = text("To tell: " + s.test(), "fact-name");
      head.setWrapText(true);
      suspects.getChildren().add(new VBox(1, head, why, test));
    }
  }

  /** The run that is chosen for what is noted next; empty for none. */
  private Optional<Row> inRun() {
    return Stream.ofNullable(run.getValue()).flatMap(Optional::stream).findFirst();
  }

  private @Nullable Long runId() {
    return inRun().map(Row::id).orElse(null);
  }

  private static String capital(String s) {
    return s.isEmpty() ? s : s.substring(0, 1).toUpperCase(Locale.ROOT) + s.substring(1);
  }

  private static Label text(String words, String style) {
    Label l = new Label(Figures.unbroken(words));
    l.getStyleClass().add(style);
    l.setWrapText(true);
    l.setMinHeight(USE_PREF_SIZE);
    l.setMaxWidth(560);
    return l;
  }

  private void note() {
    try {
      Incident incident = new Incident(kind.getValue(), runId(), words.getText().strip());
      Instant now = state.now();
      words.clear();
      state.record("Noted.", store -> store.proofBook().keep(incident, now));
    } catch (InvalidValue e) {
      state.say(String.valueOf(e.getMessage()));
    }
  }

  private void strike() {
    Fact<Incident> chosen = table.chosenProperty().get();
    if (chosen == null || reason.getText().isBlank()) {
      state.say("Choose an incident, and say why it does not count.");
      return;
    }
    Strike strike = new Strike(state.now(), reason.getText().strip());
    reason.clear();
    state.record(
        "Struck out; it stays in the record with its reason.",
        store -> {
          store.proofBook().strikeIncident(chosen.id(), strike);
          return true;
        });
  }
}
