package hammerman.app.job;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.concurrent.CancellationException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.function.Consumer;
import java.util.function.Supplier;
import javafx.animation.PauseTransition;
import javafx.application.Platform;
import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.beans.property.ReadOnlyBooleanWrapper;
import javafx.util.Duration;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * Runs the latest of a series of computations on a background thread; a newer request supersedes
 * the older one, whose result is never delivered. Call it on the interface thread.
 */
public final class Latest {
  private static final Logger LOG = LoggerFactory.getLogger(Latest.class);

  /** So long nothing newer is asked for before details are worked out. */
  private static final Duration QUIET = Duration.millis(120);

  /** Those that are busy; touched on the interface thread alone. */
  private static final Set<Latest> AT_WORK = new HashSet<>();

  private final boolean details;
  private final ExecutorService thread;
  private final ReadOnlyBooleanWrapper busy = new ReadOnlyBooleanWrapper(this, "busy");
  private final PauseTransition quiet = new PauseTransition();
  private @Nullable Future<?> current;
  private long request;

  /**
   * One that begins at once.
   *
   * @param name of the thread
   */
  public Latest(String name) {
    this(name, false);
  }

  /**
   * One for what is not waited for: it begins once nothing newer was asked for in a while, so that
   * while one edit follows another it takes no time from the first figures.
   *
   * @param name of the thread
   */
  public static Latest ofDetails(String name) {
    return new Latest(name, true);
  }

  private Latest(String name, boolean details) {
    this.details = details;
    busy.addListener((o, was, is) -> note(is));
    thread =
        Executors.newSingleThreadExecutor(
            task -> {
              Thread t = new Thread(task, name);
              t.setDaemon(true);
              return t;
            });
  }

  /** Whether a result of any is still to come: what takes a picture waits until none is. */
  public static boolean anyBusy() {
    return !AT_WORK.isEmpty();
  }

  /** Gives up whatever is at work anywhere, as when the window closes. */
  public static void giveUpAll() {
    List.copyOf(AT_WORK).forEach(Latest::cancel);
  }

  private void note(boolean isBusy) {
    if (isBusy) {
      AT_WORK.add(this);
    } else {
      AT_WORK.remove(this);
    }
  }

  /** Whether a result is still to come. */
  public ReadOnlyBooleanProperty busyProperty() {
    return busy.getReadOnlyProperty();
  }

  /** Returns what a failure says to somebody who did not write the program. */
  public static String inWords(Throwable e) {
    return switch (e) {
      case OutOfMemoryError m -> "it needs more memory than there is";
      case StackOverflowError s -> "it is too intricate";
      default -> e.getMessage() == null ? e.getClass().getSimpleName() : e.getMessage();
    };
  }

  /**
   * Computes in the background and delivers on the interface thread, unless superseded; a failure
   * is logged.
   *
   * @param work may be interrupted when superseded
   * @param deliver takes the result
   */
  public <T> void submit(Supplier<T> work, Consumer<T> deliver) {
    submit(work, deliver, e -> {});
  }

  /**
   * Computes in the background and delivers on the interface thread, unless superseded.
   *
   * @param work may be interrupted when superseded
   * @param deliver takes the result
   * @param failed takes what went wrong instead
   */
  public <T> void submit(Supplier<T> work, Consumer<T> deliver, Consumer<Throwable> failed) {
    if (details) {
      whenQuiet(QUIET, () -> begin(work, deliver, failed));
    } else {
      begin(work, deliver, failed);
    }
  }

  private <T> void begin(Supplier<T> work, Consumer<T> deliver, Consumer<Throwable> failed) {
    supersede();
    long mine = request;
    busy.set(true);
    current =
        thread.submit(
            () -> {
              try {
                T result = work.get();
                Platform.runLater(() -> finish(mine, () -> deliver.accept(result)));
              } catch (CancellationException e) {
                LOG.debug("given up", e);
                Platform.runLater(() -> finish(mine, () -> failed.accept(e)));
              } catch (RuntimeException | OutOfMemoryError | StackOverflowError e) {
                LOG.error("background work failed", e);
                Platform.runLater(() -> finish(mine, () -> failed.accept(e)));
              }
            });
  }

  /**
   * Gives up what is running, and begins once nothing newer has been asked for in a while.
   *
   * @param pause how long that is
   * @param begin may submit work of its own
   */
  public void whenQuiet(Duration pause, Runnable begin) {
    supersede();
    long mine = request;
    busy.set(true);
    quiet.setDuration(pause);
    quiet.setOnFinished(e -> finish(mine, begin));
    quiet.playFromStart();
  }

  /** Gives up what is running; its result is not delivered. */
  public void cancel() {
    supersede();
    busy.set(false);
  }

  private void supersede() {
    request++;
    quiet.stop();
    if (current != null) {
      current.cancel(true);
    }
  }

  private void finish(long mine, Runnable deliver) {
    if (mine != request) {
      return;
    }
    try {
      deliver.run();
    } finally {
      // Delivering may have asked for more.
      if (mine == request) {
        busy.set(false);
      }
    }
  }

  /** Stops the thread. */
  public void close() {
    cancel();
    thread.shutdownNow();
  }
}
