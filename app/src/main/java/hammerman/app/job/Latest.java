package hammerman.app.job;

import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.function.Consumer;
import java.util.function.Supplier;
import javafx.application.Platform;
import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.beans.property.ReadOnlyBooleanWrapper;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * Runs the latest of a series of computations on a background thread; a newer request supersedes
 * the older one, whose result is never delivered. Call it on the interface thread.
 */
public final class Latest {
  private static final Logger LOG = LoggerFactory.getLogger(Latest.class);

  private final ExecutorService thread;
  private final ReadOnlyBooleanWrapper busy = new ReadOnlyBooleanWrapper(this, "busy");
  private @Nullable Future<?> current;
  private long request;

  /**
   * @param name of the thread
   */
  public Latest(String name) {
    thread =
        Executors.newSingleThreadExecutor(
            task -> {
              Thread t = new Thread(task, name);
              t.setDaemon(true);
              return t;
            });
  }

  /** Whether a result is still to come. */
  public ReadOnlyBooleanProperty busyProperty() {
    return busy.getReadOnlyProperty();
  }

  /**
   * Computes in the background and delivers on the interface thread, unless superseded.
   *
   * @param work may be interrupted when superseded
   * @param deliver takes the result
   */
  public <T> void submit(Supplier<T> work, Consumer<T> deliver) {
    long mine = ++request;
    if (current != null) {
      current.cancel(true);
    }
    busy.set(true);
    current =
        thread.submit(
            () -> {
              try {
                T result = work.get();
                Platform.runLater(() -> finish(mine, () -> deliver.accept(result)));
              } catch (RuntimeException e) {
                LOG.error("background work failed", e);
                Platform.runLater(() -> finish(mine, () -> {}));
              }
            });
  }

  /** Gives up what is running; its result is not delivered. */
  public void cancel() {
    request++;
    if (current != null) {
      current.cancel(true);
    }
    busy.set(false);
  }

  private void finish(long mine, Runnable deliver) {
    if (mine == request) {
      deliver.run();
      busy.set(false);
    }
  }

  /** Stops the thread. */
  public void close() {
    request++;
    thread.shutdownNow();
  }
}
