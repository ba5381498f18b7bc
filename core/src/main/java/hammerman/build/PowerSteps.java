package hammerman.build;

import hammerman.chain.Junction;
import hammerman.chain.Path;
import hammerman.design.SecondPack;
import hammerman.guard.ChargePlan;
import hammerman.guard.Precharge;
import hammerman.simulation.Charge;
import hammerman.unit.Figures;
import hammerman.unit.Reference;
import hammerman.unit.Unit;
import java.util.List;

/** First power along the path, two packs joined, the first charge and the first run. */
final class PowerSteps {
  /** Current of a first test through a resistor, A. */
  private static final double TEST = 0.5;

  private static final double MINUTES = 15 * 60;

  private final Ground on;
  private final StepList steps;

  PowerSteps(Ground on, StepList steps) {
    this.on = on;
    this.steps = steps;
  }

  void power(boolean machineSide) {
    limited();
    fuse();
    along("power.fuse", "behind the main fuse", "the fuse does not touch its holder, or is blown");
    if (machineSide && on.guard().mainSwitch() != null) {
      along(
          "power.switch",
          "behind the switch, closed for this reading and opened after it",
          "the switch does not close, or a lug is loose");
    }
    polarity(machineSide);
    if (machineSide) {
      machine();
    }
  }

  private void limited() {
    double v = on.whole().value();
    Precharge p = on.guard().precharge();
    double ohms = p == null ? Math.ceil(v / TEST / 10) * 10 : p.resistance();
    Expected whole = on.whole();
    steps
        .step(
            Stage.POWER,
            "power.limited",
            "First a little: hold %s of %s or more across the empty fuse holder for a second, machine"
                    .formatted(
                        p == null ? "a resistor" : "the pre-charge resistor",
                        Figures.of(ohms, Unit.OHM))
                + " unplugged, and read between the main leads behind it.")
        .tools("multimeter", "resistor on insulated clips")
        .caution("It gets hot: a second at a time, never by hand.")
        .handles(Live.ENDS)
        .needs("wire.short")
        .protects()
        .expects(
            whole.value(),
            0.9 * whole.low(),
            whole.high(),
            Unit.VOLT,
            "with nothing joined, at most %s flow and hardly any voltage is lost in %s"
                .formatted(Figures.of(v / ohms, Unit.AMPERE), Figures.of(ohms, Unit.OHM)))
        .ifReads(
            0,
            "something behind the fuse draws current: a short",
            "do not put the fuse in; read the" + " resistance there again")
        .ifLow("the BMS has opened", "read before and behind the BMS")
        .ifHigh("the meter is on another point", "follow the leads by hand")
        .gate();
  }

  private void fuse() {
    steps
        .step(
            Stage.POWER,
            "fuse.in",
            on.guard()
                .fuse()
                .map(
                    f ->
                        "Switch open, machine unplugged, every cover on: put in the main fuse, %s, %s DC."
                            .formatted(f.text(), Figures.of(f.voltageRating(), Unit.VOLT)))
                .orElse(
                    "Switch open, machine unplugged, every cover on: fit the link in the positive"
                        + " lead."))
        .caution(
            "Look away as it goes in, and push it in one move.",
            on.guard().fuse().isPresent()
                ? "Only a fuse for direct current of this voltage ends an arc."
                : "With no main fuse only the BMS ends a short circuit; if its switches fail"
                    + " closed, nothing does.")
        .handles(Live.ENDS)
        .needs("wire.dead")
        .protects()
        .gate();
    if (on.guard().chargePort().fuse() != null) {
      steps
          .step(
              Stage.POWER,
              "fuse.charge",
              "Put in the charge lead's fuse and read its plug, then cap it again.")
          .handles(Live.CHARGE_PORT)
          .protects()
          .expects(on.whole())
          .ifLow(
              "the BMS keeps its charge side shut until it sees a charger",
              "read behind the fuse" + " against the pack's minus")
          .ifHigh("the meter is on another point", "follow the leads by hand")
          .add();
    }
  }

