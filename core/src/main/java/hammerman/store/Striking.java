package hammerman.store;

import hammerman.record.Fact.Strike;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

/** Striking out, the same for every kind of fact. */
final class Striking {
  private Striking() {}

  static void out(ProjectStore store, String table, long id, Strike strike) throws NotKept {
    store.change(
        () -> {
          strike(store, table, id, strike);
          return true;
        });
  }

  /** Within a transaction; a fact struck out already keeps its first reason. */
  static void strike(ProjectStore store, String table, long id, Strike strike) throws SQLException {
    store
        .database()
        .update(
            "UPDATE "
                + table
                + " SET struck_at = ?, struck_reason = ? WHERE id = ? AND struck_at IS NULL",
            strike.at().toEpochMilli(),
            strike.reason(),
            id);
  }

  static @Nullable Strike read(ResultSet r, int column) throws SQLException {
    long at = r.getLong(column);
    return r.wasNull() ? null : new Strike(Instant.ofEpochMilli(at), r.getString(column + 1));
  }
}
