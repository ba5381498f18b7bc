package hammerman.telemetry;

import hammerman.table.TableFile;
import hammerman.unit.Unit;
import java.time.LocalDateTime;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.time.format.DateTimeParseException;

/** Reads the times of logs: a number in a unit, a clock such as 01:02:03.5, or a date with time. */
final class Clock {
  private Clock() {}

  /** Returns seconds from some beginning; NaN if the field holds no time. */
  static double seconds(String field, Unit unit, TableFile table) {
    if (field.indexOf(':') < 0) {
      return unit.toCore(table.number(field));
    }
    String text = field.strip().replace(',', '.');
    return hasDate(text) ? date(text) : clock(text);
  }

  private static boolean hasDate(String text) {
    return text.length() > 10 && (text.charAt(4) == '-' || text.charAt(4) == '/');
  }

  /** Whether a field is a clock without a date. */
  static boolean isTimeOfDay(String field) {
    return field.indexOf(':') >= 0 && !hasDate(field.strip());
  }

  private static double clock(String text) {
    double seconds = 0;
    try {
      for (String part : text.split(":", -1)) {
        seconds = seconds * 60 + Double.parseDouble(part.strip());
      }
      return seconds;
    } catch (NumberFormatException e) {
      return Double.NaN;
    }
  }

  private static double date(String text) {
    String iso = text.replace('/', '-').replaceFirst(" +", "T");
    try {
      boolean zoned = iso.endsWith("Z") || iso.matches(".*[+-]\\d\\d:?\\d\\d$");
      var instant =
          zoned
              ? OffsetDateTime.parse(iso).toInstant()
              : LocalDateTime.parse(iso).toInstant(ZoneOffset.UTC);
      return instant.getEpochSecond() + instant.getNano() / 1e9;
    } catch (DateTimeParseException e) {
      return Double.NaN;
    }
  }
}
