package hammerman.judgement;

import static hammerman.judgement.Phrases.amperes;
import static hammerman.judgement.Phrases.celsius;
import static hammerman.judgement.Phrases.percent;

import hammerman.finding.Finding.Measure;
import hammerman.finding.Station;
import hammerman.judgement.Rule.Found;
import hammerman.simulation.Day;
import hammerman.simulation.Outcome;
import hammerman.simulation.Run;
import hammerman.unit.Figures;
import hammerman.unit.Unit;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;

/** Whether the pack serves the duty to its end. */
final class DutyRules {
  static final List<Rule> ALL =
      List.of(
          new Rule(
              "duty.energyShort",
              "energy",
              Station.STACK,
              "Whether the duty, run in the hottest air, ends before the pack does.",
              alone(DutyRules::energyShort)),
          new Rule(
              "duty.tooHot",
              "heat",
              Station.STACK,
              "Whether the duty, run in the hottest air, reaches the cell's temperature limit.",
              alone(DutyRules::tooHot)),
          new Rule(
              "duty.cannotDeliver",
              "power",
              Station.STACK,
              "Whether the pack can deliver the power asked at all.",
              alone(DutyRules::cannotDeliver)),
          new Rule(
              "duty.pair",
              "two packs",
              Station.STACK,
              "With two packs: whether together they serve the duty.",
              DutyRules::pair),
          new Rule(
              "duty.trips",
              "trips",
              Station.GUARD,
              "Whether the BMS opens on over-current during the duty.",
              alone(DutyRules::trips)),
          new Rule(
              "duty.clipped",
              "clipped",
              Station.DUTY,
              "Whether the machine's current limit withholds more than 1 % of the energy asked"
                  + " for.",
              DutyRules::clipped),
          new Rule(
              "duty.coldDay",
              "cold day",
              Station.STACK,
              "Where the hottest day is served: whether a typical and the coldest day are too.",
              DutyRules::coldDay),
          new Rule(
              "duty.shortWhenWorn",
              "worn",
              Station.STACK,
              "Where the coldest day is served: whether it still is with cells at the end of their"
                  + " life.",
              DutyRules::shortWhenWorn),
          new Rule(
              "duty.peakAboveMachine",
              "peak",
              Station.DUTY,
              "The hardest moment's current against the machine's own limit.",
              DutyRules::peakAboveMachine));

  private DutyRules() {}

  /** A check of one pack: two that end too early are told as two. */
  private static Function<Case, Optional<Found>> alone(Function<Case, Optional<Found>> check) {
    return c -> c.pair().isPresent() ? Optional.empty() : check.apply(c);
  }

  private static Optional<Found> energyShort(Case c) {
    String who =
        switch (c.duty().outcome()) {
          case Outcome.BmsCutOff o ->
              "the BMS cuts off at " + Phrases.cellVolts(o.limit()) + " per cell";
          case Outcome.MachineCutOut o -> "the machine cuts out at " + Phrases.volts(o.limit());
          case Outcome.Empty o -> "the cells are empty";
          case Outcome.Complete o -> "";
          case Outcome.TooHot o -> "";
          case Outcome.OverCurrent o -> "";
          case Outcome.FuseOpens o -> "";
          case Outcome.CannotDeliver o -> "";
        };
    if (who.isEmpty()) {
      return Optional.empty();
    }
    double wanted = c.asked().task().load().duration();
    double share = c.duty().endTime() / wanted;
    int parallel = (int) Math.ceil(c.pack().parallel() / Math.max(share, 0.05) - 1e-9);
    return Found.stop(
        "The pack ends before the duty does",
        "After %s of %s (%s), with %s out, %s."
            .formatted(
                Figures.duration(c.duty().endTime()),
                Figures.duration(wanted),
                percent(share),
                Figures.of(c.duty().totals().energyOut(), Unit.WATT_HOUR),
                who),
        c.duty().outcome() instanceof Outcome.MachineCutOut && c.duty().endSoc() > 0.3
            ? "Voltage is lacking, not capacity: more groups in series, or a machine that cuts out"
                + " lower."
            : parallel > c.pack().parallel()
                ? "Use about %d in parallel, a cell with more capacity, or ask for less."
                    .formatted(parallel)
                : "Use more capacity, or ask for less.",
        Measure.least("time served", c.duty().endTime(), wanted, Unit.HOUR));
  }

  private static Optional<Found> pair(Case c) {
    double wanted = c.asked().task().load().duration();
    return c.pair()
        .filter(pair -> !pair.both().outcome().complete())
        .flatMap(
            pair ->
                Found.stop(
                    "The two packs end before the duty does",
                    "Together they go on for %s of %s (%s); then %s. The first is at %s, the second at %s."
                        .formatted(
                            Figures.duration(pair.both().endTime()),
                            Figures.duration(wanted),
                            percent(pair.both().endTime() / wanted),
                            Day.ending(pair.both().outcome()),
                            percent(pair.first().run().endSoc()),
                            percent(pair.second().run().endSoc())),
                    "More capacity in either, or ask for less.",
                    Measure.least("time served", pair.both().endTime(), wanted, Unit.HOUR)));
  }

