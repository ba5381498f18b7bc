package hammerman.telemetry;

import hammerman.table.TableFile;
import hammerman.unit.Unit;
import java.util.List;

/**
 * Reads the times of a log row by row. A clock without a date that falls back by more than half a
 * day has come to midnight, and goes on into the next day.
 */
public final class TimeColumn {
  private static final double DAY = 86_400;

  private final TableFile table;
  private final int column;
  private final Unit unit;
  private double last = Double.NaN;
  private double days;

  /** Reads the times as a mapping says. */
  public TimeColumn(TableFile table, Mapping mapping) {
    this.table = table;
    var source = mapping.source(Quantity.TIME);
    column = source.map(s -> table.indexOf(s.column())).orElse(-1);
    unit = source.map(Mapping.Source::unit).orElse(Unit.SECOND);
  }

  /** Returns the time of the next row, s; NaN if it says none. */
  public double read(List<String> fields) {
    String field = column >= 0 && column < fields.size() ? fields.get(column) : "";
    double read = Clock.seconds(field, unit, table);
    if (Double.isFinite(read) && Clock.isTimeOfDay(field)) {
      if (read + days < last - DAY / 2) {
        days += DAY;
      }
      last = read + days;
      return last;
    }
    return read;
  }
}
