package hammerman.table;

import java.util.Arrays;
import java.util.regex.Pattern;

/**
 * Texts in the cells of a table that is written for spreadsheets. A text that a spreadsheet would
 * run as a formula is written with an apostrophe before it, and read back without; figures stay as
 * they are.
 */
public final class CellText {
  private static final String BEGINS = "=+-@\t\r\n'";
  private static final Pattern FIGURE = Pattern.compile("[+-]?\\d+(\\.\\d+)?([eE][+-]?\\d+)?");

  private CellText() {}

  /** Returns the cells of a row as they are written. */
  public static String[] written(String... cells) {
    return Arrays.stream(cells).map(CellText::written).toArray(String[]::new);
  }

  /** Returns a cell as it is written. */
  public static String written(String text) {
    return isRun(text) && !FIGURE.matcher(text).matches() ? "'" + text : text;
  }

  /** Returns the text that was written so. */
  public static String read(String cell) {
    return cell.length() > 1 && cell.charAt(0) == '\'' && isRun(cell.substring(1))
        ? cell.substring(1)
        : cell;
  }

  private static boolean isRun(String text) {
    return !text.isEmpty() && BEGINS.indexOf(text.charAt(0)) >= 0;
  }
}
