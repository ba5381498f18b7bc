package hammerman.prove;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import hammerman.Samples;
import hammerman.design.Design;
import hammerman.forecast.Forecast;
import hammerman.life.LifeForecast;
import hammerman.prove.Fade.Point;
import hammerman.prove.Suspects.Suspect;
import hammerman.record.Incident.Kind;
import hammerman.record.RunCondition;
import hammerman.record.RunResult;
import hammerman.record.RunSheet;
import hammerman.unit.InvalidValue;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** A pack over months: its fade, its groups, its turns, and what went wrong. */
class AgeingTest {
  private static final Forecast BARROW = Forecast.of(Samples.barrow().withFit(null));
  private static final LifeForecast LIFE = BARROW.life();

  private static List<Point> points(double factor, double error, long seed) {
    Random r = new Random(seed);
    List<Point> all = new ArrayList<>();
    for (double years = 0.05; years < 0.6; years += 0.1) {
      double left = 1 - factor * Fade.loss(LIFE, years) + error * r.nextGaussian();
      all.add(new Point(years, left, error, "made up"));
    }
    return all;
  }

  @Test
  void theFactorOfTheLossIsFoundWithinItsOwnError() {
    int within = 0;
    for (int seed = 0; seed < 100; seed++) {
      Fade f = Fade.of(LIFE, OptionalDouble.empty(), points(1.4, 0.01, seed));
      within += Math.abs(f.factor() - 1.4) <= 1.96 * f.error() ? 1 : 0;
    }
    // By chance fewer than 89 of 100 intervals of 95 % hold it less often than one in a hundred.
    assertThat(within).isGreaterThanOrEqualTo(89);
  }

  @Test
  void aFadeIsJudgedByTheBandAndByWhatIsKnown() {
    OptionalDouble never = OptionalDouble.empty();
    assertThat(Fade.of(LIFE, never, List.of()).verdict()).startsWith("No capacity is measured");
    assertThat(Fade.of(LIFE, never, points(1, 0.005, 1)).verdict()).contains("is normal");
    assertThat(Fade.of(LIFE, never, points(2.2, 0.005, 1)).verdict()).contains("faster");
    assertThat(Fade.of(LIFE, never, points(0.3, 0.005, 1)).verdict()).contains("slower");
    assertThat(Fade.of(LIFE, never, List.of(new Point(0, 0.99, 0.01, ""))).verdict())
        .contains("too early");
  }

  @Test
  void aFasterFadeBringsItsYearsNearer() {
    double fits = 0.5 * LIFE.years();
    Fade as = Fade.of(LIFE, OptionalDouble.of(fits), points(1, 1e-6, 1));
    assertThat(as.worn().orElseThrow()).isCloseTo(LIFE.years(), within(0.05 * LIFE.years()));
    assertThat(as.fits().orElseThrow()).isCloseTo(fits, within(0.03 * fits));
    Fade faster = Fade.of(LIFE, OptionalDouble.of(fits), points(1.5, 1e-6, 1));
    assertThat(faster.worn().orElseThrow()).isLessThan(0.8 * as.worn().orElseThrow());
    assertThat(faster.fits().orElseThrow()).isLessThan(0.8 * as.fits().orElseThrow());
  }

  @Test
  void theGroupThatLeaksIsFoundAmongTheNoise() {
    Random r = new Random(2);
    List<Drift.CheckUp> ups = new ArrayList<>();
    for (int month = 0; month < 4; month++) {
      double[] v = new double[13];
      for (int g = 0; g < 13; g++) {
        v[g] = 3.9 - 0.01 * month + 0.001 * r.nextGaussian() - (g == 7 ? 0.012 * month : 0);
      }
      ups.add(new Drift.CheckUp(30.0 * month, v));
    }
    Drift d = Drift.of(ups);
    assertThat(d.worst()).hasValue(7);
    assertThat(d.perMonth().get(7)).isCloseTo(-0.011, within(0.002));
    assertThat(d.words()).contains("Group 8 falls by");
    assertThat(Drift.of(ups.subList(0, 1)).perMonth()).isEmpty();
  }

