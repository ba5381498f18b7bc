package hammerman.watch;

import hammerman.cell.CellType;
import hammerman.design.Design;
import hammerman.guard.Bms;
import hammerman.guard.ChargePlan;

/**
 * What a charge of a design may come to, by the datasheet of its cells, its BMS and its charger.
 *
 * @param series groups that must be read
 * @param highest voltage that no group may pass, V
 * @param lowest voltage below which no group may be charged, V
 * @param end charge voltage of a group, V: there the charge ends
 * @param packMost voltage that the pack may not pass, V
 * @param coldest lowest temperature at which the cell may be charged, K
 * @param hottest highest temperature at which the cell may be charged, K
 * @param rise fastest warming of a sound cell, K/s
 * @param current that the charger should give, A
 * @param most current that may flow, A
 * @param capacity of the pack, Ah
 * @param room charge that the pack can take, Ah
 */
record ChargeLimits(
    int series,
    double highest,
    double lowest,
    double end,
    double packMost,
    double coldest,
    double hottest,
    double rise,
    double current,
    double most,
    double capacity,
    double room) {
  /** A group may be above the charge voltage by this, V. */
  private static final double TOLERANCE = 0.01;

  /** No cell is charged further above its full voltage, V, whatever the BMS is set to. */
  private static final double BEYOND_FULL = 0.05;

  /** The charger may be above its current by this share. */
  private static final double CURRENT = 1.2;

  /** No charge goes in beyond this share of the capacity. */
  private static final double CAPACITY = 1.10;

  /** A sound cell warms slower than this while it is charged gently, K/s: 1 K a minute. */
  private static final double GENTLE = 1.0 / 60;

  /** No sound cell warms faster than this, K/s: 3 K a minute. */
  private static final double FASTEST = 3.0 / 60;

  /** Settled against 10 s resistance, and a margin of a half. */
  private static final double WARMING = 1.5 * 1.5;

  static ChargeLimits of(Design design, double soc) {
    CellType cell = design.pack().cell();
    ChargePlan plan = design.guard().charge();
    int parallel = design.pack().parallel();
    double full = cell.fullVoltage() + BEYOND_FULL;
    double end = design.chargeVoltagePerCell();
    double over = design.guard().protection().bms().map(Bms::overVoltage).orElse(full);
    double most = Math.min(plan.current(), parallel * cell.currents().fastCharge());
    double amperes = most / parallel;
    double self = WARMING * amperes * amperes * cell.r10() / (cell.mass() * cell.specificHeat());
    double capacity = design.pack().capacity();
    return new ChargeLimits(
        design.pack().series(),
        Math.min(Math.max(over, end + TOLERANCE), full),
        cell.cutOffVoltage(),
        end,
        plan.highest() + TOLERANCE * design.pack().series(),
        cell.temperatures().chargeLowest(),
        cell.temperatures().chargeHighest(),
        Math.clamp(self, GENTLE, FASTEST),
        most,
        CURRENT * most,
        capacity,
        Math.min(CAPACITY, (1 - soc) * 1.15 + 0.05) * capacity);
  }

  /** Returns the current at which the charge ends, A. */
  double endCurrent() {
    return ChargePlan.TAPER_END * current;
  }
}
