package hammerman.app.session;

import hammerman.project.Project;
import hammerman.project.UnreadableProject;
import hammerman.store.DesignState;
import hammerman.store.ProjectFile;
import hammerman.store.ProjectStore;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.UUID;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** The folder in which packs lie until they are given a name; used on the keeper's thread. */
final class UnnamedPacks {
  private static final Logger LOG = LoggerFactory.getLogger(UnnamedPacks.class);
  private static final Duration THROWN_STAY = Duration.ofDays(30);

  private final Path folder;
  private final Path thrown;

  UnnamedPacks(Path home) {
    folder = home.resolve("packs");
    thrown = folder.resolve("thrown-away");
  }

  /** Returns a name that no file has. */
  Path fresh() throws IOException {
    Files.createDirectories(folder);
    return folder.resolve(UUID.randomUUID() + ProjectFile.EXTENSION);
  }

  /** Whether a file lies in the folder. */
  boolean holds(Path file) throws IOException {
    Path in = file.toRealPath().getParent();
    return in != null && Files.isDirectory(folder) && Files.isSameFile(in, folder);
  }

  /** Returns the packs that no window works on, newest first. */
  List<Unnamed> left() {
    List<Unnamed> found = new ArrayList<>();
    for (Path file : files(folder)) {
      if (!ProjectStore.isInUse(file)) {
        try (ProjectStore store = ProjectStore.look(file)) {
          DesignState s = store.design().present();
          Project p = s.project();
          found.add(new Unnamed(file, p.name(), p.variant().pack().counts(), s.at()));
        } catch (UnreadableProject e) {
          LOG.warn("a pack without a name cannot be read: {}", e.getMessage());
        }
      }
    }
    found.sort(Comparator.comparing(Unnamed::at).reversed());
    return found;
  }

  /** Puts a pack aside for a month from now. */
  Path throwAway(Path file, Instant now) throws IOException {
    Files.createDirectories(thrown);
    Path target = thrown.resolve(file.getFileName());
    ProjectStore.move(file, target);
    Files.setLastModifiedTime(target, FileTime.from(now));
    return target;
  }

  /** Returns the packs that were thrown away and can still be brought back, newest first. */
  List<Unnamed> thrown() {
    List<Unnamed> found = new ArrayList<>();
    for (Path file : files(thrown)) {
      try (ProjectStore store = ProjectStore.look(file)) {
        Project p = store.design().present().project();
        found.add(
            new Unnamed(
                file,
                p.name(),
                p.variant().pack().counts(),
                Files.getLastModifiedTime(file).toInstant()));
      } catch (IOException e) {
        LOG.warn("a pack that was thrown away cannot be read: {}", e.getMessage());
      }
    }
    found.sort(Comparator.comparing(Unnamed::at).reversed());
    return found;
  }

  /** Takes a pack back that was thrown away. */
  Path bringBack(Path file) throws IOException {
    Path target = folder.resolve(file.getFileName());
    ProjectStore.move(file, target);
    return target;
  }

  /** Removes what was thrown away more than a month ago. */
  void clear(Instant now) {
    for (Path file : files(thrown)) {
      try {
        if (Files.getLastModifiedTime(file).toInstant().isBefore(now.minus(THROWN_STAY))) {
          ProjectStore.delete(file);
        }
      } catch (IOException e) {
        LOG.warn("{} cannot be removed", file.getFileName());
      }
    }
  }

  private static List<Path> files(Path in) {
    if (!Files.isDirectory(in)) {
      return List.of();
    }
    try (var files = Files.list(in)) {
      return files.filter(f -> f.toString().endsWith(ProjectFile.EXTENSION)).toList();
    } catch (IOException e) {
      LOG.warn("{} cannot be read", in);
      return List.of();
    }
  }
}
