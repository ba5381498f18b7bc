package hammerman.app.control;

import java.util.ArrayDeque;
import java.util.Comparator;
import java.util.Deque;
import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import javafx.application.Platform;
import org.jspecify.annotations.Nullable;

/**
 * The rows of a table, ready to be found by words and to be put in order. What both need is got
 * ready a little at a time between events, so that the first word typed and the first head pressed
 * are followed at once, however many rows there are.
 *
 * @param <T> what a row shows
 */
final class ReadyRows<T> {
  /** So many rows are read between two events: a few ms. */
  private static final int READIED = 200;

  private final List<Column<T>> columns;
  private final Runnable ready;
  private List<T> rows = List.of();

  /** What is looked through in each row: to write it anew at every key would be slow. */
  private final IdentityHashMap<T, String> texts = new IdentityHashMap<>();

  /** All rows in the order of a column, rising. */
  private final Map<Integer, List<T>> sorted = new HashMap<>();

  private Function<T, String> hidden = row -> "";
  private final Deque<Runnable> steps = new ArrayDeque<>();
  private boolean stepping;

  /**
   * @param ready is run when a long list of rows has been got ready
   */
  ReadyRows(List<Column<T>> columns, Runnable ready) {
    this.columns = columns;
    this.ready = ready;
  }

  /**
   * A head that was pressed.
   *
   * @param column its place
   * @param falling whether the greatest comes first
   */
  record Head(int column, boolean falling) {}

  /** Looks in words too that stand in no column. */
  void alsoIn(Function<T, String> words) {
    hidden = words;
    texts.clear();
  }

  /** Reads the rows anew, since what they say has changed. */
  void forget() {
    texts.clear();
    sorted.clear();
  }

  List<T> all() {
    return rows;
  }

  /** Takes other rows. */
  void take(List<T> all) {
    forget();
    rows = List.copyOf(all);
    steps.clear();
    if (rows.size() <= READIED) {
      return;
    }
    for (int from = 0; from < rows.size(); from += READIED) {
      List<T> few = rows.subList(from, Math.min(rows.size(), from + READIED));
      // Looked through as well: code that has never run is several times as slow.
      steps.add(() -> few.stream().filter(having("as typed")).forEach(found -> {}));
    }
    for (int k = 0; k < columns.size(); k++) {
      int column = k;
      steps.add(() -> rising(column));
    }
    steps.add(ready);
    if (!stepping) {
      stepping = true;
      Platform.runLater(this::step);
    }
  }

  private void step() {
    @Nullable Runnable next = steps.poll();
    stepping = next != null;
    if (next != null) {
      next.run();
      Platform.runLater(this::step);
    }
  }

  /**
   * Returns the rows that have every word of what is typed, whatever their case, in any column; all
   * when nothing is. The first head decides their order, the next one among those that are equal.
   */
  List<T> passing(String typed, List<Head> heads) {
    List<T> order = rows;
    for (int k = heads.size() - 1; k >= 0; k--) {
      Head h = heads.get(k);
      if (k == heads.size() - 1) {
        order = h.falling() ? rising(h.column()).reversed() : rising(h.column());
      } else {
        Comparator<T> rising = columns.get(h.column()).order();
        order = order.stream().sorted(h.falling() ? rising.reversed() : rising).toList();
      }
    }
    return order.stream().filter(having(typed)).toList();
  }

  private List<T> rising(int column) {
    return sorted.computeIfAbsent(
        column, k -> rows.stream().sorted(columns.get(k).order()).toList());
  }

  private Predicate<T> having(String typed) {
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
