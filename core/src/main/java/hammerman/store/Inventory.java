package hammerman.store;

import hammerman.record.Aside;
import hammerman.record.BayTest;
import hammerman.record.BayTest.Outcome;
import hammerman.record.Fact;
import hammerman.record.Fact.Strike;
import hammerman.record.InventoryCell;
import hammerman.record.Measured;
import hammerman.record.Measurement;
import hammerman.record.Measurement.Conditions;
import hammerman.record.Measurement.Origin;
import hammerman.record.Subject;
import hammerman.sort.CellSheet;
import hammerman.sort.Stock;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** The cells that were bought, and everything measured of cells, groups and packs. */
public final class Inventory {
  private static final String MEASUREMENT =
      "SELECT id, at, subject, number, quantity, value, current_A, cut_off_V, temperature_K,"
          + " rest_s, instrument, origin, struck_at, struck_reason FROM measurement";

  private static final String MEASURED = "MEASURED";
  private static final String BROKEN_OFF = "BROKEN_OFF";

  private static final String DESCRIBE =
      "UPDATE cell SET label = ?, type = ?, lot = ?, source = ?, bought = ?, price = ?, notes = ?,"
          + " photo = ? WHERE id = ?";

  private final ProjectStore store;
  private final Database database;

  Inventory(ProjectStore store) {
    this.store = store;
    database = store.database();
  }

  /**
   * Takes in cells, all or none.
   *
   * @return their numbers
   * @throws NotKept if a label is taken already, or nothing can be written
   */
  public List<Long> add(List<InventoryCell> cells, Instant at) throws NotKept {
    return store.change(
        () -> {
          List<Long> ids = new ArrayList<>(cells.size());
          for (InventoryCell c : cells) {
            ids.add(insert(c, at));
          }
          return ids;
        });
  }

  /**
   * Takes in cells out of a table, all or none: what was measured goes to the cell with that label,
   * which is added if there is none. A figure that the cell has already, to the last digit, is not
   * kept twice; what is known of a cell stays, and only what is not is filled in.
   *
   * @param direct whether resistances are those of direct current; else at 1 kHz
   * @return how many cells were added
   */
  public int take(List<CellSheet.Row> rows, boolean direct, String instrument, Instant at)
      throws NotKept {
    TableIntake intake = new TableIntake(this, direct, instrument);
    return store.change(() -> intake.take(rows, at));
  }

  /** Describes a cell anew; its measurements stay. */
  public void describe(long cell, InventoryCell c) throws NotKept {
    store.write(DESCRIBE, values(c, cell));
  }

  void update(long cell, InventoryCell c) throws SQLException {
    database.update(DESCRIBE, values(c, cell));
  }

  long insert(InventoryCell c, Instant at) throws SQLException {
    return database.insert(
        "INSERT INTO cell (label, type, lot, source, bought, price, notes, photo, at)"
            + " VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?)",
        values(c, at.toEpochMilli()));
  }

  /** A cell's fields in the order of its statements, and one more. */
  private static @Nullable Object[] values(InventoryCell c, long last) {
    return new @Nullable Object[] {
      c.label(),
      c.type(),
      c.lot(),
      c.source(),
      c.bought() == null ? null : c.bought().toString(),
      c.price(),
      c.notes(),
      c.photo(),
      last
    };
  }

  /** Returns how many cells there are. */
  public int count() throws NotKept {
    return (int) store.number("SELECT count(*) FROM cell");
  }

  /** Returns a page of the cells, in the order they came. */
  public List<Fact<InventoryCell>> cells(int from, int count) throws NotKept {
    return store.rows(
        Inventory::cell,
        "SELECT id, at, label, type, lot, source, bought, price, notes, photo"
            + " FROM cell ORDER BY id LIMIT ? OFFSET ?",
        count,
        from);
  }

