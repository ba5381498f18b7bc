package hammerman.judgement;

import static hammerman.judgement.Phrases.cellVolts;
import static hammerman.judgement.Phrases.celsius;
import static hammerman.judgement.Phrases.down;
import static hammerman.judgement.Phrases.draws;
import static hammerman.judgement.Phrases.limit;
import static hammerman.judgement.Phrases.percent;
import static hammerman.judgement.Phrases.up;
import static hammerman.judgement.Phrases.value;
import static hammerman.judgement.Phrases.volts;
import static hammerman.judgement.Words.note;
import static hammerman.judgement.Words.stop;
import static hammerman.judgement.Words.stopFrom;
import static hammerman.judgement.Words.warn;

import hammerman.chain.Floor;
import hammerman.circuit.Part;
import hammerman.circuit.Stress.Kind;
import hammerman.design.SecondPack.Joining;
import hammerman.finding.Severity;
import hammerman.finding.Station;
import hammerman.judgement.Readings.TableKey;
import hammerman.unit.Unit;
import java.util.Map;

/** How rows about strips, standing, storage, the machine and a ready-made battery read. */
final class PackWords {
  /** DC voltage above which only trained people should work, V. */
  private static final double HIGH_TOUCH = 120;

  private static final String REVIVE =
      "Never revive a cell that sat below its cut-off: metal dissolved in it can short it later.";

  private static final String TOUCH =
      "Rings off, insulated tools, one hand, covers over every terminal, halves joined last. Local"
          + " codes and a licensed person come first.";

  private PackWords() {}

  static void put(Map<TableKey, Words> all) {
    strips(all);
    rest(all);
    machine(all);
  }

  private static void strips(Map<TableKey, Words> all) {
    Part.Kind p = Part.Kind.STRIPS;
    all.put(
        new TableKey(p, Kind.CURRENT),
        new Words(
            "strip",
            Station.STACK,
            stopFrom(Math.sqrt(3)),
            "The strips run hot",
            (s, c) ->
                "%s; the hardest-worked strip, %s, warms by 20 K at %s of the whole current."
                    .formatted(Phrases.capital(draws(s, c)), s.part().name(), limit(s)),
            (s, c) -> "Doubled, wider or copper strip there.",
            "",
            "The duty's current at every duration against that for a 20 K rise of the hottest"
                + " strip; of the layout's hottest piece where there is one. A stop from 60 K."));
    all.put(
        new TableKey(p, Kind.EFFORT),
        new Words(
            "strip",
            Station.STACK,
            warn(),
            "Full effort heats the strips",
            Phrases::effort,
            (s, c) -> "Doubled, wider or copper strip there, or a lower current at full effort.",
            "",
            "The machine's full effort against that for a 20 K rise of the hottest strip."));
    all.put(
        new TableKey(p, Kind.OVERLOAD),
        new Words(
            "strip",
            Station.GUARD,
            stopFrom(Math.sqrt(2)),
            "Protection opens far above what the strips stand",
            Phrases::overload,
            (s, c) ->
                "A fuse that opens at %s or less, or doubled or copper strip."
                    .formatted(down(s.limit(), Unit.AMPERE)),
            "",
            "Any current short of a short circuit, until BMS or fuse ends it, against a 100 K"
                + " rise."));
    all.put(
        new TableKey(p, Kind.WITHSTAND),
        new Words(
            "strip",
            Station.GUARD,
            warn(),
            "A short circuit burns the strips before it is cleared",
            Phrases::withstand,
            (s, c) -> "A fuse that opens sooner, or more strip.",
            "",
            "The short-circuit current until it is cleared against a 100 K rise of the strips."));
  }

  private static void rest(Map<TableKey, Words> all) {
    Part.Kind p = Part.Kind.PACK;
    all.put(
        new TableKey(p, Kind.TOUCH),
        new Words(
            "touch",
            Station.STACK,
            (s, c) -> s.value() > HIGH_TOUCH ? Severity.STOP : Severity.WARN,
            "Above 60 V a touch can kill",
            (s, c) ->
                s.value() > HIGH_TOUCH
                    ? "Full, there are %s. That is beyond what is worked on alone: a touch through dry skin kills, an arc does not go out by itself and throws molten metal."
                        .formatted(value(s))
                    : "Full, there are %s. Above 60 V DC current through the body can be deadly, and an arc keeps burning."
                        .formatted(value(s)),
            (s, c) ->
                s.value() > HIGH_TOUCH
                    ? "Have a licensed person with training for live DC build and check it, or stay"
                        + " at 120 V or less."
                    : "Fewer groups in series, or build in halves below 60 V joined last.",
            TOUCH,
            "The highest voltage, of both packs in series, against 60 V DC; a stop above 120 V."));
    all.put(
        new TableKey(p, Kind.DAYS),
        new Words(
            "standing",
            Station.DUTY,
            warn(),
            "It runs empty while it stands",
            (s, c) ->
                "Left at %s, machine, BMS and self-discharge empty the weakest group in %s; you let it stand %s."
                    .formatted(
                        percent(c.design().duty().habits().storageSoc()),
                        Phrases.standing(s.value()),
                        limit(s)),
            (s, c) ->
                "Switch the machine off by the main switch, charge it again every %s, or leave it fuller."
                    .formatted(Phrases.standing(s.value() / 2)),
            REVIVE,
            "The days until the weakest group is empty, by the machine's standing current, what the"
                + " BMS draws and self-discharge, against the longest rest."));
    all.put(
        new TableKey(p, Kind.STORED_FULL),
        new Words(
            "stored full",
            Station.DUTY,
            note(),
            "Waiting full ages it",
            (s, c) ->
                "It waits at %s; above %s every week costs life.".formatted(value(s), limit(s)),
            (s, c) -> "Let it wait at 40 to 60 %, and fill it on the day.",
            "",
            "The charge at which it waits against 90 %."));
    all.put(
        new TableKey(p, Kind.STORED_EMPTY),
        new Words(
            "stored empty",
            Station.DUTY,
            warn(),
            "Waiting empty can kill it",
            (s, c) ->
                "It waits at %s; below %s a few weeks of self-discharge take the weakest group under its cut-off."
                    .formatted(value(s), limit(s)),
            (s, c) -> "Let it wait at 40 to 60 %.",
            REVIVE,
            "The charge at which it waits against 10 %."));
    all.put(
        new TableKey(p, Kind.STORED_HOT),
        new Words(
            "stored hot",
            Station.DUTY,
            warn(),
            "Waiting hot ages it fast",
            (s, c) ->
                "It waits at up to %s, %s charged; above %s it ages several times as fast."
                    .formatted(
                        value(s), percent(c.design().duty().habits().storageSoc()), limit(s)),
            (s, c) -> "Keep it in a cool place, and at half charge.",
            "",
            "The hottest storage against 45 °C, 35 °C above 80 % charge."));
  }

