package hammerman.prove;

import hammerman.chain.Chain;
import hammerman.design.Design;
import hammerman.design.DesignDifference;
import hammerman.duty.Load;
import hammerman.prove.Differences.Compared;
import hammerman.prove.Differences.Condition;
import hammerman.prove.Differences.Result;
import hammerman.record.RunCondition;
import hammerman.record.RunResult;
import hammerman.record.RunSheet;
import hammerman.unit.Figures;
import hammerman.unit.Unit;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.TreeMap;

/**
 * Two runs beside each other: what differs, what of it can be worked out and is, what remains, and
 * which next run would settle it.
 *
 * @param name of the second
 * @param raw what differs as it was written down
 * @param corrected sheet of the second, as if it had begun like the first; as it was if nothing
 *     could be worked out
 * @param worked conditions that were worked out
 * @param remaining what differs after that
 * @param next the run that would settle it
 * @param repeats of each result, by which the scatter is known
 */
public record Comparison(
    String name,
    Differences raw,
    RunSheet corrected,
    List<String> worked,
    Differences remaining,
    String next,
    int repeats) {
  /** Charges nearer than this, and airs, count as the same. */
  private static final double SAME_SOC = 0.02;

  private static final double SAME_AIR = 2;

  /** Of a meter for one cell, V. */
  private static final double METER = 0.005;

  /**
   * A run to compare.
   *
   * @param name of it
   * @param sheet what is written down
   * @param load that it drew, if its log tells
   * @param design it was made with, if that is known
   */
  public record Entry(String name, RunSheet sheet, Optional<Load> load, Optional<Design> design) {}

  public Comparison {
    worked = List.copyOf(worked);
  }

  /**
   * Compares two runs.
   *
   * @param others runs of the same pack, of which those under the same conditions tell the scatter
   */
  public static Comparison of(Chain chain, Entry a, Entry b, List<Entry> others) {
    Map<RunResult, double[]> scatter = scatter(a, b, others);
    Built built = Built.of(a, b);
    Differences raw =
        Differences.between(
            compared(chain, a, built.first(), scatter),
            compared(chain, b, built.second(), scatter));
    List<String> worked = new ArrayList<>();
    RunSheet corrected = b.sheet();
    Optional<Correction.Start> from = start(chain, b.sheet());
    Optional<Correction.Start> to = start(chain, a.sheet());
    Optional<Load> load = b.load().or(a::load);
    if (from.isPresent() && to.isPresent() && load.isPresent()) {
      double soc = to.get().soc() - from.get().soc();
      double air = to.get().air() - from.get().air();
      if (Math.abs(soc) > SAME_SOC) {
        worked.add(
            "charge at the start, %s to %s"
                .formatted(
                    Figures.of(from.get().soc(), Unit.PERCENT, 0),
                    Figures.of(to.get().soc(), Unit.PERCENT, 0)));
      }
      if (Math.abs(air) > SAME_AIR) {
        worked.add(
            "air, %s to %s"
                .formatted(
                    Figures.of(from.get().air(), Unit.CELSIUS, 0),
                    Figures.of(to.get().air(), Unit.CELSIUS, 0)));
      }
      Load wanted = load.get();
      OptionalDouble factor = carried(chain, a, b);
      if (factor.isPresent()) {
        wanted = wanted.times(factor.getAsDouble());
        worked.add(
            "load carried, %s to %s, as if on the duty's round"
                .formatted(
                    Figures.of(mass(b.sheet()), Unit.KILOGRAM),
                    Figures.of(mass(a.sheet()), Unit.KILOGRAM)));
        corrected = corrected.withFigure(RunCondition.CARRIED, mass(a.sheet()));
      }
      if (!worked.isEmpty()) {
        corrected =
            Correction.of(chain, load.get(), from.get(), wanted, to.get()).applied(corrected);
      }
      corrected = alike(corrected, a.sheet());
    }
    Differences remaining =
        Differences.between(
            compared(chain, a, built.first(), scatter),
            compared(
                chain,
                new Entry(b.name(), corrected, b.load(), b.design()),
                built.second(),
                scatter));
    int repeats = scatter.values().stream().mapToInt(s -> (int) s[1]).max().orElse(0);
    return new Comparison(
        b.name(), raw, corrected, worked, remaining, next(remaining, a, repeats), repeats);
  }

  /**
   * What two runs were made with, as conditions: each part of the design that differs is one.
   *
   * @param first of the first run
   * @param second of the second
   */
  private record Built(Map<String, Condition> first, Map<String, Condition> second) {
    static Built of(Entry a, Entry b) {
      Map<String, Condition> first = new TreeMap<>();
      Map<String, Condition> second = new TreeMap<>();
      if (a.design().isPresent() && b.design().isPresent()) {
        for (DesignDifference d : DesignDifference.between(a.design().get(), b.design().get())) {
          // Figures that are shown alike may differ: they are not compared by their words.
          first.put("the design's " + d.part(), new Condition(d.was(), 0, 0));
          second.put("the design's " + d.part(), new Condition(d.is(), 1, 0));
        }
      } else if (a.design().isPresent() != b.design().isPresent()) {
        (a.design().isPresent() ? first : second).put("the design", Condition.of("known"));
      }
      return new Built(first, second);
    }
  }

  private static double mass(RunSheet s) {
    return s.figure(RunCondition.CARRIED).orElse(Double.NaN);
  }

  /** The factor on the second's power that makes up for another load, if there is one to make. */
  private static OptionalDouble carried(Chain chain, Entry a, Entry b) {
    double was = mass(b.sheet());
    double wanted = mass(a.sheet());
    return b.load().isPresent() && Math.abs(wanted - was) > 0
        ? Carried.factor(chain.design().duty().task(), was, wanted)
        : OptionalDouble.empty();
  }

  /** Where a run began, if its sheet says. */
  public static Optional<Correction.Start> start(Chain chain, RunSheet s) {
    OptionalDouble soc = soc(chain, s);
    OptionalDouble air = s.figure(RunCondition.AIR);
    return soc.isPresent() && air.isPresent()
        ? Optional.of(new Correction.Start(soc.getAsDouble(), air.getAsDouble()))
        : Optional.empty();
  }

  private static OptionalDouble soc(Chain chain, RunSheet s) {
    OptionalDouble soc = s.figure(RunCondition.START_SOC);
    OptionalDouble volts = s.figure(RunCondition.START_VOLTAGE);
    var pack = chain.design().pack();
    if (soc.isPresent() || volts.isEmpty()) {
      return soc;
    }
    RestCharge c = RestCharge.of(pack.cell(), volts.getAsDouble() / pack.series(), METER);
    return c.tells() ? OptionalDouble.of(c.soc()) : OptionalDouble.empty();
  }

  /** What a meter, or another day, makes of the same result. */
  private static double same(RunResult r, double value) {
    return switch (r) {
      case LOWEST_VOLTAGE -> 0.005 * value;
      case HOTTEST -> SAME_AIR;
      case DURATION, CHARGE, ENERGY, REGENERATED, PEAK_CURRENT, PEAK_POWER, DISTANCE, RESISTANCE ->
          0.02 * value;
    };
  }

  private static String name(String label) {
    return label.toLowerCase(Locale.ROOT);
  }

  /** A sheet that says it began like another, once that is worked out. */
  private static RunSheet alike(RunSheet s, RunSheet as) {
    RunSheet now = s;
    for (RunCondition c :
        List.of(RunCondition.START_SOC, RunCondition.START_VOLTAGE, RunCondition.AIR)) {
      OptionalDouble v = as.figure(c);
      now = now.withFigure(c, v.isPresent() ? v.getAsDouble() : null);
    }
    return now;
  }

  private static Compared compared(
      Chain chain, Entry e, Map<String, Condition> built, Map<RunResult, double[]> scatter) {
    Map<String, Condition> conditions = new TreeMap<>(built);
    e.sheet().words().forEach((c, v) -> conditions.put(name(c.label()), Condition.of(v)));
    e.sheet().own().forEach((c, v) -> conditions.put(name(c), Condition.of(v)));
    e.sheet()
        .figures()
        .forEach(
            (c, v) -> {
              Unit unit = c.unit();
              if (unit != null && c != RunCondition.START_VOLTAGE && c != RunCondition.START_SOC) {
                conditions.put(
                    name(c.label()),
                    c == RunCondition.AIR
                        ? new Condition(Figures.of(v, unit, 0), v, SAME_AIR)
                        : new Condition(Figures.of(v, unit), v, 0));
              }
            });
    soc(chain, e.sheet())
        .ifPresent(
            soc ->
                conditions.put(
                    "charge at the start",
                    new Condition(Figures.of(soc, Unit.PERCENT, 0), soc, SAME_SOC)));
    Map<String, Result> results = new TreeMap<>();
    e.sheet()
        .results()
        .forEach(
            (r, v) -> {
              double[] known = scatter.get(r);
              results.put(
                  r.label(), new Result(v, known == null ? 0 : known[0], same(r, v), r.unit()));
            });
    return new Compared(e.name(), conditions, results);
  }

  /**
   * Standard deviation of each result over runs with the very conditions of either, and of how
   * many.
   */
  private static Map<RunResult, double[]> scatter(Entry a, Entry b, List<Entry> others) {
    Map<RunResult, double[]> all = new EnumMap<>(RunResult.class);
    for (RunResult r : RunResult.values()) {
      double sum = 0;
      int free = 0;
      int most = 0;
      for (Entry e : List.of(a, b)) {
        List<Double> same =
            others.stream()
                .filter(o -> o.sheet().words().equals(e.sheet().words()))
                .filter(o -> o.sheet().own().equals(e.sheet().own()))
                .filter(o -> o.design().equals(e.design()))
                .filter(o -> near(o.sheet(), e.sheet()))
                .flatMap(o -> o.sheet().result(r).stream().boxed())
                .toList();
        if (same.size() > 1) {
          double mean = same.stream().mapToDouble(v -> v).average().orElse(0);
          sum += same.stream().mapToDouble(v -> (v - mean) * (v - mean)).sum();
          free += same.size() - 1;
          most = Math.max(most, same.size());
        }
      }
      if (free > 0) {
        all.put(r, new double[] {Math.sqrt(sum / free), most});
      }
    }
    return all;
  }

  private static boolean near(RunSheet a, RunSheet b) {
    if (!a.figures().keySet().equals(b.figures().keySet())) {
      return false;
    }
    for (RunCondition c : a.figures().keySet()) {
      double step = c == RunCondition.AIR ? SAME_AIR : c == RunCondition.START_SOC ? SAME_SOC : 0.5;
      if (Math.abs(a.figure(c).orElse(0) - b.figure(c).orElse(0)) > step) {
        return false;
      }
    }
    return true;
  }

  private static String next(Differences d, Entry a, int repeats) {
    if (d.conditions().size() > 1) {
      return "Next: run it as “%s” was, with only this changed: %s."
          .formatted(a.name(), d.conditions().getFirst());
    }
    if (repeats < 2) {
      return "Next: repeat “%s” just as it was; two runs alike tell the scatter."
          .formatted(a.name());
    }
    return d.conditions().size() == 1
        ? "Next: go back to how “%s” was once more; if the result goes back too, it is settled."
            .formatted(a.name())
        : "";
  }
}
