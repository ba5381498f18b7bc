package hammerman.app.control;

import java.util.Comparator;
import java.util.function.Function;

/**
 * A column of a {@link RecordTable}.
 *
 * @param <T> what a row shows
 * @param head its name, with the unit
 * @param width px that its words need; it is never less
 * @param text of a row in it
 * @param order of the rows when its head is pressed
 * @param figure whether it holds figures, which stand at the right
 * @param style how a row's text in it is written
 * @param wrapped whether long words go on in further lines
 * @param typed takes what is typed into a row's cell
 */
public record Column<T>(
    String head,
    double width,
    Function<T, String> text,
    Comparator<T> order,
    boolean figure,
    Function<T, String> style,
    boolean wrapped,
    Typed<T> typed) {
  /** A column of words. */
  public static <T> Column<T> words(String head, double width, Function<T, String> text) {
    return new Column<>(
        head, width, text, Comparator.comparing(text), false, row -> "", false, Typed.none());
  }

  /** A column of figures. */
  public static <T> Column<T> figures(
      String head, double width, Function<T, String> text, Comparator<T> order) {
    return new Column<>(head, width, text, order, true, row -> "", false, Typed.none());
  }

  /** Returns the column with its rows in an order other than that of their texts. */
  public Column<T> ordered(Comparator<T> by) {
    return new Column<>(head, width, text, by, figure, style, wrapped, typed);
  }

  /** Returns the column with its texts written as their rows ask. */
  public Column<T> styled(Function<T, String> as) {
    return new Column<>(head, width, text, order, figure, as, wrapped, typed);
  }

  /** Returns the column with long words in as many lines as they take. */
  public Column<T> inLines() {
    return new Column<>(head, width, text, order, figure, style, true, typed);
  }

  /** Returns the column with cells that can be typed in: a double click, or F2. */
  public Column<T> typed(Typed<T> taker) {
    return new Column<>(head, width, text, order, figure, style, wrapped, taker);
  }

  /**
   * Takes what was typed into a cell.
   *
   * @param <T> what a row shows
   */
  public interface Typed<T> {
    /** Uses the text; returns why it cannot, or an empty text. */
    String take(T row, String text);

    /** Whether anything can be typed at all. */
    default boolean isOpen() {
      return true;
    }

    /** For columns that are only read. */
    static <T> Typed<T> none() {
      return new Typed<>() {
        @Override
        public String take(T row, String text) {
          return "This column is only read.";
        }

        @Override
        public boolean isOpen() {
          return false;
        }
      };
    }
  }
}
