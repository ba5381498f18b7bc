package hammerman.judgement;

import static hammerman.judgement.Phrases.celsius;
import static hammerman.judgement.Phrases.percent;

import hammerman.cell.Health;
import hammerman.datasheet.Plausibility;
import hammerman.finding.Finding.Measure;
import hammerman.finding.Station;
import hammerman.judgement.Rule.Found;
import hammerman.unit.Figures;
import hammerman.unit.Unit;
import java.util.List;
import java.util.Optional;

/** What the cells' data and the duty's course say beyond the circuit. */
final class CellRules {
  /** Share of the braking energy that may be refused without a word; usual practice. */
  private static final double MOST_REFUSED = 0.10;

  static final List<Rule> ALL =
      List.of(
          new Rule(
              "cell.figures",
              "figures",
              Station.CELL,
              "Whether the cell's figures lie within what cells of any class reach.",
              CellRules::figures),
          new Rule(
              "cell.reclaimed",
              "reclaimed",
              Station.CELL,
              "Whether the cells have been used before.",
              CellRules::reclaimed),
          new Rule(
              "charge.regenerationFull",
              "regen full",
              Station.GUARD,
              "The braking energy that the pack refuses, against a tenth of what braking gives.",
              CellRules::regenerationFull),
          new Rule(
              "charge.hot",
              "hot charge",
              Station.DUTY,
              "The hottest cell after the duty against the highest charge temperature.",
              CellRules::hot));

  /** What a BMS's sensor can tell of a temperature, K; typical. */
  private static final double SENSED = 0.5;

  private CellRules() {}

  private static Optional<Found> figures(Case c) {
    List<String> doubts = Plausibility.doubts(c.cell());
    if (doubts.isEmpty()) {
      return Optional.empty();
    }
    return Found.note(
        "The cell's figures look unlikely",
        String.join(" ", doubts),
        "Read the datasheet again; mind mAh and Ah, mΩ and Ω.",
        Measure.most("unlikely figures", doubts.size(), 0, Unit.ONE));
  }

  private static Optional<Found> reclaimed(Case c) {
    Health health = c.cell().health();
    if (health == null) {
      return Optional.empty();
    }
    return Found.note(
        "Used cells differ from each other",
        "The figures assume %s of the new capacity and %s of the new resistance for every cell."
            .formatted(percent(health.capacity()), percent(health.resistance())),
        "Measure each one and put outliers aside. Never revive a cell that sat below its cut-off.",
        Measure.least("capacity left", health.capacity(), 1, Unit.PERCENT));
  }

  private static Optional<Found> regenerationFull(Case c) {
    var totals = c.duty().totals();
    double given = totals.energyBack() + totals.refused();
    if (given <= 0 || totals.refused() <= MOST_REFUSED * given) {
      return Optional.empty();
    }
    return Found.warn(
        "The pack cannot take all that braking gives",
        "%s of %s of braking energy is refused: the pack is full or the current too high. The brake then fails, or the voltage at the machine jumps."
            .formatted(
                Figures.of(totals.refused(), Unit.WATT_HOUR), Figures.of(given, Unit.WATT_HOUR)),
        "Charge to 90 % before a descent, and have brakes that do not need the pack.",
        Measure.most("energy refused", totals.refused(), MOST_REFUSED * given, Unit.WATT_HOUR));
  }

  private static Optional<Found> hot(Case c) {
    double hottest = c.hottest();
    double allowed = c.cell().temperatures().chargeHighest();
    if (hottest <= allowed + SENSED) {
      return Optional.empty();
    }
    return Found.note(
        "Too warm to be charged right after use",
        "After the duty the cells have up to %s; they may be charged up to %s."
            .formatted(celsius(hottest), celsius(allowed)),
        "Let the pack cool before charging.",
        Measure.most("temperature after the duty", hottest, allowed, Unit.CELSIUS));
  }
}
