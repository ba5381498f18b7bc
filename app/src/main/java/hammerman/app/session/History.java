package hammerman.app.session;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.Optional;

/** Earlier and later states, without limit. */
final class History<T> {
  private final Deque<Entry<T>> earlier = new ArrayDeque<>();
  private final Deque<Entry<T>> later = new ArrayDeque<>();

  /** A state and the edit that led away from it. */
  record Entry<T>(String what, T state) {}

  /** Remembers the state before an edit; what was undone is forgotten. */
  void push(String what, T before) {
    earlier.push(new Entry<>(what, before));
    later.clear();
  }

  Optional<Entry<T>> undo(T now) {
    return move(earlier, later, now);
  }

  Optional<Entry<T>> redo(T now) {
    return move(later, earlier, now);
  }

  Optional<String> undoable() {
    return Optional.ofNullable(earlier.peek()).map(Entry::what);
  }

  Optional<String> redoable() {
    return Optional.ofNullable(later.peek()).map(Entry::what);
  }

  void clear() {
    earlier.clear();
    later.clear();
  }

  private static <T> Optional<Entry<T>> move(Deque<Entry<T>> from, Deque<Entry<T>> to, T now) {
    if (from.isEmpty()) {
      return Optional.empty();
    }
    Entry<T> entry = from.pop();
    to.push(new Entry<>(entry.what(), now));
    return Optional.of(entry);
  }
}
