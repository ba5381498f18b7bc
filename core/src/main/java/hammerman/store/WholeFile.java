package hammerman.store;

import java.io.IOException;
import java.nio.file.AtomicMoveNotSupportedException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;

/** Writes a file as a whole: what was there stays until all of the new one is on the disk. */
public final class WholeFile {
  private WholeFile() {}

  /**
   * Writes a file in the place of what was there.
   *
   * @throws IOException if it cannot be written; what was there is untouched then
   */
  public static void write(Path file, byte[] bytes) throws IOException {
    Path target = Files.exists(file) ? file.toRealPath() : file.toAbsolutePath();
    Path beside = target.resolveSibling("." + target.getFileName() + ".new");
    try {
      Files.write(beside, bytes);
      try {
        Files.move(
            beside, target, StandardCopyOption.ATOMIC_MOVE, StandardCopyOption.REPLACE_EXISTING);
      } catch (AtomicMoveNotSupportedException e) {
        Files.move(beside, target, StandardCopyOption.REPLACE_EXISTING);
      }
    } finally {
      Files.deleteIfExists(beside);
    }
  }
}
