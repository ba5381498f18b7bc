package hammerman.watch;

import java.util.Arrays;

/**
 * What the BMS and the meter say at one moment of a charge. Whatever was not read is not a number.
 *
 * @param time by the clock of the device, s
 * @param groups voltage of each group from the negative end, V
 * @param pack voltage at the pack's ends, V
 * @param current into the pack, A
 * @param kelvin each temperature sensor, K
 */
@SuppressWarnings("ArrayRecordComponent")
public record ChargeFrame(
    double time, double[] groups, double pack, double current, double[] kelvin) {
  public ChargeFrame {
    groups = groups.clone();
    kelvin = kelvin.clone();
  }

  @Override
  public double[] groups() {
    return groups.clone();
  }

  @Override
  public double[] kelvin() {
    return kelvin.clone();
  }

  /** Returns the same readings at another time (s). */
  public ChargeFrame at(double seconds) {
    return new ChargeFrame(seconds, groups, pack, current, kelvin);
  }

  /** Returns the highest group, V; not a number if none was read. */
  public double highest() {
    return Arrays.stream(groups).filter(v -> !Double.isNaN(v)).max().orElse(Double.NaN);
  }

  /** Returns the lowest group, V; not a number if none was read. */
  public double lowest() {
    return Arrays.stream(groups).filter(v -> !Double.isNaN(v)).min().orElse(Double.NaN);
  }

  /** Returns the mean of the groups, V; not a number if one of them was not read. */
  public double mean() {
    return Arrays.stream(groups).average().orElse(Double.NaN);
  }

  /** Returns the warmest sensor, K; not a number if there is none. */
  public double warmest() {
    return Arrays.stream(kelvin).filter(t -> !Double.isNaN(t)).max().orElse(Double.NaN);
  }

  /** Returns the coldest sensor, K; not a number if there is none. */
  public double coldest() {
    return Arrays.stream(kelvin).filter(t -> !Double.isNaN(t)).min().orElse(Double.NaN);
  }

  /** Returns how many groups were read. */
  int groupsRead() {
    return count(groups);
  }

  /** Returns how many sensors were read. */
  int sensorsRead() {
    return count(kelvin);
  }

  private static int count(double[] values) {
    return (int) Arrays.stream(values).filter(v -> !Double.isNaN(v)).count();
  }

  /** Whether every reading is the same, whatever the time. */
  boolean readsAs(ChargeFrame other) {
    return Arrays.equals(groups, other.groups)
        && Arrays.equals(kelvin, other.kelvin)
        && Double.compare(pack, other.pack) == 0
        && Double.compare(current, other.current) == 0;
  }
}
