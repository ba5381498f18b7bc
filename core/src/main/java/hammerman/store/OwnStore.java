package hammerman.store;

import hammerman.cell.CellLibrary;
import hammerman.cell.CellType;
import hammerman.guard.Parts;
import hammerman.project.CellFile;
import hammerman.project.UnreadableProject;
import hammerman.store.Database.Access;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.SQLException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What belongs to the builder and to no project: settings, cells, parts, files used lately. Several
 * windows may use it at once; each change is a row of its own.
 */
public final class OwnStore implements AutoCloseable {
  /** Name of the file in the program's folder. */
  public static final String FILE = "own.hammerman-settings";

  private static final int MOST_RECENT = 12;

  private final Database database;
  private final List<String> troubles;

  private OwnStore(Database database, List<String> troubles) {
    this.database = database;
    this.troubles = new ArrayList<>(troubles);
  }

  /**
   * Opens the store in a folder, which is made when needed. It always opens: a damaged file is put
   * aside, and where nothing can be written all is remembered until the end only; {@link
   * #troubles()} says so.
   */
  public static OwnStore open(Path home, Instant now) {
    Path file = home.resolve(FILE);
    List<String> troubles = new ArrayList<>();
    try {
      Files.createDirectories(home);
      try {
        return new OwnStore(opened(file), troubles);
      } catch (SQLException e) {
        if (Files.isRegularFile(file) && Files.isWritable(file) && !isHeld(e)) {
          Path aside = home.resolve(FILE + "." + now.toEpochMilli() + ".damaged");
          Companions.move(file, aside);
          troubles.add(
              "Your settings, cells and parts could not be read; they lie aside as "
                  + aside.getFileName()
                  + " in "
                  + home
                  + ". Hammerman starts afresh.");
          return new OwnStore(opened(file), troubles);
        }
        throw e;
      }
    } catch (IOException | SQLException e) {
      troubles.add(
          "Nothing can be written in "
              + home
              + ": settings, own cells and packs without a name are remembered until you leave"
              + " only. Free some room there, or give back the right to write.");
      return new OwnStore(inMemory(), troubles);
    }
  }

  private static boolean isHeld(SQLException e) {
    return Database.notKept(Path.of(FILE), e).reason() == NotKept.Reason.IN_USE;
  }

  private static Database inMemory() {
    try {
      Database d = Database.inMemory();
      Schema.OWN.build(d, 0);
      return d;
    } catch (SQLException e) {
      throw new IllegalStateException("a database in memory cannot be made", e);
    }
  }

  private static Database opened(Path file) throws SQLException {
    Database d = Database.open(file, Access.WRITE);
    try {
      int version = (int) d.number("PRAGMA user_version");
      if (version < 0 || version > Schema.OWN.version()) {
        throw new SQLException("version " + version + ", not from 0 to " + Schema.OWN.version());
      }
      d.execute("PRAGMA journal_mode = WAL");
      if (version < Schema.OWN.version()) {
        d.transaction(
            () -> {
              if (d.number("PRAGMA user_version") < Schema.OWN.version()) {
                Schema.OWN.build(d, version);
              }
              return true;
            });
      }
      if (!Schema.OWN.strange(d, Schema.OWN.version()).isEmpty()
          || !d.text("PRAGMA quick_check(1)").equals("ok")) {
        throw new SQLException("not our tables");
      }
      return d;
    } catch (NotKept e) {
      d.close();
      throw e.getCause() instanceof SQLException s ? s : new SQLException(e);
    } catch (SQLException e) {
      d.close();
      throw e;
    }
  }

  /** Returns what was wrong when it was opened or read, in sentences for the window. */
  public List<String> troubles() {
    return List.copyOf(troubles);
  }

  /** Returns all settings. */
  public Map<String, String> settings() {
    Map<String, String> all = new HashMap<>();
    read(
        () ->
            database.rows(
                r -> all.put(r.getString(1), r.getString(2)), "SELECT name, value FROM setting"));
    return all;
  }

