package hammerman.forecast;

import hammerman.cell.Health;
import hammerman.design.Design;
import hammerman.duty.Habits;
import hammerman.duty.Load;
import hammerman.duty.Surroundings;
import hammerman.life.LifeForecast;
import hammerman.pack.Pack;
import hammerman.unit.Figures;
import hammerman.unit.Unit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.OptionalDouble;
import java.util.function.UnaryOperator;

/**
 * What a life comes to: which habits cost it most, until when the duty fits, and what the work
 * costs over it.
 *
 * @param habits what could be done otherwise, the dearest first
 * @param fits years until the duty is not served on the coldest day; absent if it is served as long
 *     as the life is told
 * @param duties served until the end of life
 * @param perEnergy price of the cells over the energy that they deliver until then, per J
 * @param perDistance the same over the way, per m; absent for a duty without a way
 */
public record Lifetime(
    List<Habit> habits,
    OptionalDouble fits,
    double duties,
    double perEnergy,
    OptionalDouble perDistance) {

  /** A habit that costs less than this is not worth a word, years. */
  private static final double WORTH = 0.05;

  /** The longest step of a run that tells whether a duty is served, s, and how many at the most. */
  private static final double STEP = 5;

  private static final double MOST_STEPS = 2_400;

  private static final double STORED = 0.5;
  private static final double COOL = 288.15;
  private static final double COOLER = 5;

  /**
   * A habit, and what it costs.
   *
   * @param what is done now, in words that go on with “costs”
   * @param years that another habit would give more
   * @param instead the design with that other habit
   */
  public record Habit(String what, double years, Design instead) {}

  public Lifetime {
    habits = List.copyOf(habits);
  }

  /** Works it out: some forecasts, a tenth of a second. */
  public static Lifetime of(Forecast f) {
    Design design = f.design();
    double years = f.life().years();
    double duties = years * Unit.YEAR.toCore(1) * design.duty().habits().meanCycles();
    double price = design.packs().stream().mapToDouble(Pack::cost).sum();
    double energy = duties * Math.max(0, f.duty().totals().energyOut());
    double way = duties * f.duty().totals().distance();
    return new Lifetime(
        habits(f),
        fits(f),
        duties,
        energy > 0 ? price / energy : 0,
        way > 0 ? OptionalDouble.of(price / way) : OptionalDouble.empty());
  }

  private static List<Habit> habits(Forecast f) {
    Habits habits = f.design().duty().habits();
    Surroundings air = f.design().duty().surroundings();
    List<Habit> all = new ArrayList<>();
    if (habits.storageSoc() > STORED) {
      add(
          all,
          f,
          "Storing it at %s instead of half full"
              .formatted(Figures.of(habits.storageSoc(), Unit.PERCENT, 0)),
          d -> d.withDuty(d.duty().withHabits(habits.withStorageSoc(STORED))));
    }
    if (air.hottestStored() > COOL) {
      add(
          all,
          f,
          "Storing it at up to %s instead of %s"
              .formatted(
                  Figures.of(air.hottestStored(), Unit.CELSIUS, 0),
                  Figures.of(COOL, Unit.CELSIUS, 0)),
          d ->
              d.withDuty(
                  d.duty()
                      .withSurroundings(
                          air.withHottestStored(COOL)
                              .withColdestStored(Math.min(COOL, air.coldestStored())))));
    }
    if (air.hottestInUse() - COOLER >= air.coldestInUse()) {
      add(
          all,
          f,
          "Use in air of up to %s instead of %s"
              .formatted(
                  Figures.of(air.hottestInUse(), Unit.CELSIUS, 0),
                  Figures.of(air.hottestInUse() - COOLER, Unit.CELSIUS, 0)),
          d ->
              d.withDuty(
                  d.duty().withSurroundings(air.withHottestInUse(air.hottestInUse() - COOLER))));
    }
    for (Ceiling school : Ceiling.of(f.design())) {
      if (school.ceiling() < f.chain().ceiling() - 0.03 && school.forecast().duty().served()) {
        keep(
            all,
            "Charging to %s instead of %s"
                .formatted(
                    Figures.of(f.chain().ceiling(), Unit.PERCENT, 0),
                    Figures.of(school.ceiling(), Unit.PERCENT, 0)),
            school.forecast().life().years() - f.life().years(),
            school.design());
      }
    }
    all.sort(Comparator.comparingDouble((Habit h) -> -h.years()));
    return all;
  }

  private static void add(
      List<Habit> all, Forecast f, String what, UnaryOperator<Design> otherwise) {
    Design instead = otherwise.apply(f.design());
    keep(all, what, Forecast.of(instead).life().years() - f.life().years(), instead);
  }

  private static void keep(List<Habit> all, String what, double years, Design instead) {
    if (years >= WORTH) {
      all.add(new Habit(what, years, instead));
    }
  }

  /**
   * Returns the years after which the duty is no longer served in the cold: the first such point of
   * the life; absent if it is served to its end. Some runs, a hundredth of a second.
   */
  public static OptionalDouble fits(Forecast f) {
    List<LifeForecast.Point> curve = f.life().curve();
    int high = curve.size() - 1;
    if (serves(f, f.life().at(curve.get(high)))) {
      return OptionalDouble.empty();
    }
    int low = 0;
    if (!serves(f, Health.NEW)) {
      return OptionalDouble.of(0);
    }
    while (high - low > 1) {
      int middle = (low + high) >>> 1;
      if (serves(f, f.life().at(curve.get(middle)))) {
        low = middle;
      } else {
        high = middle;
      }
    }
    return OptionalDouble.of(curve.get(high).years());
  }

  private static boolean serves(Forecast f, Health left) {
    Load load = f.design().duty().task().load();
    double cold = f.design().duty().surroundings().coldestInUse();
    double step = Math.max(STEP, load.duration() / MOST_STEPS);
    return DutyRun.untraced(f.chain(), load, cold, left, step).all().served();
  }
}
