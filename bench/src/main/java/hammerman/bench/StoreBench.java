package hammerman.bench;

import hammerman.finding.Station;
import hammerman.project.Shipped;
import hammerman.store.DesignState;
import hammerman.store.LogImport;
import hammerman.store.ProjectStore;
import hammerman.store.SampleWriter;
import hammerman.table.TableFile;
import hammerman.telemetry.Mapping;
import java.io.BufferedWriter;
import java.io.IOException;
import java.lang.management.ManagementFactory;
import java.lang.management.MemoryType;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.util.Arrays;
import java.util.function.BooleanSupplier;

/**
 * The project's file: how long opening takes once the library is loaded, a log of a million rows
 * taken in whole, its first picture, the pictures of a zoom, and the memory an import needs.
 */
final class StoreBench {
  private static final int ROWS = 1_000_000;
  private static final int SLOTS = 800;
  private static final int CHANNELS = 4;

  private StoreBench() {}

  static void run() throws Exception {
    Path folder = Scratch.folder("store");
    Instant now = Clock.systemUTC().instant();
    Path file = folder.resolve("demo.hammerman");
    long t = System.nanoTime();
    ProjectStore.create(
            file, DesignState.of(1, now, Station.DUTY, "First", Shipped.terraceBarrow()), now)
        .close();
    System.out.printf("library loaded and a file made: %.0f ms%n", since(t));
    double[] opening = new double[9];
    for (int k = 0; k < opening.length; k++) {
      t = System.nanoTime();
      try (ProjectStore store = ProjectStore.open(file, now)) {
        store.design().line().now().project();
        opening[k] = since(t);
      }
    }
    System.out.printf(
        "opening the demo: first %.0f ms, median %.0f ms%n", opening[0], median(opening));
    Path log = log(folder.resolve("log.csv"), ROWS);
    try (ProjectStore store = ProjectStore.open(file, now)) {
      for (int k = 0; k < 3; k++) {
        imported(store, log, now);
      }
      long run = store.runBook().runs(0, 1).getFirst().id();
      t = System.nanoTime();
      drawn(store, run, 0, ROWS);
      System.out.printf("first picture of %d samples: %.0f ms%n", ROWS, since(t));
      double[] frames = new double[200];
      double span = ROWS;
      for (int k = 0; k < frames.length; k++) {
        span = Math.max(200, span * 0.96);
        long from = (long) ((ROWS - span) * 0.37);
        t = System.nanoTime();
        drawn(store, run, from, from + (long) span);
        frames[k] = since(t);
      }
      System.out.printf(
          "zoom, %d channels: median %.1f ms, worst %.1f ms a picture%n",
          CHANNELS, median(frames), Arrays.stream(frames).max().orElse(0));
    }
    System.out.printf("file with three such logs: %d MB%n", Files.size(file) >> 20);
  }

  private static void imported(ProjectStore store, Path log, Instant now) throws Exception {
    System.gc();
    long before = used();
    long[] most = {before};
    long t = System.nanoTime();
    TableFile table = TableFile.open(log);
    LogImport in = new LogImport(table, Mapping.guess(table));
    long run = store.runBook().begin(in.run("Run"), null, now);
    SampleWriter.Sink sink = blocks -> store.runBook().append(run, blocks);
    BooleanSupplier look =
        () -> {
          most[0] = Math.max(most[0], used());
          return false;
        };
    LogImport.Imported read = in.read(sink, share -> {}, look).orElseThrow();
    store.runBook().finish(run, read.samples());
    double kept = since(t);
    read.telemetry().asTask();
    System.out.printf(
        "a log of %d rows and %d channels taken in whole: %.2f s, with the duty made of it %.2f s;"
            + " live heap at most %d MB above where it was%n",
        read.samples(), 6, kept / 1000, since(t) / 1000, (most[0] - before) >> 20);
  }

  private static void drawn(ProjectStore store, long run, long from, long to) throws IOException {
    for (int c = 0; c < CHANNELS; c++) {
      store.runBook().trace(run, c, from, to, SLOTS);
    }
  }

  /** Writes a log. */
  static Path log(Path file, int rows) throws IOException {
    try (BufferedWriter out = Files.newBufferedWriter(file)) {
      out.write("Time (ms);Voltage (V);Current (A);Speed (km/h);Temp (°C);Mark\n");
      for (int k = 0; k < rows; k++) {
        int amps = 200 + (k / 500 * 37) % 300;
        out.write(k * 100L + ";48," + k % 97 + ";" + amps / 10 + "," + amps % 10 + ";4,2;31,5;7\n");
      }
    }
    return file;
  }

  /** Heap that the last collections left in use, bytes: what lives, without what waits to go. */
  private static long used() {
    return ManagementFactory.getMemoryPoolMXBeans().stream()
        .filter(p -> p.getType() == MemoryType.HEAP && p.getCollectionUsage() != null)
        .mapToLong(p -> p.getCollectionUsage().getUsed())
        .sum();
  }

  private static double since(long nanos) {
    return (System.nanoTime() - nanos) / 1e6;
  }

  private static double median(double[] values) {
    double[] sorted = values.clone();
    Arrays.sort(sorted);
    return sorted[sorted.length / 2];
  }
}
