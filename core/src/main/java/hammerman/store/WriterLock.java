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
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
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

  /**
   * What this program holds, and by whom. Such a lock file must not be opened again here: the
   * system gives all of a program's locks on a file up when any of its channels to it is closed.
   */
  private static final Map<Path, String> HERE = new ConcurrentHashMap<>();

  private final Path beside;
  private final FileChannel channel;
  private final FileLock lock;
  private final String before;
  private final String who;

  private WriterLock(Path beside, FileChannel channel, FileLock lock, String before, String who) {
    this.beside = beside;
    this.channel = channel;
    this.lock = lock;
    this.before = before;
    this.who = who;
  }

  /**
   * Takes a file.
   *
   * @throws InUse if another has it
   * @throws IOException if nothing can be written beside it
   */
  static WriterLock take(Path file, Instant now) throws IOException {
    Path beside = beside(file);
    String here = HERE.get(beside);
    if (here != null) {
      throw inUse(file, " " + here);
    }
    FileChannel channel =
        FileChannel.open(
            beside, StandardOpenOption.CREATE, StandardOpenOption.READ, StandardOpenOption.WRITE);
    try {
      FileLock lock = tryLock(channel);
      if (lock == null) {
        throw inUse(file, who(channel));
      }
      String who =
          "by %s since %s (process %d)"
              .formatted(
                  System.getProperty("user.name", "somebody"),
                  TIME.format(now.atZone(ZoneId.systemDefault())),
                  ProcessHandle.current().pid());
      WriterLock taken = new WriterLock(beside, channel, lock, text(channel), who);
      HERE.put(beside, who);
      return taken;
    } catch (IOException e) {
      channel.close();
      throw e;
    }
  }

  /**
   * Writes down something beside who has the file, for whoever finds it if this program is killed.
   */
  void note(String words) throws IOException {
    byte[] text = (who + "\n" + words).getBytes(StandardCharsets.UTF_8);
    channel.write(ByteBuffer.wrap(text), 0);
    channel.truncate(text.length);
    channel.force(false);
  }

  /** Returns what was noted by a program that had the file before and did not close it. */
  String noted() {
    return afterFirstLine(before);
  }

  /** The same of a file that nobody has. */
  static String noted(Path file) {
    Path beside = beside(file);
    if (HERE.containsKey(beside) || !Files.isRegularFile(beside)) {
      return "";
    }
    try (FileChannel channel = FileChannel.open(beside, StandardOpenOption.READ)) {
      return afterFirstLine(text(channel));
    } catch (IOException e) {
      return "";
    }
  }

  private static String afterFirstLine(String text) {
    int end = text.indexOf('\n');
    return end < 0 ? "" : text.substring(end + 1);
  }

  /** Whether somebody has a file now. */
  static boolean isTaken(Path file) {
    Path beside = beside(file);
    if (HERE.containsKey(beside)) {
      return true;
    }
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

  private static InUse inUse(Path file, String who) {
    return new InUse(
        "%s is being worked on in another window%s.".formatted(file.getFileName(), who));
  }

  private static @Nullable FileLock tryLock(FileChannel channel) throws IOException {
    try {
      return channel.tryLock(PLACE, 1, false);
    } catch (OverlappingFileLockException e) {
      return null;
    }
  }

  private static String who(FileChannel channel) {
    String words =
        text(channel).lines().findFirst().orElse("").replaceAll("\\p{Cntrl}", " ").strip();
    return words.isEmpty() ? "" : " " + words;
  }

  private static String text(FileChannel channel) {
    ByteBuffer text = ByteBuffer.allocate(LONGEST);
    try {
      channel.read(text, 0);
    } catch (IOException e) {
      return "";
    }
    return new String(text.array(), 0, text.position(), StandardCharsets.UTF_8);
  }

  static Path beside(Path file) {
    return file.toAbsolutePath().resolveSibling("." + file.getFileName() + ".lock");
  }

  @Override
  public void close() {
    HERE.remove(beside);
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
