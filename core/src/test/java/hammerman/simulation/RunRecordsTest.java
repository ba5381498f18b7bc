package hammerman.simulation;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import hammerman.Samples;
import hammerman.design.Design;
import hammerman.guard.Bms;
import hammerman.guard.Fuse;
import hammerman.guard.FuseClass;
import hammerman.guard.Protection;
import hammerman.pack.Assembly;
import hammerman.pack.Lot;
import hammerman.pack.Pack;
import hammerman.readymade.ReadyMade;
import hammerman.simulation.Trace.Channel;
import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** What a run keeps, what limits it, and who ends it: each by itself. */
class RunRecordsTest {
  private static final double ROOM = 298.15;
  private static final double INF = Double.POSITIVE_INFINITY;

  /** Three groups of four, one cell of another resistance. */
  private static PackState pack(double soc, double odd) {
    Pack pack = Samples.pack("b21700", 3, 4);
    double[] capacity = new double[12];
    double[] ohms = new double[12];
    Arrays.fill(capacity, 4.5);
    Arrays.fill(ohms, 0.016);
    ohms[6] = odd;
    return new PackState(
        CellPopulation.measured(pack, capacity, ohms),
        Assembly.estimated(pack),
        PackState.Leads.NONE,
        soc,
        ROOM,
        null);
  }

  private static Limits limits(
      double group,
      double machine,
      double kelvin,
      double amperes,
      double delay,
      @Nullable Fuse fuse) {
    return new Limits(group, INF, machine, kelvin, amperes, delay, fuse, INF, INF);
  }

  private static final @Nullable Fuse OPEN = null;

  @Test
  void samplesAndExtremesAreKeptAsTheyCome() {
    Recorder r = Recorder.tracing();
    r.add(0, 50, 0, 298, 1, 0);
    r.add(10, 48, 20, 299, 0.95, 30);
    r.add(12, 40, 60, 305, 0.95, 35);
    r.add(20, 47, -5, 300, 0.96, 60);
    Trace t = r.trace();
    assertThat(t.size()).isEqualTo(4);
    assertThat(t.at(Channel.TIME, 3)).isEqualTo(20);
    assertThat(t.at(Channel.VOLTAGE, 1)).isEqualTo(48);
    assertThat(t.at(Channel.CURRENT, 3)).isEqualTo(-5);
    assertThat(t.at(Channel.POWER, 1)).isEqualTo(48 * 20);
    assertThat(t.at(Channel.POWER, 3)).isEqualTo(-47 * 5);
    assertThat(t.at(Channel.TEMPERATURE, 3)).isEqualTo(300);
    assertThat(t.at(Channel.SOC, 1)).isEqualTo(0.95);
    assertThat(t.at(Channel.DISTANCE, 3)).isEqualTo(60);
    // By hand: 10 s at 298.5 K, 2 s at 302 K and 8 s at 302.5 K.
    double mean = (2985 + 604 + 2420) / 20.0;
    assertThat(r.extremes()).isEqualTo(new Run.Extremes(40, 12, 60, 2400, 305, mean));
    assertThatThrownBy(() -> t.at(Channel.TIME, 4)).hasMessageContaining("sample 4 of 4");
  }

  /** However long a run is, none of its samples is lost. */
  @Test
  void aLongRunKeepsAllItsSamples() {
    Recorder r = Recorder.tracing();
    for (int k = 0; k < 5000; k++) {
      r.add(k, 50, 1, 298, 1, 2 * k);
    }
    assertThat(r.trace().size()).isEqualTo(5000);
    assertThat(r.trace().at(Channel.TIME, 4999)).isEqualTo(4999);
    assertThat(r.trace().at(Channel.DISTANCE, 1500)).isEqualTo(3000);
  }

  @ParameterizedTest
  @CsvSource({"-1, 0", "0, 0", "9.9, 0", "10, 1", "15, 1", "20, 2", "99, 2"})
  void aMomentIsThatOfTheLastSampleBeforeIt(double seconds, int index) {
    Recorder r = Recorder.tracing();
    for (int k = 0; k < 3; k++) {
      r.add(10 * k, 50, 1, 298, 1, 0);
    }
    assertThat(r.trace().indexAt(seconds)).isEqualTo(index);
    assertThat(Trace.NONE.indexAt(seconds)).isZero();
  }