  private void along(String id, String where, String cause) {
    var whole = on.whole();
    var draft =
        steps
            .step(Stage.POWER, id, "Read between pack minus and the point %s.".formatted(where))
            .tools("multimeter")
            .handles(Live.ENDS)
            .protects()
            .expects(whole)
            .ifReads(0, cause, "read before and behind it: all of the voltage must stand before it")
            .ifHigh("the meter spans another pack", "follow the leads by hand");
    if (on.isHigh()) {
      draft.handles(Live.HIGH_VOLTAGE);
    }
    draft.gate();
  }

  private void polarity(boolean machineSide) {
    String end =
        machineSide && on.guard().wiring().connectorPairs() > 0
            ? "at the socket half that the machine plugs into"
            : "at the free ends of the main leads";
    steps
        .step(
            Stage.POWER,
            "power.polarity",
            "Red tip on the contact that will be the positive one: read %s%s. It must be positive."
                .formatted(
                    end, machineSide && on.guard().mainSwitch() != null ? ", switch closed" : ""))
        .tools("multimeter")
        .caution("A machine joined in reverse is ruined at once, and its capacitors may burst.")
        .handles(machineSide ? Live.OUTPUT : Live.ENDS)
        .protects()
        .expects(on.whole())
        .ifReads(
            -on.whole().value(),
            "the halves are wired the wrong way round",
            "part the connector, take" + " the fuse out, and change the leads")
        .ifReads(
            0, "the switch is open, or the BMS has opened", "read at the fuse, then at the switch")
        .ifHigh("another pack is in series", "count the packs between the tips")
        .gate();
  }

  private void machine() {
    Precharge p = on.guard().precharge();
    double farads = on.design().duty().machine().inputCapacitance();
    Expected whole = on.whole();
    if (p != null && farads > 0) {
      double time = p.time(farads);
      steps
          .step(
              Stage.POWER,
              "power.precharge",
              "Plug the machine in, switch open. Hold the pre-charge button for %s and read at the"
                      .formatted(Figures.duration(Math.max(1, Math.ceil(2 * time))))
                  + " machine's input.")
          .tools("multimeter")
          .caution("Closing the switch on empty capacitors sparks and welds it.")
          .handles(Live.OUTPUT, Live.MACHINE)
          .protects()
          .expects(
              0.98 * whole.value(),
              0.9 * whole.low(),
              whole.high(),
              Unit.VOLT,
              "3 τ = 3 R C = %s to 95 %%, with %s and %s"
                  .formatted(Figures.duration(time), p.text(), Figures.of(farads, Unit.MICROFARAD)))
          .ifLow(
              "the machine draws current while it is off", "unplug it and read the resistor's end")
          .ifLow("the resistor is open", "read its resistance")
          .ifHigh("the meter is on another point", "follow the leads by hand")
          .gate();
    }
    steps
        .step(
            Stage.POWER,
            "power.on",
            "%s, machine idle, and read at its input. Listen, smell, touch nothing that moves."
                .formatted(
                    on.guard().mainSwitch() == null ? "Plug the machine in" : "Close the switch"))
        .tools("multimeter")
        .caution("Wheels off the ground, tools unloaded: a machine may start at once.")
        .handles(Live.OUTPUT, Live.MACHINE)
        .protects()
        .expects(whole)
        .ifLow("a connector is not home", "read before and behind each connector")
        .ifLow("the BMS opened on the inrush", "pre-charge longer, then wake it")
        .ifHigh("the meter is on another point", "follow the leads by hand")
        .gate();
  }

