package hammerman.duty;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import hammerman.Samples;
import hammerman.chain.Chain;
import hammerman.chain.Speeds;
import hammerman.design.Design;
import hammerman.duty.Segment.Effort;
import hammerman.duty.Segment.Extent;
import hammerman.forecast.DutyWorkings;
import hammerman.forecast.Forecast;
import hammerman.unit.InvalidValue;
import hammerman.unit.Unit;
import java.util.List;
import org.junit.jupiter.api.Test;

class VehicleTest {
  private static final Vehicle CART = new Vehicle(100, 0.02, 0.5, 0.8, 0.5, 10);

  @Test
  void levelGroundByHand() {
    // 100 kg · 9.81 · 0.02 = 19.62 N; ½ · 1.204 · 0.5 · 2² = 1.204 N; · 2 m/s = 41.648 W.
    assertThat(CART.wheelPower(2, 0, 0)).isCloseTo(41.648, within(1e-9));
    assertThat(CART.batteryPower(2, 0, 0)).isCloseTo(41.648 / 0.8 + 10, within(1e-9));
  }

  @Test
  void climbAndDescentByHand() {
    // 3-4-5: a rise of 0.75 has sin 0.6, cos 0.8; 150 kg · 9.81 · (0.6 + 0.016) · 1 + 0.301 W.
    assertThat(CART.wheelPower(1, 0.75, 50)).isCloseTo(150 * 9.81 * 0.616 + 0.301, within(1e-9));
    double down = 150 * 9.81 * (-0.6 + 0.016) + 0.301;
    assertThat(CART.wheelPower(1, -0.75, 50)).isCloseTo(down, within(1e-9));
    assertThat(CART.batteryPower(1, -0.75, 50)).isCloseTo(0.5 * down + 10, within(1e-9));
  }

  @Test
  void unloadedSpeedByHandAndWhatAGroupBuys() {
    // 60 rpm/V · 48 V = 2880 rpm; / 36 = 80 rpm; · π · 0.4 m = 100.53 m/min.
    Drive drive = new Drive(Unit.RPM_PER_VOLT.toCore(60), 36, 0.4, null);
    assertThat(drive.unloadedSpeed(48)).isCloseTo(100.531 / 60, within(1e-5));
    assertThat(drive.unloadedSpeed(96)).isCloseTo(2 * drive.unloadedSpeed(48), within(1e-12));
    assertThat(drive.withReduction(drive.reductionFor(1.2, 48)).unloadedSpeed(48))
        .isCloseTo(1.2, within(1e-12));
    Design barrow = Samples.barrow();
    Speeds speeds = Speeds.of(Chain.of(barrow)).orElseThrow();
    Speeds taller = Speeds.of(Chain.of(barrow.withCounts(14, 6))).orElseThrow();
    assertThat(taller.middle() - speeds.middle()).isCloseTo(speeds.perGroup(), within(1e-9));
    assertThat(speeds.full()).isGreaterThan(speeds.middle());
    assertThat(speeds.middle()).isGreaterThan(speeds.nearlyEmpty());
  }

  @Test
  void aDistanceLastsAsLongAsItsSpeedSays() {
    Segment s = new Segment("way", 2, new Extent.Covering(500), new Effort.Worked(0.1, 0));
    assertThat(s.duration()).isEqualTo(250);
    assertThat(s.withSpeed(4).duration()).isEqualTo(125);
    assertThat(s.withSpeed(4).distance()).isEqualTo(500);
    assertThatThrownBy(() -> s.withSpeed(0)).isInstanceOf(InvalidValue.class);
  }

  @Test
  void whatStandsCannotClimb() {
    assertThatThrownBy(
            () -> new Segment("wait", 0, new Extent.Lasting(60), new Effort.Worked(0.1, 0)))
        .isInstanceOf(InvalidValue.class)
        .hasMessageContaining("wait")
        .hasMessageContaining("it must move");
  }

  @Test
  void aRoundFollowsItsVehicleAndItsOrder() {
    Segment climb = Segment.Template.CLIMB.segment();
    Segment idle = Segment.Template.IDLE.segment();
    Task.ByRound round = new Task.ByRound(CART, List.of(climb, idle), 3);
    double light = power(round, 0);
    assertThat(power(round.withVehicle(CART.withMass(200)), 0)).isGreaterThan(1.8 * (light - 10));
    assertThat(round.movedSegment(0, 1).segments()).containsExactly(idle, climb);
    assertThat(round.movedSegment(0, -1)).isEqualTo(round);
    assertThat(round.movedSegment(1, 2)).isEqualTo(round);
  }

  @Test
  void brakingIsCappedByTheMachineAndTheGuard() {
    Design barrow = Samples.barrow();
    Design weak =
        barrow.withDuty(
            barrow.duty().withMachine(barrow.duty().machine().withRegenerationCurrent(1)));
    Design none =
        barrow.withDuty(
            barrow.duty().withMachine(barrow.duty().machine().withRegenerationCurrent(0)));
    Forecast free = Forecast.of(barrow);
    Forecast capped = Forecast.of(weak);
    double given = free.duty().totals().energyBack();
    assertThat(capped.duty().totals().energyBack()).isLessThan(given / 2);
    assertThat(capped.duty().totals().refused()).isGreaterThan(given / 2);
    assertThat(Forecast.of(none).duty().totals().energyBack()).isZero();
  }

  @Test
  void theWorkingOfASegmentShowsWhatWentIn() {
    Task.ByRound round = new Task.ByRound(CART, List.of(Segment.Template.CLIMB.segment()), 1);
    var working = DutyWorkings.power(round, 0);
    assertThat(working.formula()).contains("sin s");
    assertThat(working.inputs()).anyMatch(i -> i.value().equals("12.0 %"));
    assertThat(working.result()).isEqualTo("152 W");
  }

  private static double power(Task.ByRound round, int step) {
    return ((Load.Power) round.load().steps().get(step).demand()).watts();
  }
}
