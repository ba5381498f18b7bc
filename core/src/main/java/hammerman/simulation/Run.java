package hammerman.simulation;

import java.util.Optional;

/**
 * The result of a discharge.
 *
 * @param outcome how it ended
 * @param endTime when, s
 * @param endSoc state of charge then, 0 to 1
 * @param totals what flowed
 * @param extremes the highest and lowest values met
 * @param trace the run over time; without samples where only its end was asked for
 * @param cells what each group and cell went through, where each is in its place
 */
public record Run(
    Outcome outcome,
    double endTime,
    double endSoc,
    Totals totals,
    Extremes extremes,
    Trace trace,
    Optional<CellTrace> cells) {

  /** Of the energy asked for, so much may be withheld before a load counts as not served. */
  public static final double CLIPPED = 0.01;

  /**
   * Whether all was done that was asked for: the load went to its end, and no more than a hundredth
   * of its energy was withheld by a current limit.
   */
  public boolean served() {
    return outcome.complete() && totals.withheldShare() <= CLIPPED;
  }

  /** Returns how much warmer than air (K) the cells are over the time of the run, on a mean, K. */
  public double meanRise(double air) {
    return endTime > 0 ? extremes.meanTemperature() - air : 0;
  }

  /**
   * What flowed over a run. Charge in Ah, energies in J, distance in m.
   *
   * @param delivered charge out of the pack
   * @param regenerated charge back into it
   * @param energyOut energy into the machine
   * @param energyBack energy from the machine
   * @param chemical net energy taken from the cells' open-circuit voltage
   * @param cellHeat heat made in the cells
   * @param pathHeat heat made in strips, leads, fuse and BMS
   * @param refused braking energy that could not be taken back
   * @param withheld energy asked for above the machine's current limit
   * @param distance way covered
   */
  public record Totals(
      double delivered,
      double regenerated,
      double energyOut,
      double energyBack,
      double chemical,
      double cellHeat,
      double pathHeat,
      double refused,
      double withheld,
      double distance) {

    /**
     * Returns the energy balance error as a share of all energy that flowed; 0 when exact. What is
     * still stored in the RC branches counts as heat: that share is below 0.1 %.
     */
    public double imbalance() {
      double left = chemical - energyOut + energyBack - cellHeat - pathHeat;
      return left / Math.max(1, energyOut + energyBack + cellHeat + pathHeat);
    }

    /** Returns the share of the energy asked for that a current limit withheld, 0 to 1. */
    public double withheldShare() {
      return withheld > 0 ? withheld / (withheld + energyOut) : 0;
    }

    /** Returns all heat, J. */
    public double heat() {
      return cellHeat + pathHeat;
    }
  }

  /**
   * What stands out in a run.
   *
   * @param lowestVoltage at the machine, V
   * @param lowestVoltageTime when, s
   * @param peakCurrent A
   * @param peakPower W
   * @param peakTemperature of the cells, K
   * @param meanTemperature of the hottest cell over the time of the run, not over its samples,
   *     which may lie anyhow, K
   */
  public record Extremes(
      double lowestVoltage,
      double lowestVoltageTime,
      double peakCurrent,
      double peakPower,
      double peakTemperature,
      double meanTemperature) {}
}
