package hammerman.forecast;

import hammerman.chain.Chain;
import hammerman.chain.Path;
import hammerman.design.Design;
import hammerman.design.SecondPack;
import hammerman.duty.Load;
import hammerman.life.LifeForecast;
import hammerman.pack.Pack;
import hammerman.simulation.CellPopulation;
import hammerman.simulation.Discharge;
import hammerman.simulation.Run;
import hammerman.simulation.Tolerance;
import hammerman.simulation.TwinRun;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;

/**
 * Packs of one design as they might come out: the cells of each drawn from where they come, its
 * joints by hand, the day's air and load as they happen to be. The member of a number is always the
 * same; an ensemble grows by members and is never changed.
 *
 * <p>Drawn independently: capacity, resistance and joint of every cell ({@link Tolerance}), the air
 * anywhere between the coldest and the hottest in use, the load by {@value #LOAD} (standard
 * deviation; typical of what people state before they have measured). Each member starts from the
 * charge ceiling, its groups balanced full, and goes on until the pack ends it, every cell by
 * itself. With two packs both are drawn; capacity and resistance are those of the first. Cost: some
 * 60 ns for each cell and step of 10 s, on all processors.
 *
 * @param members so far
 */
public record Ensemble(List<Member> members) {
  /** Standard deviation of the load, as a share; typical. */
  static final double LOAD = 0.10;

  /** How many members are enough for a band. */
  private static final int ENOUGH = 200;

  /** So many cells and steps are drawn at most, some 2 to 3 s on two processors. */
  private static final double MOST_STEPS = 1e8;

  /** A first picture may take so many. */
  private static final double MOST_FIRST = 5e8;

  /** How many a first picture is made of. */
  public static final int FIRST = 20;

  private static final double STEP = 10;

  /** Two packs are tried twice in every step, to see how they share. */
  private static final int TRIALS = 2;

  /** State of charge at which the sag is given. */
  private static final double LOW = 0.2;

  /** An ensemble of none. */
  public static final Ensemble NONE = new Ensemble(List.of());

  /**
   * One pack, and how it goes.
   *
   * @param load of the load stated
   * @param air temperature, K
   * @param capacity of all its cells over the rated
   * @param weakest capacity of its weakest group over the rated
   * @param resistance mean resistance of its cells over the rated
   * @param time until the pack ends it, s
   * @param distance until then, m
   * @param sag voltage at the hardest moment at 20 % charge, V
   * @param hottest temperature of its hottest cell, K
   * @param years of life, in that air always
   */
  public record Member(
      double load,
      double air,
      double capacity,
      double weakest,
      double resistance,
      double time,
      double distance,
      double sag,
      double hottest,
      double years) {}

  public Ensemble {
    members = List.copyOf(members);
  }

  /**
   * Returns how many members of the design that a forecast is of may be drawn, 0 to 200, in steps
   * of {@value #FIRST}; none where so many would take ten seconds, as of a pack that goes on for
   * weeks.
   */
  public static int enough(Forecast f) {
    double each = Math.max(1, steps(f));
    int many = (int) Math.min(ENOUGH, MOST_STEPS / each) / FIRST * FIRST;
    return many == 0 && FIRST * each <= MOST_FIRST ? FIRST : many;
  }

  /** How many cells and steps one member takes, about. */
  private static double steps(Forecast f) {
    Random random = new Random(0);
    double step = STEP;
    int cells = 0;
    for (Pack pack : f.design().packs()) {
      step = CellPopulation.drawn(pack, Tolerance.of(pack), random).step(step);
      cells += pack.cells();
    }
    double shortest = step;
    Load load = f.design().duty().task().load();
    double round = load.steps().stream().mapToDouble(s -> Math.ceil(s.duration() / shortest)).sum();
    double steps = f.onward().endTime() / load.roundDuration() * round;
    return steps * cells * (f.pair().isPresent() ? 1 + TRIALS : 1);
  }

  /** Returns the ensemble with some more members of the design that a forecast is of. */
  public Ensemble grown(Forecast f, int by) {
    List<Member> all = new ArrayList<>(members);
    all.addAll(
        IntStream.range(members.size(), members.size() + by)
            .parallel()
            .mapToObj(k -> member(f, k))
            .toList());
    return new Ensemble(all);
  }

  private static Member member(Forecast f, int number) {
    Chain chain = f.chain();
    Design design = f.design();
    Pack pack = design.pack();
    Random random = new Random(0x48414D4D45524DL + 7919L * number);
    var surroundings = design.duty().surroundings();
    double load = 1 + LOAD * Math.clamp(random.nextGaussian(), -2.5, 2.5);
    double air =
        surroundings.coldestInUse()
            + random.nextDouble() * (surroundings.hottestInUse() - surroundings.coldestInUse());
    CellPopulation cells = CellPopulation.drawn(pack, Tolerance.of(pack), random);
    Load asked = Onward.load(chain, f.onward()).times(load);
    SecondPack second = design.second();
    Run run =
        second == null
            ? Discharge.of(chain, asked, chain.ceiling(), air)
                .untraced()
                .with(cells)
                .withStep(STEP)
                .run()
            : beside(chain, cells, second.pack(), asked, air, random);
    double weakest = Double.POSITIVE_INFINITY;
    double resistance = 0;
    double capacity = 0;
    for (int g = 0; g < pack.series(); g++) {
      weakest = Math.min(weakest, cells.groupCapacity(g));
      capacity += cells.groupCapacity(g) / pack.series() / pack.capacity();
    }
    for (int k = 0; k < pack.cells(); k++) {
      resistance += cells.resistance(k) / pack.cells() / pack.cell().r10();
    }
    return new Member(
        load,
        air,
        capacity,
        weakest / pack.capacity(),
        resistance,
        run.endTime(),
        run.totals().distance(),
        sag(chain, load * chain.demand().peak(), air, resistance),
        run.extremes().peakTemperature(),
        years(f, run, air, random.nextGaussian()));
  }

  /** Both packs, the second drawn too. */
  private static Run beside(
      Chain chain, CellPopulation first, Pack second, Load load, double air, Random random) {
    CellPopulation other = CellPopulation.drawn(second, Tolerance.of(second), random);
    return TwinRun.untraced(chain, new TwinRun.Cells(first, other), load, air, STEP).both();
  }

  /**
   * Years of life in that air, with a law that is as far off as it may be: its band is taken as two
   * standard deviations.
   */
  private static double years(Forecast f, Run run, double air, double off) {
    var use = f.design().duty().surroundings();
    double middle = 0.5 * (use.coldestInUse() + use.hottestInUse());
    double rise = air - middle + run.meanRise(air);
    LifeForecast life = Forecast.life(f.chain(), f.own(), f.chain().ceiling(), rise);
    double bound = off > 0 ? life.yearsLow() : life.yearsHigh();
    return life.years() + (bound - life.years()) * Math.min(1, Math.abs(off) / 2);
  }

  private static double sag(Chain chain, double current, double air, double resistance) {
    double share = chain.supply().split(current, LOW, air, Path.Settling.TEN_SECONDS).first();
    double more = chain.path().cells(LOW, air, Path.Settling.TEN_SECONDS) * (resistance - 1);
    return Math.max(0, chain.voltage(current, LOW, air, Path.Settling.TEN_SECONDS) - share * more);
  }
}
