package hammerman.judgement;

import static hammerman.judgement.Phrases.amperes;
import static hammerman.judgement.Phrases.down;
import static hammerman.judgement.Phrases.guard;
import static hammerman.judgement.Phrases.limit;
import static hammerman.judgement.Phrases.pack;
import static hammerman.judgement.Phrases.percent;
import static hammerman.judgement.Phrases.up;
import static hammerman.judgement.Phrases.value;
import static hammerman.judgement.Phrases.volts;
import static hammerman.judgement.Words.note;
import static hammerman.judgement.Words.stop;
import static hammerman.judgement.Words.warn;

import hammerman.chain.Junction;
import hammerman.circuit.Part;
import hammerman.circuit.Stress.Kind;
import hammerman.finding.Severity;
import hammerman.finding.Station;
import hammerman.guard.ChargePlan;
import hammerman.guard.Protection;
import hammerman.judgement.Readings.TableKey;
import hammerman.unit.Figures;
import hammerman.unit.Unit;
import java.util.Map;

/** How rows about BMS, charger and the junction of two packs read. */
final class GuardWords {
  /** DC voltage above which an arc keeps burning, V. */
  static final double ARC = 60;

  private GuardWords() {}

  static void put(Map<TableKey, Words> all) {
    bms(all);
    charger(all);
    junction(all);
  }

  private static void add(
      Map<TableKey, Words> all,
      Part.Kind p,
      Kind k,
      String word,
      Words.Of<Severity> severity,
      String title,
      Words.Of<String> why,
      Words.Of<String> fix,
      String looksAt) {
    all.put(
        new TableKey(p, k), new Words(word, Station.GUARD, severity, title, why, fix, "", looksAt));
  }

