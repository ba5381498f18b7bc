package hammerman.judgement;

import static hammerman.judgement.Text.amperes;
import static hammerman.judgement.Text.celsius;
import static hammerman.judgement.Text.percent;
import static hammerman.judgement.Text.volts;

import hammerman.chain.Floor;
import hammerman.finding.Station;
import hammerman.judgement.Rule.Found;
import java.util.List;
import java.util.Optional;

/** Whether the pack's voltage suits the machine and the hands that touch it. */
final class VoltageRules {
  /** DC voltage above which a touch can kill, V (usual limit of safety extra-low voltage). */
  private static final double TOUCH_LIMIT = 60;

  /** State of charge down to which a pack is expected to bear its hardest moment. */
  private static final double LOW_SOC = 0.10;

  static final List<Rule> ALL =
      List.of(
          new Rule(
              "voltage.aboveMachine",
              "volts high",
              Station.STACK,
              "The voltage after a charge, and the cells' full voltage, against the machine's"
                  + " maximum.",
              VoltageRules::aboveMachine),
          new Rule(
              "voltage.cutsOutUnderLoad",
              "cuts out",
              Station.STACK,
              "The state of charge at which the hardest moment, in the cold, meets the lowest"
                  + " voltage allowed; a stop from 50 %, a warning from 10 %.",
              VoltageRules::cutsOutUnderLoad),
          new Rule(
              "voltage.noCutOff",
              "no cut-off",
              Station.GUARD,
              "Without a BMS in the discharge path, the machine's cut-out against the cells'"
                  + " cut-off.",
              VoltageRules::noCutOff),
          new Rule(
              "voltage.touch",
              "touch",
              Station.STACK,
              "The voltage after a charge against 60 V DC.",
              VoltageRules::touch));

  private VoltageRules() {}

  private static Optional<Found> aboveMachine(Case c) {
    double charged = c.guard().charge().voltage();
    double full = c.pack().fullVoltage();
    double most = c.asked().machine().maximumVoltage();
    int fits = (int) Math.floor(most / c.cell().fullVoltage() + 1e-9);
    String fewer = "Go down to " + fits + " in series, or use a machine rated for more.";
    if (charged > most) {
      return Found.stop(
          "A full charge exceeds the machine's limit",
          "Charged to %s, the pack is %s above the %s the machine survives."
              .formatted(volts(charged), volts(charged - most), volts(most)),
          fewer);
    }
    if (full > most) {
      return Found.warn(
          "A charger set to full would exceed the machine's limit",
          ("At the set %s the pack stays within %s, but at the cells' full voltage it would reach"
                  + " %s.")
              .formatted(volts(charged), volts(most), volts(full)),
          fewer + " Otherwise keep every charger at the lower setting and mark it.");
    }
    return Optional.empty();
  }

  private static Optional<Found> cutsOutUnderLoad(Case c) {
    Floor floor = c.chain().floor();
    if (floor.soc() <= LOW_SOC) {
      return Optional.empty();
    }
    double current = c.asked().hardest().current();
    String cold = celsius(c.asked().surroundings().coldestInUse());
    String why =
        floor.soc() >= 1
            ? "At %s and %s even a full pack falls below the %s at which %s cuts off."
                .formatted(amperes(current), cold, limit(floor), floor.who().words())
            : "Below %s charge, %s at %s pulls the voltage under the %s at which %s cuts off; that"
                    .formatted(
                        percent(floor.soc()),
                        amperes(current),
                        cold,
                        limit(floor),
                        floor.who().words())
                + " share of the capacity is lost to the hardest moment.";
    String fix =
        "Add parallel cells or a cell with less resistance, go up in series, or soften “"
            + c.asked().hardest().name()
            + "”.";
    return floor.soc() >= 0.5
        ? Found.stop("The hardest moment cuts the pack off", why, fix)
        : Found.warn("The hardest moment cuts off before the pack is empty", why, fix);
  }

  private static String limit(Floor floor) {
    return floor.who() == Floor.Who.MACHINE
        ? volts(floor.limit())
        : Text.cellVolts(floor.limit()) + " per cell";
  }

  private static Optional<Found> noCutOff(Case c) {
    double cutOut = c.asked().machine().cutOutVoltage();
    double lowest = c.pack().cutOffVoltage();
    if (c.guard().protection().inDischargePath().isPresent() || cutOut >= lowest) {
      return Optional.empty();
    }
    return Found.stop(
        "Nothing stops the discharge in time",
        "No BMS opens the discharge, and the machine only stops at %s while the cells must not go below %s."
            .formatted(volts(cutOut), volts(lowest)),
        "Put a BMS in the discharge path, or raise the machine's cut-out to %s or more."
            .formatted(volts(lowest)));
  }

  private static Optional<Found> touch(Case c) {
    double charged = Math.max(c.guard().charge().voltage(), c.pack().fullVoltage());
    if (charged <= TOUCH_LIMIT) {
      return Optional.empty();
    }
    return Found.warn(
        "Above 60 V a touch can kill",
        "Full, the pack has %s. Above 60 V DC current through the body can be deadly."
            .formatted(volts(charged)),
        "Build in halves joined last, rings off, insulated tools, one hand, covers over every"
            + " terminal; local codes and a licensed person come first.");
  }
}
