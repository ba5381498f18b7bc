package hammerman.remedy;

import hammerman.design.Design;
import hammerman.forecast.Forecast;
import hammerman.numeric.Middle;
import hammerman.pack.MatchedCells;
import hammerman.pack.Pack;
import hammerman.unit.Figures;
import hammerman.unit.InvalidValue;
import hammerman.unit.Unit;
import hammerman.unit.Valid;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/**
 * What to do with a pack whose groups were measured: which of them is sick, and what another group,
 * one group fewer, cells dealt out anew or half the parallel count would give, each run through the
 * whole forecast.
 *
 * @param sick groups that differ from the others
 * @param ways as it is first, then what can be done; none where only voltages were measured
 */
public record Rework(List<Sick> sick, List<Way> ways) {
  /** Median absolute deviations that make a group sick, as for cells. */
  private static final double DEVIATIONS = 3.5;

  /** Groups within a hundredth of the middle are never sick. */
  private static final double LEAST_SHARE = 0.01;

  /**
   * A group that differs.
   *
   * @param group from 0 at the negative end
   * @param why with its figure
   * @param next what to measure next, to tell its causes apart
   */
  public record Sick(int group, String why, String next) {}

  /**
   * Something that can be done.
   *
   * @param what in words
   * @param design that comes of it
   * @param usable charge until the pack ends, on a typical day, Ah
   * @param time until then with the duty's load, s
   * @param stops titles of what would then be a stop and is none now
   * @param steps how it is done
   */
  public record Way(
      String what,
      Design design,
      double usable,
      double time,
      List<String> stops,
      List<String> steps) {
    public Way {
      stops = List.copyOf(stops);
      steps = List.copyOf(steps);
    }
  }

  public Rework {
    sick = List.copyOf(sick);
    ways = List.copyOf(ways);
  }

  /**
   * By the capacity of each group.
   *
   * @param hours capacity of each group from the negative end, Ah
   * @throws InvalidValue unless there are as many as groups, each above 0
   */
  public static Rework byCapacity(Design design, double[] hours) {
    check(design, hours, true);
    Design bare = design.withSecond(null);
    Middle of = Middle.within(hours, LEAST_SHARE);
    double middle = of.median();
    List<Sick> sick = new ArrayList<>();
    for (int g = 0; g < hours.length; g++) {
      if (of.apart(hours[g]) < -DEVIATIONS) {
        sick.add(
            new Sick(
                g,
                "holds %s, the middle is %s"
                    .formatted(
                        Figures.of(hours[g], Unit.AMPERE_HOUR),
                        Figures.of(middle, Unit.AMPERE_HOUR)),
                "Take its cells apart one by one: rest voltage, then resistance; one dead or loose"
                    + " cell of %d takes %s away."
                        .formatted(
                            design.pack().parallel(),
                            Figures.of(middle / design.pack().parallel(), Unit.AMPERE_HOUR))));
      }
    }
    return new Rework(sick, ways(bare, hours, sick, middle));
  }

  private static List<Way> ways(Design bare, double[] hours, List<Sick> sick, double middle) {
    Pack pack = bare.pack();
    Forecast now = Forecast.of(built(bare, hours));
    List<Way> ways = new ArrayList<>();
    ways.add(way("As it is", now, now, List.of()));
    if (!sick.isEmpty() && sick.size() < hours.length) {
      ways.add(replaced(bare, hours, sick, middle, now));
      ways.add(without(bare, hours, sick, now));
    }
    double mean = Arrays.stream(hours).average().orElse(middle);
    ways.add(
        way(
            "All cells dealt out anew, at best",
            Forecast.of(built(bare, filled(hours.length, mean))),
            now,
            List.of(
                "Take the pack apart to single cells; what was overheated, ground or dented is"
                    + " waste.",
                "Measure every cell at Sort, put the bad ones aside and match the groups anew.",
                "New strip: a spot once welded does not hold twice in the same place.")));
    if (pack.parallel() % 2 == 0) {
      int half = pack.parallel() / 2;
      Design halved = bare.withFit(null).withCounts(pack.series(), half);
      ways.add(
          way(
              "Half the parallel count: %dS%dP".formatted(pack.series(), half),
              Forecast.of(built(halved, Arrays.stream(hours).map(h -> h / 2).toArray())),
              now,
              List.of(
                  "Take the weaker half of the cells out of every group, after measuring each.",
                  "Fuse, strip and current limit are to be chosen anew for half the cells.")));
    }
    return ways;
  }

