package hammerman.app.session;

import hammerman.app.session.Keeper.Trouble;
import hammerman.store.NotKept;
import java.io.IOException;
import java.time.Duration;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;
import java.util.concurrent.Executor;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.ScheduledFuture;
import java.util.concurrent.TimeUnit;
import java.util.function.Consumer;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** The one thread that touches the project's file; answers come back on the interface thread. */
final class FileThread {
  private static final Logger LOG = LoggerFactory.getLogger(FileThread.class);

  private final ScheduledExecutorService thread;
  private final Executor ui;
  private @Nullable ScheduledFuture<?> again;

  /** Work of this thread that may fail in known ways. */
  @FunctionalInterface
  interface Attempt<T> {
    T run() throws IOException;
  }

  FileThread(ScheduledExecutorService thread, Executor ui) {
    this.thread = thread;
    this.ui = ui;
  }

  /** Does something in its turn. */
  void run(Runnable work) {
    thread.execute(work);
  }

  /** Has the interface thread do something. */
  void show(Runnable what) {
    ui.execute(what);
  }

  /** Does something in its turn, and says how it went on the interface thread. */
  <T> void attempt(Attempt<T> work, Consumer<T> done, Consumer<Trouble> failed) {
    if (thread.isShutdown()) {
      // The window is closed: what is worked out behind it has nobody to hear it.
      return;
    }
    thread.execute(
        () -> {
          try {
            T result = work.run();
            ui.execute(() -> done.accept(result));
          } catch (IOException e) {
            Trouble trouble = Trouble.of(e);
            ui.execute(() -> failed.accept(trouble));
          } catch (RuntimeException e) {
            LOG.error("the project's file", e);
            ui.execute(
                () -> failed.accept(new Trouble("Something went wrong: " + e, false, false)));
          }
        });
  }

  /** Does something in its turn, and waits for it; for threads that may wait. */
  <T> T await(Attempt<T> work) throws NotKept {
    CompletableFuture<T> answer = new CompletableFuture<>();
    if (thread.isShutdown()) {
      throw new NotKept(NotKept.Reason.REFUSED, "The window is closed.");
    }
    thread.execute(
        () -> {
          try {
            answer.complete(work.run());
          } catch (IOException | RuntimeException e) {
            answer.completeExceptionally(e);
          }
        });
    try {
      return answer.join();
    } catch (CompletionException e) {
      if (e.getCause() instanceof NotKept n) {
        throw n;
      }
      throw e;
    }
  }

  /** Does something after a while, in the place of what was to be done after a while before. */
  void later(Duration wait, Runnable work) {
    if (again != null) {
      again.cancel(false);
    }
    if (!thread.isShutdown()) {
      again = thread.schedule(work, wait.toMillis(), TimeUnit.MILLISECONDS);
    }
  }

  /** Takes nothing more on. */
  void end() {
    thread.shutdown();
  }

  /** Waits until all that was taken on is done. */
  void awaitEnd() throws InterruptedException {
    if (!thread.awaitTermination(30, TimeUnit.SECONDS)) {
      LOG.warn("the project's file could not be closed in time");
    }
  }
}
