package hammerman.app.control;

/** What a field does with a value that was understood; may refuse it with an InvalidValue. */
@FunctionalInterface
public interface Change<T> {
  void apply(T value);
}
