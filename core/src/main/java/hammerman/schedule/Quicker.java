package hammerman.schedule;

import hammerman.record.BayTest;
import java.time.ZonedDateTime;
import java.util.List;

/**
 * What would make the measuring quicker.
 *
 * @param what is changed, in words
 * @param schedule with it
 */
public record Quicker(String what, Schedule schedule) {

  /** Returns what a second tester and shorter tests would come to. */
  public static List<Quicker> of(
      BayPlan plan,
      int cells,
      double capacity,
      List<Schedule.Running> running,
      int restDays,
      ZonedDateTime now) {
    int twice = Math.min(2 * plan.bays(), BayTest.MOST_BAYS);
    return List.of(
        new Quicker(
            "A second tester",
            Schedule.of(plan.withBays(twice), cells, capacity, running, restDays, now)),
        new Quicker(
            "Discharged twice as fast",
            Schedule.of(
                plan.withDischarge(Math.min(100, 2 * plan.discharge())),
                cells,
                capacity,
                running,
                restDays,
                now)),
        new Quicker(
            "Charged twice as fast",
            Schedule.of(
                plan.withCharge(Math.min(100, 2 * plan.charge())),
                cells,
                capacity,
                running,
                restDays,
                now)));
  }
}
