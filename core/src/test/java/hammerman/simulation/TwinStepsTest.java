package hammerman.simulation;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import hammerman.Samples;
import hammerman.chain.Chain;
import hammerman.design.Design;
import hammerman.design.SecondPack;
import hammerman.design.SecondPack.Joining;
import hammerman.duty.Load;
import hammerman.simulation.Trace.Channel;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Two packs in steps of any length: the same physics, and nothing that swings. */
class TwinStepsTest {
  private static final double AIR = 290;

  private static TwinRun run(SecondPack second, Load load, double step) {
    Design d = Samples.barrow();
    if (second.joining() == Joining.SERIES) {
      d = d.withDuty(d.duty().withMachine(d.duty().machine().withMaximumVoltage(130)));
    }
    Chain chain = Chain.of(d.withSecond(second));
    return TwinRun.untraced(chain, TwinRun.Cells.of(chain), load, AIR, step);
  }

  /**
   * Against steps of a fifth of a second; a current held from its start is off ten times as far.
   */
  @ParameterizedTest
  @EnumSource(Joining.class)
  void longStepsTellWhatShortOnesDo(Joining joining) {
    SecondPack second = Samples.second(joining).withSoc(0.8);
    Load load = Load.power(500, 1.5 * 3600);
    TwinRun fine = run(second, load, 0.2);
    TwinRun coarse = run(second, load, 10);
    assertThat(coarse.both().endTime())
        .isCloseTo(fine.both().endTime(), within(1e-4 * fine.both().endTime()));
    assertThat(coarse.first().charge()).isCloseTo(fine.first().charge(), within(2e-4));
    assertThat(coarse.second().charge()).isCloseTo(fine.second().charge(), within(2e-4));
    assertThat(coarse.both().totals().energyOut())
        .isCloseTo(
            fine.both().totals().energyOut(), within(1e-5 * fine.both().totals().energyOut()));
    assertThat(coarse.both().extremes().peakTemperature())
        .isCloseTo(fine.both().extremes().peakTemperature(), within(0.01));
  }

  /**
   * Two packs apart by a fifth of their charge level out; minutes in a step do not throw it over.
   */
  @ParameterizedTest
  @ValueSource(doubles = {1, 60, 600})
  void packsThatLevelOutDoNotSwing(double step) {
    SecondPack low = Samples.second(Joining.PARALLEL).withFirstSoc(0.8).withSoc(0.6);
    Design d = Samples.barrow();
    Chain chain = Chain.of(d.withSecond(low));
    Twins twins =
        new Twins(chain, TwinRun.Cells.of(chain), Load.current(0, 6 * 3600), AIR, step, true);
    Trace first = twins.run().first().run().trace();
    double begins = first.at(Channel.CURRENT, 0);
    assertThat(begins).isGreaterThan(10);
    double before = begins;
    for (int k = 1; k < first.size(); k++) {
      double now = first.at(Channel.CURRENT, k);
      assertThat(Math.abs(now)).as("less and less").isLessThanOrEqualTo(Math.abs(before) + 1e-9);
      assertThat(now).as("out of the fuller").isGreaterThan(-0.05 * begins);
      before = now;
    }
    assertThat(before).as("level in the end").isLessThan(0.05);
  }

  /** What brakes into full packs is refused; they go on to give what is asked next. */
  @ParameterizedTest
  @EnumSource(Joining.class)
  void aFullPackTakesNothingAndGoesOnGiving(Joining joining) {
    Load load =
        new Load(
            List.of(
                new Load.Step(new Load.Current(-3), 60, 1),
                new Load.Step(new Load.Current(20), 600, 1)),
            1);
    SecondPack full = Samples.second(joining).withFirstSoc(1).withSoc(1);
    TwinRun run = run(full, load, 10);
    assertThat(run.both().outcome().complete()).isTrue();
    assertThat(run.both().totals().regenerated()).isZero();
    assertThat(run.both().totals().refused()).isGreaterThan(3 * 40 * 60);
    assertThat(run.both().totals().delivered()).isCloseTo(20 * 600 / 3600.0, within(1e-9));
    assertThat(run.first().openedAt()).isNaN();
    assertThat(run.second().openedAt()).isNaN();
  }

  /** The one that has room takes what the other cannot. */
  @Test
  void thePackWithRoomTakesTheBrakingAlone() {
    SecondPack room = Samples.second(Joining.PARALLEL).withFirstSoc(0.5).withSoc(1);
    TwinRun run = run(room.withJoining(Joining.SWITCH_OVER), Load.current(-2, 60), 5);
    assertThat(run.both().totals().regenerated()).isCloseTo(2 * 60 / 3600.0, within(1e-9));
    assertThat(run.second().charge()).isZero();
    assertThat(run.first().run().endSoc()).isGreaterThan(0.5);
  }

