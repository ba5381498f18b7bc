package hammerman.template;

import de.siegmar.fastcsv.writer.CsvWriter;
import hammerman.fit.Point;
import hammerman.fit.Sheet;
import java.io.IOException;
import java.io.StringWriter;
import java.util.Locale;

/**
 * The lists of a work as one CSV table: pieces of strip, links, balance leads and cell positions.
 */
public final class BuildLists {
  private BuildLists() {}

  /** Returns the table; lengths in mm. */
  public static String csv(Work work) {
    StringWriter text = new StringWriter();
    try (CsvWriter csv = CsvWriter.builder().build(text)) {
      write(csv, work);
    } catch (IOException e) {
      throw new IllegalStateException("writing to memory failed", e);
    }
    return text.toString();
  }

  private static void write(CsvWriter csv, Work work) {
    csv.writeRecord("what", "number", "group", "face", "x_mm", "y_mm", "length_mm", "made of");
    for (var plate : work.plates()) {
      for (double run : plate.runs()) {
        csv.writeRecord(
            "strip",
            Integer.toString(plate.number()),
            "",
            face(plate.top()),
            "",
            "",
            mm(run),
            plate.strip().text());
      }
    }
    for (var link : work.solved().network().links()) {
      csv.writeRecord(
          "link",
          Integer.toString(link.plate()),
          Integer.toString(work.group(link.from()) + 1),
          face(link.top()),
          "",
          "",
          mm(link.length()),
          link.strip().text());
    }
    for (BalanceLead lead : BalanceLead.of(work)) {
      csv.writeRecord(
          "balance lead",
          Integer.toString(lead.number()),
          Integer.toString(lead.group() + 1),
          face(lead.top()),
          mm(work.placing().places().get(lead.place()).x()),
          mm(work.placing().places().get(lead.place()).y()),
          mm(lead.length()),
          "");
    }
    for (Sheet sheet : work.usedSheets()) {
      for (int k = sheet.first(); k < sheet.end(); k++) {
        int g = work.group(k);
        if (g >= 0) {
          Point p = work.placing().places().get(k);
          csv.writeRecord(
              "cell",
              Integer.toString(k - sheet.first() + 1),
              Integer.toString(g + 1),
              Work.plusOnTop(g) ? "positive up" : "negative up",
              mm(p.x()),
              mm(p.y()),
              "",
              "");
        }
      }
    }
  }

  private static String face(boolean top) {
    return top ? "upper" : "lower";
  }

  private static String mm(double metres) {
    return String.format(Locale.ROOT, "%.1f", metres * 1e3);
  }
}
