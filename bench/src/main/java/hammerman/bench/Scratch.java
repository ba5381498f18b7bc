package hammerman.bench;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.apache.commons.io.FileUtils;

/** Folders of a measurement, gone when it ends. */
final class Scratch {
  private Scratch() {}

  static Path folder(String measurement) throws IOException {
    Path folder = Files.createTempDirectory("hammerman-" + measurement);
    Runtime.getRuntime()
        .addShutdownHook(new Thread(() -> FileUtils.deleteQuietly(folder.toFile()), "scratch"));
    return folder;
  }
}
