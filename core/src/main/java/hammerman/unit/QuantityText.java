package hammerman.unit;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * Reads quantities as people type them: "450 g", "1,2kg", "12 AWG", "4 mm2", "36 V", "25 min", "2 h
 * 30 min", with a decimal comma or point. A bare number is in the field's own unit.
 */
public final class QuantityText {
  private static final Pattern PART =
      Pattern.compile(
          "([+\\-−]?\\d[\\d"
              + " ]*(?:[.,]\\d+)?|[+\\-−]?[.,]\\d+)\\s*([^\\d\\s.,+\\-−][^\\d]*?(?:2(?!\\d))?)?\\s*(?=$|[\\d+\\-−])");
  private static final Pattern AWG =
      Pattern.compile("(?i)(?:(\\d+)/0|(-?\\d+))\\s*AWG|AWG\\s*(?:(\\d+)/0|(-?\\d+))");

  private QuantityText() {}

  /** What reading gave: a value in the core's unit, or why the text was not understood. */
  public sealed interface Reading {
    /** The text was understood; the value is in the core's unit. */
    record Understood(double core) implements Reading {}

    /** The text was not understood, with a sentence for the user. */
    record NotUnderstood(String why) implements Reading {}
  }

  /** What came of reading several quantities in a row. */
  public sealed interface Row {
    /** All were understood; the values are in the core's unit. */
    record Understood(List<Double> core) implements Row {
      public Understood {
        core = List.copyOf(core);
      }

      /** Returns the values. */
      public double[] values() {
        return core.stream().mapToDouble(Double::doubleValue).toArray();
      }
    }

    /** One was not understood, with a sentence for the user. */
    record NotUnderstood(String why) implements Row {}
  }

  /**
   * Reads quantities in a row, parted by blanks or semicolons.
   *
   * @param text what was typed
   * @param unit of bare numbers
   */
  public static Row readRow(String text, Unit unit) {
    List<Double> read = new ArrayList<>();
    for (String part : text.strip().split("[\\s;]+", -1)) {
      if (!(read(part, unit) instanceof Reading.Understood u)) {
        return new Row.NotUnderstood(
            "“%s” is not %s; part them by blanks.".formatted(part, unit.dimension().noun()));
      }
      read.add(u.core());
    }
    return new Row.Understood(read);
  }

  /**
   * Reads one quantity.
   *
   * @param text what was typed
   * @param unit the field's own unit, used for a bare number; other units of its dimension convert
   */
  public static Reading read(String text, Unit unit) {
    String trimmed = text.strip();
    if (trimmed.isEmpty()) {
      return new Reading.NotUnderstood("Type " + unit.dimension().noun() + example(unit) + ".");
    }
    if (unit.dimension() == Dimension.AREA) {
      Matcher awg = AWG.matcher(trimmed);
      if (awg.matches()) {
        return new Reading.Understood(awgArea(awgNumber(awg)));
      }
    }
    Matcher parts = PART.matcher(trimmed);
    double sum = 0;
    int at = 0;
    while (at < trimmed.length()) {
      if (!parts.find(at) || parts.start() != at) {
        return notUnderstood(trimmed, unit);
      }
      double number = parse(parts.group(1));
      String suffix = parts.group(2) == null ? "" : parts.group(2).strip();
      Unit meant = suffix.isEmpty() ? unit : find(suffix, unit);
      if (meant == null) {
        return wrongUnit(suffix, unit);
      }
      if (at > 0 && unit.dimension() != Dimension.TIME) {
        return notUnderstood(trimmed, unit);
      }
      sum += meant.toCore(number);
      at = parts.end();
    }
    return new Reading.Understood(sum);
  }

  /** Returns the copper area of an AWG size in m²: d = 0.127 mm · 92^((36−n)/39) (ASTM B258). */
  public static double awgArea(int gauge) {
    double diameter = 0.127e-3 * Math.pow(92, (36 - gauge) / 39.0);
    return Math.PI * diameter * diameter / 4;
  }

  private static int awgNumber(Matcher awg) {
    String zeros = awg.group(1) != null ? awg.group(1) : awg.group(3);
    if (zeros != null) {
      return 1 - Integer.parseInt(zeros);
    }
    return Integer.parseInt(awg.group(2) != null ? awg.group(2) : awg.group(4));
  }

  private static double parse(String number) {
    return Double.parseDouble(
        number.replace(" ", "").replace(',', '.').replace('−', '-').replace("+", ""));
  }

  private static @Nullable Unit find(String suffix, Unit unit) {
    if (unit.isWritten(suffix)) {
      return unit;
    }
    for (Unit other : Unit.values()) {
      if (other.dimension() == unit.dimension() && other.isWritten(suffix)) {
        return other;
      }
    }
    return null;
  }

  private static Reading wrongUnit(String suffix, Unit unit) {
    for (Unit other : Unit.values()) {
      if (other.isWritten(suffix)) {
        return new Reading.NotUnderstood(
            "“%s” is %s; this is %s%s."
                .formatted(
                    suffix, other.dimension().noun(), unit.dimension().noun(), example(unit)));
      }
    }
    String known =
        Arrays.stream(Unit.values())
            .filter(u -> u.dimension() == unit.dimension() && !u.symbol().isEmpty())
            .map(Unit::symbol)
            .collect(Collectors.joining(", "));
    return new Reading.NotUnderstood(
        known.isEmpty()
            ? "“" + suffix + "” is not a unit here; type a plain number."
            : "“" + suffix + "” is not a unit here; use " + known + ".");
  }

  private static Reading notUnderstood(String text, Unit unit) {
    return new Reading.NotUnderstood(
        "“%s” is not %s; type a number%s.".formatted(text, unit.dimension().noun(), example(unit)));
  }

  private static String example(Unit unit) {
    return unit.symbol().isEmpty()
        ? ""
        : String.format(Locale.ROOT, " such as “12 %s”", unit.symbol());
  }
}
