package hammerman.store;

import hammerman.store.NotKept.Reason;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.sqlite.SQLiteConfig;
import org.sqlite.SQLiteException;

/** One connection to an SQLite file, with what every statement of ours needs. */
final class Database implements AutoCloseable {
  /** The largest text or blob read, bytes: a document of 64 MiB and some. */
  private static final int LARGEST_VALUE = 80 << 20;

  private final Path file;
  private final Connection connection;
  private final Map<String, PreparedStatement> prepared = new HashMap<>();

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

  private Database(Path file, Connection connection) {
    this.file = file;
    this.connection = connection;
  }

  static Database open(Path file, Access access) throws SQLException {
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
    Database database = new Database(file, connection);
    try {
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
        Path.of("memory"), new SQLiteConfig().createConnection("jdbc:sqlite::memory:"));
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
        found.add(row.read(r));
      }
    }
    return found;
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
    }
  }
}