  private static Optional<Found> tooHot(Case c) {
    if (!(c.duty().outcome() instanceof Outcome.TooHot hot)) {
      return Optional.empty();
    }
    return Found.stop(
        "The cells reach their temperature limit",
        "In air of %s the cells reach %s after %s."
            .formatted(
                celsius(c.asked().surroundings().hottestInUse()),
                celsius(hot.limit()),
                Figures.duration(c.duty().endTime())),
        c.asked().surroundings().hottestInUse() >= hot.limit() - 2
            ? "The air alone is nearly that hot: keep the pack out of it."
            : "Add parallel cells, take a cell with less resistance, or let the box shed more"
                + " heat.",
        Measure.most("hottest cell", hot.temperature(), hot.limit(), Unit.CELSIUS));
  }

  private static Optional<Found> cannotDeliver(Case c) {
    if (!(c.duty().outcome() instanceof Outcome.CannotDeliver o)) {
      return Optional.empty();
    }
    return Found.stop(
        "The pack cannot deliver this power",
        "%s is asked; at that moment the pack can give %s at most."
            .formatted(Figures.of(o.demand(), Unit.WATT), Figures.of(o.most(), Unit.WATT)),
        "Add cells in parallel or in series.",
        Measure.most("power", o.demand(), o.most(), Unit.WATT));
  }

  private static Optional<Found> trips(Case c) {
    if (!(c.duty().outcome() instanceof Outcome.OverCurrent o)) {
      return Optional.empty();
    }
    return Found.stop(
        "The BMS opens during the duty",
        "After %s the current is %s; the BMS opens above %s after %s."
            .formatted(
                Figures.duration(c.duty().endTime()),
                amperes(o.current()),
                amperes(o.threshold()),
                Figures.duration(o.delay())),
        "Take a BMS with a threshold of %s or more, or a softer load."
            .formatted(Figures.atLeast(o.current(), Unit.AMPERE)),
        Measure.most("current", o.current(), o.threshold(), Unit.AMPERE));
  }

  private static Optional<Found> clipped(Case c) {
    Run run = c.duty();
    double share = run.totals().withheldShare();
    if (!run.outcome().complete() || run.served()) {
      return Optional.empty();
    }
    double limit = c.asked().machine().peakCurrent();
    return Found.stop(
        "A current limit clips the duty",
        "The machine lets through %s; that withholds %s of the energy asked for, %s. The time passes, but the work is not done."
            .formatted(
                amperes(limit),
                percent(share),
                Figures.of(run.totals().withheld(), Unit.WATT_HOUR)),
        "Ask for less at those moments, raise the machine's limit if its parts carry it, or use"
            + " more groups in series: the same power then takes less current.",
        Measure.most("energy withheld", share, Run.CLIPPED, Unit.PERCENT));
  }

  private static boolean servedInTheHeat(Case c) {
    return c.day(Day.Kind.HOTTEST).filter(Day::served).isPresent();
  }

  private static Optional<Found> coldDay(Case c) {
    if (!servedInTheHeat(c)) {
      return Optional.empty();
    }
    return c.day(Day.Kind.TYPICAL)
        .filter(d -> !d.served())
        .or(() -> c.day(Day.Kind.COLDEST).filter(d -> !d.served()))
        .flatMap(
            d ->
                Found.warn(
                    d.kind() == Day.Kind.COLDEST
                        ? "Served in the heat, not on the coldest day"
                        : "Served in the heat, not on a typical day",
                    "In air of %s it %s. Cold cells sag more, and keep their last charge back until they are warm."
                        .formatted(celsius(d.air()), d.outcome()),
                    "Keep the pack warm, use more capacity or a cell with less resistance, or ask"
                        + " for less in the cold.",
                    served(c, d)));
  }

  private static Optional<Found> shortWhenWorn(Case c) {
    if (!servedInTheHeat(c) || c.day(Day.Kind.COLDEST).filter(d -> !d.served()).isPresent()) {
      return Optional.empty();
    }
    return c.day(Day.Kind.LAST)
        .filter(d -> !d.served())
        .flatMap(
            d ->
                Found.note(
                    "Enough when new, short when worn",
                    "With cells at the end of their life (%s of the capacity), in air of %s, it %s."
                        .formatted(
                            percent(c.asked().habits().endOfLife()), celsius(d.air()), d.outcome()),
                    "Accept a shorter duty in the last years, or add a cell in parallel.",
                    served(c, d)));
  }

  /** The time served of that asked for; where it is served clipped, the energy. */
  private static Measure served(Case c, Day d) {
    return d.run().outcome().complete()
        ? Measure.most(
            "energy withheld", d.run().totals().withheldShare(), Run.CLIPPED, Unit.PERCENT)
        : Measure.least(
            "time served", d.run().endTime(), c.asked().task().load().duration(), Unit.HOUR);
  }

  private static Optional<Found> peakAboveMachine(Case c) {
    double peak = c.asked().hardest().current();
    double machine = c.asked().machine().peakCurrent();
    if (peak <= machine) {
      return Optional.empty();
    }
    return Found.note(
        "The hardest moment is above the machine's own limit",
        "“%s” is entered as %s, but the machine lets through %s."
            .formatted(c.asked().hardest().name(), amperes(peak), amperes(machine)),
        "Check both readings off the controller; the pack is judged for the higher one.",
        Measure.most("hardest moment", peak, machine, Unit.AMPERE));
  }
}