  private static Way replaced(
      Design bare, double[] hours, List<Sick> sick, double middle, Forecast now) {
    double[] healed = hours.clone();
    sick.forEach(s -> healed[s.group()] = middle);
    return way(
        sick.size() == 1
            ? "Another group in the place of group " + (sick.getFirst().group() + 1)
            : "Other groups in the places of the %d sick ones".formatted(sick.size()),
        Forecast.of(built(bare, healed)),
        now,
        List.of(
            "Charge the pack to storage, take the fuse out, then the balance plug.",
            "Cut the links on both sides of the group, one at a time, the rest insulated.",
            "Match a new group of %d to %s."
                .formatted(bare.pack().parallel(), Figures.of(middle, Unit.AMPERE_HOUR)),
            "Bring it to the rest voltage of its neighbours before it is joined."));
  }

  private static Way without(Design bare, double[] hours, List<Sick> sick, Forecast now) {
    Set<Integer> out = sick.stream().map(Sick::group).collect(Collectors.toSet());
    double[] fewer =
        IntStream.range(0, hours.length)
            .filter(g -> !out.contains(g))
            .mapToDouble(g -> hours[g])
            .toArray();
    int parallel = bare.pack().parallel();
    Design shorter = built(bare.withFit(null).withCounts(fewer.length, parallel), fewer);
    return way(
        "Without the sick: %dS%dP".formatted(fewer.length, parallel),
        Forecast.of(shorter),
        now,
        List.of(
            "Take the fuse out, then the balance plug.",
            "Cut the group out and join its neighbours with the same link.",
            "A BMS and a charger for %d groups; set the charge to %s."
                .formatted(
                    fewer.length, Figures.of(shorter.guard().charge().voltage(), Unit.VOLT, 1)),
            "Set the machine's limits anew before the first run."));
  }

  private static Way way(String what, Forecast f, Forecast now, List<String> steps) {
    var run = f.reach().typical();
    return new Way(
        what,
        f.design(),
        run.totals().delivered() - run.totals().regenerated(),
        run.endTime(),
        Safeguard.newStops(now, f),
        steps);
  }

  private static double[] filled(int n, double value) {
    double[] all = new double[n];
    Arrays.fill(all, value);
    return all;
  }

  /** The design with groups of these capacities, Ah; within a group its cells are alike. */
  private static Design built(Design d, double[] hours) {
    return d.withMatched(MatchedCells.ofGroups(hours, d.pack().parallel()));
  }

  /**
   * By the rest voltage of each group. Voltages do not tell capacities: no way is offered, but what
   * brings the groups level.
   *
   * @param volts rest voltage of each group from the negative end, V
   * @throws InvalidValue unless there are as many as groups, each one that a cell can have
   */
  public static Rework byVoltage(Design design, double[] volts) {
    check(design, volts, false);
    Pack pack = design.pack();
    Middle of = Middle.of(volts, Levelling.LEVEL);
    double middle = of.median();
    List<Sick> sick = new ArrayList<>();
    for (int g = 0; g < volts.length; g++) {
      if (Math.abs(of.apart(volts[g])) > DEVIATIONS) {
        boolean low = volts[g] < middle;
        boolean dead = volts[g] < pack.cell().cutOffVoltage() - 0.3;
        double charge = Math.abs(Levelling.charge(pack, volts[g], middle, pack.parallel()));
        sick.add(
            new Sick(
                g,
                "rests at %s, the middle is %s"
                    .formatted(
                        Figures.of(volts[g], Unit.VOLT, 3), Figures.of(middle, Unit.VOLT, 3)),
                dead
                    ? "It sat below its cut-off: never revive it. Put the group aside as waste."
                    : "%s it by about %s with a single-cell charger under watch, and look again in"
                            .formatted(
                                low ? "Bring up" : "Bring down",
                                Figures.of(charge, Unit.AMPERE_HOUR))
                        + (low
                            ? " a week: if it has fallen, a cell in it leaks."
                            : " a week: if it has risen against the others, they leak.")));
      }
    }
    return new Rework(sick, List.of());
  }

  /**
   * Refuses figures that groups cannot have.
   *
   * @param capacity whether they are capacities, Ah; else rest voltages, V
   * @throws InvalidValue unless there are as many as groups, each within what it can be
   */
  public static void check(Design design, double[] values, boolean capacity) {
    String name = capacity ? "Capacity of a group" : "Rest voltage of a group";
    int series = design.pack().series();
    if (values.length != series) {
      throw new InvalidValue(
          name,
          values.length + " figures",
          "there are %d groups".formatted(series),
          "Give one figure for each, from the negative end.");
    }
    for (double v : values) {
      if (capacity) {
        Valid.range(name, v, 0.01 * design.pack().parallel(), 100_000, Unit.AMPERE_HOUR);
      } else {
        Valid.range(name, v, 0, 5, Unit.VOLT);
      }
    }
  }
}
