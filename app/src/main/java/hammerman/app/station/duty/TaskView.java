package hammerman.app.station.duty;

import hammerman.app.control.Beside;
import hammerman.app.control.Following;
import hammerman.app.control.Form;
import hammerman.app.control.LogPanel;
import hammerman.app.session.Session;
import hammerman.app.station.Bench;
import hammerman.app.station.Page;
import hammerman.duty.EffortRange;
import hammerman.duty.Task;
import hammerman.duty.Vehicle;
import hammerman.finding.Station;
import hammerman.forecast.Forecast;
import hammerman.project.Project;
import hammerman.unit.Figures;
import hammerman.unit.Unit;
import java.util.EnumMap;
import java.util.Locale;
import java.util.Map;
import java.util.function.BiFunction;
import java.util.function.Function;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** The task in one of its forms, drawn as power over time beside it. */
final class TaskView extends VBox {
  /** Where there is less for the picture than this, px, it stands below the fields. */
  private static final double LEAST_DRAWN = 240;

  private final Session session;
  private final DutyTrace trace = new DutyTrace();
  private final RoundTable rounds;
  private final VBox beside = new VBox(6);
  private final LogPanel importer;
  private final Map<TaskKind, ToggleButton> kinds = new EnumMap<>(TaskKind.class);

  TaskView(Bench bench) {
    super(8);
    session = bench.session();
    rounds = new RoundTable(bench);
    importer =
        new LogPanel(
            bench.session(),
            bench.settings(),
            bench.files(),
            "Use as the duty",
            (run, log) ->
                bench
                    .session()
                    .edit("Log as the duty", Station.DUTY, p -> withTask(p, log.asTask())));
    ToggleGroup group = new ToggleGroup();
    FlowPane words = new FlowPane();
    words.setMinHeight(USE_PREF_SIZE);
    words.setPrefWrapLength(600);
    for (TaskKind kind : TaskKind.values()) {
      ToggleButton button = new ToggleButton(kind.words());
      button.getStyleClass().add("segment");
      button.setMinWidth(USE_PREF_SIZE);
      button.setId("task-" + kind.name().toLowerCase(Locale.ROOT));
      button.setToggleGroup(group);
      button.setOnAction(e -> choose(kind));
      kinds.put(kind, button);
      words.getChildren().add(button);
    }
    Form repeat = new Form(session, Station.DUTY, 138, 76);
    repeat.count(
        "Rounds per charge",
        p -> ((Task.ByRound) p.duty().task()).rounds(),
        (p, n) -> withTask(p, ((Task.ByRound) p.duty().task()).withRounds(n)),
        p -> p.duty().task() instanceof Task.ByRound);
    repeat.count(
        "Times per charge",
        p -> ((Task.ByLog) p.duty().task()).rounds(),
        (p, n) -> withTask(p, ((Task.ByLog) p.duty().task()).withRounds(n)),
        p -> p.duty().task() instanceof Task.ByLog);
    Beside top = new Beside(words, repeat.node());
    beside.setMinWidth(270);
    beside.setMaxWidth(270);
    beside.getChildren().setAll(vehicle().node(), steady().node());
    VBox drawn = new VBox(4, Page.heading("Once through, at the battery"), trace);
    VBox.setVgrow(trace, Priority.ALWAYS);
    trace.setPrefHeight(200);
    trace.setMinHeight(170);
    drawn.setMinWidth(LEAST_DRAWN);
    Beside lower = new Beside(beside, drawn);
    VBox.setVgrow(lower, Priority.ALWAYS);
    getChildren().addAll(top, rounds, importer, lower);
    Following.follow(this, session.projectProperty(), p -> show(p.duty().task()));
  }

  void show(Forecast f) {
    trace.show(f.design().duty().task());
  }

  private void show(Task task) {
    TaskKind now = TaskKind.of(task);
    shown(rounds, now == TaskKind.ROUND);
    shown(importer, now == TaskKind.LOG);
    shown(beside, now != TaskKind.LOG);
    kinds.forEach((kind, button) -> button.setSelected(kind == now));
    if (task instanceof Task.ByRound round) {
      rounds.show(round);
    }
    if (task instanceof Task.ByLog log) {
      importer.show(log.source());
    }
  }

  private static void shown(Node node, boolean is) {
    node.setVisible(is);
    node.setManaged(is);
  }

  private void choose(TaskKind kind) {
    Project now = session.project();
    if (TaskKind.of(now.duty().task()) != kind) {
      double volts = now.design().pack().nominalVoltage();
      session.edit(
          "Kind of task", Station.DUTY, p -> withTask(p, kind.from(p.duty().task(), volts)));
    }
    show(session.project().duty().task());
  }

