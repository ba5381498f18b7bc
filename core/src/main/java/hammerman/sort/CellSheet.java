package hammerman.sort;

import hammerman.record.InventoryCell;
import hammerman.table.CellText;
import hammerman.table.TableFile;
import hammerman.table.UnreadableTable;
import hammerman.unit.InvalidValue;
import hammerman.unit.Unit;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/**
 * Measured cells out of a table: which column holds what is guessed from its name, its unit from
 * the name, from the fields, or from how large the figures are, and may be said otherwise.
 */
public final class CellSheet {
  private CellSheet() {}

  /** What a column may hold. */
  public enum Column {
    LABEL(Unit.ONE, "label|cell|cell ?(id|no|nr|number|name)|id|no|nr|number|name|code|#|serial.*"),
    CAPACITY(
        Unit.AMPERE_HOUR,
        "(?!rated|nominal).*(capacity|capa)\\b.*|cap|m?ah|q|discharged?|(discharge|measured)"
            + " ?(cap|m?ah)"),
    RESISTANCE(
        Unit.OHM,
        ".*(resistance|impedance)\\b.*|(ac|dc|internal)? ?(ir|esr|r|ri|acir|dcir)|m?(ohm|ω)s?|r10"),
    VOLTAGE(
        Unit.VOLT,
        "(rest(ed|ing)? ?|open.circuit |start )?(voltage|volts?|v|ocv|u)( ?(at )?rest(ed)?)?|m?v"),
    SELF_DISCHARGE(Unit.VOLT, ".*self.?discharge.*|(voltage )?(loss|drop)( .*)?|sag per day"),
    TYPE(Unit.ONE, "(cell )?(type|model|class|chemistry)"),
    LOT(Unit.ONE, "lot|batch"),
    SOURCE(Unit.ONE, "source|origin|from|seller|shop"),
    BOUGHT(Unit.ONE, "(date )?(bought|purchased)( on)?|date of purchase"),
    PRICE(Unit.ONE, "(unit )?(price|cost)|paid"),
    NOTES(Unit.ONE, "notes?|remarks?|comments?"),
    PHOTO(Unit.ONE, "(photo|picture|image)( ?file)?( ?name)?");

    private final Unit unit;
    private final Pattern names;

    Column(Unit unit, String names) {
      this.unit = unit;
      this.names = Pattern.compile(names);
    }

    /** Whether it says something of the cell that is not measured. */
    public boolean describes() {
      return compareTo(TYPE) >= 0;
    }

    /** Returns it in words. */
    public String words() {
      return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }
  }

  /**
   * A column with its unit.
   *
   * @param index from 0
   * @param unit of its figures; for self-discharge that of the voltage lost in a day
   */
  public record Source(int index, Unit unit) {}

  /**
   * A row of a table.
   *
   * @param measured what was measured of its cell
   * @param described what else is known of it
   */
  public record Row(MeasuredCell measured, InventoryCell described) {

    /** A cell of which nothing is known but what was measured. */
    public static Row of(MeasuredCell measured) {
      return new Row(measured, InventoryCell.labelled(measured.label()));
    }
  }

  /**
   * Cells as they stand in a table.
   *
   * @param rows in their order
   * @param columns which were used
   * @param names of the columns, as they stand in the table
   */
  public record Read(List<Row> rows, Map<Column, Source> columns, List<String> names) {
    public Read {
      rows = List.copyOf(rows);
      columns = Map.copyOf(columns);
      names = List.copyOf(names);
    }

    /** Returns what was measured, in the order of the rows. */
    public List<MeasuredCell> cells() {
      return rows.stream().map(Row::measured).toList();
    }

    /** Returns the labels that stand in more than one row. */
    public List<String> repeated() {
      Set<String> seen = new HashSet<>();
      return rows.stream()
          .map(r -> r.measured().label())
          .filter(label -> !seen.add(label))
          .distinct()
          .toList();
    }
  }

  /**
   * Reads the cells of a table.
   *
   * @throws UnreadableTable if it is no table, or none of its columns holds a capacity
   */
  public static Read read(Path file) throws UnreadableTable {
    TableFile table = TableFile.open(file);
    return read(table, guess(table));
  }

  /**
   * Reads the cells of a table by columns that are known.
   *
   * @throws UnreadableTable if it cannot be read to its end, or has no column of capacities
   */
  public static Read read(TableFile table, Map<Column, Source> columns) throws UnreadableTable {
    if (!columns.containsKey(Column.CAPACITY)) {
      throw new UnreadableTable(
          "%s has no column with capacities among %s. Name one “capacity, mAh”."
              .formatted(table.file().getFileName(), String.join(", ", table.columns())));
    }
    return readAny(table, columns);
  }

