package hammerman.judgement;

import static hammerman.judgement.Phrases.ARC;
import static hammerman.judgement.Phrases.SHORT;
import static hammerman.judgement.Phrases.down;
import static hammerman.judgement.Phrases.guard;
import static hammerman.judgement.Phrases.limit;
import static hammerman.judgement.Phrases.percent;
import static hammerman.judgement.Phrases.up;
import static hammerman.judgement.Phrases.value;
import static hammerman.judgement.Words.atGuard;
import static hammerman.judgement.Words.note;
import static hammerman.judgement.Words.stop;
import static hammerman.judgement.Words.stopFrom;
import static hammerman.judgement.Words.warn;

import hammerman.circuit.Circuit;
import hammerman.circuit.Part;
import hammerman.circuit.Stress;
import hammerman.circuit.Stress.Kind;
import hammerman.finding.Severity;
import hammerman.guard.Closing;
import hammerman.judgement.Readings.TableKey;
import hammerman.unit.Figures;
import hammerman.unit.Unit;
import java.util.Map;

/** How rows about wire, switch, plugs and pre-charge read. */
final class PathWords {
  private PathWords() {}

  static void put(Map<TableKey, Words> all) {
    wire(all);
    switches(all);
    connectors(all);
    precharge(all);
  }

  private static Words.Of<Severity> stopWhenLong() {
    return (s, c) -> s.seconds() >= 60 ? Severity.STOP : Severity.WARN;
  }

  private static void wire(Map<TableKey, Words> all) {
    for (Part.Kind p : new Part.Kind[] {Part.Kind.WIRE, Part.Kind.SHARED_WIRE}) {
      all.put(
          new TableKey(p, Kind.CURRENT),
          atGuard(
              "wire amps",
              stop(),
              "The main wire is too thin",
              Phrases::tooMuch,
              (s, c) -> "Wire of %s or more.".formatted(area(s, c, s.value())),
              "The duty's current at every duration against what the wire stands in the hottest"
                  + " air."));
      all.put(
          new TableKey(p, Kind.EFFORT),
          atGuard(
              "wire amps",
              warn(),
              "Full effort for long is too much for the wire",
              Phrases::effort,
              (s, c) ->
                  "Wire of %s or more, or a lower current at full effort."
                      .formatted(area(s, c, s.value())),
              "The machine's full effort against the wire's ampacity in the hottest air."));
      all.put(
          new TableKey(p, Kind.OVERLOAD),
          atGuard(
              "wire",
              stop(),
              "Fuse and BMS do not protect the wire",
              Phrases::overload,
              (s, c) ->
                  "A fuse that opens at %s or less, or wire of %s or more."
                      .formatted(down(s.limit(), Unit.AMPERE), area(s, c, s.value() / 1.35)),
              "Any current short of a short circuit, until BMS or fuse ends it, against what ruins"
                  + " the insulation."));
      all.put(
          new TableKey(p, Kind.WITHSTAND),
          atGuard(
                  "wire short",
                  stop(),
                  "A short circuit ruins the wire before it is cleared",
                  Phrases::withstand,
                  (s, c) -> "A faster or smaller fuse, or thicker wire.",
                  "The short-circuit current until it is cleared against what ruins the"
                      + " insulation.")
              .cautioned(SHORT));
    }
    all.put(
        new TableKey(Part.Kind.WIRE, Kind.DROP),
        atGuard(
            "wire drop",
            note(),
            "The leads lose much of the voltage",
            (s, c) ->
                "At %s they lose %s, %s of the nominal voltage."
                    .formatted(
                        Phrases.amperes(c.chain().demand().continuous()),
                        value(s),
                        percent(0.03 * s.value() / s.limit())),
            (s, c) -> "Shorter leads, or thicker wire.",
            "The voltage lost in leads, plugs, fuse, switch and BMS against 3 % of nominal."));
    all.put(
        new TableKey(Part.Kind.WIRE, Kind.FIGURE),
        atGuard(
            "insulation",
            warn(),
            "No wire has such an insulation",
            (s, c) ->
                "Its insulation is typed as good for %s; the best ends at %s."
                    .formatted(value(s), limit(s)),
            (s, c) -> "Type what is printed on it: 105 °C is usual, 180 to 200 °C for silicone.",
            "The typed limit of the insulation against 200 °C."));
  }

  private static String area(Stress s, Circuit c, double current) {
    double hottest = c.design().duty().surroundings().hottestInUse();
    return up(
        guard(s, c).wiring().wire().areaFor(current, hottest) * 1.0001, Unit.SQUARE_MILLIMETRE);
  }

