package hammerman.judgement;

import static hammerman.judgement.Text.amperes;
import static hammerman.judgement.Text.cellVolts;
import static hammerman.judgement.Text.celsius;
import static hammerman.judgement.Text.percent;
import static hammerman.judgement.Text.volts;

import hammerman.finding.Station;
import hammerman.judgement.Rule.Found;
import hammerman.unit.Figures;
import hammerman.unit.Unit;
import java.util.List;
import java.util.Optional;

/** Whether the pack is charged rightly. */
final class ChargeRules {
  /** How far above full a set voltage may be from rounding alone, V per cell. */
  private static final double ROUNDING = 1e-3;

  /** State of charge below which a charge ceiling is far too low. */
  private static final double LOW_CEILING = 0.60;

  /** Share of the braking energy that may be refused without a word; usual practice. */
  private static final double MOST_REFUSED = 0.10;

  /** Longest charge that is not remarked on, h. */
  private static final double MOST_HOURS = 24;

  static final List<Rule> ALL =
      List.of(
          new Rule(
              "charge.aboveFull",
              "overcharge",
              Station.GUARD,
              "The charge voltage per cell against the cell's full voltage.",
              ChargeRules::aboveFull),
          new Rule(
              "charge.farBelow",
              "undercharge",
              Station.GUARD,
              "Whether the charge voltage reaches 60 % of the capacity.",
              ChargeRules::farBelow),
          new Rule(
              "charge.cold",
              "cold charge",
              Station.DUTY,
              "The coldest charging against the cell's lowest charge temperature.",
              ChargeRules::cold),
          new Rule(
              "charge.cellCurrent",
              "charge amps",
              Station.GUARD,
              "The charger's current per cell against the cell's fast charge current.",
              ChargeRules::cellCurrent),
          new Rule(
              "charge.regeneration",
              "regen amps",
              Station.STACK,
              "The regeneration current per cell against the cell's fast charge current.",
              ChargeRules::regeneration),
          new Rule(
              "charge.regenerationFull",
              "regen full",
              Station.GUARD,
              "The braking energy that the pack refuses, against a tenth of what braking gives.",
              ChargeRules::regenerationFull),
          new Rule(
              "charge.hot",
              "hot charge",
              Station.DUTY,
              "The hottest use against the cell's highest charge temperature.",
              ChargeRules::hot),
          new Rule(
              "charge.slow",
              "slow charge",
              Station.GUARD,
              "The time a whole charge takes at the charger's current, against 24 h.",
              ChargeRules::slow));

  private ChargeRules() {}

  private static Optional<Found> aboveFull(Case c) {
    double perCell = c.design().chargeVoltagePerCell();
    double full = c.cell().fullVoltage();
    if (perCell <= full + ROUNDING) {
      return Optional.empty();
    }
    return Found.stop(
        "The charge voltage overcharges the cells",
        "%s over %d groups is %s per cell; full is %s. Overcharged cells can burn."
            .formatted(
                volts(c.guard().charge().voltage()),
                c.pack().series(),
                cellVolts(perCell),
                cellVolts(full)),
        "Set the charger to %s or less.".formatted(volts(c.pack().fullVoltage())));
  }

  private static Optional<Found> farBelow(Case c) {
    if (c.chain().ceiling() >= LOW_CEILING) {
      return Optional.empty();
    }
    return Found.warn(
        "The charge voltage is far below full",
        "%s is %s per cell and charges to %s only; full is %s."
            .formatted(
                volts(c.guard().charge().voltage()),
                cellVolts(c.design().chargeVoltagePerCell()),
                percent(c.chain().ceiling()),
                volts(c.pack().fullVoltage())),
        "Check the series count the charger is made for; set it nearer to %s."
            .formatted(volts(c.pack().fullVoltage())));
  }

  private static Optional<Found> cold(Case c) {
    double coldest = c.asked().surroundings().coldestCharging();
    double allowed = c.cell().temperatures().chargeLowest();
    if (coldest >= allowed) {
      return Optional.empty();
    }
    return Found.stop(
        "Charging too cold ruins cells",
        "Charging happens down to %s; this cell must not be charged below %s. Metal plates out inside"
                .formatted(celsius(coldest), celsius(allowed))
            + " and can short the cell later.",
        "Charge indoors, or let the pack warm to %s first.".formatted(celsius(allowed)));
  }

  private static Optional<Found> cellCurrent(Case c) {
    double share = c.guard().charge().current() / c.pack().parallel();
    double fast = c.cell().currents().fastCharge();
    if (share <= fast) {
      return Optional.empty();
    }
    return Found.stop(
        "The charger is too strong for the cells",
        "%s is %s per cell; the cell takes %s at most."
            .formatted(amperes(c.guard().charge().current()), amperes(share), amperes(fast)),
        "Use a charger of %s or less; %s is kind to them."
            .formatted(
                amperes(fast * c.pack().parallel()),
                amperes(c.cell().currents().standardCharge() * c.pack().parallel())));
  }

  private static Optional<Found> regeneration(Case c) {
    double back = c.guard().allowedRegeneration(c.asked().machine().regenerationCurrent());
    double share = back / c.pack().parallel();
    double fast = c.cell().currents().fastCharge();
    if (share <= fast) {
      return Optional.empty();
    }
    return Found.stop(
        "Braking charges the cells too hard",
        "Braking pushes %s into each cell; the cell takes %s at most."
            .formatted(amperes(share), amperes(fast)),
        "Limit regeneration to %s, or use %s in parallel."
            .formatted(amperes(fast * c.pack().parallel()), Text.upTo(back / fast)));
  }

  private static Optional<Found> regenerationFull(Case c) {
    var totals = c.duty().totals();
    double given = totals.energyBack() + totals.refused();
    if (given <= 0 || totals.refused() <= MOST_REFUSED * given) {
      return Optional.empty();
    }
    return Found.warn(
        "The pack cannot take all that braking gives",
        "%s of %s of braking energy is refused: the pack is full or the current too high. The brake"
                .formatted(
                    Figures.of(totals.refused(), Unit.WATT_HOUR), Figures.of(given, Unit.WATT_HOUR))
            + " then fails, or the voltage at the machine jumps.",
        "Charge to 90 % before a descent, and have brakes that do not need the pack.");
  }

  private static Optional<Found> hot(Case c) {
    double hottest = c.hottest();
    double allowed = c.cell().temperatures().chargeHighest();
    if (hottest <= allowed) {
      return Optional.empty();
    }
    return Found.note(
        "Too warm to be charged right after use",
        "After the duty the cells have up to %s; they may be charged up to %s."
            .formatted(celsius(hottest), celsius(allowed)),
        "Let the pack cool before charging.");
  }

  private static Optional<Found> slow(Case c) {
    double hours = c.pack().capacity() / c.guard().charge().current();
    if (hours <= MOST_HOURS) {
      return Optional.empty();
    }
    return Found.note(
        "A whole charge takes more than a day",
        "%s at %s is %s and the taper after it."
            .formatted(
                Figures.of(c.pack().capacity(), Unit.AMPERE_HOUR),
                amperes(c.guard().charge().current()),
                Figures.duration(hours * 3600)),
        "Use a charger of %s or more; %s is kind to the cells."
            .formatted(
                amperes(c.pack().capacity() / MOST_HOURS),
                amperes(c.cell().currents().standardCharge() * c.pack().parallel())));
  }
}
