package hammerman.simulation;

import static hammerman.Samples.last;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import hammerman.Samples;
import hammerman.design.Design;
import hammerman.design.SecondPack;
import hammerman.design.SecondPack.Joining;
import hammerman.duty.Load;
import hammerman.guard.Fuse;
import hammerman.guard.FuseClass;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Two packs come back together, or one of them is enough, as they are joined. */
class TwinRecoveryTest {
  private static final Load LONG = Load.current(25, 40_000);

  private final Design barrow = Samples.barrow();

  private Design cutOut(double volts) {
    return barrow.withDuty(
        barrow
            .duty()
            .withMachine(barrow.duty().machine().withMaximumVoltage(130).withCutOutVoltage(volts)));
  }

  private static TwinRun run(Design first, SecondPack second, Load load) {
    return Samples.together(first, second, load);
  }

  private static SecondPack tripping(Joining joining, double amperes) {
    SecondPack second = Samples.second(joining);
    var guard = second.guard();
    return second.withGuard(
        guard.withProtection(guard.protection().withBms(b -> b.withTrip(amperes, 5))));
  }

  private Design tripping(double amperes) {
    return Samples.withGuard(
        barrow, g -> g.withProtection(g.protection().withBms(b -> b.withTrip(amperes, 5))));
  }

  /** By another way: the same rest written into the load of a machine that never cuts out. */
  @ParameterizedTest
  @EnumSource(Joining.class)
  void aMachineStartsAgainOnceTheVoltageOfBothIsBack(Joining joining) {
    double volts = joining == Joining.SERIES ? 92 : 45;
    SecondPack second = Samples.second(joining);
    TwinRun run = run(cutOut(volts), second, LONG);
    assertThat(run.both().outcome()).isInstanceOf(Outcome.MachineCutOut.class);
    var back = (Recovery.ByItself) run.recovery().orElseThrow();
    assertThat(back.voltage()).isGreaterThan(volts);
    assertThat(back.more()).isBetween(2.0, LONG.duration());
    if (joining == Joining.SWITCH_OVER) {
      return; // The reserve would not be asked by a machine that never cuts out.
    }
    Load.Demand on = LONG.steps().getFirst().demand();
    Load upToRest =
        new Load(
            List.of(
                new Load.Step(on, run.both().endTime(), 0),
                new Load.Step(new Load.Current(0), back.rest(), 0)),
            1);
    Load whole =
        new Load(
            List.of(
                upToRest.steps().get(0),
                upToRest.steps().get(1),
                new Load.Step(on, back.more(), 0)),
            1);
    assertThat(lastVoltage(run(cutOut(20), second, upToRest)))
        .isCloseTo(back.voltage(), within(5e-3));
    assertThat(lastVoltage(run(cutOut(20), second, whole))).isCloseTo(volts, within(5e-3));
  }

  private static double lastVoltage(TwinRun run) {
    assertThat(run.both().outcome().complete()).isTrue();
    return last(run.both(), Trace.Channel.VOLTAGE);
  }

  @Test
  void inSeriesOneThatOpensOnCurrentClosesAfterItsTimeAndOpensAgain() {
    TwinRun run = run(cutOut(40), tripping(Joining.SERIES, 20), LONG);
    assertThat(run.both().outcome()).isInstanceOf(Outcome.OverCurrent.class);
    var back = (Recovery.ByItself) run.recovery().orElseThrow();
    assertThat(back.rest()).isEqualTo(Recovery.RELEASE_TIME);
    assertThat(back.more()).as("its delay again").isCloseTo(5, within(1e-6));
  }

  /** At a tenth of its charge a cell rests at 3.43 V, under the 3.6 V at which the BMS closes. */
  @Test
  void inSeriesTheOtherIsNotEnoughWhereTheVoltageOfOneDoesNotComeBack() {
    SecondPack low = Samples.second(Joining.SERIES).withSoc(0.12);
    var protection = low.guard().protection().withBms(b -> b.withVoltages(3.4, 4.25));
    SecondPack cutOff = low.withGuard(low.guard().withProtection(protection));
    TwinRun run = run(cutOut(40), cutOff, LONG);
    assertThat(run.both().outcome()).isInstanceOf(Outcome.BmsCutOff.class);
    assertThat(run.recovery()).contains(new Recovery.StaysOff(Recovery.Until.CHARGED));
  }

  /** The first opens on current and then the second, with all of it: after the rest both share. */
  @Test
  void inParallelBothCloseAgainAndShare() {
    Load heavy = Load.current(50, 300);
    TwinRun alone = run(tripping(27), tripping(Joining.PARALLEL, 27), heavy);
    assertThat(alone.both().outcome()).isInstanceOf(Outcome.OverCurrent.class);
    double lasted = alone.both().endTime();
    var back = (Recovery.ByItself) alone.recovery().orElseThrow();
    assertThat(back.rest()).isEqualTo(Recovery.RELEASE_TIME);
    assertThat(lasted).as("one after the other, a delay each").isGreaterThan(9.9);
    assertThat(back.more()).as("one after the other again").isGreaterThan(9.9);
  }

  @Test
  void whatAFuseEndedStaysOffWhereThatPackIsNeeded() {
    SecondPack second = Samples.second(Joining.SERIES);
    SecondPack fused =
        second.withGuard(second.guard().withFuse(f -> new Fuse(FuseClass.BLADE, 10, 130)));
    assertThat(run(cutOut(40), fused, LONG).recovery())
        .contains(new Recovery.StaysOff(Recovery.Until.FUSED));
  }

  @Test
  void nothingIsSaidOfWhatWentToItsEnd() {
    assertThat(run(barrow, Samples.second(Joining.PARALLEL), Load.current(5, 60)).recovery())
        .isEmpty();
  }
}
