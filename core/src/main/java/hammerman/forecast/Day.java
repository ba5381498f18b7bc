package hammerman.forecast;

import hammerman.cell.Health;
import hammerman.chain.Chain;
import hammerman.design.Design;
import hammerman.duty.Surroundings;
import hammerman.life.LifeForecast;
import hammerman.simulation.Discharge;
import hammerman.simulation.Outcome;
import hammerman.simulation.Run;
import hammerman.unit.Figures;
import hammerman.unit.Unit;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;

/**
 * The duty on one kind of day, from the charge ceiling, the cells as warm as the air at the start.
 *
 * @param kind of day
 * @param air its temperature, K
 * @param run how the duty goes then
 * @param left share of the capacity left at its end that can be had in this air, 0 to 1
 */
public record Day(Kind kind, double air, Run run, double left) {
  /** Of the energy asked for, so much may be withheld before the duty counts as not served. */
  private static final double CLIPPED = 0.01;

  /** The kinds of day. */
  public enum Kind {
    TYPICAL("Typical day"),
    HOTTEST("Hottest day"),
    COLDEST("Coldest day"),
    LAST("Last day, worn");

    private final String label;

    Kind(String label) {
      this.label = label;
    }

    /** Returns the kind in words that begin a sentence. */
    public String label() {
      return label;
    }

    /** Returns the stable key used on the command line. */
    public String key() {
      return name().toLowerCase(Locale.ROOT);
    }
  }

  /**
   * Runs the duty on all four days: in the middle of the temperatures in use, at either end of
   * them, and in the cold with cells at the end of their life.
   *
   * @param hottest the run of the hottest day, which there is already
   */
  static List<Day> all(Chain chain, Run hottest, LifeForecast life) {
    Surroundings air = chain.design().duty().surroundings();
    return Arrays.stream(Kind.values())
        .map(
            kind ->
                switch (kind) {
                  case TYPICAL -> {
                    double middle = 0.5 * (air.coldestInUse() + air.hottestInUse());
                    yield of(chain, kind, middle, discharge(chain, middle).run());
                  }
                  case HOTTEST -> of(chain, kind, air.hottestInUse(), hottest);
                  case COLDEST ->
                      of(
                          chain,
                          kind,
                          air.coldestInUse(),
                          discharge(chain, air.coldestInUse()).run());
                  case LAST ->
                      of(
                          chain,
                          kind,
                          air.coldestInUse(),
                          discharge(chain, air.coldestInUse()).worn(worn(life)).run());
                })
        .toList();
  }

  private static Day of(Chain chain, Kind kind, double air, Run run) {
    double beyond = 1 - chain.path().circuit().reachable(air);
    return new Day(kind, air, run, Math.max(0, run.endSoc() - beyond));
  }

  private static Discharge discharge(Chain chain, double air) {
    Design design = chain.design();
    return Discharge.of(chain, design.duty().task().load(), chain.ceiling(), air);
  }

  /** Cells at the end of their life: the capacity of its definition, the resistance of the law. */
  private static Health worn(LifeForecast life) {
    double growth = life.resistanceGrowth().orElse(Health.WORN_RESISTANCE - 1);
    return new Health(Math.clamp(life.endOfLife(), 0.2, 1), Math.clamp(1 + growth, 1, 10));
  }

  /** Whether all was done that was asked for, a hundredth of its energy aside. */
  public boolean served() {
    return run.outcome().complete() && withheld() <= CLIPPED;
  }

  /** Returns the share of the energy asked for that a current limit withheld, 0 to 1. */
  public double withheld() {
    double withheld = run.totals().withheld();
    return withheld > 0 ? withheld / (withheld + run.totals().energyOut()) : 0;
  }

  /** Returns in words whether the duty is served, or how far it goes and what ends it. */
  public String outcome() {
    if (!run.outcome().complete()) {
      return "ends after %s: %s".formatted(Figures.duration(run.endTime()), ending(run.outcome()));
    }
    return served()
        ? "served, %s left".formatted(Figures.of(left, Unit.PERCENT, 0))
        : "not served: a current limit withholds %s of the energy"
            .formatted(Figures.of(withheld(), Unit.PERCENT, 0));
  }

  /** Returns what ended a run, in words. */
  public static String ending(Outcome outcome) {
    return switch (outcome) {
      case Outcome.Complete o -> "it could go on longer than is forecast";
      case Outcome.BmsCutOff o ->
          "the BMS cuts off at " + Figures.of(o.limit(), Unit.VOLT, 2) + " per cell";
      case Outcome.MachineCutOut o ->
          "the machine cuts out at " + Figures.of(o.limit(), Unit.VOLT, 1);
      case Outcome.Empty o -> "the cells are empty";
      case Outcome.TooHot o -> "the cells reach " + Figures.of(o.limit(), Unit.CELSIUS, 0);
      case Outcome.OverCurrent o -> "the BMS opens at " + Figures.of(o.current(), Unit.AMPERE);
      case Outcome.CannotDeliver o -> "it cannot deliver " + Figures.of(o.demand(), Unit.WATT);
    };
  }
}
