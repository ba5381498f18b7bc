package hammerman.bench;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Random;
import org.jspecify.annotations.Nullable;

/** What may happen to the files of a program that is in use; one thing at a time. */
final class Mishaps {
  private static final int PART = 1 << 16;

  /** More than this is left alone: the disk is no small one made for it. */
  private static final long LARGEST_DISK = 512L << 20;

  private final Random random;
  private final Path home;
  private final Path filler;
  private final boolean small;
  private int filled;
  private int moved;

  Mishaps(long seed, Path home) throws IOException {
    random = new Random(seed);
    this.home = home;
    filler = home.resolve("filler");
    small = Files.getFileStore(home).getTotalSpace() <= LARGEST_DISK;
  }

  /** Lets something happen, or what happened be over. */
  void next(@Nullable Path file) {
    try {
      if (Files.exists(filler)) {
        over();
      } else if (small && random.nextBoolean()) {
        fill();
      } else if (file != null && Files.exists(file)) {
        Files.move(file, home.resolve("files").resolve("moved-" + moved + ".hammerman"));
        moved++;
      }
    } catch (IOException e) {
      System.out.println("a mishap did not happen: " + e.getMessage());
    }
  }

  /** What happened to the disk is over. */
  void over() throws IOException {
    Files.deleteIfExists(filler);
  }

  /** Says what happened. */
  String said() {
    return "the disk was full %d times, the file was moved %d times".formatted(filled, moved);
  }

  private void fill() {
    filled++;
    byte[] part = new byte[PART];
    try (OutputStream out = Files.newOutputStream(filler)) {
      while (true) {
        out.write(part);
      }
    } catch (IOException e) {
      // It is full.
      return;
    }
  }
}
