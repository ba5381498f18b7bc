package hammerman.store;

import hammerman.record.Run;
import hammerman.record.Run.Channel;
import hammerman.record.RunSheet;
import hammerman.record.RunSheet.Holds;
import hammerman.table.TableFile;
import hammerman.table.UnreadableTable;
import hammerman.telemetry.Mapping;
import hammerman.telemetry.Quantity;
import hammerman.telemetry.Telemetry;
import hammerman.telemetry.TimeColumn;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.DigestInputStream;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.ArrayList;
import java.util.HexFormat;
import java.util.List;
import java.util.Optional;
import java.util.function.BooleanSupplier;
import java.util.function.DoubleConsumer;
import org.jspecify.annotations.Nullable;

/**
 * Takes in a log whole: every row and every column of figures, as the file has them, in the order
 * of the file. The first channel is the time from the first row, s. Words in a row count as missing
 * figures; the file itself is told by its hash.
 */
public final class LogImport {
  private final TableFile table;
  private final Mapping mapping;
  private final int timeColumn;

  /** What came in, and what it says as a load. */
  public record Imported(long samples, Telemetry telemetry) {}

  public LogImport(TableFile table, Mapping mapping) {
    this.table = table;
    this.mapping = mapping;
    timeColumn = mapping.source(Quantity.TIME).map(s -> table.indexOf(s.column())).orElse(-1);
  }

  /** Returns the run that the log is of, with its channels. */
  public Run run(String name) throws UnreadableTable {
    List<Channel> channels = new ArrayList<>();
    channels.add(new Channel("Time", "s"));
    for (int c = 0; c < table.columns().size(); c++) {
      if (c != timeColumn) {
        channels.add(channel(table.columns().get(c)));
      }
    }
    return new Run(
        name,
        "",
        String.valueOf(table.file().getFileName()),
        hash(table.file()),
        channels,
        RunSheet.NOTHING.withLog(holds()));
  }

  /** Which channel is what: the time comes first, the others in the order of their columns. */
  private List<Holds> holds() {
    List<Holds> all = new ArrayList<>();
    for (Quantity q : Quantity.values()) {
      if (q != Quantity.TIME) {
        mapping
            .source(q)
            .ifPresent(
                s -> {
                  int column = table.indexOf(s.column());
                  boolean flow = q == Quantity.CURRENT || q == Quantity.POWER;
                  int channel = column + (timeColumn < 0 || column < timeColumn ? 1 : 0);
                  all.add(
                      new Holds(q.name(), channel, s.unit(), flow && mapping.dischargeNegative()));
                });
      }
    }
    return all;
  }

  /** A unit in brackets at the end of a name is the unit. */
  private static Channel channel(String head) {
    String unit = head.replaceFirst("(?s)^.*[(\\[]([^()\\[\\]]*)[)\\]]\\s*$", "$1");
    boolean has = !unit.equals(head);
    return new Channel(
        has ? head.replaceFirst("\\s*[(\\[][^()\\[\\]]*[)\\]]\\s*$", "") : head, has ? unit : "");
  }

  /**
   * Reads the log.
   *
   * @param sink takes the samples as they come
   * @param progress told the share read, 0 to 1
   * @param cancelled asked now and then
   * @return what came in; empty if it was cancelled
   * @throws UnreadableTable if nothing can be made of it
   * @throws NotKept if the samples cannot be kept
   */
  public Optional<Imported> read(
      SampleWriter.Sink sink, DoubleConsumer progress, BooleanSupplier cancelled)
      throws UnreadableTable, NotKept {
    Rows rows = new Rows(sink);
    Optional<Telemetry> read =
        Telemetry.read(
            table, mapping, rows, progress, () -> rows.failed != null || cancelled.getAsBoolean());
    if (rows.failed != null) {
      throw rows.failed;
    }
    if (read.isEmpty()) {
      return Optional.empty();
    }
    rows.writer.finish();
    return Optional.of(new Imported(rows.writer.samples(), read.get()));
  }

  /** Writes each row into the channels. */
  private final class Rows implements TableFile.RowTaker {
    private final SampleWriter writer;
    private final TimeColumn time = new TimeColumn(table, mapping);
    private final double[] row = new double[table.columns().size() + (timeColumn < 0 ? 1 : 0)];
    private double first = Double.NaN;
    private @Nullable NotKept failed;

    Rows(SampleWriter.Sink sink) {
      writer = new SampleWriter(row.length, sink);
    }

    @Override
    public void take(long line, List<String> fields) {
      double read = time.read(fields);
      if (Double.isNaN(first)) {
        first = read;
      }
      row[0] = read - first;
      int at = 1;
      for (int c = 0; c < table.columns().size(); c++) {
        if (c != timeColumn) {
          row[at++] = c < fields.size() ? table.number(fields.get(c)) : Double.NaN;
        }
      }
      try {
        if (failed == null) {
          writer.add(row);
        }
      } catch (NotKept e) {
        failed = e;
      }
    }
  }

  private static String hash(Path file) throws UnreadableTable {
    try (InputStream in = Files.newInputStream(file);
        DigestInputStream digest =
            new DigestInputStream(in, MessageDigest.getInstance("SHA-256"))) {
      digest.transferTo(OutputStream.nullOutputStream());
      return HexFormat.of().formatHex(digest.getMessageDigest().digest());
    } catch (IOException e) {
      throw new UnreadableTable(
          file.getFileName() + " cannot be read to its end. Export it again.");
    } catch (NoSuchAlgorithmException e) {
      throw new IllegalStateException("every Java has SHA-256", e);
    }
  }
}
