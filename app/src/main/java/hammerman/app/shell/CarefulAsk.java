package hammerman.app.shell;

import hammerman.app.control.FileAsk;
import hammerman.store.ProjectFile;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.LinkOption;
import java.nio.file.Path;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;

/**
 * Asks for files so that none is replaced unseen: a name gets its ending first, and a file that is
 * there under the whole name is named with what it holds before it gives way.
 */
final class CarefulAsk implements FileAsk {
  private static final DateTimeFormatter TIME =
      DateTimeFormatter.ofPattern("d MMM yyyy, HH:mm", Locale.ENGLISH);

  private final FileAsk ask;

  CarefulAsk(FileAsk ask) {
    this.ask = ask;
  }

  @Override
  public Optional<Path> open(String title, Kind kind) {
    return ask.open(title, kind);
  }

  @Override
  public Optional<Path> save(String title, Kind kind, String suggestedName) {
    return ask.save(title, kind, suggestedName)
        .map(file -> ended(file, kind))
        .filter(file -> !isThere(file) || mayReplace(file, holds(file)));
  }

  @Override
  public boolean mayReplace(Path file, String holds) {
    return ask.mayReplace(file, holds);
  }

  /** The file under a name that ends as its kind does; a point within the name is no ending. */
  static Path ended(Path file, Kind kind) {
    String name = Objects.requireNonNull(file.getFileName()).toString();
    List<String> endings = kind.patterns().stream().map(p -> p.substring(1)).toList();
    boolean has =
        endings.stream().anyMatch(e -> name.toLowerCase(Locale.ROOT).endsWith(e) || e.equals(".*"));
    return has || endings.isEmpty() ? file : file.resolveSibling(name + endings.getFirst());
  }

  private static boolean isThere(Path file) {
    return Files.exists(file, LinkOption.NOFOLLOW_LINKS);
  }

  /** What a file holds, in words. */
  static String holds(Path file) {
    Optional<String> project = ProjectFile.summary(file);
    if (project.isPresent()) {
      return project.get();
    }
    try {
      return "%d bytes, last changed %s"
          .formatted(
              Files.size(file),
              TIME.format(
                  Files.getLastModifiedTime(file).toInstant().atZone(ZoneId.systemDefault())));
    } catch (IOException e) {
      return "its contents cannot be read";
    }
  }
}
