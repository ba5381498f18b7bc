package hammerman.judgement;

import static hammerman.judgement.Phrases.amperes;
import static hammerman.judgement.Phrases.celsius;
import static hammerman.judgement.Phrases.percent;

import hammerman.cell.CellType;
import hammerman.cell.Chemistry;
import hammerman.cell.Health;
import hammerman.datasheet.Plausibility;
import hammerman.finding.Finding.Measure;
import hammerman.finding.Station;
import hammerman.judgement.Rule.Found;
import hammerman.pack.MatchedCells;
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
              CellRules::hot),
          new Rule(
              "life.unseen",
              "wear",
              Station.GUARD,
              "Charging in the cold or faster than standard, and discharging harder than the"
                  + " ageing law's cells were tested: the forecast of life does not see these.",
              CellRules::unseen));

  /** What a BMS's sensor can tell of a temperature, K; typical. */
  private static final double SENSED = 0.5;

  /** Below this a gentle charge is called for, K; usual advice of datasheets. */
  private static final double COLD = 283.15;

  /** A gentle charge, as a share of the capacity per hour. */
  private static final double GENTLE = 0.25;

  /** A charger's current that is so little above the datasheet's is right. */
  private static final double CURRENT_TOLERANCE = 0.02;

  /** C-rate up to which the laws' cells were tested, doubled for a stretch that is still sound. */
  private static final double TESTED = 2;

  private static final double TESTED_PHOSPHATE = 10;

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
    Optional<MatchedCells> matched = c.design().pack().matched();
    if (matched.isPresent()) {
      return unmeasured(matched.get());
    }
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

  /** Of cells that were measured, those that were not in full. */
  private static Optional<Found> unmeasured(MatchedCells cells) {
    List<String> capacity = cells.withoutCapacity();
    List<String> resistance = cells.withoutResistance();
    if (!capacity.isEmpty()) {
      double assumed =
          cells.all().stream()
              .filter(c -> capacity.contains(c.label()))
              .mapToDouble(MatchedCells.Cell::capacity)
              .average()
              .orElseThrow();
      return Found.note(
          "Cells without a measured capacity",
          "%s taken to hold %s each%s."
              .formatted(
                  named(capacity, cells),
                  Figures.of(assumed, Unit.AMPERE_HOUR),
                  resistance.isEmpty()
                      ? ""
                      : "; %d to have the mean resistance of the others"
                          .formatted(resistance.size())),
          "Measure the capacity of each: a weak cell makes its group empty first and full first,"
              + " and neither rest voltage nor resistance shows it.",
          Measure.most("cells without a capacity", capacity.size(), 0, Unit.ONE));
    }
    if (resistance.isEmpty()) {
      return Optional.empty();
    }
    return Found.note(
        "Cells without a measured resistance",
        named(resistance, cells) + " taken to have the mean resistance of the others.",
        "Measure their resistance: a high one gets hotter and ages faster than its neighbours.",
        Measure.most("cells without a resistance", resistance.size(), 0, Unit.ONE));
  }

  private static String named(List<String> labels, MatchedCells of) {
    int shown = Math.min(12, labels.size());
    return "%s%s of %d cells %s"
        .formatted(
            String.join(", ", labels.subList(0, shown)),
            labels.size() > shown ? " and %d more".formatted(labels.size() - shown) : "",
            of.all().size(),
            labels.size() == 1 ? "is" : "are");
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

  /**
   * What wears cells and is in no ageing law here: lithium plates in the cold and at high charging
   * currents; beyond the tested discharge the law is stretched.
   */
  private static Optional<Found> unseen(Case c) {
    CellType cell = c.cell();
    int parallel = c.pack().parallel();
    double charging = c.guard().charge().current() / parallel;
    double coldest = c.asked().surroundings().coldestCharging();
    double standard = cell.currents().standardCharge();
    double discharging = c.chain().demand().continuous() / parallel / cell.capacity();
    double tested = cell.chemistry() == Chemistry.LFP ? TESTED_PHOSPHATE : TESTED;
    if (charging > standard * (1 + CURRENT_TOLERANCE)) {
      return Found.note(
          "The forecast of life does not see the fast charge",
          "Each cell is charged with %s; its standard charge is %s. Faster charging wears it sooner than any figure here tells."
              .formatted(amperes(charging), amperes(standard)),
          "Charge slower where there is the time for it.",
          Measure.most("charging current of a cell", charging, standard, Unit.AMPERE));
    }
    double gentle = GENTLE * cell.capacity();
    if (coldest < COLD && charging > gentle * (1 + CURRENT_TOLERANCE)) {
      return Found.note(
          "The forecast of life does not see the charge in the cold",
          "At %s each cell is charged with %s; below %s, more than %s wears it sooner than any figure here tells."
              .formatted(celsius(coldest), amperes(charging), celsius(COLD), amperes(gentle)),
          "Let the pack warm up before charging, or charge slower in the cold.",
          Measure.least("coldest charging", coldest, COLD, Unit.CELSIUS));
    }
    if (discharging > tested) {
      return Found.note(
          "The forecast of life is stretched beyond its tests",
          "The heaviest ten minutes draw from each cell at a C-rate of %s; the cells that the ageing law was found on were tested up to %s."
              .formatted(Figures.number(discharging), Figures.number(tested)),
          "Count on less than the forecast tells, or use more cells in parallel.",
          Measure.most("C-rate of the heaviest ten minutes", discharging, tested, Unit.ONE));
    }
    return Optional.empty();
  }
}
