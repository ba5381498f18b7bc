package hammerman.sort;

import de.siegmar.fastcsv.writer.CsvWriter;
import hammerman.table.CellText;
import hammerman.unit.Figures;
import hammerman.unit.Unit;
import java.io.IOException;
import java.nio.file.Path;
import java.util.List;

/** The stock as a table (CSV) that {@link CellSheet} reads again. */
public final class StockTable {
  private StockTable() {}

  /** Writes all cells with where they stand. */
  public static void write(Path file, Sorting sorting) throws IOException {
    try (CsvWriter csv = CsvWriter.builder().build(file)) {
      csv.writeRecord(
          "label",
          "capacity mAh",
          "resistance mOhm",
          "rest voltage V",
          "self-discharge mV/day",
          "state",
          "why",
          "type",
          "lot",
          "source",
          "bought",
          "price",
          "notes",
          "photo");
      for (Sorting.Entry e : sorting.entries()) {
        MeasuredCell m = e.cell().measured();
        var d = e.cell().described();
        csv.writeRecord(
            CellText.written(
                d.label(),
                figure(m.capacity(), Unit.MILLIAMPERE_HOUR),
                figure(m.resistance(), Unit.MILLIOHM),
                figure(m.voltage(), Unit.VOLT),
                figure(m.selfDischarge(), Unit.MILLIVOLT_PER_DAY),
                e.words(),
                e.why(),
                d.type(),
                d.lot(),
                d.source(),
                d.bought() == null ? "" : d.bought().toString(),
                d.price() == null ? "" : Figures.plain(d.price()),
                d.notes(),
                d.photo()));
      }
    }
  }

  /**
   * Writes which cell to take for which place: group by group from the negative end, in the order
   * of the places.
   */
  public static void writePicking(Path file, List<List<MeasuredCell>> groups) throws IOException {
    try (CsvWriter csv = CsvWriter.builder().build(file)) {
      csv.writeRecord("group", "place", "label", "capacity mAh", "resistance mOhm");
      for (int g = 0; g < groups.size(); g++) {
        List<MeasuredCell> cells = groups.get(g);
        for (int k = 0; k < cells.size(); k++) {
          csv.writeRecord(
              String.valueOf(g + 1),
              String.valueOf(k + 1),
              CellText.written(cells.get(k).label()),
              figure(cells.get(k).capacity(), Unit.MILLIAMPERE_HOUR),
              figure(cells.get(k).resistance(), Unit.MILLIOHM));
        }
      }
    }
  }

  private static String figure(double core, Unit unit) {
    return Double.isNaN(core) ? "" : Figures.plain(unit.fromCore(core));
  }
}
