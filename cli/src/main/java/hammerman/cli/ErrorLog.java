package hammerman.cli;

import hammerman.store.ProgramFolder;
import java.io.IOException;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.time.Instant;

/** Errors that are this program's own, written into a file for whoever mends them. */
final class ErrorLog {
  /** Beyond this the file is begun anew, and the one before stays beside it; bytes. */
  private static final long MOST = 1 << 20;

  private ErrorLog() {}

  /** Writes an error down, and returns a sentence that says where. */
  static String note(Exception e) {
    Path file = ProgramFolder.home().resolve("errors.log");
    try {
      Files.createDirectories(ProgramFolder.home());
      if (Files.exists(file) && Files.size(file) > MOST) {
        Files.move(
            file, file.resolveSibling("errors.log.before"), StandardCopyOption.REPLACE_EXISTING);
      }
      StringWriter words = new StringWriter();
      e.printStackTrace(new PrintWriter(words));
      Files.writeString(
          file, Instant.now() + " " + words, StandardOpenOption.CREATE, StandardOpenOption.APPEND);
      return "internal error, written down in %s: %s".formatted(file, e);
    } catch (IOException f) {
      return "internal error: " + e;
    }
  }
}
