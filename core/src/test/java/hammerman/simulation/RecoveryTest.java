package hammerman.simulation;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import hammerman.Samples;
import hammerman.chain.Chain;
import hammerman.design.Design;
import hammerman.duty.Load;
import hammerman.guard.Bms;
import hammerman.guard.Fuse;
import hammerman.guard.FuseClass;
import hammerman.pack.Assembly;
import java.util.List;
import java.util.function.UnaryOperator;
import org.junit.jupiter.api.Test;

/** What stops a pack comes back as the cells and the protection let it, and not otherwise. */
class RecoveryTest {
  private static final double ROOM = Samples.ROOM;
  private final Design barrow = Samples.barrow();

  private Design bms(UnaryOperator<Bms> edit) {
    return Samples.withGuard(barrow, g -> g.withProtection(g.protection().withBms(edit)));
  }

  private static Discharge.Rested run(Design design, Load load, double soc, double air) {
    return Discharge.of(Chain.of(design), load, soc, air).runAndRest();
  }

  @Test
  void groupsThatRecoverAreUsedAgainForAsLongAsARunWithThatRestSays() {
    Design high = bms(b -> b.withVoltages(3.4, 4.25)).withCounts(13, 3);
    Load load = Load.current(50, 3600);
    Discharge.Rested rested = run(high, load, 0.5, ROOM);
    assertThat(rested.run().outcome()).isInstanceOf(Outcome.BmsCutOff.class);
    var back = (Recovery.ByItself) rested.recovery().orElseThrow();
    assertThat(back.finishes()).isFalse();
    assertThat(back.voltage()).isGreaterThanOrEqualTo(13 * (3.4 + Recovery.RELEASE_VOLTAGE) - 1e-6);
    // By another way: the same rest written into the load of a pack that nothing cuts off.
    Load.Step on = load.steps().getFirst();
    Load whole =
        new Load(
            List.of(
                new Load.Step(on.demand(), rested.run().endTime(), 0),
                new Load.Step(new Load.Current(0), back.rest(), 0),
                new Load.Step(on.demand(), back.more(), 0)),
            1);
    Run free = Discharge.of(Chain.of(high), whole, 0.5, ROOM).withoutLimits().run();
    assertThat(free.outcome().complete()).isTrue();
    int last = free.trace().size() - 1;
    double leads = 50 * high.guard().resistance(ROOM);
    double strips = 50 * Assembly.estimated(high.pack()).stripResistance(ROOM);
    assertThat((free.trace().at(Trace.Channel.VOLTAGE, last) + leads + strips) / 13)
        .as("group voltage when it opens again, a delay of a second below the cut-off")
        .isCloseTo(3.4, within(0.01));
  }

  @Test
  void whatDoesNotStartIsNotSaidToComeBackByCharging() {
    Design few = barrow.withCounts(5, 6);
    Discharge.Rested full = run(few, Load.current(5, 3600), 1, ROOM);
    assertThat(full.run().outcome()).isInstanceOf(Outcome.MachineCutOut.class);
    assertThat(full.recovery()).contains(new Recovery.StaysOff(Recovery.Until.NEVER));
    Discharge.Rested empty = run(barrow, Load.current(5, 36_000), 0.1, ROOM);
    assertThat(empty.recovery().orElseThrow().words()).doesNotContain("does not start");
  }

  @Test
  void cellsCoolAsOneNodeDoes() {
    double limit = barrow.pack().cell().temperatures().dischargeHighest();
    double air = limit - 18;
    Discharge.Rested rested = run(barrow, Load.current(60, 7200), 1, air);
    assertThat(rested.run().outcome()).isInstanceOf(Outcome.TooHot.class);
    var back = (Recovery.ByItself) rested.recovery().orElseThrow();
    Assembly assembly = Assembly.estimated(barrow.pack());
    double tau = barrow.pack().heatCapacity() / assembly.conductance();
    double expected = tau * Math.log(18 / (18 - Recovery.RELEASE_COOLER));
    assertThat(back.rest()).isBetween(expected - 1, expected + 31);
    assertThat(back.more()).isBetween(60.0, rested.run().endTime());
  }

  @Test
  void inAirNearTheirLimitCellsStayTooHot() {
    double limit = barrow.pack().cell().temperatures().dischargeHighest();
    assertThat(run(barrow, Load.current(60, 7200), 1, limit - 6).recovery())
        .contains(new Recovery.StaysOff(Recovery.Until.COOLED));
  }

  @Test
  void anOverCurrentTripClosesAfterItsTimeAndOpensAgainUnderTheSameLoad() {
    Design touchy = bms(b -> b.withTrip(40, 5));
    Discharge.Rested rested = run(touchy, Load.current(45, 600), 0.9, ROOM);
    assertThat(rested.run().endTime()).isCloseTo(5, within(1e-6));
    var back = (Recovery.ByItself) rested.recovery().orElseThrow();
    assertThat(back.rest()).isEqualTo(Recovery.RELEASE_TIME);
    assertThat(back.more()).as("its delay again").isCloseTo(5, within(1e-6));
    assertThat(back.words()).contains("back after 30", "for 5").doesNotContain("at once");
  }

  @Test
  void whatIsLeftAfterAPeakMayBeDoneAllTheSame() {
    Design touchy = bms(b -> b.withTrip(40, 5));
    Load peak =
        new Load(
            List.of(
                new Load.Step(new Load.Current(45), 8, 0),
                new Load.Step(new Load.Current(10), 300, 0)),
            1);
    var back = (Recovery.ByItself) run(touchy, peak, 0.9, ROOM).recovery().orElseThrow();
    assertThat(back.finishes()).as("3 s of the peak are left, under the delay").isTrue();
    assertThat(back.more()).isCloseTo(303, within(1e-6));
  }

  @Test
  void fusesEmptyCellsAndTooMuchPowerDoNotComeBack() {
    Design fused =
        Samples.withGuard(barrow, g -> g.withFuse(f -> new Fuse(FuseClass.BLADE, 10, 58)));
    assertThat(run(fused, Load.current(20, 60), 1, ROOM).recovery())
        .contains(new Recovery.StaysOff(Recovery.Until.FUSED));
    assertThat(run(barrow, Load.power(90_000, 60), 1, ROOM).recovery())
        .contains(new Recovery.StaysOff(Recovery.Until.EASED));
    assertThat(
            Discharge.bare(barrow.pack(), Load.current(20, 36_000), 0.1, ROOM)
                .runAndRest()
                .recovery())
        .contains(new Recovery.StaysOff(Recovery.Until.CHARGED));
    assertThat(run(barrow, Load.current(20, 60), 1, ROOM).recovery()).isEmpty();
  }

  @Test
  void whatIsLeftOfALoadIsTheRestOfItsStepItsRoundAndItsRounds() {
    Load load =
        new Load(
            List.of(
                new Load.Step(new Load.Current(1), 10, 2), new Load.Step(new Load.Power(5), 20, 0)),
            3);
    for (double gone : new double[] {0, 4, 10, 29.5, 30, 47, 89}) {
      Load left = load.after(gone);
      assertThat(left.duration()).isCloseTo(90 - gone, within(1e-9));
      assertThat(left.steps().getLast())
          .isEqualTo(gone < 70 ? load.steps().get(1) : left.steps().getLast());
    }
    assertThat(load.after(47).steps())
        .containsExactly(
            new Load.Step(new Load.Power(5), 13, 0), load.steps().get(0), load.steps().get(1));
    assertThatThrownBy(() -> load.after(90)).hasMessageContaining("nothing is left of 90.0 s");
  }
}