  /**
   * Returns all cells with what was measured of each.
   *
   * @param direct whether resistances are those of direct current; else at 1 kHz
   */
  public Stock stock(boolean direct) throws NotKept {
    return Stock.of(
        cells(0, Integer.MAX_VALUE), measurements(0, Integer.MAX_VALUE), asides(), tests(), direct);
  }

  /** Keeps measurements, all or none; returns their numbers. */
  public List<Long> measure(List<Measurement> measurements, Instant at) throws NotKept {
    return store.change(
        () -> {
          List<Long> ids = new ArrayList<>(measurements.size());
          for (Measurement m : measurements) {
            ids.add(insert(m, at));
          }
          return ids;
        });
  }

  /** Strikes a measurement out; it stays, and says why it does not count. */
  public void strike(long measurement, Strike strike) throws NotKept {
    Striking.out(store, "measurement", measurement, strike);
  }

  /** Strikes a measurement out and keeps the right one, both or neither. */
  public long correct(long measurement, Strike strike, Measurement right) throws NotKept {
    return store.change(
        () -> {
          Striking.strike(store, "measurement", measurement, strike);
          return insert(right, strike.at());
        });
  }

  /** Returns everything measured of a subject, oldest first, struck out or not. */
  public List<Fact<Measurement>> of(Subject subject) throws NotKept {
    return store.rows(
        Inventory::measurement,
        MEASUREMENT + " WHERE subject = ? AND number = ? ORDER BY at, id",
        kind(subject),
        number(subject));
  }

  /** Returns a page of all measurements, oldest first. */
  public List<Fact<Measurement>> measurements(int from, int count) throws NotKept {
    return store.rows(
        Inventory::measurement, MEASUREMENT + " ORDER BY id LIMIT ? OFFSET ?", count, from);
  }

  /** Puts a cell aside, whatever was measured of it; returns the number of that. */
  public long setAside(Aside aside, Instant at) throws NotKept {
    return store.write(
        "INSERT INTO aside (at, cell, reason) VALUES (?, ?, ?)",
        at.toEpochMilli(),
        aside.cell(),
        aside.reason());
  }

  /** Takes a cell back that was put aside; both stay in the record. */
  public void takeBack(long aside, Strike strike) throws NotKept {
    Striking.out(store, "aside", aside, strike);
  }

  /** Returns all that was put aside, oldest first, struck out or not. */
  public List<Fact<Aside>> asides() throws NotKept {
    if (!store.has(2)) {
      return List.of();
    }
    return store.rows(
        r ->
            new Fact<>(
                r.getLong(1),
                Instant.ofEpochMilli(r.getLong(2)),
                new Aside(r.getLong(3), r.getString(4)),
                Striking.read(r, 5)),
        "SELECT id, at, cell, reason, struck_at, struck_reason FROM aside ORDER BY id");
  }

  /**
   * Puts cells on test, all or none; returns the numbers of their tests.
   *
   * @throws NotKept if a cell is on test already, or a bay is taken
   */
  public List<Long> begin(List<BayTest> tests, Instant at) throws NotKept {
    return store.change(
        () -> {
          List<Long> ids = new ArrayList<>(tests.size());
          for (BayTest t : tests) {
            ids.add(
                database.insert(
                    "INSERT INTO test (at, cell, bay, due) VALUES (?, ?, ?, ?)",
                    at.toEpochMilli(),
                    t.cell(),
                    t.bay(),
                    t.due().toEpochMilli()));
          }
          return ids;
        });
  }

  /**
   * Ends a test and keeps what it found, both or neither. A test that has ended stays as it ended:
   * what comes in again is not counted twice.
   *
   * @return whether it was running
   */
  public boolean end(long test, Outcome outcome, List<Measurement> found, Instant at)
      throws NotKept {
    return store.change(
        () -> {
          long running =
              database.number("SELECT count(*) FROM test WHERE id = ? AND ended IS NULL", test);
          if (running == 0) {
            return false;
          }
          database.update(
              "UPDATE test SET ended = ?, outcome = ? WHERE id = ?",
              at.toEpochMilli(),
              outcome instanceof Outcome.Measured ? MEASURED : BROKEN_OFF,
              test);
          if (outcome instanceof Outcome.Failed(String why)) {
            database.update("INSERT INTO failure (test, why) VALUES (?, ?)", test, why);
          }
          for (Measurement m : found) {
            insert(m, at);
          }
          return true;
        });
  }

