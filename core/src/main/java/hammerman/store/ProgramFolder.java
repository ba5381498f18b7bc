package hammerman.store;

import dev.dirs.ProjectDirectories;
import java.nio.file.Path;

/** The folder of the program's own: settings, packs without a name, errors. */
public final class ProgramFolder {
  private ProgramFolder() {}

  /** Returns where it is: as {@code -Dhammerman.home} says, else where the system wants it. */
  public static Path home() {
    String given = System.getProperty("hammerman.home");
    return Path.of(given != null ? given : ProjectDirectories.from("", "", "hammerman").dataDir);
  }
}
