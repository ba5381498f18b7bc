package hammerman.store;

import hammerman.project.UnreadableProject;
import hammerman.store.Database.Access;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.LinkOption;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.sql.SQLException;
import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * The file of a project while it is open, and the doors to what is in it. Every change is a
 * transaction that is on the disk when the call returns ({@code synchronous = FULL}). When closed
 * it is one file again.
 */
public final class ProjectStore implements AutoCloseable {
  private final Path file;
  private final Database database;
  private final @Nullable WriterLock lock;
  private final @Nullable Guarded guarded;
  private final DesignBook design;
  private final Inventory inventory;
  private final BuildBook buildBook;
  private final RunBook runBook;
  private final ProofBook proofBook;
  private long dataVersion;
  private boolean foreign;

  private ProjectStore(
      Path file, Database database, @Nullable WriterLock lock, @Nullable Guarded guarded)
      throws SQLException {
    this.file = file;
    this.database = database;
    this.lock = lock;
    this.guarded = guarded;
    dataVersion = database.number("PRAGMA data_version");
    design = new DesignBook(this);
    inventory = new Inventory(this);
    buildBook = new BuildBook(this);
    runBook = new RunBook(this);
    proofBook = new ProofBook(this);
  }

  /** One that is only looked at. */
  static ProjectStore reading(Path file, Database database) throws SQLException {
    return new ProjectStore(file, database, null, null);
  }

