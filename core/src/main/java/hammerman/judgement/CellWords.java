package hammerman.judgement;

import static hammerman.judgement.Phrases.cellVolts;
import static hammerman.judgement.Phrases.celsius;
import static hammerman.judgement.Phrases.down;
import static hammerman.judgement.Phrases.draws;
import static hammerman.judgement.Phrases.guard;
import static hammerman.judgement.Phrases.limit;
import static hammerman.judgement.Phrases.pack;
import static hammerman.judgement.Phrases.percent;
import static hammerman.judgement.Phrases.up;
import static hammerman.judgement.Phrases.value;
import static hammerman.judgement.Phrases.volts;
import static hammerman.judgement.Words.note;
import static hammerman.judgement.Words.stop;
import static hammerman.judgement.Words.stopFrom;
import static hammerman.judgement.Words.warn;

import hammerman.circuit.Part;
import hammerman.circuit.Stress.Kind;
import hammerman.finding.Severity;
import hammerman.finding.Station;
import hammerman.judgement.Readings.TableKey;
import hammerman.pack.Lot;
import hammerman.unit.Figures;
import hammerman.unit.Unit;
import java.util.Map;

/** How rows about cells read. */
final class CellWords {
  /** Volts a cell above full from which overcharge is dangerous and not only wear. */
  private static final double DANGEROUS = 0.040;

  private static final String REVIVE =
      "Never revive a cell that sat below its cut-off: metal dissolved in it can short it later.";

  private static final String OUTDOORS =
      "An overcharged cell can vent and burn, and re-ignite. Charge under watch, where it may burn"
          + " without harm.";

  private CellWords() {}

  static void put(Map<TableKey, Words> all) {
    cells(all);
    cellsCharging(all);
    figures(all);
  }

