package hammerman.build;

import hammerman.choice.ChargerCheck;
import hammerman.guard.ChargePlan;
import hammerman.guard.Closing;
import hammerman.guard.Fuse;
import hammerman.guard.Precharge;
import hammerman.unit.Figures;
import hammerman.unit.Sentence;
import hammerman.unit.Unit;
import hammerman.wiring.WiringPlan;

/**
 * Everything outside the cells, wired while nothing in it is live, and what is set before power.
 */
final class WiringSteps {
  private final Ground on;
  private final StepList steps;

  WiringSteps(Ground on, StepList steps) {
    this.on = on;
    this.steps = steps;
  }

  void wire(boolean machineSide) {
    holder();
    int k = 1;
    for (WiringPlan.Run run : on.wiring().runs()) {
      if (!run.from().startsWith("BMS battery") && (machineSide || ofThePack(run))) {
        lead(k++, run);
      }
    }
    if (machineSide) {
      closing();
      precharge();
      connectors();
    }
    dead();
  }

  /** What a second pack brings with it: its leads up to the junction. */
  static boolean ofThePack(WiringPlan.Run run) {
    return run.from().startsWith("Pack")
        || run.from().startsWith("Main fuse")
        || run.from().startsWith("Charge port")
        || run.to().startsWith("BMS")
        || run.to().startsWith("Pack");
  }

  private void holder() {
    String fuse =
        on.guard()
            .fuse()
            .map(
                f ->
                    "Fix the holder of the main fuse (%s) on the pack's positive lead, %s from its end."
                        .formatted(
                            f.text(),
                            Figures.of(
                                on.guard().wiring().leads().packToFuse(), Unit.CENTIMETRE, 0)))
            .orElse(
                "There is no main fuse: fit a link in the positive lead that you can take out.");
    var draft =
        steps
            .step(
                Stage.WIRING, "wire.holder", fuse + " It stays empty until all is wired and read.")
            .tools("crimping tool")
            .caution(
                "The length before the fuse is protected by nothing: keep it short and sleeved.",
                "The main fuse goes in last of all.")
            .handles(Live.ENDS)
            .at(new Place.End(true))
            .protects();
    if (on.isHigh()) {
      draft.handles(Live.HIGH_VOLTAGE);
    }
    draft.gate();
    Fuse charge = on.guard().chargePort().fuse();
    steps
        .step(
            Stage.WIRING,
            "charge.holder",
            charge == null
                ? "The charge lead has no fuse of its own: its whole length must stand the main"
                    + " fuse's current. Sleeve it twice, and cap its plug."
                : "Fix the charge lead's fuse holder %s from the pack, empty, and cap the charge plug."
                    .formatted(
                        Figures.of(on.guard().chargePort().beforeFuse(), Unit.CENTIMETRE, 0)))
        .protects()
        .makesSafe(Live.CHARGE_PORT)
        .add();
  }

  private void lead(int number, WiringPlan.Run run) {
    steps
        .step(
            Stage.WIRING,
            "wire.%d".formatted(number),
            "%s to %s: cut %s of %s, %s; ends: %s."
                .formatted(
                    run.from(),
                    run.to(),
                    Figures.of(run.length(), Unit.CENTIMETRE, 0),
                    run.wire().text(),
                    run.positive() ? "red" : "black",
                    run.ends()))
        .tools("crimping tool")
        .needs("wire.holder")
        .add();
  }

  private void closing() {
    String by =
        on.guard().closing() == Closing.PLUG
            ? "The plug closes the circuit: mark the half that goes in last."
            : on.guard().mainSwitch() == null
                ? "There is no switch: the plug at the machine is what parts it."
                : "Fix the switch (%s), and leave it open."
                    .formatted(Sentence.within(on.guard().mainSwitch().name()));
    steps.step(Stage.WIRING, "wire.switch", by).needs("wire.holder").add();
  }

  private void precharge() {
    Precharge p = on.guard().precharge();
    if (p != null) {
      steps
          .step(
              Stage.WIRING,
              "wire.precharge",
              "Fit the pre-charge resistor and its button across the switch. Press the button,"
                  + " switch open, and read its resistance.")
          .tools("multimeter")
          .needs("wire.switch")
          .expects(
              p.resistance(),
              0.9 * p.resistance(),
              1.1 * p.resistance(),
              Unit.OHM,
              "the resistor of the design, within a tenth")
          .ifReads(0, "the switch is closed", "open it and read again")
          .ifLow("another resistor", "read its rings")
          .ifHigh("the button does not close", "read across the button")
          .add();
    }
  }