  /** Keeps settings. */
  public void put(Map<String, String> values) throws NotKept {
    database.transaction(
        () -> {
          for (Map.Entry<String, String> e : values.entrySet()) {
            database.update(
                "INSERT INTO setting VALUES (?, ?)"
                    + " ON CONFLICT (name) DO UPDATE SET value = excluded.value",
                e.getKey(),
                e.getValue());
          }
          return true;
        });
  }

  /** Returns the files used lately, newest first. */
  public List<String> recent() {
    List<String> paths = new ArrayList<>();
    read(
        () ->
            paths.addAll(
                database.rows(
                    r -> r.getString(1), "SELECT path FROM recent ORDER BY at DESC, path")));
    return paths;
  }

  /** Puts a file at the head of those used lately. */
  public void addRecent(String path, Instant at) throws NotKept {
    database.transaction(
        () -> {
          database.update(
              "INSERT INTO recent VALUES (?, ?)"
                  + " ON CONFLICT (path) DO UPDATE SET at = excluded.at",
              path,
              at.toEpochMilli());
          database.update(
              "DELETE FROM recent WHERE path NOT IN"
                  + " (SELECT path FROM recent ORDER BY at DESC, path LIMIT "
                  + MOST_RECENT
                  + ")");
          return true;
        });
  }

  /** Returns the builder's own cells; one that cannot be read is named in the troubles. */
  public CellLibrary cells() {
    List<CellType> cells = new ArrayList<>();
    read(
        () ->
            database.rows(
                r -> {
                  try {
                    return cells.addAll(CellFile.parse(r.getString(2)).cells());
                  } catch (UnreadableProject e) {
                    return troubles.add(
                        "Your cell “" + r.getString(1) + "” cannot be read: " + e.getMessage());
                  }
                },
                "SELECT id, document FROM own_cell ORDER BY at, id"));
    return new CellLibrary(cells);
  }

  /** Keeps cells; one with the same id gives way. */
  public void keep(List<CellType> cells, Instant at) throws NotKept {
    database.transaction(
        () -> {
          for (CellType c : cells) {
            database.update(
                "INSERT INTO own_cell VALUES (?, ?, ?)"
                    + " ON CONFLICT (id) DO UPDATE SET document = excluded.document",
                c.id(),
                at.toEpochMilli(),
                CellFile.document(new CellLibrary(List.of(c))));
          }
          return true;
        });
  }

  /** Removes a cell. */
  public void remove(String cell) throws NotKept {
    database.transaction(() -> database.update("DELETE FROM own_cell WHERE id = ?", cell));
  }

  /** Returns the builder's own parts, if there are any that can be read. */
  public Optional<Parts> parts() {
    List<Parts> found = new ArrayList<>();
    read(
        () ->
            database.rows(
                r -> {
                  try {
                    return found.add(CellFile.parseParts(r.getString(1)));
                  } catch (UnreadableProject e) {
                    return troubles.add("Your own parts cannot be read: " + e.getMessage());
                  }
                },
                "SELECT document FROM own_parts"));
    return found.stream().findFirst();
  }

  /** Keeps parts in the place of those kept before. */
  public void keep(Parts parts) throws NotKept {
    database.transaction(
        () ->
            database.update(
                "INSERT INTO own_parts VALUES (1, ?)"
                    + " ON CONFLICT (only_row) DO UPDATE SET document = excluded.document",
                CellFile.document(parts)));
  }

  private void read(Database.Work<?> work) {
    try {
      work.run();
      for (String row : database.takeHidden()) {
        troubles.add("Of your settings, cells and parts, " + row + "; the rest is there.");
      }
    } catch (SQLException e) {
      troubles.add("Your settings, cells or parts could not be read whole: " + e.getMessage());
    }
  }

  @Override
  public void close() {
    database.close();
  }
}
