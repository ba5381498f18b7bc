package hammerman.unit;

import java.math.BigDecimal;
import java.math.MathContext;
import java.math.RoundingMode;
import java.util.Arrays;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/** Writes figures: three significant digits by default, a real minus, a space before the unit. */
public final class Figures {
  private static final MathContext THREE = new MathContext(3, RoundingMode.HALF_UP);
  private static final Pattern NOTHING = Pattern.compile("-0(\\.0*)?");
  private static final double[] TENS = {1, 10, 100, 1e3, 1e4, 1e5, 1e6};

  private Figures() {}

  /** Writes a value in the core's unit, shown in {@code unit}, with three significant digits. */
  public static String of(double core, Unit unit) {
    return withUnit(number(unit.fromCore(core)), unit);
  }

  /** Writes a value in the core's unit with a fixed number of decimals, shown in {@code unit}. */
  public static String of(double core, Unit unit, int decimals) {
    return withUnit(fixed(unit.fromCore(core), decimals), unit);
  }

  /** Writes a value with as many digits as it has, to nine significant, for limits and fields. */
  public static String exact(double core, Unit unit) {
    return withUnit(plain(unit.fromCore(core)), unit);
  }

  /** Writes the least of what is needed: three significant digits, rounded up. */
  public static String atLeast(double core, Unit unit) {
    return rounded(core, unit, RoundingMode.CEILING);
  }

  /** Writes the most of what is allowed: three significant digits, rounded down. */
  public static String atMost(double core, Unit unit) {
    return rounded(core, unit, RoundingMode.FLOOR);
  }

  /**
   * Returns by how much a figure scatters, to the last digit that the figure itself has, never less
   * than one of it.
   */
  public static String scatter(double value, double scatter, Unit unit) {
    double shown = Math.abs(unit.fromCore(value));
    int decimals = shown > 0 ? Math.max(0, 2 - (int) Math.floor(Math.log10(shown))) : 0;
    double digit = Math.pow(10, -decimals);
    double by = Math.abs(unit.fromCore(scatter) - unit.fromCore(0));
    double up = digit * Math.max(1, Math.ceil(by / digit - 1e-9));
    return withUnit("± " + fixed(up, decimals), unit);
  }

  private static String rounded(double core, Unit unit, RoundingMode mode) {
    double value = unit.fromCore(core);
    if (!Double.isFinite(value) || value == 0) {
      return of(core, unit);
    }
    // What only binary rounding has added does not count as more.
    BigDecimal exact = new BigDecimal(value).round(new MathContext(9, RoundingMode.HALF_EVEN));
    BigDecimal three = exact.round(new MathContext(3, mode));
    return withUnit(minus(three.stripTrailingZeros().toPlainString()), unit);
  }

  /** Writes two values with as many digits as it takes to tell them apart, three at least. */
  public static String[] apart(double a, double b, Unit unit) {
    String first = of(a, unit);
    String second = of(b, unit);
    for (int decimals = 1; decimals < 7 && first.equals(second) && a != b; decimals++) {
      first = of(a, unit, decimals);
      second = of(b, unit, decimals);
    }
    return new String[] {first, second};
  }

  /** Writes a plain number with three significant digits; never in exponent form. */
  public static String number(double value) {
    if (!Double.isFinite(value)) {
      return value > 0 ? "∞" : "–";
    }
    if (Math.abs(value) >= 999.5) {
      BigDecimal whole = new BigDecimal(value).round(new MathContext(4, RoundingMode.HALF_UP));
      return minus(whole.setScale(0, RoundingMode.HALF_UP).toPlainString());
    }
    BigDecimal rounded = new BigDecimal(value).round(THREE);
    if (Math.abs(value) < 5e-7) {
      return "0";
    }
    int decimals =
        Math.max(0, Math.min(6, 2 - (int) Math.floor(Math.log10(rounded.abs().doubleValue()))));
    return minus(rounded.setScale(decimals, RoundingMode.HALF_UP).toPlainString());
  }

  /** Writes a plain number with up to three significant digits and no trailing zeros. */
  public static String compact(double value) {
    return Double.isFinite(value)
        ? plain(new BigDecimal(value).round(THREE).doubleValue())
        : number(value);
  }

