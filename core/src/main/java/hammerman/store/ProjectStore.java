package hammerman.store;

import hammerman.finding.Station;
import hammerman.project.UnreadableProject;
import hammerman.project.UnreadableProject.Reason;
import hammerman.store.Database.Access;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.LinkOption;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.attribute.BasicFileAttributes;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.sqlite.SQLiteException;

/**
 * The file of a project while it is open: the line of the design's states with its marks, and the
 * doors to the facts. Every change is a transaction that is on the disk when the call returns
 * ({@code synchronous = FULL}). When closed it is one file again.
 */
public final class ProjectStore implements AutoCloseable {
  /** Undo reaches back so many edits over restarts; marked states stay for ever. */
  static final int KEPT_STATES = 400;

  /** Of the states read at opening, bytes. */
  private static final long MOST_READ = 24L << 20;

  /** So much free room in the file is given back on closing, bytes. */
  private static final long MUCH_FREE = 1L << 20;

  private final Path file;
  private final Database database;
  private final @Nullable WriterLock lock;
  private final @Nullable Object fileKey;
  private final Inventory inventory;
  private final BuildBook buildBook;
  private final RunBook runBook;
  private long dataVersion;

  private ProjectStore(Path file, Database database, @Nullable WriterLock lock)
      throws SQLException {
    this.file = file;
    this.database = database;
    this.lock = lock;
    fileKey = key(file);
    dataVersion = database.number("PRAGMA data_version");
    inventory = new Inventory(this);
    buildBook = new BuildBook(this);
    runBook = new RunBook(this);
  }

  /**
   * Makes a new file around a first state.
   *
   * @throws NotKept if it is there already or cannot be written
   */
  public static ProjectStore create(Path file, DesignState first, Instant now) throws NotKept {
    if (Files.exists(file, LinkOption.NOFOLLOW_LINKS)) {
      throw new NotKept(
          NotKept.Reason.REFUSED,
          ProjectFile.name(file) + " is there already. Choose another name.");
    }
    WriterLock lock = null;
    Database database = null;
    try {
      lock = WriterLock.take(file, now);
      database = Database.open(file, Access.WRITE);
      Database opened = database;
      database.transaction(
          () -> {
            Schema.PROJECT.build(opened, 0);
            insert(opened, first);
            opened.update("INSERT INTO present VALUES (1, ?)", first.id());
            return true;
          });
      // Only now, so that the head of the file itself says from the first moment whose it is.
      database.execute("PRAGMA journal_mode = WAL");
      return new ProjectStore(file, database, lock);
    } catch (IOException | SQLException e) {
      if (database != null) {
        database.close();
      }
      if (lock != null) {
        lock.close();
        remove(file);
      }
      throw e instanceof NotKept n
          ? n
          : e instanceof SQLException s
              ? Database.notKept(file, s)
              : new NotKept(
                  NotKept.Reason.READ_ONLY,
                  ProjectFile.name(file) + " cannot be written there. Choose another folder.",
                  e);
    }
  }

  /**
   * Opens a file to work on it. If it or its folder cannot be written it is opened to look at it:
   * see {@link #isReadOnly()}.
   *
   * @throws InUse if another window has it
   * @throws UnreadableProject if it cannot be used; it is not changed then
   */
  public static ProjectStore open(Path given, Instant now) throws UnreadableProject, InUse {
    Path file = real(given);
    if (!Files.isWritable(file)) {
      return look(file);
    }
    WriterLock lock;
    try {
      lock = WriterLock.take(file, now);
    } catch (InUse e) {
      throw e;
    } catch (IOException e) {
      return look(file);
    }
    Database database = null;
    try {
      check(file);
      database = Database.open(file, Access.WRITE);
      database.execute("PRAGMA journal_mode = WAL");
      ProjectStore store = new ProjectStore(file, database, lock);
      store.migrate();
      store.present().project();
      return store;
    } catch (SQLException | IOException e) {
      if (database != null) {
        database.close();
      }
      lock.close();
      throw e instanceof UnreadableProject u ? u : damaged(file, e);
    }
  }

  /**
   * Opens a file to look at it; it is never changed.
   *
   * @throws UnreadableProject if it cannot be used
   */
  public static ProjectStore look(Path given) throws UnreadableProject {
    Path file = real(given);
    check(file);
    try {
      Database database = reading(file);
      try {
        return new ProjectStore(file, database, null);
      } catch (SQLException e) {
        database.close();
        throw e;
      }
    } catch (SQLException e) {
      throw damaged(file, e);
    }
  }

  /** Whether a window has a file open to work on it. */
  public static boolean isInUse(Path file) {
    return WriterLock.isTaken(file);
  }

