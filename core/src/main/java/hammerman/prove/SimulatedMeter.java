package hammerman.prove;

import hammerman.device.StandIn;
import hammerman.simulation.Run;
import hammerman.simulation.Trace;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Random;

/**
 * An inline meter made up: it tells voltage, current and temperature of a run that was worked out,
 * {@value #RATE} times a second, with a meter's noise, and says every sample again that was not
 * heard. Time goes on when it is told to. Not safe for several threads.
 */
public final class SimulatedMeter implements StandIn {
  /** Samples a second. */
  public static final int RATE = 50;

  /** Samples in one line. */
  private static final int TOGETHER = 25;

  /** A line that was not confirmed is said again with every so many new ones. */
  private static final int KEPT = 20_000;

  private final Trace trace;
  private final double end;
  private final long seed;
  private long made;
  private long heard;
  private double time;

  /**
   * @param run that is metered
   * @param seed of the noise
   */
  public SimulatedMeter(Run run, long seed) {
    trace = run.trace();
    end = run.endTime();
    this.seed = seed;
  }

  @Override
  public List<String> greeting() {
    List<String> all = new ArrayList<>();
    all.add("{\"kind\":\"hello\",\"name\":\"simulated meter\",\"rate_Hz\":" + RATE + "}");
    // What was said while nobody heard it is said again, as far back as it is remembered.
    long from = Math.max(heard, made - KEPT);
    for (long first = from; first < made; first += TOGETHER) {
      all.add(line(first, (int) Math.min(TOGETHER, made - first)));
    }
    return all;
  }

  @Override
  public void hear(String line) {
    MeterLine said = MeterLine.read(line);
    if (said instanceof MeterLine.Heard h) {
      heard = Math.max(heard, Math.min(h.number(), made));
    }
  }

  @Override
  public List<String> advance(double seconds) {
    time = Math.min(end, time + seconds);
    List<String> all = new ArrayList<>();
    long due = (long) Math.floor(time * RATE);
    while (due - made >= TOGETHER || (time >= end && due > made)) {
      int n = (int) Math.min(TOGETHER, due - made);
      all.add(line(made, n));
      made += n;
    }
    if (time >= end) {
      all.add("{\"kind\":\"end\",\"number\":" + made + "}");
    }
    return all;
  }

  private String line(long first, int count) {
    StringBuilder out = new StringBuilder(64 + 60 * count);
    out.append("{\"kind\":\"samples\",\"number\":").append(first).append(",\"rows\":[");
    Random noise = new Random(seed + first);
    for (int k = 0; k < count; k++) {
      double t = (first + k) / (double) RATE;
      int at = trace.indexAt(t);
      out.append(k > 0 ? "," : "")
          .append(
              String.format(
                  Locale.ROOT,
                  "%.2f,%.3f,%.2f,%.1f",
                  t,
                  trace.at(Trace.Channel.VOLTAGE, at) + 0.01 * noise.nextGaussian(),
                  trace.at(Trace.Channel.CURRENT, at) + 0.05 * noise.nextGaussian(),
                  trace.at(Trace.Channel.TEMPERATURE, at) - 273.15));
    }
    return out.append("]}").toString();
  }
}