  /** Beyond 480 moments every second one goes; the extremes are of every step all the same. */
  @Test
  void aLongRunIsThinnedAndItsExtremesAreNot() {
    PackState s = pack(0.95, 0.012);
    CellRecorder r = new CellRecorder(s);
    for (int k = 0; k < 1500; k++) {
      r.add(k, k == 777 ? 90 : 10);
      s.step(10, 1);
    }
    CellTrace t = r.trace();
    assertThat(t.time().length).isBetween(240, 481);
    assertThat(t.time()[0]).isZero();
    double apart = t.time()[1] - t.time()[0];
    assertThat(apart).as("doubled twice").isEqualTo(4);
    for (int k = 1; k < t.time().length; k++) {
      assertThat(t.time()[k] - t.time()[k - 1]).isEqualTo(apart);
    }
    assertThat(t.voltage()).hasSameSizeAs(t.kelvin()).hasSize(t.time().length);
    assertThat(t.lowest().time()).as("between two that are kept").isEqualTo(777);
    assertThat(t.hottest().value())
        .isEqualTo(Arrays.stream(t.kelvin().getLast()).max().orElse(0), within(0.01));
    assertThat(t.apart()).isPositive().isLessThan(0.1);
    assertThat(t.socApart()).isPositive().isLessThan(0.1);
    assertThat(t.at(-1)).isZero();
    assertThat(t.at(apart)).isEqualTo(1);
    assertThat(t.at(apart + 0.5)).isEqualTo(1);
    assertThat(t.at(1e9)).isEqualTo(t.time().length - 1);
  }

  @Test
  void eachEndHasItsKeyAndOnlyOneIsComplete() {
    Outcome.Place p = new Outcome.Place(1, 2);
    List<Outcome> all =
        List.of(
            new Outcome.Complete(),
            new Outcome.BmsCutOff(p, 2.7, 2.8),
            new Outcome.MachineCutOut(40, 41),
            new Outcome.Empty(p),
            new Outcome.TooHot(p, 334, 333),
            new Outcome.OverCurrent(95, 90, 2),
            new Outcome.FuseOpens(80, 40),
            new Outcome.CannotDeliver(5000, 3000));
    assertThat(all)
        .extracting(Outcome::key)
        .containsExactly(
            "dutyComplete",
            "bmsCutOff",
            "machineCutOut",
            "empty",
            "temperatureLimit",
            "overCurrentTrip",
            "fuseOpens",
            "cannotDeliver");
    assertThat(all).filteredOn(Outcome::complete).containsExactly(new Outcome.Complete());
    assertThat(p.words()).isEqualTo("cell 3 of group 2");
    assertThat(new Outcome.Place(1, Outcome.Place.ALL).words()).isEqualTo("group 2");
    assertThat(Outcome.Place.EVERY.words()).isEqualTo("every cell");
  }

  @Test
  void energyIsBalancedAndWhatIsWithheldIsAShare() {
    Run.Totals t = new Run.Totals(10, 1, 900, 50, 1000, 120, 30, 5, 100, 0);
    assertThat(t.heat()).isEqualTo(150);
    assertThat(t.imbalance()).isEqualTo((1000 - 900 + 50 - 120 - 30) / (900.0 + 50 + 120 + 30));
    assertThat(t.withheldShare()).isEqualTo(0.1);
    Run.Totals none = new Run.Totals(0, 0, 0, 0, 0, 0, 0, 0, 0, 0);
    assertThat(none.withheldShare()).isZero();
    assertThat(none.imbalance()).isZero();
    assertThat(run(new Outcome.Complete(), 9.0 / 991).served()).isTrue();
    assertThat(run(new Outcome.Complete(), 0.02).served()).as("clipped by 2 %").isFalse();
    assertThat(run(new Outcome.MachineCutOut(40, 41), 0).served()).isFalse();
  }

