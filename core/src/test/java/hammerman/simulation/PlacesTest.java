package hammerman.simulation;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import hammerman.Samples;
import hammerman.chain.Chain;
import hammerman.design.Design;
import hammerman.duty.Load;
import hammerman.pack.Assembly;
import hammerman.pack.Pack;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Limits find the very group and cell, at the very time, with the delays that they have. */
class PlacesTest {
  private static final double ROOM = Samples.ROOM;
  private final Pack pack = Samples.pack("b21700", 3, 4);

  private static double[] filled(int n, double value) {
    double[] all = new double[n];
    Arrays.fill(all, value);
    return all;
  }

  private PackState state(double[] capacity, double[] ohms, double soc) {
    return new PackState(
        CellPopulation.measured(pack, capacity, ohms),
        Assembly.estimated(pack),
        PackState.Leads.NONE,
        soc,
        ROOM,
        null);
  }

  /** The cell that holds least is the emptiest; its group ends it all, and both are named. */
  @ParameterizedTest
  @CsvSource({"0,0", "0,3", "1,2", "2,0", "2,3"})
  void theWeakCellIsNamedByItsGroupAndPlace(int group, int cell) {
    double[] capacity = filled(12, 4.5);
    capacity[4 * group + cell] = 2.4;
    PackState s = state(capacity, filled(12, 0.016), 0.9);
    for (int k = 0; k < 200; k++) {
      s.step(12, 5);
    }
    Outcome.Place weak = new Outcome.Place(group, cell);
    assertThat(s.lowestPlace(12)).isEqualTo(weak);
    assertThat(s.emptiestPlace()).isEqualTo(weak);
    double[] volts = s.groupVoltages(12);
    assertThat(volts).hasSize(3);
    assertThat(s.lowestGroup(12)).isEqualTo(volts[group]);
    assertThat(s.highestGroup(12)).isEqualTo(Arrays.stream(volts).max().orElseThrow());
    assertThat(s.highestGroup(12)).isGreaterThan(s.lowestGroup(12) + 1e-3);
    assertThat(Arrays.stream(volts).sum())
        .as("the pack's voltage is that of its groups, less the strips'")
        .isGreaterThan(s.machineVoltage(12))
        .isCloseTo(s.machineVoltage(12), within(0.15));
  }

  /** Cells of one group share a voltage, so that the one with the least resistance gets hottest. */
  @ParameterizedTest
  @CsvSource({"0,1", "1,0", "2,3"})
  void theHottestCellIsNamed(int group, int cell) {
    double[] ohms = filled(12, 0.016);
    ohms[4 * group + cell] = 0.011;
    PackState s = state(filled(12, 4.5), ohms, 0.9);
    for (int k = 0; k < 6; k++) {
      s.step(30, 5);
    }
    assertThat(s.hottestPlace()).isEqualTo(new Outcome.Place(group, cell));
    assertThat(s.temperature()).isEqualTo(s.temperatures()[4 * group + cell]);
    assertThat(s.socApart()).isPositive();
  }

  /** What is asked until empty and until full is what it takes. */
  @Test
  void timeToEmptyAndCurrentToFillAreKept() {
    Pack single = Samples.pack("b21700", 2, 1);
    double[] capacity = {4.5, 4.2};
    PackState s =
        new PackState(
            CellPopulation.measured(single, capacity, filled(2, 0.016)),
            Assembly.estimated(single),
            PackState.Leads.NONE,
            0.5,
            ROOM,
            null);
    assertThat(s.timeToEmpty(2)).isCloseTo(0.5 * 4.2 / 2 * 3600, within(1e-6));
    assertThat(s.timeToEmpty(-2)).isInfinite();
    assertThat(s.isEmpty()).isFalse();
    double fill = s.currentToFill(600);
    assertThat(fill).isCloseTo(0.5 * 4.2 * 3600 / 600, within(1e-9));
    s.step(-fill, 600);
    assertThat(s.fullest()).isCloseTo(1, within(1e-12));
    s.goBack();
    s.step(2, s.timeToEmpty(2));
    assertThat(s.isEmpty() || s.timeToEmpty(2) < 1e-6).isTrue();
    assertThat(s.emptiestPlace()).isEqualTo(new Outcome.Place(1, 0));
  }