  /** Returns where it lies. */
  public Path file() {
    return file;
  }

  /** Whether it can only be looked at. */
  public boolean isReadOnly() {
    return lock == null;
  }

  /** Whether the file is no longer where it was opened, or another one is. */
  public boolean isGone() {
    return fileKey != null && !fileKey.equals(key(file));
  }

  /** Returns the state that is worked on. */
  public DesignState present() throws UnreadableProject {
    try {
      List<DesignState> found =
          database.rows(
              ProjectStore::state,
              "SELECT s.id, s.at, s.station, s.what, s.document FROM present p"
                  + " JOIN state s ON s.id = p.state");
      if (found.isEmpty()) {
        throw new UnreadableProject(
            Reason.DAMAGED, ProjectFile.name(file) + " is damaged: it has no present state.");
      }
      return found.getFirst();
    } catch (SQLException e) {
      throw damaged(file, e);
    }
  }

  /** Returns the states around the present that undo and redo go through. */
  public Line line() throws UnreadableProject {
    DesignState now = present();
    try {
      List<DesignState> states = new ArrayList<>();
      states.addAll(
          stretch(
              "SELECT id, at, station, what, document FROM state"
                  + " WHERE in_line = 1 AND id < ? ORDER BY id DESC",
              now.id()));
      states = new ArrayList<>(states.reversed());
      int present = states.size();
      states.add(now);
      states.addAll(
          stretch(
              "SELECT id, at, station, what, document FROM state"
                  + " WHERE in_line = 1 AND id > ? ORDER BY id",
              now.id()));
      return new Line(states, present);
    } catch (SQLException e) {
      throw damaged(file, e);
    }
  }

  private List<DesignState> stretch(String sql, long from) throws SQLException {
    List<DesignState> found = new ArrayList<>();
    long[] read = {0};
    database.rows(
        r -> {
          if (read[0] <= MOST_READ) {
            DesignState s = state(r);
            read[0] += s.document().length();
            found.add(s);
          }
          return read[0];
        },
        sql + " LIMIT " + KEPT_STATES,
        from);
    return found;
  }

  /** Returns the highest number that a state has. */
  public long lastState() throws NotKept {
    return database.reading(() -> database.number("SELECT max(id) FROM state"));
  }

  /** Returns the number of the state that is worked on. */
  public long presentState() throws NotKept {
    return database.reading(() -> database.number("SELECT state FROM present"));
  }

  /** Returns a state by its number. */
  public DesignState state(long id) throws NotKept {
    return database
        .reading(
            () ->
                database.rows(
                    ProjectStore::state,
                    "SELECT id, at, station, what, document FROM state WHERE id = ?",
                    id))
        .stream()
        .findFirst()
        .orElseThrow(
            () -> new NotKept(NotKept.Reason.REFUSED, "State " + id + " is not kept any more."));
  }

