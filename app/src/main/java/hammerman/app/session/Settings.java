package hammerman.app.session;

import hammerman.store.NotKept;
import hammerman.store.OwnStore;
import java.nio.file.InvalidPathException;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.concurrent.Executor;
import java.util.concurrent.RejectedExecutionException;
import java.util.stream.Stream;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * What the program remembers between starts: window, theme, scale, folder, recent files. A value is
 * there at once and on the disk a moment later.
 */
public final class Settings {
  private static final Logger LOG = LoggerFactory.getLogger(Settings.class);

  private final OwnStore store;
  private final Executor writer;
  private final Clock clock;
  private final Map<String, String> values;
  private final List<Path> recent = new ArrayList<>();

  /**
   * @param store they are kept in
   * @param writer writes off the interface thread
   */
  public Settings(OwnStore store, Executor writer, Clock clock) {
    this.store = store;
    this.writer = writer;
    this.clock = clock;
    values = store.settings();
    store.recent().forEach(p -> path(p).ifPresent(recent::add));
  }

  private static Optional<Path> path(String text) {
    try {
      return Optional.of(Path.of(text));
    } catch (InvalidPathException e) {
      return Optional.empty();
    }
  }

  /** Returns a number kept under a name. */
  public double number(String key, double fallback) {
    try {
      double v = Double.parseDouble(values.getOrDefault(key, ""));
      return Double.isFinite(v) ? v : fallback;
    } catch (NumberFormatException e) {
      return fallback;
    }
  }

  /** Returns a text kept under a name. */
  public String text(String key, String fallback) {
    return values.getOrDefault(key, fallback);
  }

  /** Keeps a value. */
  public void put(String key, Object value) {
    String text = value.toString();
    if (!text.equals(values.put(key, text))) {
      write(() -> store.put(Map.of(key, text)));
    }
  }

  /** Returns the files used lately, newest first. */
  public List<Path> recent() {
    return List.copyOf(recent);
  }

  /** Puts a file first among those used lately. */
  public void addRecent(Path path) {
    Path file = path.toAbsolutePath();
    List<Path> files =
        Stream.concat(Stream.of(file), recent.stream()).distinct().limit(12).toList();
    recent.clear();
    recent.addAll(files);
    write(() -> store.addRecent(file.toString(), clock.instant()));
    put("folder", Objects.requireNonNullElse(file.getParent(), file));
  }

  /** Something that may fail to be kept. */
  @FunctionalInterface
  private interface Write {
    void run() throws NotKept;
  }

  private void write(Write what) {
    Runnable kept =
        () -> {
          try {
            what.run();
          } catch (NotKept e) {
            LOG.warn("a setting is not kept: {}", e.getMessage());
          }
        };
    try {
      writer.execute(kept);
    } catch (RejectedExecutionException e) {
      LOG.warn("a setting is not kept: it came after the end of the work");
    }
  }
}
