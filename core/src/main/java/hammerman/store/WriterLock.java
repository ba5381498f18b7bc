package hammerman.store;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.channels.OverlappingFileLockException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.time.Instant;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.Locale;
import org.jspecify.annotations.Nullable;

/**
 * Whose a file is to write: a lock of the operating system on a small file beside it, which says
 * who. The system gives it up when its program ends, however it ends.
 */
final class WriterLock implements AutoCloseable {
  /** Beyond the text, so that who has it can be read where locks keep readers out too. */
  private static final long PLACE = Long.MAX_VALUE - 1;

  private static final int LONGEST = 300;
  private static final DateTimeFormatter TIME =
      DateTimeFormatter.ofPattern("d MMM HH:mm", Locale.ENGLISH);

  private final Path beside;
  private final FileChannel channel;
  private final FileLock lock;

  private WriterLock(Path beside, FileChannel channel, FileLock lock) {
    this.beside = beside;
    this.channel = channel;
    this.lock = lock;
  }

  /**
   * Takes a file.
   *
   * @throws InUse if another has it
   * @throws IOException if nothing can be written beside it
   */
  static WriterLock take(Path file, Instant now) throws IOException {
    Path beside = beside(file);
    FileChannel channel =
        FileChannel.open(
            beside, StandardOpenOption.CREATE, StandardOpenOption.READ, StandardOpenOption.WRITE);
    try {
      FileLock lock = tryLock(channel);
      if (lock == null) {
        throw new InUse(
            "%s is being worked on in another window%s."
                .formatted(file.getFileName(), who(channel)));
      }
      channel.truncate(0);
      channel.write(
          ByteBuffer.wrap(
              "by %s since %s (process %d)"
                  .formatted(
                      System.getProperty("user.name", "somebody"),
                      TIME.format(now.atZone(ZoneId.systemDefault())),
                      ProcessHandle.current().pid())
                  .getBytes(StandardCharsets.UTF_8)));
      return new WriterLock(beside, channel, lock);
    } catch (IOException e) {
      channel.close();
      throw e;
    }
  }

  /** Whether somebody has a file now. */
  static boolean isTaken(Path file) {
    Path beside = beside(file);
    if (!Files.exists(beside)) {
      return false;
    }
    try (FileChannel channel = FileChannel.open(beside, StandardOpenOption.WRITE)) {
      FileLock lock = tryLock(channel);
      if (lock == null) {
        return true;
      }
      lock.release();
      return false;
    } catch (IOException e) {
      return false;
    }
  }

  private static @Nullable FileLock tryLock(FileChannel channel) throws IOException {
    try {
      return channel.tryLock(PLACE, 1, false);
    } catch (OverlappingFileLockException e) {
      return null;
    }
  }

  private static String who(FileChannel channel) {
    ByteBuffer text = ByteBuffer.allocate(LONGEST);
    try {
      channel.read(text, 0);
    } catch (IOException e) {
      return "";
    }
    String words =
        new String(text.array(), 0, text.position(), StandardCharsets.UTF_8)
            .replaceAll("\\p{Cntrl}", " ")
            .strip();
    return words.isEmpty() ? "" : " " + words;
  }

  static Path beside(Path file) {
    return file.resolveSibling("." + file.getFileName() + ".lock");
  }

  @Override
  public void close() {
    try {
      Files.deleteIfExists(beside);
      lock.release();
      channel.close();
    } catch (IOException e) {
      // The system frees it when the program ends; a lock file without a lock is nobody's.
      return;
    }
  }
}
