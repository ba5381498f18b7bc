package hammerman.app.station.build;

import hammerman.app.control.PlainButton;
import hammerman.app.control.QuantityField;
import hammerman.app.control.TypedField;
import hammerman.app.control.Words;
import hammerman.build.Cause;
import hammerman.build.Check;
import hammerman.build.Expected;
import hammerman.build.Progress;
import hammerman.build.Step;
import hammerman.record.Fact;
import hammerman.record.StepRecord;
import hammerman.unit.Figures;
import hammerman.unit.Sentence;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import org.jspecify.annotations.Nullable;

/** One step: what to do, what it should read, and what was read. */
final class StepCard extends VBox {
  private static final DateTimeFormatter WHEN =
      DateTimeFormatter.ofPattern("d MMM yyyy, HH:mm", Locale.ENGLISH);

  private final BuildState state;
  private final Words stage = new Words("step-stage", "step-stage");
  private final Words text = new Words("step-text", "step-text");
  private final Words tools = new Words("fact-name", "step-tools");
  private final Words cautions = new Words("caution", "step-cautions");
  private final Words expects = new Words("step-expects", "step-expects");
  private final Words why = new Words("fact-name", "step-why");
  private final Words waits = new Words("complaint", "step-waits");
  private final Words verdict = new Words("verdict-line", "step-verdict");
  private final Words complaint = new Words("complaint", "step-complaint");
  private final VBox causes = new VBox(6);
  private final HBox reading = new HBox(8);
  private final FlowPane acts = new FlowPane(8, 6);
  private final HBox against = new HBox(8);
  private final PlacePicture picture = new PlacePicture();
  private String shown = "";

  StepCard(BuildState state) {
    this.state = state;
    getStyleClass().add("step-card");
    setFocusTraversable(true);
    causes.setId("step-causes");
    reading.setStyle("-fx-alignment: center-left;");
    against.setStyle("-fx-alignment: center-left;");
    picture.setMinHeight(140);
    picture.setPrefHeight(190);
    VBox.setVgrow(picture, Priority.SOMETIMES);
    getChildren()
        .addAll(
            stage, text, cautions, expects, reading, complaint, verdict, causes, waits, acts,
            against, why, tools, picture);
    state.shownProperty().addListener((o, was, is) -> show());
    state.chosenProperty().addListener((o, was, is) -> show());
    addEventHandler(KeyEvent.KEY_PRESSED, this::key);
    show();
  }

  private void key(KeyEvent e) {
    if (e.getCode() == KeyCode.PAGE_DOWN) {
      move(1);
      e.consume();
    } else if (e.getCode() == KeyCode.PAGE_UP) {
      move(-1);
      e.consume();
    }
  }

  private void move(int by) {
    BuildState.Shown s = state.shown();
    String id = state.chosenProperty().get();
    if (s == null || id == null) {
      return;
    }
    List<Step> all = s.progress().procedure().steps();
    for (int k = 0; k < all.size(); k++) {
      if (all.get(k).id().equals(id)) {
        state.choose(all.get(Math.clamp(k + by, 0, all.size() - 1)).id());
        return;
      }
    }
  }

  private void show() {
    BuildState.Shown s = state.shown();
    String id = state.chosenProperty().get();
    Optional<Step> found =
        s == null || id == null ? Optional.empty() : s.progress().procedure().step(id);
    if (s == null || found.isEmpty()) {
      return;
    }
    Step step = found.get();
    boolean anew = !step.id().equals(shown);
    shown = step.id();
    Progress p = s.progress();
    int number = p.procedure().steps().indexOf(step) + 1;
    stage.setText(
        "%s · step %d of %d%s"
            .formatted(
                step.stage().label(),
                number,
                p.marks().size(),
                step.ofSecond() ? " · second pack" : ""));
    text.setText(step.text());
    cautions.setText(String.join("\n", step.safety().cautions()));
    tools.setText(
        step.tools().isEmpty() ? "" : "At hand: " + String.join(", ", step.tools()) + ".");
    expects.setText(step.expects().map(e -> "Expect " + Figures.unbroken(e.words())).orElse(""));
    why.setText(step.expects().map(e -> "Because " + e.why() + ".").orElse(""));
    if (anew) {
      complaint.setText("");
    }
    Progress.Mark mark = p.marks().get(step.id());
    showMark(s, step, mark == null ? new Progress.Mark(Progress.State.WAITING, null) : mark, anew);
    picture.show(s.forecast(), step);
  }

