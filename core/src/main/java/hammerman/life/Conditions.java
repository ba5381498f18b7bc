package hammerman.life;

import java.util.List;

/**
 * The conditions of use that age a cell.
 *
 * @param rests how its time is divided; shares add up to 1
 * @param cycling what moves through it
 */
public record Conditions(List<Rest> rests, Cycling cycling) {
  public Conditions {
    rests = List.copyOf(rests);
  }

  /**
   * A share of the time at one state.
   *
   * @param share of all time, 0 to 1
   * @param voltage of the cell, V
   * @param soc state of charge, 0 to 1
   * @param temperature K
   */
  public record Rest(double share, double voltage, double soc, double temperature) {}

  /**
   * Cycling, all cycles alike.
   *
   * @param cyclesPerDay duties a day
   * @param depth share of the capacity taken each time, 0 to 1
   * @param turnover charge taken out each time over the capacity; above the depth where braking
   *     gives some back on the way, 0 or more
   * @param meanVoltage mean cell voltage over the window, V
   * @param meanSoc middle of the window, 0 to 1
   * @param temperature of the cell in use and in charge, mean over the time, K
   * @param rate mean discharge current over capacity, 1/h
   */
  public record Cycling(
      double cyclesPerDay,
      double depth,
      double turnover,
      double meanVoltage,
      double meanSoc,
      double temperature,
      double rate) {
    /** Cycling without braking: what is taken out is the depth. */
    public static Cycling plain(
        double cyclesPerDay,
        double depth,
        double meanVoltage,
        double meanSoc,
        double temperature,
        double rate) {
      return new Cycling(cyclesPerDay, depth, depth, meanVoltage, meanSoc, temperature, rate);
    }

    /** Returns the equivalent full cycles a day. */
    double equivalentCyclesPerDay() {
      return cyclesPerDay * turnover;
    }
  }
}
