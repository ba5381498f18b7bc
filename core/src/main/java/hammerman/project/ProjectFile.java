package hammerman.project;

import hammerman.project.UnreadableProject.Reason;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;

/**
 * Reads and saves projects.
 *
 * <p>A project file ({@code .hammerman}) is a ZIP container with the document in {@code
 * project.json}; big tables will join it as {@code tables/*.csv}. The bare document ({@code .json})
 * is a project file too, for scripts and text editors. Format: docs/file-format.md.
 */
public final class ProjectFile {
  /** File name ending of the container. */
  public static final String EXTENSION = ".hammerman";

  /** The largest document read, bytes. */
  private static final int LARGEST = 64 << 20;

  private static final String DOCUMENT = "project.json";

  private ProjectFile() {}

  /**
   * Reads a project; the file is never changed.
   *
   * @throws UnreadableProject if it cannot be used, with one clear message
   */
  public static Project read(Path file) throws UnreadableProject {
    String name = String.valueOf(file.getFileName());
    byte[] bytes;
    try {
      if (Files.isDirectory(file)) {
        throw new UnreadableProject(
            Reason.NOT_A_PROJECT, name + " is a folder. Choose a project file.");
      }
      if (Files.size(file) > LARGEST) {
        throw new UnreadableProject(
            Reason.NOT_A_PROJECT,
            name + " is larger than 64 MiB, which no project is. Choose another file.");
      }
      bytes = Files.readAllBytes(file);
    } catch (NoSuchFileException e) {
      throw new UnreadableProject(
          Reason.MISSING, name + " does not exist. Check the name and the folder.");
    } catch (UnreadableProject e) {
      throw e;
    } catch (IOException e) {
      throw new UnreadableProject(
          Reason.MISSING,
          name + " cannot be opened (" + e.getMessage() + "). Check its permissions.");
    }
    return parse(bytes, name);
  }

  /**
   * Reads a project from the bytes of a file.
   *
   * @param name what to call the file in messages
   */
  public static Project parse(byte[] bytes, String name) throws UnreadableProject {
    if (bytes.length == 0) {
      throw new UnreadableProject(
          Reason.EMPTY,
          name + " is empty (0 bytes). Choose another file, or try its backup (.bak).");
    }
    boolean zip = bytes.length > 3 && bytes[0] == 'P' && bytes[1] == 'K';
    return ProjectDocument.read(zip ? documentIn(bytes, name) : bytes, name);
  }

  /** Returns the bare JSON document of a project. */
  public static byte[] document(Project project) {
    return ProjectDocument.write(project);
  }

  /**
   * Saves a project: written beside the target, flushed, then moved over it in one step. The
   * previous version is kept with {@code .bak} added to its name.
   */
  public static void save(Project project, Path file) throws IOException {
    String name = String.valueOf(file.getFileName());
    replace(file, name.endsWith(".json") ? document(project) : container(project));
  }

  /** Puts bytes in the place of a file in one step; the version before is kept as a backup. */
  static void replace(Path file, byte[] bytes) throws IOException {
    String name = String.valueOf(file.getFileName());
    Path temporary = file.resolveSibling("." + name + ".saving");
    try {
      write(temporary, bytes);
      if (Files.exists(file)) {
        Files.copy(file, file.resolveSibling(name + ".bak"), StandardCopyOption.REPLACE_EXISTING);
      }
      Files.move(
          temporary, file, StandardCopyOption.ATOMIC_MOVE, StandardCopyOption.REPLACE_EXISTING);
    } finally {
      Files.deleteIfExists(temporary);
    }
  }

  private static void write(Path file, byte[] bytes) throws IOException {
    try (FileChannel out =
        FileChannel.open(
            file,
            StandardOpenOption.CREATE,
            StandardOpenOption.WRITE,
            StandardOpenOption.TRUNCATE_EXISTING)) {
      ByteBuffer buffer = ByteBuffer.wrap(bytes);
      while (buffer.hasRemaining()) {
        out.write(buffer);
      }
      out.force(true);
    }
  }

  private static byte[] container(Project project) throws IOException {
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    try (ZipOutputStream zip = new ZipOutputStream(bytes)) {
      ZipEntry entry = new ZipEntry(DOCUMENT);
      entry.setTime(0);
      zip.putNextEntry(entry);
      zip.write(document(project));
      zip.closeEntry();
    }
    return bytes.toByteArray();
  }

  private static byte[] documentIn(byte[] bytes, String name) throws UnreadableProject {
    byte[] document = null;
    try (ZipInputStream zip = new ZipInputStream(new ByteArrayInputStream(bytes))) {
      for (ZipEntry e = zip.getNextEntry(); e != null; e = zip.getNextEntry()) {
        if (!e.getName().equals(DOCUMENT)) {
          throw new UnreadableProject(
              Reason.NEWER,
              "%s holds “%s”, which this version does not know and would lose on saving. Use a newer Hammerman; the file was left as it is."
                  .formatted(name, e.getName()));
        }
        document = zip.readNBytes(LARGEST);
      }
    } catch (UnreadableProject e) {
      throw e;
    } catch (IOException e) {
      throw new UnreadableProject(
          Reason.DAMAGED,
          "%s is damaged: the container breaks off (%s). Readable before that: nothing. The file was left as it is; try its backup (.bak)."
              .formatted(name, e.getMessage()));
    }
    if (document == null) {
      throw new UnreadableProject(
          Reason.NOT_A_PROJECT,
          name + " is a ZIP file without " + DOCUMENT + ", not a Hammerman project.");
    }
    return document;
  }
}
