package hammerman.judgement;

import static hammerman.judgement.Text.amperes;
import static hammerman.judgement.Text.celsius;
import static hammerman.judgement.Text.percent;

import hammerman.finding.Station;
import hammerman.judgement.Rule.Found;
import hammerman.simulation.Outcome;
import hammerman.unit.Figures;
import hammerman.unit.Unit;
import java.util.List;
import java.util.Optional;

/** Whether the pack serves the duty to its end. */
final class DutyRules {
  static final List<Rule> ALL =
      List.of(
          new Rule(
              "duty.energyShort",
              "energy",
              Station.STACK,
              "Whether the duty, run in the hottest air, ends before the pack does.",
              DutyRules::energyShort),
          new Rule(
              "duty.tooHot",
              "heat",
              Station.STACK,
              "Whether the duty, run in the hottest air, reaches the cell's temperature limit.",
              DutyRules::tooHot),
          new Rule(
              "duty.cannotDeliver",
              "power",
              Station.STACK,
              "Whether the pack can deliver the power asked at all.",
              DutyRules::cannotDeliver),
          new Rule(
              "duty.trips",
              "trips",
              Station.GUARD,
              "Whether the BMS opens on over-current during the duty.",
              DutyRules::trips),
          new Rule(
              "duty.shortWhenWorn",
              "worn",
              Station.STACK,
              "Whether the capacity left at the end of life still serves the duty.",
              DutyRules::shortWhenWorn),
          new Rule(
              "duty.peakAboveMachine",
              "peak",
              Station.DUTY,
              "The hardest moment's current against the machine's own limit.",
              DutyRules::peakAboveMachine));

  private DutyRules() {}

  private static Optional<Found> energyShort(Case c) {
    String who =
        switch (c.duty().outcome()) {
          case Outcome.BmsCutOff o ->
              "the BMS cuts off at " + Text.cellVolts(o.limit()) + " per cell";
          case Outcome.MachineCutOut o -> "the machine cuts out at " + Text.volts(o.limit());
          case Outcome.Empty o -> "the cells are empty";
          case Outcome.Complete o -> "";
          case Outcome.TooHot o -> "";
          case Outcome.OverCurrent o -> "";
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
        parallel > c.pack().parallel()
            ? "Use about %d in parallel, a cell with more capacity, or ask for less."
                .formatted(parallel)
            : "Use more capacity, or ask for less.");
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
        "Add parallel cells, take a cell with less resistance, or let the box shed more heat.");
  }

  private static Optional<Found> cannotDeliver(Case c) {
    if (!(c.duty().outcome() instanceof Outcome.CannotDeliver o)) {
      return Optional.empty();
    }
    return Found.stop(
        "The pack cannot deliver this power",
        "%s is asked; at that moment the pack can give %s at most."
            .formatted(Figures.of(o.demand(), Unit.WATT), Figures.of(o.most(), Unit.WATT)),
        "Add cells in parallel or in series.");
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
        "Take a BMS with a threshold above %s, or a softer load.".formatted(amperes(o.current())));
  }

  private static Optional<Found> shortWhenWorn(Case c) {
    double ceiling = c.chain().ceiling();
    double used = ceiling - c.duty().endSoc();
    double left = c.asked().habits().endOfLife() * ceiling;
    if (!c.duty().outcome().complete() || used <= left) {
      return Optional.empty();
    }
    return Found.note(
        "Enough when new, short when worn",
        "The duty takes %s of the new capacity; at the end of life %s is left."
            .formatted(percent(used), percent(left)),
        "Accept a shorter duty in the last years, or add a cell in parallel.");
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
        "Check both readings off the controller; the pack is judged for the higher one.");
  }
}
