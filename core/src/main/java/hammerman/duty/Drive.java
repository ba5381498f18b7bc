package hammerman.duty;

import hammerman.unit.In;
import hammerman.unit.Unit;
import hammerman.unit.Valid;
import io.soabase.recordbuilder.core.RecordBuilder;
import org.jspecify.annotations.Nullable;

/**
 * What turns voltage into speed: motor, reduction, wheel.
 *
 * @param motorConstant unloaded motor speed per volt, rad/s per V
 * @param reduction motor turns for one turn of the wheel; the ratio of the teeth
 * @param wheelDiameter rolling diameter, m
 * @param motor its winding and idle current; absent if they are not known
 */
@RecordBuilder
public record Drive(
    @In(Unit.RPM_PER_VOLT) double motorConstant,
    double reduction,
    @In(Unit.MILLIMETRE) double wheelDiameter,
    @Nullable Motor motor)
    implements DriveBuilder.With {
  /** A slow geared hub, to begin with. */
  public static final Drive TYPICAL = new Drive(Unit.RPM_PER_VOLT.toCore(60), 20, 0.4, null);

  public Drive {
    Valid.range(
        "Motor constant",
        motorConstant,
        Unit.RPM_PER_VOLT.toCore(0.1),
        Unit.RPM_PER_VOLT.toCore(20_000),
        Unit.RPM_PER_VOLT);
    Valid.range("Reduction", reduction, 0.01, 10_000, Unit.ONE);
    Valid.range("Wheel diameter", wheelDiameter, 0.01, 5, Unit.MILLIMETRE);
  }

  /**
   * Returns the speed with nothing to pull, m/s: k V / i · d / 2. Neglects the motor's own idle
   * current; a loaded machine is slower.
   *
   * @param volts at the controller, V
   */
  public double unloadedSpeed(double volts) {
    return motorConstant * volts / reduction * wheelDiameter / 2;
  }

  /**
   * Returns the torque at the wheel, N m: I / k · i, as a motor's torque for each ampere is the
   * inverse of its speed for each volt. Neglects the losses of the reduction.
   *
   * @param current in the motor beyond what it takes for itself, A
   */
  public double wheelTorque(double current) {
    return current / motorConstant * reduction;
  }

  /** Returns the reduction with which an unloaded speed (m/s) is reached at a voltage (V). */
  public double reductionFor(double speed, double volts) {
    return motorConstant * volts * wheelDiameter / 2 / speed;
  }
}
