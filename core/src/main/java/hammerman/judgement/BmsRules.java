package hammerman.judgement;

import static hammerman.judgement.Text.amperes;
import static hammerman.judgement.Text.cellVolts;

import hammerman.finding.Station;
import hammerman.guard.Bms;
import hammerman.guard.Protection;
import hammerman.judgement.Rule.Found;
import hammerman.unit.Figures;
import hammerman.unit.Unit;
import java.util.List;
import java.util.Optional;
import java.util.function.BiFunction;

/** Whether the BMS suits the pack, or what stands in for it. */
final class BmsRules {
  /** How far above the full voltage a BMS may open on charge, V (usual practice). */
  private static final double OVER_VOLTAGE_ROOM = 0.10;

  /** Share of the charge that a cut-off may leave unused; usual practice. */
  private static final double MOST_UNUSED = 0.15;

  /** Imbalance that is looked at, as a share of the capacity; usual after months of use. */
  private static final double IMBALANCE = 0.01;

  /** Longest balancing that is bearable, h; usual practice. */
  private static final double MOST_HOURS = 24;

  static final List<Rule> ALL =
      List.of(
          new Rule(
              "bms.none",
              "no BMS",
              Station.GUARD,
              "Whether there is a BMS, and what must stand in if not.",
              BmsRules::none),
          rule(
              "bms.series",
              "BMS count",
              "The BMS series count against the pack's.",
              BmsRules::series),
          rule(
              "bms.continuous",
              "BMS amps",
              "The heaviest ten minutes against the BMS continuous current.",
              BmsRules::continuous),
          rule(
              "bms.peak",
              "BMS peak",
              "The hardest moment against the BMS over-current threshold and delay.",
              BmsRules::peak),
          rule(
              "bms.chargeBelowCharger",
              "BMS charge",
              "The charger's current against the BMS charge limit.",
              BmsRules::belowCharger),
          rule(
              "bms.chargeBelowRegeneration",
              "BMS regen",
              "The machine's regeneration current against the BMS charge limit.",
              BmsRules::belowRegeneration),
          rule(
              "bms.cutOffTooLow",
              "BMS cut-off",
              "The BMS cut-off against the cell's.",
              BmsRules::cutOffTooLow),
          rule(
              "bms.mosfet",
              "BMS volts",
              "The pack's highest voltage against what the BMS switches block.",
              BmsRules::mosfet),
          rule(
              "bms.cutOffHigh",
              "BMS cut-off",
              "The share of the charge that lies below the BMS cut-off, against 15 %.",
              BmsRules::cutOffHigh),
          rule(
              "bms.balance",
              "balance",
              "The hours to remove an imbalance of 1 % of the capacity, against 24 h.",
              BmsRules::balance),
          rule("bms.sensor", "no sensor", "Whether the BMS reads a temperature.", BmsRules::sensor),
          rule(
              "bms.overVoltage",
              "BMS over-volt",
              "The BMS over-voltage against the cell's full voltage and the charge voltage.",
              BmsRules::overVoltage));

  private BmsRules() {}

  private static Rule rule(
      String id, String word, String looksAt, BiFunction<Case, Bms, Optional<Found>> check) {
    return new Rule(
        id,
        word,
        Station.GUARD,
        looksAt,
        c -> c.guard().protection().bms().flatMap(b -> check.apply(c, b)));
  }

  private static Optional<Found> none(Case c) {
    return switch (c.guard().protection()) {
      case Protection.DischargePath p -> Optional.empty();
      case Protection.ChargeOnly p ->
          Found.note(
              "The BMS does not guard the discharge",
              "Only the machine's cut-out at %s (%s per cell if the groups are equal) ends the discharge."
                  .formatted(
                      Text.volts(c.asked().machine().cutOutVoltage()),
                      cellVolts(c.asked().machine().cutOutVoltage() / c.pack().series())),
              "Check group voltages often: the machine sees their sum and not the weakest.");
      case Protection.None p ->
          Found.warn(
              "No BMS: other things must stand in",
              "Nothing watches the %d groups one by one, on charge or on discharge."
                  .formatted(c.pack().series()),
              "Then: a balancing charger that reads every group, the machine's cut-out at %s or more,"
                      .formatted(Text.volts(c.pack().cutOffVoltage()))
                  + " the main fuse, and never charging unattended. Or add a BMS.");
    };
  }

  private static Optional<Found> series(Case c, Bms b) {
    if (b.series() == c.pack().series()) {
      return Optional.empty();
    }
    return Found.stop(
        "The BMS is made for another string",
        "The BMS watches %d groups; the pack has %d.".formatted(b.series(), c.pack().series()),
        "Take a %d-series BMS.".formatted(c.pack().series()));
  }

  private static Optional<Found> continuous(Case c, Bms b) {
    double asked = c.chain().demand().continuous();
    if (c.guard().protection().inDischargePath().isEmpty() || asked <= b.continuousCurrent()) {
      return Optional.empty();
    }
    return Found.stop(
        "The BMS carries less than the duty draws",
        "The heaviest ten minutes draw %s; the BMS carries %s for long."
            .formatted(amperes(asked), amperes(b.continuousCurrent())),
        "Take a BMS rated for %s or more.".formatted(amperes(asked)));
  }

  private static Optional<Found> peak(Case c, Bms b) {
    var demand = c.chain().demand();
    if (c.guard().protection().inDischargePath().isEmpty() || demand.peak() <= b.overCurrent()) {
      return Optional.empty();
    }
    String why =
        "“%s” draws %s for %s; the BMS opens above %s after %s."
            .formatted(
                c.asked().hardest().name(),
                amperes(demand.peak()),
                Figures.duration(demand.peakDuration()),
                amperes(b.overCurrent()),
                Figures.duration(b.overCurrentDelay()));
    String fix =
        "Take a BMS with a threshold above %s, or a softer start."
            .formatted(amperes(demand.peak()));
    return demand.peakDuration() > b.overCurrentDelay()
        ? Found.stop("The BMS opens at the hardest moment", why, fix)
        : Found.warn("Only the delay keeps the BMS from opening", why, fix);
  }