  /** One that is worked on; what it holds was accepted, and nothing lies beside it. */
  private static ProjectStore working(Path file, WriterLock lock) throws IOException, SQLException {
    Stamp stamp = Stamp.of(file);
    lock.note(stamp.words());
    Database database = Database.open(file, Access.WRITE);
    try {
      return new ProjectStore(file, database, lock, new Guarded(file, database, lock, stamp));
    } catch (IOException | SQLException e) {
      database.close();
      throw e;
    }
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
    try {
      lock = WriterLock.take(file, now);
      Companions.setAside(file, now);
      try (Database made = Database.open(file, Access.WRITE)) {
        made.transaction(
            () -> {
              Schema.PROJECT.build(made, 0);
              DesignBook.insert(made, first);
              made.update("INSERT INTO present VALUES (1, ?)", first.id());
              return true;
            });
        // Only now, so that the head of the file itself says from the first moment whose it is.
        made.execute("PRAGMA journal_mode = WAL");
      }
      return working(file, lock);
    } catch (IOException | SQLException e) {
      if (lock != null) {
        lock.close();
        StoreFile.remove(file);
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
    Path file = StoreFile.real(given);
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
    try {
      boolean own = StoreFile.isOwnPending(file, lock.noted());
      StoreFile.check(file, own);
      // From here on it is accepted; until now not a byte of it was changed.
      boolean foreign = !own && Companions.setAside(file, now);
      try (Database made = Database.open(file, Access.WRITE)) {
        made.execute("PRAGMA journal_mode = WAL");
        migrate(made);
      }
      ProjectStore store = working(file, lock);
      store.foreign = foreign;
      return store;
    } catch (SQLException | IOException e) {
      lock.close();
      throw e instanceof UnreadableProject u ? u : StoreFile.damaged(file, e);
    }
  }

  /**
   * Opens a file to look at it; it is never changed.
   *
   * @throws UnreadableProject if it cannot be used
   */
  public static ProjectStore look(Path given) throws UnreadableProject {
    Path file = StoreFile.real(given);
    StoreFile.check(file);
    try {
      Database database = StoreFile.reading(file);
      try {
        return reading(file, database);
      } catch (SQLException e) {
        database.close();
        throw e;
      }
    } catch (SQLException e) {
      throw StoreFile.damaged(file, e);
    }
  }

  /** Moves a file that nobody works on, with what is pending beside it. */
  public static void move(Path file, Path target) throws IOException {
    if (WriterLock.isTaken(file)) {
      throw new NotKept(
          NotKept.Reason.IN_USE, ProjectFile.name(file) + " is open in a window. Close it there.");
    }
    Companions.move(file, target);
    Files.deleteIfExists(WriterLock.beside(file));
  }

  /** Deletes a file that nobody works on, with what is pending beside it. */
  public static void delete(Path file) throws IOException {
    Companions.remove(file);
    Files.deleteIfExists(file);
    Files.deleteIfExists(WriterLock.beside(file));
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

  /** Whether the file is no longer where it was opened, another one is, or its bytes are others. */
  public boolean isGone() {
    return guarded != null && guarded.state() != Guarded.State.OURS;
  }

  /** Whether another program has written over the file: what it held is lost there. */
  public boolean isOverwritten() {
    return guarded != null && guarded.state() == Guarded.State.OVERWRITTEN;
  }

  /**
   * Whether something lay beside the file that was left by an earlier file of that name; it was
   * renamed, and is not part of the project.
   */
  public boolean hadForeignLog() {
    return foreign;
  }

  /** Returns which rows could not be read since this was asked last, in words. */
  public List<String> takeHidden() {
    return database.takeHidden();
  }

  /** Returns the states of the design, and the marks. */
  public DesignBook design() {
    return design;
  }

  /** Returns the cells and their measurements. */
  public Inventory inventory() {
    return inventory;
  }

  /** Returns what was built and how. */
  public BuildBook buildBook() {
    return buildBook;
  }

  /** Returns what the runs came to. */
  public ProofBook proofBook() {
    return proofBook;
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
    Path file = Files.exists(target) ? StoreFile.uncheckedReal(target) : target;
    if (WriterLock.isTaken(file)) {
      throw new NotKept(
          NotKept.Reason.IN_USE,
          ProjectFile.name(target) + " is open in a window. Choose another name.");
    }
    Path beside = file.resolveSibling("." + file.getFileName() + ".copy");
    try {
      Files.deleteIfExists(beside);
      Companions.remove(beside);
      database.reading(
          () -> {
            database.settle();
            database.execute("VACUUM INTO '" + beside.toString().replace("'", "''") + "'");
            return true;
          });
      // Before, not after: they must never lie beside the new bytes.
      Companions.remove(file);
      Files.move(beside, file, StandardCopyOption.REPLACE_EXISTING, StandardCopyOption.ATOMIC_MOVE);
    } catch (NotKept e) {
      StoreFile.remove(beside);
      throw e;
    } catch (IOException e) {
      StoreFile.remove(beside);
      throw new NotKept(
          NotKept.Reason.OTHER,
          ProjectFile.name(target) + " cannot be written there. Choose another folder.",
          e);
    }
  }

  /** Whether the file has the tables of a version; one that is only looked at may be older. */
  boolean has(int version) throws NotKept {
    return number("PRAGMA user_version") >= version;
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
          isOverwritten()
              ? "Another program has written over " + ProjectFile.name(file) + " while it was open."
              : ProjectFile.name(file) + " was moved, deleted or replaced while it was open.");
    }
    T result =
        database.transaction(
            () -> {
              if (database.number("PRAGMA data_version") != dataVersion) {
                dataVersion = database.number("PRAGMA data_version");
                throw new SQLException("another program has written into the file");
              }
              return work.run();
            });
    if (guarded != null) {
      guarded.afterChange();
    }
    return result;
  }

  /** Reads rows. */
  <T> List<T> rows(Database.Row<T> row, String sql, @Nullable Object... values) throws NotKept {
    return database.reading(() -> database.rows(row, sql, values));
  }

  /** Reads one figure; 0 if there is none. */
  long number(String sql, @Nullable Object... values) throws NotKept {
    return database.reading(() -> database.number(sql, values));
  }

  /** Changes rows by one statement; returns the number of a row that was added. */
  long write(String sql, @Nullable Object... values) throws NotKept {
    return change(() -> database.insert(sql, values));
  }

  private static void migrate(Database database) throws SQLException, NotKept {
    int version = (int) database.number("PRAGMA user_version");
    if (version < Schema.PROJECT.version()) {
      database.transaction(
          () -> {
            Schema.PROJECT.build(database, version);
            return true;
          });
    }
  }

  /** Closes it: states too old to go back to go, and it is one file again. */
  @Override
  public void close() {
    if (lock == null || guarded == null) {
      database.close();
      return;
    }
    try {
      switch (guarded.state()) {
        case OURS -> {
          design.compact();
          // Fails while somebody looks at it; then the one that looks last puts it together.
          guarded.checkpoint("PRAGMA journal_mode = DELETE");
        }
        // The log must not be put into bytes that are not ours.
        case OVERWRITTEN -> guarded.dropLog();
        case GONE -> {}
      }
    } catch (SQLException | IOException e) {
      // All is on the disk; the log stays beside the file until it is opened again.
      return;
    } finally {
      database.close();
      lock.close();
    }
  }
}
