package hammerman.simulation;

import hammerman.cell.Health;
import hammerman.chain.Chain;
import hammerman.chain.Layout;
import hammerman.duty.Load;
import hammerman.duty.Surroundings;
import hammerman.unit.Figures;
import hammerman.unit.Unit;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * The duty on one kind of day, from the charge ceiling, the cells as warm as the air at the start.
 *
 * @param kind of day
 * @param air its temperature, K
 * @param run how the duty goes then, with samples
 * @param left share of the capacity left at its end that can be had in this air, 0 to 1
 * @param recovery whether what ended it too soon comes back; nothing where nothing did
 */
public record Day(Kind kind, double air, Run run, double left, Optional<Recovery> recovery) {
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

  /** The longest step of a run with every cell in its place, s. */
  private static final double STEP_IN_PLACE = 10;

  /**
   * Runs the duty on all four days: in the middle of the temperatures in use, at either end of
   * them, and in the cold with cells at the end of their life.
   *
   * @param hottest the run of the hottest day, which there is already
   * @param worn what the end of their life leaves of the cells
   */
  public static List<Day> all(Chain chain, Run hottest, Health worn) {
    return Arrays.stream(Kind.values())
        .map(
            kind ->
                kind == Kind.HOTTEST && hottest.outcome().complete()
                    ? of(chain, kind, hottest, Optional.empty())
                    : of(chain, kind, run(chain, kind, worn).runAndRest()))
        .toList();
  }

  /**
   * Runs the duty of two packs together on all four days, from the states of charge that the design
   * gives them.
   *
   * @param hottest the run of the hottest day, which there is already
   */
  public static List<Day> together(Chain chain, TwinRun hottest, Health worn) {
    Load load = chain.design().duty().task().load();
    TwinRun.Cells cells = TwinRun.Cells.of(chain);
    return Arrays.stream(Kind.values())
        .map(
            kind ->
                of(
                    chain,
                    kind,
                    kind == Kind.HOTTEST
                        ? hottest
                        : TwinRun.traced(
                            chain,
                            kind == Kind.LAST ? cells.worn(worn) : cells,
                            load,
                            air(chain, kind),
                            Discharge.stepFor(load))))
        .toList();
  }

  /**
   * Runs the duty on all four days cell by cell, on all processors; of two packs both together, the
   * first cell by cell.
   *
   * @param layout where each cell is; in ideal groups if it is not known
   */
  public static List<Day> cellByCell(Chain chain, Optional<Layout.Solved> layout, Health worn) {
    return Arrays.stream(Kind.values())
        .parallel()
        .map(
            kind ->
                chain.design().second() == null
                    ? of(
                        chain,
                        kind,
                        cellByCell(run(chain, kind, worn), chain, layout)
                            .withStep(STEP_IN_PLACE)
                            .runAndRest())
                    : of(chain, kind, together(chain, kind, layout, worn)))
        .toList();
  }

  private static TwinRun together(
      Chain chain, Kind kind, Optional<Layout.Solved> layout, Health worn) {
    TwinRun.Cells cells = TwinRun.Cells.of(chain).each(layout);
    return TwinRun.traced(
        chain,
        kind == Kind.LAST ? cells.worn(worn) : cells,
        chain.design().duty().task().load(),
        air(chain, kind),
        STEP_IN_PLACE);
  }

  private static Discharge cellByCell(Discharge run, Chain chain, Optional<Layout.Solved> layout) {
    return layout.map(l -> run.inPlace(chain.design(), l)).orElseGet(run::cellByCell);
  }

  /** The temperature of the air on a day of a kind, K. */
  private static double air(Chain chain, Kind kind) {
    Surroundings air = chain.design().duty().surroundings();
    return switch (kind) {
      case TYPICAL -> 0.5 * (air.coldestInUse() + air.hottestInUse());
      case HOTTEST -> air.hottestInUse();
      case COLDEST, LAST -> air.coldestInUse();
    };
  }

  private static Discharge run(Chain chain, Kind kind, Health worn) {
    Discharge fresh =
        Discharge.of(chain, chain.design().duty().task().load(), chain.ceiling(), air(chain, kind));
    return kind == Kind.LAST ? fresh.worn(worn) : fresh;
  }

  private static Day of(Chain chain, Kind kind, Discharge.Rested rested) {
    return of(chain, kind, rested.run(), rested.recovery());
  }

  private static Day of(Chain chain, Kind kind, TwinRun run) {
    return of(chain, kind, run.both(), run.recovery());
  }

  private static Day of(Chain chain, Kind kind, Run run, Optional<Recovery> recovery) {
    double air = air(chain, kind);
    double beyond = 1 - chain.path().circuit().reachable(air);
    return new Day(kind, air, run, Math.max(0, run.endSoc() - beyond), recovery);
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

  /** Returns the outcome with whether what ended the run comes back by itself, in words. */
  public String told() {
    return outcome() + recovery.map(r -> "; " + r.words()).orElse("");
  }

  /** Returns where the run ended, or else where it was hottest. */
  public Outcome.Place where() {
    Outcome.Place ended =
        switch (run.outcome()) {
          case Outcome.BmsCutOff o -> o.place();
          case Outcome.Empty o -> o.place();
          case Outcome.TooHot o -> o.place();
          case Outcome.Complete o -> Outcome.Place.EVERY;
          case Outcome.MachineCutOut o -> Outcome.Place.EVERY;
          case Outcome.OverCurrent o -> Outcome.Place.EVERY;
          case Outcome.FuseOpens o -> Outcome.Place.EVERY;
          case Outcome.CannotDeliver o -> Outcome.Place.EVERY;
        };
    return ended.equals(Outcome.Place.EVERY)
        ? run.cells().map(c -> c.hottest().place()).orElse(ended)
        : ended;
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
      case Outcome.FuseOpens o ->
          "%s open the fuse of %s"
              .formatted(Figures.of(o.current(), Unit.AMPERE), Figures.of(o.rating(), Unit.AMPERE));
      case Outcome.CannotDeliver o -> "it cannot deliver " + Figures.of(o.demand(), Unit.WATT);
    };
  }
}