  /** A pack stops exactly full, in whatever steps it is gone through. */
  @ParameterizedTest
  @ValueSource(doubles = {1, 60})
  void brakingEndsWhereThePackIsFull(double step) {
    SecondPack nearly = Samples.second(Joining.SWITCH_OVER).withFirstSoc(0.9999).withSoc(0.5);
    TwinRun run = run(nearly, Load.current(-3, 600), step);
    double room = 1e-4 * Samples.barrow().pack().capacity();
    assertThat(run.both().totals().regenerated()).isCloseTo(room, within(1e-6));
    assertThat(run.first().run().endSoc()).isCloseTo(1, within(1e-9));
    assertThat(run.both().endTime()).isCloseTo(600, within(1e-6));
  }

  /** A group more, and the other pack is full: it takes none of what would flow into it. */
  @ParameterizedTest
  @ValueSource(ints = {12, 14})
  void aFullPackTakesNothingOfAHigherOne(int series) {
    SecondPack other = Samples.second(Joining.PARALLEL);
    SecondPack uneven = other.withPack(other.pack().withCounts(series, 4)).withSoc(1);
    TwinRun run = run(uneven, Load.current(2, 60), 5);
    TwinRun.Side higher = series == 14 ? run.second() : run.first();
    TwinRun.Side lower = series == 14 ? run.first() : run.second();
    assertThat(lower.charge()).isZero();
    assertThat(lower.back()).isZero();
    assertThat(lower.run().endSoc()).isEqualTo(1);
    assertThat(higher.charge()).isCloseTo(2 * 60 / 3600.0, within(1e-9));
    assertThat(run.both().totals().delivered()).isCloseTo(2 * 60 / 3600.0, within(1e-9));
  }

  /** Without load the machine sees the higher pack, less its diode. */
  @ParameterizedTest
  @ValueSource(doubles = {0.5, 0.9})
  void withoutLoadTheHigherStandsAtTheMachine(double soc) {
    SecondPack second = Samples.second(Joining.DIODES).withFirstSoc(0.7).withSoc(soc);
    TwinRun run = run(second, Load.current(0, 10), 5);
    double higher = 13 * Samples.barrow().pack().cell().openCircuit().value(Math.max(0.7, soc));
    assertThat(run.both().extremes().lowestVoltage()).isCloseTo(higher - 0.4, within(1e-6));
    TwinRun braked = run(second, Load.current(-5, 10), 5);
    assertThat(braked.both().totals().regenerated()).isZero();
    assertThat(braked.both().totals().refused()).isCloseTo(5 * higher * 10, within(50.0));
  }

  /** A step that one pack cuts short has gone by for the other too, once and not twice. */
  @Test
  void theDelayOfOneGoesOnWhereTheOtherOpensWithinAStep() {
    Design d = Samples.withBms(Samples.barrow(), b -> b.withTrip(10, 3));
    SecondPack plain = Samples.second(Joining.PARALLEL);
    SecondPack second =
        plain.withGuard(
            plain
                .guard()
                .withProtection(plain.guard().protection().withBms(b -> b.withTrip(5, 5))));
    Chain chain = Chain.of(d.withSecond(second));
    TwinRun run = TwinRun.untraced(chain, TwinRun.Cells.of(chain), Load.current(30, 60), AIR, 10);
    assertThat(run.first().openedAt()).isCloseTo(3, within(1e-9));
    assertThat(run.second().openedAt()).isCloseTo(5, within(1e-9));
    assertThat(run.both().endTime()).isCloseTo(5, within(1e-9));
    assertThat(run.first().run().outcome()).isInstanceOf(Outcome.OverCurrent.class);
    assertThat(run.first().run().endTime()).isCloseTo(3, within(1e-9));
    assertThat(run.first().run().totals().delivered()).isLessThan(30 * 3 / 3600.0);
  }

  /** A pack that is not opened ends as both do. */
  @Test
  void aPackThatStaysClosedEndsAsBothDo() {
    TwinRun run = run(Samples.second(Joining.PARALLEL), Load.current(10, 60), 5);
    assertThat(run.served()).isTrue();
    assertThat(run.first().run().outcome()).isInstanceOf(Outcome.Complete.class);
    assertThat(run.second().run().endTime()).isCloseTo(60, within(1e-9));
  }

  /** What a pack gives at the junction is what reaches the machine and what both share. */
  @ParameterizedTest
  @EnumSource(Joining.class)
  void theEnergyOfBothIsThatOfTheMachineAndOfWhatLiesBetween(Joining joining) {
    SecondPack second = Samples.second(joining).withSoc(0.8);
    TwinRun run = run(second, Load.power(500, 1800), 5);
    double given = net(run.first().run()) + net(run.second().run());
    double apart = given - net(run.both());
    double shared =
        run.both().totals().pathHeat()
            - run.first().run().totals().pathHeat()
            - run.second().run().totals().pathHeat();
    assertThat(apart).isCloseTo(shared, within(1e-6 * given)).isPositive();
    for (TwinRun.Side side : List.of(run.first(), run.second())) {
      assertThat(side.run().totals().imbalance()).isCloseTo(0, within(1e-3));
    }
  }

  private static double net(Run run) {
    return run.totals().energyOut() - run.totals().energyBack();
  }
}
