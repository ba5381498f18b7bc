package hammerman.judgement;

import static hammerman.judgement.Phrases.down;
import static hammerman.judgement.Phrases.guard;
import static hammerman.judgement.Phrases.limit;
import static hammerman.judgement.Phrases.percent;
import static hammerman.judgement.Phrases.up;
import static hammerman.judgement.Phrases.value;
import static hammerman.judgement.Words.note;
import static hammerman.judgement.Words.stop;
import static hammerman.judgement.Words.stopFrom;
import static hammerman.judgement.Words.warn;

import hammerman.circuit.Circuit;
import hammerman.circuit.Part;
import hammerman.circuit.Stress;
import hammerman.circuit.Stress.Kind;
import hammerman.finding.Severity;
import hammerman.finding.Station;
import hammerman.guard.Closing;
import hammerman.guard.Fusing;
import hammerman.judgement.Readings.TableKey;
import hammerman.unit.Figures;
import hammerman.unit.Unit;
import java.util.Map;

/** How rows about fuses, wire, switch, plugs and pre-charge read. */
final class PathWords {
  private static final String SHORT =
      "A shorted pack welds tools and burns hands: rings off, insulated tools, eye protection, the"
          + " fuse fitted last.";
  private static final String ARC =
      "Above 60 V DC an arc keeps burning. Local codes and a licensed person come first.";

  private PathWords() {}

  static void put(Map<TableKey, Words> all) {
    fuse(all, Part.Kind.FUSE, "fuse");
    mainFuse(all);
    cellFuses(all);
    wire(all);
    switches(all);
    connectors(all);
    precharge(all);
    charge(all);
  }

  private static Words words(
      String word,
      Words.Of<Severity> severity,
      String title,
      Words.Of<String> why,
      Words.Of<String> fix,
      String looksAt) {
    return new Words(word, Station.GUARD, severity, title, why, fix, "", looksAt);
  }

  private static Words.Of<Severity> stopWhenLong() {
    return (s, c) -> s.seconds() >= 60 ? Severity.STOP : Severity.WARN;
  }

  /** What holds for a main fuse and for a charge fuse. */
  private static void fuse(Map<TableKey, Words> all, Part.Kind p, String word) {
    all.put(
        new TableKey(p, Kind.VOLTAGE),
        words(
                word + " volts",
                stop(),
                "The fuse cannot break this voltage",
                (s, c) -> Phrases.voltage(s, c) + " It could go on burning as an arc.",
                (s, c) -> "A fuse rated for %s DC or more.".formatted(up(s.value(), Unit.VOLT)),
                "The voltage across the open fuse, of both packs in series, against its DC rating.")
            .cautioned(ARC));
    all.put(
        new TableKey(p, Kind.SHORT),
        words(
                word + " kA",
                stop(),
                "The fuse cannot break a short circuit of this pack",
                (s, c) ->
                    "Shorted at the fuse, full and warm, about %s flow; its class breaks %s."
                        .formatted(value(s), limit(s)),
                (s, c) ->
                    "A class with an interrupt rating of %s or more."
                        .formatted(up(s.value(), Unit.KILOAMPERE)),
                "The short-circuit current at the fuse, full, warm, every source, against the"
                    + " interrupt rating of its class.")
            .cautioned(SHORT));
    all.put(
        new TableKey(p, Kind.FIGURE),
        words(
            word + " class",
            stop(),
            "No fuse of this class has that voltage",
            (s, c) -> "It is typed as %s DC; its class ends at %s.".formatted(value(s), limit(s)),
            (s, c) ->
                "Type the voltage for DC that is printed on it: %s or less."
                    .formatted(down(s.limit(), Unit.VOLT)),
            "The typed voltage of the fuse against its class."));
  }