  private static Optional<Found> belowCharger(Case c, Bms b) {
    double charger = c.guard().charge().current();
    if (charger <= b.chargeCurrent()) {
      return Optional.empty();
    }
    return Found.stop(
        "The charger gives more than the BMS lets in",
        "The charger gives %s; the BMS charge limit is %s."
            .formatted(amperes(charger), amperes(b.chargeCurrent())),
        "Use a charger of %s or less.".formatted(amperes(b.chargeCurrent())));
  }

  private static Optional<Found> belowRegeneration(Case c, Bms b) {
    double back = c.asked().machine().regenerationCurrent();
    if (c.guard().protection().inDischargePath().isEmpty() || back <= b.chargeCurrent()) {
      return Optional.empty();
    }
    return Found.stop(
        "Braking pushes back more than the BMS lets in",
        ("The machine pushes back %s; above %s the BMS opens, the brake goes and the voltage at the"
                + " machine jumps.")
            .formatted(amperes(back), amperes(b.chargeCurrent())),
        "Limit regeneration to %s, or take a BMS that lets %s in."
            .formatted(amperes(b.chargeCurrent()), amperes(back)));
  }

  private static Optional<Found> cutOffTooLow(Case c, Bms b) {
    if (b.cutOffVoltage() >= c.cell().cutOffVoltage()
        || c.guard().protection().inDischargePath().isEmpty()) {
      return Optional.empty();
    }
    return Found.stop(
        "The BMS lets cells go too low",
        "It opens at %s per cell; the cell must not go below %s."
            .formatted(cellVolts(b.cutOffVoltage()), cellVolts(c.cell().cutOffVoltage())),
        "Set its cut-off to %s or more.".formatted(cellVolts(c.cell().cutOffVoltage())));
  }

  private static Optional<Found> mosfet(Case c, Bms b) {
    if (c.highestVoltage() <= b.mosfetVoltage()) {
      return Optional.empty();
    }
    return Found.stop(
        "The BMS cannot block this voltage",
        "Full, the pack has %s; the switches of the BMS block %s and fail closed above it."
            .formatted(Text.volts(c.highestVoltage()), Text.volts(b.mosfetVoltage())),
        "Take a BMS whose switches block well above %s.".formatted(Text.volts(c.highestVoltage())));
  }

  private static Optional<Found> cutOffHigh(Case c, Bms b) {
    double unused = c.chain().path().circuit().socAt(b.cutOffVoltage());
    if (c.guard().protection().inDischargePath().isEmpty() || unused <= MOST_UNUSED) {
      return Optional.empty();
    }
    return Found.note(
        "The BMS cut-off leaves much unused",
        "At %s per cell, rested, %s of the charge is still in it."
            .formatted(cellVolts(b.cutOffVoltage()), Text.percent(unused)),
        "Set it lower, not below %s.".formatted(cellVolts(c.cell().cutOffVoltage())));
  }

  private static Optional<Found> balance(Case c, Bms b) {
    double imbalance = IMBALANCE * c.pack().capacity();
    double hours = b.balance().hoursFor(imbalance);
    if (hours <= MOST_HOURS) {
      return Optional.empty();
    }
    return Found.note(
        "The BMS balances slowly for this size",
        b.balance().current() > 0
            ? "An imbalance of 1 %% is %s; at %s that takes %s."
                .formatted(
                    Figures.of(imbalance, Unit.AMPERE_HOUR),
                    Figures.of(b.balance().current(), Unit.MILLIAMPERE),
                    Figures.duration(hours * 3600))
            : "It does not balance at all; an imbalance of 1 %% is %s."
                .formatted(Figures.of(imbalance, Unit.AMPERE_HOUR)),
        "Match the groups well, or take a BMS that balances with %s or more."
            .formatted(Figures.of(imbalance / MOST_HOURS, Unit.MILLIAMPERE)));
  }

  private static Optional<Found> sensor(Case c, Bms b) {
    if (b.temperatureSensors() > 0) {
      return Optional.empty();
    }
    return Found.note(
        "The BMS feels no temperature",
        "With 0 sensors it neither stops charging below %s nor discharging above %s."
            .formatted(
                Text.celsius(c.cell().temperatures().chargeLowest()),
                Text.celsius(c.cell().temperatures().dischargeHighest())),
        "Take one with a sensor, and fix that to a cell in the middle.");
  }

  private static Optional<Found> overVoltage(Case c, Bms b) {
    double full = c.cell().fullVoltage();
    if (b.overVoltage() > full + OVER_VOLTAGE_ROOM + 1e-9) {
      return Found.stop(
          "The BMS lets cells be overcharged",
          "It opens at %s per cell; the cell's full voltage is %s."
              .formatted(cellVolts(b.overVoltage()), cellVolts(full)),
          "Set its over-voltage to %s or less.".formatted(cellVolts(full + 0.05)));
    }
    if (b.overVoltage() < c.design().chargeVoltagePerCell()) {
      return Found.warn(
          "The BMS interrupts the charge",
          "It opens at %s per cell; the charger aims at %s per cell."
              .formatted(cellVolts(b.overVoltage()), cellVolts(c.design().chargeVoltagePerCell())),
          "Set its over-voltage above the charge voltage, or charge lower.");
    }
    return Optional.empty();
  }
}
