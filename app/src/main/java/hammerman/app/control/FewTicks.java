package hammerman.app.control;

import java.util.Collection;
import java.util.function.Consumer;
import java.util.function.Function;
import javafx.collections.FXCollections;
import javafx.collections.ObservableList;

/**
 * Ticks of a few rows, in the order in which they were ticked. One that is refused is said.
 *
 * @param <T> what a row shows
 * @param <K> what tells rows apart
 */
public final class FewTicks<T, K> implements Ticks<T> {
  private final Function<T, K> key;
  private final int least;
  private final int most;
  private final Consumer<String> refused;
  private final ObservableList<K> ticked = FXCollections.observableArrayList();
  private final ObservableList<K> seen = FXCollections.unmodifiableObservableList(ticked);

  /**
   * @param least so many stay ticked once they are
   * @param most so many can be ticked at once
   * @param refused takes the words of a refusal
   */
  public FewTicks(Function<T, K> key, int least, int most, Consumer<String> refused) {
    this.key = key;
    this.least = least;
    this.most = most;
    this.refused = refused;
  }

  /** Returns the keys of what is ticked; it follows. */
  public ObservableList<K> ticked() {
    return seen;
  }

  @Override
  public boolean has(T row) {
    return ticked.contains(key.apply(row));
  }

  @Override
  public void turn(T row, boolean on) {
    K k = key.apply(row);
    if (!on) {
      if (ticked.size() > least) {
        ticked.remove(k);
      }
    } else if (!ticked.contains(k)) {
      if (ticked.size() < most) {
        ticked.add(k);
      } else {
        refused.accept("At most %d are compared at once: take a tick away first.".formatted(most));
      }
    }
  }

  /** Takes the ticks of rows away that are not among these. */
  public void keep(Collection<T> rows) {
    ticked.retainAll(rows.stream().map(key).toList());
  }
}
