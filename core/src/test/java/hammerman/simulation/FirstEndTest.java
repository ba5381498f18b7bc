package hammerman.simulation;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import hammerman.Samples;
import hammerman.chain.Chain;
import hammerman.design.Design;
import hammerman.duty.Load;
import hammerman.guard.Fuse;
import hammerman.guard.FuseClass;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What ends a run where two things would, and when, however long the steps are. */
class FirstEndTest {
  private static final double AMPERES = 45;
  private static final Fuse FUSE = new Fuse(FuseClass.BLADE, 15, 58);
  private static final double OPENS = FUSE.kind().openingTime(AMPERES / FUSE.rating());

  /** A BMS that trips at 20 A after a delay, s, beside a fuse that opens after {@link #OPENS}. */
  private static Run run(double delay, double step) {
    Design d = Samples.withBms(Samples.barrow(), b -> b.withTrip(20, delay));
    Design fused = Samples.withGuard(d, g -> g.withFuse(f -> FUSE));
    return Discharge.of(Chain.of(fused), Load.current(AMPERES, 120), 1, 298.15)
        .withStep(step)
        .run();
  }

  @ParameterizedTest
  @ValueSource(doubles = {0.01, 1, 60})
  void ofTwoInOneStepTheEarlierEndsIt(double step) {
    Run early = run(0.5 * OPENS, step);
    assertThat(early.outcome()).isInstanceOf(Outcome.OverCurrent.class);
    assertThat(early.endTime()).isCloseTo(0.5 * OPENS, within(1e-6));
    Run late = run(2 * OPENS, step);
    assertThat(late.outcome()).isInstanceOf(Outcome.FuseOpens.class);
    assertThat(late.endTime()).isCloseTo(OPENS, within(1e-6));
  }

  /** A group below the cut-off for its second ends it at the same time in long and short steps. */
  @ParameterizedTest
  @ValueSource(doubles = {2, 5, 10})
  void theBmsOpensASecondAfterTheCutOffIsMet(double step) {
    Design d = Samples.withBms(Samples.barrow(), b -> b.withVoltages(3.4, 4.25));
    Chain chain = Chain.of(d);
    Run fine = Discharge.of(chain, Load.current(20, 7200), 0.6, 298.15).withStep(0.1).run();
    Run run = Discharge.of(chain, Load.current(20, 7200), 0.6, 298.15).withStep(step).run();
    assertThat(fine.outcome()).isInstanceOf(Outcome.BmsCutOff.class);
    assertThat(run.outcome().key()).isEqualTo(fine.outcome().key());
    assertThat(run.endTime()).isCloseTo(fine.endTime(), within(0.25));
  }

  /** What is asked above the machine's limit is withheld at the voltage that there is. */
  @Test
  void whatIsWithheldIsTheEnergyThatWouldHaveFlowed() {
    Design d = Samples.barrow();
    double most = d.duty().machine().peakCurrent();
    Run run = Discharge.of(Chain.of(d), Load.current(most + 10, 20), 1, 298.15).run();
    double volts = run.totals().energyOut() / (most * 20);
    assertThat(run.totals().withheld()).isCloseTo(10 * volts * 20, within(0.01 * 200 * volts));
    Run braked = Discharge.of(Chain.of(d), Load.current(-500, 10), 0.5, 298.15).run();
    double back = d.guard().allowedRegeneration(d.duty().machine().regenerationCurrent());
    double at = braked.totals().energyBack() / (back * 10);
    assertThat(braked.totals().refused())
        .isCloseTo((500 - back) * at * 10, within(0.01 * 5000 * at));
  }

  /** A pack that gives nothing has no balance to be off; one that lost heat has. */
  @Test
  void anImbalanceIsAShareOfAllThatFlowed() {
    Run.Totals totals = new Run.Totals(1, 0, 900, 100, 1000, 60, 40, 0, 0, 0);
    assertThat(totals.imbalance()).isCloseTo((1000 - 900 + 100 - 100) / 1100.0, within(1e-12));
    assertThat(totals.heat()).isEqualTo(100);
  }
}