  /** Keeps changes of the design, all or none. */
  public void keep(List<DesignChange> changes) throws NotKept {
    change(
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

  private static void insert(Database d, DesignState s) throws SQLException {
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
    return database.reading(
        () ->
            database.rows(
                r ->
                    new Mark(
                        r.getLong(1),
                        r.getLong(2),
                        r.getString(3),
                        Instant.ofEpochMilli(r.getLong(4))),
                "SELECT id, state, name, at FROM mark ORDER BY at DESC, id DESC"));
  }

  /** Returns the cells and their measurements. */
  public Inventory inventory() {
    return inventory;
  }

  /** Returns what was built and how. */
  public BuildBook buildBook() {
    return buildBook;
  }

  /** Returns the runs and their logs. */
  public RunBook runBook() {
    return runBook;
  }

  /**
   * Writes a whole copy, also of a file that is no longer where it was.
   *
   * @param target gives way if it is there
   */
  public void copyTo(Path target) throws NotKept {
    Path file = Files.exists(target) ? uncheckedReal(target) : target;
    if (WriterLock.isTaken(file)) {
      throw new NotKept(
          NotKept.Reason.IN_USE,
          ProjectFile.name(target) + " is open in a window. Choose another name.");
    }
    Path beside = file.resolveSibling("." + file.getFileName() + ".copy");
    try {
      Files.deleteIfExists(beside);
      database.reading(
          () -> {
            database.settle();
            database.execute("VACUUM INTO '" + beside.toString().replace("'", "''") + "'");
            return true;
          });
      Files.move(beside, file, StandardCopyOption.REPLACE_EXISTING);
    } catch (NotKept e) {
      remove(beside);
      throw e;
    } catch (IOException e) {
      remove(beside);
      throw new NotKept(
          NotKept.Reason.OTHER,
          ProjectFile.name(target) + " cannot be written there. Choose another folder.",
          e);
    }
  }

  Database database() {
    return database;
  }

  /** Changes the file in one transaction, unless it is not ours to change any more. */
  <T> T change(Database.Work<T> work) throws NotKept {
    if (lock == null) {
      throw new NotKept(
          NotKept.Reason.READ_ONLY, ProjectFile.name(file) + " can only be looked at.");
    }
    if (isGone()) {
      throw new NotKept(
          NotKept.Reason.GONE,
          ProjectFile.name(file) + " was moved, deleted or replaced while it was open.");
    }
    return database.transaction(
        () -> {
          if (database.number("PRAGMA data_version") != dataVersion) {
            dataVersion = database.number("PRAGMA data_version");
            throw new SQLException("another program has written into the file");
          }
          return work.run();
        });
  }

  private void migrate() throws NotKept {
    int version = (int) version(database);
    if (version < Schema.PROJECT.version()) {
      database.transaction(
          () -> {
            Schema.PROJECT.build(database, version);
            return true;
          });
    }
  }

  private static long version(Database d) throws NotKept {
    return d.reading(() -> d.number("PRAGMA user_version"));
  }

  /** Whether a file is whole and has our tables and no others. */
  private static void check(Path file) throws UnreadableProject {
    if (ProjectFile.form(file) != ProjectFile.Form.DATABASE) {
      throw new UnreadableProject(
          Reason.NOT_A_PROJECT,
          ProjectFile.name(file) + " is a document, not a project's file. Import it.");
    }
    try (Database d = reading(file)) {
      String name = ProjectFile.name(file);
      int version = (int) d.number("PRAGMA user_version");
      if (version > Schema.PROJECT.version()) {
        throw ProjectFile.newer(name, version);
      }
      List<String> strange = Schema.PROJECT.strange(d, version);
      if (!strange.isEmpty()) {
        throw new UnreadableProject(
            Reason.INVALID,
            "%s is not laid out as a project of this version: %s. The file was left as it is."
                .formatted(name, String.join(", ", strange)));
      }
      String whole = d.text("PRAGMA quick_check(1)");
      if (!whole.equals("ok")) {
        throw new UnreadableProject(
            Reason.DAMAGED, name + " is damaged. The file was left as it is.");
      }
    } catch (SQLException e) {
      throw damaged(file, e);
    }
  }

  private static Database reading(Path file) throws SQLException {
    Database d = Database.open(file, Access.READ);
    try {
      d.number("SELECT count(*) FROM sqlite_schema");
      return d;
    } catch (SQLException e) {
      d.close();
      // 14: nothing can be written beside it, and it was not closed properly.
      if (e instanceof SQLiteException s && (s.getResultCode().code & 0xff) == 14) {
        return Database.open(file, Access.READ_ALONE);
      }
      throw e;
    }
  }

  private static UnreadableProject damaged(Path file, Exception e) {
    boolean busy = e instanceof SQLiteException s && (s.getResultCode().code & 0xff) == 5;
    return new UnreadableProject(
        busy ? Reason.MISSING : Reason.DAMAGED,
        ProjectFile.name(file)
            + (busy
                ? " is held by another program. Close it there, and open it again."
                : " is damaged. The file was left as it is."));
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

  private static Path real(Path file) throws UnreadableProject {
    try {
      return file.toRealPath();
    } catch (NoSuchFileException e) {
      throw new UnreadableProject(
          Reason.MISSING,
          ProjectFile.name(file) + " does not exist. Check the name and the folder.");
    } catch (IOException e) {
      throw new UnreadableProject(
          Reason.MISSING, ProjectFile.name(file) + " cannot be opened. Check its permissions.");
    }
  }

  private static Path uncheckedReal(Path file) {
    try {
      return file.toRealPath();
    } catch (IOException e) {
      return file;
    }
  }

  private static @Nullable Object key(Path file) {
    try {
      return Files.readAttributes(file, BasicFileAttributes.class).fileKey();
    } catch (IOException e) {
      return "gone";
    }
  }

  private static void remove(Path file) {
    try {
      Files.deleteIfExists(file);
    } catch (IOException e) {
      // It stays behind as an empty file, which is said when it is opened.
      return;
    }
  }

  /** Closes it: states too old to go back to go, and it is one file again. */
  @Override
  public void close() {
    if (lock != null) {
      try {
        if (!isGone()) {
          compact();
          // Fails while somebody looks at it; then the one that looks last puts it together.
          database.execute("PRAGMA journal_mode = DELETE");
        }
      } catch (SQLException | NotKept e) {
        database.close();
        lock.close();
        return;
      }
    }
    database.close();
    if (lock != null) {
      lock.close();
    }
  }

  private void compact() throws NotKept, SQLException {
    change(
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