  private static void bms(Map<TableKey, Words> all) {
    Part.Kind p = Part.Kind.BMS;
    add(
        all,
        p,
        Kind.MISSING,
        "no BMS",
        (s, c) ->
            s.value() > 0
                ? Severity.NOTE
                : guard(s, c).fuse().isEmpty() ? Severity.STOP : Severity.WARN,
        "Nothing watches every group",
        (s, c) ->
            guard(s, c).protection() instanceof Protection.ChargeOnly
                ? "The BMS does not guard the discharge: only the machine's cut-out at %s ends it, and it sees the sum, not the weakest group."
                    .formatted(volts(c.design().duty().machine().cutOutVoltage()))
                : "No BMS watches the %d groups one by one, on charge or on discharge%s."
                    .formatted(
                        pack(s, c).series(),
                        guard(s, c).fuse().isEmpty() ? ", and there is no fuse either" : ""),
        (s, c) ->
            s.value() > 0
                ? "Check group voltages often, by meter."
                : "A balancing charger that reads every group, the machine's cut-out at %s or more and a fuse must stand in; or add a BMS."
                    .formatted(up(pack(s, c).cutOffVoltage(), Unit.VOLT)),
        "Whether a BMS watches the groups; what must stand in if not. With no fuse either, a"
            + " stop.");
    add(
        all,
        p,
        Kind.COUNT,
        "BMS count",
        stop(),
        "The BMS is made for another string",
        (s, c) ->
            "The BMS watches %d groups; the pack has %d."
                .formatted(
                    guard(s, c).protection().bms().orElseThrow().series(), pack(s, c).series()),
        (s, c) -> "A %d-series BMS.".formatted(pack(s, c).series()),
        "The series count of the BMS against the pack's.");
    add(
        all,
        p,
        Kind.CURRENT,
        "BMS amps",
        stop(),
        "The BMS carries less than the duty draws",
        Phrases::tooMuch,
        (s, c) -> "A BMS that carries %s.".formatted(up(s.value(), Unit.AMPERE)),
        "The duty's current at every duration against what the BMS stands that long.");
    add(
        all,
        p,
        Kind.EFFORT,
        "BMS amps",
        warn(),
        "Full effort is more than the BMS carries for long",
        Phrases::effort,
        (s, c) ->
            "A BMS that carries %s, or a lower current at full effort."
                .formatted(up(s.value(), Unit.AMPERE)),
        "The machine's full effort against the continuous current of the BMS.");
    add(
        all,
        p,
        Kind.TRIP,
        "BMS peak",
        (s, c) ->
            s.seconds() > guard(s, c).protection().bms().orElseThrow().overCurrentDelay()
                ? Severity.STOP
                : Severity.WARN,
        "The BMS opens at the hardest moment",
        (s, c) -> {
          var b = guard(s, c).protection().bms().orElseThrow();
          return "It is asked for %s, for up to %s; it opens above %s after %s%s"
              .formatted(
                  value(s),
                  Figures.duration(Math.max(s.seconds(), c.chain().demand().peakDuration())),
                  amperes(b.overCurrent()),
                  Figures.duration(b.overCurrentDelay()),
                  s.seconds() > b.overCurrentDelay() ? "." : ": only the delay keeps it closed.");
        },
        (s, c) ->
            "A BMS with a threshold of %s or more, or a softer start."
                .formatted(up(s.value(), Unit.AMPERE)),
        "Duty and hardest moment against threshold and delay of the BMS.");
    add(
        all,
        p,
        Kind.CHARGE,
        "BMS charge",
        stop(),
        "The charger gives more than the BMS lets in",
        (s, c) ->
            "The charger gives %s; the charge limit of the BMS is %s."
                .formatted(value(s), limit(s)),
        (s, c) -> "A charger of %s or less.".formatted(down(s.limit(), Unit.AMPERE)),
        "The charger's current against the charge limit of the BMS.");
    add(
        all,
        p,
        Kind.BRAKE,
        "BMS regen",
        stop(),
        "Braking pushes back more than the BMS lets in",
        (s, c) ->
            "The machine pushes back %s; above %s the BMS opens, the brake goes and the voltage at the machine jumps."
                .formatted(value(s), limit(s)),
        (s, c) ->
            "Limit regeneration to %s, or a BMS that lets %s in."
                .formatted(down(s.limit(), Unit.AMPERE), up(s.value(), Unit.AMPERE)),
        "The machine's regeneration against the charge limit of the BMS.");
    add(
        all,
        p,
        Kind.VOLTAGE,
        "BMS volts",
        stop(),
        "The BMS cannot block this voltage",
        (s, c) ->
            "When it opens, %s lie across its switches; they block %s and fail closed above it."
                .formatted(value(s), limit(s)),
        (s, c) -> "A BMS whose switches block %s or more.".formatted(up(s.value(), Unit.VOLT)),
        "The voltage across an open BMS, of both packs in series, against what it blocks.");
    add(
        all,
        p,
        Kind.OVERCHARGE,
        "BMS over-volt",
        stop(),
        "The BMS lets cells be overcharged",
        (s, c) -> "It opens at %s per cell; 0.1 V above full is %s.".formatted(value(s), limit(s)),
        (s, c) ->
            "Set its over-voltage to %s or less."
                .formatted(down(pack(s, c).cell().fullVoltage() + 0.05, Unit.VOLT)),
        "The over-voltage of the BMS against 0.1 V above full.");
    add(
        all,
        p,
        Kind.INTERRUPTED,
        "BMS over-volt",
        warn(),
        "The BMS interrupts the charge",
        (s, c) ->
            "The charger aims at %s per cell; the BMS opens at %s.".formatted(value(s), limit(s)),
        (s, c) ->
            s.value() <= pack(s, c).cell().fullVoltage() + 1e-6
                ? "Set its over-voltage to %s, or charge lower."
                    .formatted(down(pack(s, c).cell().fullVoltage() + 0.05, Unit.VOLT))
                : "Set the charger to %s or less; the BMS is right."
                    .formatted(down(pack(s, c).fullVoltage(), Unit.VOLT)),
        "The charge voltage per cell against the over-voltage of the BMS.");
    add(
        all,
        p,
        Kind.UNUSED,
        "BMS cut-off",
        note(),
        "The BMS cut-off leaves much unused",
        (s, c) ->
            "When it opens, rested, %s of the charge is still in the cells.".formatted(value(s)),
        (s, c) ->
            "Set it lower, not below %s."
                .formatted(up(pack(s, c).cell().cutOffVoltage(), Unit.VOLT)),
        "The share of the charge below the cut-off of the BMS against 15 %.");
    add(
        all,
        p,
        Kind.BALANCE,
        "balance",
        note(),
        "The BMS balances slowly for this size",
        (s, c) ->
            "An imbalance of 1 %% is %s; %s."
                .formatted(
                    Figures.of(0.01 * pack(s, c).capacity(), Unit.AMPERE_HOUR),
                    Double.isInfinite(s.value())
                        ? "it does not balance at all"
                        : "evening it out takes " + Figures.duration(s.value())),
        (s, c) ->
            "Match the groups well, or a BMS that balances with %s or more."
                .formatted(up(0.01 * pack(s, c).capacity() * 3600 / s.limit(), Unit.MILLIAMPERE)),
        "The hours to even out 1 % of the capacity against 24 h.");
    add(
        all,
        p,
        Kind.SENSOR,
        "no sensor",
        note(),
        "The BMS feels no temperature",
        (s, c) ->
            "Without a sensor it neither stops charging below %s nor discharging above %s."
                .formatted(
                    Phrases.celsius(pack(s, c).cell().temperatures().chargeLowest()),
                    Phrases.celsius(pack(s, c).cell().temperatures().dischargeHighest())),
        (s, c) -> "One with a sensor, fixed to a cell in the middle.",
        "Whether the BMS reads a temperature.");
  }