  /** What moves, for segments whose power is worked out. */
  private Form vehicle() {
    Form form = new Form(session, Station.DUTY, 152, 64);
    form.sectionWhen("What moves", p -> p.duty().task() instanceof Task.ByRound);
    vehicle(form, "Vehicle with pack", Unit.KILOGRAM, Vehicle::mass, Vehicle::withMass);
    vehicle(
        form,
        "Rolling resistance",
        Unit.ONE,
        Vehicle::rollingResistance,
        Vehicle::withRollingResistance);
    vehicle(form, "Drag area", Unit.SQUARE_METRE, Vehicle::dragArea, Vehicle::withDragArea);
    vehicle(
        form,
        "Drive efficiency",
        Unit.PERCENT,
        Vehicle::driveEfficiency,
        Vehicle::withDriveEfficiency);
    vehicle(
        form,
        "Braking gives back",
        Unit.PERCENT,
        Vehicle::regenerationEfficiency,
        Vehicle::withRegenerationEfficiency);
    vehicle(form, "Auxiliaries", Unit.WATT, Vehicle::auxiliaryPower, Vehicle::withAuxiliaryPower);
    return form;
  }

  private static void vehicle(
      Form form,
      String name,
      Unit unit,
      Function<Vehicle, Double> read,
      BiFunction<Vehicle, Double, Vehicle> write) {
    field(
        form,
        Task.ByRound.class,
        name,
        unit,
        r -> read.apply(r.vehicle()),
        (r, v) -> r.withVehicle(write.apply(r.vehicle(), v)));
  }

  /** The tasks that are told by a few figures. */
  private Form steady() {
    Form form = new Form(session, Station.DUTY, 138, 76);
    field(form, Task.ByTime.class, "Power", Unit.WATT, Task.ByTime::power, Task.ByTime::withPower);
    field(
        form,
        Task.ByTime.class,
        "Wanted for",
        Unit.HOUR,
        Task.ByTime::duration,
        Task.ByTime::withDuration);
    Class<Task.ByDistance> way = Task.ByDistance.class;
    field(
        form,
        way,
        "Distance wanted",
        Unit.KILOMETRE,
        Task.ByDistance::distance,
        Task.ByDistance::withDistance);
    field(
        form,
        way,
        "Consumption",
        Unit.WATT_HOUR_PER_KILOMETRE,
        Task.ByDistance::consumption,
        Task.ByDistance::withConsumption);
    field(
        form,
        way,
        "Mean speed",
        Unit.KILOMETRE_PER_HOUR,
        Task.ByDistance::speed,
        Task.ByDistance::withSpeed);
    VBox ranges = new VBox(2, Page.heading("Typical, Wh/km; press one to take its middle"));
    for (EffortRange range : EffortRange.values()) {
      Button button =
          new Button(
              range.label()
                  + ": "
                  + Figures.number(Unit.WATT_HOUR_PER_KILOMETRE.fromCore(range.low()))
                  + " to "
                  + Figures.number(Unit.WATT_HOUR_PER_KILOMETRE.fromCore(range.high())));
      button.setId("effort-" + range.ordinal());
      button.getStyleClass().setAll("link");
      button.setOnAction(
          e ->
              session.edit(
                  "Consumption",
                  Station.DUTY,
                  p ->
                      p.duty().task() instanceof Task.ByDistance d
                          ? withTask(p, d.withConsumption(rounded(range.typical())))
                          : p));
      ranges.getChildren().add(button);
    }
    form.addWhen(ranges, p -> p.duty().task() instanceof Task.ByDistance);
    return form;
  }

  private static double rounded(double joulesPerMetre) {
    double shown = Math.rint(Unit.WATT_HOUR_PER_KILOMETRE.fromCore(joulesPerMetre));
    return Unit.WATT_HOUR_PER_KILOMETRE.toCore(shown);
  }

  private static <T extends Task> void field(
      Form form,
      Class<T> type,
      String name,
      Unit unit,
      Function<T, Double> read,
      BiFunction<T, Double, T> write) {
    form.quantityWhen(
        p -> type.isInstance(p.duty().task()),
        name,
        unit,
        p -> read.apply(type.cast(p.duty().task())),
        (p, v) -> withTask(p, write.apply(type.cast(p.duty().task()), v)));
  }

  static Project withTask(Project p, Task task) {
    return DutyForms.duty(p, d -> d.withTask(task));
  }
}
