package hammerman.telemetry;

import hammerman.table.TableFile;
import hammerman.unit.Unit;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.Collections;
import java.util.EnumMap;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Which column of a table holds which quantity.
 *
 * @param sources the columns that are used
 * @param dischargeNegative whether the table writes discharge as a negative current or power
 */
@RecordBuilder
public record Mapping(Map<Quantity, Source> sources, boolean dischargeNegative)
    implements MappingBuilder.With {
  private static final Pattern WITH_UNIT =
      Pattern.compile("(.*?)[\\s_]*[(\\[/]?\\s*([^\\s(\\[\\])_]*)\\s*[)\\]]?");

  /** A column by its name, and the unit it is written in. */
  public record Source(String column, Unit unit) {}

  public Mapping {
    sources = sources.isEmpty() ? Map.of() : Collections.unmodifiableMap(new EnumMap<>(sources));
  }

  /** Returns the column of a quantity, if it has one. */
  public Optional<Source> source(Quantity quantity) {
    return Optional.ofNullable(sources.get(quantity));
  }

  /** Returns this mapping with a quantity read from a column, or from none. */
  public Mapping with(Quantity quantity, Optional<Source> source) {
    Map<Quantity, Source> changed = new EnumMap<>(Quantity.class);
    changed.putAll(sources);
    source.ifPresentOrElse(s -> changed.put(quantity, s), () -> changed.remove(quantity));
    return new Mapping(changed, dischargeNegative);
  }

  /**
   * Guesses the mapping from the names of the columns, the units in them, and the sign that most of
   * the first currents have.
   */
  public static Mapping guess(TableFile table) {
    Map<Quantity, Source> found = new EnumMap<>(Quantity.class);
    for (String column : table.columns()) {
      guess(column).ifPresent(e -> found.putIfAbsent(e.getKey(), e.getValue()));
    }
    if (!found.containsKey(Quantity.TIME) && !table.headed()) {
      found.put(Quantity.TIME, new Source(table.columns().getFirst(), Unit.SECOND));
    }
    Source flow = found.getOrDefault(Quantity.CURRENT, found.get(Quantity.POWER));
    return new Mapping(found, flow != null && mostlyNegative(table, flow));
  }

  private static boolean mostlyNegative(TableFile table, Source flow) {
    int at = table.indexOf(flow.column());
    double sum =
        table.sample().stream()
            .filter(r -> at < r.size())
            .mapToDouble(r -> table.number(r.get(at)))
            .filter(Double::isFinite)
            .sum();
    return sum < 0;
  }

  private static Optional<Map.Entry<Quantity, Source>> guess(String column) {
    String name = column.strip();
    Matcher parts = WITH_UNIT.matcher(name);
    for (Quantity q : Quantity.values()) {
      if (parts.matches() && !parts.group(1).isBlank()) {
        for (Unit unit : q.units()) {
          if (written(unit, parts.group(2)) && q.isNamed(parts.group(1).strip())) {
            return Optional.of(Map.entry(q, new Source(column, unit)));
          }
        }
      }
    }
    for (Quantity q : Quantity.values()) {
      if (q.isNamed(name)) {
        return Optional.of(Map.entry(q, new Source(column, q.units().getFirst())));
      }
      for (Unit unit : q.units()) {
        if (written(unit, name)) {
          return Optional.of(Map.entry(q, new Source(column, unit)));
        }
      }
    }
    return Optional.empty();
  }

  private static boolean written(Unit unit, String text) {
    String t = text.toLowerCase(Locale.ROOT);
    return !t.isEmpty()
        && (t.equals(unit.symbol().toLowerCase(Locale.ROOT))
            || t.equals(unit.key().toLowerCase(Locale.ROOT))
            || (unit == Unit.KILOMETRE_PER_HOUR && (t.equals("kph") || t.equals("kmh")))
            || (unit == Unit.SECOND && t.equals("sec"))
            || (unit == Unit.CELSIUS && t.equals("degc")));
  }

  /** Writes the mapping as one line, to be remembered. */
  public String text() {
    StringBuilder out = new StringBuilder(dischargeNegative ? "-" : "+");
    sources.forEach(
        (q, s) ->
            out.append('\n')
                .append(q)
                .append('\t')
                .append(s.unit())
                .append('\t')
                .append(s.column()));
    return out.toString();
  }

  /** Reads a mapping that was remembered; empty if it does not fit the table. */
  public static Optional<Mapping> of(String text, TableFile table) {
    Map<Quantity, Source> sources = new EnumMap<>(Quantity.class);
    String[] lines = text.split("\n", -1);
    try {
      for (int k = 1; k < lines.length; k++) {
        String[] parts = lines[k].split("\t", 3);
        if (parts.length < 3 || table.indexOf(parts[2]) < 0) {
          return Optional.empty();
        }
        sources.put(Quantity.valueOf(parts[0]), new Source(parts[2], Unit.valueOf(parts[1])));
      }
    } catch (IllegalArgumentException e) {
      return Optional.empty();
    }
    return sources.isEmpty()
        ? Optional.empty()
        : Optional.of(new Mapping(sources, lines[0].equals("-")));
  }
}
