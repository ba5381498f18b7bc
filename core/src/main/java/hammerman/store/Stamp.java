package hammerman.store;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.zip.CRC32C;

/**
 * The very bytes of a file, told apart from those of another: its size and a checksum (CRC-32C).
 *
 * @param size of the file, bytes
 * @param sum of its bytes
 */
record Stamp(long size, long sum) {
  private static final Pattern WORDS = Pattern.compile("bytes (\\d+) ([0-9a-f]+)");

  static Stamp of(Path file) throws IOException {
    CRC32C sum = new CRC32C();
    long size = 0;
    byte[] part = new byte[1 << 16];
    try (InputStream in = Files.newInputStream(file)) {
      for (int n = in.read(part); n > 0; n = in.read(part)) {
        sum.update(part, 0, n);
        size += n;
      }
    }
    return new Stamp(size, sum.getValue());
  }

  String words() {
    return "bytes %d %x".formatted(size, sum);
  }

  /** Finds one in a text. */
  static Optional<Stamp> in(String text) {
    Matcher m = WORDS.matcher(text);
    try {
      return m.find()
          ? Optional.of(new Stamp(Long.parseLong(m.group(1)), Long.parseLong(m.group(2), 16)))
          : Optional.empty();
    } catch (NumberFormatException e) {
      return Optional.empty();
    }
  }
}