  /** Both packs, each proved by itself. */
  static void together(Ground first, Ground second, StepList steps) {
    SecondPack.Joining how = second(first).joining();
    double a = first.whole().value();
    double b = second.whole().value();
    if (how == SecondPack.Joining.SERIES) {
      double sum = a + b;
      var draft =
          steps
              .step(
                  Stage.PACKS,
                  "packs.series",
                  "Both switches open: join the first pack's minus to the second's plus, and read"
                      + " from end to end.")
              .tools("multimeter")
              .caution(
                  "Both packs' voltages add up: so must every fuse's, switch's and BMS's rating.")
              .handles(Live.OUTPUT)
              .protects()
              .expects(
                  new Expected(
                      sum,
                      first.whole().low() + second.whole().low(),
                      first.whole().high() + second.whole().high(),
                      Unit.VOLT,
                      "the sum of both packs as read"))
              .ifReads(
                  Math.abs(a - b),
                  "one pack is turned: the difference is read",
                  "read each pack by itself")
              .ifHigh("a pack was charged meanwhile", "read each pack by itself");
      if (first.pack().fullVoltage() + second.pack().fullVoltage() > Ground.TOUCH) {
        draft.handles(Live.HIGH_VOLTAGE).caution("Together they pass 60 V: gloves, one hand.");
      }
      draft.gate();
      return;
    }
    if (how == SecondPack.Joining.PARALLEL) {
      Junction junction = Junction.of(first.forecast().chain()).orElseThrow();
      double gap = Math.min(0.5, junction.allowedGap());
      steps
          .step(
              Stage.PACKS,
              "packs.gap",
              "Fuses in, not yet joined: read from the first pack's plus to the second's plus with"
                  + " both minus joined through the meter's other lead. Type it without its sign.")
          .tools("multimeter")
          .caution("Packs that differ drive a current into each other that only their fuses end.")
          .handles(Live.OUTPUT)
          .protects()
          .expects(
              0,
              0,
              gap,
              Unit.VOLT,
              "%s between them drive %s through %s; the weaker may take %s"
                  .formatted(
                      Figures.of(gap, Unit.VOLT),
                      Figures.of(gap / junction.resistance(), Unit.AMPERE),
                      Figures.of(junction.resistance(), Unit.MILLIOHM),
                      Figures.atMost(junction.limit(), Unit.AMPERE)))
          .ifHigh("one is fuller", "charge the lower by itself up to the other's voltage")
          .gate();
    }
    String text =
        switch (how) {
          case PARALLEL -> "Join both packs in parallel, and read at the machine's side.";
          case DIODES ->
              "Join both packs through the combiner. Read at its output, then with each pack's fuse"
                  + " out in turn: the other must feed it alone.";
          case SWITCH_OVER ->
              "Throw the change-over switch to each side and read at its output. Between the two it"
                  + " must read nothing: it parts one pack before it joins the other.";
          case SERIES -> throw new IllegalStateException("joined above");
        };
    double low = Math.min(first.whole().low(), second.whole().low());
    double high = Math.max(first.whole().high(), second.whole().high());
    // A diode takes up to a volt of it.
    double drop = how == SecondPack.Joining.DIODES ? 1 : 0;
    steps
        .step(Stage.PACKS, "packs.joined", text)
        .tools("multimeter")
        .handles(Live.OUTPUT)
        .protects()
        .expects(
            Math.max(a, b) - drop / 2,
            low - drop,
            high,
            Unit.VOLT,
            drop > 0 ? "the fuller pack less up to 1 V of its diode" : "both packs as read")
        .ifLow("one of them does not feed", "read before and behind the junction")
        .ifHigh("the packs are in series", "read each by itself")
        .gate();
  }

  private static SecondPack second(Ground first) {
    SecondPack s = first.design().second();
    if (s == null) {
      throw new IllegalArgumentException("no second pack");
    }
    return s;
  }

