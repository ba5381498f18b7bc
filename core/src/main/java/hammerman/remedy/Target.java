package hammerman.remedy;

import hammerman.design.Design;
import hammerman.duty.Machine;
import hammerman.forecast.Answer;
import hammerman.forecast.Forecast;
import hammerman.pack.Pack;
import hammerman.pack.Strip;
import hammerman.simulation.Run;
import hammerman.unit.Figures;
import hammerman.unit.InvalidValue;
import hammerman.unit.Unit;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.BooleanSupplier;
import java.util.function.Function;
import java.util.function.IntFunction;

/**
 * What would have to be true for an answer to be as wanted: by each lever alone the least change
 * that meets it, tried with the whole forecast. To work less is no way to go on for longer: a limit
 * that withholds more of the work than now meets no time and no range, and says so for the others.
 * Levers are the parallel count, the strip, the machine's current limit and the charge voltage.
 *
 * @param answer that is asked for
 * @param wanted value, in core units
 * @param met whether it is met as things are
 * @param ways that meet it
 * @param vain levers that do not, in words with how far they come
 */
public record Target(Answer answer, double wanted, boolean met, List<Way> ways, List<String> vain) {
  private static final int MOST_LAYERS = 8;
  private static final double VOLTS = 0.01;
  private static final int MOST_STEPS = 64;

  /**
   * A change that meets the target.
   *
   * @param what is changed, in words
   * @param design with it changed
   * @param value of the answer then, in core units
   * @param mass change of the pack's mass, kg
   * @param cost change of the price of the cells
   * @param stops titles of what would then be a stop and is none now
   */
  public record Way(
      String what, Design design, double value, double mass, double cost, List<String> stops) {
    public Way {
      stops = List.copyOf(stops);
    }
  }

  /**
   * A lever with its rungs, each a greater change than the one before.
   *
   * @param name of the lever, in words
   * @param what a rung does, in words
   */
  private record Lever(
      String name, int rungs, IntFunction<Design> design, IntFunction<String> what) {}

  public Target {
    ways = List.copyOf(ways);
    vain = List.copyOf(vain);
  }

  /**
   * Tries every lever; a rung costs a forecast, and each lever some six of them.
   *
   * @param wanted value of the answer, in core units
   * @param cancelled asked between trials; when true the search ends with what it has
   * @throws IllegalArgumentException if the design has no such answer, such as a range without a
   *     way
   */
  public static Target of(Forecast f, Answer answer, double wanted, BooleanSupplier cancelled) {
    double now = answer.of(f);
    if (!Double.isFinite(now)) {
      throw new IllegalArgumentException("no " + answer.label() + " of this duty");
    }
    List<Way> ways = new ArrayList<>();
    List<String> vain = new ArrayList<>();
    boolean met = answer.meets(now, wanted);
    if (!met) {
      for (Lever lever : levers(f, answer)) {
        if (cancelled.getAsBoolean()) {
          break;
        }
        pull(f, answer, wanted, lever, ways, vain);
      }
    }
    return new Target(answer, wanted, met, ways, vain);
  }

  /** The least rung that meets it, by bisection: a greater change of a lever does more. */
  private static void pull(
      Forecast f, Answer answer, double wanted, Lever lever, List<Way> ways, List<String> vain) {
    Function<Integer, Forecast> at = k -> Forecast.of(lever.design().apply(k));
    int high = lever.rungs();
    Forecast top = null;
    while (high > 0 && top == null) {
      try {
        top = at.apply(high);
      } catch (InvalidValue e) {
        high /= 2;
      }
    }
    if (top == null) {
      return;
    }
    double most = answer.of(top);
    if (!answer.meets(most, wanted)) {
      vain.add(
          "%s: %s comes to %s"
              .formatted(lever.name(), lever.what().apply(high), answer.shown(most)));
      return;
    }
    int low = 0;
    while (high - low > 1) {
      int middle = (low + high) >>> 1;
      Forecast tried = at.apply(middle);
      if (answer.meets(answer.of(tried), wanted)) {
        high = middle;
        top = tried;
      } else {
        low = middle;
      }
    }
    double held = withheld(top);
    boolean less = held > withheld(f) + Run.CLIPPED;
    String work = "withholds " + Figures.of(held, Unit.PERCENT, 0) + " of the work";
    if (less && (answer == Answer.TIME || answer == Answer.RANGE)) {
      vain.add(
          "%s: %s meets it only because it %s"
              .formatted(lever.name(), lever.what().apply(high), work));
      return;
    }
    Pack before = f.design().pack();
    Pack after = top.design().pack();
    ways.add(
        new Way(
            lever.what().apply(high) + (less ? ", which " + work : ""),
            top.design(),
            answer.of(top),
            after.mass() - before.mass(),
            after.cost() - before.cost(),
            Safeguard.newStops(f, top)));
  }

