package hammerman.duty;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import hammerman.unit.InvalidValue;
import hammerman.unit.Unit;
import java.util.Random;
import org.junit.jupiter.api.Test;

class MotorTest {
  private static final Motor MOTOR = new Motor(0.15, 1.2, null);

  @Test
  void theBestCurrentIsBetterThanAnyOther() {
    Random random = new Random(4);
    for (int k = 0; k < 200; k++) {
      Motor m = new Motor(0.02 + random.nextDouble(), 0.2 + random.nextDouble(), null);
      double volts = 12 + 60 * random.nextDouble();
      double best = m.efficiency(volts, m.bestCurrent(volts));
      for (double share = 0.05; share < 1; share += 0.05) {
        assertThat(m.efficiency(volts, share * m.stallCurrent(volts)))
            .isLessThanOrEqualTo(best + 1e-12);
      }
    }
  }

  /** What goes in is what turns the wheel and what warms the winding, and the motor's own need. */
  @Test
  void energyIsConserved() {
    double volts = 48;
    double amperes = 20;
    double out = volts * amperes * MOTOR.efficiency(volts, amperes);
    double heat = amperes * amperes * MOTOR.resistance();
    double own = (volts - amperes * MOTOR.resistance()) * MOTOR.noLoadCurrent();
    assertThat(out + heat + own).isCloseTo(volts * amperes, within(1e-9));
  }

  @Test
  void theStartIsLimitedByWindingBatteryOrController() {
    assertThat(MOTOR.startCurrent(48, 1e6)).isCloseTo(320, within(1e-9));
    // Held still, 60 A at 48 V are 2,880 W, all of it heat in 0.15 Ω.
    double battery = MOTOR.startCurrent(48, 60);
    assertThat(battery * battery * 0.15).isCloseTo(2880, within(1e-6));
    assertThat(MOTOR.withCurrentLimit(70.0).startCurrent(48, 60)).isEqualTo(70);
  }

  @Test
  void torqueTimesSpeedIsPower() {
    Drive drive = new Drive(Unit.RPM_PER_VOLT.toCore(60), 36, 0.4, MOTOR);
    double volts = 30;
    double wheelSpeed = drive.unloadedSpeed(volts) / (drive.wheelDiameter() / 2);
    assertThat(drive.wheelTorque(20) * wheelSpeed).isCloseTo(20 * volts, within(1e-9));
  }

  @Test
  void aSlopeIsHeldByTheForceThatThePowerOfTheWheelNeeds() {
    Vehicle v = new Vehicle(95, 0.045, 0, 0.62, 0.45, 8);
    for (double slope : new double[] {-0.02, 0, 0.245, 1.2}) {
      double force = v.wheelPower(1e-3, slope, 120) / 1e-3;
      assertThat(v.slopeFor(force, 120)).isCloseTo(slope, within(1e-6));
    }
    assertThat(v.slopeFor(1e5, 0)).isInfinite();
  }

  @Test
  void figuresThatNoMotorHasAreRefused() {
    assertThatThrownBy(() -> MOTOR.withResistance(0))
        .isInstanceOf(InvalidValue.class)
        .hasMessageContaining("Motor resistance");
    assertThatThrownBy(() -> MOTOR.withCurrentLimit(0.0)).isInstanceOf(InvalidValue.class);
  }
}
