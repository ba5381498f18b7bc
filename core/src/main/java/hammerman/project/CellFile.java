package hammerman.project;

import de.siegmar.fastcsv.writer.CsvWriter;
import hammerman.cell.CellCurrents;
import hammerman.cell.CellFormat;
import hammerman.cell.CellLibrary;
import hammerman.cell.CellTemperatures;
import hammerman.cell.CellType;
import hammerman.cell.Chemistry;
import hammerman.cell.CycleLife;
import hammerman.guard.Parts;
import hammerman.project.UnreadableProject.Reason;
import hammerman.table.CellText;
import hammerman.table.TableFile;
import hammerman.table.UnreadableTable;
import hammerman.unit.InvalidValue;
import hammerman.unit.Unit;
import java.io.IOException;
import java.io.StringWriter;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import tools.jackson.core.JacksonException;

/**
 * Cells outside a project: a JSON document ({@code {"cells": [...]}}, the cells as in a project),
 * or a CSV table with one cell a line. The table leaves out what is not a figure of the datasheet:
 * a rested voltage of its own and the state of health. Format: docs/file-format.md.
 */
public final class CellFile {
  private static final List<String> HEAD =
      List.of(
          "id",
          "name",
          "chemistry",
          "shape",
          "width_mm",
          "thickness_mm",
          "height_mm",
          "capacity_Ah",
          "r10_mOhm",
          "continuous_A",
          "peak_A",
          "standardCharge_A",
          "fastCharge_A",
          "nominalVoltage_V",
          "fullVoltage_V",
          "cutOffVoltage_V",
          "chargeLowest_C",
          "chargeHighest_C",
          "dischargeLowest_C",
          "dischargeHighest_C",
          "mass_g",
          "price",
          "specificHeat_J_per_kgK",
          "source",
          "cycles",
          "cyclesTo_percent",
          "cyclesDepth_percent",
          "cyclesRate_C",
          "cyclesAt_C");

  private CellFile() {}

  /** Writes cells; as CSV if the name says so, else as JSON. */
  public static void save(CellLibrary library, Path file) throws IOException {
    byte[] bytes = isCsv(file) ? csv(library) : JsonMapping.MAPPER.writeValueAsBytes(library);
    Files.write(file, bytes);
  }

  /**
   * Reads cells.
   *
   * @throws UnreadableProject if the file cannot be used, with one clear message
   */
  public static CellLibrary read(Path file) throws UnreadableProject {
    String name = String.valueOf(file.getFileName());
    if (isCsv(file)) {
      return table(file, name);
    }
    return parsed(bytes(file, name), CellLibrary.class, name);
  }

  /** Returns the document of cells, as {@link #parse} reads it. */
  public static String document(CellLibrary library) {
    return JsonMapping.MAPPER.writeValueAsString(library);
  }

  /** Reads the document of cells. */
  public static CellLibrary parse(String document) throws UnreadableProject {
    return parsed(document.getBytes(StandardCharsets.UTF_8), CellLibrary.class, "the cells");
  }

  /** Returns the document of parts, as {@link #parseParts} reads it. */
  public static String document(Parts parts) {
    return JsonMapping.MAPPER.writeValueAsString(parts);
  }

  /** Reads the document of parts. */
  public static Parts parseParts(String document) throws UnreadableProject {
    return parsed(document.getBytes(StandardCharsets.UTF_8), Parts.class, "the parts");
  }

  /**
   * Reads parts of the builder's own: JSON as the parts that ship, lists that are not needed empty.
   *
   * @throws UnreadableProject if the file cannot be used
   */
  public static Parts readParts(Path file) throws UnreadableProject {
    String name = String.valueOf(file.getFileName());
    return parsed(bytes(file, name), Parts.class, name);
  }

  private static byte[] bytes(Path file, String name) throws UnreadableProject {
    try {
      if (!Files.isRegularFile(file) || Files.size(file) > ProjectDocument.LARGEST) {
        throw new IOException("no plain file, or too large");
      }
      return Files.readAllBytes(file);
    } catch (IOException e) {
      throw new UnreadableProject(
          Reason.MISSING, name + " cannot be opened. Check the name and the folder.");
    }
  }