  /** Share of the work that the machine's current limit withholds on the typical day. */
  private static double withheld(Forecast f) {
    return f.reach().typical().totals().withheldShare();
  }

  private static List<Lever> levers(Forecast f, Answer answer) {
    Design d = f.design();
    Pack pack = d.pack();
    List<Lever> all = new ArrayList<>();
    int p = pack.parallel();
    all.add(
        new Lever(
            "More in parallel",
            Math.min(Pack.MOST_PARALLEL - p, Math.max(4, 3 * p)),
            k -> d.withCounts(pack.series(), p + k),
            k -> (p + k) + " in parallel"));
    Strip strip = pack.strip();
    if (strip.layers() < MOST_LAYERS) {
      all.add(
          new Lever(
              "More layers of strip",
              MOST_LAYERS - strip.layers(),
              k -> d.withPack(pack.withStrip(strip.withLayers(strip.layers() + k))),
              k -> (strip.layers() + k) + " layers of strip"));
    }
    Machine machine = d.duty().machine();
    double limit = Math.max(machine.peakCurrent(), d.duty().hardest().current());
    double step = Attempt.step(limit);
    int steps = (int) Math.min(MOST_STEPS, limit * 0.7 / step);
    if (steps > 0) {
      all.add(
          new Lever(
              "A lower current limit of the machine",
              steps,
              k -> limited(d, Attempt.floor(limit - k * step)),
              k ->
                  "the machine limited to "
                      + Figures.compact(Attempt.floor(limit - k * step))
                      + " A"));
    }
    charge(d, answer).ifPresent(all::add);
    return all;
  }

  private static Design limited(Design d, double amperes) {
    Machine m = d.duty().machine();
    return d.withDuty(
        d.duty()
            .withMachine(
                m.withPeakCurrent(amperes)
                    .withFullEffortCurrent(Math.min(m.fullEffortCurrent(), amperes)))
            .withHardest(
                d.duty().hardest().withCurrent(Math.min(amperes, d.duty().hardest().current()))));
  }

  /** Charged higher for time and voltage, up to full; lower for life. */
  private static Optional<Lever> charge(Design d, Answer answer) {
    int series = d.pack().series();
    double each = d.chargeVoltagePerCell();
    int way = answer == Answer.LIFE ? -1 : 1;
    double room = way > 0 ? d.pack().cell().fullVoltage() - each : each - lowest(d);
    int rungs = (int) Math.min(MOST_STEPS, Math.floor(room / VOLTS + 1e-6));
    IntFunction<Double> volts = k -> Attempt.rounded(series * (each + way * k * VOLTS));
    return rungs <= 0 || answer == Answer.HOTTEST
        ? Optional.empty()
        : Optional.of(
            new Lever(
                way > 0 ? "A higher charge voltage" : "A lower charge voltage",
                rungs,
                k ->
                    d.withGuard(
                        d.guard().withCharge(d.guard().charge().withVoltage(volts.apply(k)))),
                k -> "charged to " + Figures.of(volts.apply(k), Unit.VOLT, 2)));
  }

  /** A charge to half is the least that is offered. */
  private static double lowest(Design d) {
    return d.pack().cell().openCircuit().value(0.5);
  }
}
