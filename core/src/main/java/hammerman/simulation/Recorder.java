package hammerman.simulation;

import java.util.Arrays;

/** Collects samples of a run in flat arrays and the extremes as they come. */
final class Recorder {
  private final double[][] samples = new double[Trace.Channel.values().length][];
  private int size;
  private double lowestVoltage = Double.POSITIVE_INFINITY;
  private double lowestVoltageTime;
  private double peakCurrent;
  private double peakPower;
  private double peakTemperature;

  Recorder(int expected) {
    for (int c = 0; c < samples.length; c++) {
      samples[c] = new double[expected];
    }
  }

  void add(
      double time, double voltage, double current, double kelvin, double soc, double distance) {
    if (size == samples[0].length) {
      for (int c = 0; c < samples.length; c++) {
        samples[c] = Arrays.copyOf(samples[c], size * 2);
      }
    }
    double power = voltage * current;
    samples[Trace.Channel.TIME.ordinal()][size] = time;
    samples[Trace.Channel.VOLTAGE.ordinal()][size] = voltage;
    samples[Trace.Channel.CURRENT.ordinal()][size] = current;
    samples[Trace.Channel.POWER.ordinal()][size] = power;
    samples[Trace.Channel.TEMPERATURE.ordinal()][size] = kelvin;
    samples[Trace.Channel.SOC.ordinal()][size] = soc;
    samples[Trace.Channel.DISTANCE.ordinal()][size] = distance;
    size++;
    see(time, voltage, current, kelvin);
  }

  /** Counts a moment among the extremes without a sample of it. */
  void see(double time, double voltage, double current, double kelvin) {
    if (voltage < lowestVoltage) {
      lowestVoltage = voltage;
      lowestVoltageTime = time;
    }
    peakCurrent = Math.max(peakCurrent, current);
    peakPower = Math.max(peakPower, voltage * current);
    peakTemperature = Math.max(peakTemperature, kelvin);
  }

  Run.Extremes extremes() {
    return new Run.Extremes(
        lowestVoltage, lowestVoltageTime, peakCurrent, peakPower, peakTemperature);
  }

  Trace trace() {
    return new Trace(samples, size);
  }
}
