package hammerman.build;

import hammerman.guard.Precharge;
import hammerman.unit.Figures;
import hammerman.unit.Unit;

/** First power, along the path. */
final class PowerSteps {
  /** Current of a first test through a resistor, A. */
  private static final double TEST = 0.5;

  private final Ground on;
  private final StepList steps;

  PowerSteps(Ground on, StepList steps) {
    this.on = on;
    this.steps = steps;
  }

  void add(boolean machineSide) {
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
}
