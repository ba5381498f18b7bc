package hammerman.store;

import hammerman.project.UnreadableProject;
import hammerman.project.UnreadableProject.Reason;
import hammerman.store.Database.Access;
import hammerman.unit.Sentence;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.nio.file.attribute.BasicFileAttributes;
import java.sql.SQLException;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.sqlite.SQLiteException;

/**
 * A project's file before it is trusted: where it really lies, and whether it is whole and ours.
 */
final class StoreFile {
  private StoreFile() {}

  /** Whether a file is whole and has our tables and no others. */
  static void check(Path file) throws UnreadableProject {
    if (ProjectFile.form(file) != ProjectFile.Form.DATABASE) {
      throw new UnreadableProject(
          Reason.NOT_A_PROJECT,
          ProjectFile.name(file) + " is a document, not a project's file. Import it.");
    }
    try (Database d = reading(file)) {
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
    } catch (SQLException e) {
      throw damaged(file, e);
    }
  }

  static Database reading(Path file) throws SQLException {
    Database d = Database.open(file, Access.READ);
    try {
      d.number("SELECT count(*) FROM sqlite_schema");
      return d;
    } catch (SQLException e) {
      d.close();
      // 14: nothing can be written beside it, and it was not closed properly.
      if (e instanceof SQLiteException s && (s.getResultCode().code & 0xff) == 14) {
        return Database.open(file, Access.READ_ALONE);
      }
      throw e;
    }
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

  static @Nullable Object key(Path file) {
    try {
      return Files.readAttributes(file, BasicFileAttributes.class).fileKey();
    } catch (IOException e) {
      return "gone";
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
