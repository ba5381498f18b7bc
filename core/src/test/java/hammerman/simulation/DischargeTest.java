package hammerman.simulation;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import hammerman.Samples;
import hammerman.cell.CellCircuit;
import hammerman.chain.Chain;
import hammerman.design.Design;
import hammerman.duty.Load;
import hammerman.duty.Machine;
import hammerman.pack.Assembly;
import hammerman.pack.Pack;
import hammerman.simulation.Trace.Channel;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class DischargeTest {
  private static final double ROOM = Samples.ROOM;
  private final Pack one = Samples.pack("b21700", 1, 1);
  private final Design barrow = Samples.barrow();

  @Test
  void constantCurrentEmptiesACellInCapacityOverCurrent() {
    Run run = Discharge.bare(one, Load.current(2.25, 3 * 3600), 1, ROOM).run();
    assertThat(run.outcome()).isInstanceOf(Outcome.Empty.class);
    assertThat(run.endTime()).isCloseTo(7200, within(1.0));
    assertThat(run.totals().delivered()).isCloseTo(4.5, within(1e-3));
  }

  @Test
  void stepResponseFollowsTheClosedForm() {
    double current = 1.0;
    Run run = Discharge.bare(one, Load.current(current, 120), 0.7, ROOM).run();
    CellCircuit circuit = new CellCircuit(one.cell());
    double r10 = one.cell().r10();
    for (int k = 0; k < run.trace().size(); k++) {
      double t = run.trace().at(Channel.TIME, k);
      double drop =
          r10
              * (0.70 + 0.596 * (1 - Math.exp(-t / 15)) + 0.30 * (1 - Math.exp(-t / 300)))
              * current;
      double expected =
          circuit.openCircuit(run.trace().at(Channel.SOC, k))
              - drop
              - current * Assembly.estimated(one).stripResistance(ROOM);
      assertThat(run.trace().at(Channel.VOLTAGE, k))
          .as("at %s s", t)
          .isCloseTo(expected, within(3e-5));
    }
  }

  @Test
  void aRunWithoutSamplesIsTheSameRun() {
    Load load = Load.power(900, 3600);
    Discharge discharge = Discharge.bare(barrow.pack(), load, 1, ROOM);
    Run run = discharge.run();
    Run untraced = discharge.untraced().run();
    assertThat(run.trace().size()).isGreaterThan(1500);
    assertThat(untraced.trace().size()).isZero();
    assertThat(untraced.extremes()).isEqualTo(run.extremes());
    assertThat(untraced.totals()).isEqualTo(run.totals());
    assertThat(untraced.endSoc()).isEqualTo(run.endSoc());
    double mean = 0;
    for (int k = 1; k < run.trace().size(); k++) {
      double both =
          run.trace().at(Channel.TEMPERATURE, k - 1) + run.trace().at(Channel.TEMPERATURE, k);
      double dt = run.trace().at(Channel.TIME, k) - run.trace().at(Channel.TIME, k - 1);
      mean += 0.5 * both * dt / run.endTime();
    }
    assertThat(untraced.meanRise(ROOM)).isCloseTo(mean - ROOM, within(1e-6)).isPositive();
  }

  @Test
  void theBranchesRelaxWhenTheLoadIsTakenOff() {
    Load load =
        new Load(
            List.of(
                new Load.Step(new Load.Current(4.5), 600, 0),
                new Load.Step(new Load.Current(0), 3600, 0)),
            1);
    Run run = Discharge.bare(one, load, 0.8, ROOM).run();
    double rested = new CellCircuit(one.cell()).openCircuit(run.endSoc());
    double last = run.trace().at(Channel.VOLTAGE, run.trace().size() - 1);
    assertThat(last).isCloseTo(rested, within(1e-4));
  }

  @Test
  void parallelCellsActAsOneOfLessResistance() {
    Run single = Discharge.bare(one, Load.current(3, 120), 0.9, ROOM).run();
    Run five = Discharge.bare(Samples.pack("b21700", 1, 5), Load.current(15, 120), 0.9, ROOM).run();
    assertThat(five.endSoc()).isCloseTo(single.endSoc(), within(1e-12));
    // The box around five cells sheds heat differently; resistance follows temperature a little.
    assertThat(five.extremes().lowestVoltage())
        .isCloseTo(single.extremes().lowestVoltage(), within(2e-4));
  }

  @Test
  void doublingTheSeriesCountDoublesVoltageAndLeavesCurrent() {
    Run four = Discharge.bare(Samples.pack("f32700", 4, 2), Load.current(3, 60), 0.9, ROOM).run();
    Run eight = Discharge.bare(Samples.pack("f32700", 8, 2), Load.current(3, 60), 0.9, ROOM).run();
    assertThat(eight.trace().at(Channel.VOLTAGE, 60) / four.trace().at(Channel.VOLTAGE, 60))
        .isCloseTo(2, within(1e-4));
    assertThat(eight.extremes().peakCurrent()).isEqualTo(four.extremes().peakCurrent());
  }

  @Test
  void constantPowerHoldsThePower() {
    Run run = Discharge.of(Chain.of(barrow), Load.power(500, 1200), 0.9, ROOM).run();
    for (int k = 0; k < run.trace().size(); k += 50) {
      assertThat(run.trace().at(Channel.POWER, k)).isCloseTo(500, within(0.5));
    }
    assertThat(run.totals().energyOut()).isCloseTo(500 * 1200.0, within(200.0));
  }

  @Test
  void chemicalEnergyIsDeliveredOrHeat() {
    Run run = Discharge.of(Chain.of(barrow), barrow.duty().task().load(), 1, 311.15).run();
    assertThat(run.outcome().complete()).isTrue();
    assertThat(run.totals().imbalance()).isCloseTo(0, within(1e-3));
  }

  @ParameterizedTest
  @ValueSource(doubles = {400, 900, 1500})
  void halvingTheStepChangesTheEndByLessThanATenthPercent(double watts) {
    Discharge discharge = Discharge.of(Chain.of(barrow), Load.power(watts, 5 * 3600), 1, ROOM);
    double whole = discharge.withStep(1).run().endTime();
    double half = discharge.withStep(0.5).run().endTime();
    assertThat(half).isCloseTo(whole, within(whole * 1e-3));
  }

  @Test
  void temperatureFollowsTheLumpedHeatingCurve() {
    // Small current, so that resistance hardly changes with temperature.
    double current = 1.2;
    Run run = Discharge.bare(one, Load.current(current, 3000), 0.75, ROOM).run();
    double resistance = one.cell().r10() * 1.596 + Assembly.estimated(one).stripResistance(ROOM);
    double conductance = Assembly.estimated(one).conductance();
    double settled = current * current * resistance / conductance;
    double tau = one.heatCapacity() / conductance;
    double rise = settled * (1 - Math.exp(-3000 / tau));
    double found = run.trace().at(Channel.TEMPERATURE, run.trace().size() - 1) - ROOM;
    assertThat(found).isCloseTo(rise, within(0.06 * rise));
  }

  @Test
  void namesTheMachinesCutOut() {
    Run run = Discharge.of(Chain.of(barrow), Load.current(20, 7200), 1, ROOM).run();
    assertThat(run.outcome())
        .isInstanceOfSatisfying(
            Outcome.MachineCutOut.class, o -> assertThat(o.limit()).isEqualTo(41));
    assertThat(run.extremes().lowestVoltage()).isCloseTo(41, within(1e-3));
  }

  @Test
  void namesTheBmsWhenItComesFirst() {
    Design strict = Samples.withBms(barrow, b -> b.withVoltages(3.4, 4.25));
    Run run = Discharge.of(Chain.of(strict), Load.current(20, 7200), 1, ROOM).run();
    assertThat(run.outcome().key()).isEqualTo("bmsCutOff");
  }

  @Test
  void opensOnOverCurrentOnlyAfterTheDelay() {
    Design touchy = Samples.withBms(barrow, b -> b.withTrip(40, 3));
    assertThat(
            Discharge.of(Chain.of(touchy), Load.current(50, 3), 1, ROOM).run().outcome().complete())
        .isTrue();
    Run run = Discharge.of(Chain.of(touchy), Load.current(50, 60), 1, ROOM).run();
    assertThat(run.outcome().key()).isEqualTo("overCurrentTrip");
    assertThat(run.endTime()).isCloseTo(3, within(1e-9));
  }

  @Test
  void stopsAtTheTemperatureLimit() {
    Design hot = barrow.withPack(Samples.pack("r18650", 13, 6));
    Run run = Discharge.of(Chain.of(hot), Load.current(40, 3600), 1, 318.15).run();
    assertThat(run.outcome()).isInstanceOf(Outcome.TooHot.class);
    assertThat(run.extremes().peakTemperature()).isCloseTo(333.15, within(0.2));
  }

  @Test
  void saysWhenThePowerCannotBeHad() {
    Machine mild = barrow.duty().machine().withCutOutVoltage(1).withPeakCurrent(5000);
    Design d =
        Samples.withBms(
            barrow.withDuty(barrow.duty().withMachine(mild)), b -> b.withVoltages(0.5, 4.25));
    Run run = Discharge.of(Chain.of(d), Load.power(60_000, 10), 1, ROOM).run();
    assertThat(run.outcome())
        .isInstanceOfSatisfying(
            Outcome.CannotDeliver.class,
            o -> assertThat(o.most()).isLessThan(60_000).isGreaterThan(5000));
  }

  @Test
  void brakingChargesThePackUpToTheBmsLimit() {
    Load braking = new Load(List.of(new Load.Step(new Load.Power(-2000), 60, 0)), 1);
    Run run = Discharge.of(Chain.of(barrow), braking, 0.5, ROOM).run();
    assertThat(run.totals().regenerated()).isCloseTo(15 * 60 / 3600.0, within(1e-9));
    assertThat(run.totals().refused()).isGreaterThan(60 * 1000.0);
    assertThat(run.endSoc()).isGreaterThan(0.5);
  }

  @Test
  void aFullPackTakesNothingBack() {
    Load braking = new Load(List.of(new Load.Step(new Load.Power(-300), 60, 0)), 1);
    Run run = Discharge.of(Chain.of(barrow), braking, 1, ROOM).run();
    assertThat(run.totals().regenerated()).isZero();
    assertThat(run.totals().refused()).isCloseTo(300 * 60.0, within(300.0));
  }

  @Test
  void theMachineWithholdsPowerAboveItsLimit() {
    Run run = Discharge.of(Chain.of(barrow), Load.power(3500, 20), 0.6, ROOM).run();
    assertThat(run.extremes().peakCurrent()).isEqualTo(60);
    assertThat(run.totals().withheld()).isGreaterThan(0);
  }

  @Test
  void coldShortensTheRun() {
    double warm = Discharge.of(Chain.of(barrow), Load.power(400, 36000), 1, ROOM).run().endTime();
    double cold = Discharge.of(Chain.of(barrow), Load.power(400, 36000), 1, 253.15).run().endTime();
    assertThat(cold).as("its own heat brings some of it back").isLessThan(0.95 * warm);
  }

  @Test
  void theSameRunTwiceIsTheSame() {
    Discharge d = Discharge.of(Chain.of(barrow), barrow.duty().task().load(), 1, ROOM);
    assertThat(d.run().totals()).isEqualTo(d.run().totals());
  }
}