  private static void charger(Map<TableKey, Words> all) {
    Part.Kind p = Part.Kind.CHARGER;
    all.put(
        new TableKey(p, Kind.MATCH),
        new Words(
            "charger",
            Station.GUARD,
            (s, c) -> s.value() <= 0 ? Severity.STOP : Severity.WARN,
            "This kind of charger does not suit",
            (s, c) ->
                switch (guard(s, c).charge().kind()) {
                  case LEAD ->
                      "A lead charger holds its voltage for days and may equalise far above"
                          + " it: one such stage is enough to overcharge lithium cells.";
                  case SUPPLY ->
                      "A bench supply has no end of charge: after the taper it stays at %s for as long as it is on%s."
                          .formatted(
                              Figures.of(guard(s, c).charge().voltage(), Unit.VOLT, 2),
                              guard(s, c).protection().bms().isPresent()
                                  ? ""
                                  : ", and no BMS ends it");
                  case LITHIUM, BALANCING ->
                      "It sees the sum of %d groups, and no BMS reads them: a group that is ahead is overcharged."
                          .formatted(pack(s, c).series());
                },
            (s, c) ->
                guard(s, c).charge().kind() == ChargePlan.Kind.LITHIUM
                    ? "A balancing charger that reads every group, or a BMS."
                    : "A charger with constant current, then constant voltage at %s or less."
                        .formatted(down(pack(s, c).fullVoltage(), Unit.VOLT)),
            "Never charge unattended. Never open a charger: mains is inside, also after it is"
                + " unplugged.",
            "Whether the kind of charger suits cells and protection."));
    add(
        all,
        p,
        Kind.TIME,
        "slow charge",
        note(),
        "A whole charge takes more than a day",
        (s, c) ->
            "%s at %s is %s and the taper after it."
                .formatted(
                    Figures.of(pack(s, c).capacity(), Unit.AMPERE_HOUR),
                    amperes(guard(s, c).charge().current()),
                    Figures.duration(s.value())),
        (s, c) ->
            "A charger of %s or more; the cells' standard charge is %s."
                .formatted(
                    up(pack(s, c).capacity() * 3600 / s.limit(), Unit.AMPERE),
                    down(
                        pack(s, c).cell().currents().standardCharge() * pack(s, c).parallel(),
                        Unit.AMPERE)),
        "The time of a whole charge against 24 h.");
  }

  private static void junction(Map<TableKey, Words> all) {
    Part.Kind p = Part.Kind.JUNCTION;
    add(
        all,
        p,
        Kind.GAP,
        "gap",
        stop(),
        "The packs must not be joined at this gap",
        (s, c) -> {
          var j = Junction.of(c.chain()).orElseThrow();
          return "They rest at %s and %s; joined, %s would rush through %s, and the weaker takes %s."
              .formatted(
                  volts(j.first()),
                  volts(j.other()),
                  value(s),
                  Figures.of(j.resistance(), Unit.MILLIOHM),
                  limit(s));
        },
        (s, c) ->
            "Bring them within %s of each other first; check with a meter."
                .formatted(down(Junction.of(c.chain()).orElseThrow().allowedGap(), Unit.VOLT)),
        "The current that flows when two packs are joined against what the weaker takes.");
    add(
        all,
        p,
        Kind.BRAKE_COLD,
        "cold join",
        warn(),
        "Joined in the cold, one pack charges the other frozen",
        (s, c) ->
            "At a gap one pack charges the other, at %s; its cells must not be charged below %s."
                .formatted(value(s), limit(s)),
        (s, c) -> "Join them warm, or at the same voltage.",
        "In parallel, with a gap: the coldest use against the lowest charge temperature.");
    add(
        all,
        p,
        Kind.UNEQUAL,
        "unequal",
        stop(),
        "Joined directly, one pack overcharges the other",
        (s, c) -> {
          var b = c.chain().supply().second().orElseThrow();
          return "Full, one has %s and the other %s."
              .formatted(volts(c.design().pack().fullVoltage()), volts(b.pack().fullVoltage()));
        },
        (s, c) ->
            "The same series count and chemistry; or a switch-over, if both suit the machine.",
        "In parallel: the full voltages against each other.");
    add(
        all,
        p,
        Kind.MATCH,
        "unequal",
        warn(),
        "Two chemistries in direct parallel",
        (s, c) -> {
          var b = c.chain().supply().second().orElseThrow();
          return "%s and %s rest at different voltages for the same charge (%s and %s half full): one carries the other."
              .formatted(
                  c.design().pack().cell().chemistry().label(),
                  b.pack().cell().chemistry().label(),
                  volts(c.chain().supply().first().openCircuit(0.5)),
                  volts(b.openCircuit(0.5)));
        },
        (s, c) -> "The same chemistry, or diodes.",
        "In parallel: the chemistries against each other.");
    add(
        all,
        p,
        Kind.CAPACITY,
        "unequal",
        note(),
        "In series the smaller pack ends the run",
        (s, c) -> {
          var b = c.chain().supply().second().orElseThrow();
          return "One has %s, the other %s, %s apart; the rest of the larger stays unused."
              .formatted(
                  Figures.of(c.design().pack().capacity(), Unit.AMPERE_HOUR),
                  Figures.of(b.pack().capacity(), Unit.AMPERE_HOUR),
                  percent(s.value()));
        },
        (s, c) -> "Packs of the same capacity in series.",
        "In series: the capacities against each other, within 5 %.");
  }
}
