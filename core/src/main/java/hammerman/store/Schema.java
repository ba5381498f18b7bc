package hammerman.store;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.TreeSet;

/**
 * What tables a file of ours has: numbered scripts, run in turn from the version it has.
 *
 * @param name of the scripts
 * @param applicationId at a place of the file's head kept for it
 * @param version number of the last script
 */
record Schema(String name, int applicationId, int version) {
  /** A project; “HAMR”. */
  static final Schema PROJECT = new Schema("project", 0x48414D52, 5);

  /** The program's own settings, cells and parts; “HAMO”. */
  static final Schema OWN = new Schema("own", 0x48414D4F, 1);

  /** Makes the tables that are missing since a version; inside a transaction of the caller. */
  void build(Database d, int from) throws SQLException {
    for (int v = from + 1; v <= version; v++) {
      d.script(script(v));
    }
    d.execute("PRAGMA application_id = " + applicationId);
    d.execute("PRAGMA user_version = " + version);
  }

  /**
   * Returns what a file has that it should not, or lacks: names of tables, indices, views and
   * triggers. Empty if it is exactly what this version makes.
   */
  List<String> strange(Database d, int fileVersion) throws SQLException {
    List<Item> ours;
    try (Database model = Database.inMemory()) {
      for (int v = 1; v <= fileVersion; v++) {
        model.script(script(v));
      }
      ours = items(model);
    }
    List<Item> theirs = items(d);
    TreeSet<String> names = new TreeSet<>();
    theirs.stream().filter(i -> !ours.contains(i)).forEach(i -> names.add(i.words()));
    ours.stream().filter(i -> !theirs.contains(i)).forEach(i -> names.add(i.words()));
    return new ArrayList<>(names);
  }

  private record Item(String type, String name, String sql) {
    String words() {
      return type + " “" + name + "”";
    }
  }

  private static List<Item> items(Database d) throws SQLException {
    return d.rows(
        r -> new Item(r.getString(1), r.getString(2), String.valueOf(r.getString(3))),
        "SELECT type, name, sql FROM sqlite_schema WHERE name NOT LIKE 'sqlite_stat%'");
  }

  private String script(int v) {
    String resource = "/hammerman/store/" + name + "-" + v + ".sql";
    try (InputStream in =
        Objects.requireNonNull(Schema.class.getResourceAsStream(resource), resource)) {
      return new String(in.readAllBytes(), StandardCharsets.UTF_8);
    } catch (IOException e) {
      throw new UncheckedIOException("shipped resource " + resource, e);
    }
  }
}
