package hammerman.simulation;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import hammerman.Samples;
import hammerman.cell.CellCircuit;
import hammerman.readymade.HardStart;
import hammerman.readymade.ReadyMade;
import hammerman.simulation.StartRun.End;
import org.junit.jupiter.api.Test;

class StartRunTest {
  private final ReadyMade battery = new ReadyMade(Samples.cell("p18650"), 10, 2, 40, 0.05, 2.6);
  private final HardStart hard = new HardStart(0.25, 0.4, 8, 0, null);

  @Test
  void theFirstCurrentIsThatOfTheStalledMotor() {
    CellCircuit c = new CellCircuit(battery.cell());
    double inner = 10 * c.ohmic(1, Samples.ROOM) / 2;
    double stalled = 10 * c.openCircuit(1) / (0.25 + inner);
    StartRun run = StartRun.of(battery, hard, 1);
    assertThat(run.peak()).isCloseTo(stalled, within(0.01 * stalled));
    assertThat(run.end()).isEqualTo(End.CURRENT_TRIP);
    assertThat(run.endTime()).isCloseTo(0.05, within(0.005));
  }

  @Test
  void withoutATripItComesUpByItsTimeConstant() {
    // e = e∞ (1 − e^(−t/τ')), 95 % after 3 τ'; the inner resistance slows it: τ' = τ (R + Rb) / R.
    ReadyMade strong = battery.withTrip(1000, 1).withCounts(10, 40);
    StartRun run = StartRun.of(strong, hard, 0.5);
    assertThat(run.end()).isEqualTo(End.RUNS);
    assertThat(run.upToSpeed()).isCloseTo(3 * 0.4, within(0.08));
  }

  @Test
  void theShortestRampJustAvoidsTheTrip() {
    double ramp = StartRun.shortestRamp(battery, hard, 1).orElseThrow();
    assertThat(ramp).isGreaterThan(0.1);
    assertThat(StartRun.of(battery, hard.withRamp(ramp), 1).end()).isEqualTo(End.RUNS);
    assertThat(StartRun.of(battery, hard.withRamp(ramp - 0.05), 1).end())
        .isEqualTo(End.CURRENT_TRIP);
  }

  @Test
  void aCurrentLimitAvoidsItWithoutARamp() {
    StartRun run = StartRun.capped(battery, hard, 1);
    assertThat(run.end()).isEqualTo(End.RUNS);
    assertThat(run.peak()).isLessThanOrEqualTo(0.95 * 40 + 0.05);
    assertThat(run.upToSpeed()).isFinite();
  }

  @Test
  void nearlyEmptyItIsTheVoltageThatTrips() {
    ReadyMade weak = battery.withTrip(200, 0.5).withCounts(10, 1);
    assertThat(StartRun.of(weak, hard, 0.05).end()).isEqualTo(End.VOLTAGE_TRIP);
    assertThat(StartRun.of(weak, hard, 0.05).lowest())
        .isLessThan(StartRun.of(weak, hard, 1).lowest());
  }

  /** A motor that never turns draws its current for ever: it trips after the delay, counted so. */
  @Test
  void theTimeAboveTheTripIsItsDelay() {
    HardStart stalled = new HardStart(0.25, 60, 8, 0, null);
    StartRun run = StartRun.of(battery.withTrip(60, 0.5), stalled, 1);
    assertThat(run.end()).isEqualTo(End.CURRENT_TRIP);
    assertThat(run.timeAbove()).isCloseTo(0.5, within(2e-3));
    assertThat(run.endTime()).isCloseTo(0.5, within(2e-3));
    StartRun below = StartRun.of(battery.withTrip(1000, 0.5), stalled, 1);
    assertThat(below.timeAbove()).isZero();
  }

  /** Held at a current for seconds the cells sag by their RC branches, beside the ohmic drop. */
  @Test
  void theCellsSagOverALongStart() {
    HardStart slow = new HardStart(0.25, 60, 8, 0, 35.0);
    StartRun run = StartRun.of(battery.withTrip(1000, 5), slow, 0.5);
    CellCircuit c = new CellCircuit(battery.cell());
    double ohmic = 10 * (c.openCircuit(0.5) - 35.0 / 2 * c.ohmic(0.5, Samples.ROOM));
    double settled = 10 * (c.openCircuit(0.5) - 35.0 / 2 * c.settled(0.5, Samples.ROOM));
    assertThat(run.lowest()).isBetween(settled - 2, ohmic - 0.5);
    assertThat(run.current()[0]).isCloseTo(35, within(0.1));
    assertThat(run.time()[1] - run.time()[0]).isLessThan(0.1);
  }
}
