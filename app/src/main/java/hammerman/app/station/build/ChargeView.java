package hammerman.app.station.build;

import hammerman.app.control.InWords;
import hammerman.app.control.PlainButton;
import hammerman.app.control.Words;
import hammerman.build.OnePack;
import hammerman.build.Step;
import hammerman.cell.CellCircuit;
import hammerman.unit.Figures;
import hammerman.unit.Unit;
import hammerman.watch.ChargeFrame;
import hammerman.watch.ChargeWatch;
import hammerman.watch.PackLine;
import hammerman.watch.SimulatedPack.Fault;
import java.util.ArrayList;
import java.util.List;
import javafx.animation.PauseTransition;
import javafx.scene.control.Button;
import javafx.scene.control.ChoiceBox;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.util.Duration;
import org.jspecify.annotations.Nullable;

/** The first charge under watch: every group over time against the forecast, and when to stop. */
final class ChargeView extends StackPane {
  private final BuildState state;
  private final PackDesk desk;
  private final Words call = new Words("verdict-line", "charge-call");
  private final Words facts = new Words("answer", "charge-facts");
  private final ChargePicture picture = new ChargePicture();
  private final ChoiceBox<Fault> fault = new ChoiceBox<>();
  private final List<ChargeFrame> frames = new ArrayList<>();

  /** Where the clock of the device stood at the first frame, s. */
  private double origin;

  /** Real seconds without a line after which nobody watches. */
  private final PauseTransition silence =
      new PauseTransition(Duration.seconds(ChargeWatch.SILENCE));

  private @Nullable ChargeWatch watch;

  ChargeView(BuildState state, PackDesk desk) {
    this.state = state;
    this.desk = desk;
    desk.watch(this::frame, this::gone);
    Label standing = new Label();
    standing.setId("charge-standing");
    standing.getStyleClass().add("fact-name");
    standing.textProperty().bind(desk.standingProperty());
    Words caution =
        Words.caution(
            "Outdoors, on stone, never below 0 °C, and you stay with it. If a cell swells, hisses"
                + " or smells, pull the mains plug and keep away from the smoke. This watch sees"
                + " only what it is told.");
    fault.setId("charge-fault");
    fault.setAccessibleText("Fault of the simulated pack");
    fault
        .getItems()
        .setAll(
            Fault.NONE,
            Fault.RUNAWAY,
            Fault.LOW,
            Fault.SENSOR,
            Fault.CHARGER,
            Fault.SHORT,
            Fault.SILENT);
    fault.setValue(Fault.NONE);
    fault.setConverter(new InWords<>(ChargeView::name));
    Button stop = new Button("Switch the charger off");
    stop.setId("charge-stop");
    stop.getStyleClass().add("act");
    stop.setOnAction(e -> end());
    FlowPane tools =
        new FlowPane(
            8,
            4,
            new PlainButton(
                "Watch a connected pack",
                "charge-connect",
                () -> desk.connect(PackDesk.PORT, this::begin)),
            new PlainButton("Watch the simulated one", "charge-simulate", this::simulate),
            fault,
            stop);
    picture.setMinHeight(200);
    picture.setPrefHeight(360);
    VBox.setVgrow(picture, Priority.ALWAYS);
    getChildren()
        .add(new VBox(8, new PackSwitch(state), tools, standing, call, facts, picture, caution));
    silence.setOnFinished(e -> hear(watch == null ? null : watch.silent(ChargeWatch.SILENCE + 1)));
    state.shownProperty().addListener((o, was, is) -> expect());
    state.secondProperty().addListener((o, was, is) -> other());
    expect();
  }

  private static String name(Fault f) {
    return switch (f) {
      case NONE -> "nothing wrong";
      case RUNAWAY -> "a small group runs away";
      case LOW -> "a group is nearly empty";
      case SENSOR -> "a reading is stuck";
      case CHARGER -> "the charger does not stop";
      case SHORT -> "a cell is shorted inside";
      case SILENT -> "the BMS falls silent";
      case SWAPPED -> "two leads are swapped";
      case OPEN -> "a lead is open";
    };
  }

