package hammerman.simulation;

import java.util.List;

/**
 * What each group and each cell went through in a run, at moments some way apart; the extremes are
 * of every step.
 *
 * @param time of each moment, s
 * @param voltage of each group at each moment, V: first by moment
 * @param kelvin temperature of each cell at each moment, K: first by moment, cells group by group
 * @param hottest cell of all
 * @param lowest group of all
 * @param apart the most that two groups' voltages lay apart under way, V
 * @param socApart the most that two cells' states of charge lay apart, 0 to 1
 */
@SuppressWarnings("ArrayRecordComponent")
public record CellTrace(
    double[] time,
    List<double[]> voltage,
    List<double[]> kelvin,
    Extreme hottest,
    Extreme lowest,
    double apart,
    double socApart) {

  /**
   * The greatest or least of something.
   *
   * @param place where; of a group, its emptiest cell
   * @param value K or V
   * @param time when, s
   */
  public record Extreme(Outcome.Place place, double value, double time) {}

  public CellTrace {
    voltage = List.copyOf(voltage);
    kelvin = List.copyOf(kelvin);
  }

  /** Returns the moment at or before a time, s. */
  public int at(double seconds) {
    int k = 0;
    while (k + 1 < time.length && time[k + 1] <= seconds) {
      k++;
    }
    return k;
  }
}