  private static Run run(Outcome outcome, double withheld) {
    Run.Totals t = new Run.Totals(1, 0, 1, 0, 1, 0, 0, 0, withheld, 0);
    return new Run(
        outcome, 1, 0.5, t, new Run.Extremes(0, 0, 0, 0, 0, 0), Trace.NONE, Optional.empty());
  }

  @ParameterizedTest
  @EnumSource(Lot.class)
  void cellsDifferByWhereTheyComeFrom(Lot lot) {
    Tolerance t = Tolerance.of(lot);
    assertThat(t.capacity()).isEqualTo(lot.spread());
    assertThat(t.resistance())
        .as("3 % to 0.8 % within a batch, a quarter at the most")
        .isCloseTo(Math.min(0.25, lot.spread() * 3 / 0.8), within(1e-12));
    Pack drawn = Samples.pack("b21700", 13, 6).withLot(lot);
    assertThat(Tolerance.of(drawn)).isEqualTo(t);
    Pack measured = drawn.withMeasured(Samples.cells(13, 6));
    assertThat(Tolerance.of(measured).capacity()).as("the tester's error").isEqualTo(0.01);
    assertThat(Tolerance.of(measured).resistance()).as("the meter's").isEqualTo(0.03);
  }

  @Test
  void theLimitsAreThoseOfThePartsInThePath() {
    Design d = Samples.barrow();
    Bms bms = d.guard().protection().bms().orElseThrow();
    Limits all = Limits.of(d);
    assertThat(all.groupCutOff()).isEqualTo(bms.cutOffVoltage());
    assertThat(all.groupOverVoltage()).isEqualTo(bms.overVoltage());
    assertThat(all.overCurrent()).isEqualTo(bms.overCurrent());
    assertThat(all.overCurrentDelay()).isEqualTo(bms.overCurrentDelay());
    assertThat(all.machineCutOut()).isEqualTo(41);
    assertThat(all.mostOut()).isEqualTo(60);
    assertThat(all.mostBack()).isEqualTo(d.guard().allowedRegeneration(15));
    assertThat(all.fuse()).isEqualTo(d.guard().fuse().orElseThrow());
    assertThat(all.temperature()).isEqualTo(d.pack().cell().temperatures().dischargeHighest());
    Limits branch = Limits.ofBranch(d.pack(), d.guard());
    assertThat(branch.machineCutOut()).as("not its own").isEqualTo(-INF);
    assertThat(branch.mostOut()).isEqualTo(INF);
    assertThat(branch.mostBack()).isEqualTo(INF);
    assertThat(branch.groupCutOff()).isEqualTo(bms.cutOffVoltage());
    Design none = Samples.withGuard(d, g -> g.withProtection(new Protection.None()));
    assertThat(Limits.of(none).groupCutOff()).isEqualTo(-INF);
    assertThat(Limits.of(none).overCurrent()).isEqualTo(INF);
    assertThat(Limits.of(none).groupOverVoltage()).as("the cell's own").isEqualTo(4.2);
    ReadyMade bought = new ReadyMade(Samples.cell("p18650"), 5, 2, 40, 0.5, 2.6);
    Limits whole = Limits.ofReadyMade(bought);
    assertThat(whole.machineCutOut()).isEqualTo(13);
    assertThat(whole.overCurrent()).isEqualTo(40);
    assertThat(whole.overCurrentDelay()).isEqualTo(0.5);
    assertThat(whole.fuse()).isNull();
  }

  /** 100 A for steps of a second against a delay of 2.5 s: found half a step late. */
  @Test
  void overCurrentTripsAfterItsDelayAndSaysHowLateTheStepWas() {
    PackState s = pack(0.8, 0.016);
    Watch w = new Watch(s, limits(-INF, -INF, INF, 90, 2.5, OPEN));
    for (int k = 0; k < 2; k++) {
      assertThat(step(w, s, 100, 1)).isNull();
    }
    assertThat(step(w, s, 80, 1)).as("below it starts anew").isNull();
    for (int k = 0; k < 2; k++) {
      assertThat(step(w, s, 100, 1)).isNull();
    }
    assertThat(step(w, s, 100, 1)).isEqualTo(new Outcome.OverCurrent(100, 90, 2.5));
    assertThat(w.late()).isCloseTo(0.5, within(1e-12));
  }

