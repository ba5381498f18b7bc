package hammerman.duty;

import hammerman.unit.In;
import hammerman.unit.Unit;
import hammerman.unit.Valid;
import io.soabase.recordbuilder.core.RecordBuilder;
import org.jspecify.annotations.Nullable;

/**
 * A motor with permanent magnets: a resistance behind a voltage in proportion to the speed, and a
 * current that it takes for itself (Hughes and Drury, Electric Motors and Drives, 5th ed. 2019,
 * chapter 3). Neglects iron losses that grow with speed, saturation, and copper that gets warm; of
 * a motor with a controller it is the direct-current equivalent.
 *
 * @param resistance of winding and leads between two terminals, Ω
 * @param noLoadCurrent what it takes with nothing to turn, A
 * @param currentLimit the most that the controller lets into the motor, A; absent if not known
 */
@RecordBuilder
public record Motor(
    @In(Unit.MILLIOHM) double resistance,
    @In(Unit.AMPERE) double noLoadCurrent,
    @In(Unit.AMPERE) @Nullable Double currentLimit)
    implements MotorBuilder.With {
  /** Of a machine of half a kilowatt, to begin with. */
  public static final Motor TYPICAL = new Motor(0.12, 1, null);

  public Motor {
    Valid.range("Motor resistance", resistance, 1e-4, 100, Unit.MILLIOHM);
    Valid.range("Current without load", noLoadCurrent, 0, 1000, Unit.AMPERE);
    if (currentLimit != null) {
      Valid.range("Motor current at most", currentLimit, 0.1, 10_000, Unit.AMPERE);
    }
  }

  /** Returns the current, A, at which it makes most of a voltage, V: √(V I₀ / R). */
  public double bestCurrent(double volts) {
    return Math.sqrt(volts * noLoadCurrent / resistance);
  }

  /** Returns the share of what goes in at a voltage, V, that comes out: (V − IR)(I − I₀) / VI. */
  public double efficiency(double volts, double amperes) {
    return (volts - amperes * resistance) * (amperes - noLoadCurrent) / (volts * amperes);
  }

  /** Returns the current, A, that would flow with the motor held still: V / R. */
  public double stallCurrent(double volts) {
    return volts / resistance;
  }

  /**
   * Returns the motor's current at the start, A: the least of what the winding, the controller and
   * the battery let through. Held still all power turns into heat in the winding, P = I² R, so that
   * a limit of the battery's current allows √(V I_b / R) in the motor.
   *
   * @param volts at the controller, V
   * @param batteryCurrent the most that is drawn from the battery, A
   */
  public double startCurrent(double volts, double batteryCurrent) {
    double free = Math.min(stallCurrent(volts), Math.sqrt(volts * batteryCurrent / resistance));
    return currentLimit == null ? free : Math.min(free, currentLimit);
  }
}
