package hammerman.judgement;

import static hammerman.judgement.Phrases.ARC;
import static hammerman.judgement.Phrases.SHORT;
import static hammerman.judgement.Phrases.down;
import static hammerman.judgement.Phrases.guard;
import static hammerman.judgement.Phrases.limit;
import static hammerman.judgement.Phrases.up;
import static hammerman.judgement.Phrases.value;
import static hammerman.judgement.Words.atGuard;
import static hammerman.judgement.Words.stop;
import static hammerman.judgement.Words.warn;

import hammerman.circuit.Circuit;
import hammerman.circuit.Part;
import hammerman.circuit.Stress;
import hammerman.circuit.Stress.Kind;
import hammerman.finding.Severity;
import hammerman.guard.Fusing;
import hammerman.judgement.Readings.TableKey;
import hammerman.unit.Figures;
import hammerman.unit.Unit;
import java.util.Map;

/** How rows about fuses and the charge lead read. */
final class FuseWords {
  private FuseWords() {}

  static void put(Map<TableKey, Words> all) {
    fuse(all, Part.Kind.FUSE, "fuse");
    mainFuse(all);
    cellFuses(all);
    charge(all);
  }

  /** What holds for a main fuse and for a charge fuse. */
  private static void fuse(Map<TableKey, Words> all, Part.Kind p, String word) {
    all.put(
        new TableKey(p, Kind.VOLTAGE),
        atGuard(
                word + " volts",
                stop(),
                "The fuse cannot break this voltage",
                (s, c) -> Phrases.voltage(s, c) + " It could go on burning as an arc.",
                (s, c) -> "A fuse rated for %s DC or more.".formatted(up(s.value(), Unit.VOLT)),
                "The voltage across the open fuse, of both packs in series, against its DC rating.")
            .cautioned(ARC));
    all.put(
        new TableKey(p, Kind.SHORT),
        atGuard(
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
        atGuard(
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
        atGuard(
                "no fuse",
                (s, c) ->
                    s.protector().isEmpty() || c.chain().supply().highest() > GuardWords.ARC
                        ? Severity.STOP
                        : Severity.WARN,
                "No fuse breaks a short circuit",
                (s, c) ->
                    "Shorted, the pack gives about %s; %s."
                        .formatted(
                            Phrases.fault(c.shortCircuitCurrent(s.part().second())),
                            s.protector().isEmpty()
                                ? "nothing at all ends it"
                                : "only electronics stand against it, and its switches often fail"
                                    + " closed"),
                (s, c) -> "A main fuse close to the pack's positive end.",
                "Whether there is a main fuse; a stop where no BMS can open either, or above 60 V.")
            .cautioned(SHORT));
    all.put(
        new TableKey(p, Kind.CURRENT),
        atGuard(
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
        atGuard(
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
        atGuard(
            "weak short",
            (s, c) -> Double.isInfinite(s.value()) ? Severity.STOP : Severity.WARN,
            "The fuse does not clear a weak short circuit quickly",
            (s, c) ->
                "Nearly empty, cold and worn, a short circuit at the machine gives too little: %s %s; 5 s is the usual limit."
                    .formatted(
                        Phrases.who(s),
                        Double.isInfinite(s.value())
                            ? "does not open at all"
                            : "takes up to " + Figures.duration(s.value())),
            (s, c) -> "A smaller or faster fuse, or a BMS in the path that opens on over-current.",
            "The time to clear the weakest short circuit, at the far end of the leads, against 5"
                + " s."));
    all.put(
        new TableKey(Part.Kind.LEAD, Kind.LENGTH),
        atGuard(
                "unfused lead",
                (s, c) -> s.value() > 1 ? Severity.STOP : Severity.WARN,
                "A length of lead has no fuse before it",
                (s, c) ->
                    "%s lie between pack and fuse; %s is usual. Chafed there, it carries the whole short circuit, about %s%s."
                        .formatted(
                            value(s),
                            limit(s),
                            Phrases.fault(c.shortCircuitCurrent(s.part().second())),
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
        atGuard(
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
        atGuard(
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
        atGuard(
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

  private static void charge(Map<TableKey, Words> all) {
    fuse(all, Part.Kind.CHARGE_FUSE, "charge fuse");
    all.put(
        new TableKey(Part.Kind.CHARGE_FUSE, Kind.MISSING),
        atGuard(
                "charge fuse",
                (s, c) -> s.protector().isEmpty() ? Severity.STOP : Severity.WARN,
                "The charge lead has no fuse",
                (s, c) ->
                    "%s of lead and its plug lie straight on the pack; shorted there, about %s flow, and %s."
                        .formatted(
                            Figures.of(guard(s, c).chargePort().length(), Unit.METRE),
                            Phrases.fault(c.shortCircuitCurrent(s.part().second())),
                            s.protector().isEmpty() ? "nothing ends it" : "only the BMS ends it"),
                (s, c) ->
                    "A fuse of %s or more in the charge lead, close to the pack."
                        .formatted(up(guard(s, c).charge().current() / 0.75, Unit.AMPERE)),
                "Whether the charge lead has a fuse; a stop where no BMS can open either.")
            .cautioned(SHORT));
    all.put(
        new TableKey(Part.Kind.CHARGE_FUSE, Kind.CHARGE),
        atGuard(
            "charge fuse",
            warn(),
            "The charge fuse may blow while charging",
            (s, c) ->
                "The charger gives %s; the fuse stands %s for long.".formatted(value(s), limit(s)),
            (s, c) -> "A charge fuse of %s or more.".formatted(up(s.value() / 0.75, Unit.AMPERE)),
            "The charger's current against three quarters of the charge fuse's rating."));
    all.put(
        new TableKey(Part.Kind.CHARGE_LEAD, Kind.CHARGE),
        atGuard(
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
        atGuard(
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
        atGuard(
            "charge lead",
            (s, c) -> s.value() > 1 ? Severity.STOP : Severity.WARN,
            "A length of charge lead has no fuse before it",
            (s, c) -> "%s of it lie before its fuse; %s is usual.".formatted(value(s), limit(s)),
            (s, c) ->
                "Move its fuse to within %s of the pack.".formatted(down(s.limit(), Unit.METRE)),
            "The length of charge lead before its fuse against 0.2 m; a stop above 1 m."));
    all.put(
        new TableKey(Part.Kind.CHARGE_LEAD, Kind.FIGURE),
        atGuard(
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
        atGuard(
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
        atGuard(
                "charge plug",
                stop(),
                "The charge plug is not made for this voltage",
                Phrases::voltage,
                (s, c) -> "A plug for %s DC or more.".formatted(up(s.value(), Unit.VOLT)),
                "The pack's highest voltage against the charge plug's rating.")
            .cautioned(ARC));
    all.put(
        new TableKey(Part.Kind.CHARGE_PLUG, Kind.WITHSTAND),
        atGuard(
            "charge plug",
            warn(),
            "A short circuit can melt the charge plug",
            Phrases::withstand,
            (s, c) -> "A smaller charge fuse.",
            "The short-circuit current in the charge plug until it is cleared."));
  }
}
