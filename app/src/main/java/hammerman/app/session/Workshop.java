package hammerman.app.session;

import hammerman.forecast.Forecast;
import hammerman.project.Shipped;
import hammerman.store.OwnStore;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Executor;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import javafx.application.Platform;

/**
 * All that a window works with: the builder's own things, the project, and what keeps them. One for
 * each window.
 */
public final class Workshop {
  private final OwnStore own;
  private final ExecutorService writer =
      Executors.newSingleThreadExecutor(task -> new Thread(task, "own"));
  private final Settings settings;
  private final Keeper keeper;
  private final Session session;
  private final List<String> troubles;

  /**
   * @param own the builder's own store, which the workshop closes
   * @param home the program's folder
   */
  public Workshop(OwnStore own, Path home, Clock clock) {
    this(own, home, clock, Platform::runLater, begun());
  }

  /**
   * Makes a workshop while the toolkit may still be starting.
   *
   * @param own the builder's own store, which the workshop closes
   * @param home the program's folder
   * @param ui runs on the interface thread, as soon as there is one
   * @param begun the forecast of the empty project, from {@link #begun()}
   */
  public Workshop(OwnStore own, Path home, Clock clock, Executor ui, Forecast begun) {
    this.own = own;
    troubles = new ArrayList<>(Shelf.takeOver(own, home, clock));
    settings = new Settings(own, writer, clock);
    Shelf shelf = new Shelf(own, writer, ui, clock);
    troubles.addAll(own.troubles());
    keeper =
        new Keeper(
            home,
            Executors.newSingleThreadScheduledExecutor(task -> new Thread(task, "keeper")),
            ui,
            clock);
    session = new Session(keeper, shelf, clock, begun);
  }

  /** Returns the forecast of the empty project that every workshop begins with. */
  public static Forecast begun() {
    return Forecast.of(Shipped.starter().design());
  }

  /** Opens the workshop of a folder. */
  public static Workshop open(Path home) {
    Clock clock = Clock.systemUTC();
    return new Workshop(OwnStore.open(home, clock.instant()), home, clock);
  }

  public Settings settings() {
    return settings;
  }

  public Keeper keeper() {
    return keeper;
  }

  public Session session() {
    return session;
  }

  /** Returns what was wrong with the builder's own things at the start, in sentences. */
  public List<String> troubles() {
    return List.copyOf(troubles);
  }

  /** Ends the work: what is on its way is still kept, by threads that the program waits for. */
  public void close() {
    session.close();
    writer.execute(own::close);
    writer.shutdown();
  }

  /** Waits until all is kept and closed. */
  public void awaitClosed() throws InterruptedException {
    keeper.awaitClosed();
    writer.awaitTermination(30, TimeUnit.SECONDS);
  }
}
