package hammerman.forecast;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import hammerman.Samples;
import hammerman.cell.CellCircuit;
import hammerman.cell.Health;
import hammerman.design.Design;
import hammerman.design.SecondPack;
import hammerman.duty.Load;
import hammerman.duty.Task;
import hammerman.project.Shipped;
import hammerman.simulation.Charge;
import hammerman.simulation.Day;
import hammerman.simulation.Discharge;
import hammerman.simulation.Outcome;
import hammerman.simulation.Run;
import hammerman.simulation.TwinRun;
import java.util.Locale;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** The duty on its four days, and the charge that is neither made nor lost by the cold. */
class DaysTest {
  private static Day day(Forecast f, Day.Kind kind) {
    return f.days().stream().filter(d -> d.kind() == kind).findFirst().orElseThrow();
  }

  private static Design between(Design d, double coldest, double hottest) {
    return d.withDuty(
        d.duty()
            .withSurroundings(
                d.duty()
                    .surroundings()
                    .withColdestInUse(coldest + 273.15)
                    .withHottestInUse(hottest + 273.15)));
  }

  @Test
  void everyDayHasItsAirAndTheHottestIsTheDuty() {
    Forecast f = Forecast.of(between(Samples.barrow(), -10, 40));
    assertThat(f.days())
        .extracting(d -> d.kind().key())
        .containsExactly("typical", "hottest", "coldest", "last");
    assertThat(f.days())
        .allMatch(d -> d.kind().label().toLowerCase(Locale.ROOT).contains(d.kind().key()));
    assertThat(day(f, Day.Kind.TYPICAL).air()).isCloseTo(288.15, within(1e-9));
    assertThat(day(f, Day.Kind.HOTTEST).run()).isEqualTo(f.duty());
    assertThat(day(f, Day.Kind.COLDEST).air()).isCloseTo(263.15, within(1e-9));
    assertThat(day(f, Day.Kind.COLDEST).run().extremes().lowestVoltage())
        .isLessThan(day(f, Day.Kind.HOTTEST).run().extremes().lowestVoltage());
  }

  @ParameterizedTest
  @EnumSource(Shipped.Example.class)
  void theColderAndTheMoreWornTheLessFar(Shipped.Example example) {
    Forecast f = Forecast.of(between(Shipped.example(example).design(), -20, 35));
    double hot = day(f, Day.Kind.HOTTEST).run().extremes().lowestVoltage();
    double typical = day(f, Day.Kind.TYPICAL).run().extremes().lowestVoltage();
    Run cold = day(f, Day.Kind.COLDEST).run();
    Run last = day(f, Day.Kind.LAST).run();
    assertThat(typical).isLessThanOrEqualTo(hot);
    assertThat(last.endTime()).isLessThanOrEqualTo(cold.endTime());
    assertThat(last.totals().energyOut()).isLessThanOrEqualTo(cold.totals().energyOut() * 1.0001);
  }

  /** A duty that leaves little in the warm ends early in the cold, and that is said. */
  @Test
  void aDutyThatJustFitsIsNotServedInTheCold() {
    Design d = between(Samples.barrow(), -20, 40);
    Forecast f = Forecast.of(d);
    assertThat(day(f, Day.Kind.HOTTEST).served()).isTrue();
    Day cold = day(f, Day.Kind.LAST);
    assertThat(cold.served()).isFalse();
    assertThat(cold.outcome()).startsWith("ends after ").contains(": the machine cuts out at");
  }

  /** 5 kW asked of a machine that takes 10 A: time passes, but the work is not done. */
  @Test
  void whatACurrentLimitWithholdsIsNotServed() {
    Design d = Samples.barrow();
    Design limited =
        d.withDuty(
            d.duty().withMachine(d.duty().machine().withFullEffortCurrent(2).withPeakCurrent(2)));
    Day hottest = day(Forecast.of(limited), Day.Kind.HOTTEST);
    assertThat(hottest.run().outcome().complete()).isTrue();
    assertThat(hottest.run().totals().withheldShare()).isGreaterThan(0.01);
    assertThat(hottest.served()).isFalse();
    assertThat(hottest.outcome()).contains("withholds");
  }

