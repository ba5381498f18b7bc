package hammerman.datasheet;

import hammerman.table.TableFile;
import hammerman.table.UnreadableTable;
import hammerman.unit.Unit;
import hammerman.unit.Valid;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.regex.Pattern;

/**
 * A discharge from full at a constant current, as measured or read off a datasheet.
 *
 * @param name what it is called
 * @param current A
 * @param temperature of the air, K
 * @param points in the order of the charge taken out
 */
public record DischargeCurve(String name, double current, double temperature, List<Point> points) {

  private static final int FEWEST = 5;
  private static final Pattern CHARGE = Pattern.compile("(?i).*(ah|capacity|charge).*");
  private static final Pattern MILLI = Pattern.compile("(?i).*mah.*");
  private static final Pattern VOLTS =
      Pattern.compile("(?i).*(volt|^v$|\\(v\\)|_v$|\\[v\\]|, v$).*");

  /** A voltage (V) after a charge (Ah) was taken out. */
  public record Point(double charge, double voltage) {}

  public DischargeCurve {
    points = List.copyOf(points);
    Valid.range("Current of the curve", current, 1e-3, 1e4, Unit.AMPERE);
    Valid.range("Temperature of the curve", temperature, 223.15, 353.15, Unit.CELSIUS);
    Valid.count("Points of the curve", points.size(), FEWEST, 1_000_000);
  }

  /**
   * Reads the points of a curve: a table of charge (Ah or mAh) and voltage (V). Without a head the
   * first column is the charge.
   *
   * @param current at which it was taken, A
   * @param temperature of the air, K
   */
  public static DischargeCurve read(Path file, double current, double temperature)
      throws UnreadableTable {
    TableFile table = TableFile.open(file);
    String name = String.valueOf(file.getFileName());
    int charge = column(table, CHARGE, 0);
    int volts = column(table, VOLTS, charge == 0 ? 1 : 0);
    boolean milli = MILLI.matcher(table.columns().get(charge)).matches();
    List<Point> points = new ArrayList<>();
    table.rows(
        (line, fields) -> {
          if (Math.max(charge, volts) < fields.size()) {
            double q = table.number(fields.get(charge)) * (milli ? 1e-3 : 1);
            double v = table.number(fields.get(volts));
            if (Double.isFinite(q) && Double.isFinite(v) && q >= 0 && v > 0.3 && v < 6) {
              points.add(new Point(q, v));
            }
          }
        },
        share -> {},
        () -> false);
    if (points.size() < FEWEST) {
      throw new UnreadableTable(
          String.format(
              Locale.ROOT,
              "%s: only %d rows hold a charge (Ah) and a cell voltage (0.3 to 6 V); a curve needs"
                  + " at least %d. Export two columns, such as “Ah” and “V”.",
              name,
              points.size(),
              FEWEST));
    }
    points.sort(Comparator.comparingDouble(Point::charge));
    return new DischargeCurve(name, current, temperature, points);
  }

  private static int column(TableFile table, Pattern words, int fallback) {
    for (int k = 0; k < table.columns().size(); k++) {
      if (table.headed() && words.matcher(table.columns().get(k)).matches()) {
        return k;
      }
    }
    return fallback;
  }

  /** Returns the most charge taken out, Ah. */
  public double charge() {
    return points.getLast().charge();
  }
}
