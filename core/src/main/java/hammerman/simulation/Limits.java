package hammerman.simulation;

import hammerman.design.Design;
import hammerman.guard.Bms;
import hammerman.guard.Fuse;
import hammerman.guard.Guard;
import hammerman.pack.Pack;
import hammerman.readymade.ReadyMade;
import org.jspecify.annotations.Nullable;

/**
 * What ends a run or limits its current, in one set for one pack and for two. Absent limits are
 * infinite.
 *
 * @param groupCutOff group voltage at which the BMS opens, V
 * @param groupOverVoltage group voltage above which nothing is taken back, V
 * @param machineCutOut voltage at which the machine stops, V
 * @param temperature cell temperature at which the run ends, K
 * @param overCurrent BMS threshold, A
 * @param overCurrentDelay time above the threshold before it trips, s
 * @param fuse main fuse in the path, if there is one
 * @param mostOut current limit of the machine, A
 * @param mostBack highest current taken back, A
 */
record Limits(
    double groupCutOff,
    double groupOverVoltage,
    double machineCutOut,
    double temperature,
    double overCurrent,
    double overCurrentDelay,
    @Nullable Fuse fuse,
    double mostOut,
    double mostBack) {

  /** How long a group is below the cut-off before the BMS opens, s; typical. */
  static final double UNDER_VOLTAGE_DELAY = 1;

  private static final double INF = Double.POSITIVE_INFINITY;

  /** Only an empty cell ends the run. */
  static final Limits NONE = new Limits(-INF, INF, -INF, INF, INF, INF, null, INF, INF);

  static Limits of(Design design) {
    var machine = design.duty().machine();
    return of(
        design.pack(),
        design.guard(),
        machine.cutOutVoltage(),
        machine.peakCurrent(),
        design.guard().allowedRegeneration(machine.regenerationCurrent()));
  }

  /** The limits of one pack of two; those of the machine are not its own. */
  static Limits ofBranch(Pack pack, Guard guard) {
    return of(pack, guard, -INF, INF, INF);
  }

  /** The protection of a battery bought whole: it opens at once on voltage. */
  static Limits ofReadyMade(ReadyMade battery) {
    return new Limits(
        -INF,
        INF,
        battery.series() * battery.lowestGroup(),
        INF,
        battery.tripCurrent(),
        battery.tripDelay(),
        null,
        INF,
        INF);
  }

  private static Limits of(
      Pack pack, Guard guard, double machineCutOut, double mostOut, double mostBack) {
    var protection = guard.protection();
    var path = protection.inDischargePath();
    return new Limits(
        path.map(Bms::cutOffVoltage).orElse(-INF),
        protection.bms().map(Bms::overVoltage).orElse(pack.cell().fullVoltage()),
        machineCutOut,
        pack.cell().temperatures().dischargeHighest(),
        path.map(Bms::overCurrent).orElse(INF),
        path.map(Bms::overCurrentDelay).orElse(INF),
        guard.fuse().orElse(null),
        mostOut,
        mostBack);
  }
}
