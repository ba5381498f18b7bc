package hammerman.duty;

import hammerman.unit.In;
import hammerman.unit.Unit;
import hammerman.unit.Valid;
import io.soabase.recordbuilder.core.RecordBuilder;

/**
 * What moves: turns speed and slope into power.
 *
 * <p>Force at the wheel: m g (sin s + c cos s) + ½ ρ A v², the usual road-load equation (for
 * example T. D. Gillespie, Fundamentals of Vehicle Dynamics (1992), ch. 4). Steady motion: no
 * acceleration, still air, efficiency the same at every load.
 *
 * @param mass of machine, pack and driver without what is carried, kg
 * @param rollingResistance rolling resistance coefficient c
 * @param dragArea frontal area times drag coefficient A, m²
 * @param driveEfficiency wheel power over battery power when driving, 0 to 1
 * @param regenerationEfficiency battery power over wheel power when braking, 0 to 1
 * @param auxiliaryPower lamps, controller and the like, W
 */
@RecordBuilder
public record Vehicle(
    @In(Unit.KILOGRAM) double mass,
    double rollingResistance,
    @In(Unit.SQUARE_METRE) double dragArea,
    @In(Unit.PERCENT) double driveEfficiency,
    @In(Unit.PERCENT) double regenerationEfficiency,
    @In(Unit.WATT) double auxiliaryPower)
    implements VehicleBuilder.With {
  /** A small walk-behind machine on firm ground, to begin with. */
  public static final Vehicle TYPICAL = new Vehicle(80, 0.03, 0.6, 0.70, 0.50, 5);

  /** Gravity, m/s². */
  public static final double GRAVITY = 9.81;

  /** Density of air at 20 °C and sea level, kg/m³. */
  public static final double AIR = 1.204;

  public Vehicle {
    Valid.range("Moving mass", mass, 0.1, 1e5, Unit.KILOGRAM);
    Valid.range("Rolling resistance", rollingResistance, 0, 1, Unit.ONE);
    Valid.range("Drag area", dragArea, 0, 50, Unit.SQUARE_METRE);
    Valid.range("Drive efficiency", driveEfficiency, 0.05, 1, Unit.PERCENT);
    Valid.range("Braking efficiency", regenerationEfficiency, 0, 1, Unit.PERCENT);
    Valid.range("Auxiliary power", auxiliaryPower, 0, 1e5, Unit.WATT);
  }

  /**
   * Returns the power at the wheel, W; negative when the slope pushes.
   *
   * @param speed m/s
   * @param slope rise over run; negative downhill
   * @param load what is carried, kg
   */
  public double wheelPower(double speed, double slope, double load) {
    return wheelPower(speed, 0, slope, load);
  }

  private double wheelPower(double speed, double wind, double slope, double load) {
    double hypotenuse = Math.hypot(1, slope);
    double along = slope / hypotenuse + rollingResistance / hypotenuse;
    double through = speed + wind;
    double drag = 0.5 * AIR * dragArea * through * Math.abs(through);
    return ((mass + load) * GRAVITY * along + drag) * speed;
  }

  /** Returns the power at the battery, W: the wheel's through the efficiency, and auxiliaries. */
  public double batteryPower(double speed, double slope, double load) {
    return batteryPower(speed, 0, slope, load);
  }

  /**
   * Returns the power at the battery against a wind, W.
   *
   * @param wind speed of the air against the vehicle, m/s; below 0 from behind
   */
  public double batteryPower(double speed, double wind, double slope, double load) {
    double wheel = wheelPower(speed, wind, slope, load);
    return auxiliaryPower + (wheel >= 0 ? wheel / driveEfficiency : wheel * regenerationEfficiency);
  }

  /**
   * Returns the slope, as a share, that a force at the wheel holds: F = m g (sin s + c cos s).
   *
   * @param force N
   * @param load carried, kg
   * @return infinite if the force lifts the vehicle straight up
   */
  public double slopeFor(double force, double load) {
    double a = force / ((mass + load) * GRAVITY) / Math.hypot(1, rollingResistance);
    return a >= 1
        ? Double.POSITIVE_INFINITY
        : Math.tan(Math.asin(a) - Math.atan(rollingResistance));
  }
}
