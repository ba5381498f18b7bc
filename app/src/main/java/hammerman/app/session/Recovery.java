package hammerman.app.session;

import hammerman.project.Project;
import hammerman.project.ProjectFile;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.ScheduledFuture;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * Copies of unsaved work against a crash: one per running program, named by its process, written a
 * few seconds after an edit. A copy whose process is gone is work to be recovered.
 */
public final class Recovery {
  private static final Logger LOG = LoggerFactory.getLogger(Recovery.class);
  private static final long DELAY_MS = 2000;
  private static final String ORIGIN = ".origin";

  private final Path folder;
  private final String own;
  private final long delay;
  private final ScheduledExecutorService thread =
      Executors.newSingleThreadScheduledExecutor(
          task -> {
            Thread t = new Thread(task, "recovery");
            t.setDaemon(true);
            return t;
          });
  private @Nullable ScheduledFuture<?> waiting;

  /**
   * Work left by a program that did not end properly.
   *
   * @param copy the copy
   * @param origin the file it came from, if any
   */
  public record Found(Path copy, @Nullable Path origin) {}

  /** Keeps copies in a folder, which is made when needed. */
  public Recovery(Path folder) {
    this(folder, ProcessHandle.current().pid(), DELAY_MS);
  }

  Recovery(Path folder, long process, long delayMs) {
    this.folder = folder;
    this.own = process + ProjectFile.EXTENSION;
    this.delay = delayMs;
  }

  /** Returns work left behind by programs that are gone, newest first. */
  public List<Found> left() {
    if (!Files.isDirectory(folder)) {
      return List.of();
    }
    try (Stream<Path> files = Files.list(folder)) {
      return files
          .filter(f -> f.getFileName().toString().endsWith(ProjectFile.EXTENSION))
          .filter(f -> !f.getFileName().toString().equals(own) && isOrphan(f))
          .sorted((a, b) -> Long.compare(b.toFile().lastModified(), a.toFile().lastModified()))
          .map(f -> new Found(f, origin(f).orElse(null)))
          .toList();
    } catch (IOException e) {
      LOG.warn("recovery folder cannot be read: {}", e.getMessage());
      return List.of();
    }
  }

  /** Removes a copy that was recovered or is not wanted. */
  public void discard(Found found) {
    delete(found.copy());
  }

  /** Keeps a copy of the work in a moment; a newer one supersedes it. */
  synchronized void keep(Project project, @Nullable Path origin) {
    cancel();
    waiting = thread.schedule(() -> write(project, origin), delay, TimeUnit.MILLISECONDS);
  }

  /** Removes this program's copy. */
  synchronized void clear() {
    cancel();
    delete(folder.resolve(own));
  }

  void close() {
    thread.shutdownNow();
  }

  private void cancel() {
    if (waiting != null) {
      waiting.cancel(false);
      waiting = null;
    }
  }

  private synchronized void write(Project project, @Nullable Path origin) {
    try {
      Files.createDirectories(folder);
      Path copy = folder.resolve(own);
      ProjectFile.save(project, copy);
      Files.deleteIfExists(folder.resolve(own + ".bak"));
      if (origin != null) {
        Files.writeString(folder.resolve(own + ORIGIN), origin.toString());
      } else {
        Files.deleteIfExists(folder.resolve(own + ORIGIN));
      }
    } catch (IOException e) {
      LOG.warn("recovery copy cannot be written: {}", e.getMessage());
    }
  }

  private void delete(Path copy) {
    try {
      Files.deleteIfExists(copy);
      Files.deleteIfExists(copy.resolveSibling(copy.getFileName() + ORIGIN));
    } catch (IOException e) {
      LOG.warn("recovery copy cannot be removed: {}", e.getMessage());
    }
  }

  private static boolean isOrphan(Path copy) {
    String name = copy.getFileName().toString();
    try {
      long process = Long.parseLong(name.substring(0, name.indexOf('.')));
      return ProcessHandle.of(process).filter(ProcessHandle::isAlive).isEmpty();
    } catch (NumberFormatException e) {
      return false;
    }
  }

  private static Optional<Path> origin(Path copy) {
    Path note = copy.resolveSibling(Objects.requireNonNull(copy.getFileName()) + ORIGIN);
    try {
      return Files.exists(note) ? Optional.of(Path.of(Files.readString(note))) : Optional.empty();
    } catch (IOException e) {
      return Optional.empty();
    }
  }
}