  private static void cells(Map<TableKey, Words> all) {
    Part.Kind p = Part.Kind.CELLS;
    all.put(
        new TableKey(p, Kind.CURRENT),
        new Words(
            "amps",
            Station.STACK,
            stop(),
            "Each cell carries more than it may",
            (s, c) -> "Of each cell %s; it stands %s that long.".formatted(draws(s, c), limit(s)),
            (s, c) ->
                "At least %d in parallel, or a cell that stands %s."
                    .formatted(
                        (int) Math.ceil(pack(s, c).parallel() * s.value() / s.limit() - 1e-9),
                        up(s.value(), Unit.AMPERE)),
            "",
            "The duty's current per cell, at every duration from 1 s to 3 h, against what the cell"
                + " stands that long."));
    all.put(
        new TableKey(p, Kind.EFFORT),
        new Words(
            "full effort",
            Station.STACK,
            warn(),
            "The machine can ask more of the cells than they stand for long",
            (s, c) ->
                "Full effort is %s a cell; it is rated %s for long. Your duty does not ask it, a long climb would."
                    .formatted(value(s), limit(s)),
            (s, c) ->
                "Set the machine's current at full effort to %s, or use more in parallel."
                    .formatted(
                        down(
                            c.design().duty().machine().fullEffortCurrent() * s.limit() / s.value(),
                            Unit.AMPERE)),
            "",
            "The machine's full effort per cell against the cell's continuous rating."));
    all.put(
        new TableKey(p, Kind.ALONE),
        new Words(
            "one alone",
            Station.GUARD,
            warn(),
            "One pack alone is asked too much",
            (s, c) ->
                "If the other pack drops out, each cell carries %s; it stands %s for as long. %s"
                    .formatted(
                        value(s),
                        limit(s),
                        s.protector().isEmpty()
                            ? "Nothing ends it."
                            : Phrases.capital(Phrases.who(s)) + " ends it."),
            (s, c) ->
                "Lower the machine's current when one pack is out, or let the fuse be smaller.",
            "",
            "In parallel: the current per cell when the other pack has opened."));
    all.put(
        new TableKey(p, Kind.BRAKE),
        new Words(
            "regen amps",
            Station.STACK,
            stop(),
            "Braking charges the cells too hard",
            (s, c) ->
                "Braking pushes %s into each cell; the cell takes %s at most."
                    .formatted(value(s), limit(s)),
            (s, c) ->
                "Limit regeneration to %s, or use %d in parallel."
                    .formatted(
                        down(
                            c.design().duty().machine().regenerationCurrent()
                                * s.limit()
                                / s.value(),
                            Unit.AMPERE),
                        (int) Math.ceil(pack(s, c).parallel() * s.value() / s.limit() - 1e-9)),
            "",
            "The braking current per cell against the cell's fast charge current."));
    all.put(
        new TableKey(p, Kind.BRAKE_COLD),
        new Words(
            "cold brake",
            Station.DUTY,
            (s, c) -> s.protector().isEmpty() ? Severity.STOP : Severity.WARN,
            "Braking charges frozen cells",
            (s, c) ->
                "It must work at %s, and braking charges it; this cell must not be charged below %s. %s"
                    .formatted(
                        value(s),
                        limit(s),
                        s.protector().isEmpty()
                            ? "Metal plates out inside and can short it later; nothing refuses the"
                                + " current."
                            : "The BMS refuses it, and the brake is gone."),
            (s, c) ->
                "Switch regeneration off in the cold, or keep the pack above %s."
                    .formatted(celsius(s.limit())),
            "",
            "With regeneration: the coldest use against the lowest charge temperature."));
    all.put(
        new TableKey(p, Kind.BRAKE_FULL),
        new Words(
            "full brake",
            Station.GUARD,
            stop(),
            "Braking overcharges a full pack",
            (s, c) ->
                "Charged to %s, with regeneration, nothing in the discharge path can refuse the current."
                    .formatted(percent(s.value())),
            (s, c) ->
                "Charge to %s at most before a descent, switch regeneration off, or put the BMS in the discharge path."
                    .formatted(percent(s.limit())),
            OUTDOORS,
            "With regeneration and nothing that can refuse it: the charge ceiling against 95 %."));
    all.put(
        new TableKey(p, Kind.COLD),
        new Words(
            "cold",
            Station.CELL,
            warn(),
            "Colder than the cell is made for",
            (s, c) ->
                "The pack must work at %s; the cell is rated down to %s."
                    .formatted(value(s), limit(s)),
            (s, c) -> "Keep the pack warm before use, or take a cell rated for the cold.",
            "",
            "The coldest use against the lowest discharge temperature."));
    all.put(
        new TableKey(p, Kind.HOT),
        new Words(
            "hot air",
            Station.DUTY,
            stop(),
            "The air alone is hotter than the cell may be",
            (s, c) ->
                "The air reaches %s; the cell must not pass %s, and it warms itself besides."
                    .formatted(value(s), limit(s)),
            (s, c) ->
                "No count of cells helps: keep the pack out of that heat, or take a cell rated for"
                    + " it.",
            "",
            "The hottest use against the highest discharge temperature."));
    all.put(
        new TableKey(p, Kind.LOW),
        new Words(
            "too low",
            Station.GUARD,
            stop(),
            "Nothing stops the discharge in time",
            (s, c) ->
                "%s ends the discharge at %s per cell; the cell must not go below %s."
                    .formatted(Phrases.capital(Phrases.who(s)), value(s), limit(s)),
            (s, c) ->
                guard(s, c).protection().inDischargePath().isPresent()
                    ? "Set the cut-off of the BMS to %s or more."
                        .formatted(up(s.limit(), Unit.VOLT))
                    : "Raise the machine's cut-out to %s or more, or put a BMS in the discharge path."
                        .formatted(up(pack(s, c).cutOffVoltage(), Unit.VOLT)),
            REVIVE,
            "Where BMS or machine ends the discharge, per cell, against the cell's cut-off."));
    all.put(
        new TableKey(p, Kind.OVERLOAD),
        new Words(
            "overload",
            Station.GUARD,
            stopFrom(4.0 / 3),
            "Protection opens far above what the cells stand",
            Phrases::overload,
            (s, c) ->
                "A BMS or fuse that opens at %s or less, or more cells in parallel."
                    .formatted(down(s.limit(), Unit.AMPERE)),
            "",
            "Any current short of a short circuit, until BMS or fuse ends it, against what ruins"
                + " the cells (1.5 times their rating)."));
    all.put(
        new TableKey(p, Kind.LOT),
        new Words(
            "spread",
            Station.CELL,
            note(),
            "The groups are not level",
            (s, c) ->
                pack(s, c)
                    .level()
                    .map(
                        m ->
                            "As measured, group %d holds %s less than the mean of all; it is empty first and full first."
                                .formatted(m.weakest() + 1, percent(s.value())))
                    .orElseGet(
                        () ->
                            "%s: the weakest of %d groups may hold %s less than the mean; the forecast counts with the mean."
                                .formatted(
                                    pack(s, c).lot() == Lot.UNKNOWN
                                        ? "Not measured"
                                        : pack(s, c).lot().label(),
                                    pack(s, c).series(),
                                    percent(s.value()))),
            (s, c) ->
                "Measure each cell's capacity, resistance and rest voltage, put outliers aside, and"
                    + " fill the groups level.",
            REVIVE,
            "The shortfall of the weakest group, as measured or by the spread of the lot, against 5"
                + " %."));
  }

