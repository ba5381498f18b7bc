package hammerman.telemetry;

import hammerman.duty.Load;
import hammerman.duty.Task;
import hammerman.table.TableFile;
import hammerman.table.UnreadableTable;
import hammerman.unit.Figures;
import java.util.Arrays;
import java.util.Comparator;
import java.util.Map;
import java.util.Optional;
import java.util.function.BooleanSupplier;
import java.util.function.DoubleConsumer;
import java.util.stream.IntStream;

/**
 * A log of a run: equally indexed samples in the order of time, discharge positive. A channel that
 * the log does not have is empty. Never changed once made.
 */
public final class Telemetry {
  private static final int FEWEST = 2;

  /** A logger may write rows out of order by as much, s. */
  private static final double DISORDER = 30;

  private static final int FEWEST_OF_A_RUN = 20;
  private static final int MOST_RUNS = 50;

  private final String name;
  private final double[][] samples;
  private final int size;
  private final long skipped;
  private final int runs;

  private Telemetry(String name, double[][] samples, int size, long skipped, int runs) {
    this.name = name;
    this.samples = samples;
    this.size = size;
    this.skipped = skipped;
    this.runs = runs;
  }

  /**
   * Reads a log.
   *
   * <p>Rows without a time or a flow are passed over and counted; rows out of order are sorted; of
   * rows at the same time the last counts. A clock that comes to midnight goes on into the next
   * day. Where the time begins anew in the middle the file holds several runs; the longest is
   * taken, and the rows of the others are passed over.
   *
   * @param progress told the share read, 0 to 1
   * @param cancelled asked now and then
   * @return the log; empty if it was cancelled
   * @throws UnreadableTable if nothing can be made of it, saying why
   */
  public static Optional<Telemetry> read(
      TableFile table, Mapping mapping, DoubleConsumer progress, BooleanSupplier cancelled)
      throws UnreadableTable {
    return read(table, mapping, (line, fields) -> {}, progress, cancelled);
  }

  /**
   * Reads a log, and hands every row on as it is.
   *
   * @param also takes every row, before it is judged
   * @see #read(TableFile, Mapping, DoubleConsumer, BooleanSupplier)
   */
  public static Optional<Telemetry> read(
      TableFile table,
      Mapping mapping,
      TableFile.RowTaker also,
      DoubleConsumer progress,
      BooleanSupplier cancelled)
      throws UnreadableTable {
    String name = String.valueOf(table.file().getFileName());
    check(name, mapping);
    LogRows rows = new LogRows(table, mapping);
    boolean whole =
        table.rows(
            (line, fields) -> {
              also.take(line, fields);
              rows.take(line, fields);
            },
            progress,
            cancelled);
    return whole
        ? Optional.of(made(name, rows.samples(), rows.size(), rows.skipped(), rows.firstBad()))
        : Optional.empty();
  }

  /**
   * A log whose samples are known already, each channel in the core's unit and as long as the time.
   *
   * @return empty if they are not a log: fewer than two samples, no flow, or no time to speak of
   */
  public static Optional<Telemetry> of(String name, Map<Quantity, double[]> channels) {
    double[] time = channels.getOrDefault(Quantity.TIME, new double[0]);
    boolean flow = channels.containsKey(Quantity.CURRENT) || channels.containsKey(Quantity.POWER);
    if (!flow || channels.values().stream().anyMatch(c -> c.length != time.length)) {
      return Optional.empty();
    }
    double[][] samples = new double[Quantity.values().length][0];
    channels.forEach((q, values) -> samples[q.ordinal()] = values.clone());
    int n = whole(samples, time.length);
    try {
      return Optional.of(made(name, samples, n, time.length - n, Optional.empty()));
    } catch (UnreadableTable e) {
      return Optional.empty();
    }
  }

  /** Moves the samples that have a time and a flow to the front, and returns how many there are. */
  private static int whole(double[][] samples, int size) {
    double[] power = samples[Quantity.POWER.ordinal()];
    double[] flow = power.length > 0 ? power : samples[Quantity.CURRENT.ordinal()];
    int kept = 0;
    for (int k = 0; k < size; k++) {
      if (Double.isFinite(samples[Quantity.TIME.ordinal()][k]) && Double.isFinite(flow[k])) {
        for (double[] channel : samples) {
          if (channel.length > 0) {
            channel[kept] = channel[k];
          }
        }
        kept++;
      }
    }
    return kept;
  }

  private static void check(String name, Mapping mapping) throws UnreadableTable {
    if (mapping.source(Quantity.TIME).isEmpty()) {
      throw new UnreadableTable(
          name + ": no column holds the time. Choose the one that does, with its unit.");
    }
    if (mapping.source(Quantity.CURRENT).isEmpty() && mapping.source(Quantity.POWER).isEmpty()) {
      throw new UnreadableTable(
          name + ": no column holds a current or a power. Choose the one that does.");
    }
  }

