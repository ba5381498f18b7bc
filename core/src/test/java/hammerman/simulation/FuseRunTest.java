package hammerman.simulation;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import hammerman.Samples;
import hammerman.chain.Chain;
import hammerman.design.Design;
import hammerman.duty.Load;
import hammerman.guard.Fuse;
import hammerman.guard.FuseClass;
import java.util.List;
import org.junit.jupiter.api.Test;

/** A main fuse opens in a run as its class does, no sooner and no later. */
class FuseRunTest {
  private static final double ROOM = Samples.ROOM;
  private final Design small =
      Samples.withGuard(Samples.barrow(), g -> g.withFuse(f -> new Fuse(FuseClass.BLADE, 10, 58)));

  private Run run(Load load) {
    return Discharge.of(Chain.of(small), load, 1, ROOM).run();
  }

  @Test
  void twiceItsRatingOpensItAfterTheTimeOfItsClass() {
    Run run = run(Load.current(20, 60));
    assertThat(run.outcome()).isEqualTo(new Outcome.FuseOpens(20, 10));
    assertThat(run.endTime()).isCloseTo(FuseClass.BLADE.openingTime(2), within(1e-6));
    assertThat(run.totals().delivered()).isCloseTo(20 * run.endTime() / 3600, within(1e-9));
    assertThat(run.served()).isFalse();
  }

  @Test
  void itsRatingAndMomentsTooShortForItDoNotOpenIt() {
    assertThat(run(Load.current(10, 600)).outcome()).isInstanceOf(Outcome.Complete.class);
    double half = FuseClass.BLADE.openingTime(2) / 2;
    Load rested =
        new Load(
            List.of(
                new Load.Step(new Load.Current(20), half, 0),
                new Load.Step(new Load.Current(1), 300, 0)),
            20);
    assertThat(run(rested).outcome()).as("cools in between").isInstanceOf(Outcome.Complete.class);
    Load pressed =
        new Load(
            List.of(
                new Load.Step(new Load.Current(20), half, 0),
                new Load.Step(new Load.Current(1), 1, 0)),
            20);
    assertThat(run(pressed).outcome()).as("does not").isInstanceOf(Outcome.FuseOpens.class);
  }
}