  private static <T> T parsed(byte[] bytes, Class<T> type, String name) throws UnreadableProject {
    try {
      T read = JsonMapping.MAPPER.readValue(bytes, type);
      if (read == null) {
        throw new UnreadableProject(Reason.INVALID, name + ": there is nothing in it.");
      }
      return read;
    } catch (JacksonException e) {
      throw new UnreadableProject(Reason.INVALID, name + ": " + ProjectDocument.inWords(e));
    }
  }

  private static boolean isCsv(Path file) {
    return file.toString().toLowerCase(Locale.ROOT).endsWith(".csv");
  }

  private static byte[] csv(CellLibrary library) throws IOException {
    StringWriter text = new StringWriter();
    try (CsvWriter out = CsvWriter.builder().build(text)) {
      out.writeRecord(HEAD);
      for (CellType c : library.cells()) {
        out.writeRecord(line(c));
      }
    }
    return text.toString().getBytes(StandardCharsets.UTF_8);
  }

  private static List<String> line(CellType c) {
    List<String> l =
        new ArrayList<>(List.of(c.id(), CellText.written(c.name()), c.chemistry().name()));
    switch (c.format()) {
      case CellFormat.Cylinder f ->
          l.addAll(List.of("cylinder", mm(f.diameter()), mm(f.diameter()), mm(f.height())));
      case CellFormat.Block f ->
          l.addAll(
              List.of(
                  f.pouch() ? "pouch" : "block", mm(f.width()), mm(f.thickness()), mm(f.height())));
    }
    var i = c.currents();
    var t = c.temperatures();
    l.addAll(
        List.of(
            plain(c.capacity(), Unit.AMPERE_HOUR),
            plain(c.r10(), Unit.MILLIOHM),
            plain(i.continuous(), Unit.AMPERE),
            plain(i.peak(), Unit.AMPERE),
            plain(i.standardCharge(), Unit.AMPERE),
            plain(i.fastCharge(), Unit.AMPERE),
            plain(c.nominalVoltage(), Unit.VOLT),
            plain(c.fullVoltage(), Unit.VOLT),
            plain(c.cutOffVoltage(), Unit.VOLT),
            celsius(t.chargeLowest()),
            celsius(t.chargeHighest()),
            celsius(t.dischargeLowest()),
            celsius(t.dischargeHighest()),
            plain(c.mass(), Unit.GRAM),
            plain(c.price(), Unit.MONEY),
            plain(c.specificHeat(), Unit.JOULE_PER_KILOGRAM_KELVIN),
            CellText.written(c.source())));
    CycleLife told = c.cycleLife();
    l.addAll(
        told == null
            ? List.of("", "", "", "", "")
            : List.of(
                plain(told.cycles(), Unit.ONE),
                plain(told.left(), Unit.PERCENT),
                plain(told.depth(), Unit.PERCENT),
                plain(told.rate(), Unit.ONE),
                celsius(told.temperature())));
    return l;
  }

  private static CellLibrary table(Path file, String name) throws UnreadableProject {
    try {
      TableFile table = TableFile.open(file);
      List<CellType> cells = new ArrayList<>();
      List<String> trouble = new ArrayList<>();
      table.rows(
          (line, fields) -> {
            try {
              cells.add(new Row(table, fields).cell());
            } catch (InvalidValue e) {
              trouble.add("line " + line + ": " + e.getMessage());
            }
          },
          share -> {},
          () -> false);
      if (!trouble.isEmpty()) {
        throw new UnreadableProject(Reason.INVALID, name + ", " + trouble.getFirst());
      }
      return new CellLibrary(cells);
    } catch (UnreadableTable e) {
      throw new UnreadableProject(Reason.INVALID, String.valueOf(e.getMessage()));
    }
  }

  private static String mm(double metres) {
    return plain(metres, Unit.MILLIMETRE);
  }

