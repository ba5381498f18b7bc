package hammerman.app.control;

import java.util.IdentityHashMap;
import java.util.List;
import java.util.Locale;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import javafx.application.Platform;

/**
 * Finds the rows of a table that have all the words typed, whatever their case, in any column.
 *
 * @param <T> what a row shows
 */
final class RowFilter<T> {
  /** So many rows are made ready between two events: a few ms. */
  private static final int READIED = 200;

  private final List<Column<T>> columns;

  /** What is looked through in each row: to write it anew at every key would be slow. */
  private final IdentityHashMap<T, String> texts = new IdentityHashMap<>();

  private Function<T, String> hidden = row -> "";
  private int readying;

  RowFilter(List<Column<T>> columns) {
    this.columns = columns;
  }

  /** Looks in words too that stand in no column. */
  void alsoIn(Function<T, String> words) {
    hidden = words;
    texts.clear();
  }

  /** Reads the rows anew, since what they say has changed. */
  void forget() {
    texts.clear();
  }

  /**
   * Reads rows ahead, a few at a time, so that the first word typed is found at once. They are
   * looked through as well: code that has never run is several times as slow.
   */
  void ready(List<T> rows) {
    readying++;
    if (rows.size() > READIED) {
      ready(rows, readying, 0);
    }
  }

  private void ready(List<T> rows, int which, int from) {
    if (which != readying || from >= rows.size()) {
      return;
    }
    int to = Math.min(rows.size(), from + READIED);
    rows.subList(from, to).stream().filter(passing("as typed")).forEach(found -> {});
    Platform.runLater(() -> ready(rows, which, to));
  }

  /** Passes the rows that have every word of what is typed; all, when nothing is. */
  Predicate<T> passing(String typed) {
    String low = typed.toLowerCase(Locale.ROOT).strip();
    if (low.isEmpty()) {
      return row -> true;
    }
    String[] words = low.split("\\s+", -1);
    return row -> {
      String text = texts.computeIfAbsent(row, this::text);
      for (String word : words) {
        if (!text.contains(word)) {
          return false;
        }
      }
      return true;
    };
  }

  private String text(T row) {
    return columns.stream()
        .map(c -> c.text().apply(row))
        .collect(Collectors.joining(" ", "", " " + hidden.apply(row)))
        .toLowerCase(Locale.ROOT);
  }
}
