package hammerman.judgement;

import static hammerman.judgement.Text.amperes;
import static hammerman.judgement.Text.percent;
import static hammerman.judgement.Text.volts;

import hammerman.finding.Station;
import hammerman.guard.Precharge;
import hammerman.guard.Switch;
import hammerman.judgement.Rule.Found;
import hammerman.unit.Figures;
import hammerman.unit.Unit;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;

/** Whether wires, connectors, switch and pre-charge suit the duty and the voltage. */
final class WireRules {
  /** Share of the nominal voltage that leads may lose; usual practice. */
  private static final double MOST_DROP = 0.03;

  /** Energy in input capacitors from which closing a circuit sparks and wears contacts, J. */
  private static final double SPARK_ENERGY = 0.5;

  /** Longest pre-charge that people wait for, s; usual practice. */
  private static final double PATIENCE = 5;

  /** First pre-charge current above which contacts still spark, A; usual practice. */
  private static final double SOFT_CURRENT = 10;

  static final List<Rule> ALL =
      List.of(
          rule(
              "wire.continuous",
              "wire amps",
              "The heaviest ten minutes against the wire's ampacity.",
              WireRules::continuous),
          rule(
              "wire.peak",
              "wire peak",
              "The hardest moment against what the wire stands for its length.",
              WireRules::peak),
          rule(
              "wire.charge",
              "charge wire",
              "The charger's current against the ampacity of the charge lead.",
              WireRules::charge),
          rule(
              "wire.drop",
              "wire drop",
              "The voltage lost in leads and connectors against 3 % of nominal.",
              WireRules::drop),
          rule(
              "connector.continuous",
              "plug amps",
              "The heaviest ten minutes against the connector's continuous rating.",
              WireRules::connectorContinuous),
          rule(
              "connector.peak",
              "plug peak",
              "The hardest moment against the connector's 10 s rating.",
              WireRules::connectorPeak),
          rule(
              "connector.voltage",
              "plug volts",
              "The pack's highest voltage against the connector's rating.",
              WireRules::connectorVoltage),
          rule("switch.none", "no switch", "Whether there is a switch.", WireRules::noSwitch),
          rule(
              "switch.continuous",
              "switch amps",
              "The heaviest ten minutes against the switch's rating.",
              WireRules::switchContinuous),
          rule(
              "switch.voltage",
              "switch volts",
              "The pack's highest voltage against what the switch breaks.",
              WireRules::switchVoltage),
          rule(
              "precharge.none",
              "spark",
              "Whether the machine's capacitors are filled without a spark.",
              WireRules::noPrecharge),
          rule(
              "precharge.energy",
              "resistor",
              "The energy of one pre-charge against what the resistor stands.",
              WireRules::prechargeEnergy),
          rule(
              "precharge.current",
              "resistor",
              "The first pre-charge current against 10 A.",
              WireRules::prechargeCurrent),
          rule(
              "precharge.slow",
              "slow start",
              "The time to 95 % of the voltage against 5 s.",
              WireRules::prechargeSlow));

  private WireRules() {}

  private static Rule rule(
      String id, String word, String looksAt, Function<Case, Optional<Found>> check) {
    return new Rule(id, word, Station.GUARD, looksAt, check);
  }

  /** The cross-section that carries a current in the hottest air, a hair more. */
  static String areaFor(Case c, double current) {
    double hottest = c.asked().surroundings().hottestInUse();
    double area = c.guard().wiring().wire().areaFor(current, hottest);
    return Figures.of(area * 1.005, Unit.SQUARE_MILLIMETRE);
  }

  private static double hottest(Case c) {
    return c.asked().surroundings().hottestInUse();
  }

  private static Optional<Found> continuous(Case c) {
    double asked = c.chain().demand().continuous();
    double carries = c.chain().fuseWindow().upper();
    if (asked <= carries) {
      return Optional.empty();
    }
    return Found.stop(
        "The main wire is too thin",
        "The heaviest ten minutes draw %s; the wire carries %s in the hottest air."
            .formatted(amperes(asked), amperes(carries)),
        "Take wire of %s or more.".formatted(areaFor(c, c.chain().fuseWindow().lower())));
  }

