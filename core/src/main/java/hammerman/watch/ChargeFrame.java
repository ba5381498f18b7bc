package hammerman.watch;

import java.util.Arrays;

/**
 * What the BMS and the meter say at one moment of a charge.
 *
 * @param time by the clock of the device, s
 * @param groups voltage of each group from the negative end, V; not a number where none was read
 * @param pack voltage at the pack's ends, V; not a number if it was not read
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

  /** Returns the frame by a clock that began at a time of this one's. */
  public ChargeFrame since(double origin) {
    return new ChargeFrame(time - origin, groups, pack, current, kelvin);
  }

  /** Returns the highest group, V; not a number if none was read. */
  public double highest() {
    return Arrays.stream(groups).filter(v -> !Double.isNaN(v)).max().orElse(Double.NaN);
  }

  /** Returns the lowest group, V; not a number if none was read. */
  public double lowest() {
    return Arrays.stream(groups).filter(v -> !Double.isNaN(v)).min().orElse(Double.NaN);
  }

  /** Returns the warmest sensor, K; not a number if there is none. */
  public double warmest() {
    return Arrays.stream(kelvin).filter(v -> !Double.isNaN(v)).max().orElse(Double.NaN);
  }
}
