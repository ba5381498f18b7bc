package hammerman.store;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.time.Instant;
import java.util.List;

/**
 * The files that SQLite keeps beside a database while it is written: a log of what is not in it
 * yet, its index, and a journal to take a broken transaction back. They belong to the very bytes of
 * that database; beside another one they would destroy it.
 */
final class Companions {
  private static final String LOG = "-wal";
  private static final String INDEX = "-shm";
  private static final String JOURNAL = "-journal";

  private Companions() {}

  private static Path beside(Path file, String ending) {
    return file.resolveSibling(file.getFileName() + ending);
  }

  static Path log(Path file) {
    return beside(file, LOG);
  }

  /** Whether there is something beside a file that is to be put into it, or taken back. */
  static boolean isPending(Path file) {
    return isFilled(log(file)) || isFilled(beside(file, JOURNAL));
  }

  private static boolean isFilled(Path file) {
    try {
      return Files.size(file) > 0;
    } catch (IOException e) {
      return false;
    }
  }

  /** Removes them, so that they join no other file of that name. */
  static void remove(Path file) throws IOException {
    for (String ending : List.of(LOG, INDEX, JOURNAL)) {
      Files.deleteIfExists(beside(file, ending));
    }
  }

  /**
   * Renames them, so that they join no other file of that name; they may be all that is left of an
   * earlier one.
   *
   * @return whether there was something in them
   */
  static boolean setAside(Path file, Instant now) throws IOException {
    boolean any = false;
    for (String ending : List.of(LOG, JOURNAL)) {
      Path from = beside(file, ending);
      if (isFilled(from)) {
        Files.move(from, beside(file, ending + "." + now.toEpochMilli() + ".aside"));
        any = true;
      }
    }
    remove(file);
    return any;
  }

  /** Copies a file with what is pending beside it. */
  static void copy(Path from, Path to) throws IOException {
    Files.copy(from, to);
    for (String ending : List.of(LOG, JOURNAL)) {
      if (isFilled(beside(from, ending))) {
        Files.copy(beside(from, ending), beside(to, ending));
      }
    }
  }

  /** Moves a file with what is beside it; what lay beside the target before goes. */
  static void move(Path from, Path to) throws IOException {
    remove(to);
    for (String ending : List.of(LOG, JOURNAL)) {
      if (Files.exists(beside(from, ending))) {
        Files.move(beside(from, ending), beside(to, ending));
      }
    }
    Files.move(from, to, StandardCopyOption.REPLACE_EXISTING);
    Files.deleteIfExists(beside(from, INDEX));
  }
}
