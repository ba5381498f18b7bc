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
import java.util.ArrayList;
import java.util.Date;
import java.util.List;
import java.util.stream.Collectors;

/**
 * What is to be done as a calendar file (iCalendar, RFC 5545), such as an event for each visit to
 * the tester.
 */
public final class CalendarFile {
  private static final int MINUTES = 15;

  /**
   * Something to do.
   *
   * @param at when
   * @param key that it keeps as long as it is the same
   * @param words to do
   */
  public record Event(ZonedDateTime at, String key, String words) {}

  private CalendarFile() {}

  /**
   * Returns the text of the file.
   *
   * @param pack name of the pack
   * @param made when the file is made
   */
  public static String of(List<Event> events, String pack, Instant made) {
    ICalendar calendar = new ICalendar();
    calendar.setProductId("-//Hammerman//pack//EN");
    events.forEach(e -> calendar.addEvent(event(e, pack, made)));
    return Biweekly.write(calendar).go();
  }

  /**
   * Returns the text of the file. A visit keeps its identity while its moment stays the same, so
   * that a calendar that takes the file in again has no event twice.
   *
   * @param pack name of the pack
   * @param restDays that the cells rest after the last test; 0 for none
   * @param made when the file is made
   */
  public static String of(Schedule schedule, String pack, int restDays, Instant made) {
    List<Event> events = new ArrayList<>();
    for (Schedule.Swap s : schedule.swaps()) {
      events.add(visit(s.at(), words(s)));
    }
    if (restDays > 0) {
      events.add(
          visit(
              schedule.rested(),
              "the cells have rested " + restDays + " days; measure their rest voltages again"));
    }
    return of(events, pack, made);
  }

  private static Event visit(ZonedDateTime at, String words) {
    return new Event(at, "visit-" + at.toEpochSecond(), words);
  }

  private static VEvent event(Event e, String pack, Instant made) {
    VEvent event = new VEvent();
    event.setUid(e.key() + "@hammerman");
    event.setDateTimeStamp(Date.from(made));
    event.setSummary(pack + ": " + e.words());
    event.setDateStart(Date.from(e.at().toInstant()));
    event.setDuration(Duration.builder().minutes(MINUTES).build());
    event.addAlarm(
        VAlarm.display(
            new Trigger(Duration.builder().minutes(0).build(), Related.START), e.words()));
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