  private static void machine(Map<TableKey, Words> all) {
    Part.Kind p = Part.Kind.MACHINE;
    all.put(
        new TableKey(p, Kind.VOLTAGE),
        new Words(
            "volts high",
            Station.STACK,
            stop(),
            "A full charge exceeds the machine's limit",
            (s, c) ->
                "%s, there are %s at the machine; it survives %s."
                    .formatted(
                        c.chain().supply().joining() == null
                            ? "Charged"
                            : c.chain().supply().joining() == Joining.SERIES
                                ? "Both charged, in series"
                                : "From the pack with more, charged",
                        value(s),
                        limit(s)),
            (s, c) -> {
              int fits =
                  (int) Math.floor(s.limit() / c.design().pack().cell().fullVoltage() + 1e-9);
              return c.chain().supply().joining() == null
                  ? "Go down to %d in series, or use a machine rated for more.".formatted(fits)
                  : "Fewer groups in series, other packs, or a machine rated for %s."
                      .formatted(up(s.value(), Unit.VOLT));
            },
            "",
            "The voltage after a charge, of every way that two packs can feed it, against the"
                + " machine's maximum."));
    all.put(
        new TableKey(p, Kind.OVERCHARGE),
        new Words(
            "volts high",
            Station.STACK,
            warn(),
            "A charger set to full would exceed the machine's limit",
            (s, c) ->
                "At the set charge voltage it stays within %s, but at the cells' full voltage it would reach %s."
                    .formatted(limit(s), value(s)),
            (s, c) ->
                "Go down a group in series; otherwise keep every charger at the lower setting and"
                    + " mark it.",
            "",
            "The cells' full voltage against the machine's maximum."));
    all.put(
        new TableKey(p, Kind.FLOOR),
        new Words(
            "cuts out",
            Station.STACK,
            (s, c) -> s.value() >= 0.5 ? Severity.STOP : Severity.WARN,
            "The hardest moment cuts off before the pack is empty",
            (s, c) -> {
              var floor = c.chain().floor();
              String at =
                  floor.who() == Floor.Who.MACHINE
                      ? volts(floor.limit())
                      : cellVolts(floor.limit()) + " per cell";
              String current = Phrases.amperes(c.design().duty().hardest().current());
              String cold = celsius(c.design().duty().surroundings().coldestInUse());
              return s.value() >= 1
                  ? "At %s and %s even a full pack falls below the %s at which %s cuts off."
                      .formatted(current, cold, at, floor.who().words())
                  : "Below %s charge, %s at %s pulls the voltage under the %s at which %s cuts off; that share of the capacity is lost to the hardest moment."
                      .formatted(percent(s.value()), current, cold, at, floor.who().words());
            },
            (s, c) ->
                "More groups in series, more in parallel, a cell with less resistance, or a softer “%s”."
                    .formatted(c.design().duty().hardest().name()),
            "",
            "The state of charge at which the hardest moment, in the cold, meets the lowest voltage"
                + " allowed, against 10 %; a stop from 50 %."));
    all.put(
        new TableKey(p, Kind.MATCH),
        new Words(
            "lead volts",
            Station.STACK,
            warn(),
            "More voltage than the lead battery ever had",
            (s, c) ->
                "Full, there are %s; the lead battery it replaces never had more than %s."
                    .formatted(value(s), limit(s)),
            (s, c) -> "Fewer groups in series, or check what the device survives.",
            "",
            "The full voltage against the highest that the replaced lead battery had."));
    Part.Kind r = Part.Kind.READY_MADE;
    all.put(
        new TableKey(r, Kind.MATCH),
        new Words(
            "start trips",
            Station.GUARD,
            warn(),
            "The ready-made battery switches off at the start",
            (s, c) ->
                "Charged to %s, the start trips its own protection."
                    .formatted(percent(s.corner().soc())),
            (s, c) -> "A softer start or a current limit; never bridge or remove its protection.",
            "The protection of a ready-made battery stays as it is.",
            "The hard start against the trip of a ready-made battery, full, half and nearly"
                + " empty."));
    all.put(
        new TableKey(r, Kind.VOLTAGE),
        new Words(
            "ready volts",
            Station.GUARD,
            stop(),
            "The ready-made battery exceeds the machine's limit",
            (s, c) -> "Full, it has %s; the machine survives %s.".formatted(value(s), limit(s)),
            (s, c) ->
                "Another battery, or a machine rated for %s.".formatted(up(s.value(), Unit.VOLT)),
            "",
            "The full voltage of a ready-made battery against the machine's maximum."));
  }
}