  private static Telemetry made(
      String name, double[][] samples, int size, long skipped, Optional<String> firstBad)
      throws UnreadableTable {
    int n = size;
    double[] time = samples[Quantity.TIME.ordinal()];
    int[] runs = runs(time, n);
    if (runs.length > 2) {
      n = longest(samples, runs);
    } else if (!sorted(time, n)) {
      sort(samples, n);
    }
    n = withoutRepeats(samples, n);
    if (n < FEWEST) {
      throw new UnreadableTable(
          name
              + ": only "
              + n
              + " rows have both a time and a flow"
              + firstBad.map(b -> " (" + b + ")").orElse("")
              + "; at least 2 are needed. Check which columns are chosen.");
    }
    double first = samples[Quantity.TIME.ordinal()][0];
    for (int k = 0; k < n; k++) {
      samples[Quantity.TIME.ordinal()][k] -= first;
    }
    double span = samples[Quantity.TIME.ordinal()][n - 1];
    if (!(span >= 1) || span > Load.LONGEST) {
      throw new UnreadableTable(
          name
              + " spans "
              + Figures.duration(span)
              + "; a load must last from 1 s to 30 d. Check the unit of the time column.");
    }
    return new Telemetry(name, samples, n, skipped + size - n, runs.length - 1);
  }

  /** Returns the number of samples. */
  public int size() {
    return size;
  }

  /** Returns how many rows could not be used. */
  public long skipped() {
    return skipped;
  }

  /** Returns how many runs the log held, of which this is the longest. */
  public int runs() {
    return runs;
  }

  /** Returns the time from the first to the last sample, s. */
  public double duration() {
    return at(Quantity.TIME, size - 1);
  }

  /** Whether the log has a channel. */
  public boolean has(Quantity quantity) {
    return samples[quantity.ordinal()].length > 0;
  }

  /** Returns a sample in the core's unit: s, V, A, W, m/s, K; NaN where it was missing. */
  public double at(Quantity quantity, int index) {
    return samples[quantity.ordinal()][index];
  }

  /** Returns the power at a sample, W; NaN if it is not known. */
  public double power(int index) {
    if (has(Quantity.POWER)) {
      return at(Quantity.POWER, index);
    }
    return has(Quantity.VOLTAGE)
        ? at(Quantity.VOLTAGE, index) * at(Quantity.CURRENT, index)
        : Double.NaN;
  }

  /** Returns what kind of load the log tells: power if it can be known, else current. */
  public Task.ByLog.Quantity flow() {
    return has(Quantity.POWER) || has(Quantity.VOLTAGE)
        ? Task.ByLog.Quantity.POWER
        : Task.ByLog.Quantity.CURRENT;
  }

  /** Returns the highest power or current of the log. */
  public double peak() {
    double most = 0;
    for (int k = 0; k < size; k++) {
      double v = value(k);
      most = v > most ? v : most;
    }
    return most;
  }

  double value(int index) {
    return flow() == Task.ByLog.Quantity.POWER ? power(index) : at(Quantity.CURRENT, index);
  }

  /** Returns the log as a duty, reduced to steps that keep its energy and its course. */
  public Task.ByLog asTask() {
    String held =
        "%s, %d rows over %s".formatted(name, size, Figures.duration(duration()))
            + (runs > 1 ? ", the longest of " + runs + " runs" : "")
            + (skipped > 0 ? ", " + skipped + " passed over" : "");
    return new Task.ByLog(held, flow(), Reduction.of(this), 1);
  }

  /**
   * Where runs begin and end that lie one after the other in a file: the time falls back there by
   * more than a logger's disorder, and each of them is long enough to be one.
   */
  private static int[] runs(double[] time, int n) {
    int[] at = new int[MOST_RUNS + 1];
    int found = 0;
    at[0] = 0;
    for (int k = 1; k < n; k++) {
      if (time[k] < time[k - 1] - DISORDER) {
        if (++found >= MOST_RUNS || k - at[found - 1] < FEWEST_OF_A_RUN) {
          return new int[] {0, n};
        }
        at[found] = k;
      }
    }
    if (n - at[found] < FEWEST_OF_A_RUN) {
      return new int[] {0, n};
    }
    at[++found] = n;
    return Arrays.copyOf(at, found + 1);
  }

  /** Moves the longest run to the front, and returns how many samples it has. */
  private static int longest(double[][] samples, int[] runs) {
    int best = 0;
    for (int k = 1; k < runs.length - 1; k++) {
      best = runs[k + 1] - runs[k] > runs[best + 1] - runs[best] ? k : best;
    }
    int n = runs[best + 1] - runs[best];
    for (double[] channel : samples) {
      if (channel.length > 0) {
        System.arraycopy(channel, runs[best], channel, 0, n);
      }
    }
    return n;
  }

  private static boolean sorted(double[] time, int n) {
    for (int k = 1; k < n; k++) {
      if (time[k] < time[k - 1]) {
        return false;
      }
    }
    return true;
  }

  private static void sort(double[][] samples, int n) {
    double[] time = samples[Quantity.TIME.ordinal()];
    int[] order =
        IntStream.range(0, n)
            .boxed()
            .sorted(Comparator.comparingDouble(k -> time[k]))
            .mapToInt(Integer::intValue)
            .toArray();
    for (int c = 0; c < samples.length; c++) {
      if (samples[c].length > 0) {
        double[] moved = new double[n];
        for (int k = 0; k < n; k++) {
          moved[k] = samples[c][order[k]];
        }
        samples[c] = moved;
      }
    }
  }

  private static int withoutRepeats(double[][] samples, int n) {
    double[] time = samples[Quantity.TIME.ordinal()];
    int kept = 0;
    for (int k = 0; k < n; k++) {
      if (kept > 0 && time[k] == time[kept - 1]) {
        kept--;
      }
      for (double[] channel : samples) {
        if (channel.length > 0) {
          channel[kept] = channel[k];
        }
      }
      kept++;
    }
    return kept;
  }
}
