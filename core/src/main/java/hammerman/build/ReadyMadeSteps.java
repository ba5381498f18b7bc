package hammerman.build;

import hammerman.readymade.HardStart;
import hammerman.readymade.ReadyMade;
import hammerman.readymade.ReadyMadeUse;
import hammerman.simulation.StartRun;
import hammerman.unit.Figures;
import hammerman.unit.Unit;
import java.util.OptionalDouble;

/** A ready-made battery on the same machine: its voltage, its soft start, and the first start. */
final class ReadyMadeSteps {
  /** Of the current that is forecast a start may read this much less or more; a clamp is slow. */
  private static final double LOW = 0.5;

  private static final double HIGH = 1.15;

  private final ReadyMade battery;
  private final HardStart start;
  private final StepList steps;

  ReadyMadeSteps(ReadyMadeUse use, StepList steps) {
    this.battery = use.battery();
    this.start = use.start();
    this.steps = steps;
  }

  void add() {
    voltage();
    StartRun as = StartRun.of(battery, start, 1);
    if (as.end() == StartRun.End.RUNS) {
      first(as);
      return;
    }
    OptionalDouble ramp = StartRun.shortestRamp(battery, start, 1);
    if (ramp.isPresent()) {
      double seconds = Math.ceil(10 * ramp.getAsDouble()) / 10;
      soft(
          "a soft start of %s or longer".formatted(Figures.of(seconds, Unit.SECOND)),
          StartRun.of(battery, start.withRamp(seconds), 1));
    } else {
      soft(
          "a current limit of %s"
              .formatted(Figures.atMost(0.95 * battery.tripCurrent(), Unit.AMPERE)),
          StartRun.capped(battery, start, 1));
    }
  }

  private void voltage() {
    double full = battery.series() * battery.cell().fullVoltage();
    double least = battery.series() * battery.lowestGroup();
    steps
        .step(
            Stage.RUN,
            "ready.voltage",
            "The ready-made battery, charged on its own charger: read at its contacts, the pack"
                + " unplugged.")
        .tools("multimeter")
        .caution(
            "Its protection stays as it is: never open it, never bridge it.",
            "It is never joined in parallel to the pack by hand.")
        .handles(Live.OUTPUT)
        .protects()
        .expects(
            full,
            0.97 * full,
            full + Meter.error(full),
            Unit.VOLT,
            "%d groups at %s"
                .formatted(battery.series(), Figures.of(battery.cell().fullVoltage(), Unit.VOLT)))
        .ifReads(0, "it sleeps until its own tool or charger wakes it", "look for its data contact")
        .ifLow(
            "a group ended its charge early; below %s it has switched off"
                .formatted(Figures.of(least, Unit.VOLT, 1)),
            "charge it again, and read it after an hour")
        .ifHigh("it has more groups than was typed", "count them by its label")
        .gate();
  }

  private void soft(String what, StartRun run) {
    steps
        .step(
            Stage.RUN,
            "ready.soft",
            "Set the controller to %s. A hard start would pass %s for longer than %s, and the battery"
                    .formatted(
                        what,
                        Figures.of(battery.tripCurrent(), Unit.AMPERE),
                        Figures.of(battery.tripDelay(), Unit.SECOND))
                + " switches off.")
        .caution("The cure is the softer start, never a bridge over its protection.")
        .protects()
        .gate();
    first(run);
  }

  private void first(StartRun run) {
    steps
        .step(
            Stage.RUN,
            "ready.start",
            "Start the machine from rest with nothing to move, and read the highest current.")
        .tools("clamp that holds the peak")
        .handles(Live.MACHINE)
        .protects()
        .expects(
            run.peak(),
            LOW * run.peak(),
            HIGH * run.peak(),
            Unit.AMPERE,
            "a full battery of %s into %s, up to speed in %s"
                .formatted(
                    Figures.of(battery.series() * battery.cell().fullVoltage(), Unit.VOLT, 1),
                    Figures.of(start.resistance(), Unit.OHM),
                    Figures.duration(run.upToSpeed())))
        .ifLow("the clamp is too slow for the peak", "read it with one that holds 10 ms")
        .ifHigh("the soft start is not set", "set it, and try again")
        .ifHigh("the motor is stiff or jammed", "turn it by hand, everything unplugged")
        .gate();
  }
}
