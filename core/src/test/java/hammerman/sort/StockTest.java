package hammerman.sort;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import hammerman.record.Aside;
import hammerman.record.BayTest;
import hammerman.record.Fact;
import hammerman.record.InventoryCell;
import hammerman.record.Measured;
import hammerman.record.Measurement;
import hammerman.record.Measurement.Conditions;
import hammerman.record.Measurement.Origin;
import hammerman.record.Subject;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

/** What is known of each cell, out of the record of its measurements. */
class StockTest {
  private static final Instant NOON = Instant.parse("2026-06-01T12:00:00Z");

  private final List<Fact<Measurement>> measured = new ArrayList<>();
  private final List<Fact<Aside>> asides = new ArrayList<>();
  private final List<Fact<BayTest>> tests = new ArrayList<>();

  private void measure(Measured what, double value, double days) {
    measured.add(
        new Fact<>(
            measured.size() + 1,
            NOON.plus(Duration.ofMinutes(Math.round(1440 * days))),
            new Measurement(new Subject.Cell(1), what, value, Conditions.UNKNOWN, "", Origin.TYPED),
            null));
  }

  private Stock.Cell cell(boolean direct) {
    return stock(direct).cells().getFirst();
  }

  private Stock stock(boolean direct) {
    return Stock.of(
        List.of(new Fact<>(1, NOON, InventoryCell.labelled("A1"), null)),
        measured,
        asides,
        tests,
        direct);
  }

  @Test
  void theLastMeasurementThatCountsIsTaken() {
    measure(Measured.CAPACITY, 2.0, 0);
    measure(Measured.CAPACITY, 1.9, 1);
    Fact<Measurement> last = measured.getLast();
    assertThat(cell(false).measured().capacity()).isEqualTo(1.9);
    measured.set(1, new Fact<>(2, last.at(), last.value(), new Fact.Strike(NOON, "wrong cut-off")));
    assertThat(cell(false).measured().capacity()).isEqualTo(2.0);
    assertThat(cell(false).count()).isEqualTo(1);
  }

  @Test
  void resistancesOfBothKindsAreNotMixed() {
    measure(Measured.AC_RESISTANCE, 0.020, 0);
    measure(Measured.DC_RESISTANCE, 0.045, 1);
    assertThat(cell(false).measured().resistance()).isEqualTo(0.020);
    assertThat(cell(true).measured().resistance()).isEqualTo(0.045);
  }

  @Test
  void selfDischargeIsWorkedOutFromTwoRestVoltages() {
    measure(Measured.REST_VOLTAGE, 4.180, 0);
    measure(Measured.REST_VOLTAGE, 4.150, 10);
    assertThat(cell(false).measured().selfDischarge())
        .as("30 mV in ten days")
        .isCloseTo(3e-3 / 86400, within(1e-12));
  }

  @Test
  void twoVoltagesOfTheSameDayOrWithATestBetweenTellNothing() {
    measure(Measured.REST_VOLTAGE, 4.180, 0);
    measure(Measured.REST_VOLTAGE, 4.150, 1);
    assertThat(cell(false).measured().selfDischarge()).isNaN();
    measure(Measured.CAPACITY, 2.0, 5);
    measure(Measured.REST_VOLTAGE, 3.7, 6);
    assertThat(cell(false).measured().selfDischarge()).isNaN();
    assertThat(cell(false).restingSince()).isEqualTo(NOON.plus(Duration.ofDays(6)));
    measure(Measured.REST_VOLTAGE, 3.69, 20);
    assertThat(cell(false).measured().selfDischarge())
        .isCloseTo(0.01 / (14 * 86400.0), within(1e-12));
    assertThat(cell(false).restingSince()).isNull();
  }

