package hammerman.app.control;

import java.util.function.Function;
import javafx.util.StringConverter;
import org.jspecify.annotations.Nullable;

/**
 * Shows the values of a choice in words; they are chosen, never typed.
 *
 * @param <T> what is chosen
 */
public final class InWords<T> extends StringConverter<T> {
  private final Function<T, String> words;

  public InWords(Function<T, String> words) {
    this.words = words;
  }

  @Override
  public String toString(@Nullable T value) {
    return value == null ? "" : words.apply(value);
  }

  @Override
  public T fromString(String text) {
    throw new IllegalStateException("a choice is not typed: " + text);
  }
}
