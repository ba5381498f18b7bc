package hammerman.app;

import hammerman.app.session.Workshop;
import hammerman.app.theme.Theme;
import hammerman.forecast.Forecast;
import hammerman.store.OwnStore;
import hammerman.store.ProgramFolder;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.concurrent.CompletableFuture;
import java.util.function.Supplier;
import java.util.logging.Level;
import java.util.logging.Logger;
import javafx.application.Application;
import javafx.application.Platform;
import org.apache.commons.io.FileUtils;

/** Entry point; apart from the application class so that JavaFX may lie on the class path. */
public final class Launcher {
  private static final Logger TOOLKIT = Logger.getLogger("javafx");

  private static final String REGION_IMAGES = "prism.disableRegionCaching";

  private static final CompletableFuture<Void> TOOLKIT_UP = new CompletableFuture<>();
  private static CompletableFuture<Workshop> opening = new CompletableFuture<>();

  private Launcher() {}

  /**
   * Starts the application.
   *
   * @param args a file to open; or {@code --demo}; or {@code --walk DIR}, which goes through the
   *     stations of the worked example and writes a picture of each, with {@code --only=5-fit} of
   *     those so named; or {@code --rehearse}, which does so without pictures; or {@code
   *     --until-shown}, which prints how long the window took and ends
   */
  public static void main(String[] args) {
    // On the class path JavaFX warns at every start; it is meant to lie there.
    TOOLKIT.setLevel(Level.SEVERE);
    flat();
    if (System.getProperty(Logging.FOLDER) == null) {
      System.setProperty(Logging.FOLDER, ProgramFolder.home().toString());
    }
    boolean walk = args.length > 0 && HammermanApp.walks(args[0]);
    // The database's library and the first forecast take their time; meanwhile the toolkit starts.
    // Each has a thread: the common ones are too few on a small machine.
    CompletableFuture<Forecast> begun = beside("begun", Workshop::begun);
    opening =
        beside("store", () -> store(walk ? temporary() : ProgramFolder.home()))
            .thenCombine(begun, Launcher::workshop);
    Theme.loadFonts();
    try {
      Application.launch(HammermanApp.class, args);
    } catch (RuntimeException e) {
      // What keeps the work waits to be told that there is no more, and the process for it.
      if (!opening.isCompletedExceptionally()) {
        opening.join().close();
      }
      throw e;
    }
  }

  /** Lets flat grounds be filled as they are: images of them, put together in parts, cost more. */
  private static void flat() {
    if (System.getProperty(REGION_IMAGES) == null) {
      System.setProperty(REGION_IMAGES, "true");
    }
  }

  private static <T> CompletableFuture<T> beside(String name, Supplier<T> work) {
    return CompletableFuture.supplyAsync(work, task -> new Thread(task, name).start());
  }

  /** A store with the folder that it is in. */
  private record Opened(OwnStore store, Path home) {}

  private static Opened store(Path home) {
    return new Opened(OwnStore.open(home, Clock.systemUTC().instant()), home);
  }

  private static Path temporary() {
    try {
      Path folder = Files.createTempDirectory("hammerman");
      Runtime.getRuntime()
          .addShutdownHook(new Thread(() -> FileUtils.deleteQuietly(folder.toFile()), "clear"));
      return folder;
    } catch (IOException e) {
      return Path.of(System.getProperty("java.io.tmpdir"));
    }
  }

  private static Workshop workshop(Opened opened, Forecast begun) {
    return new Workshop(
        opened.store(),
        opened.home(),
        Clock.systemUTC(),
        task -> {
          TOOLKIT_UP.join();
          Platform.runLater(task);
        },
        begun);
  }

  /**
   * Returns what the one window of this process works with; called when the toolkit has started.
   */
  static Workshop workshop() {
    TOOLKIT_UP.complete(null);
    return opening.join();
  }
}