  /** What is taken out at one temperature goes back in at another, to a thousandth. */
  @ParameterizedTest
  @CsvSource({"40, 5", "-10, 25", "25, 25", "-20, 40", "0, 10"})
  void whatADutyTakesTheChargePutsBack(double use, double charging) {
    Forecast base = Forecast.of(Samples.barrow());
    var chain = base.chain();
    Run out = Discharge.of(chain, Load.current(8, 3600), 0.9, use + 273.15).run();
    double taken = out.totals().delivered();
    Charge back = Charge.of(chain, out.endSoc(), charging + 273.15);
    double capacity = chain.design().pack().capacity();
    assertThat(back.charge())
        .isCloseTo((back.endSoc() - out.endSoc()) * capacity, within(1e-3 * taken));
    assertThat((0.9 - out.endSoc()) * capacity).isCloseTo(taken, within(1e-3 * taken));
    assertThat(back.energy()).isGreaterThan(out.totals().energyOut());
  }

  /** The table of capacity by temperature is what can be reached, and no more. */
  @ParameterizedTest
  @CsvSource({"-20, 0.75", "-10, 0.86", "0, 0.93", "25, 1", "45, 1"})
  void theColdKeepsTheLastShareBack(double celsius, double share) {
    var pack = Samples.barrow().pack();
    double kelvin = celsius + 273.15;
    Run out = Discharge.bare(pack, Load.current(0.5, 400_000), 1, kelvin).run();
    assertThat(out.outcome()).isInstanceOf(Outcome.Empty.class);
    assertThat(out.totals().delivered())
        .isCloseTo(share * pack.capacity(), within(0.004 * pack.capacity()));
    assertThat(out.endSoc()).isCloseTo(1 - share, within(0.004));
    assertThat(new CellCircuit(pack.cell()).reachable(kelvin)).isCloseTo(share, within(1e-9));
  }

  @Test
  void wornCellsHoldLessAndSagMore() {
    var chain = Forecast.of(Samples.barrow()).chain();
    Discharge fresh = Discharge.of(chain, Load.current(8, 3600), 1, 298.15);
    Run young = fresh.run();
    Run old = fresh.worn(new Health(0.8, 1.5)).run();
    assertThat(1 - old.endSoc()).isCloseTo((1 - young.endSoc()) / 0.8, within(1e-6));
    assertThat(old.extremes().lowestVoltage()).isLessThan(young.extremes().lowestVoltage());
  }

  /** What the cold keeps back is not left to use. */
  @Test
  void whatIsLeftIsWhatCanBeHadInThatAir() {
    Forecast f =
        Forecast.of(between(Shipped.example(Shipped.Example.DARK_SKY_BOX).design(), -20, 25));
    Day cold = day(f, Day.Kind.COLDEST);
    Day warm = day(f, Day.Kind.HOTTEST);
    assertThat(warm.left()).isCloseTo(warm.run().endSoc(), within(1e-9));
    assertThat(cold.left()).isCloseTo(cold.run().endSoc() - 0.25, within(1e-9));
    assertThat(cold.outcome()).startsWith("served, ");
  }

  /** Two packs serve a day together; the first alone is not asked. */
  @Test
  void twoPacksHaveTheirDaysTogether() {
    Design alone = Samples.barrow().withCounts(13, 3).withFit(null);
    Design two = alone.withSecond(Samples.second(SecondPack.Joining.PARALLEL));
    Forecast one = Forecast.of(alone);
    Forecast both = Forecast.of(two);
    assertThat(day(one, Day.Kind.HOTTEST).served()).isFalse();
    for (Day d : both.days()) {
      Day single = day(one, d.kind());
      assertThat(d.run().endTime()).isGreaterThanOrEqualTo(single.run().endTime());
      assertThat(d.run().totals().imbalance()).as("%s", d.kind()).isCloseTo(0, within(1e-3));
    }
    assertThat(day(both, Day.Kind.HOTTEST).served()).isEqualTo(both.pair().orElseThrow().served());
    assertThat(day(both, Day.Kind.LAST).run().endTime())
        .isLessThanOrEqualTo(day(both, Day.Kind.COLDEST).run().endTime());
  }

  /** The figures of two packs are those of both: farther, with less sag, and longer lived. */
  @Test
  void whatIsToldOfTwoPacksInParallelIsOfBoth() {
    Design alone = Samples.barrow().withFit(null);
    Forecast one = Forecast.of(alone);
    Forecast both = Forecast.of(alone.withSecond(Samples.second(SecondPack.Joining.PARALLEL)));
    double more = 1 + 0.85 * 4 / 6;
    assertThat(both.reach().typical().endTime() / one.reach().typical().endTime())
        .as("as much longer as there is more capacity")
        .isCloseTo(more, within(0.1));
    assertThat(both.range() / one.range()).isCloseTo(more, within(0.1));
    assertThat(both.chain().sag().get(2).tenSeconds())
        .isGreaterThan(one.chain().sag().get(2).tenSeconds());
    assertThat(both.own().totals().delivered())
        .as("the larger share of what one gives alone")
        .isBetween(0.5 * one.own().totals().delivered(), 0.8 * one.own().totals().delivered());
    assertThat(both.life().years()).isGreaterThan(1.2 * one.life().years());
    assertThat(both.thermal().settled()).isLessThan(one.thermal().settled());
    assertThat(AirSweep.of(both).points().getFirst().fresh())
        .isGreaterThan(1.2 * AirSweep.of(one).points().getFirst().fresh());
    assertThat(Answers.of(both.design(), both.chain().path().assembly(), 1).get(Answer.TIME))
        .isCloseTo(both.reach().typical().endTime(), within(60.0));
    Spread drawn = Spread.of(Ensemble.NONE.grown(both, 20));
    assertThat(both.reach().typical().endTime()).isBetween(drawn.time().low(), drawn.time().high());
  }

