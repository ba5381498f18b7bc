package hammerman.bench;

import hammerman.store.DesignState;
import hammerman.store.NotKept;
import hammerman.store.ProjectStore;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.concurrent.TimeUnit;
import org.apache.commons.io.FileUtils;

/**
 * Kills a program that edits, records and imports, at random moments, and looks what is in its
 * file: it must open, lack at most the edits of the last 250 ms, and hold every fact that the
 * program said was kept.
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
    long facts = 0;
    long lostFacts = 0;
    long runs = 0;
    List<Long> missing = new ArrayList<>();
    for (int k = 0; k < kills; k++) {
      Path file = folder.resolve("pack.hammerman");
      if (k % KILLS_PER_FILE == 0) {
        FileUtils.cleanDirectory(folder.toFile());
      }
      // Now and then while it still opens.
      int after = random.nextInt(6) == 0 ? random.nextInt(20) : 20 + random.nextInt(900);
      Killed killed = killed(file, after, random.nextLong());
      edits += killed.made().size();
      settle(file);
      try (ProjectStore store = ProjectStore.open(file, Clock.systemUTC().instant())) {
        DesignState last = store.design().present();
        last.project();
        store.runBook().endCutShort();
        runs += store.runBook().count();
        lostFacts += killed.missing(store);
        facts += killed.facts();
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
    System.out.printf(
        "facts that were said to be kept: %d, of which %d are missing%n", facts, lostFacts);
    System.out.println("milliseconds lacking, worst ten: " + worst(lost));
  }

  /** The work may have gone on under the other name when it was killed; the later one counts. */
  private static void settle(Path file) throws IOException {
    Path other = file.resolveSibling("other.hammerman");
    if (!Files.exists(other)) {
      return;
    }
    if (!Files.exists(file) || last(other) > last(file)) {
      ProjectStore.delete(file);
      ProjectStore.move(other, file);
    } else {
      ProjectStore.delete(other);
    }
  }

  private static long last(Path file) throws IOException {
    try (ProjectStore store = ProjectStore.look(file)) {
      return store.design().present().id();
    }
  }

  private static String worst(long[] sorted) {
    return Arrays.toString(
        Arrays.copyOfRange(sorted, Math.max(0, sorted.length - 10), sorted.length));
  }

  private record Made(long id, long at) {}

  /**
   * What a killed program had said.
   *
   * @param cells labels of those that were kept
   * @param heard samples of each live run that were on the disk
   */
  private record Killed(List<Made> made, Set<String> cells, Map<String, Long> heard, long at) {
    int facts() {
      return cells.size() + heard.size();
    }

    /** How many of the facts are not in the file. */
    long missing(ProjectStore store) throws NotKept {
      Set<String> there = new HashSet<>();
      store.inventory().cells(0, Integer.MAX_VALUE).forEach(c -> there.add(c.value().label()));
      Map<String, Long> samples = new HashMap<>();
      for (var run : store.runBook().runs(0, Integer.MAX_VALUE)) {
        samples.put(run.value().name(), store.runBook().samples(run.id()));
      }
      long lost = cells.stream().filter(c -> !there.contains(c)).count();
      for (Map.Entry<String, Long> h : heard.entrySet()) {
        lost += samples.getOrDefault(h.getKey(), 0L) < h.getValue() ? 1 : 0;
      }
      return lost;
    }
  }

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
    Set<String> cells = new HashSet<>();
    Map<String, Long> heard = new HashMap<>();
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
      } else if (parts.length == 2 && parts[0].equals("kept")) {
        cells.add(parts[1]);
      } else if (parts.length == 4 && parts[0].equals("heard")) {
        heard.put(parts[2] + " " + parts[3], Long.parseLong(parts[1]));
      } else if (!line.isBlank()) {
        System.out.println("the program said: " + line);
      }
    }
    child.waitFor();
    return new Killed(made, cells, heard, at);
  }
}
