package hammerman.bench;

import hammerman.duty.Task;
import hammerman.table.TableFile;
import hammerman.table.UnreadableTable;
import hammerman.telemetry.Mapping;
import hammerman.telemetry.Telemetry;
import java.io.BufferedWriter;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.TearDown;
import org.openjdk.jmh.annotations.Warmup;

/** A log of a million rows, from the file to the duty; the first run counts as a user meets it. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.SingleShotTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 0)
@Measurement(iterations = 4)
@Fork(1)
public class LogBench {
  private static final int ROWS = 1_000_000;

  private Path file = Path.of("unset");

  /** Writes a log with six columns and a decimal comma. */
  @Setup
  public void write() throws IOException {
    file = Files.createTempFile("hammerman", ".csv");
    try (BufferedWriter out = Files.newBufferedWriter(file)) {
      out.write("Time (ms);Voltage (V);Current (A);Speed (km/h);Temp (°C);Mark\n");
      for (int k = 0; k < ROWS; k++) {
        int amps = 200 + (k / 500 * 37) % 300;
        out.write(k * 100L + ";48," + k % 97 + ";" + amps / 10 + "," + amps % 10 + ";4,2;31,5;a\n");
      }
    }
  }

  /** Removes it. */
  @TearDown
  public void remove() throws IOException {
    Files.deleteIfExists(file);
  }

  /** Opens, maps, reads and reduces. */
  @Benchmark
  public Task.ByLog millionRows() throws UnreadableTable {
    TableFile table = TableFile.open(file);
    return Telemetry.read(table, Mapping.guess(table), p -> {}, () -> false).orElseThrow().asTask();
  }
}
