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
import hammerman.watch.SimulatedPack.Fault;
import java.util.ArrayList;
import java.util.List;
import java.util.function.DoubleSupplier;
import javafx.animation.Animation;
import javafx.animation.KeyFrame;
import javafx.animation.Timeline;
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

  /** Frames kept for the picture; of a longer charge every second one is dropped. */
  private static final int MOST_FRAMES = 2000;

  private final List<ChargeFrame> frames = new ArrayList<>();
  private final DoubleSupplier clock;

  /** Asks the watch what it says while no frame comes. */
  private final Timeline asking = new Timeline(new KeyFrame(Duration.seconds(1), e -> askAgain()));

  private @Nullable ChargeWatch watch;

  /** Whether the watch has said stop; what comes after that is not shown any more. */
  private boolean stopped;

  /**
   * @param clock of this machine, s; it never goes back
   */
  ChargeView(BuildState state, PackDesk desk, DoubleSupplier clock) {
    this.state = state;
    this.desk = desk;
    this.clock = clock;
    desk.watch(this::frames, this::gone);
    Label standing = new Label();
    standing.setId("charge-standing");
    standing.getStyleClass().add("fact-name");
    standing.textProperty().bind(desk.standingProperty());
    Words caution =
        Words.caution(
            "Charge outdoors, on stone, never below the cells' lowest charge temperature, and stay"
                + " with the pack. If a cell swells, hisses or smells, pull the mains plug and keep"
                + " away from the smoke. This monitor sees only the data it receives.");
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
    Button stop = new Button("Switch charger off");
    stop.setId("charge-stop");
    stop.getStyleClass().add("act");
    stop.setOnAction(e -> end());
    FlowPane tools =
        new FlowPane(
            8,
            4,
            new PlainButton(
                "Monitor connected pack",
                "charge-connect",
                () -> {
                  if (isReady()) {
                    desk.connect(PackDesk.PORT, this::begin);
                  }
                }),
            new PlainButton("Monitor simulated pack", "charge-simulate", this::simulate),
            fault,
            stop);
    picture.setMinHeight(200);
    picture.setPrefHeight(360);
    VBox.setVgrow(picture, Priority.ALWAYS);
    getChildren()
        .add(new VBox(8, new PackSwitch(state), tools, standing, call, facts, picture, caution));
    asking.setCycleCount(Animation.INDEFINITE);
    state.shownProperty().addListener((o, was, is) -> expect());
    state.secondProperty().addListener((o, was, is) -> other());
    expect();
  }

  private static String name(Fault f) {
    return switch (f) {
      case NONE -> "no fault";
      case RUNAWAY -> "a small group overcharges";
      case LOW -> "a group is nearly empty";
      case SENSOR -> "a reading is stuck";
      case CHARGER -> "the charger does not stop";
      case SHORT -> "a cell is shorted inside";
      case SILENT -> "the BMS stops sending";
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
    ChargeWatch w = ChargeWatch.of(on.forecast().chain(), start, clock.getAsDouble());
    picture.forecast(w, on.design());
    if (w.forecast().time() == 0) {
      facts.setText(
          "A charger of %s cannot charge this pack, which is full at %s. Set the charge voltage in Guard."
              .formatted(
                  Figures.of(on.design().guard().charge().voltage(), Unit.VOLT),
                  Figures.of(on.pack().fullVoltage(), Unit.VOLT)));
      return;
    }
    facts.setText(
        "Forecast from %s charge: %s and %s. No group may exceed %s."
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
    if (isReady()) {
      desk.simulate(fault.getValue(), this::begin);
    }
  }

  /** Whether the limits to watch are those of the present design; says so if not. */
  private boolean isReady() {
    BuildState.Shown s = state.shown();
    boolean is = s != null && s.forecast().design().equals(state.session().project().design());
    if (!is && watch == null) {
      call.setText("The limits of this design are still being worked out. Try again in a moment.");
      call.getStyleClass().removeAll("good", "bad");
    }
    return is;
  }

  private void begin() {
    BuildState.Shown s = state.shown();
    OnePack on = state.onBench();
    if (s == null || on == null) {
      return;
    }
    frames.clear();
    picture.show(frames);
    ChargeWatch w = ChargeWatch.of(on.forecast().chain(), start(s, on), clock.getAsDouble());
    watch = w;
    stopped = false;
    state.watch(true);
    picture.forecast(w, on.design());
    hear(w.await(clock.getAsDouble()));
    asking.playFromStart();
    desk.plug(true);
  }

  private void frames(List<ChargeFrame> fresh) {
    ChargeWatch w = watch;
    if (w == null) {
      return;
    }
    if (stopped) {
      // It may not have heard.
      desk.plug(false);
      return;
    }
    ChargeWatch.Call call = null;
    for (ChargeFrame f : fresh) {
      call = w.take(f, clock.getAsDouble());
      frames.add(f.at(w.elapsed()));
      if (call.stop() || call.ended()) {
        break;
      }
    }
    if (frames.size() > MOST_FRAMES) {
      ChargeFrame last = frames.getLast();
      for (int k = frames.size() - 2; k > 0; k -= 2) {
        frames.remove(k);
      }
      frames.set(frames.size() - 1, last);
    }
    picture.show(frames);
    ChargeFrame latest = frames.getLast();
    facts.setText(
        "After %s: %s charged; highest group %s, lowest %s, warmest %s."
            .formatted(
                Figures.duration(latest.time()),
                Figures.of(w.charge(), Unit.AMPERE_HOUR),
                Figures.of(latest.highest(), Unit.VOLT, 3),
                Figures.of(latest.lowest(), Unit.VOLT, 3),
                Figures.of(latest.warmest(), Unit.CELSIUS, 1)));
    hear(call);
  }

  private void askAgain() {
    ChargeWatch w = watch;
    if (w != null) {
      hear(w.await(clock.getAsDouble()));
    }
  }

  private void hear(ChargeWatch.@Nullable Call c) {
    if (c == null) {
      return;
    }
    String margin = c.margin().isEmpty() ? "" : " Margin to the limit: " + c.margin() + ".";
    String said = (c.stop() ? "STOP. " : "") + c.say() + margin;
    if (!said.equals(call.getText())) {
      call.setText(said);
    }
    call.getStyleClass().removeAll("good", "bad");
    if (c.stop() || c.state() == ChargeWatch.State.DOUBT) {
      call.getStyleClass().add("bad");
    }
    if (c.stop() || c.ended()) {
      asking.stop();
      state.watch(false);
      desk.plug(false);
      stopped = c.stop();
      watch = c.ended() ? null : watch;
    }
  }

  /** Another pack stands on the bench. */
  private void other() {
    watch = null;
    asking.stop();
    frames.clear();
    picture.show(frames);
    call.setText("");
    desk.disconnect();
    expect();
  }

  private void gone() {
    ChargeWatch w = watch;
    if (w != null) {
      hear(w.lost());
    }
  }

  private void end() {
    desk.plug(false);
    asking.stop();
    state.watch(false);
    watch = null;
    call.setText("The charger is switched off. Let the pack rest for an hour and read the groups.");
    call.getStyleClass().removeAll("good", "bad");
  }
}
