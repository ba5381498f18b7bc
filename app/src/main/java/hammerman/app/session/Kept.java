package hammerman.app.session;

import java.nio.file.Path;
import java.time.Instant;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * Where the work is kept, and since when.
 *
 * @param file it lies in; none before the first edit
 * @param named whether the builder gave it its name; else it lies in the program's folder
 * @param readOnly whether it is only looked at
 * @param at when the last change was on the disk
 * @param waiting whether changes are on their way there
 * @param trouble why they cannot be kept, if so
 */
public record Kept(
    @Nullable Path file,
    boolean named,
    boolean readOnly,
    @Nullable Instant at,
    boolean waiting,
    @Nullable String trouble) {
  static final Kept NOWHERE = new Kept(null, false, false, null, false, null);

  /** Returns the file's name, if the builder gave it one. */
  public Optional<String> name() {
    return named && file != null
        ? Optional.of(String.valueOf(file.getFileName()))
        : Optional.empty();
  }

  Kept asWaiting() {
    return new Kept(file, named, readOnly, at, true, trouble);
  }
}
