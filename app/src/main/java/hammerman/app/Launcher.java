package hammerman.app;

import hammerman.app.session.Settings;
import hammerman.app.session.Workshop;
import hammerman.app.theme.Theme;
import hammerman.store.OwnStore;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.concurrent.CompletableFuture;
import java.util.logging.Level;
import java.util.logging.Logger;
import javafx.application.Application;
import org.apache.commons.io.FileUtils;
import org.jspecify.annotations.Nullable;

/** Entry point; apart from the application class so that JavaFX may lie on the class path. */
public final class Launcher {
  private static final Logger TOOLKIT = Logger.getLogger("javafx");

  private static CompletableFuture<Opened> opening = new CompletableFuture<>();
  private static @Nullable Workshop made;

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
    boolean walk = args.length > 0 && HammermanApp.walks(args[0]);
    // The database's library takes its time to load; meanwhile the toolkit starts.
    opening = CompletableFuture.supplyAsync(() -> store(walk ? temporary() : Settings.home()));
    Theme.loadFonts();
    Application.launch(HammermanApp.class, args);
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

  /** Returns what the one window of this process works with. */
  static Workshop workshop() {
    if (made == null) {
      Opened opened = opening.join();
      made = new Workshop(opened.store(), opened.home(), Clock.systemUTC());
    }
    return made;
  }
}