  /**
   * Reads what a table holds of cells, also without their capacities.
   *
   * @throws UnreadableTable if it cannot be read to its end, or none of the columns holds a figure
   */
  public static Read readAny(TableFile table, Map<Column, Source> columns) throws UnreadableTable {
    if (columns.keySet().stream().allMatch(c -> c == Column.LABEL)) {
      throw new UnreadableTable(
          "%s has no figures of cells among %s. Say which column holds what."
              .formatted(table.file().getFileName(), String.join(", ", table.columns())));
    }
    List<Row> rows = new ArrayList<>();
    List<String> wrong = new ArrayList<>();
    table.rows(
        (line, fields) -> {
          String label = text(columns.get(Column.LABEL), fields);
          double capacity = value(table, columns, Column.CAPACITY, fields);
          double resistance = value(table, columns, Column.RESISTANCE, fields);
          double voltage = value(table, columns, Column.VOLTAGE, fields);
          double loss = value(table, columns, Column.SELF_DISCHARGE, fields) / 86400;
          if (fields.stream().allMatch(String::isBlank)) {
            return;
          }
          MeasuredCell measured =
              new MeasuredCell(
                  label.isEmpty() ? "row " + line : label, capacity, resistance, voltage, loss);
          try {
            rows.add(new Row(measured, described(measured.label(), table, columns, fields)));
          } catch (InvalidValue e) {
            wrong.add(
                "%s, line %d: %s".formatted(table.file().getFileName(), line, e.getMessage()));
          }
        },
        share -> {},
        () -> false);
    if (!wrong.isEmpty()) {
      throw new UnreadableTable(wrong.getFirst());
    }
    return new Read(rows, columns, table.columns());
  }

  private static InventoryCell described(
      String label, TableFile table, Map<Column, Source> columns, List<String> fields) {
    double price = table.number(field(columns.get(Column.PRICE), fields));
    return new InventoryCell(
            label,
            text(columns.get(Column.TYPE), fields),
            text(columns.get(Column.LOT), fields),
            text(columns.get(Column.SOURCE), fields),
            null,
            Double.isNaN(price) ? null : price,
            CellText.read(field(columns.get(Column.NOTES), fields)),
            text(columns.get(Column.PHOTO), fields))
        .boughtOn(field(columns.get(Column.BOUGHT), fields));
  }

  private static String field(@Nullable Source source, List<String> of) {
    return source == null || source.index() >= of.size() ? "" : of.get(source.index());
  }

  private static String text(@Nullable Source source, List<String> of) {
    return CellText.read(field(source, of).strip());
  }

  /** A figure in the core's unit; a unit written in the field itself counts before the column's. */
  private static double value(
      TableFile table, Map<Column, Source> columns, Column column, List<String> fields) {
    Source source = columns.get(column);
    if (source == null) {
      return Double.NaN;
    }
    String text = field(source, fields);
    return inField(column, text).orElse(source.unit()).toCore(table.number(text));
  }

  /** Guesses which column holds what. */
  public static Map<Column, Source> guess(TableFile table) {
    Map<Column, Source> found = new EnumMap<>(Column.class);
    boolean[] taken = new boolean[table.columns().size()];
    for (Column c : Column.values()) {
      for (int k = 0; k < taken.length && !found.containsKey(c); k++) {
        String name = plain(table.columns().get(k));
        if (!taken[k] && table.headed() && c.names.matcher(name).matches()) {
          taken[k] = true;
          found.put(c, source(table, c, k));
        }
      }
    }
    if (!table.headed()) {
      byFigures(table, found);
    } else if (!found.containsKey(Column.LABEL) && taken.length > 0 && !taken[0]) {
      found.put(Column.LABEL, new Source(0, Unit.ONE));
    }
    return found;
  }