  /** Returns all tests in bays, oldest first. */
  public List<Fact<BayTest>> tests() throws NotKept {
    if (!store.has(2)) {
      return List.of();
    }
    return store.rows(
        Inventory::test,
        store.has(5)
            ? "SELECT id, at, cell, bay, due, ended, outcome, why"
                + " FROM test LEFT JOIN failure ON failure.test = test.id ORDER BY id"
            : "SELECT id, at, cell, bay, due, ended, outcome, NULL FROM test ORDER BY id");
  }

  private static Fact<BayTest> test(ResultSet r) throws SQLException {
    long ended = r.getLong(6);
    boolean running = r.wasNull();
    return new Fact<>(
        r.getLong(1),
        Instant.ofEpochMilli(r.getLong(2)),
        new BayTest(
            r.getLong(3),
            r.getInt(4),
            Instant.ofEpochMilli(r.getLong(5)),
            running ? null : Instant.ofEpochMilli(ended),
            running ? null : outcome(r.getString(7), r.getString(8))),
        null);
  }

  private static Outcome outcome(@Nullable String kept, @Nullable String why) {
    if (MEASURED.equals(kept)) {
      return new Outcome.Measured();
    }
    return why == null ? new Outcome.BrokenOff() : new Outcome.Failed(why);
  }

  long insert(Measurement m, Instant at) throws SQLException {
    Conditions c = m.conditions();
    return database.insert(
        "INSERT INTO measurement (at, subject, number, quantity, value, current_A,"
            + " cut_off_V, temperature_K, rest_s, instrument, origin)"
            + " VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)",
        at.toEpochMilli(),
        kind(m.of()),
        number(m.of()),
        m.quantity().name(),
        m.value(),
        c.current(),
        c.cutOff(),
        c.temperature(),
        c.rest(),
        m.instrument(),
        m.origin().name());
  }

  private static String kind(Subject s) {
    return switch (s) {
      case Subject.Cell c -> "CELL";
      case Subject.Group g -> "GROUP";
      case Subject.Pack p -> "PACK";
    };
  }

  private static long number(Subject s) {
    return switch (s) {
      case Subject.Cell c -> c.id();
      case Subject.Group g -> g.index();
      case Subject.Pack p -> p.index();
    };
  }

  private static Fact<InventoryCell> cell(ResultSet r) throws SQLException {
    String bought = r.getString(7);
    return new Fact<>(
        r.getLong(1),
        Instant.ofEpochMilli(r.getLong(2)),
        new InventoryCell(
            r.getString(3),
            r.getString(4),
            r.getString(5),
            r.getString(6),
            bought == null ? null : LocalDate.parse(bought),
            optional(r, 8),
            r.getString(9),
            r.getString(10)),
        null);
  }

  private static Fact<Measurement> measurement(ResultSet r) throws SQLException {
    int number = r.getInt(4);
    Subject subject =
        switch (r.getString(3)) {
          case "CELL" -> new Subject.Cell(r.getLong(4));
          case "GROUP" -> new Subject.Group(number);
          default -> new Subject.Pack(number);
        };
    return new Fact<>(
        r.getLong(1),
        Instant.ofEpochMilli(r.getLong(2)),
        new Measurement(
            subject,
            Measured.valueOf(r.getString(5)),
            r.getDouble(6),
            new Conditions(optional(r, 7), optional(r, 8), optional(r, 9), optional(r, 10)),
            r.getString(11),
            Origin.valueOf(r.getString(12))),
        Striking.read(r, 13));
  }

  static @Nullable Double optional(ResultSet r, int column) throws SQLException {
    double v = r.getDouble(column);
    return r.wasNull() ? null : v;
  }
}
