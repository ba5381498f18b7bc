package hammerman.simulation;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import hammerman.Samples;
import hammerman.cell.CellCircuit;
import hammerman.chain.Chain;
import hammerman.chain.Junction;
import hammerman.design.Design;
import hammerman.design.SecondPack;
import hammerman.design.SecondPack.Joining;
import hammerman.duty.Load;
import hammerman.pack.Assembly;
import hammerman.pack.Pack;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class TwinRunTest {
  private final Design barrow = Samples.barrow();

  private TwinRun run(Joining joining) {
    SecondPack second = Samples.second(joining);
    Design d = barrow.withSecond(second);
    if (joining == Joining.SERIES) {
      d = d.withDuty(d.duty().withMachine(d.duty().machine().withMaximumVoltage(130)));
    }
    return TwinRun.of(Chain.of(d));
  }

  @ParameterizedTest
  @EnumSource(Joining.class)
  void chargeAndEnergyAreKept(Joining joining) {
    TwinRun run = run(joining);
    assertThat(run.both().totals().imbalance()).isCloseTo(0, within(1e-3));
    SecondPack second = Samples.second(joining);
    double q = barrow.pack().capacity();
    double used = (second.firstSoc() - run.first().run().endSoc()) * q;
    assertThat(run.first().charge()).isCloseTo(used, within(1e-6));
  }

  /** Two sources behind resistances: I1 = (E1 − E2 + I R2) / (R1 + R2). */
  @Test
  void theFirstSecondSharesLikeTheTwoBranchCircuit() {
    SecondPack second = Samples.second(Joining.PARALLEL);
    Design d = barrow.withSecond(second);
    TwinRun run = Samples.together(d, second, Load.current(30, 1));
    Pack a = d.pack();
    Pack b = second.pack();
    double kelvin = d.duty().surroundings().hottestInUse();
    double r1 = ohmic(a, 1, kelvin) + d.guard().own(kelvin);
    double r2 = ohmic(b, 0.98, kelvin) + 3e-3;
    double e1 = 13 * a.cell().openCircuit().value(1);
    double e2 = 13 * b.cell().openCircuit().value(0.98);
    double first = (e1 - e2 + 30 * r2) / (r1 + r2);
    assertThat(run.first().run().trace().at(Trace.Channel.CURRENT, 0))
        .isCloseTo(first, within(1e-6 * first));
    assertThat(run.second().run().trace().at(Trace.Channel.CURRENT, 0))
        .isCloseTo(30 - first, within(1e-6 * first));
  }

  private static double ohmic(Pack p, double soc, double kelvin) {
    return 13 * new CellCircuit(p.cell()).ohmic(soc, kelvin) / p.parallel()
        + Assembly.estimated(p).stripResistance(kelvin);
  }

  @Test
  void theEmptierPackIsChargedByTheFullerOneUnlessDiodesForbid() {
    SecondPack low = Samples.second(Joining.PARALLEL).withSoc(0.7);
    TwinRun direct = Samples.together(barrow, low, Load.current(0.1, 60));
    assertThat(direct.second().back()).isGreaterThan(5);
    TwinRun diodes =
        Samples.together(barrow, low.withJoining(Joining.DIODES), Load.current(0.1, 60));
    assertThat(diodes.second().back()).isZero();
    assertThat(diodes.second().charge()).isZero();
  }

  @Test
  void theReserveWaitsAndThenTakesOver() {
    TwinRun run = run(Joining.SWITCH_OVER);
    TwinRun longer =
        Samples.together(
            barrow,
            Samples.second(Joining.SWITCH_OVER),
            barrow.duty().task().load().withRounds(18));
    assertThat(run.second().charge()).isZero();
    assertThat(longer.switchedAt()).isGreaterThan(run.both().endTime());
    assertThat(longer.second().charge()).isGreaterThan(5);
  }

  /** The BMS of one of two packs opens on the same current, after the same delay, as alone. */
  @Test
  void aBmsOfOneOfTwoPacksTripsOnOverCurrentAsItWouldAlone() {
    Design touchy = Samples.withBms(barrow, b -> b.withTrip(10, 5));
    Load load = Load.current(30, 60);
    Run alone = Discharge.of(Chain.of(touchy), load, 1, 298.15).run();
    TwinRun two = Samples.together(touchy, Samples.second(Joining.PARALLEL), load);
    assertThat(alone.outcome().key()).isEqualTo("overCurrentTrip");
    assertThat(alone.endTime()).isCloseTo(5, within(1e-6));
    assertThat(two.first().peak()).isGreaterThan(10);
    assertThat(two.first().openedAt()).isCloseTo(5, within(1e-6));
    assertThat(two.second().peak()).as("then the other carries all").isCloseTo(30, within(0.1));
  }

  @Test
  void twoEqualPacksInParallelAreOneOfTwiceTheWidth() {
    SecondPack equal = new SecondPack(barrow.pack(), barrow.guard(), Joining.PARALLEL, 1, 1);
    TwinRun run = Samples.together(barrow, equal, Load.power(500, 3600));
    assertThat(run.first().charge()).isCloseTo(run.second().charge(), within(1e-9));
    Design wide =
        Samples.withGuard(
            Samples.withBms(barrow.withCounts(13, 12), b -> b.withResistance(1.5e-3)),
            g ->
                g.withFuse(f -> f.withRating(120))
                    .withWiring(
                        g.wiring()
                            .withLeads(
                                g.wiring()
                                    .leads()
                                    .withPackToFuse(0.135 / 2)
                                    .withFuseToSwitch(0.225 / 2)
                                    .withBmsToPack(0.135 / 2))));
    Run one = Discharge.of(Chain.of(wide), Load.power(500, 3600), 1, 311.15).run();
    assertThat(run.first().charge() * 2)
        .isCloseTo(one.totals().delivered(), within(2e-3 * one.totals().delivered()));
  }

  /** What is left of two packs of different size counts by what each holds. */
  @Test
  void whatIsLeftOfTwoPacksWeighsByTheirCapacity() {
    TwinRun run = run(Joining.SWITCH_OVER);
    double first = barrow.pack().capacity();
    double second = Samples.second(Joining.SWITCH_OVER).pack().capacity();
    double left = run.first().run().endSoc() * first + run.second().run().endSoc() * second;
    assertThat(first).isNotEqualTo(second);
    assertThat(run.both().endSoc()).isCloseTo(left / (first + second), within(1e-9));
  }

  /** The step in which a pack opens ends there; the other carries the rest of it. */
  @Test
  void theChargeOfTwoPacksIsThatOfTheLoadWhereverOneOpens() {
    Design touchy = Samples.withBms(barrow, b -> b.withTrip(10, 5.3));
    TwinRun two = Samples.together(touchy, Samples.second(Joining.PARALLEL), Load.current(30, 60));
    assertThat(two.first().openedAt()).isCloseTo(5.3, within(1e-6));
    assertThat(two.both().totals().delivered()).isCloseTo(0.5, within(1e-9));
    assertThat(two.first().charge() + two.second().charge()).isCloseTo(0.5, within(1e-9));
    assertThat(two.both().extremes().peakCurrent()).isCloseTo(30, within(1e-9));
  }

  /** A pack that cannot give the power has figures all the same. */
  @Test
  void twoPacksThatCannotDeliverStillTellTheirVoltage() {
    TwinRun two = Samples.together(barrow, Samples.second(Joining.PARALLEL), Load.power(1e6, 60));
    assertThat(two.both().outcome()).isInstanceOf(Outcome.CannotDeliver.class);
    assertThat(two.both().extremes().lowestVoltage()).isBetween(50.0, 56.0);
    assertThat(two.both().endTime()).isZero();
  }

  @Test
  void inSeriesTheVoltagesAddAndTheCurrentIsOne() {
    TwinRun run = run(Joining.SERIES);
    assertThat(run.both().trace().at(Trace.Channel.VOLTAGE, 0)).isGreaterThan(105);
    assertThat(run.first().run().trace().at(Trace.Channel.CURRENT, 3))
        .isEqualTo(run.second().run().trace().at(Trace.Channel.CURRENT, 3));
  }

  @Test
  void theJunctionByHand() {
    SecondPack low = Samples.second(Joining.PARALLEL).withSoc(0.5);
    Junction j = Junction.of(Chain.of(barrow.withSecond(low))).orElseThrow();
    double gap = 13 * (4.20 - 3.73);
    assertThat(j.gap()).isCloseTo(gap, within(1e-9));
    assertThat(j.current()).isCloseTo(gap / j.resistance(), within(1e-9));
    // The weaker pack takes 4 · 6 A of fast charge.
    assertThat(j.allowedGap()).isCloseTo(24 * j.resistance(), within(1e-9));
  }
}
