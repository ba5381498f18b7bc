package hammerman.schedule;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import biweekly.Biweekly;
import biweekly.ICalendar;
import hammerman.schedule.Schedule.Running;
import hammerman.unit.InvalidValue;
import java.time.Duration;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.ZonedDateTime;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** Nobody is asked to the tester at night, and nothing could be done sooner. */
class ScheduleTest {
  private static final ZoneId ZONE = ZoneId.of("Europe/Paris");

  /** A Wednesday. */
  private static final ZonedDateTime EVENING =
      ZonedDateTime.of(LocalDate.of(2026, 6, 3), LocalTime.of(19, 0), ZONE);

  private static final BayPlan PLAN = BayPlan.USUAL;

  private static Schedule plan(BayPlan plan, int cells, List<Running> running) {
    return Schedule.of(plan, cells, 2.5, running, 0, EVENING);
  }

  @Test
  void aTestTakesItsChargesItsDischargeAndItsRests() {
    assertThat(PLAN.test(2.5))
        .as("two charges of 2.5 h and a fifth, 2.5 h of discharge, two rests of half an hour")
        .isEqualTo(Duration.ofMinutes(360 + 150 + 60));
  }

  @Test
  void aBayIsLoadedWhenItIsDoneAndSomebodyIsThere() {
    Schedule s = plan(PLAN, 8, List.of());
    assertThat(s.swaps()).hasSize(3);
    assertThat(s.swaps().getFirst().at()).isEqualTo(EVENING);
    assertThat(s.swaps().getFirst().load()).containsExactly(1, 2, 3, 4);
    assertThat(s.swaps().get(1).at())
        .as("done at half past four in the night, swapped the next evening")
        .isEqualTo(EVENING.plusDays(1).withHour(18));
    assertThat(s.swaps().getLast().load()).isEmpty();
    assertThat(s.measured()).isEqualTo(EVENING.plusDays(2).withHour(18));
  }

  @Test
  void atWeekendsABayIsLoadedTwiceADay() {
    ZonedDateTime saturday = EVENING.plusDays(3).withHour(9);
    Schedule s = Schedule.of(PLAN, 8, 2.5, List.of(), 0, saturday);
    assertThat(s.swaps().get(1).at()).isEqualTo(saturday.plusMinutes(570));
  }

  @Test
  void whatRunsIsWaitedForAndWhatIsLateIsSaid() {
    Running works = new Running(1, EVENING.plusHours(2));
    Running late = new Running(2, EVENING.minusDays(2));
    Schedule s = plan(PLAN.withBays(2), 2, List.of(works, late));
    assertThat(s.late()).containsExactly(2);
    assertThat(s.swaps().getFirst().empty()).containsExactly(2);
    assertThat(s.swaps().get(1).at()).isEqualTo(EVENING.plusHours(2));
  }

  @Test
  void cellsRestAfterTheLastTest() {
    Schedule s = Schedule.of(PLAN, 4, 2.5, List.of(), 14, EVENING);
    assertThat(s.rested()).isEqualTo(s.measured().plusDays(14));
    assertThat(plan(PLAN, 0, List.of()).measured()).isEqualTo(EVENING);
  }

  @Test
  void everyMomentIsOneAtWhichTheBuilderIsThere() {
    Random random = new Random(5);
    for (int k = 0; k < 300; k++) {
      double from = 3600 * random.nextInt(20);
      Presence there =
          new Presence(from, from + 1800 * (1 + random.nextInt(8)), 0, 3600 * random.nextInt(24));
      BayPlan plan = PLAN.withPresence(there).withBays(1 + random.nextInt(6));
      ZonedDateTime now = EVENING.plusMinutes(random.nextInt(400_000));
      int cells = random.nextInt(40);
      Schedule s = Schedule.of(plan, cells, 1 + 3 * random.nextDouble(), List.of(), 3, now);
      assertThat(s.swaps()).allMatch(v -> there.isThere(v.at()));
      assertThat(s.swaps().stream().mapToInt(v -> v.load().size()).sum()).isEqualTo(cells);
      assertThat(s.swaps().stream().mapToInt(v -> v.empty().size()).sum()).isEqualTo(cells);
      assertThat(there.isThere(s.rested())).isTrue();
    }
  }

  /** Every choice of when to load, also later than at once: none is done sooner. */
  @Test
  void noOtherScheduleIsDoneSooner() {
    Random random = new Random(2);
    for (int k = 0; k < 60; k++) {
      Presence there =
          new Presence(3600 * (6 + random.nextInt(6)), 3600 * (14 + random.nextInt(8)), 3600, 7200);
      BayPlan plan = PLAN.withPresence(there).withBays(1 + random.nextInt(2));
      int cells = 1 + random.nextInt(4);
      double capacity = 0.8 + 2 * random.nextDouble();
      Schedule s = Schedule.of(plan, cells, capacity, List.of(), 0, EVENING);
      ZonedDateTime[] free = new ZonedDateTime[plan.bays()];
      Arrays.fill(free, EVENING);
      assertThat(s.measured()).isEqualTo(soonest(plan, plan.test(capacity), cells, free, EVENING));
    }
  }

