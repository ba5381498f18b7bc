package hammerman.app.station.duty;

import hammerman.duty.Load;
import hammerman.duty.Segment;
import hammerman.duty.Task;
import hammerman.duty.Vehicle;
import java.util.List;

/** The ways a task can be told; going over to another begins with the energy and time of before. */
enum TaskKind {
  ROUND("A round of segments", Task.ByRound.class),
  TIME("Hours and watts", Task.ByTime.class),
  DISTANCE("Distance", Task.ByDistance.class),
  LOG("From a log", Task.ByLog.class);

  private final String words;
  private final Class<? extends Task> type;

  TaskKind(String words, Class<? extends Task> type) {
    this.words = words;
    this.type = type;
  }

  String words() {
    return words;
  }

  static TaskKind of(Task task) {
    for (TaskKind k : values()) {
      if (k.type.isInstance(task)) {
        return k;
      }
    }
    throw new IllegalArgumentException("no kind for " + task);
  }

  /**
   * Tells a task this way.
   *
   * @param volts at which a log's current is taken for a power, V
   */
  Task from(Task task, double volts) {
    return switch (this) {
      case ROUND -> round(task, volts);
      case TIME -> time(task, volts);
      case DISTANCE -> distance(task, volts);
      case LOG -> log(task);
    };
  }

  private static Task time(Task task, double volts) {
    double duration = task.load().duration();
    return new Task.ByTime(Math.max(1, energy(task, volts) / duration), duration);
  }

  private static Task distance(Task task, double volts) {
    double distance = 0;
    for (Load.Step s : task.load().steps()) {
      distance += s.speed() * s.duration() * task.load().rounds();
    }
    double speed = distance > 0 ? distance / task.load().duration() : 5 / 3.6;
    double way = speed * task.load().duration();
    return new Task.ByDistance(way, Math.clamp(energy(task, volts) / way, 0.036, 36000), speed);
  }

  private static Task round(Task task, double volts) {
    Load.Step step = task.load().steps().getFirst();
    double watts = Math.max(1, energy(task, volts) / task.load().duration());
    double seconds = Math.clamp(task.load().duration(), 60, 3600);
    int rounds = (int) Math.max(1, Math.round(task.load().duration() / seconds));
    Segment work =
        new Segment(
            "At work",
            step.speed(),
            new Segment.Extent.Lasting(seconds),
            new Segment.Effort.Given(watts));
    return new Task.ByRound(Vehicle.TYPICAL, List.of(work), rounds);
  }

  private static Task log(Task task) {
    List<Task.ByLog.LogStep> steps =
        task.load().steps().stream()
            .limit(Task.ByLog.MOST_STEPS)
            .map(
                s ->
                    new Task.ByLog.LogStep(
                        s.duration(),
                        s.demand() instanceof Load.Power p ? p.watts() : 0,
                        s.speed()))
            .toList();
    return new Task.ByLog(
        "no file yet: the task as it was", Task.ByLog.Quantity.POWER, steps, task.load().rounds());
  }

  private static double energy(Task task, double volts) {
    double joules = 0;
    for (Load.Step s : task.load().steps()) {
      joules +=
          switch (s.demand()) {
                case Load.Power p -> p.watts();
                case Load.Current c -> c.amperes() * volts;
              }
              * s.duration();
    }
    return joules * task.load().rounds();
  }
}