  /** Two hours of work and one of charging: one charger keeps two going for ever. */
  @Test
  void aDayIsWorkedThroughWithTheFewestBatteries() {
    double h = 3600;
    assertThat(Rota.fewest(new Rota.Question(2 * h, h, 1, 8 * h)).batteries()).isEqualTo(2);
    assertThat(Rota.fewest(new Rota.Question(8 * h, h, 1, 8 * h)).batteries()).isEqualTo(1);
    assertThat(Rota.fewest(new Rota.Question(h, h, 0, 8 * h)).batteries())
        .as("without a charger each works once")
        .isEqualTo(8);
    // An hour of work for two of charging: a charger alone gives half of it back.
    Rota slow = Rota.fewest(new Rota.Question(h, 2 * h, 1, 8 * h));
    assertThat(Rota.with(new Rota.Question(h, 2 * h, 1, 8 * h), slow.batteries() - 1).throughout())
        .isFalse();
    assertThat(slow.shifts()).isNotEmpty();
    for (int k = 1; k < slow.shifts().size(); k++) {
      assertThat(slow.shifts().get(k).from()).isEqualTo(slow.shifts().get(k - 1).until());
    }
    assertThatThrownBy(() -> Rota.fewest(new Rota.Question(60, 5 * h, 0, 8 * h)))
        .isInstanceOf(InvalidValue.class)
        .hasMessageContaining("do not last it");
  }

  @Test
  void energyIsMeanAndSpreadByCourse() {
    RunSheet s = RunSheet.NOTHING.withWords(RunCondition.COURSE, "hill");
    List<Consumption> all =
        Consumption.of(
            List.of(
                s.withResult(RunResult.ENERGY, 360_000.0).withResult(RunResult.DISTANCE, 1000.0),
                s.withResult(RunResult.ENERGY, 440_000.0)
                    .withResult(RunResult.REGENERATED, 20_000.0)
                    .withResult(RunResult.DISTANCE, 1000.0),
                RunSheet.NOTHING
                    .withResult(RunResult.ENERGY, 36_000.0)
                    .withResult(RunResult.DURATION, 3600.0),
                RunSheet.NOTHING));
    assertThat(all).hasSize(2);
    assertThat(all.getFirst().mean()).as("net of what came back").isEqualTo(390);
    assertThat(all.getFirst().spread()).isCloseTo(30 * Math.sqrt(2), within(1e-9));
    assertThat(all.getLast().byDistance()).isFalse();
    assertThat(all.getLast().mean()).isEqualTo(10);
  }

  @Test
  void eachPackHasItsOwnRuns() {
    RunSheet first = RunSheet.NOTHING.withWords(RunCondition.PACK, "first");
    RunSheet second = RunSheet.NOTHING.withWords(RunCondition.PACK, "second");
    List<PackUse> all =
        PackUse.of(
            List.of(
                first.withResult(RunResult.CHARGE, 3600.0).withResult(RunResult.DURATION, 60.0),
                second.withResult(RunResult.LOWEST_VOLTAGE, 44.0),
                first
                    .withResult(RunResult.CHARGE, 1800.0)
                    .withResult(RunResult.ENERGY, 90_000.0)
                    .withResult(RunResult.REGENERATED, 10_000.0)
                    .withResult(RunResult.LOWEST_VOLTAGE, 45.0),
                RunSheet.NOTHING));
    assertThat(all).extracting(PackUse::pack).containsExactly("", "first", "second");
    PackUse one = all.get(1);
    assertThat(one.runs()).isEqualTo(2);
    assertThat(one.charge()).isEqualTo(5400);
    assertThat(one.energy()).as("net of what came back").isEqualTo(80_000);
    assertThat(one.lowestVoltage()).isEqualTo(45);
    assertThat(all.getFirst().lowestVoltage()).isNaN();
  }