  private static ZonedDateTime soonest(
      BayPlan plan, Duration each, int cells, ZonedDateTime[] free, ZonedDateTime end) {
    if (cells == 0) {
      return end;
    }
    ZonedDateTime best = EVENING.plusYears(1);
    for (int bay = 0; bay < free.length; bay++) {
      for (int wait : new int[] {0, 2, 5, 11, 24}) {
        ZonedDateTime was = free[bay];
        ZonedDateTime load = plan.presence().next(was.plusHours(wait));
        ZonedDateTime out = plan.presence().next(load.plus(each));
        free[bay] = out;
        ZonedDateTime done = soonest(plan, each, cells - 1, free, out.isAfter(end) ? out : end);
        free[bay] = was;
        best = done.isBefore(best) ? done : best;
      }
    }
    return best;
  }

  /** A month of a builder who comes up to nine hours late, and some evenings not at all. */
  @Test
  void aLateBuilderStillHasEveryCellMeasuredOnce() {
    Random random = new Random(9);
    ZonedDateTime now = EVENING;
    int left = 100;
    int out = 0;
    List<Running> running = new ArrayList<>();
    int visits = 0;
    boolean wasLate = false;
    while (left > 0 || !running.isEmpty()) {
      Schedule s = plan(PLAN, left, running, now);
      ZonedDateTime next = s.swaps().getFirst().at();
      now = next.plusMinutes(random.nextInt(540)).plusDays(random.nextInt(4) == 0 ? 1 : 0);
      if (!PLAN.presence().isThere(now)) {
        now = PLAN.presence().next(now);
      }
      wasLate |= !plan(PLAN, left, running, now).late().isEmpty();
      ZonedDateTime at = now;
      out += (int) running.stream().filter(r -> !r.due().isAfter(at)).count();
      running.removeIf(r -> !r.due().isAfter(at));
      Set<Integer> taken = new HashSet<>();
      running.forEach(r -> taken.add(r.bay()));
      for (int bay = 1; bay <= PLAN.bays() && left > 0; bay++) {
        if (taken.add(bay)) {
          running.add(new Running(bay, now.plus(s.each())));
          left--;
        }
      }
      assertThat(++visits).as("it comes to an end").isLessThan(200);
    }
    assertThat(out).isEqualTo(100);
    assertThat(wasLate).isTrue();
    assertThat(now).isAfterOrEqualTo(plan(PLAN, 100, List.of()).measured());
  }

  private static Schedule plan(BayPlan plan, int cells, List<Running> running, ZonedDateTime now) {
    return Schedule.of(plan, cells, 2.5, running, 0, now);
  }

  @Test
  void aSecondTesterAndShorterTestsAreNeverSlower() {
    Schedule usual = plan(PLAN, 100, List.of());
    assertThat(Quicker.of(PLAN, 100, 2.5, List.of(), 0, EVENING))
        .hasSize(3)
        .allSatisfy(q -> assertThat(q.schedule().measured()).isBeforeOrEqualTo(usual.measured()))
        .anySatisfy(
            q ->
                assertThat(q.schedule().until(EVENING))
                    .as("twice the bays take half the time")
                    .isLessThan(usual.until(EVENING).multipliedBy(6).dividedBy(10)));
  }

  @Test
  void aCalendarTakesItInAndKnowsAVisitAgain() {
    Schedule s = Schedule.of(PLAN, 8, 2.5, List.of(), 14, EVENING);
    String text = CalendarFile.of(s, "Speaker; pack, one", 14, EVENING.toInstant());
    ICalendar read = Biweekly.parse(text).first();
    assertThat(read.getEvents()).hasSize(s.swaps().size() + 1);
    assertThat(read.getEvents().getFirst().getDateStart().getValue().toInstant())
        .isEqualTo(EVENING.toInstant());
    assertThat(read.getEvents().get(1).getSummary().getValue())
        .isEqualTo("Speaker; pack, one: swap bay 1, 2, 3, 4");
    assertThat(text).contains("\r\n").contains("BEGIN:VALARM");
    assertThat(CalendarFile.of(s, "Speaker; pack, one", 14, EVENING.toInstant()))
        .as("the same identities")
        .isEqualTo(text);
  }

  @Test
  void somebodyMustBeThere() {
    assertThatThrownBy(() -> new Presence(0, 0, 3600, 3600))
        .isInstanceOf(InvalidValue.class)
        .hasMessageContaining("swap cells");
    Presence weekends = new Presence(0, 0, 9 * 3600, 12 * 3600);
    assertThat(weekends.next(EVENING)).isEqualTo(EVENING.plusDays(3).withHour(9));
  }
}