  private void showMark(BuildState.Shown s, Step step, Progress.Mark mark, boolean anew) {
    Fact<StepRecord> fact = mark.fact();
    verdict.setText(fact == null ? "" : verdict(step, mark, fact));
    verdict.getStyleClass().removeAll("good", "bad");
    if (fact != null) {
      verdict.getStyleClass().add(mark.state() == Progress.State.DONE ? "good" : "bad");
    }
    showCauses(step, mark, fact);
    boolean waiting = mark.state() == Progress.State.WAITING;
    waits.setText(
        waiting
            ? "Waits for: "
                + step.needs().stream()
                    .filter(n -> !s.progress().state(n).passes())
                    .map(n -> s.progress().procedure().step(n).map(Step::title).orElse(n))
                    .limit(3)
                    .collect(Collectors.joining(" "))
            : "");
    if (anew || reading.getChildren().isEmpty() != step.expects().isEmpty()) {
      field(step, waiting);
    }
    reading.setDisable(waiting);
    reading.setVisible(step.expects().isPresent());
    reading.setManaged(step.expects().isPresent());
    acts(step, mark, fact, waiting);
  }

  private static String verdict(Step step, Progress.Mark mark, Fact<StepRecord> fact) {
    Double v = fact.value().reading();
    String read =
        v == null || step.expects().isEmpty()
            ? ""
            : "Read "
                + Figures.of(v, step.expects().get().unit(), step.expects().get().decimals())
                + ": ";
    String word =
        switch (mark.state()) {
          case DONE -> v == null ? "Done" : "as it should be";
          case OUTSIDE -> "outside. Stop here";
          case OVERRIDDEN -> "gone on with, because: " + fact.value().reason();
          case CHANGED -> "right at the time, but the design asks for something else now";
          case OPEN, WAITING -> "";
        };
    return "%s%s. %s.".formatted(read, word, WHEN.format(fact.at().atZone(ZoneId.systemDefault())));
  }

  private void showCauses(Step step, Progress.Mark mark, @Nullable Fact<StepRecord> fact) {
    causes.getChildren().clear();
    Double v = fact == null ? null : fact.value().reading();
    Optional<Check> check = step.reading();
    if (v == null || check.isEmpty() || mark.state() != Progress.State.OUTSIDE) {
      return;
    }
    int k = 1;
    for (Cause c : check.get().causes(v)) {
      Words l = new Words("step-cause", "step-cause-" + k);
      l.setText("%d. %s. To tell: %s.".formatted(k++, capital(c.say()), c.next()));
      causes.getChildren().add(l);
    }
  }

  private static String capital(String words) {
    return Sentence.beginning(words);
  }

  private void field(Step step, boolean waiting) {
    reading.getChildren().clear();
    Expected e = step.expects().orElse(null);
    if (e == null) {
      return;
    }
    QuantityField field =
        new QuantityField(
            "Reading",
            e.unit(),
            true,
            v -> {
              if (v != null) {
                double value = v;
                complaint.setText(state.keep(p -> p.read(step.id(), value)));
              }
            });
    field.setId("step-reading");
    field.getStyleClass().add("step-reading");
    field.setPrefColumnCount(7);
    field.complaintProperty().addListener((o, was, is) -> complaint.setText(is));
    Label unit = new Label(e.unit().symbol());
    unit.getStyleClass().add("step-stage");
    Label name = new Label("Reading");
    name.getStyleClass().add("field-label");
    reading.getChildren().addAll(name, field, unit);
    if (!waiting && isFocused()) {
      field.requestFocus();
    }
  }

  private void acts(
      Step step, Progress.Mark mark, @Nullable Fact<StepRecord> fact, boolean waiting) {
    acts.getChildren().clear();
    against.getChildren().clear();
    boolean tick = step.expects().isEmpty() || !step.safety().protects();
    if (!waiting && tick && mark.state() != Progress.State.DONE) {
      Button done = new Button("Done");
      done.setId("step-done");
      done.getStyleClass().add("act");
      done.setOnAction(e -> complaint.setText(state.keep(p -> p.tick(step.id()))));
      acts.getChildren().add(done);
    }
    acts.getChildren()
        .addAll(
            new PlainButton("Step before", "step-before", () -> move(-1)),
            new PlainButton("Step after", "step-after", () -> move(1)));
    if (waiting || (tick && step.expects().isEmpty() && fact == null)) {
      return;
    }
    if (mark.state() == Progress.State.OPEN
        || mark.state() == Progress.State.OUTSIDE
        || mark.state() == Progress.State.CHANGED) {
      Double v = fact == null ? null : fact.value().reading();
      TypedField reason =
          new TypedField(
              "Reason to go on without it",
              why -> why.isBlank() ? "" : state.keep(p -> p.override(step.id(), v, why.strip())));
      reason.setId("step-reason");
      reason.setPromptText("Go on against it, because …");
      reason.complaintProperty().addListener((o, was, is) -> complaint.setText(is));
      HBox.setHgrow(reason, Priority.ALWAYS);
      against.getChildren().add(reason);
    }
    if (fact != null) {
      TypedField strike =
          new TypedField(
              "Reason to strike it out",
              why -> {
                if (!why.isBlank()) {
                  state.strike(fact, why.strip());
                }
                return "";
              });
      strike.setId("step-strike");
      strike.setPromptText("Strike it out, because …");
      HBox.setHgrow(strike, Priority.ALWAYS);
      against.getChildren().add(strike);
    }
  }
}