  private void connectors() {
    if (on.guard().wiring().connectorPairs() > 0) {
      steps
          .step(
              Stage.WIRING,
              "wire.halves",
              "Before crimping: socket halves, whose contacts cannot be touched, on the pack's"
                  + " side; plug"
                  + " halves on the machine's. Lay both halves of %s together and follow red to red."
                      .formatted(on.guard().wiring().connector().name()))
          .caution("A half the wrong way round puts the pack in reverse into the machine.")
          .protects()
          .makesSafe(Live.OUTPUT)
          .add();
    } else {
      steps
          .step(
              Stage.WIRING,
              "wire.halves",
              "There is no connector: cover both lugs at the machine until they are screwed on.")
          .protects()
          .makesSafe(Live.OUTPUT)
          .add();
    }
  }

  private void dead() {
    steps
        .step(
            Stage.WIRING,
            "wire.dead",
            "With fuse out and switch open, read the voltage at the free end of the main leads."
                + " Type it without its sign.")
        .tools("multimeter")
        .protects()
        .expects(0, 0, 0.5, Unit.VOLT, "nothing is live behind an open fuse holder")
        .ifHigh("the fuse is in, or bridged", "look at the holder")
        .ifHigh("capacitors of the machine hold charge", "unplug the machine and wait a minute")
        .gate();
    steps
        .step(
            Stage.WIRING,
            "wire.short",
            "Still without the fuse, machine unplugged and switch closed: read the resistance"
                + " between the main leads' free ends, on the machine's side. Then open the"
                + " switch.")
        .tools("multimeter")
        .protects()
        .expects(
            1e6,
            1000,
            1e9,
            Unit.OHM,
            "two leads that touch nowhere; what hangs on them may draw a little")
        .ifReads(
            0, "a short in a connector or at a lug", "part the leads at each connector in turn")
        .ifLow("a meter or a lamp is still joined", "unplug it and read again")
        .gate();
  }

  void settings(boolean machineSide) {
    charger();
    if (machineSide) {
      steps
          .step(
              Stage.SETTINGS,
              "set.machine",
              "Set the machine's controller by the settings sheet: full, cut-out, current limits,"
                  + " braking current.")
          .needs("wire.dead")
          .protects()
          .makesSafe(Live.MACHINE)
          .add();
      steps
          .step(
              Stage.SETTINGS,
              "set.meter",
              "Tell the battery meter capacity, full and empty voltage, and its shunt, by the"
                  + " settings sheet.")
          .add();
    }
    if (on.bms().isPresent()) {
      steps
          .step(
              Stage.SETTINGS,
              "set.bms",
              "If the BMS can be set: series count, cut-offs, over-current with its delay, charge"
                  + " limit, by the settings sheet. If not, hold its label against it.")
          .protects()
          .add();
    }
  }

  private void charger() {
    ChargePlan plan = on.guard().charge();
    double high =
        Math.max(
            plan.voltage(),
            Math.min(
                plan.highest() + Meter.error(0),
                on.series() * (on.cell().fullVoltage() + ChargerCheck.TOLERANCE)));
    steps
        .step(
            Stage.SETTINGS,
            "set.charger",
            "The charger by itself, not joined to the pack: read its plug. One that gives nothing"
                + " without a pack is read at the first charge instead; write that as the reason.")
        .tools("multimeter")
        .caution("Mains is inside a charger: never open it.")
        .protects()
        .expects(
            plan.voltage(),
            0.99 * plan.voltage(),
            high,
            Unit.VOLT,
            "the design's charge voltage, %s a cell; at most %s above full"
                .formatted(
                    Figures.of(on.design().chargeVoltagePerCell(), Unit.VOLT, 3),
                    Figures.of(ChargerCheck.TOLERANCE, Unit.MILLIVOLT, 0)))
        .ifLow("a charger for fewer groups or another chemistry", "read its label")
        .ifReads(0, "it waits for a pack", "read it at the first charge, within the first seconds")
        .ifHigh(
            "a charger for more groups, or set too high", "set it, or take another; do not use it")
        .add();
  }
}