  /** Writes a plain number with a fixed number of decimals. */
  public static String fixed(double value, int decimals) {
    if (!Double.isFinite(value)) {
      return number(value);
    }
    double scaled = decimals < TENS.length ? Math.abs(value) * TENS[decimals] : Double.NaN;
    double whole = Math.floor(scaled);
    if (scaled < 1e12 && Math.abs(scaled - whole - 0.5) > 1e-3) {
      return pointed(value < 0, (long) whole + (scaled - whole > 0.5 ? 1 : 0), decimals);
    }
    // So great, or so close to a half, that the product may not tell.
    String text = new BigDecimal(value).setScale(decimals, RoundingMode.HALF_UP).toPlainString();
    return minus(NOTHING.matcher(text).matches() ? text.substring(1) : text);
  }

  /** Puts the point before so many of the digits. */
  private static String pointed(boolean negative, long digits, int decimals) {
    String text = Long.toString(digits);
    if (decimals > 0) {
      text = "0".repeat(Math.max(0, decimals + 1 - text.length())) + text;
      int point = text.length() - decimals;
      text = text.substring(0, point) + "." + text.substring(point);
    }
    return negative && digits != 0 ? minus("-" + text) : text;
  }

  /** Writes a plain number with up to nine significant digits and no trailing zeros. */
  public static String plain(double value) {
    if (value == 0 || !Double.isFinite(value)) {
      return value == 0 ? "0" : number(value);
    }
    BigDecimal rounded = new BigDecimal(value).round(new MathContext(9, RoundingMode.HALF_UP));
    return minus(rounded.stripTrailingZeros().toPlainString());
  }

  /** Writes a way in metres, or from a kilometre on in kilometres: "5 m", "740 m", "1.02 km". */
  public static String distance(double metres) {
    return metres < 1000 ? of(metres, Unit.METRE, 0) : of(metres, Unit.KILOMETRE);
  }

  /** Writes a duration in the largest fitting units: "45 s", "12 min", "3 h 20 min". */
  public static String duration(double seconds) {
    if (!Double.isFinite(seconds)) {
      return "never";
    }
    if (seconds < 90) {
      return plain(new BigDecimal(seconds).round(THREE).doubleValue()) + " s";
    }
    long minutes = Math.round(seconds / 60);
    if (minutes < 90) {
      return minutes + " min";
    }
    return minutes / 60 + " h" + (minutes % 60 == 0 ? "" : " " + minutes % 60 + " min");
  }

  /**
   * Writes a duration that is known to be longer: "over 710 h", rounded down to two digits of its
   * hours.
   */
  public static String over(double seconds) {
    double hours = seconds / 3600;
    return hours < 10
        ? "over " + duration(seconds)
        : "over "
            + plain(
                new BigDecimal(hours).round(new MathContext(2, RoundingMode.FLOOR)).doubleValue())
            + " h";
  }

  /** Returns a power lost as heat, W; less than a tenth of a watt is not told closer. */
  public static String heat(double watts) {
    if (watts < 0.1) {
      return "under 0.1 W";
    }
    return watts < 1 ? of(watts, Unit.WATT, 2) : of(watts, Unit.WATT);
  }

  private static String withUnit(String number, Unit unit) {
    return unit.symbol().isEmpty() ? number : number + " " + unit.symbol();
  }

  /** Returns a sentence in which no line can end between a figure and its unit. */
  public static String unbroken(String sentence) {
    return Unbroken.SPACE.matcher(sentence).replaceAll("\u00a0");
  }

  private static String minus(String text) {
    return text.startsWith("-") ? "−" + text.substring(1) : text;
  }

  /** The spaces between figures and units; made when first asked for. */
  private static final class Unbroken {
    static final Pattern SPACE =
        Pattern.compile(
            Arrays.stream(Unit.values())
                .map(Unit::symbol)
                .filter(symbol -> !symbol.isEmpty())
                .map(Pattern::quote)
                .collect(Collectors.joining("|", "(?<=\\d) (?=(?:", ")(?![\\p{L}\\d]))")));
  }
}
