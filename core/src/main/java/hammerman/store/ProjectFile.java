package hammerman.store;

import hammerman.finding.Station;
import hammerman.project.Project;
import hammerman.project.ProjectDocument;
import hammerman.project.UnreadableProject;
import hammerman.project.UnreadableProject.Reason;
import hammerman.record.Fact;
import hammerman.record.PartRecord;
import hammerman.record.StepRecord;
import hammerman.unit.Sentence;
import java.io.IOException;
import java.io.InputStream;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.LinkOption;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/**
 * A project in a file, whichever form it has: the database ({@code .hammerman}), the bare document
 * ({@code .json}), or the container of earlier versions. Told by what the file holds, not by its
 * name. Format: docs/file-format.md.
 */
public final class ProjectFile {
  /** File name ending of a project. */
  public static final String EXTENSION = ".hammerman";

  private static final byte[] DATABASE = "SQLite format 3\0".getBytes(StandardCharsets.US_ASCII);
  private static final int HEADER = 100;
  private static final int USER_VERSION = 60;
  private static final int APPLICATION_ID = 68;

  private ProjectFile() {}

  /** What a file holds. */
  public enum Form {
    DATABASE,
    DOCUMENT,
    /** The ZIP container of earlier versions. */
    CONTAINER
  }

  /**
   * Tells what a file holds by its first bytes.
   *
   * @throws UnreadableProject if there is no such file, or it is no plain file
   */
  public static Form form(Path file) throws UnreadableProject {
    String name = name(file);
    try {
      if (!Files.exists(file)) {
        throw new NoSuchFileException(name);
      }
      if (Files.isDirectory(file)) {
        throw new UnreadableProject(
            Reason.NOT_A_PROJECT, name + " is a folder. Choose a project file.");
      }
      if (!Files.isRegularFile(file)) {
        throw new UnreadableProject(
            Reason.NOT_A_PROJECT, name + " is a device, not a file. Choose a project file.");
      }
      try (InputStream in = Files.newInputStream(file)) {
        byte[] start = in.readNBytes(HEADER);
        return form(start, name);
      }
    } catch (NoSuchFileException e) {
      throw new UnreadableProject(Reason.MISSING, Sentence.missing(name));
    } catch (UnreadableProject e) {
      throw e;
    } catch (IOException e) {
      throw new UnreadableProject(
          Reason.MISSING, name + " cannot be opened. Check its permissions.");
    }
  }

  private static Form form(byte[] start, String name) throws UnreadableProject {
    boolean database = start.length >= DATABASE.length;
    for (int k = 0; database && k < DATABASE.length; k++) {
      database = start[k] == DATABASE[k];
    }
    if (!database) {
      return ProjectDocument.isContainer(start) ? Form.CONTAINER : Form.DOCUMENT;
    }
    if (start.length < HEADER) {
      throw new UnreadableProject(
          Reason.DAMAGED,
          name + " is damaged: it breaks off in its head. The file was left as it is.");
    }
    ByteBuffer head = ByteBuffer.wrap(start);
    if (head.getInt(APPLICATION_ID) != Schema.PROJECT.applicationId()) {
      throw new UnreadableProject(
          Reason.NOT_A_PROJECT,
          name + " is a database, but not a Hammerman project. Choose another file.");
    }
    if (head.getInt(USER_VERSION) > Schema.PROJECT.version()) {
      throw newer(name, head.getInt(USER_VERSION));
    }
    return Form.DATABASE;
  }

  static UnreadableProject newer(String name, int version) {
    return new UnreadableProject(
        Reason.NEWER,
        "%s was written by a newer Hammerman (database %d; this one reads up to %d). Use the newer version; the file was left as it is."
            .formatted(name, version, Schema.PROJECT.version()));
  }

  /**
   * Reads the present design of a file; the file is never changed.
   *
   * @throws UnreadableProject if it cannot be used, with one clear message
   */
  public static Project read(Path file) throws UnreadableProject {
    if (form(file) == Form.DATABASE) {
      try (ProjectStore store = ProjectStore.look(file)) {
        return store.design().present().project();
      }
    }
    return document(file);
  }

  /**
   * What is recorded of a build in a file; nothing in a bare document.
   *
   * @param steps that were done, oldest first
   * @param parts by their keys
   */
  public record Built(List<Fact<StepRecord>> steps, Map<String, PartRecord> parts) {
    public Built {
      steps = List.copyOf(steps);
      parts = Map.copyOf(parts);
    }
  }

  /**
   * Reads what is recorded of the build; the file is never changed.
   *
   * @throws UnreadableProject if it cannot be used, with one clear message
   * @throws NotKept if its records cannot be read
   */
  public static Built built(Path file) throws UnreadableProject, NotKept {
    if (form(file) != Form.DATABASE) {
      return new Built(List.of(), Map.of());
    }
    try (ProjectStore store = ProjectStore.look(file)) {
      return new Built(store.buildBook().steps(), store.buildBook().parts());
    }
  }

  /** Says what project a file holds, with its runs and cells; empty if it holds none. */
  public static Optional<String> summary(Path file) {
    try {
      if (form(file) != Form.DATABASE) {
        Project p = document(file);
        return Optional.of("the design “%s”".formatted(p.name()));
      }
      try (ProjectStore store = ProjectStore.look(file)) {
        Project p = store.design().present().project();
        return Optional.of(
            "the project “%s”, %s, with %d runs and %d measured cells"
                .formatted(
                    p.name(),
                    p.variant().pack().counts(),
                    store.runBook().count(),
                    store.inventory().count()));
      }
    } catch (UnreadableProject | NotKept e) {
      return Optional.empty();
    }
  }

  /** Reads the bare document, or that of the container of earlier versions. */
  public static Project document(Path file) throws UnreadableProject {
    String name = name(file);
    try {
      if (Files.size(file) > ProjectDocument.LARGEST) {
        throw new UnreadableProject(
            Reason.NOT_A_PROJECT,
            name + " is larger than 64 MiB, which no design is. Choose another file.");
      }
      return ProjectDocument.parse(Files.readAllBytes(file), name);
    } catch (UnreadableProject e) {
      throw e;
    } catch (IOException e) {
      throw new UnreadableProject(
          Reason.MISSING, name + " cannot be opened. Check its permissions.");
    }
  }

  /**
   * Writes a design to a new file: the bare document if its name ends in {@code .json}, else a
   * database that holds this state alone.
   *
   * @throws NotKept if the file is there already, or cannot be written
   */
  public static void write(Project project, Path file, Instant now) throws NotKept {
    if (Files.exists(file, LinkOption.NOFOLLOW_LINKS)) {
      throw new NotKept(
          NotKept.Reason.REFUSED,
          name(file) + " is there already. Choose another name, or remove it first.");
    }
    if (isDocument(file)) {
      export(project, file);
    } else {
      ProjectStore.create(file, DesignState.of(1, now, Station.DUTY, "Converted", project), now)
          .close();
    }
  }

  /** Writes the bare document in the place of whatever the file held. */
  public static void export(Project project, Path file) throws NotKept {
    try {
      WholeFile.write(file, ProjectDocument.bytes(project));
    } catch (IOException e) {
      throw new NotKept(
          NotKept.Reason.OTHER,
          name(file) + " cannot be written there. Choose another folder, or free some room.",
          e);
    }
  }

  /** Whether a name is that of a bare document. */
  public static boolean isDocument(Path file) {
    return name(file).toLowerCase(Locale.ROOT).endsWith(".json");
  }

  static String name(Path file) {
    return Sentence.printable(String.valueOf(file.getFileName()));
  }
}