  /**
   * Without names: labels first; capacities are the greatest; beside milliampere hours, voltages
   * lie between 1 and 4.5.
   */
  private static void byFigures(TableFile table, Map<Column, Source> found) {
    int columns = table.columns().size();
    found.put(Column.LABEL, new Source(0, Unit.ONE));
    int greatest = -1;
    for (int k = 1; k < columns; k++) {
      double m = median(table, k);
      greatest = m > (greatest < 0 ? 0 : median(table, greatest)) ? k : greatest;
    }
    boolean milliamperes = greatest > 0 && median(table, greatest) >= 100;
    for (int k = 1; k < columns && milliamperes; k++) {
      double m = median(table, k);
      if (m > 1 && m < 4.5) {
        found.putIfAbsent(Column.VOLTAGE, new Source(k, Unit.VOLT));
      }
    }
    if (greatest > 0) {
      found.put(Column.CAPACITY, source(table, Column.CAPACITY, greatest));
    }
    for (int k = 1; k < columns; k++) {
      int at = k;
      if (k != greatest
          && found.values().stream().noneMatch(s -> s.index() == at)
          && !Double.isNaN(median(table, k))) {
        found.putIfAbsent(Column.RESISTANCE, source(table, Column.RESISTANCE, k));
      }
    }
  }

  /** The name without its unit, brackets and marks, in small letters. */
  private static String plain(String name) {
    return name.toLowerCase(Locale.ROOT)
        .replaceAll("[(\\[{].*?[)\\]}]", " ")
        .replaceAll("[,/]\\s*(m?ah|m?ohms?|mω|ω|m?v(\\s*(/|per)\\s*d(ay)?)?)\\s*$", " ")
        .replace('_', ' ')
        .replaceAll("(?<=[a-z]) (m?ah|m?ohms?|mω|ω|m?v)$", "")
        .replaceAll("[.:;]+$", "")
        .strip()
        .replaceAll("\\s+", " ");
  }

  private static Source source(TableFile table, Column column, int index) {
    Unit unit =
        inName(column, table.columns().get(index))
            .or(
                () ->
                    table.sample().stream()
                        .filter(r -> index < r.size())
                        .map(r -> inField(column, r.get(index)))
                        .flatMap(Optional::stream)
                        .findFirst())
            .orElseGet(() -> byMagnitude(column, median(table, index)));
    return new Source(index, unit);
  }

  private static final Pattern IN_NAME =
      Pattern.compile("(?i)(?:^|[^a-zA-Zµ])(mAh|Ah|mOhms?|Ohms?|m[ΩΩω]|[ΩΩω]|mV|V)(?:$|[^a-zA-Z])");

  private static final Pattern IN_FIELD =
      Pattern.compile("(?i)\\d\\s*(mAh|Ah|mOhms?|Ohms?|m[ΩΩω]|[ΩΩω]|mV|V)\\b?.*$");

  private static Optional<Unit> inName(Column column, String name) {
    return unit(column, IN_NAME, name.replace('_', ' '));
  }

  private static Optional<Unit> inField(Column column, String text) {
    return unit(column, IN_FIELD, text);
  }

  private static Optional<Unit> unit(Column column, Pattern pattern, String text) {
    Matcher m = pattern.matcher(text);
    if (!m.find()) {
      return Optional.empty();
    }
    String symbol = m.group(1).toLowerCase(Locale.ROOT);
    boolean milli = symbol.startsWith("m");
    String base = milli ? symbol.substring(1) : symbol;
    Optional<Unit> unit =
        switch (base) {
          case "ah" -> Optional.of(milli ? Unit.MILLIAMPERE_HOUR : Unit.AMPERE_HOUR);
          case "v" -> Optional.of(milli ? Unit.MILLIVOLT : Unit.VOLT);
          default -> Optional.of(milli ? Unit.MILLIOHM : Unit.OHM);
        };
    return unit.filter(u -> u.dimension() == column.unit.dimension());
  }

  /** No cell of a hobbyist holds 400 Ah or has 0.5 Ω; a loss of a volt a day is none of a cell. */
  private static Unit byMagnitude(Column column, double median) {
    return switch (column) {
      case LABEL, TYPE, LOT, SOURCE, BOUGHT, PRICE, NOTES, PHOTO -> Unit.ONE;
      case CAPACITY -> median >= 400 ? Unit.MILLIAMPERE_HOUR : Unit.AMPERE_HOUR;
      case RESISTANCE -> median >= 0.5 ? Unit.MILLIOHM : Unit.OHM;
      case VOLTAGE -> median >= 100 ? Unit.MILLIVOLT : Unit.VOLT;
      case SELF_DISCHARGE -> median >= 0.2 ? Unit.MILLIVOLT : Unit.VOLT;
    };
  }

  private static double median(TableFile table, int column) {
    double[] values =
        table.sample().stream()
            .filter(r -> column < r.size())
            .mapToDouble(r -> table.number(r.get(column)))
            .filter(v -> !Double.isNaN(v))
            .sorted()
            .toArray();
    return values.length == 0 ? Double.NaN : values[values.length / 2];
  }
}
