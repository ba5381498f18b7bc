package hammerman.store;

import hammerman.project.UnreadableProject;
import hammerman.project.UnreadableProject.Reason;
import hammerman.store.Database.Access;
import hammerman.unit.Sentence;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.sql.SQLException;
import java.util.List;
import java.util.Optional;
import org.sqlite.SQLiteException;

/**
 * A project's file before it is trusted: where it really lies, and whether it is whole and ours.
 */
final class StoreFile {
  private StoreFile() {}

  /**
   * Whether a file is whole, has our tables and no others, and holds a design that can be read. It
   * is not touched: where something is pending beside it a copy is looked at.
   */
  static void check(Path file) throws UnreadableProject {
    try {
      check(file, isOwnPending(file, WriterLock.noted(file)));
    } catch (UnreadableProject e) {
      throw e;
    } catch (IOException e) {
      throw damaged(file, e);
    }
  }

  /**
   * The same of a file whose writer is known.
   *
   * @param own whether what is pending beside it is its own
   */
  static void check(Path file, boolean own) throws UnreadableProject {
    if (ProjectFile.form(file) != ProjectFile.Form.DATABASE) {
      throw new UnreadableProject(
          Reason.NOT_A_PROJECT,
          ProjectFile.name(file) + " is a document, not a project's file. Import it.");
    }
    try (Database d = reading(file, own)) {
      check(file, d);
      ProjectStore.reading(file, d).design().present().project();
    } catch (SQLException e) {
      throw damaged(file, e);
    }
  }

  private static void check(Path file, Database d) throws SQLException, UnreadableProject {
    String name = ProjectFile.name(file);
    int version = (int) d.number("PRAGMA user_version");
    if (version > Schema.PROJECT.version()) {
      throw ProjectFile.newer(name, version);
    }
    List<String> strange = Schema.PROJECT.strange(d, version);
    if (!strange.isEmpty()) {
      throw new UnreadableProject(
          Reason.INVALID,
          "%s is not laid out as a project of this version: %s. The file was left as it is."
              .formatted(name, String.join(", ", strange)));
    }
    String whole = d.text("PRAGMA quick_check(1)");
    if (!whole.equals("ok")) {
      throw new UnreadableProject(
          Reason.DAMAGED, name + " is damaged. The file was left as it is.");
    }
  }

  /**
   * Opens a file to read it; it is never changed, and nothing is made beside it. One that a window
   * works on is read as that window leaves it; else what is pending beside it is taken into a copy.
   */
  static Database reading(Path file) throws SQLException {
    try {
      return WriterLock.isTaken(file)
          ? shared(file)
          : reading(file, isOwnPending(file, WriterLock.noted(file)));
    } catch (IOException e) {
      throw new SQLException("it cannot be read", e);
    }
  }

  private static Database reading(Path file, boolean own) throws SQLException {
    try {
      return Companions.isPending(file)
          ? Database.ofCopy(file, own)
          : Database.open(file, Access.READ_ALONE);
    } catch (IOException e) {
      throw new SQLException("it cannot be copied to look at it", e);
    }
  }

  private static Database shared(Path file) throws SQLException, IOException {
    Database d = Database.open(file, Access.READ);
    try {
      d.number("SELECT count(*) FROM sqlite_schema");
      return d;
    } catch (SQLException e) {
      d.close();
      return Database.ofCopy(file, true);
    }
  }

  /**
   * Whether what is pending beside a file is its own, and not left by an earlier file of that name.
   *
   * @param noted by the program that left it
   */
  static boolean isOwnPending(Path file, String noted) throws IOException {
    Optional<Stamp> stamp = Stamp.in(noted);
    return stamp.isEmpty() || stamp.get().equals(Stamp.of(file));
  }

  static UnreadableProject damaged(Path file, Exception e) {
    boolean busy = e instanceof SQLiteException s && (s.getResultCode().code & 0xff) == 5;
    return new UnreadableProject(
        busy ? Reason.MISSING : Reason.DAMAGED,
        ProjectFile.name(file)
            + (busy
                ? " is held by another program. Close it there, and open it again."
                : " is damaged. The file was left as it is."));
  }

  static Path real(Path file) throws UnreadableProject {
    try {
      return file.toRealPath();
    } catch (NoSuchFileException e) {
      throw new UnreadableProject(Reason.MISSING, Sentence.missing(ProjectFile.name(file)));
    } catch (IOException e) {
      throw new UnreadableProject(
          Reason.MISSING, ProjectFile.name(file) + " cannot be opened. Check its permissions.");
    }
  }

  static Path uncheckedReal(Path file) {
    try {
      return file.toRealPath();
    } catch (IOException e) {
      return file;
    }
  }

  static void remove(Path file) {
    try {
      Files.deleteIfExists(file);
    } catch (IOException e) {
      // It stays behind as an empty file, which is said when it is opened.
      return;
    }
  }
}
