package hammerman.store;

import hammerman.record.Fact;
import hammerman.record.Fact.Strike;
import hammerman.record.PartRecord;
import hammerman.record.StepRecord;
import hammerman.record.StepRecord.Verdict;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** What was done while building: the steps with their readings, and which cell lies where. */
public final class BuildBook {
  private final ProjectStore store;
  private final Database database;

  /**
   * Where a cell is built in.
   *
   * @param cell its number in the inventory
   * @param pack 0 for the first, 1 for the second
   * @param group from 0 at the negative end
   * @param place within the group, from 0
   */
  public record CellPlace(long cell, int pack, int group, int place) {}

  BuildBook(ProjectStore store) {
    this.store = store;
    database = store.database();
  }

  /** Keeps a step that was done; returns its number. */
  public long record(StepRecord step, Instant at) throws NotKept {
    return store.write(
        "INSERT INTO step (at, step, reading, verdict, reason) VALUES (?, ?, ?, ?, ?)",
        at.toEpochMilli(),
        step.step(),
        step.reading(),
        step.verdict().name(),
        step.reason());
  }

  /** Strikes a step out. */
  public void strike(long step, Strike strike) throws NotKept {
    Striking.out(store, "step", step, strike);
  }

  /** Returns a page of the steps, oldest first. */
  public List<Fact<StepRecord>> steps(int from, int count) throws NotKept {
    return store.rows(
        r ->
            new Fact<>(
                r.getLong(1),
                Instant.ofEpochMilli(r.getLong(2)),
                new StepRecord(
                    r.getString(3),
                    Inventory.optional(r, 4),
                    Verdict.valueOf(r.getString(5)),
                    r.getString(6)),
                Striking.read(r, 7)),
        "SELECT id, at, step, reading, verdict, reason, struck_at, struck_reason"
            + " FROM step ORDER BY id LIMIT ? OFFSET ?",
        count,
        from);
  }

  /** Returns all steps, oldest first. */
  public List<Fact<StepRecord>> steps() throws NotKept {
    return steps(0, Integer.MAX_VALUE);
  }

  /** Keeps what is known of a part; returns its number. */
  public long keep(PartRecord part, Instant at) throws NotKept {
    return store.write(
        "INSERT INTO part (at, part, have, price, note) VALUES (?, ?, ?, ?, ?)",
        at.toEpochMilli(),
        part.part(),
        part.have().name(),
        part.price(),
        part.note());
  }

  /** Returns what is known of each part by its key: what was kept of it last. */
  public Map<String, PartRecord> parts() throws NotKept {
    Map<String, PartRecord> all = new LinkedHashMap<>();
    if (!store.has(3)) {
      return all;
    }
    store
        .rows(
            r ->
                new PartRecord(
                    r.getString(1),
                    PartRecord.Have.valueOf(r.getString(2)),
                    Inventory.optional(r, 3),
                    r.getString(4)),
            "SELECT part, have, price, note FROM part ORDER BY id")
        .forEach(p -> all.put(p.part(), p));
    return all;
  }

  /**
   * Puts cells in their places, all or none; a cell is in one place at a time.
   *
   * @throws NotKept if a place is taken, or a cell is not in the inventory
   */
  public void place(List<CellPlace> places, Instant at) throws NotKept {
    store.change(
        () -> {
          for (CellPlace p : places) {
            database.update("DELETE FROM place WHERE cell = ?", p.cell());
          }
          for (CellPlace p : places) {
            database.update(
                "INSERT INTO place (cell, pack, cell_group, place, at) VALUES (?, ?, ?, ?, ?)",
                p.cell(),
                p.pack(),
                p.group(),
                p.place(),
                at.toEpochMilli());
          }
          return true;
        });
  }

  /** Returns all cells that have a place. */
  public List<CellPlace> places() throws NotKept {
    return store.rows(
        r -> new CellPlace(r.getLong(1), r.getInt(2), r.getInt(3), r.getInt(4)),
        "SELECT cell, pack, cell_group, place FROM place" + " ORDER BY pack, cell_group, place");
  }
}
