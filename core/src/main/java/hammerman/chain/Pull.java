package hammerman.chain;

import hammerman.duty.Drive;
import hammerman.duty.Duty;
import hammerman.duty.Motor;
import hammerman.duty.Segment;
import hammerman.duty.Task;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * What the motor pulls at the start, half charged and before the voltage sags; see {@link Motor}.
 *
 * @param volts at the controller, V
 * @param current in the motor at the start, A
 * @param torque at the wheel, N m
 * @param slope that the vehicle with its heaviest load starts on, as a share; empty if no vehicle
 *     is known, infinite if it would climb a wall
 * @param stall current in a motor held still with nothing to limit it, A
 * @param bestCurrent at which it makes most of what goes in, A
 * @param bestEfficiency share that comes out then
 */
public record Pull(
    double volts,
    double current,
    double torque,
    OptionalDouble slope,
    double stall,
    double bestCurrent,
    double bestEfficiency) {

  /** Returns the pull of a design whose motor is known. */
  public static Optional<Pull> of(Chain chain) {
    Duty duty = chain.design().duty();
    Drive drive = duty.machine().drive();
    Motor motor = drive == null ? null : drive.motor();
    if (drive == null || motor == null) {
      return Optional.empty();
    }
    double volts = chain.path().openCircuit(Chain.MIDDLE);
    double current = motor.startCurrent(volts, duty.machine().peakCurrent());
    double torque = drive.wheelTorque(Math.max(0, current - motor.noLoadCurrent()));
    double force = torque / (drive.wheelDiameter() / 2);
    double best = motor.bestCurrent(volts);
    return Optional.of(
        new Pull(
            volts,
            current,
            torque,
            slope(duty, force),
            motor.stallCurrent(volts),
            best,
            best > motor.noLoadCurrent() ? motor.efficiency(volts, best) : 0));
  }

  private static OptionalDouble slope(Duty duty, double force) {
    if (!(duty.task() instanceof Task.ByRound round)) {
      return OptionalDouble.empty();
    }
    double load = 0;
    for (Segment s : round.segments()) {
      if (s.effort() instanceof Segment.Effort.Worked w) {
        load = Math.max(load, w.load());
      }
    }
    return OptionalDouble.of(round.vehicle().slopeFor(force, load));
  }
}