  private static void mainFuse(Map<TableKey, Words> all) {
    Part.Kind p = Part.Kind.FUSE;
    all.put(
        new TableKey(p, Kind.MISSING),
        words(
                "no fuse",
                (s, c) ->
                    s.protector().isEmpty() || c.chain().supply().highest() > GuardWords.ARC
                        ? Severity.STOP
                        : Severity.WARN,
                "No fuse breaks a short circuit",
                (s, c) ->
                    "Shorted, the pack gives about %s; %s."
                        .formatted(
                            Figures.of(c.shortCircuitCurrent(s.part().second()), Unit.KILOAMPERE),
                            s.protector().isEmpty()
                                ? "nothing at all ends it"
                                : "only electronics stand against it, and its switches often fail"
                                    + " closed"),
                (s, c) -> "A main fuse close to the pack's positive end.",
                "Whether there is a main fuse; a stop where no BMS can open either, or above 60 V.")
            .cautioned(SHORT));
    all.put(
        new TableKey(p, Kind.CURRENT),
        words(
            "fuse small",
            warn(),
            "The fuse may blow in use",
            Phrases::tooMuch,
            (s, c) ->
                "A fuse of %s or more, and wire that it protects."
                    .formatted(
                        up(
                            guard(s, c).fuse().orElseThrow().rating() * s.value() / s.limit(),
                            Unit.AMPERE)),
            "The duty's current at every duration against what the fuse stands for twice as"
                + " long."));
    all.put(
        new TableKey(p, Kind.EFFORT),
        words(
            "fuse small",
            warn(),
            "Full effort for long blows the fuse",
            Phrases::effort,
            (s, c) ->
                "A fuse of %s or more, or a lower current at full effort."
                    .formatted(up(s.value() / 0.75, Unit.AMPERE)),
            "The machine's full effort against three quarters of the rating."));
    all.put(
        new TableKey(p, Kind.CLEARS),
        words(
            "weak short",
            (s, c) -> Double.isInfinite(s.value()) ? Severity.STOP : Severity.WARN,
            "The fuse does not clear a weak short circuit quickly",
            (s, c) ->
                "Nearly empty and cold, a short circuit at the machine gives too little: %s %s; 5 s is the usual limit."
                    .formatted(
                        s.protector(),
                        Double.isInfinite(s.value())
                            ? "does not open at all"
                            : "takes up to " + Figures.duration(s.value())),
            (s, c) -> "A smaller or faster fuse, or a BMS in the path that opens on over-current.",
            "The time to clear the weakest short circuit, at the far end of the leads, against 5"
                + " s."));
    all.put(
        new TableKey(Part.Kind.LEAD, Kind.LENGTH),
        words(
                "unfused lead",
                (s, c) -> s.value() > 1 ? Severity.STOP : Severity.WARN,
                "A length of lead has no fuse before it",
                (s, c) ->
                    "%s lie between pack and fuse; %s is usual. Chafed there, it carries the whole short circuit, about %s%s."
                        .formatted(
                            value(s),
                            limit(s),
                            Figures.of(c.shortCircuitCurrent(s.part().second()), Unit.KILOAMPERE),
                            s.protector().isEmpty() ? "" : ", until the cell fuses open"),
                (s, c) ->
                    "Move the fuse to within %s of the pack."
                        .formatted(down(s.limit(), Unit.METRE)),
                "The length between pack and fuse against 0.2 m; a stop above 1 m.")
            .cautioned(SHORT));
  }

  private static void cellFuses(Map<TableKey, Words> all) {
    Part.Kind p = Part.Kind.CELL_FUSES;
    all.put(
        new TableKey(p, Kind.CURRENT),
        words(
            "cell fuses",
            warn(),
            "The cell fuses may blow in use",
            Phrases::tooMuch,
            (s, c) ->
                "Make them %s or more."
                    .formatted(up(rating(s, c) * s.value() / s.limit(), Unit.AMPERE)),
            "The duty's current at every duration against what the cell fuses stand."));
    all.put(
        new TableKey(p, Kind.EFFORT),
        words(
            "cell fuses",
            warn(),
            "Full effort for long blows the cell fuses",
            Phrases::effort,
            (s, c) ->
                "Make them %s or more."
                    .formatted(up(rating(s, c) * s.value() / s.limit(), Unit.AMPERE)),
            "The machine's full effort against the cell fuses."));
    all.put(
        new TableKey(p, Kind.CLEARS),
        words(
            "cell fuses",
            warn(),
            "The cell fuses may not clear a shorted cell",
            (s, c) ->
                "The others of its group push about %s into a shorted cell; its fuse surely opens above %s."
                    .formatted(limit(s), value(s)),
            (s, c) ->
                "Make them %s or less."
                    .formatted(down(rating(s, c) * s.limit() / s.value(), Unit.AMPERE)),
            "The current that surely opens a cell fuse against what the other cells push into a"
                + " shorted one."));
  }