  /** A reserve takes over when the first has ended: each goes about as long as it would alone. */
  @Test
  void aReserveTakesOverAfterWhatOnePackGoesAlone() {
    Design alone = Samples.barrow().withFit(null);
    Forecast one = Forecast.of(alone);
    SecondPack same =
        new SecondPack(
            alone.pack(),
            Samples.branch(3e-3),
            SecondPack.Joining.SWITCH_OVER,
            1,
            one.chain().ceiling());
    Forecast both = Forecast.of(alone.withSecond(same));
    double single = one.reach().typical().endTime();
    assertThat(one.reach().one()).isEqualTo(single);
    assertThat(both.reach().one()).isCloseTo(single, within(0.01 * single));
    assertThat(both.reach().typical().endTime()).isCloseTo(2 * single, within(0.05 * single));
    Forecast beside = Forecast.of(alone.withSecond(same.withJoining(SecondPack.Joining.PARALLEL)));
    assertThat(beside.reach().one()).isEqualTo(beside.reach().typical().endTime());
  }

  /** In series neither pack runs the machine by itself; together they have a life all the same. */
  @Test
  void twoPacksInSeriesAreToldTogetherThoughNeitherRunsAlone() {
    Design half = Samples.barrow().withCounts(7, 6).withFit(null);
    SecondPack other =
        new SecondPack(half.pack(), Samples.branch(3e-3), SecondPack.Joining.SERIES, 1, 1);
    Forecast alone = Forecast.of(half);
    Forecast f = Forecast.of(half.withSecond(other));
    assertThat(alone.reach().typical().endTime()).isZero();
    assertThat(f.duty().served()).isTrue();
    assertThat(f.reach().typical().endTime()).isGreaterThan(f.duty().endTime());
    assertThat(f.own().totals().delivered()).isGreaterThan(5);
    assertThat(f.charge().charge())
        .as("what the first gave comes back")
        .isCloseTo(
            f.own().totals().delivered() - f.own().totals().regenerated(),
            within(0.002 * f.own().totals().delivered() + 0.02 * half.pack().capacity()));
    assertThat(f.life().years()).isLessThan(alone.life().years());
  }

  /** A run that nothing ends is told as longer than that, and never as its own limit. */
  @Test
  void whatGoesOnForLongerThanIsForecastIsToldSo() {
    Forecast f = Forecast.of(Samples.barrow().withCounts(13, 40).withFit(null));
    Design little = f.design().withDuty(f.design().duty().withTask(new Task.ByTime(1, 3600)));
    Forecast endless = Forecast.of(little);
    assertThat(Workings.figure(Headline.RUN_TIME, f)).doesNotContain("over");
    assertThat(Workings.figure(Headline.RUN_TIME, endless)).isEqualTo("over 720 h");
    assertThat(Workings.otherDays(Headline.RUN_TIME, endless)).startsWith("over 720 h");
    assertThat(Answer.TIME.shown(Answer.TIME.of(endless))).isEqualTo("over 720 h");
  }

  /** What a machine does not let through is withheld from two packs as from one. */
  @Test
  void twoPacksAreClippedByTheMachineAsOneIs() {
    Design two = Samples.barrow().withSecond(Samples.second(SecondPack.Joining.PARALLEL));
    var machine = two.duty().machine();
    Design held =
        two.withDuty(two.duty().withMachine(machine.withPeakCurrent(12).withFullEffortCurrent(10)));
    Forecast f = Forecast.of(held);
    TwinRun run = f.pair().orElseThrow();
    assertThat(run.both().outcome().complete()).isTrue();
    assertThat(run.served()).isFalse();
    assertThat(f.judgements()).anyMatch(j -> j.id().equals("duty.clipped"));
    assertThat(f.judgements()).noneMatch(j -> j.id().equals("duty.pair"));
  }
}
