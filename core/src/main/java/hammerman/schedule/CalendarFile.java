package hammerman.schedule;

import biweekly.Biweekly;
import biweekly.ICalendar;
import biweekly.component.VAlarm;
import biweekly.component.VEvent;
import biweekly.parameter.Related;
import biweekly.property.Trigger;
import biweekly.util.Duration;
import java.time.Instant;
import java.time.ZonedDateTime;
import java.util.Date;
import java.util.List;
import java.util.stream.Collectors;

/** A schedule as a calendar file (iCalendar, RFC 5545): an event for each visit to the tester. */
public final class CalendarFile {
  private static final int MINUTES = 15;

  private CalendarFile() {}

  /**
   * Returns the text of the file. A visit keeps its identity while its moment stays the same, so
   * that a calendar that takes the file in again has no event twice.
   *
   * @param pack name of the pack
   * @param restDays that the cells rest after the last test; 0 for none
   * @param made when the file is made
   */
  public static String of(Schedule schedule, String pack, int restDays, Instant made) {
    ICalendar calendar = new ICalendar();
    calendar.setProductId("-//Hammerman//cell tester//EN");
    for (Schedule.Swap s : schedule.swaps()) {
      calendar.addEvent(event(s.at(), pack, words(s), made));
    }
    if (restDays > 0) {
      calendar.addEvent(
          event(
              schedule.rested(),
              pack,
              "the cells have rested " + restDays + " days; measure their rest voltages again",
              made));
    }
    return Biweekly.write(calendar).go();
  }

  private static VEvent event(ZonedDateTime at, String pack, String words, Instant made) {
    VEvent event = new VEvent();
    event.setUid("visit-" + at.toEpochSecond() + "@hammerman");
    event.setDateTimeStamp(Date.from(made));
    event.setSummary(pack + ": " + words);
    event.setDateStart(Date.from(at.toInstant()));
    event.setDuration(Duration.builder().minutes(MINUTES).build());
    event.addAlarm(
        VAlarm.display(new Trigger(Duration.builder().minutes(0).build(), Related.START), words));
    return event;
  }

  private static String words(Schedule.Swap s) {
    if (s.load().isEmpty()) {
      return "take out bay " + bays(s.empty());
    }
    return s.empty().isEmpty() ? "load bay " + bays(s.load()) : "swap bay " + bays(s.load());
  }

  private static String bays(List<Integer> bays) {
    return bays.stream().sorted().map(String::valueOf).collect(Collectors.joining(", "));
  }
}