  private static void carrying(Map<TableKey, Words> all, Part.Kind p, String word, String one) {
    String noun = p == Part.Kind.SWITCH ? "switch contacts" : "connectors";
    all.put(
        new TableKey(p, Kind.CURRENT),
        atGuard(
            word + " amps",
            p == Part.Kind.SWITCH ? stop() : stopWhenLong(),
            "The " + one + " too little",
            Phrases::tooMuch,
            (s, c) -> "One that carries %s.".formatted(up(s.value(), Unit.AMPERE)),
            "The duty's current at every duration against what it stands that long."));
    all.put(
        new TableKey(p, Kind.EFFORT),
        atGuard(
            word + " amps",
            warn(),
            "The " + one + " less than full effort for long",
            Phrases::effort,
            (s, c) ->
                "One that carries %s, or a lower current at full effort."
                    .formatted(up(s.value(), Unit.AMPERE)),
            "The machine's full effort against its continuous rating."));
    all.put(
        new TableKey(p, Kind.OVERLOAD),
        atGuard(
            word + " overload",
            stopFrom(1.5),
            "Fuse and BMS open above what the " + noun + " bear",
            Phrases::overload,
            (s, c) ->
                "A fuse that opens at %s or less, or one that carries more."
                    .formatted(down(s.limit(), Unit.AMPERE)),
            "Any current short of a short circuit, until BMS or fuse ends it, against 1.5 times its"
                + " rating."));
    all.put(
        new TableKey(p, Kind.WITHSTAND),
        atGuard(
            word + " short",
            warn(),
            "A short circuit can weld or melt the " + noun,
            Phrases::withstand,
            (s, c) -> "A faster or smaller fuse.",
            "The short-circuit current until it is cleared against 1.5 times its rating, below ten"
                + " seconds with I² t constant."));
  }

  private static void switches(Map<TableKey, Words> all) {
    Part.Kind p = Part.Kind.SWITCH;
    all.put(
        new TableKey(p, Kind.MISSING),
        atGuard(
            "no switch",
            note(),
            "No switch",
            (s, c) ->
                "Only pulling a connector parts the machine from a pack that gives %s when shorted."
                    .formatted(Phrases.fault(c.shortCircuitCurrent(false))),
            (s, c) -> "A switch or a loop key within reach.",
            "Whether there is a switch."));
    all.put(
        new TableKey(p, Kind.VOLTAGE),
        atGuard(
                "switch volts",
                stop(),
                "The switch cannot break this voltage",
                (s, c) -> Phrases.voltage(s, c) + " Its contacts can go on burning.",
                (s, c) -> "A switch for %s DC or more.".formatted(up(s.value(), Unit.VOLT)),
                "The highest voltage, of both packs in series, against what the switch breaks.")
            .cautioned(ARC));
    carrying(all, p, "switch", "switch carries");
  }

  private static void connectors(Map<TableKey, Words> all) {
    Part.Kind p = Part.Kind.CONNECTORS;
    all.put(
        new TableKey(p, Kind.VOLTAGE),
        atGuard(
                "plug volts",
                stop(),
                "The connectors are not made for this voltage",
                Phrases::voltage,
                (s, c) -> "Connectors for %s DC or more.".formatted(up(s.value(), Unit.VOLT)),
                "The highest voltage, of both packs in series, against the connector's rating.")
            .cautioned(ARC));
    carrying(all, p, "plug", "connectors carry");
  }

  private static void precharge(Map<TableKey, Words> all) {
    Part.Kind p = Part.Kind.PRECHARGE;
    all.put(
        new TableKey(p, Kind.MISSING),
        atGuard(
            "spark",
            warn(),
            "Switching on sparks",
            (s, c) ->
                "The machine's %s hold %s, taken in an instant: contacts pit and weld.%s"
                    .formatted(
                        Figures.of(c.design().duty().machine().inputCapacitance(), Unit.MICROFARAD),
                        value(s),
                        guard(s, c).wiring().connector().sparkProof()
                                && guard(s, c).closing() != Closing.PLUG
                            ? " The pre-charging plug does not help: another contact closes after"
                                + " it."
                            : ""),
            (s, c) ->
                "A pre-charge resistor, or let a pre-charging plug be what closes the circuit.",
            "Whether the machine's capacitors, above 0.5 J, are filled before the last contact"
                + " closes."));
    all.put(
        new TableKey(p, Kind.ENERGY),
        atGuard(
            "resistor",
            stop(),
            "The pre-charge resistor is too small",
            (s, c) ->
                "One start puts %s into it; it stands about %s.".formatted(value(s), limit(s)),
            (s, c) -> "One rated %s or more.".formatted(up(s.value() / 10, Unit.WATT)),
            "The energy of one pre-charge against what the resistor stands."));
    all.put(
        new TableKey(p, Kind.SPARK),
        atGuard(
            "resistor",
            note(),
            "The pre-charge itself sparks",
            (s, c) ->
                "It begins with %s; above %s contacts still spark.".formatted(value(s), limit(s)),
            (s, c) ->
                "A resistor of %s or more."
                    .formatted(up(c.chain().supply().highest() / s.limit(), Unit.OHM)),
            "The first pre-charge current against 10 A."));
    all.put(
        new TableKey(p, Kind.TIME),
        atGuard(
            "slow start",
            note(),
            "The pre-charge takes long",
            (s, c) ->
                "It takes %s to 95 %%; people do not wait longer than %s."
                    .formatted(Figures.duration(s.value()), Figures.duration(s.limit())),
            (s, c) ->
                "A resistor of %s or less."
                    .formatted(
                        down(
                            s.limit() / (3 * c.design().duty().machine().inputCapacitance()),
                            Unit.OHM)),
            "The time to 95 % of the voltage against 5 s."));
  }
}
