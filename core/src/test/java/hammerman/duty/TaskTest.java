package hammerman.duty;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import hammerman.duty.Segment.Effort;
import hammerman.duty.Segment.Extent;
import hammerman.duty.Task.ByLog.LogStep;
import hammerman.unit.InvalidValue;
import hammerman.unit.Unit;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** What is asked, in each of the ways people know it, as a load. */
class TaskTest {
  private static final Vehicle CART = new Vehicle(100, 0.02, 0.5, 0.8, 0.5, 10);

  private static double energy(Load load) {
    return load.rounds()
        * load.steps().stream()
            .mapToDouble(
                s ->
                    switch (s.demand()) {
                      case Load.Power p -> p.watts() * s.duration();
                      case Load.Current c -> c.amperes() * s.duration();
                    })
            .sum();
  }

  @Test
  void hoursAtWatts() {
    Load load = new Task.ByTime(25, 10 * 3600).load();
    assertThat(Unit.WATT_HOUR.fromCore(energy(load))).isCloseTo(250, within(1e-9));
    assertThat(load.duration()).isEqualTo(36_000);
    assertThat(load.steps().getFirst().speed()).isZero();
  }

  /** 12 km at 30 Wh/km and 6 km/h: 360 Wh over two hours, 180 W. */
  @Test
  void kilometresAtWattHoursEach() {
    Load load = new Task.ByDistance(12_000, 30 * 3.6, 6 / 3.6).load();
    assertThat(Unit.WATT_HOUR.fromCore(energy(load))).isCloseTo(360, within(1e-9));
    assertThat(load.duration()).isCloseTo(7200, within(1e-9));
    assertThat(((Load.Power) load.steps().getFirst().demand()).watts())
        .isCloseTo(180, within(1e-9));
  }

  @Test
  void roundsRepeatTheirSegments() {
    Segment work = new Segment("work", 0, new Extent.Lasting(60), new Effort.Given(500));
    Segment rest = new Segment("rest", 0, new Extent.Lasting(240), new Effort.Given(5));
    Task.ByRound round = new Task.ByRound(CART, List.of(work, rest), 4);
    assertThat(energy(round.load())).isCloseTo(4 * (60 * 500 + 240 * 5), within(1e-6));
    assertThat(round.load().duration()).isEqualTo(1200);
    assertThat(round.plusSegment(1, work).segments()).containsExactly(work, work, rest);
    assertThat(round.minusSegment(0).withSegment(0, work).segments()).containsExactly(work);
    assertThatThrownBy(() -> round.minusSegment(0).withSegment(0, idle()))
        .isInstanceOf(InvalidValue.class)
        .hasMessageContaining("draw more than 0 W");
  }

  private static Segment idle() {
    return new Segment("idle", 0, new Extent.Lasting(60), new Effort.Given(0));
  }

  @Test
  void aLogIsHeldAsPowerOrCurrent() {
    List<LogStep> steps = List.of(new LogStep(10, 300, 2), new LogStep(5, -100, 1));
    Task.ByLog power = new Task.ByLog("run.csv", Task.ByLog.Quantity.POWER, steps, 2);
    assertThat(energy(power.load())).isCloseTo(2 * (3000 - 500), within(1e-9));
    Load current = power.withQuantity(Task.ByLog.Quantity.CURRENT).load();
    assertThat(current.steps().getFirst().demand()).isEqualTo(new Load.Current(300));
    assertThatThrownBy(() -> power.withSteps(List.of(new LogStep(10, -1, 0))))
        .isInstanceOf(InvalidValue.class)
        .hasMessageContaining("sign of its current column");
  }

  @Test
  void whatNobodyCanMeanIsRefusedByName() {
    assertThatThrownBy(() -> new Task.ByTime(0, 3600)).hasMessageContaining("Power");
    assertThatThrownBy(() -> new Task.ByTime(10, 1e9)).hasMessageContaining("Duration");
    assertThatThrownBy(() -> new Task.ByDistance(1000, 100, 0)).hasMessageContaining("Speed");
    assertThatThrownBy(() -> new Task.ByDistance(1e7, 100, 0.01)).hasMessageContaining("Time");
    assertThatThrownBy(() -> new Load(List.of(), 1)).isInstanceOf(IllegalArgumentException.class);
  }

  /** A range is worked out for usual loads: the vehicle model must land in or near it. */
  @ParameterizedTest
  @EnumSource(EffortRange.class)
  void rangesAreRisingAndPlausible(EffortRange range) {
    assertThat(range.low()).isPositive().isLessThan(range.high());
    assertThat(range.typical()).isBetween(range.low(), range.high());
    assertThat(range.label()).isNotBlank();
    double wattHours = Unit.WATT_HOUR_PER_KILOMETRE.fromCore(range.typical());
    assertThat(wattHours).isBetween(3.0, 300.0);
  }

  /** 100 kg on firm level ground at walking pace: m g c_r / η, with what else it draws. */
  @Test
  void aLoadedWalkIsInItsRange() {
    double speed = 4 / 3.6;
    double perMetre = CART.batteryPower(speed, 0, 0) / speed;
    assertThat(perMetre)
        .isBetween(EffortRange.WALKING_LOADED.low() * 0.8, EffortRange.WALKING_LOADED.high());
  }
}