  private static String celsius(double kelvin) {
    return plain(kelvin, Unit.CELSIUS);
  }

  private static String plain(double core, Unit unit) {
    return JsonMapping.stored(core, unit).toPlainString();
  }

  /** One line of a table of cells. */
  private static final class Row {
    private final TableFile table;
    private final Map<String, String> values = new HashMap<>();

    Row(TableFile table, List<String> fields) {
      this.table = table;
      for (int k = 0; k < Math.min(fields.size(), table.columns().size()); k++) {
        values.put(table.columns().get(k), CellText.read(fields.get(k).strip()));
      }
    }

    private String text(String column) {
      String value = values.getOrDefault(column, "");
      if (value.isEmpty()) {
        throw new InvalidValue(
            column, "missing", "every cell needs it", "Fill in the column “" + column + "”.");
      }
      return value;
    }

    private double number(String column, Unit unit) {
      return unit.toCore(table.number(text(column)));
    }

    CellType cell() {
      return new CellType(
          text("id"),
          text("name"),
          format(),
          chemistry(),
          number("capacity_Ah", Unit.AMPERE_HOUR),
          number("r10_mOhm", Unit.MILLIOHM),
          new CellCurrents(
              number("continuous_A", Unit.AMPERE),
              number("peak_A", Unit.AMPERE),
              number("standardCharge_A", Unit.AMPERE),
              number("fastCharge_A", Unit.AMPERE)),
          number("nominalVoltage_V", Unit.VOLT),
          number("fullVoltage_V", Unit.VOLT),
          number("cutOffVoltage_V", Unit.VOLT),
          new CellTemperatures(
              number("chargeLowest_C", Unit.CELSIUS),
              number("chargeHighest_C", Unit.CELSIUS),
              number("dischargeLowest_C", Unit.CELSIUS),
              number("dischargeHighest_C", Unit.CELSIUS)),
          number("mass_g", Unit.GRAM),
          number("price", Unit.MONEY),
          number("specificHeat_J_per_kgK", Unit.JOULE_PER_KILOGRAM_KELVIN),
          text("source"),
          null,
          null,
          cycleLife());
    }

    /** The cycle life, if the line has one: what the usual test leaves open may be left out. */
    private @Nullable CycleLife cycleLife() {
      if (values.getOrDefault("cycles", "").isEmpty()) {
        return null;
      }
      CycleLife usual = CycleLife.USUAL;
      return new CycleLife(
          number("cycles", Unit.ONE),
          number("cyclesTo_percent", Unit.PERCENT, usual.left()),
          number("cyclesDepth_percent", Unit.PERCENT, usual.depth()),
          number("cyclesRate_C", Unit.ONE, usual.rate()),
          number("cyclesAt_C", Unit.CELSIUS, usual.temperature()));
    }

    private double number(String column, Unit unit, double missing) {
      return values.getOrDefault(column, "").isEmpty() ? missing : number(column, unit);
    }

    private CellFormat format() {
      double width = number("width_mm", Unit.MILLIMETRE);
      double height = number("height_mm", Unit.MILLIMETRE);
      String shape = text("shape").toLowerCase(Locale.ROOT);
      return switch (shape) {
        case "cylinder" -> new CellFormat.Cylinder(width, height);
        case "block", "pouch" ->
            new CellFormat.Block(
                width, number("thickness_mm", Unit.MILLIMETRE), height, shape.equals("pouch"));
        default ->
            throw new InvalidValue(
                "shape", shape, "it must be cylinder, block or pouch", "Correct it.");
      };
    }

    private Chemistry chemistry() {
      String name = text("chemistry");
      for (Chemistry c : Chemistry.values()) {
        if (c.name().equalsIgnoreCase(name) || c.label().equalsIgnoreCase(name)) {
          return c;
        }
      }
      throw new InvalidValue(
          "chemistry",
          name,
          "it must be a known chemistry",
          "Use NMC, NCA, LCO, LMO, LFP, LTO or NA_ION.");
    }
  }
}