  private static double rating(Stress s, Circuit c) {
    return guard(s, c).fusing() instanceof Fusing.MainAndCells f ? f.cellRating() : 0;
  }

  private static void wire(Map<TableKey, Words> all) {
    for (Part.Kind p : new Part.Kind[] {Part.Kind.WIRE, Part.Kind.SHARED_WIRE}) {
      all.put(
          new TableKey(p, Kind.CURRENT),
          words(
              "wire amps",
              stop(),
              "The main wire is too thin",
              Phrases::tooMuch,
              (s, c) -> "Wire of %s or more.".formatted(area(s, c, s.value())),
              "The duty's current at every duration against what the wire stands in the hottest"
                  + " air."));
      all.put(
          new TableKey(p, Kind.EFFORT),
          words(
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
          words(
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
          words(
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
        words(
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
        words(
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
    all.put(
        new TableKey(p, Kind.CURRENT),
        words(
            word + " amps",
            p == Part.Kind.SWITCH ? stop() : stopWhenLong(),
            "The " + one + " too little",
            Phrases::tooMuch,
            (s, c) -> "One that carries %s.".formatted(up(s.value(), Unit.AMPERE)),
            "The duty's current at every duration against what it stands that long."));
    all.put(
        new TableKey(p, Kind.EFFORT),
        words(
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
        words(
            word + " overload",
            stopFrom(1.5),
            "Fuse and BMS open above what it stands: " + word,
            Phrases::overload,
            (s, c) ->
                "A fuse that opens at %s or less, or one that carries more."
                    .formatted(down(s.limit(), Unit.AMPERE)),
            "Any current short of a short circuit, until BMS or fuse ends it, against 1.5 times its"
                + " rating."));
    all.put(
        new TableKey(p, Kind.WITHSTAND),
        words(
            word + " short",
            warn(),
            "A short circuit can weld or melt it: " + word,
            Phrases::withstand,
            (s, c) -> "A faster or smaller fuse.",
            "The short-circuit current until it is cleared against 1.5 times its rating, below ten"
                + " seconds with I² t constant."));
  }

  private static void switches(Map<TableKey, Words> all) {
    Part.Kind p = Part.Kind.SWITCH;
    all.put(
        new TableKey(p, Kind.MISSING),
        words(
            "no switch",
            note(),
            "No switch",
            (s, c) ->
                "Only pulling a connector parts the machine from a pack that gives %s when shorted."
                    .formatted(Figures.of(c.shortCircuitCurrent(false), Unit.KILOAMPERE)),
            (s, c) -> "A switch or a loop key within reach.",
            "Whether there is a switch."));
    all.put(
        new TableKey(p, Kind.VOLTAGE),
        words(
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
        words(
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
        words(
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
        words(
            "resistor",
            stop(),
            "The pre-charge resistor is too small",
            (s, c) ->
                "One start puts %s into it; it stands about %s.".formatted(value(s), limit(s)),
            (s, c) -> "One rated %s or more.".formatted(up(s.value() / 10, Unit.WATT)),
            "The energy of one pre-charge against what the resistor stands."));
    all.put(
        new TableKey(p, Kind.SPARK),
        words(
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
        words(
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

  private static void charge(Map<TableKey, Words> all) {
    fuse(all, Part.Kind.CHARGE_FUSE, "charge fuse");
    all.put(
        new TableKey(Part.Kind.CHARGE_FUSE, Kind.MISSING),
        words(
                "charge fuse",
                (s, c) -> s.protector().isEmpty() ? Severity.STOP : Severity.WARN,
                "The charge lead has no fuse",
                (s, c) ->
                    "%s of lead and its plug lie straight on the pack; shorted there, about %s flow, and %s."
                        .formatted(
                            Figures.of(guard(s, c).chargePort().length(), Unit.METRE),
                            Figures.of(c.shortCircuitCurrent(s.part().second()), Unit.KILOAMPERE),
                            s.protector().isEmpty() ? "nobody ends it" : "only the BMS ends it"),
                (s, c) ->
                    "A fuse of %s or more in the charge lead, close to the pack."
                        .formatted(up(guard(s, c).charge().current() / 0.75, Unit.AMPERE)),
                "Whether the charge lead has a fuse; a stop where no BMS can open either.")
            .cautioned(SHORT));
    all.put(
        new TableKey(Part.Kind.CHARGE_FUSE, Kind.CHARGE),
        words(
            "charge fuse",
            warn(),
            "The charge fuse may blow while charging",
            (s, c) ->
                "The charger gives %s; the fuse stands %s for long.".formatted(value(s), limit(s)),
            (s, c) -> "A charge fuse of %s or more.".formatted(up(s.value() / 0.75, Unit.AMPERE)),
            "The charger's current against three quarters of the charge fuse's rating."));
    all.put(
        new TableKey(Part.Kind.CHARGE_LEAD, Kind.CHARGE),
        words(
            "charge wire",
            stop(),
            "The charge lead is too thin",
            (s, c) ->
                "The charger gives %s; “%s” carries %s."
                    .formatted(value(s), s.part().name(), limit(s)),
            (s, c) -> {
              double hottest =
                  Math.max(
                      c.design().duty().surroundings().hottestCharging(),
                      c.design().duty().surroundings().hottestInUse());
              return "A lead of %s or more, or a charger of %s or less."
                  .formatted(
                      up(
                          guard(s, c).chargePort().wire().areaFor(s.value(), hottest) * 1.0001,
                          Unit.SQUARE_MILLIMETRE),
                      down(s.limit(), Unit.AMPERE));
            },
            "The charger's current against the ampacity of the charge lead as it lies."));
    all.put(
        new TableKey(Part.Kind.CHARGE_LEAD, Kind.WITHSTAND),
        words(
                "charge lead",
                stop(),
                "A short circuit burns the charge lead before it is cleared",
                Phrases::withstand,
                (s, c) -> "A smaller charge fuse, or a thicker lead.",
                "The short-circuit current in the charge lead until it is cleared against what"
                    + " ruins it.")
            .cautioned(SHORT));
    all.put(
        new TableKey(Part.Kind.CHARGE_LEAD, Kind.LENGTH),
        words(
            "charge lead",
            (s, c) -> s.value() > 1 ? Severity.STOP : Severity.WARN,
            "A length of charge lead has no fuse before it",
            (s, c) -> "%s of it lie before its fuse; %s is usual.".formatted(value(s), limit(s)),
            (s, c) ->
                "Move its fuse to within %s of the pack.".formatted(down(s.limit(), Unit.METRE)),
            "The length of charge lead before its fuse against 0.2 m; a stop above 1 m."));
    all.put(
        new TableKey(Part.Kind.CHARGE_LEAD, Kind.FIGURE),
        words(
            "insulation",
            warn(),
            "No charge lead has such an insulation",
            (s, c) ->
                "Its insulation is typed as good for %s; the best ends at %s."
                    .formatted(value(s), limit(s)),
            (s, c) -> "Type what is printed on it.",
            "The typed limit of the charge lead's insulation against 200 °C."));
    all.put(
        new TableKey(Part.Kind.CHARGE_PLUG, Kind.CHARGE),
        words(
            "charge plug",
            stop(),
            "The charge plug carries too little",
            (s, c) ->
                "The charger gives %s; “%s” carries %s for long."
                    .formatted(value(s), s.part().name(), limit(s)),
            (s, c) -> "A plug that carries %s.".formatted(up(s.value(), Unit.AMPERE)),
            "The charger's current against the charge plug's continuous rating."));
    all.put(
        new TableKey(Part.Kind.CHARGE_PLUG, Kind.VOLTAGE),
        words(
                "charge plug",
                stop(),
                "The charge plug is not made for this voltage",
                Phrases::voltage,
                (s, c) -> "A plug for %s DC or more.".formatted(up(s.value(), Unit.VOLT)),
                "The pack's highest voltage against the charge plug's rating.")
            .cautioned(ARC));
    all.put(
        new TableKey(Part.Kind.CHARGE_PLUG, Kind.WITHSTAND),
        words(
            "charge plug",
            warn(),
            "A short circuit can melt the charge plug",
            Phrases::withstand,
            (s, c) -> "A smaller charge fuse.",
            "The short-circuit current in the charge plug until it is cleared."));
  }
}