  private static @Nullable Outcome step(Watch w, PackState s, double amperes, double dt) {
    Outcome now = w.before(amperes);
    if (now != null) {
      return now;
    }
    s.step(amperes, dt);
    return w.after(amperes, dt, false);
  }

  /** Twice a fuse's rating opens it after its class's time; a pause of 30 s forgets most of it. */
  @Test
  void aFuseTakesUpWhatOpensItAndLetsGoOfIt() {
    Fuse fuse = new Fuse(FuseClass.BLADE, 10, 32);
    double opens = FuseClass.BLADE.openingTime(2);
    double dt = opens / 10;
    PackState s = pack(0.9, 0.016);
    Watch w = new Watch(s, limits(-INF, -INF, INF, INF, INF, fuse));
    for (int k = 0; k < 9; k++) {
      assertThat(step(w, s, 20, dt)).isNull();
    }
    assertThat(step(w, s, 20, 1.5 * dt)).isEqualTo(new Outcome.FuseOpens(20, 10));
    assertThat(w.late()).isCloseTo(0.5 * dt, within(1e-9));
    Watch rested = new Watch(s, limits(-INF, -INF, INF, INF, INF, fuse));
    for (int k = 0; k < 9; k++) {
      assertThat(step(rested, s, 20, dt)).isNull();
    }
    assertThat(step(rested, s, 5, 30)).isNull();
    int more = 0;
    while (step(rested, s, 20, dt) == null) {
      more++;
    }
    assertThat(more).as("0.9 / e of it is left").isEqualTo(6);
    Watch braked = new Watch(s, limits(-INF, -INF, INF, INF, INF, fuse));
    s.step(1, 600);
    IntStream.range(0, 9).forEach(k -> step(braked, s, -20, dt));
    assertThat(step(braked, s, -20, 1.5 * dt))
        .as("either way")
        .isEqualTo(new Outcome.FuseOpens(20, 10));
  }

  /** What is known before a step takes no time; a pack that is charged does not cut out. */
  @Test
  void belowTheCutOutNothingBegins() {
    PackState s = pack(0.5, 0.016);
    double volts = s.machineVoltage(10);
    Watch w = new Watch(s, limits(-INF, volts + 0.01, INF, INF, INF, OPEN));
    assertThat(w.before(10)).isEqualTo(new Outcome.MachineCutOut(volts, volts + 0.01));
    assertThat(w.before(-10)).isNull();
    Watch just = new Watch(s, limits(-INF, volts, INF, INF, INF, OPEN));
    assertThat(just.before(10)).as("at the limit it still runs").isNull();
    Watch hot = new Watch(s, limits(-INF, -INF, ROOM, INF, INF, OPEN));
    assertThat(hot.before(-10)).isEqualTo(new Outcome.TooHot(s.hottestPlace(), ROOM, ROOM));
    PackState flat = pack(0, 0.016);
    assertThat(new Watch(flat, Limits.NONE).before(1)).isInstanceOf(Outcome.Empty.class);
    assertThat(new Watch(flat, Limits.NONE).before(-1)).isNull();
  }

  /** Of two ends in one step the earlier counts: the one found to lie farther back. */
  @Test
  void theEarlierOfTwoEndsInAStepCounts() {
    PackState s = pack(0.8, 0.016);
    double cutOut = s.machineVoltage(100) - 1e-4;
    Watch w = new Watch(s, limits(-INF, cutOut, INF, 90, 1, OPEN));
    assertThat(w.before(100)).isNull();
    s.step(100, 4);
    Outcome found = w.after(100, 4, false);
    assertThat(found)
        .as("3 s ago it tripped, nearly 4 s ago it cut out")
        .isInstanceOf(Outcome.MachineCutOut.class);
    assertThat(w.late()).isBetween(3.9, 4.0);
    assertThat(w.measured(Objects.requireNonNull(found), 10))
        .isEqualTo(new Outcome.MachineCutOut(s.machineVoltage(10), cutOut));
  }
}