  private static void cellsCharging(Map<TableKey, Words> all) {
    Part.Kind p = Part.Kind.CELLS;
    all.put(
        new TableKey(p, Kind.CHARGE),
        new Words(
            "charge amps",
            Station.GUARD,
            stop(),
            "The charger is too strong for the cells",
            (s, c) ->
                "The charger gives %s to each cell; the cell takes %s at most."
                    .formatted(value(s), limit(s)),
            (s, c) ->
                "A charger of %s or less."
                    .formatted(down(s.limit() * pack(s, c).parallel(), Unit.AMPERE)),
            "",
            "The charger's current per cell against the cell's fast charge current."));
    all.put(
        new TableKey(p, Kind.CHARGE_COLD),
        new Words(
            "cold charge",
            Station.DUTY,
            stop(),
            "Charging too cold ruins cells",
            (s, c) ->
                "Charging happens down to %s; this cell must not be charged below %s. Metal plates out inside and can short the cell later."
                    .formatted(value(s), limit(s)),
            (s, c) ->
                "Charge indoors, or let the pack warm to %s first.".formatted(celsius(s.limit())),
            "",
            "The coldest charging against the lowest charge temperature."));
    all.put(
        new TableKey(p, Kind.CHARGE_HOT),
        new Words(
            "hot charge",
            Station.DUTY,
            warn(),
            "Charging in too much heat",
            (s, c) ->
                "Charging happens up to %s; this cell may be charged up to %s."
                    .formatted(value(s), limit(s)),
            (s, c) -> "Charge in the cool of the night, below %s.".formatted(celsius(s.limit())),
            "",
            "The hottest charging against the highest charge temperature."));
    all.put(
        new TableKey(p, Kind.OVERCHARGE),
        new Words(
            "overcharge",
            Station.GUARD,
            (s, c) ->
                s.value() - pack(s, c).cell().fullVoltage() > DANGEROUS
                    ? Severity.STOP
                    : Severity.WARN,
            "The charge voltage overcharges the cells",
            (s, c) ->
                "Set to %s, with its tolerance of %s, the charger may bring each of %d groups to %s; full is %s, and 10 mV more is what meters tell."
                    .formatted(
                        Figures.of(guard(s, c).charge().voltage(), Unit.VOLT, 2),
                        Figures.of(guard(s, c).charge().tolerance(), Unit.PERCENT, 1),
                        pack(s, c).series(),
                        Figures.of(s.value(), Unit.VOLT, 3),
                        Figures.of(pack(s, c).cell().fullVoltage(), Unit.VOLT, 3)),
            (s, c) ->
                "Set the charger to %s or less."
                    .formatted(down(pack(s, c).fullVoltage(), Unit.VOLT)),
            OUTDOORS,
            "The charge voltage with its tolerance, per cell, against full and 10 mV."));
    all.put(
        new TableKey(p, Kind.UNDERCHARGE),
        new Words(
            "undercharge",
            Station.GUARD,
            warn(),
            "The charge voltage is far below full",
            (s, c) ->
                "%s is %s per cell and charges to %s only; full is %s."
                    .formatted(
                        volts(guard(s, c).charge().voltage()),
                        cellVolts(guard(s, c).charge().voltage() / pack(s, c).series()),
                        percent(s.value()),
                        volts(pack(s, c).fullVoltage())),
            (s, c) ->
                "Check the series count the charger is made for; set it to %s or less."
                    .formatted(down(pack(s, c).fullVoltage(), Unit.VOLT)),
            "",
            "The charge that the charge voltage reaches against 60 %."));
  }

  private static void figures(Map<TableKey, Words> all) {
    Part.Kind p = Part.Kind.CELLS;
    all.put(
        new TableKey(p, Kind.FIGURE),
        new Words(
            "full volts",
            Station.CELL,
            stop(),
            "No cell of this chemistry is charged so high",
            (s, c) ->
                "The cell is typed as full at %s; %s cells are full at %s at most."
                    .formatted(value(s), pack(s, c).cell().chemistry().label(), limit(s)),
            (s, c) -> "Read the datasheet again, or change the chemistry.",
            OUTDOORS,
            "The typed full voltage against what the chemistry has."));
    all.put(
        new TableKey(p, Kind.FIGURE_LOW),
        new Words(
            "cut-off volts",
            Station.CELL,
            warn(),
            "No cell of this chemistry is emptied so far",
            (s, c) ->
                "The cell is typed as empty at %s; %s cells end at %s or above."
                    .formatted(value(s), pack(s, c).cell().chemistry().label(), limit(s)),
            (s, c) -> "Read the datasheet again, or change the chemistry.",
            REVIVE,
            "The typed cut-off against what the chemistry has."));
    all.put(
        new TableKey(p, Kind.FIGURE_COLD),
        new Words(
            "charge cold",
            Station.CELL,
            stop(),
            "No cell of this chemistry may be charged so cold",
            (s, c) ->
                "The cell is typed as chargeable at %s; %s cells are ruined below %s."
                    .formatted(value(s), pack(s, c).cell().chemistry().label(), limit(s)),
            (s, c) -> "Read the datasheet again.",
            "",
            "The typed lowest charge temperature against what the chemistry has."));
    all.put(
        new TableKey(p, Kind.FIGURE_HOT),
        new Words(
            "cell heat",
            Station.CELL,
            warn(),
            "No cell of this chemistry works so hot",
            (s, c) ->
                "The cell is typed as working at %s; %s cells end at %s at most."
                    .formatted(value(s), pack(s, c).cell().chemistry().label(), limit(s)),
            (s, c) -> "Read the datasheet again.",
            "",
            "The typed highest discharge temperature against what the chemistry has."));
  }
}
