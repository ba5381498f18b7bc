package hammerman.app.session;

import java.io.IOException;
import java.io.Reader;
import java.io.Writer;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Properties;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** What the program remembers between starts: window, theme, scale, folder, recent files. */
public final class Settings {
  private static final Logger LOG = LoggerFactory.getLogger(Settings.class);
  private static final int MOST_RECENT = 8;

  private final Path file;
  private final Properties values = new Properties();

  /** Reads the settings kept in a folder; unreadable settings count as none. */
  public Settings(Path home) {
    file = home.resolve("settings.properties");
    if (Files.exists(file)) {
      try (Reader in = Files.newBufferedReader(file)) {
        values.load(in);
      } catch (IOException | IllegalArgumentException e) {
        LOG.warn("settings cannot be read, starting afresh: {}", e.getMessage());
      }
    }
  }

  /**
   * Returns the folder for the program's own files: {@code hammerman.home}, or in the user's data.
   */
  public static Path home() {
    String given = System.getProperty("hammerman.home");
    if (given != null) {
      return Path.of(given);
    }
    String data = System.getenv("XDG_DATA_HOME");
    Path base =
        data != null && !data.isBlank()
            ? Path.of(data)
            : Path.of(System.getProperty("user.home"), ".local", "share");
    return base.resolve("hammerman");
  }

  /** Returns a number kept under a name. */
  public double number(String key, double fallback) {
    try {
      return Double.parseDouble(values.getProperty(key, ""));
    } catch (NumberFormatException e) {
      return fallback;
    }
  }

  /** Returns a text kept under a name. */
  public String text(String key, String fallback) {
    return values.getProperty(key, fallback);
  }

  /** Keeps a value; written with {@link #save()}. */
  public void put(String key, Object value) {
    values.setProperty(key, value.toString());
  }

  /** Returns the files used lately, newest first. */
  public List<Path> recent() {
    List<Path> files = new ArrayList<>();
    for (int k = 0; k < MOST_RECENT; k++) {
      String value = values.getProperty("recent." + k);
      if (value != null) {
        files.add(Path.of(value));
      }
    }
    return files;
  }

  /** Puts a file first among those used lately. */
  public void addRecent(Path path) {
    List<Path> files = new ArrayList<>(recent());
    files.remove(path.toAbsolutePath());
    files.addFirst(path.toAbsolutePath());
    for (int k = 0; k < Math.min(files.size(), MOST_RECENT); k++) {
      put("recent." + k, files.get(k));
    }
    Path parent = path.toAbsolutePath().getParent();
    if (parent != null) {
      put("folder", parent);
    }
  }

  /** Writes the settings; a failure is logged and does not disturb the work. */
  public void save() {
    try {
      Path folder = file.getParent();
      if (folder != null) {
        Files.createDirectories(folder);
      }
      try (Writer out = Files.newBufferedWriter(file)) {
        values.store(out, "Hammerman settings");
      }
    } catch (IOException e) {
      LOG.warn("settings cannot be written: {}", e.getMessage());
    }
  }
}
