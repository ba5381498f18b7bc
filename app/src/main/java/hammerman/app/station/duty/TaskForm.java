package hammerman.app.station.duty;

import hammerman.app.control.Form;
import hammerman.app.session.Session;
import hammerman.duty.Duty;
import hammerman.duty.Load;
import hammerman.duty.Task;
import hammerman.finding.Station;
import hammerman.project.Project;
import hammerman.unit.Unit;
import java.util.List;
import java.util.function.BiFunction;
import java.util.function.Function;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.HBox;

/** The task in one of its three forms. */
final class TaskForm {
  private final Session session;
  private final Form form;
  private final RoundTable rounds;
  private final HBox kinds = new HBox(0);

  TaskForm(Session session) {
    this.session = session;
    this.form = new Form(session, Station.DUTY);
    this.rounds = new RoundTable(session);
    ToggleGroup group = new ToggleGroup();
    kind(group, "A round of segments", Task.ByRound.class, TaskForm::asRound);
    kind(group, "Hours and watts", Task.ByTime.class, TaskForm::asTime);
    kind(group, "Distance", Task.ByDistance.class, TaskForm::asDistance);
    form.section("Task on one charge").add(kinds);
    field(Task.ByTime.class, "Power", Unit.WATT, Task.ByTime::power, Task.ByTime::withPower);
    field(
        Task.ByTime.class,
        "Wanted for",
        Unit.HOUR,
        Task.ByTime::duration,
        Task.ByTime::withDuration);
    field(
        Task.ByDistance.class,
        "Distance wanted",
        Unit.KILOMETRE,
        Task.ByDistance::distance,
        Task.ByDistance::withDistance);
    field(
        Task.ByDistance.class,
        "Consumption",
        Unit.WATT_HOUR_PER_KILOMETRE,
        Task.ByDistance::consumption,
        Task.ByDistance::withConsumption);
    field(
        Task.ByDistance.class,
        "Mean speed",
        Unit.KILOMETRE_PER_HOUR,
        Task.ByDistance::speed,
        Task.ByDistance::withSpeed);
    form.count(
        "Rounds per charge",
        p -> ((Task.ByRound) p.duty().task()).rounds(),
        (p, n) -> withTask(p, ((Task.ByRound) p.duty().task()).withRounds(n)),
        p -> p.duty().task() instanceof Task.ByRound);
    form.add(rounds);
    session.projectProperty().addListener((o, was, is) -> show(is.duty().task()));
    show(session.project().duty().task());
  }

  Form form() {
    return form;
  }

  private void show(Task task) {
    boolean round = task instanceof Task.ByRound;
    rounds.setVisible(round);
    rounds.setManaged(round);
    rounds.show(task);
    kinds
        .getChildren()
        .forEach(n -> ((ToggleButton) n).setSelected(n.getUserData() == task.getClass()));
  }

  private void kind(
      ToggleGroup group, String words, Class<? extends Task> type, Function<Task, Task> convert) {
    ToggleButton button = new ToggleButton(words);
    button.getStyleClass().add("segment");
    button.setUserData(type);
    button.setToggleGroup(group);
    button.setOnAction(
        e -> {
          Task now = session.project().duty().task();
          if (now.getClass() != type) {
            session.edit(
                "Kind of task", Station.DUTY, p -> withTask(p, convert.apply(p.duty().task())));
          }
          show(session.project().duty().task());
        });
    kinds.getChildren().add(button);
  }

  private <T extends Task> void field(
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

  private static Project withTask(Project p, Task task) {
    Duty duty = p.duty().withTask(task);
    return p.withDesign(p.design().withDuty(duty));
  }

  /** Each form of a task begins with the energy and time of the one before. */
  private static Task asTime(Task task) {
    return new Task.ByTime(
        Math.max(1, energy(task) / task.load().duration()), task.load().duration());
  }

  private static Task asDistance(Task task) {
    double distance = 0;
    for (Load.Step s : task.load().steps()) {
      distance += s.speed() * s.duration() * task.load().rounds();
    }
    double speed = distance > 0 ? distance / task.load().duration() : 5 / 3.6;
    double way = speed * task.load().duration();
    return new Task.ByDistance(way, Math.clamp(energy(task) / way, 0.036, 36000), speed);
  }

  private static Task asRound(Task task) {
    Load.Step step = task.load().steps().getFirst();
    double watts = Math.max(1, energy(task) / task.load().duration());
    double minutes = Math.clamp(task.load().duration(), 60, 3600);
    int rounds = (int) Math.max(1, Math.round(task.load().duration() / minutes));
    return new Task.ByRound(
        List.of(new Task.Segment("At work", watts, minutes, step.speed())), rounds);
  }

  private static double energy(Task task) {
    double joules = 0;
    for (Load.Step s : task.load().steps()) {
      joules += s.demand() instanceof Load.Power p ? p.watts() * s.duration() : 0;
    }
    return joules * task.load().rounds();
  }
}
