package hammerman.store;

import java.io.IOException;
import java.nio.channels.FileChannel;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.nio.file.attribute.BasicFileAttributes;
import java.nio.file.attribute.FileTime;
import java.sql.SQLException;
import java.util.Objects;
import org.jspecify.annotations.Nullable;

/**
 * A file that is worked on, watched for what others do to it. What is changed goes into the log
 * beside it; only {@link #checkpoint} puts that into the file, so any other change of it is a
 * stranger's.
 */
final class Guarded {
  /**
   * So much may lie in the log before it is put into the file, bytes: an edit may have to wait
   * until it is.
   */
  private static final long MUCH = 4L << 20;

  /** Of so much it is noted at once which bytes it has, bytes; the sum takes some 20 ms. */
  private static final long SOON_SUMMED = 64L << 20;

  private final Path file;
  private final Database database;
  private final WriterLock lock;
  private final @Nullable Object key;
  private long size;
  private FileTime changed;
  private @Nullable Stamp stamp;

  /** Whose the file is. */
  enum State {
    OURS,
    /** Moved or deleted, or another one lies there. */
    GONE,
    /** Another program has written over it. */
    OVERWRITTEN
  }

  /**
   * @param stamp of the file before it was opened
   */
  Guarded(Path file, Database database, WriterLock lock, Stamp stamp) throws IOException {
    this.file = file;
    this.database = database;
    this.lock = lock;
    this.stamp = stamp;
    BasicFileAttributes a = Files.readAttributes(file, BasicFileAttributes.class);
    key = a.fileKey();
    size = a.size();
    changed = a.lastModifiedTime();
  }

  State state() {
    try {
      BasicFileAttributes a = Files.readAttributes(file, BasicFileAttributes.class);
      if (!Objects.equals(key, a.fileKey())) {
        return State.GONE;
      }
      if (a.size() == size && a.lastModifiedTime().equals(changed)) {
        return State.OURS;
      }
      if (stamp != null && stamp.equals(Stamp.of(file))) {
        // Its bytes are the same; only its date is another.
        changed = a.lastModifiedTime();
        return State.OURS;
      }
      return State.OVERWRITTEN;
    } catch (NoSuchFileException e) {
      return State.GONE;
    } catch (IOException e) {
      return State.GONE;
    }
  }

  /** Puts the log into the file once there is much of it. */
  void afterChange() throws NotKept {
    try {
      if (Files.size(Companions.log(file)) > MUCH) {
        checkpoint("PRAGMA wal_checkpoint(TRUNCATE)");
      }
    } catch (NoSuchFileException e) {
      return;
    } catch (SQLException e) {
      throw Database.notKept(file, e);
    } catch (IOException e) {
      throw new NotKept(NotKept.Reason.OTHER, ProjectFile.name(file) + " cannot be written.", e);
    }
  }

  /** Puts the log into the file by a command. */
  void checkpoint(String command) throws SQLException, IOException {
    // Should this be cut short, the log beside the file is still its own, whatever its bytes are.
    lock.note("");
    stamp = null;
    database.execute(command);
    BasicFileAttributes a = Files.readAttributes(file, BasicFileAttributes.class);
    size = a.size();
    changed = a.lastModifiedTime();
    if (size <= SOON_SUMMED) {
      Stamp now = Stamp.of(file);
      stamp = now;
      lock.note(now.words());
    }
  }

  /** Empties the log, so that closing cannot put it into bytes that are not ours. */
  void dropLog() throws IOException {
    Path log = Companions.log(file);
    if (Files.exists(log)) {
      try (FileChannel channel = FileChannel.open(log, StandardOpenOption.WRITE)) {
        channel.truncate(0);
      }
    }
  }
}
