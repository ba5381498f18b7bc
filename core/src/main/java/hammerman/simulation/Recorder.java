package hammerman.simulation;

import java.util.Arrays;

/** Collects the extremes and the mean of a run as they come, and its samples in flat arrays. */
final class Recorder {
  private final boolean traces;
  private final double[][] samples = new double[Trace.Channel.values().length][];
  private int size;
  private double lowestVoltage = Double.POSITIVE_INFINITY;
  private double lowestVoltageTime;
  private double peakCurrent;
  private double peakPower;
  private double peakTemperature;
  private double kelvinSeconds;
  private double seconds;
  private double timeBefore = Double.NaN;
  private double kelvinBefore;

  private Recorder(boolean traces, int expected) {
    this.traces = traces;
    for (int c = 0; c < samples.length; c++) {
      samples[c] = new double[expected];
    }
  }

  /** One that keeps samples. */
  static Recorder tracing() {
    return new Recorder(true, 1024);
  }

  /** One that keeps none, for the many runs of which only the end is asked for. */
  static Recorder ofExtremes() {
    return new Recorder(false, 0);
  }

  void add(
      double time, double voltage, double current, double kelvin, double soc, double distance) {
    if (traces) {
      keep(time, voltage, current, kelvin, soc, distance);
    }
    see(time, voltage, current, kelvin);
  }

  private void keep(
      double time, double voltage, double current, double kelvin, double soc, double distance) {
    if (size == samples[0].length) {
      for (int c = 0; c < samples.length; c++) {
        samples[c] = Arrays.copyOf(samples[c], size * 2);
      }
    }
    samples[Trace.Channel.TIME.ordinal()][size] = time;
    samples[Trace.Channel.VOLTAGE.ordinal()][size] = voltage;
    samples[Trace.Channel.CURRENT.ordinal()][size] = current;
    samples[Trace.Channel.POWER.ordinal()][size] = voltage * current;
    samples[Trace.Channel.TEMPERATURE.ordinal()][size] = kelvin;
    samples[Trace.Channel.SOC.ordinal()][size] = soc;
    samples[Trace.Channel.DISTANCE.ordinal()][size] = distance;
    size++;
  }

  /** Counts a moment among the extremes and in the mean. */
  private void see(double time, double voltage, double current, double kelvin) {
    if (voltage < lowestVoltage) {
      lowestVoltage = voltage;
      lowestVoltageTime = time;
    }
    peakCurrent = Math.max(peakCurrent, current);
    peakPower = Math.max(peakPower, voltage * current);
    peakTemperature = Math.max(peakTemperature, kelvin);
    if (time > timeBefore) {
      kelvinSeconds += 0.5 * (kelvinBefore + kelvin) * (time - timeBefore);
      seconds += time - timeBefore;
    }
    timeBefore = time;
    kelvinBefore = kelvin;
  }

  Run.Extremes extremes() {
    return new Run.Extremes(
        lowestVoltage,
        lowestVoltageTime,
        peakCurrent,
        peakPower,
        peakTemperature,
        seconds > 0 ? kelvinSeconds / seconds : kelvinBefore);
  }

  Trace trace() {
    return traces ? new Trace(samples, size) : Trace.NONE;
  }
}
