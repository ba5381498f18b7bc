package hammerman.forecast;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import hammerman.Samples;
import hammerman.duty.Vehicle;
import hammerman.project.Shipped;
import java.util.Comparator;
import java.util.List;
import org.junit.jupiter.api.Test;

/** The pack against speed, power and air. */
class SweepsTest {
  private static final Forecast BARROW = Forecast.of(Samples.barrow());

  private static SpeedSweep speeds(double wind, double load) {
    return SpeedSweep.of(BARROW, wind, load).orElseThrow();
  }

  /** Where what runs all the time and the air's drag balance: P_aux = 2 · ½ ρ A v³ / η. */
  @Test
  void theBestSpeedIsWhereStandingAndDragBalance() {
    Vehicle v = SpeedSweep.vehicle(BARROW).orElseThrow();
    double best =
        Math.cbrt(v.auxiliaryPower() * v.driveEfficiency() / (Vehicle.AIR * v.dragArea()));
    SpeedSweep s = speeds(0, 0);
    double step = s.points().get(1).speed() - s.points().get(0).speed();
    assertThat(s.best().speed()).isCloseTo(best, within(1.5 * step));
    assertThat(s.best().range())
        .isGreaterThan(s.points().getFirst().range())
        .isGreaterThan(s.points().getLast().range());
  }

  @Test
  void windAndLoadShortenTheWay() {
    double still = speeds(0, 0).best().range();
    assertThat(speeds(5, 0).best().range()).isLessThan(still);
    assertThat(speeds(0, 100).best().range()).isLessThan(still);
    assertThat(speeds(5, 0).best().speed()).isLessThan(speeds(0, 0).best().speed());
  }

  @Test
  void aDutyThatStandsHasNoSpeed() {
    Forecast box = Forecast.of(Shipped.example(Shipped.Example.DARK_SKY_BOX).design());
    assertThat(SpeedSweep.of(box, 0, 0)).isEmpty();
  }

  @Test
  void morePowerGivesLessEnergyAndMustBeCutSooner() {
    PowerSweep s = PowerSweep.of(BARROW);
    assertThat(s.cold()).hasSizeGreaterThan(5);
    assertThat(s.cold())
        .extracting(PowerSweep.Point::energy)
        .isSortedAccordingTo(Comparator.reverseOrder());
    assertThat(s.cold()).extracting(PowerSweep.Point::left).isSorted();
    assertThat(s.cold().getFirst().energy())
        .as("nearly all that the cells hold")
        .isBetween(0.85 * BARROW.design().pack().energy(), 1.05 * BARROW.design().pack().energy());
    for (PowerSweep.Point p : s.hot()) {
      assertThat(p.energy()).isCloseTo(p.power() * p.time(), within(2e-3 * p.energy()));
    }
  }

  /** A machine that lets less through ends the sweep there: no point is for a lesser power. */
  @Test
  void theMachinesLimitEndsThePowers() {
    var machine = BARROW.design().duty().machine();
    Forecast held =
        Forecast.of(
            BARROW
                .design()
                .withDuty(
                    BARROW
                        .design()
                        .duty()
                        .withMachine(machine.withPeakCurrent(31).withFullEffortCurrent(20))));
    double full = held.design().pack().fullVoltage();
    List<PowerSweep.Point> hot = PowerSweep.of(held).hot();
    assertThat(hot.getLast().power()).isLessThan(31 * full);
  }

  @Test
  void fullEffortEndsBeforeTheLoadDoes() {
    AirSweep s = AirSweep.of(BARROW);
    assertThat(s.points()).allSatisfy(p -> assertThat(p.effort()).isBetween(60.0, p.fresh()));
  }
}