  /** A step that is taken back leaves nothing behind. */
  @Test
  void aStepTakenBackNeverWas() {
    double[] ohms = filled(12, 0.016);
    ohms[5] = 0.02;
    PackState once = state(filled(12, 4.5), ohms, 0.8);
    PackState twice = state(filled(12, 4.5), ohms, 0.8);
    once.step(20, 4);
    twice.step(20, 4);
    twice.step(35, 5);
    twice.goBack();
    once.step(15, 3);
    twice.step(15, 3);
    assertThat(twice.soc()).isEqualTo(once.soc());
    assertThat(twice.machineVoltage(15)).isEqualTo(once.machineVoltage(15));
    assertThat(twice.temperatures()).isEqualTo(once.temperatures());
    assertThat(twice.chemical()).isEqualTo(once.chemical());
  }

  /** A group below the cut-off for less than a second opens nothing; longer, after a second. */
  @Test
  void underVoltageOpensTheBmsAfterItsSecondOnly() {
    Design late =
        Samples.barrow()
            .withDuty(
                Samples.barrow()
                    .duty()
                    .withMachine(Samples.barrow().duty().machine().withCutOutVoltage(20)));
    Design d = Samples.withBms(late, b -> b.withVoltages(3.35, 4.25));
    Run brief = Discharge.of(Chain.of(d), pulse(0.8), 0.10, ROOM).withStep(0.1).run();
    assertThat(brief.outcome()).isInstanceOf(Outcome.Complete.class);
    Run longer = Discharge.of(Chain.of(d), pulse(6), 0.10, ROOM).withStep(0.1).run();
    assertThat(longer.outcome()).isInstanceOf(Outcome.BmsCutOff.class);
    assertThat(longer.endTime()).isCloseTo(10 + Limits.UNDER_VOLTAGE_DELAY, within(0.11));
  }

  /** Twice the same pulse, with rest between: a second in all is not a second at a time. */
  @Test
  void twoBriefDipsAreNotOneLongOne() {
    Design late =
        Samples.barrow()
            .withDuty(
                Samples.barrow()
                    .duty()
                    .withMachine(Samples.barrow().duty().machine().withCutOutVoltage(20)));
    Design d = Samples.withBms(late, b -> b.withVoltages(3.35, 4.25));
    Load dips = pulse(0.7).withRounds(3);
    assertThat(Discharge.of(Chain.of(d), dips, 0.10, ROOM).withStep(0.1).run().outcome())
        .isInstanceOf(Outcome.Complete.class);
  }

  /** Ten seconds of little, then much for a time, then little. */
  private static Load pulse(double seconds) {
    return new Load(
        List.of(
            new Load.Step(new Load.Current(1), 10, 0),
            new Load.Step(new Load.Current(50), seconds, 0),
            new Load.Step(new Load.Current(1), 10, 0)),
        1);
  }

  /** What a limit keeps back, by hand: current above the limit, at the voltage that there is. */
  @Test
  void whatIsWithheldAndRefusedIsWorkedOutByHand() {
    Design d = Samples.barrow();
    double most = d.duty().machine().peakCurrent();
    Run run = Discharge.of(Chain.of(d), Load.current(most + 25, 10), 0.8, ROOM).run();
    double volts = run.totals().energyOut() / (most * 10);
    assertThat(run.totals().withheld()).isCloseTo(25 * volts * 10, within(0.01 * 25 * volts * 10));
    assertThat(run.totals().delivered()).isCloseTo(most * 10 / 3600, within(1e-9));
    double back = d.guard().allowedRegeneration(d.duty().machine().regenerationCurrent());
    Load braking = new Load(List.of(new Load.Step(new Load.Current(-back - 5), 10, 0)), 1);
    Run brake = Discharge.of(Chain.of(d), braking, 0.5, ROOM).run();
    double up = brake.totals().energyBack() / (back * 10);
    assertThat(brake.totals().refused()).isCloseTo(5 * up * 10, within(0.01 * 5 * up * 10));
    assertThat(brake.totals().regenerated()).isCloseTo(back * 10 / 3600, within(1e-9));
  }
}
