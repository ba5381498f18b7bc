package hammerman.build;

import hammerman.forecast.Forecast;
import hammerman.record.Fact;
import hammerman.record.StepRecord;
import hammerman.unit.Unit;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;

/**
 * The record of a build made up for the worked examples: evenings of some two hours with days in
 * between, readings within their bounds with a meter's noise, and two mistakes that were caught and
 * mended. The same by seed.
 *
 * @param steps what was done, oldest first, with its time
 */
public record ExampleBuild(List<Entry> steps) {
  /** Share of the room between the bounds that readings scatter by. */
  private static final double NOISE = 0.12;

  private static final Duration EVENING = Duration.ofHours(2);

  /** A step that was done at a time. */
  public record Entry(Instant at, StepRecord step) {}

  public ExampleBuild {
    steps = List.copyOf(steps);
  }

  /**
   * Makes one up.
   *
   * @param forecast of the design that is built
   * @param until id of the step that is not done any more; an empty text builds all
   * @param end when the last was done
   */
  public static ExampleBuild of(Forecast forecast, String until, Instant end, long seed) {
    Random random = new Random(seed);
    List<StepRecord> done = new ArrayList<>();
    List<Fact<StepRecord>> facts = new ArrayList<>();
    int series = forecast.design().pack().series();
    // A tip that did not reach the cell, and two balance leads in each other's places.
    String blind = "group.%d.join".formatted(Math.min(4, series));
    int swapped = Math.max(1, series / 2);
    Map<String, Integer> wrong =
        series > 1
            ? Map.of("probe." + swapped, swapped + 1, "probe." + (swapped + 1), swapped)
            : Map.of();
    List<String> mended = new ArrayList<>();
    Progress p = Progress.of(forecast, facts);
    while (p.next().isPresent() && !p.next().get().id().equals(until)) {
      Step s = p.next().get();
      StepRecord r;
      if (s.expects().isEmpty()) {
        r = p.tick(s.id());
      } else if (s.id().equals(blind) && !mended.contains(blind)) {
        mended.add(blind);
        r = p.read(s.id(), 0);
      } else if (wrong.containsKey(s.id()) && !mended.contains(s.id())) {
        mended.add(s.id());
        int instead = wrong.getOrDefault(s.id(), 0);
        double there =
            p.procedure()
                .step("probe." + instead)
                .flatMap(Step::expects)
                .map(Expected::value)
                .orElse(0.0);
        r = p.read(s.id(), rounded(there, Unit.VOLT));
      } else {
        r = p.read(s.id(), reading(s.expects().get(), random));
      }
      done.add(r);
      facts.add(new Fact<>(done.size(), Instant.EPOCH, r, null));
      p = Progress.of(forecast, facts);
    }
    return new ExampleBuild(dated(done, end, random));
  }

  /** Times from the last one back: minutes between steps, days between evenings. */
  private static List<Entry> dated(List<StepRecord> done, Instant end, Random random) {
    List<Entry> all = new ArrayList<>();
    Instant at = end;
    Instant evening = end.minus(EVENING);
    for (StepRecord r : done.reversed()) {
      all.addFirst(new Entry(at, r));
      at = at.minus(Duration.ofSeconds(120 + random.nextInt(420)));
      if (at.isBefore(evening)) {
        at = at.plus(EVENING).minus(Duration.ofDays(1 + random.nextInt(3)));
        evening = at.minus(EVENING);
      }
    }
    return all;
  }

  private static double reading(Expected e, Random random) {
    if (e.low() == e.value() && e.high() == e.value()) {
      return e.value();
    }
    double room =
        Math.min(e.high() - e.value(), Math.max(e.value() - e.low(), e.high() - e.value()));
    double v = e.value() + NOISE * Math.abs(random.nextGaussian()) * room;
    if (e.low() < e.value() && random.nextBoolean()) {
      v = e.value() - NOISE * Math.abs(random.nextGaussian()) * (e.value() - e.low());
    }
    return Math.clamp(rounded(v, e.unit()), e.low(), e.high());
  }

  /** As a display shows it: four figures, or a millivolt. */
  private static double rounded(double core, Unit unit) {
    double v = unit.fromCore(core);
    double digit = Math.abs(v) >= 100 ? 1 : Math.abs(v) >= 10 ? 100 : 1000;
    return unit.toCore(Math.rint(v * digit) / digit);
  }
}
