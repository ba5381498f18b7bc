package hammerman.simulation;

import java.util.Arrays;

/** A run over time: equally indexed samples, never changed once made. */
public final class Trace {
  /** What a trace records. */
  public enum Channel {
    TIME,
    VOLTAGE,
    CURRENT,
    POWER,
    TEMPERATURE,
    SOC,
    DISTANCE
  }

  /** A run of which no samples are kept. */
  static final Trace NONE = new Trace(new double[Channel.values().length][0], 0);

  private final double[][] samples;
  private final int size;

  /** Takes over the arrays, one for each channel, of which the first {@code size} entries count. */
  Trace(double[][] samples, int size) {
    this.samples = samples;
    this.size = size;
  }

  /** Returns the number of samples. */
  public int size() {
    return size;
  }

  /**
   * Returns a sample: time in s, voltage at the machine in V, current in A, power in W, temperature
   * in K, state of charge from 0 to 1, distance in m.
   */
  public double at(Channel channel, int index) {
    if (index >= size) {
      throw new IndexOutOfBoundsException("sample " + index + " of " + size);
    }
    return samples[channel.ordinal()][index];
  }

  /** Returns the index of the last sample at or before a time (s). */
  public int indexAt(double time) {
    int found = Arrays.binarySearch(samples[Channel.TIME.ordinal()], 0, size, time);
    return Math.clamp(found >= 0 ? found : -found - 2, 0, Math.max(0, size - 1));
  }
}
