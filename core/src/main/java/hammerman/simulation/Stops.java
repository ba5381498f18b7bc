package hammerman.simulation;

import hammerman.design.Design;
import hammerman.guard.Bms;

/**
 * What ends a discharge or limits its current. Absent limits are infinite.
 *
 * @param groupCutOff group voltage at which the BMS opens, V
 * @param groupOverVoltage group voltage above which nothing is taken back, V
 * @param machineCutOut voltage at which the machine stops, V
 * @param temperature cell temperature at which the run ends, K
 * @param overCurrent BMS threshold, A
 * @param overCurrentDelay time above the threshold before it trips, s
 * @param mostOut current limit of the machine, A
 * @param mostBack highest current taken back, A
 */
record Stops(
    double groupCutOff,
    double groupOverVoltage,
    double machineCutOut,
    double temperature,
    double overCurrent,
    double overCurrentDelay,
    double mostOut,
    double mostBack) {

  private static final double INF = Double.POSITIVE_INFINITY;

  /** Only an empty cell ends the run. */
  static final Stops NONE = new Stops(-INF, INF, -INF, INF, INF, INF, INF, INF);

  static Stops of(Design design) {
    var machine = design.duty().machine();
    var protection = design.guard().protection();
    var path = protection.inDischargePath();
    return new Stops(
        path.map(Bms::cutOffVoltage).orElse(-INF),
        protection.bms().map(Bms::overVoltage).orElse(design.pack().cell().fullVoltage()),
        machine.cutOutVoltage(),
        design.pack().cell().temperatures().dischargeHighest(),
        path.map(Bms::overCurrent).orElse(INF),
        path.map(Bms::overCurrentDelay).orElse(INF),
        machine.peakCurrent(),
        design.guard().allowedRegeneration(machine.regenerationCurrent()));
  }
}
