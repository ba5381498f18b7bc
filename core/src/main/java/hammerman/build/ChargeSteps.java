package hammerman.build;

import hammerman.guard.ChargePlan;
import hammerman.simulation.Charge;
import hammerman.unit.Figures;
import hammerman.unit.Unit;

/** The first charge, under watch. */
final class ChargeSteps {
  private static final double MINUTES = 15 * 60;

  private final Ground on;
  private final StepList steps;

  ChargeSteps(Ground on, StepList steps) {
    this.on = on;
    this.steps = steps;
  }

  void add() {
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
            "Never charge below %s, never unattended, never under anything you cannot lose."
                .formatted(Figures.of(cell.temperatures().chargeLowest(), Unit.CELSIUS, 0)),
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
            "too cold: metal plates out inside and can short the cell later",
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
    double full = on.cell().fullVoltage() + 0.05;
    double over = on.bms().map(b -> b.overVoltage()).orElse(full);
    double most = Math.min(over, full);
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
            perCell,
            Math.min(perCell, most) - 0.1,
            most,
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
}
