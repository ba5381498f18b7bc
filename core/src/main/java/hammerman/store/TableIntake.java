package hammerman.store;

import hammerman.record.Fact;
import hammerman.record.InventoryCell;
import hammerman.record.Measured;
import hammerman.record.Measurement;
import hammerman.record.Measurement.Conditions;
import hammerman.record.Measurement.Origin;
import hammerman.record.Subject;
import hammerman.sort.CellSheet;
import hammerman.sort.MeasuredCell;
import java.sql.SQLException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;

/**
 * What a table of cells adds to an inventory: cells whose labels are new, what was not known of the
 * others, and the figures that they do not have yet.
 */
final class TableIntake {
  private final Inventory inventory;
  private final boolean direct;
  private final String instrument;
  private final Map<String, Fact<InventoryCell>> known = new HashMap<>();
  private final Set<Measurement> before = new HashSet<>();

  /**
   * @param direct whether resistances are those of direct current; else at 1 kHz
   */
  TableIntake(Inventory inventory, boolean direct, String instrument) throws NotKept {
    this.inventory = inventory;
    this.direct = direct;
    this.instrument = instrument;
    for (Fact<InventoryCell> c : inventory.cells(0, Integer.MAX_VALUE)) {
      known.put(c.value().label(), c);
    }
    for (Fact<Measurement> m : inventory.measurements(0, Integer.MAX_VALUE)) {
      if (m.counts()) {
        before.add(m.value());
      }
    }
  }

  /** Takes the rows in, within a transaction; returns how many cells were added. */
  int take(List<CellSheet.Row> rows, Instant at) throws SQLException {
    Map<String, InventoryCell> described = new LinkedHashMap<>();
    for (CellSheet.Row row : rows) {
      described.merge(row.measured().label(), row.described(), InventoryCell::orAs);
    }
    Map<String, Long> ids = new HashMap<>();
    for (InventoryCell c : described.values()) {
      Fact<InventoryCell> was = known.get(c.label());
      ids.put(c.label(), was == null ? inventory.insert(c, at) : was.id());
      if (was != null && !was.value().orAs(c).equals(was.value())) {
        inventory.update(was.id(), was.value().orAs(c));
      }
    }
    for (CellSheet.Row row : rows) {
      MeasuredCell c = row.measured();
      for (Measurement m :
          measurements(c, new Subject.Cell(Objects.requireNonNull(ids.get(c.label()))))) {
        if (before.add(m)) {
          inventory.insert(m, at);
        }
      }
    }
    return (int) described.keySet().stream().filter(l -> !known.containsKey(l)).count();
  }

  /** A rest voltage that stands beside a capacity was taken before its test. */
  private List<Measurement> measurements(MeasuredCell c, Subject of) {
    Map<Measured, Double> values = new LinkedHashMap<>();
    values.put(Measured.REST_VOLTAGE, c.voltage());
    values.put(direct ? Measured.DC_RESISTANCE : Measured.AC_RESISTANCE, c.resistance());
    values.put(Measured.CAPACITY, c.capacity());
    values.put(Measured.SELF_DISCHARGE, c.selfDischarge());
    List<Measurement> all = new ArrayList<>();
    values.forEach(
        (what, value) -> {
          if (!Double.isNaN(value)) {
            all.add(
                new Measurement(of, what, value, Conditions.UNKNOWN, instrument, Origin.IMPORTED));
          }
        });
    return all;
  }
}
