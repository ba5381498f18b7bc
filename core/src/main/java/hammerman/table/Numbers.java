package hammerman.table;

/** Reads numbers out of table fields. */
public final class Numbers {
  private Numbers() {}

  /**
   * Returns the number in a field, NaN if it is empty or none. A unit written after the number is
   * passed over, as are spaces inside it.
   *
   * @param decimalComma whether a comma is the decimal sign, else it is the point; the other sign
   *     may only group digits by three
   */
  public static double parse(String field, boolean decimalComma) {
    int from = 0;
    int to = field.length();
    while (from < to && field.charAt(from) <= ' ') {
      from++;
    }
    while (to > from && !isDigitOrDot(field.charAt(to - 1))) {
      to--;
    }
    if (from == to) {
      return Double.NaN;
    }
    char[] kept = new char[to - from];
    int n = 0;
    for (int k = from; k < to; k++) {
      char c = field.charAt(k);
      if (c == (decimalComma ? '.' : ',') && groups(field, k)) {
        continue;
      }
      if (c == ',' && decimalComma) {
        kept[n++] = '.';
      } else if (c == '.' && decimalComma) {
        return Double.NaN;
      } else if (c == '−') {
        kept[n++] = '-';
      } else if (isPartOfNumber(c)) {
        kept[n++] = c;
      } else if (c != ' ' && c != '\u00a0' && c != '\u202f') {
        return Double.NaN;
      }
    }
    return value(kept, n);
  }

  /** Plain decimals are added up digit by digit; the rest goes the library's slower way. */
  private static double value(char[] text, int n) {
    long digits = 0;
    int decimals = 0;
    boolean point = false;
    int start = n > 0 && (text[0] == '-' || text[0] == '+') ? 1 : 0;
    boolean plain = n > start && n - start <= 17;
    for (int k = start; k < n && plain; k++) {
      char c = text[k];
      if (c == '.' && !point) {
        point = true;
      } else if (c >= '0' && c <= '9') {
        digits = digits * 10 + (c - '0');
        decimals += point ? 1 : 0;
      } else {
        plain = false;
      }
    }
    if (plain && digits < 1L << 53) {
      double size = digits / POWERS[decimals];
      return text[0] == '-' ? -size : size;
    }
    try {
      return Double.parseDouble(new String(text, 0, n));
    } catch (NumberFormatException e) {
      return Double.NaN;
    }
  }

  private static final double[] POWERS = powers();

  private static double[] powers() {
    double[] p = new double[18];
    p[0] = 1;
    for (int k = 1; k < p.length; k++) {
      p[k] = p[k - 1] * 10;
    }
    return p;
  }

  /** Whether a sign stands between digits and exactly three more. */
  private static boolean groups(String field, int at) {
    int k = at + 1;
    while (k < field.length() && Character.isDigit(field.charAt(k))) {
      k++;
    }
    return k - at == 4 && at > 0 && Character.isDigit(field.charAt(at - 1));
  }

  private static boolean isDigitOrDot(char c) {
    return (c >= '0' && c <= '9') || c == '.';
  }

  private static boolean isPartOfNumber(char c) {
    return isDigitOrDot(c) || c == '-' || c == '+' || c == 'e' || c == 'E';
  }
}
