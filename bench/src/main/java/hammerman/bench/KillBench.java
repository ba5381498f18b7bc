package hammerman.bench;

import hammerman.store.DesignState;
import hammerman.store.ProjectStore;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import org.apache.commons.io.FileUtils;

/**
 * Kills a program that edits, records and imports, at random moments, and looks what is in its
 * file: it must open, and lack at most the edits of the last 250 ms.
 */
final class KillBench {
  private static final long SEED = 20_261;
  private static final long PROMISED_MS = 250;

  /** A file is killed again and again, but not for ever: every opening checks all that is in it. */
  private static final int KILLS_PER_FILE = 5;

  private KillBench() {}

  static void run(int kills) throws IOException, InterruptedException {
    Random random = new Random(SEED);
    Path folder = Scratch.folder("kill");
    int unopened = 0;
    int late = 0;
    long edits = 0;
    long runs = 0;
    List<Long> missing = new ArrayList<>();
    for (int k = 0; k < kills; k++) {
      Path file = folder.resolve("pack.hammerman");
      if (k % KILLS_PER_FILE == 0) {
        FileUtils.cleanDirectory(folder.toFile());
      }
      int after = 20 + random.nextInt(900);
      Killed killed = killed(file, after, random.nextLong());
      edits += killed.made().size();
      try (ProjectStore store = ProjectStore.open(file, Clock.systemUTC().instant())) {
        DesignState last = store.design().present();
        last.project();
        store.runBook().removeUnfinished();
        runs += store.runBook().count();
        long lost = 0;
        for (Made m : killed.made()) {
          if (m.id() > last.id()) {
            lost = Math.max(lost, killed.at() - m.at());
          }
        }
        missing.add(lost);
        if (lost > PROMISED_MS) {
          late++;
          System.out.println("killed after " + after + " ms: lacks the last " + lost + " ms");
        }
      } catch (IOException e) {
        unopened++;
        System.out.println("kill " + k + ": " + e.getMessage());
      }
    }
    long[] lost = missing.stream().mapToLong(Long::longValue).sorted().toArray();
    System.out.printf(
        "%d kills among %d edits: %d files do not open, %d lack more than %d ms; edits lacking go"
            + " back %d ms at most, %d ms in the median; whole runs found: %d%n",
        kills,
        edits,
        unopened,
        late,
        PROMISED_MS,
        lost.length == 0 ? 0 : lost[lost.length - 1],
        lost.length == 0 ? 0 : lost[lost.length / 2],
        runs);
    System.out.println("milliseconds lacking, worst ten: " + worst(lost));
  }

  private static String worst(long[] sorted) {
    return Arrays.toString(
        Arrays.copyOfRange(sorted, Math.max(0, sorted.length - 10), sorted.length));
  }

  private record Made(long id, long at) {}

  private record Killed(List<Made> made, long at) {}

  private static Killed killed(Path file, long afterMs, long seed)
      throws IOException, InterruptedException {
    Process child =
        new ProcessBuilder(
                Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                "--enable-native-access=ALL-UNNAMED",
                "-XX:+UseSerialGC",
                "-XX:TieredStopAtLevel=1",
                "-Djava.io.tmpdir=" + file.getParent(),
                "-cp",
                System.getProperty("java.class.path"),
                KillChild.class.getName(),
                file.toString(),
                Long.toString(seed))
            .redirectErrorStream(true)
            .start();
    List<Made> made = new ArrayList<>();
    BufferedReader said =
        new BufferedReader(new InputStreamReader(child.getInputStream(), StandardCharsets.UTF_8));
    String first = said.readLine();
    while (first != null && !first.startsWith("ready")) {
      first = said.readLine();
    }
    TimeUnit.MILLISECONDS.sleep(afterMs);
    long at = System.currentTimeMillis();
    // By its handle: ending the process itself would close what it said before.
    child.toHandle().destroyForcibly();
    for (String line = said.readLine(); line != null; line = said.readLine()) {
      String[] parts = line.split(" ", -1);
      if (parts.length == 3 && parts[0].equals("made")) {
        made.add(new Made(Long.parseLong(parts[1]), Long.parseLong(parts[2])));
      } else {
        System.out.println("the program said: " + line);
      }
    }
    child.waitFor();
    return new Killed(made, at);
  }
}