  /** What the tester reads before its test is the second of the pair. */
  @Test
  void aTestDoesNotForgetWhatWasLostBeforeIt() {
    measure(Measured.REST_VOLTAGE, 3.700, 0);
    measure(Measured.REST_VOLTAGE, 3.620, 8);
    measure(Measured.CAPACITY, 2.0, 8);
    assertThat(cell(false).measured().selfDischarge())
        .as("80 mV in eight days")
        .isCloseTo(0.01 / 86400, within(1e-12));
    assertThat(cell(false).rested()).as("since its last charge nothing was read").isNull();
  }

  @Test
  void aCellThatGainedOrLostTooMuchInABayIsTakenForAnother() {
    measure(Measured.REST_VOLTAGE, 3.600, 0);
    Instant later = NOON.plus(Duration.ofDays(4));
    assertThat(OtherCell.suspected(cell(false), 3.585, 2, later)).isEmpty();
    assertThat(OtherCell.suspected(cell(false), 3.625, 2, later)).as("two meters").isEmpty();
    assertThat(OtherCell.suspected(cell(false), 3.64, 2, later))
        .hasValueSatisfying(
            w -> assertThat(w).startsWith("wrong cell in bay 2: ").contains("3.640 V", "3.600 V"));
    assertThat(OtherCell.suspected(cell(false), 3.52, 2, later))
        .hasValueSatisfying(w -> assertThat(w).startsWith("wrong cell in bay 2, or it leaks"));
    measure(Measured.CAPACITY, 2.0, 1);
    assertThat(OtherCell.suspected(cell(false), 3.9, 2, later))
        .as("it was charged since: nothing is known")
        .isEmpty();
  }

  @Test
  void whatIsPutAsideOrOnTestIsSo() {
    asides.add(new Fact<>(1, NOON, new Aside(1, "dented"), null));
    tests.add(new Fact<>(1, NOON, new BayTest(1, 3, NOON.plusSeconds(60), null, null), null));
    assertThat(cell(false).aside()).isNotNull();
    assertThat(cell(false).test()).isNotNull();
    asides.set(0, new Fact<>(1, NOON, new Aside(1, "dented"), new Fact.Strike(NOON, "it is not")));
    tests.set(
        0,
        new Fact<>(1, NOON, new BayTest(1, 3, NOON, NOON, new BayTest.Outcome.BrokenOff()), null));
    assertThat(cell(false).aside()).isNull();
    assertThat(cell(false).test()).isNull();
  }

  @Test
  void eachBayKeepsWhichTestEndedInItLast() {
    tests.add(new Fact<>(1, NOON, ended(3, new BayTest.Outcome.Measured()), null));
    tests.add(new Fact<>(2, NOON, ended(3, new BayTest.Outcome.BrokenOff()), null));
    tests.add(new Fact<>(3, NOON, new BayTest(1, 3, NOON, null, null), null));
    tests.add(new Fact<>(4, NOON, ended(2, new BayTest.Outcome.Measured()), null));
    assertThat(stock(false).ended()).containsOnlyKeys(2, 3);
    assertThat(stock(false).ended().get(3)).isEqualTo(tests.get(1));
  }

  private static BayTest ended(int bay, BayTest.Outcome outcome) {
    return new BayTest(1, bay, NOON, NOON, outcome);
  }

  /** 30 cells that spread 3 % tell the mean of many within 1.1 %: (1.96 · 3 / 1.1)² = 28.6. */
  @Test
  void howManyToMeasureFollowsFromTheSpread() {
    double[] values = new double[40];
    for (int k = 0; k < values.length; k++) {
      values[k] = 2 * (1 + (k % 2 == 0 ? 0.03 : -0.03));
    }
    SampleSize many = SampleSize.of(values, 1_000_000, 0.011);
    assertThat(many.deviation()).isCloseTo(0.0608, within(1e-4));
    assertThat(many.wanted()).isEqualTo(30);
    assertThat(many.enough()).isTrue();
    assertThat(SampleSize.of(values, 60, 0.011).wanted())
        .as("a small batch needs fewer")
        .isEqualTo(20);
    assertThat(SampleSize.of(new double[] {2}, 100, 0.01).wanted()).isEqualTo(SampleSize.LEAST);
  }
}