  private static Optional<Found> peak(Case c) {
    var demand = c.chain().demand();
    double stands = c.guard().wiring().wire().shortTimeAmpacity(hottest(c), demand.peakDuration());
    if (demand.peak() <= stands) {
      return Optional.empty();
    }
    return Found.stop(
        "The hardest moment overheats the main wire",
        "“%s” draws %s for %s; the wire stands %s for that long."
            .formatted(
                c.asked().hardest().name(),
                amperes(demand.peak()),
                Figures.duration(demand.peakDuration()),
                amperes(stands)),
        "Take thicker wire.");
  }

  private static Optional<Found> charge(Case c) {
    double charger = c.guard().charge().current();
    double carries = c.guard().wiring().chargeWire().ampacity(hottest(c));
    if (charger <= carries) {
      return Optional.empty();
    }
    return Found.stop(
        "The charge lead is too thin",
        "The charger gives %s; the lead of %s carries %s."
            .formatted(amperes(charger), c.guard().wiring().chargeWire().text(), amperes(carries)),
        "Take a lead of %s or more, or a charger of %s."
            .formatted(areaFor(c, charger), amperes(carries)));
  }

  private static Optional<Found> drop(Case c) {
    double current = c.chain().demand().continuous();
    double lost = current * c.guard().wiring().resistance(hottest(c));
    double nominal = c.pack().nominalVoltage();
    if (lost <= MOST_DROP * nominal) {
      return Optional.empty();
    }
    return Found.note(
        "The leads lose much of the voltage",
        "At %s they lose %s, %s of the nominal %s."
            .formatted(
                amperes(current),
                Figures.of(lost, Unit.VOLT),
                percent(lost / nominal),
                volts(nominal)),
        "Shorten them, or take thicker wire.");
  }

  private static boolean plugged(Case c) {
    return c.guard().wiring().connectorPairs() > 0;
  }

  private static Optional<Found> connectorContinuous(Case c) {
    double asked = c.chain().demand().continuous();
    var connector = c.guard().wiring().connector();
    if (!plugged(c) || asked <= connector.continuous()) {
      return Optional.empty();
    }
    return Found.stop(
        "The connectors carry too little",
        "The heaviest ten minutes draw %s; “%s” carries %s for long."
            .formatted(amperes(asked), connector.name(), amperes(connector.continuous())),
        "Take connectors for %s or more.".formatted(amperes(asked)));
  }

  private static Optional<Found> connectorPeak(Case c) {
    var demand = c.chain().demand();
    var connector = c.guard().wiring().connector();
    if (!plugged(c) || demand.peak() <= connector.peak()) {
      return Optional.empty();
    }
    return Found.warn(
        "The hardest moment is above the connectors' rating",
        "“%s” draws %s; “%s” is rated %s for 10 s."
            .formatted(
                c.asked().hardest().name(),
                amperes(demand.peak()),
                connector.name(),
                amperes(connector.peak())),
        "Take connectors with a peak of %s or more.".formatted(amperes(demand.peak())));
  }

  private static Optional<Found> connectorVoltage(Case c) {
    var connector = c.guard().wiring().connector();
    if (!plugged(c) || c.highestVoltage() <= connector.voltageRating()) {
      return Optional.empty();
    }
    return Found.stop(
        "The connectors are not made for this voltage",
        "Full, the pack has %s; “%s” is rated %s DC."
            .formatted(
                volts(c.highestVoltage()), connector.name(), volts(connector.voltageRating())),
        "Take connectors for %s DC or more.".formatted(volts(c.highestVoltage())));
  }

  private static Optional<Found> noSwitch(Case c) {
    if (c.guard().mainSwitch() != null) {
      return Optional.empty();
    }
    return Found.note(
        "No switch",
        "Only pulling a connector parts the machine from a pack that gives %s when shorted."
            .formatted(Figures.of(c.chain().shortCircuitCurrent(), Unit.KILOAMPERE)),
        "Fit a switch or a loop key within reach.");
  }

