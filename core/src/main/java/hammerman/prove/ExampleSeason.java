package hammerman.prove;

import hammerman.chain.Chain;
import hammerman.duty.Load;
import hammerman.record.RunCondition;
import hammerman.record.RunSheet;
import hammerman.simulation.CellPopulation;
import hammerman.simulation.Discharge;
import hammerman.simulation.Run;
import hammerman.simulation.Trace;
import hammerman.telemetry.Quantity;
import hammerman.telemetry.Telemetry;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Random;

/**
 * A season of runs made up for a design: the engine's own, with a meter's noise, other air and
 * charge each time, and one true change from one of them on. The same by seed.
 *
 * @param runs oldest first
 */
public record ExampleSeason(List<Logged> runs) {
  /** Interval of the samples, s. */
  private static final double EVERY = 2;

  private static final double REST = 120;

  /** Of the duty's rounds: an ordinary day asks for less than what the pack was made for. */
  private static final double SHARE = 0.75;

  /** A meter's noise, as a share of the highest current. */
  private static final double AMPERES = 0.003;

  /**
   * A run with its log.
   *
   * @param days before the last of the season
   * @param sheet what was written down
   * @param log of it
   */
  public record Logged(String name, double days, RunSheet sheet, Telemetry log) {}

  /**
   * What is true of the pack, which the runs are to show.
   *
   * @param runs how many
   * @param coldest air, K
   * @param hottest air, K
   * @param capacity of the cells at the last run, times the design's
   * @param change run from which on something is changed, from 0
   * @param condition that is written down as changed
   * @param was what it was before
   * @param is what it is from then on
   * @param resistance of the cells from then on, times the design's
   */
  public record Truth(
      int runs,
      double coldest,
      double hottest,
      double capacity,
      int change,
      RunCondition condition,
      String was,
      String is,
      double resistance) {}

  public ExampleSeason {
    runs = List.copyOf(runs);
  }

  /**
   * Makes one up.
   *
   * @param course name of where the runs go
   */
  public static ExampleSeason of(Chain chain, Truth truth, String course, long seed) {
    Random random = new Random(seed);
    Load duty = chain.design().duty().task().load();
    List<Logged> all = new ArrayList<>();
    for (int k = 0; k < truth.runs(); k++) {
      double part = k / (double) Math.max(1, truth.runs() - 1);
      boolean changed = k >= truth.change();
      double air =
          truth.coldest()
              + (truth.hottest() - truth.coldest()) * Math.sin(Math.PI * part)
              + random.nextGaussian();
      double soc = Math.min(chain.ceiling(), 1) - 0.06 * random.nextDouble();
      Run run =
          Discharge.of(chain, rested(duty), soc, air)
              .with(
                  CellPopulation.of(chain.design().pack())
                      .scaled(1 + part * (truth.capacity() - 1), changed ? truth.resistance() : 1))
              .withStep(EVERY)
              .run();
      RunSheet sheet =
          RunSheet.NOTHING
              .withFigure(RunCondition.AIR, Math.rint(air - 273.15) + 273.15)
              .withWords(RunCondition.COURSE, course)
              .withWords(truth.condition(), changed ? truth.is() : truth.was());
      Telemetry log = log(run, random);
      all.add(
          new Logged(
              "%s %d".formatted(course, k + 1),
              Math.rint((1 - part) * 150),
              SheetOfLog.of(log, sheet),
              log));
    }
    return new ExampleSeason(all);
  }

  /** The duty with two minutes of rest before it, so that the log tells where it begins. */
  private static Load rested(Load duty) {
    List<Load.Step> steps = new ArrayList<>();
    steps.add(new Load.Step(new Load.Current(0), REST, 0));
    int rounds = (int) Math.ceil(SHARE * duty.rounds());
    for (int round = 0; round < rounds; round++) {
      steps.addAll(duty.steps());
    }
    return new Load(steps, 1);
  }

  /** The way up to a time, m, straight between the samples on either side of it. */
  private static double way(Trace t, double time) {
    int k = t.indexAt(time);
    double at = t.at(Trace.Channel.DISTANCE, k);
    double since = time - t.at(Trace.Channel.TIME, k);
    if (k + 1 == t.size() || since <= 0) {
      return at;
    }
    double lasts = t.at(Trace.Channel.TIME, k + 1) - t.at(Trace.Channel.TIME, k);
    return at + since / lasts * (t.at(Trace.Channel.DISTANCE, k + 1) - at);
  }

  private static Telemetry log(Run run, Random random) {
    Trace t = run.trace();
    int n = (int) (run.endTime() / EVERY);
    Map<Quantity, double[]> channels = new EnumMap<>(Quantity.class);
    for (Quantity q :
        List.of(
            Quantity.TIME,
            Quantity.VOLTAGE,
            Quantity.CURRENT,
            Quantity.TEMPERATURE,
            Quantity.SPEED)) {
      channels.put(q, new double[n]);
    }
    double noise = AMPERES * run.extremes().peakCurrent();
    boolean moves = false;
    for (int k = 0; k < n; k++) {
      int at = t.indexAt(k * EVERY);
      put(channels, Quantity.TIME, k, k * EVERY);
      put(
          channels,
          Quantity.VOLTAGE,
          k,
          t.at(Trace.Channel.VOLTAGE, at) + 0.02 * random.nextGaussian());
      put(
          channels,
          Quantity.CURRENT,
          k,
          t.at(Trace.Channel.CURRENT, at) + noise * random.nextGaussian());
      put(
          channels,
          Quantity.TEMPERATURE,
          k,
          t.at(Trace.Channel.TEMPERATURE, at) + 0.2 * random.nextGaussian());
      double way = way(t, (k + 1) * EVERY) - way(t, k * EVERY);
      put(channels, Quantity.SPEED, k, Math.max(0, way / EVERY));
      moves |= way > 0;
    }
    if (!moves) {
      channels.remove(Quantity.SPEED);
    }
    return Telemetry.of("season", channels).orElseThrow();
  }

  private static void put(Map<Quantity, double[]> channels, Quantity q, int k, double value) {
    double[] of = channels.get(q);
    if (of != null) {
      of[k] = value;
    }
  }
}