  @ParameterizedTest
  @EnumSource(Kind.class)
  void everyIncidentHasSuspectsWithATestForEach(Kind kind) {
    List<Suspect> all = Suspects.of(kind, BARROW, Optional.empty());
    assertThat(all).hasSizeGreaterThanOrEqualTo(3);
    assertThat(all).isSortedAccordingTo((a, b) -> Double.compare(b.weight(), a.weight()));
    assertThat(all).allSatisfy(s -> assertThat(s.test()).isNotBlank());
    assertThat(all)
        .noneSatisfy(s -> assertThat(s.test() + s.why()).containsIgnoringCase("remove the"));
  }

  @Test
  void whatTheRecordSaysPutsTheCauseFirst() {
    RunSheet empty =
        RunSheet.NOTHING
            .withFigure(RunCondition.START_SOC, 0.9)
            .withFigure(RunCondition.AIR, 293.15)
            .withResult(RunResult.CHARGE, 0.88 * BARROW.design().pack().capacity());
    assertThat(Suspects.of(Kind.CUT_OUT, BARROW, Optional.of(empty)).getFirst().cause())
        .isEqualTo("it was empty");
    RunSheet joint = empty.withResult(RunResult.CHARGE, 5.0).withResult(RunResult.RESISTANCE, 0.15);
    assertThat(Suspects.of(Kind.CUT_OUT, BARROW, Optional.of(joint)).getFirst().cause())
        .isEqualTo("a joint with too much resistance");
    RunSheet cold = empty.withResult(RunResult.CHARGE, 5.0).withFigure(RunCondition.AIR, 266.15);
    assertThat(Suspects.of(Kind.CUT_OUT, BARROW, Optional.of(cold)).getFirst().cause())
        .isEqualTo("the cold");
    RunSheet peak = RunSheet.NOTHING.withResult(RunResult.PEAK_CURRENT, 400.0);
    assertThat(Suspects.of(Kind.BMS_TRIP, BARROW, Optional.of(peak)).getFirst().cause())
        .isEqualTo("over-current");
  }

  @Test
  void remindersAreNeverInThePast() {
    LocalDate today = LocalDate.of(2026, 11, 27);
    List<Reminder> all =
        Reminder.of(LocalDate.of(2025, 1, 1), LocalDate.of(2025, 2, 1), today, "48 V");
    assertThat(all).extracting(Reminder::key).containsExactly("check-up", "storage");
    assertThat(all).allSatisfy(r -> assertThat(r.on()).isAfterOrEqualTo(today));
    assertThat(Reminder.of(today, today, today, "48 V"))
        .extracting(Reminder::key)
        .containsExactly("retighten", "check-up", "storage");
  }

  /** Taking a scale in moves what is forecast, and keeps what the cell had when new. */
  @Test
  void anAcceptedScaleChangesTheDesignAndNotTheNewCell() {
    Design d = Samples.barrow().withFit(null);
    Design as = Accepted.by(d, 0.93, 1.2);
    assertThat(as.pack().capacity()).isCloseTo(0.93 * d.pack().capacity(), within(1e-9));
    assertThat(as.pack().cell().r10()).isCloseTo(1.2 * d.pack().cell().r10(), within(1e-12));
    var health = Objects.requireNonNull(as.pack().cell().health());
    assertThat(health.capacity()).isCloseTo(0.93, within(1e-9));
    assertThat(Accepted.by(d, 1, 1)).isEqualTo(d);
    Design matched = d.withMatched(Samples.cells(13, 6));
    Design both = Accepted.by(matched, 0.9, 1.1);
    assertThat(both.pack().matched().orElseThrow().meanCapacity())
        .isCloseTo(0.9 * matched.pack().matched().orElseThrow().meanCapacity(), within(1e-9));
    assertThat(both.pack().cell().r10()).isCloseTo(1.1 * matched.pack().cell().r10(), within(1e-9));
  }
}
