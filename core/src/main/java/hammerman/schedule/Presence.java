package hammerman.schedule;

import hammerman.unit.In;
import hammerman.unit.InvalidValue;
import hammerman.unit.Unit;
import hammerman.unit.Valid;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.ZonedDateTime;

/**
 * The hours at which the builder is there to swap cells, as times since midnight, s. Where both are
 * the same nobody is there on such days.
 *
 * @param weekdayFrom on Monday to Friday
 * @param weekdayTo on Monday to Friday
 * @param weekendFrom on Saturday and Sunday
 * @param weekendTo on Saturday and Sunday
 */
@RecordBuilder
public record Presence(
    @In(Unit.HOUR) double weekdayFrom,
    @In(Unit.HOUR) double weekdayTo,
    @In(Unit.HOUR) double weekendFrom,
    @In(Unit.HOUR) double weekendTo)
    implements PresenceBuilder.With {
  private static final double DAY = 86400;

  /** Evenings, and the days of the weekend. */
  public static final Presence EVENINGS = new Presence(18 * 3600, 22 * 3600, 9 * 3600, 22 * 3600);

  public Presence {
    Valid.range("There from, on weekdays", weekdayFrom, 0, DAY, Unit.HOUR);
    Valid.range("There until, on weekdays", weekdayTo, weekdayFrom, DAY, Unit.HOUR);
    Valid.range("There from, at weekends", weekendFrom, 0, DAY, Unit.HOUR);
    Valid.range("There until, at weekends", weekendTo, weekendFrom, DAY, Unit.HOUR);
    if (weekdayFrom == weekdayTo && weekendFrom == weekendTo) {
      throw new InvalidValue(
          "Hours of the builder",
          "none",
          "somebody must be there to swap cells",
          "Give the hours of weekdays or of weekends.");
    }
  }

  /** Whether the builder is there; at the end of the hours no more. */
  public boolean isThere(ZonedDateTime at) {
    return !at.isBefore(from(at)) && at.isBefore(to(at));
  }

  /** Returns the first moment from one on at which the builder is there. */
  public ZonedDateTime next(ZonedDateTime at) {
    ZonedDateTime day = at;
    while (true) {
      if (day.isBefore(to(day))) {
        return day.isBefore(from(day)) ? from(day) : day;
      }
      day = day.toLocalDate().plusDays(1).atStartOfDay(day.getZone());
    }
  }

  private ZonedDateTime from(ZonedDateTime day) {
    return at(day, isWeekend(day) ? weekendFrom : weekdayFrom);
  }

  private ZonedDateTime to(ZonedDateTime day) {
    return at(day, isWeekend(day) ? weekendTo : weekdayTo);
  }

  /** By the clock on the wall, also on days on which it is put forward or back. */
  private static ZonedDateTime at(ZonedDateTime day, double seconds) {
    LocalDate date = day.toLocalDate();
    return seconds >= DAY
        ? date.plusDays(1).atStartOfDay(day.getZone())
        : date.atStartOfDay().plusSeconds(Math.round(seconds)).atZone(day.getZone());
  }

  private static boolean isWeekend(ZonedDateTime day) {
    return day.getDayOfWeek() == DayOfWeek.SATURDAY || day.getDayOfWeek() == DayOfWeek.SUNDAY;
  }
}
