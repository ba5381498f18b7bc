package hammerman.device;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import org.jspecify.annotations.Nullable;

/**
 * Reads lines of which none is longer than {@value Fields#LONGEST} characters: what is beyond is
 * dropped while it is read, so that a device that never ends its line takes no memory. Not safe for
 * several threads.
 */
public final class LineReader {
  private static final int CUT = Fields.LONGEST + 1;

  private final BufferedReader in;
  private final StringBuilder line = new StringBuilder();

  /** Reads a stream of UTF-8. */
  public LineReader(InputStream stream) {
    in = new BufferedReader(new InputStreamReader(stream, StandardCharsets.UTF_8));
  }

  /**
   * Waits for a line.
   *
   * @return it without its end, one character too long if it was cut; null at the end of the stream
   * @throws IOException if the stream breaks
   */
  public @Nullable String next() throws IOException {
    line.setLength(0);
    int c = in.read();
    if (c < 0) {
      return null;
    }
    while (c >= 0 && c != '\n') {
      if (line.length() < CUT) {
        line.append((char) c);
      }
      c = in.read();
    }
    int end = line.length();
    return end > 0 && line.charAt(end - 1) == '\r' ? line.substring(0, end - 1) : line.toString();
  }
}
