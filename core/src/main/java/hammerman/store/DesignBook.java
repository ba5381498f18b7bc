package hammerman.store;

import hammerman.finding.Station;
import hammerman.project.UnreadableProject;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** The states of the design in their line, which of them is worked on, and the marks. */
public final class DesignBook {
  /** Undo reaches back so many edits over restarts; marked states stay for ever. */
  static final int KEPT_STATES = 400;

  /** Of the states read at opening on either side of the present, bytes. */
  private static final long MOST_READ = 24L << 20;

  /** So much free room in the file is given back on closing, bytes. */
  private static final long MUCH_FREE = 1L << 20;

  private final ProjectStore store;
  private final Database database;

  DesignBook(ProjectStore store) {
    this.store = store;
    database = store.database();
  }

  /** Returns the state that is worked on. */
  public DesignState present() throws UnreadableProject {
    return found(
            "SELECT s.id, s.at, s.station, s.what, s.document FROM present p"
                + " JOIN state s ON s.id = p.state")
        .stream()
        .findFirst()
        .orElseThrow(() -> StoreFile.damaged(store.file(), new SQLException("nothing present")));
  }

  /** Returns the states around the present that undo and redo go through. */
  public Line line() throws UnreadableProject {
    DesignState now = present();
    List<DesignState> states =
        new ArrayList<>(stretch("< ? ORDER BY id DESC", now.id()).reversed());
    int present = states.size();
    states.add(now);
    states.addAll(stretch("> ? ORDER BY id", now.id()));
    return new Line(states, present);
  }

  /** States on one side of another, the nearest first, as far as is worth reading. */
  private List<DesignState> stretch(String side, long from) throws UnreadableProject {
    List<DesignState> near = new ArrayList<>();
    long read = 0;
    for (DesignState s :
        found(
            "SELECT id, at, station, what, document FROM state WHERE in_line = 1 AND id "
                + side
                + " LIMIT "
                + KEPT_STATES,
            from)) {
      read += s.document().length();
      if (read > MOST_READ) {
        break;
      }
      near.add(s);
    }
    return near;
  }

  private List<DesignState> found(String sql, @Nullable Object... values) throws UnreadableProject {
    try {
      return database.rows(DesignBook::state, sql, values);
    } catch (SQLException e) {
      throw StoreFile.damaged(store.file(), e);
    }
  }

  /** Returns the highest number that a state has. */
  public long lastState() throws NotKept {
    return store.number("SELECT max(id) FROM state");
  }

  /** Returns the number of the state that is worked on. */
  public long presentState() throws NotKept {
    return store.number("SELECT state FROM present");
  }

  /** Returns a state by its number, if it was not compacted away. */
  public Optional<DesignState> find(long id) throws NotKept {
    return store
        .rows(
            DesignBook::state, "SELECT id, at, station, what, document FROM state WHERE id = ?", id)
        .stream()
        .findFirst();
  }

  /** Returns a state by its number. */
  public DesignState state(long id) throws NotKept {
    return find(id)
        .orElseThrow(
            () -> new NotKept(NotKept.Reason.REFUSED, "State " + id + " is not kept any more."));
  }

  /** Keeps changes of the design, all or none. */
  public void keep(List<DesignChange> changes) throws NotKept {
    store.change(
        () -> {
          for (DesignChange c : changes) {
            apply(c);
          }
          return true;
        });
  }

  private void apply(DesignChange change) throws SQLException {
    switch (change) {
      case DesignChange.Edited e -> {
        long present = database.number("SELECT state FROM present");
        database.update(
            "DELETE FROM state WHERE id > ? AND in_line = 1"
                + " AND id NOT IN (SELECT state FROM mark)"
                + " AND id NOT IN (SELECT state FROM run WHERE state IS NOT NULL)",
            present);
        database.update("UPDATE state SET in_line = 0 WHERE id > ?", present);
        insert(database, e.state());
        database.update("UPDATE present SET state = ?", e.state().id());
      }
      case DesignChange.Moved m -> database.update("UPDATE present SET state = ?", m.state());
      case DesignChange.Marked m ->
          database.update(
              "INSERT INTO mark (state, name, at) VALUES (?, ?, ?)",
              m.state(),
              m.name(),
              m.at().toEpochMilli());
      case DesignChange.Unmarked m -> database.update("DELETE FROM mark WHERE id = ?", m.mark());
    }
  }

  static void insert(Database d, DesignState s) throws SQLException {
    d.update(
        "INSERT INTO state (id, at, station, what, in_line, document) VALUES (?, ?, ?, ?, 1, ?)",
        s.id(),
        s.at().toEpochMilli(),
        s.station().name(),
        s.what(),
        s.document());
  }

  /** Returns the marks, newest first. */
  public List<Mark> marks() throws NotKept {
    return store.rows(
        r ->
            new Mark(
                r.getLong(1), r.getLong(2), r.getString(3), Instant.ofEpochMilli(r.getLong(4))),
        "SELECT id, state, name, at FROM mark ORDER BY at DESC, id DESC");
  }

  private static DesignState state(ResultSet r) throws SQLException {
    return new DesignState(
        r.getLong(1),
        Instant.ofEpochMilli(r.getLong(2)),
        station(r.getString(3)),
        r.getString(4),
        r.getString(5));
  }

  private static Station station(String name) {
    for (Station s : Station.values()) {
      if (s.name().equals(name)) {
        return s;
      }
    }
    return Station.DUTY;
  }

  /** Lets go of states too old to go back to. */
  void compact() throws NotKept, SQLException {
    store.change(
        () ->
            database.update(
                "DELETE FROM state WHERE in_line = 1"
                    + " AND id < (SELECT state FROM present)"
                    + " AND id NOT IN (SELECT state FROM mark)"
                    + " AND id NOT IN (SELECT state FROM run WHERE state IS NOT NULL)"
                    + " AND id < (SELECT min(id) FROM (SELECT id FROM state WHERE in_line = 1"
                    + " ORDER BY id DESC LIMIT "
                    + KEPT_STATES
                    + "))"));
    long free = database.number("PRAGMA freelist_count") * database.number("PRAGMA page_size");
    if (free > MUCH_FREE) {
      database.settle();
      database.execute("VACUUM");
    }
  }
}
