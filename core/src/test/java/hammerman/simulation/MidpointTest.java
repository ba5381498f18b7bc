package hammerman.simulation;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import hammerman.chain.Chain;
import hammerman.duty.Load;
import hammerman.pack.Pack;
import hammerman.project.Shipped;
import java.util.List;
import org.junit.jupiter.api.Test;

/** A power that is asked for is held, however long the steps. */
class MidpointTest {
  private static final Pack PACK = Shipped.terraceBarrow().design().pack();
  private static final double AIR = 298.15;

  /** Rest, a hard pull, an easy one, braking. */
  private static final Load WORK =
      new Load(
          List.of(
              new Load.Step(new Load.Power(8), 240, 0),
              new Load.Step(new Load.Power(1200), 360, 1),
              new Load.Step(new Load.Power(260), 180, 1),
              new Load.Step(new Load.Power(-180), 120, 1)),
          6);

  private static Run run(double step) {
    return Discharge.bare(PACK, WORK, 0.95, AIR).withStep(step).run();
  }

  private static double charge(Run run) {
    return run.totals().delivered() - run.totals().regenerated();
  }

  @Test
  void everySampleShowsThePowerThatIsAskedFor() {
    Trace trace = run(12).trace();
    for (int k = 0; k < trace.size(); k++) {
      double power = trace.at(Trace.Channel.POWER, k);
      assertThat(List.of(8.0, 1200.0, 260.0, -180.0))
          .as("%s W in sample %d", power, k)
          .anySatisfy(p -> assertThat(power).isCloseTo(p, within(1e-6)));
    }
  }

  /** With the current of its start a step of 12 s would move some 0.05 % too little. */
  @Test
  void whatLongStepsMoveIsWhatShortOnesMove() {
    double fine = charge(run(0.25));
    assertThat(charge(run(12))).isCloseTo(fine, within(1e-4 * fine));
    assertThat(charge(run(6))).isCloseTo(fine, within(2e-5 * fine));
    assertThat(run(6).totals().energyOut()).isCloseTo(run(0.25).totals().energyOut(), within(20.0));
  }

  @Test
  void aLimitHoldsInTheMiddleToo() {
    Limits bounded = Limits.of(Shipped.terraceBarrow().design());
    Run run =
        Discharge.of(
                Chain.of(Shipped.terraceBarrow().design()),
                new Load(List.of(new Load.Step(new Load.Power(3200), 60, 1)), 1),
                0.9,
                AIR)
            .withStep(10)
            .run();
    assertThat(run.extremes().peakCurrent()).isEqualTo(bounded.mostOut());
    assertThat(run.totals().withheld()).isPositive();
  }
}
