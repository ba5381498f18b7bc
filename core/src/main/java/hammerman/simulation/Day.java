package hammerman.simulation;

import hammerman.cell.Health;
import hammerman.chain.Chain;
import hammerman.design.Design;
import hammerman.duty.Surroundings;
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
   * @param worn what the end of their life leaves of the cells
   */
  public static List<Day> all(Chain chain, Run hottest, Health worn) {
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
                          discharge(chain, air.coldestInUse()).worn(worn).run());
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

  /** Whether all was done that was asked for. */
  public boolean served() {
    return run.served();
  }

  /** Returns in words whether the duty is served, or how far it goes and what ends it. */
  public String outcome() {
    if (!run.outcome().complete()) {
      return "ends after %s: %s".formatted(Figures.duration(run.endTime()), ending(run.outcome()));
    }
    return served()
        ? "served, %s left".formatted(Figures.of(left, Unit.PERCENT, 0))
        : "not served: a current limit withholds %s of the energy"
            .formatted(Figures.of(run.totals().withheldShare(), Unit.PERCENT, 0));
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
