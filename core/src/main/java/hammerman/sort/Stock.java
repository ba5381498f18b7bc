package hammerman.sort;

import hammerman.record.Aside;
import hammerman.record.BayTest;
import hammerman.record.Fact;
import hammerman.record.InventoryCell;
import hammerman.record.Measured;
import hammerman.record.Measurement;
import hammerman.record.Subject;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * The cells of the inventory with what was measured of each. Of several measurements of a figure
 * the last that counts is taken; self-discharge that was not measured as such is worked out from
 * two rest voltages at least {@value #LEAST_DAYS} days apart with no capacity test between them;
 * the voltage that a tester reads before its test is the second of such a pair.
 *
 * @param cells in the order they came
 * @param ended the last test that ended in each bay, by its number
 */
public record Stock(List<Cell> cells, Map<Integer, Fact<BayTest>> ended) {
  /** Rest voltages less far apart tell nothing of self-discharge, days. */
  static final int LEAST_DAYS = 3;

  private static final Duration LEAST = Duration.ofDays(LEAST_DAYS);

  /** A stock of none. */
  public static final Stock NONE = new Stock(List.of(), Map.of());

  /**
   * A cell of the inventory.
   *
   * @param id its number
   * @param described what is known of it apart from measurements
   * @param measured its latest figures; what was not measured is not a number
   * @param aside why the builder put it aside; absent if not
   * @param test its running test, if it is on one
   * @param restingSince since when it rests after a capacity test; absent if it does not
   * @param rested its last rest voltage since it was charged; absent without
   * @param count of measurements that count
   */
  public record Cell(
      long id,
      InventoryCell described,
      MeasuredCell measured,
      @Nullable Fact<Aside> aside,
      @Nullable Fact<BayTest> test,
      @Nullable Instant restingSince,
      @Nullable Fact<Measurement> rested,
      int count) {
    /** Returns its label. */
    public String label() {
      return described.label();
    }
  }

  public Stock {
    cells = List.copyOf(cells);
    ended = Map.copyOf(ended);
  }

  /**
   * Puts a stock together.
   *
   * @param cells of the inventory
   * @param measurements oldest first
   * @param asides what was put aside by hand
   * @param tests in bays, oldest first
   * @param direct whether the resistance is that of direct current; else at 1 kHz
   */
  public static Stock of(
      List<Fact<InventoryCell>> cells,
      List<Fact<Measurement>> measurements,
      List<Fact<Aside>> asides,
      List<Fact<BayTest>> tests,
      boolean direct) {
    Map<Long, History> of = new HashMap<>();
    for (Fact<Measurement> m : measurements) {
      if (m.counts() && m.value().of() instanceof Subject.Cell c) {
        of.computeIfAbsent(c.id(), id -> new History()).add(m);
      }
    }
    Map<Long, Fact<Aside>> put = new HashMap<>();
    asides.stream().filter(Fact::counts).forEach(a -> put.put(a.value().cell(), a));
    Map<Long, Fact<BayTest>> running = new HashMap<>();
    Map<Integer, Fact<BayTest>> ended = new HashMap<>();
    for (Fact<BayTest> t : tests) {
      BayTest test = t.value();
      if (test.isRunning()) {
        running.put(test.cell(), t);
      } else if (t.counts()) {
        ended.put(test.bay(), t);
      }
    }
    History none = new History();
    List<Cell> all = new ArrayList<>(cells.size());
    for (Fact<InventoryCell> c : cells) {
      History h = of.getOrDefault(c.id(), none);
      all.add(
          new Cell(
              c.id(),
              c.value(),
              h.measured(c.value().label(), direct),
              put.get(c.id()),
              running.get(c.id()),
              h.restingSince(),
              h.volts.isEmpty() ? null : h.volts.getLast(),
              h.count));
    }
    return new Stock(all, ended);
  }

  /** What was measured of one cell, by quantity, the last being in force. */
  private static final class History {
    private final Map<Measured, Fact<Measurement>> last = new EnumMap<>(Measured.class);
    private final List<Fact<Measurement>> volts = new ArrayList<>();
    private double lostBefore = Double.NaN;
    private int count;

    void add(Fact<Measurement> m) {
      Measured quantity = m.value().quantity();
      last.put(quantity, m);
      count++;
      if (quantity == Measured.CAPACITY) {
        lostBefore = lost();
        volts.clear();
      } else if (quantity == Measured.REST_VOLTAGE) {
        volts.add(m);
      }
    }

    private double value(Measured quantity) {
      Fact<Measurement> m = last.get(quantity);
      return m == null ? Double.NaN : m.value().value();
    }

    MeasuredCell measured(String label, boolean direct) {
      double told = value(Measured.SELF_DISCHARGE);
      return new MeasuredCell(
          label,
          value(Measured.CAPACITY),
          value(direct ? Measured.DC_RESISTANCE : Measured.AC_RESISTANCE),
          value(Measured.REST_VOLTAGE),
          Double.isNaN(told) ? lost() : told);
    }

    /**
     * Voltage lost between the first and the last rest voltage since the last test, else before it,
     * V/s.
     */
    private double lost() {
      if (volts.size() < 2) {
        return lostBefore;
      }
      Fact<Measurement> first = volts.getFirst();
      Fact<Measurement> then = volts.getLast();
      Duration between = Duration.between(first.at(), then.at());
      return between.compareTo(LEAST) < 0
          ? lostBefore
          : (first.value().value() - then.value().value()) / between.toSeconds();
    }

    /**
     * It rests while its self-discharge is not told: since the first rest voltage after a test, or
     * since a tester of ours was done with it. What a table tells not, nobody waits for.
     */
    @Nullable Instant restingSince() {
      Fact<Measurement> capacity = last.get(Measured.CAPACITY);
      boolean told = last.containsKey(Measured.SELF_DISCHARGE) || !Double.isNaN(lost());
      if (told || capacity == null) {
        return null;
      }
      if (!volts.isEmpty()) {
        return volts.getFirst().at();
      }
      return capacity.value().origin() == Measurement.Origin.DEVICE ? capacity.at() : null;
    }
  }
}