  /** What the charge should be, before it has begun. */
  private void expect() {
    BuildState.Shown s = state.shown();
    OnePack on = state.onBench();
    if (s == null || on == null || watch != null) {
      return;
    }
    double start = start(s, on);
    ChargeWatch w = ChargeWatch.of(on.forecast().chain(), start);
    picture.forecast(w, on.design());
    if (w.forecast().time() == 0) {
      facts.setText(
          "A charger of %s puts nothing into this pack, which is full at %s: set it in Guard."
              .formatted(
                  Figures.of(on.design().guard().charge().voltage(), Unit.VOLT),
                  Figures.of(on.pack().fullVoltage(), Unit.VOLT)));
      return;
    }
    facts.setText(
        "From %s full the forecast has %s and %s; no group may pass %s."
            .formatted(
                Figures.of(start, Unit.PERCENT, 0),
                Figures.duration(w.forecast().time()),
                Figures.of(w.forecast().charge(), Unit.AMPERE_HOUR),
                Figures.of(w.limit(), Unit.VOLT, 3)));
  }

  /** The state of charge that the cells' rest voltage tells, or a usual one before it was read. */
  private static double start(BuildState.Shown s, OnePack on) {
    return s.progress()
        .procedure()
        .step(on.step("group.1.join"))
        .flatMap(Step::expects)
        .map(e -> Math.clamp(new CellCircuit(on.pack().cell()).socAt(e.value()), 0.02, 0.98))
        .orElse(0.3);
  }

  private void simulate() {
    desk.simulate(fault.getValue(), this::begin);
  }

  private void begin() {
    BuildState.Shown s = state.shown();
    OnePack on = state.onBench();
    if (s == null || on == null) {
      return;
    }
    frames.clear();
    picture.show(frames);
    ChargeWatch w = ChargeWatch.of(on.forecast().chain(), start(s, on));
    watch = w;
    state.watch(true);
    picture.forecast(w, on.design());
    hear(w.silent(0));
    silence.playFromStart();
    desk.plug(true);
  }

  private void frame(PackLine.Frame f) {
    ChargeWatch w = watch;
    if (w == null) {
      return;
    }
    silence.playFromStart();
    if (frames.isEmpty()) {
      origin = f.frame().time();
    }
    ChargeFrame frame = f.frame().since(origin);
    frames.add(frame);
    picture.show(frames);
    facts.setText(
        "%s in, %s; highest group %s, lowest %s, %s."
            .formatted(
                Figures.duration(frame.time()),
                Figures.of(w.charge(), Unit.AMPERE_HOUR),
                Figures.of(f.frame().highest(), Unit.VOLT, 3),
                Figures.of(f.frame().lowest(), Unit.VOLT, 3),
                Figures.of(f.frame().warmest(), Unit.CELSIUS, 1)));
    hear(w.take(frame));
  }

  private void hear(ChargeWatch.@Nullable Call c) {
    if (c == null) {
      return;
    }
    String margin = c.margin().isEmpty() ? "" : " Left to the limit: " + c.margin() + ".";
    call.setText((c.stop() ? "STOP. " : "") + c.say() + margin);
    call.getStyleClass().removeAll("good", "bad");
    if (c.stop() || c.ended()) {
      silence.stop();
      state.watch(false);
      desk.plug(false);
    }
  }

  /** Another pack stands on the bench. */
  private void other() {
    watch = null;
    frames.clear();
    picture.show(frames);
    call.setText("");
    desk.disconnect();
    expect();
  }

  private void gone() {
    ChargeWatch w = watch;
    if (w != null) {
      hear(w.silent(ChargeWatch.SILENCE + 1));
    }
  }

  private void end() {
    desk.plug(false);
    silence.stop();
    state.watch(false);
    watch = null;
    call.setText("The charger is switched off. Let the pack rest for an hour and read the groups.");
    call.getStyleClass().removeAll("good", "bad");
  }
}
