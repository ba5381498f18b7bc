package hammerman.store;

import hammerman.store.NotKept.Reason;
import hammerman.unit.Sentence;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.apache.commons.io.FileUtils;
import org.jspecify.annotations.Nullable;
import org.sqlite.SQLiteConfig;
import org.sqlite.SQLiteException;

/** One connection to an SQLite file, with what every statement of ours needs. */
final class Database implements AutoCloseable {
  /** The largest text or blob read, bytes: a document of 64 MiB and some. */
  private static final int LARGEST_VALUE = 80 << 20;

  private static final Pattern TABLE = Pattern.compile("\\bFROM (\\w+)");

  private final Path file;
  private final Connection connection;
  private final Map<String, PreparedStatement> prepared = new HashMap<>();
  private final Set<String> hidden = new LinkedHashSet<>();
  private final @Nullable Path folder;

  /** How a file is opened. */
  enum Access {
    READ,
    /** For reading where nothing can be written beside the file. */
    READ_ALONE,
    WRITE
  }

  /** Works with the database. */
  @FunctionalInterface
  interface Work<T> {
    T run() throws SQLException;
  }

  /** Makes something of a row. */
  @FunctionalInterface
  interface Row<T> {
    T read(ResultSet row) throws SQLException;
  }

  private Database(Path file, Connection connection, @Nullable Path folder) {
    this.file = file;
    this.connection = connection;
    this.folder = folder;
  }

  static Database open(Path file, Access access) throws SQLException {
    return open(file, file, access, null);
  }

  /**
   * Opens a copy of a file with what is pending beside it; the file itself is not touched.
   *
   * @param withPending whether what lies beside it is its own
   */
  static Database ofCopy(Path file, boolean withPending) throws SQLException, IOException {
    Path folder = Files.createTempDirectory("hammerman-copy");
    try {
      Path copy = folder.resolve("copy");
      if (withPending) {
        Companions.copy(file, copy);
      } else {
        Files.copy(file, copy);
      }
      return open(file, copy, Access.WRITE, folder);
    } catch (IOException | SQLException e) {
      FileUtils.deleteQuietly(folder.toFile());
      throw e;
    }
  }

  private static Database open(Path named, Path file, Access access, @Nullable Path folder)
      throws SQLException {
    SQLiteConfig config = new SQLiteConfig();
    config.setReadOnly(access != Access.WRITE);
    config.enforceForeignKeys(true);
    config.setSynchronous(SQLiteConfig.SynchronousMode.FULL);
    config.setBusyTimeout(2000);
    config.setPragma(SQLiteConfig.Pragma.LIMIT_LENGTH, String.valueOf(LARGEST_VALUE));
    String url = file.toUri().toString().replaceFirst("^file:/+", "file:/");
    if (access == Access.READ_ALONE) {
      url += "?immutable=1";
    }
    Connection connection = config.createConnection("jdbc:sqlite:" + url);
    Database database = new Database(named, connection, folder);
    try {
      // Put into the file by ProjectStore, which writes down what the file was before and after.
      database.execute("PRAGMA wal_autocheckpoint = 0");
      database.execute("PRAGMA trusted_schema = OFF");
      database.execute("PRAGMA cell_size_check = ON");
      return database;
    } catch (SQLException e) {
      database.close();
      throw e;
    }
  }

  /** A database that lives in memory alone. */
  static Database inMemory() throws SQLException {
    return new Database(
        Path.of("memory"), new SQLiteConfig().createConnection("jdbc:sqlite::memory:"), null);
  }

  Path file() {
    return file;
  }

  void execute(String sql) throws SQLException {
    try (Statement s = connection.createStatement()) {
      s.execute(sql);
    }
  }

  /** Gives up the statements kept ready; some commands want none about. */
  void settle() throws SQLException {
    for (PreparedStatement s : prepared.values()) {
      s.close();
    }
    prepared.clear();
  }

  /** Runs a script of statements parted by empty lines. */
  void script(String sql) throws SQLException {
    for (String statement : sql.split("\n\n", -1)) {
      if (!statement.isBlank()) {
        execute(statement);
      }
    }
  }

  /** Changes rows; returns how many. */
  int update(String sql, @Nullable Object... values) throws SQLException {
    PreparedStatement s = statement(sql, values);
    return s.executeUpdate();
  }