  void charge() {
    ChargePlan plan = on.guard().charge();
    var cell = on.cell();
    double air = on.forecast().chain().usualChargingAir();
    Charge course = Charge.of(on.forecast().chain(), Math.min(on.soc(), 0.98), air);
    steps
        .step(
            Stage.CHARGE,
            "charge.place",
            "Outdoors or under cover in the open, on stone, away from what burns, the air between %s and"
                    .formatted(Figures.of(cell.temperatures().chargeLowest(), Unit.CELSIUS, 0))
                + " %s. Stay with it from the first minute to the last. Type the air's temperature."
                    .formatted(Figures.of(cell.temperatures().chargeHighest(), Unit.CELSIUS, 0)))
        .tools("thermometer")
        .caution(
            "Never charge below 0 °C, never unattended, never under anything you cannot lose.",
            "If a cell swells, hisses or smells: pull the mains plug, go away from the smoke.")
        .protects()
        .expects(
            Math.clamp(
                293.15, cell.temperatures().chargeLowest(), cell.temperatures().chargeHighest()),
            cell.temperatures().chargeLowest(),
            cell.temperatures().chargeHighest(),
            Unit.CELSIUS,
            "the cell's own limits of charging")
        .ifLow(
            "too cold: lithium plates out and shorts the cell later",
            "bring the pack indoors for a day")
        .ifHigh("too hot", "wait for the evening")
        .gate();
    steps
        .step(
            Stage.CHARGE,
            "charge.current",
            "Join the charger to the pack first, then to the mains. After a minute read the"
                + " current.")
        .tools("inline meter or clamp")
        .handles(Live.CHARGE_PORT)
        .protects()
        .expects(
            plan.current(),
            0.8 * plan.current(),
            1.1 * plan.current(),
            Unit.AMPERE,
            "the charger's own")
        .ifLow(
            "the pack is nearly full already",
            "read the pack: near %s it tapers".formatted(Figures.of(plan.voltage(), Unit.VOLT, 1)))
        .ifLow("the BMS keeps the charge shut", "read the groups: one may be above its limit")
        .ifHigh("another charger, or one set too high", "stop, and read its label")
        .gate();
    steps
        .step(
            Stage.CHARGE,
            "charge.spread",
            "After a quarter of an hour read every group; type the highest less the lowest.")
        .tools("multimeter, or the BMS's own readings")
        .handles(Live.BALANCE_LEADS)
        .protects()
        .expects(
            0,
            0,
            0.05,
            Unit.MILLIVOLT,
            "level groups of like resistance stay within some tens of millivolts")
        .ifHigh(
            "a group is smaller or emptier than the others",
            "stop; rest an hour; read the groups again")
        .ifHigh("a balance lead drops voltage", "read at the group itself")
        .gate();
    ends(plan, course);
  }

  private void ends(ChargePlan plan, Charge course) {
    double perCell = on.design().chargeVoltagePerCell();
    double over = on.bms().map(b -> b.overVoltage()).orElse(on.cell().fullVoltage() + 0.05);
    steps
        .step(
            Stage.CHARGE,
            "charge.top",
            "When the current falls, type the highest group of all. Above the limit: pull the"
                + " plug.")
        .tools("multimeter, or the BMS's own readings")
        .handles(Live.BALANCE_LEADS)
        .protects()
        .expects(
            Math.min(perCell, over),
            perCell - 0.1,
            Math.max(over, perCell),
            Unit.VOLT,
            "the charge voltage for one group; the BMS opens at " + Figures.of(over, Unit.VOLT, 3))
        .ifLow("the charge has not ended", "wait until the current is a twentieth of the charger's")
        .ifHigh(
            "one group is full before the others", "pull the plug; let the BMS balance for a night")
        .ifHigh("the charger is set too high", "read it by itself")
        .gate();
    double hours = course.time();
    steps
        .step(
            Stage.CHARGE,
            "charge.time",
            "Type how long it took. A pack that fills much too soon has lost a group; one that does"
                + " not end warms a bad cell.")
        .expects(
            hours,
            Math.max(0, 0.7 * hours - MINUTES),
            1.3 * hours + MINUTES,
            Unit.HOUR,
            "from %s full at %s by the forecast of this very pack"
                .formatted(
                    Figures.of(on.soc(), Unit.PERCENT), Figures.of(plan.current(), Unit.AMPERE)))
        .ifLow(
            "it was fuller than its voltage told", "take the next charge from empty for the figure")
        .ifLow("a group ended it early", "read the groups at once")
        .ifHigh(
            "a cell leaks, or the charger gives less",
            "read the current, and feel for a warm group")
        .add();
    double rested = on.series() * on.circuit().openCircuit(Math.clamp(course.endSoc(), 0, 1));
    steps
        .step(
            Stage.CHARGE,
            "charge.rested",
            "Let it rest for an hour, charger off, and read the pack.")
        .tools("multimeter")
        .handles(Live.CHARGE_PORT)
        .needs("charge.top")
        .protects()
        .expects(
            rested,
            rested - on.series() * 0.03 - Meter.error(rested),
            Math.max(rested, plan.voltage()) + Meter.error(rested),
            Unit.VOLT,
            "the charge ends at %s of charge, which rests at %s a cell"
                .formatted(
                    Figures.of(course.endSoc(), Unit.PERCENT),
                    Figures.of(rested / on.series(), Unit.VOLT, 3)))
        .ifLow("a group falls back: a leaking cell", "read every group now and in the morning")
        .ifHigh("it has not rested yet", "read again in an hour")
        .gate();
  }

