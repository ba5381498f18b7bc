package hammerman.store;

import hammerman.finding.Station;
import hammerman.project.UnreadableProject;
import hammerman.project.UnreadableProject.Reason;
import hammerman.store.Database.Access;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.SQLException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.apache.commons.io.FileUtils;
import org.jspecify.annotations.Nullable;

/**
 * Takes what can be read of a damaged file into a new one. The damaged file is copied first and
 * never written to.
 */
public final class Salvage {
  /** In the order in which rows refer to each other. */
  private static final Map<String, String> TABLES = new LinkedHashMap<>();

  static {
    TABLES.put("state", "id");
    TABLES.put("mark", "id");
    TABLES.put("cell", "id");
    TABLES.put("measurement", "id");
    TABLES.put("place", "cell");
    TABLES.put("aside", "id");
    TABLES.put("part", "id");
    TABLES.put("test", "id");
    TABLES.put("failure", "test");
    TABLES.put("step", "id");
    TABLES.put("run", "id");
    TABLES.put("channel", "id");
    TABLES.put("block", "channel, level, number");
    TABLES.put("calibration", "id");
    TABLES.put("incident", "id");
  }

  private Salvage() {}

  /**
   * Reads a damaged file row by row, from both ends of each table.
   *
   * @param target the new file
   * @return how many rows of which table were read, in words
   * @throws UnreadableProject if no state of the design can be read
   */
  public static String of(Path damaged, Path target, Instant now)
      throws UnreadableProject, NotKept {
    Map<String, List<List<@Nullable Object>>> rows = rows(damaged);
    TreeMap<Long, DesignState> states = new TreeMap<>();
    for (List<@Nullable Object> r : rows.getOrDefault("state", List.of())) {
      DesignState s = state(r);
      if (s != null) {
        states.put(s.id(), s);
      }
    }
    if (states.isEmpty()) {
      throw new UnreadableProject(
          Reason.DAMAGED,
          ProjectFile.name(damaged)
              + " is damaged, and no state of the design can be read in it. It was left as it"
              + " is; look for a copy.");
    }
    DesignState last = states.lastEntry().getValue();
    try (ProjectStore store = ProjectStore.create(target, last, now)) {
      store.change(
          () -> {
            Database d = store.database();
            for (DesignState s : states.values()) {
              if (s.id() != last.id()) {
                d.update(
                    "INSERT INTO state VALUES (?, ?, ?, ?, 1, ?)",
                    s.id(),
                    s.at().toEpochMilli(),
                    s.station().name(),
                    s.what(),
                    s.document());
              }
            }
            rows.forEach((table, of) -> of.forEach(r -> insert(d, table, r)));
            return true;
          });
    }
    return rows.entrySet().stream()
        .filter(e -> !e.getValue().isEmpty() && !e.getKey().equals("block"))
        .map(e -> e.getValue().size() + " of " + e.getKey())
        .collect(Collectors.joining(", "));
  }

  /** A row that does not fit any more, such as the mark of a lost state, is left out. */
  private static void insert(Database d, String table, List<@Nullable Object> row) {
    if (table.equals("state")) {
      return;
    }
    String places = row.stream().map(v -> "?").collect(Collectors.joining(", "));
    try {
      d.update("INSERT OR IGNORE INTO " + table + " VALUES (" + places + ")", row.toArray());
    } catch (SQLException e) {
      return;
    }
  }

  private static @Nullable DesignState state(List<@Nullable Object> r) {
    if (r.size() == 6
        && r.get(0) instanceof Number id
        && r.get(1) instanceof Number at
        && r.get(3) instanceof String what
        && r.get(5) instanceof String document) {
      DesignState s =
          new DesignState(
              id.longValue(), Instant.ofEpochMilli(at.longValue()), Station.DUTY, what, document);
      try {
        s.project();
        return s;
      } catch (UnreadableProject e) {
        return null;
      }
    }
    return null;
  }

  private static Map<String, List<List<@Nullable Object>>> rows(Path damaged)
      throws UnreadableProject {
    Map<String, List<List<@Nullable Object>>> found = new LinkedHashMap<>();
    Path folder = null;
    try {
      folder = Files.createTempDirectory("hammerman-salvage");
      Path copy = folder.resolve("copy");
      Files.copy(damaged, copy);
      Path log = damaged.resolveSibling(damaged.getFileName() + "-wal");
      if (Files.exists(log)) {
        Files.copy(log, folder.resolve("copy-wal"));
      }
      try (Database d = Database.open(copy, Access.WRITE)) {
        for (Map.Entry<String, String> t : TABLES.entrySet()) {
          found.put(t.getKey(), readable(d, t.getKey(), t.getValue()));
        }
      }
    } catch (IOException | SQLException e) {
      return found;
    } finally {
      if (folder != null) {
        FileUtils.deleteQuietly(folder.toFile());
      }
    }
    return found;
  }

  private static List<List<@Nullable Object>> readable(Database d, String table, String key) {
    List<List<@Nullable Object>> rows = new ArrayList<>();
    boolean whole = read(d, "SELECT * FROM " + table + " ORDER BY " + key, rows);
    if (!whole) {
      String backwards =
          key.lines().map(k -> k.replace(",", " DESC,") + " DESC").collect(Collectors.joining());
      List<List<@Nullable Object>> end = new ArrayList<>();
      read(d, "SELECT * FROM " + table + " ORDER BY " + backwards, end);
      rows.addAll(end.reversed());
    }
    return rows;
  }

  private static boolean read(Database d, String sql, List<List<@Nullable Object>> into) {
    try {
      d.rows(
          r -> {
            List<@Nullable Object> row = new ArrayList<>();
            for (int k = 1; k <= r.getMetaData().getColumnCount(); k++) {
              row.add(r.getObject(k));
            }
            into.add(row);
            return true;
          },
          sql);
      return true;
    } catch (SQLException e) {
      return false;
    }
  }
}