  /** Adds a row and returns its number. */
  long insert(String sql, @Nullable Object... values) throws SQLException {
    update(sql, values);
    return number("SELECT last_insert_rowid()");
  }

  long number(String sql, @Nullable Object... values) throws SQLException {
    try (ResultSet r = statement(sql, values).executeQuery()) {
      return r.next() ? r.getLong(1) : 0;
    }
  }

  String text(String sql, @Nullable Object... values) throws SQLException {
    try (ResultSet r = statement(sql, values).executeQuery()) {
      String text = r.next() ? r.getString(1) : null;
      return text == null ? "" : text;
    }
  }

  <T> List<T> rows(Row<T> row, String sql, @Nullable Object... values) throws SQLException {
    List<T> found = new ArrayList<>();
    try (ResultSet r = statement(sql, values).executeQuery()) {
      while (r.next()) {
        try {
          found.add(row.read(r));
        } catch (RuntimeException e) {
          // What one row holds must not hide the others.
          hidden.add(
              "%s %s cannot be read (%s)"
                  .formatted(
                      table(sql),
                      Sentence.printable(String.valueOf(r.getString(1))),
                      Sentence.printable(String.valueOf(e.getMessage()))));
        }
      }
    }
    return found;
  }

  private static String table(String sql) {
    Matcher m = TABLE.matcher(sql);
    return m.find() ? m.group(1) : "row";
  }

  /** Returns which rows could not be read since this was asked last, in words. */
  List<String> takeHidden() {
    List<String> all = List.copyOf(hidden);
    hidden.clear();
    return all;
  }

  /** Does all of some work or nothing of it. */
  <T> T transaction(Work<T> work) throws NotKept {
    try {
      execute("BEGIN IMMEDIATE");
      try {
        T result = work.run();
        execute("COMMIT");
        return result;
      } catch (SQLException | RuntimeException e) {
        rollback(e);
        throw e;
      }
    } catch (SQLException e) {
      throw notKept(file, e);
    }
  }

  private void rollback(Exception cause) {
    try {
      execute("ROLLBACK");
    } catch (SQLException e) {
      // A full disk rolls back by itself; then there is nothing left to take back.
      cause.addSuppressed(e);
    }
  }

  /** Reads; what goes wrong is said as what could not be kept is. */
  <T> T reading(Work<T> work) throws NotKept {
    try {
      return work.run();
    } catch (SQLException e) {
      throw notKept(file, e);
    }
  }

  private PreparedStatement statement(String sql, @Nullable Object... values) throws SQLException {
    PreparedStatement s = prepared.get(sql);
    if (s == null || s.isClosed()) {
      s = connection.prepareStatement(sql);
      prepared.put(sql, s);
    }
    for (int k = 0; k < values.length; k++) {
      s.setObject(k + 1, values[k]);
    }
    return s;
  }

  static NotKept notKept(Path file, SQLException e) {
    String name = String.valueOf(file.getFileName());
    int code = e instanceof SQLiteException s ? s.getResultCode().code & 0xff : 0;
    return switch (code) {
      case 13 ->
          new NotKept(
              Reason.FULL,
              "No room is left where " + name + " lies. Free some, or keep it under another name.",
              e);
      case 8, 3, 14, 23 ->
          new NotKept(
              Reason.READ_ONLY,
              name + " cannot be written there. Keep it under another name, in another folder.",
              e);
      case 5, 6 ->
          new NotKept(Reason.IN_USE, name + " is held by another program. Close it there.", e);
      case 11, 26 ->
          new NotKept(Reason.DAMAGED, name + " is damaged. Keep the work under another name.", e);
      case 10 ->
          new NotKept(
              Reason.OTHER,
              name
                  + " could not be written ("
                  + e.getMessage()
                  + "). Keep it under another name, on another medium.",
              e);
      case 19 -> new NotKept(Reason.REFUSED, "It is there already, or belongs to nothing.", e);
      default -> new NotKept(Reason.OTHER, name + ": " + e.getMessage(), e);
    };
  }

  @Override
  public void close() {
    try {
      connection.close();
    } catch (SQLException e) {
      // A connection that cannot be closed has nothing left to lose: all is committed.
      return;
    } finally {
      if (folder != null) {
        FileUtils.deleteQuietly(folder.toFile());
      }
    }
  }
}
