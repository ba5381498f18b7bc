package hammerman.store;

import hammerman.record.CalibrationRecord;
import hammerman.record.CalibrationRecord.Scaled;
import hammerman.record.Fact;
import hammerman.record.Fact.Strike;
import hammerman.record.Incident;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Collectors;

/** What runs came to: scales that were accepted or declined, and what went wrong. */
public final class ProofBook {
  private final ProjectStore store;

  ProofBook(ProjectStore store) {
    this.store = store;
  }

  /** Keeps scales that were accepted or declined together; returns their numbers. */
  public List<Long> keep(List<CalibrationRecord> scales, Instant at) throws NotKept {
    return store.change(
        () -> {
          List<Long> ids = new ArrayList<>();
          for (CalibrationRecord c : scales) {
            ids.add(
                store
                    .database()
                    .insert(
                        "INSERT INTO calibration (at, quantity, scale, uncertainty, runs, accepted)"
                            + " VALUES (?, ?, ?, ?, ?, ?)",
                        at.toEpochMilli(),
                        c.quantity().name(),
                        c.scale(),
                        c.uncertainty(),
                        c.runs().stream().map(String::valueOf).collect(Collectors.joining(",")),
                        c.accepted() ? 1 : 0));
          }
          return ids;
        });
  }

  /** Returns all scales, oldest first. */
  public List<Fact<CalibrationRecord>> calibrations() throws NotKept {
    return store.rows(
        ProofBook::calibration,
        "SELECT id, at, quantity, scale, uncertainty, runs, accepted, struck_at, struck_reason"
            + " FROM calibration ORDER BY id");
  }

  private static Fact<CalibrationRecord> calibration(ResultSet r) throws SQLException {
    String runs = r.getString(6);
    return new Fact<>(
        r.getLong(1),
        Instant.ofEpochMilli(r.getLong(2)),
        new CalibrationRecord(
            Scaled.valueOf(r.getString(3)),
            r.getDouble(4),
            r.getDouble(5),
            runs.isEmpty()
                ? List.of()
                : Arrays.stream(runs.split(",", -1)).map(Long::valueOf).toList(),
            r.getInt(7) == 1),
        Striking.read(r, 8));
  }

  /** Keeps an incident; returns its number. */
  public long keep(Incident incident, Instant at) throws NotKept {
    return store.write(
        "INSERT INTO incident (at, kind, run, words) VALUES (?, ?, ?, ?)",
        at.toEpochMilli(),
        incident.kind().name(),
        incident.run(),
        incident.words());
  }

  /** Strikes an incident out. */
  public void strikeIncident(long incident, Strike strike) throws NotKept {
    Striking.out(store, "incident", incident, strike);
  }

  /** Returns all incidents, oldest first. */
  public List<Fact<Incident>> incidents() throws NotKept {
    if (!store.has(4)) {
      return List.of();
    }
    return store.rows(
        r -> {
          long run = r.getLong(4);
          Long of = r.wasNull() ? null : run;
          return new Fact<>(
              r.getLong(1),
              Instant.ofEpochMilli(r.getLong(2)),
              new Incident(Incident.Kind.valueOf(r.getString(3)), of, r.getString(5)),
              Striking.read(r, 6));
        },
        "SELECT id, at, kind, run, words, struck_at, struck_reason FROM incident ORDER BY id");
  }
}
