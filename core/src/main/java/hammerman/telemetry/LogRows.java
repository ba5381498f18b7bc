package hammerman.telemetry;

import hammerman.table.TableFile;
import hammerman.unit.Unit;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/** Takes rows as they come, in growing flat arrays. */
final class LogRows implements TableFile.RowTaker {
  private final TableFile table;
  private final TimeColumn time;
  private final int[] columns = new int[Quantity.values().length];
  private final Unit[] units = new Unit[columns.length];
  private final double[][] samples = new double[columns.length][];
  private final double sign;
  private int size;
  private long skipped;
  private String firstBad = "";

  LogRows(TableFile table, Mapping mapping) {
    this.table = table;
    this.time = new TimeColumn(table, mapping);
    this.sign = mapping.dischargeNegative() ? -1 : 1;
    for (Quantity q : Quantity.values()) {
      var source = mapping.source(q);
      columns[q.ordinal()] = source.map(s -> table.indexOf(s.column())).orElse(-1);
      units[q.ordinal()] = source.map(Mapping.Source::unit).orElse(Unit.ONE);
      samples[q.ordinal()] = new double[columns[q.ordinal()] < 0 ? 0 : 1024];
    }
  }

  int size() {
    return size;
  }

  long skipped() {
    return skipped;
  }

  double[][] samples() {
    return samples;
  }

  Optional<String> firstBad() {
    return firstBad.isEmpty() ? Optional.empty() : Optional.of(firstBad);
  }

  @Override
  public void take(long line, List<String> fields) {
    double read = time.read(fields);
    double current = value(fields, Quantity.CURRENT);
    double power = value(fields, Quantity.POWER);
    double voltage = value(fields, Quantity.VOLTAGE);
    boolean flow =
        columns[Quantity.POWER.ordinal()] >= 0
            ? Double.isFinite(power)
            : Double.isFinite(current)
                && (columns[Quantity.VOLTAGE.ordinal()] < 0 || Double.isFinite(voltage));
    if (!Double.isFinite(read) || !flow) {
      skipped++;
      if (firstBad.isEmpty()) {
        firstBad = "line " + line + " reads “" + String.join(" ", fields) + "”";
      }
      return;
    }
    put(Quantity.TIME, read);
    put(Quantity.CURRENT, sign * current);
    put(Quantity.POWER, sign * power);
    put(Quantity.VOLTAGE, voltage);
    put(Quantity.SPEED, value(fields, Quantity.SPEED));
    put(Quantity.TEMPERATURE, value(fields, Quantity.TEMPERATURE));
    size++;
  }

  private Unit unit(Quantity q) {
    return units[q.ordinal()];
  }

  private String field(List<String> fields, Quantity q) {
    int at = columns[q.ordinal()];
    return at >= 0 && at < fields.size() ? fields.get(at) : "";
  }

  private double value(List<String> fields, Quantity q) {
    return columns[q.ordinal()] < 0 ? Double.NaN : unit(q).toCore(table.number(field(fields, q)));
  }

  private void put(Quantity q, double value) {
    int c = q.ordinal();
    if (columns[c] >= 0) {
      if (size == samples[c].length) {
        samples[c] = Arrays.copyOf(samples[c], size * 2);
      }
      samples[c][size] = value;
    }
  }
}
