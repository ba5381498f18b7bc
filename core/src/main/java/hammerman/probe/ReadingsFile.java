package hammerman.probe;

import hammerman.table.TableFile;
import hammerman.table.UnreadableTable;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.TreeMap;

/** Readings out of a table: the number of the lead, and volts against battery minus. */
public final class ReadingsFile {
  private static final int MOST_LEADS = 300;

  private ReadingsFile() {}

  /**
   * Reads them.
   *
   * @return by lead from 0 on; not a number where a lead has no reading
   * @throws UnreadableTable if it is no table, a lead is no number, or stands twice with different
   *     readings
   */
  public static double[] read(Path file) throws UnreadableTable {
    TableFile table = TableFile.open(file);
    TreeMap<Integer, Double> all = new TreeMap<>();
    String[] wrong = {""};
    table.rows(
        (line, fields) -> {
          if (fields.stream().allMatch(String::isBlank) || fields.size() < 2) {
            return;
          }
          double lead = table.number(fields.get(0).replaceAll("(?i)^\\s*(lead|b)?\\s*\\+?", ""));
          double volts = table.number(fields.get(1));
          if (lead != Math.rint(lead) || lead < 0 || lead > MOST_LEADS) {
            wrong[0] = "line %d: “%s” is no lead from 0 on".formatted(line, fields.get(0).strip());
            return;
          }
          Double was = all.put((int) lead, volts);
          if (was != null && Math.abs(was - volts) > 1e-9) {
            wrong[0] = "lead %d stands twice, with different readings".formatted((int) lead);
          }
        },
        share -> {},
        () -> false);
    if (!wrong[0].isEmpty() || all.isEmpty()) {
      throw new UnreadableTable(
          "%s: %s. Give two columns: the lead's number, 0 at battery minus, and its volts."
              .formatted(file.getFileName(), wrong[0].isEmpty() ? "no readings" : wrong[0]));
    }
    double[] volts = new double[all.lastKey() + 1];
    Arrays.fill(volts, Double.NaN);
    all.forEach((lead, v) -> volts[lead] = v);
    return volts;
  }
}
