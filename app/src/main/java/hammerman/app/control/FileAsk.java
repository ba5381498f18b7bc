package hammerman.app.control;

import java.nio.file.Path;
import java.util.List;
import java.util.Optional;

/** Asks the user for a file. */
public interface FileAsk {
  /**
   * A kind of file.
   *
   * @param name in words
   * @param patterns such as “*.csv”
   */
  record Kind(String name, List<String> patterns) {
    /** Text tables. */
    public static final Kind TABLE =
        new Kind("Tables", List.of("*.csv", "*.tsv", "*.txt", "*.log"));

    public Kind {
      patterns = List.copyOf(patterns);
    }
  }

  /** Asks which file to open; empty if none was chosen. */
  Optional<Path> open(String title, Kind kind);

  /** Asks where to save; empty if nowhere was chosen. */
  Optional<Path> save(String title, Kind kind, String suggestedName);

  /**
   * Asks whether a file may be replaced.
   *
   * @param holds what is in it, in words
   */
  boolean mayReplace(Path file, String holds);
}