  private static Optional<Found> switchContinuous(Case c) {
    Switch s = c.guard().mainSwitch();
    double asked = c.chain().demand().continuous();
    if (s == null || asked <= s.continuous()) {
      return Optional.empty();
    }
    return Found.stop(
        "The switch carries too little",
        "The heaviest ten minutes draw %s; “%s” carries %s."
            .formatted(amperes(asked), s.name(), amperes(s.continuous())),
        "Take a switch for %s or more.".formatted(amperes(asked)));
  }

  private static Optional<Found> switchVoltage(Case c) {
    Switch s = c.guard().mainSwitch();
    if (s == null || c.highestVoltage() <= s.voltageRating()) {
      return Optional.empty();
    }
    return Found.stop(
        "The switch cannot break this voltage",
        "Full, the pack has %s; “%s” breaks %s DC. Its contacts can go on burning."
            .formatted(volts(c.highestVoltage()), s.name(), volts(s.voltageRating())),
        "Take a switch for %s DC or more.".formatted(volts(c.highestVoltage())));
  }

  private static double energy(Case c) {
    return Precharge.energy(c.highestVoltage(), c.asked().machine().inputCapacitance());
  }

  private static Optional<Found> noPrecharge(Case c) {
    boolean soft =
        c.guard().precharge() != null
            || (plugged(c) && c.guard().wiring().connector().sparkProof());
    if (soft || energy(c) <= SPARK_ENERGY) {
      return Optional.empty();
    }
    return Found.warn(
        "Switching on sparks",
        "The machine's %s hold %s at %s, taken in an instant: contacts pit and weld."
            .formatted(
                Figures.of(c.asked().machine().inputCapacitance(), Unit.MICROFARAD),
                Figures.of(energy(c), Unit.JOULE),
                volts(c.highestVoltage())),
        "Fit a pre-charge resistor, or connectors that pre-charge.");
  }

  private static Optional<Found> prechargeEnergy(Case c) {
    Precharge p = c.guard().precharge();
    if (p == null || energy(c) <= p.pulseEnergy()) {
      return Optional.empty();
    }
    return Found.stop(
        "The pre-charge resistor is too small",
        "One start puts %s into it; at %s rated it stands about %s."
            .formatted(
                Figures.of(energy(c), Unit.JOULE),
                Figures.of(p.power(), Unit.WATT),
                Figures.of(p.pulseEnergy(), Unit.JOULE)),
        "Take one rated %s or more.".formatted(Figures.of(energy(c) / 10, Unit.WATT)));
  }

  private static Optional<Found> prechargeCurrent(Case c) {
    Precharge p = c.guard().precharge();
    if (p == null || p.current(c.highestVoltage()) <= SOFT_CURRENT) {
      return Optional.empty();
    }
    return Found.note(
        "The pre-charge itself sparks",
        "It begins with %s through %s."
            .formatted(
                amperes(p.current(c.highestVoltage())), Figures.of(p.resistance(), Unit.OHM)),
        "Take %s or more.".formatted(Figures.of(c.highestVoltage() / SOFT_CURRENT, Unit.OHM)));
  }

  private static Optional<Found> prechargeSlow(Case c) {
    Precharge p = c.guard().precharge();
    double farads = c.asked().machine().inputCapacitance();
    if (p == null || p.time(farads) <= PATIENCE) {
      return Optional.empty();
    }
    return Found.note(
        "The pre-charge takes long",
        "With %s and %s it takes %s to 95 %%."
            .formatted(
                Figures.of(p.resistance(), Unit.OHM),
                Figures.of(farads, Unit.MICROFARAD),
                Figures.duration(p.time(farads))),
        "Take %s or less; people do not wait longer than %s."
            .formatted(Figures.of(PATIENCE / (3 * farads), Unit.OHM), Figures.duration(PATIENCE)));
  }
}
