package hammerman.bench;

import hammerman.finding.Station;
import hammerman.project.Shipped;
import hammerman.project.UnreadableProject;
import hammerman.record.InventoryCell;
import hammerman.record.Run;
import hammerman.record.Run.Channel;
import hammerman.record.RunSheet;
import hammerman.store.DesignState;
import hammerman.store.ProjectStore;
import hammerman.store.SampleWriter;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import org.apache.commons.io.FileUtils;

/**
 * A project's file with records, changed by SQL, in its bytes, or in the log beside it. One that is
 * refused must keep every byte, and have nothing new beside it.
 */
final class RecordMutants {
  private static final String[] VALUES = {
    "NULL", "''", "'x'", "-1", "0", "1e18", "9223372036854775807", "'{}'", "'null'", "X'00'"
  };

  private final Path folder;
  private final Random random;
  private final byte[] whole;
  private final byte[] before;
  private final byte[] pending;

  RecordMutants(Path parent, Random random) throws IOException {
    this.random = random;
    folder = parent.resolve("records");
    Files.createDirectories(folder);
    Path file = folder.resolve("whole.hammerman");
    Instant at = Instant.EPOCH;
    DesignState first = DesignState.of(1, at, Station.DUTY, "First", Shipped.terraceBarrow());
    try (ProjectStore store = ProjectStore.create(file, first, at)) {
      before = Files.readAllBytes(file);
      List<InventoryCell> cells = new ArrayList<>();
      for (int k = 0; k < 20; k++) {
        cells.add(InventoryCell.labelled("C" + k));
      }
      store.inventory().add(cells, at);
      Run run =
          new Run(
              "Run",
              "",
              "",
              "",
              List.of(new Channel("Time", "s"), new Channel("Voltage", "V")),
              RunSheet.NOTHING);
      long id = store.runBook().begin(run, null, at);
      SampleWriter writer = new SampleWriter(2, blocks -> store.runBook().append(id, blocks));
      for (int k = 0; k < 300; k++) {
        writer.add(new double[] {k, 48});
      }
      writer.finish();
      store.runBook().finish(id, writer.samples());
      pending = Files.readAllBytes(file.resolveSibling("whole.hammerman-wal"));
    }
    whole = Files.readAllBytes(file);
  }

  byte[] bytes() {
    return whole.clone();
  }

  byte[] log() {
    return pending.clone();
  }

  /** Opens the file of these bytes. */
  void opened(byte[] bytes) throws IOException {
    FileUtils.cleanDirectory(folder.toFile());
    Path file = folder.resolve("changed.hammerman");
    Files.write(file, bytes);
    open(file);
  }

  /** Opens the file with this log beside it. */
  void withLog(byte[] log) throws IOException {
    FileUtils.cleanDirectory(folder.toFile());
    Path file = folder.resolve("changed.hammerman");
    Files.write(file, before);
    Files.write(folder.resolve("changed.hammerman-wal"), log);
    open(file);
  }

  /** Changes a value of a random row by SQL, and opens the file. */
  void meddled(byte[] bytes) throws IOException {
    FileUtils.cleanDirectory(folder.toFile());
    Path file = folder.resolve("changed.hammerman");
    Files.write(file, bytes);
    try (Connection c = DriverManager.getConnection("jdbc:sqlite:" + file);
        Statement s = c.createStatement()) {
      List<String> columns = new ArrayList<>();
      for (String table : List.of("state", "present", "cell", "run", "channel", "block")) {
        try (ResultSet r = s.executeQuery("SELECT name FROM pragma_table_info('" + table + "')")) {
          while (r.next()) {
            columns.add(table + " SET " + r.getString(1));
          }
        }
      }
      s.execute(
          "UPDATE OR IGNORE "
              + columns.get(random.nextInt(columns.size()))
              + " = "
              + VALUES[random.nextInt(VALUES.length)]
              + " WHERE abs(random()) % 3 = 0");
    } catch (SQLException e) {
      // The tables themselves refuse such a value; the file is as it was.
      return;
    }
    open(file);
  }

  private void open(Path file) throws IOException {
    byte[] was = Files.readAllBytes(file);
    List<String> names = names();
    try (ProjectStore store = ProjectStore.open(file, Instant.EPOCH)) {
      store.design().line();
      store.design().marks();
      store.inventory().cells(0, 1000);
      store.inventory().tests();
      store.buildBook().steps();
      for (var run : store.runBook().runs(0, 1000)) {
        store.runBook().telemetry(run);
      }
      store.takeHidden();
    } catch (UnreadableProject e) {
      if (!Arrays.equals(was, Files.readAllBytes(file)) || !names.equals(names())) {
        throw new IllegalStateException("refused, but touched: " + e.getMessage());
      }
      throw e;
    }
  }

  private List<String> names() throws IOException {
    try (var files = Files.list(folder)) {
      return files.map(f -> f.getFileName().toString()).sorted().toList();
    }
  }
}
