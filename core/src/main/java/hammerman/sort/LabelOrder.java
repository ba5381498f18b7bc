package hammerman.sort;

import java.util.Comparator;

/**
 * Labels in the order in which people count: A2 before A10. Runs of digits are compared as whole
 * numbers of any length, all else sign by sign; equal numbers by their leading zeros, fewer first.
 */
public enum LabelOrder implements Comparator<String> {
  COUNTED;

  @Override
  public int compare(String a, String b) {
    int zeros = 0;
    int i = 0;
    int k = 0;
    while (i < a.length() && k < b.length()) {
      if (!isDigit(a.charAt(i)) || !isDigit(b.charAt(k))) {
        int sign = Character.compare(a.charAt(i++), b.charAt(k++));
        if (sign != 0) {
          return sign;
        }
        continue;
      }
      int fromA = past(a, i, true);
      int fromB = past(b, k, true);
      int toA = past(a, fromA, false);
      int toB = past(b, fromB, false);
      int number = Integer.compare(toA - fromA, toB - fromB);
      for (int d = 0; number == 0 && d < toA - fromA; d++) {
        number = Character.compare(a.charAt(fromA + d), b.charAt(fromB + d));
      }
      if (number != 0) {
        return number;
      }
      zeros = zeros == 0 ? Integer.compare(fromA - i, fromB - k) : zeros;
      i = toA;
      k = toB;
    }
    int rest = Integer.compare(a.length() - i, b.length() - k);
    return rest == 0 ? zeros : rest;
  }

  private static boolean isDigit(char c) {
    return c >= '0' && c <= '9';
  }

  /** The first place from one on that is no more zero, or no more digit. */
  private static int past(String s, int from, boolean zero) {
    int at = from;
    while (at < s.length() && (zero ? s.charAt(at) == '0' : isDigit(s.charAt(at)))) {
      at++;
    }
    return at;
  }
}