  void run() {
    double air = Reference.ROOM;
    double soc = Math.clamp(on.forecast().chain().ceiling(), 0.1, 1);
    double gentle = 0.2 * on.forecast().chain().demand().continuous();
    Path path = on.forecast().chain().path();
    double rest = path.voltage(0, soc, air, Path.Settling.TEN_SECONDS);
    double loaded = path.voltage(gentle, soc, air, Path.Settling.TEN_SECONDS);
    double room = 0.5 * (rest - loaded) + Meter.error(rest) + 0.02 * on.series();
    steps
        .step(
            Stage.RUN,
            "run.gentle",
            "First run at low effort: about %s for some ten seconds, and read the voltage under load."
                .formatted(Figures.of(gentle, Unit.AMPERE)))
        .tools("inline meter")
        .caution(
            "The first run on level ground, at walking pace, someone with you.",
            "Where you may use it, and with what power, local rules say.")
        .handles(Live.MACHINE)
        .protects()
        .expects(
            loaded,
            loaded - room,
            rest + Meter.error(rest),
            Unit.VOLT,
            "full it rests at %s; %s take it down to %s after ten seconds"
                .formatted(
                    Figures.of(rest, Unit.VOLT, 1),
                    Figures.of(gentle, Unit.AMPERE),
                    Figures.of(loaded, Unit.VOLT, 1)))
        .ifLow(
            "a joint or connector has too much resistance",
            "feel which one is warm; read across it")
        .ifLow("a weak group", "read the groups under the same load")
        .ifHigh("the current was less", "read it again together with the voltage")
        .gate();
    double most = Math.min(on.cell().temperatures().dischargeHighest() - 10, 318.15);
    steps
        .step(
            Stage.RUN,
            "run.touch",
            "After ten minutes stop and feel cells, strips, connectors and lugs. Type the warmest"
                + " you find, by the back of your hand or a thermometer.")
        .tools("thermometer")
        .caution("Touch the outside of covers only; what is bare is live.")
        .protects()
        .expects(
            Math.min(most, 303.15),
            253.15,
            most,
            Unit.CELSIUS,
            "at gentle effort nothing needs to be warmer than a hand bears")
        .ifHigh(
            "a lug or contact is loose", "switch off, let it cool, retighten, and read across it")
        .ifHigh("one group is warm", "read the groups under load")
        .gate();
    steps
        .step(
            Stage.RUN,
            "run.retighten",
            "After the first hour of use, switch off, take the fuse out, and retighten every screw"
                + " and lug; look for rubbed paper and pinched balance leads.")
        .tools("insulated tools")
        .handles(Live.ENDS)
        .protects()
        .add();
    List<String> last =
        List.of(
            "Note at Prove what the first full run gave.",
            "Read the groups again after a month: what has drifted by then will go on drifting.");
    steps.step(Stage.RUN, "run.note", String.join(" ", last)).add();
  }
}
