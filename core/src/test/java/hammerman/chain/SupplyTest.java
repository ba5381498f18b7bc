package hammerman.chain;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import hammerman.Samples;
import hammerman.chain.Path.Settling;
import hammerman.chain.Supply.Branch;
import hammerman.chain.Supply.Split;
import hammerman.design.Design;
import hammerman.design.SecondPack;
import hammerman.design.SecondPack.Joining;
import hammerman.pack.Assembly;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Two packs at their junction obey Kirchhoff, however they are joined. */
class SupplyTest {
  private static final double SOC = 0.6;
  private static final double AIR = 288.15;
  private static final Settling TEN = Settling.TEN_SECONDS;

  /** A second pack of other width; with {@code series} groups, so that it may rest lower. */
  private static Supply supply(Joining joining, int series) {
    SecondPack s = Samples.second(joining);
    Design d =
        Samples.barrow().withSecond(s.withPack(s.pack().withCounts(series, s.pack().parallel())));
    return Supply.of(d, Assembly.estimated(d.pack()));
  }

  private static double junction(Branch b, double amperes) {
    return b.openCircuit(SOC) - amperes * b.resistance(SOC, AIR, TEN);
  }

  @ParameterizedTest
  @CsvSource({"13,30", "13,0", "12,5", "12,60", "13,-10"})
  void inParallelCurrentsAddUpAndBothMeetOneVoltage(int series, double amperes) {
    Supply s = supply(Joining.PARALLEL, series);
    Branch a = s.first();
    Branch b = s.second().orElseThrow();
    Split split = s.split(amperes, SOC, AIR, TEN);
    assertThat(split.first() + split.second()).isCloseTo(amperes, within(1e-9));
    assertThat(junction(a, split.first())).isCloseTo(junction(b, split.second()), within(1e-9));
    double lost = amperes * a.shared().shared(AIR);
    assertThat(split.voltage()).isCloseTo(junction(a, split.first()) - lost, within(1e-9));
    if (series == 12 && amperes < 10) {
      assertThat(split.second()).as("the lower is charged by the higher").isNegative();
    }
  }

  @ParameterizedTest
  @CsvSource({"13,30", "12,5", "12,200"})
  void diodesLetNothingBackAndTheHigherCarriesAlone(int series, double amperes) {
    Supply s = supply(Joining.DIODES, series);
    Branch a = s.first();
    Branch b = s.second().orElseThrow();
    Split split = s.split(amperes, SOC, AIR, TEN);
    assertThat(split.first()).isNotNegative();
    assertThat(split.second()).isNotNegative();
    assertThat(split.first() + split.second()).isCloseTo(amperes, within(1e-9));
    if (split.second() > 0) {
      assertThat(junction(a, split.first())).isCloseTo(junction(b, split.second()), within(1e-9));
    } else {
      assertThat(b.openCircuit(SOC)).isLessThanOrEqualTo(junction(a, split.first()));
    }
  }

  @Test
  void inSeriesVoltagesAddAndAReserveCarriesAllInItsTurn() {
    Supply series = supply(Joining.SERIES, 13);
    Branch a = series.first();
    Branch b = series.second().orElseThrow();
    double lost = 20 * a.shared().shared(AIR);
    Split in = series.split(20, SOC, AIR, TEN);
    assertThat(in.first()).isEqualTo(20);
    assertThat(in.second()).isEqualTo(20);
    assertThat(in.voltage()).isCloseTo(junction(a, 20) + junction(b, 20) - lost, within(1e-9));
    assertThat(series.highest()).isCloseTo(a.highest() + b.highest(), within(1e-9));
    Split turn = supply(Joining.SWITCH_OVER, 13).split(20, SOC, AIR, TEN);
    assertThat(turn.voltage())
        .as("the weaker of the two, alone")
        .isCloseTo(Math.min(junction(a, 20), junction(b, 20)) - lost, within(1e-9));
    assertThat(supply(Joining.PARALLEL, 13).highest())
        .isCloseTo(Math.max(a.highest(), b.highest()), within(1e-9));
  }

  /** The current found for a power gives that power at the machine. */
  @ParameterizedTest
  @CsvSource({
    "PARALLEL,13,900",
    "PARALLEL,12,900",
    "SERIES,13,1500",
    "DIODES,13,900",
    "DIODES,12,200",
    "DIODES,12,4000",
    "SWITCH_OVER,13,700",
    "SWITCH_OVER,12,700"
  })
  void aPowerIsHadAtTheMachine(Joining joining, int series, double watts) {
    Supply s = supply(joining, series);
    double amperes = s.currentFor(watts, SOC, AIR);
    assertThat(amperes * s.split(amperes, SOC, AIR, TEN).voltage())
        .isCloseTo(watts, within(1e-6 * watts));
  }

  @Test
  void onePackIsASourceBehindItsResistance() {
    Design d = Samples.barrow();
    Supply s = Supply.of(d, Assembly.estimated(d.pack()));
    assertThat(s.second()).isEmpty();
    Split split = s.split(25, SOC, AIR, TEN);
    assertThat(split.first()).isEqualTo(25);
    assertThat(split.second()).isZero();
    assertThat(split.voltage())
        .isCloseTo(junction(s.first(), 25) - 25 * d.guard().shared(AIR), within(1e-9));
    double amperes = s.currentFor(1000, SOC, AIR);
    assertThat(amperes * s.split(amperes, SOC, AIR, TEN).voltage()).isCloseTo(1000, within(1e-6));
    double most = s.currentFor(1e7, SOC, AIR);
    double r = s.first().resistance(SOC, AIR, TEN) + d.guard().shared(AIR);
    assertThat(most)
        .as("more is not to be had: the current of the greatest power")
        .isCloseTo(s.first().openCircuit(SOC) / (2 * r), within(1e-9));
  }

  /** Where the higher pack alone holds its voltage above the other, that one gives nothing. */
  @Test
  void aDiodeHoldsBackTheLowerPackUntilTheHigherSags() {
    Supply s = supply(Joining.DIODES, 12);
    Branch a = s.first();
    Branch b = s.second().orElseThrow();
    double diode = 0.4;
    double lost = 5 * a.shared().shared(AIR) + diode;
    Split alone = s.split(5, SOC, AIR, TEN);
    assertThat(alone.first()).isEqualTo(5);
    assertThat(alone.second()).isZero();
    assertThat(alone.voltage()).isCloseTo(junction(a, 5) - lost, within(1e-9));
    Split both = s.split(300, SOC, AIR, TEN);
    assertThat(both.second()).isPositive();
    assertThat(both.voltage())
        .isCloseTo(junction(b, both.second()) - 300 * a.shared().shared(AIR) - diode, within(1e-9));
    assertThat(s.split(-8, SOC, AIR, TEN).first()).as("nothing goes back in").isZero();
    Supply higher = supply(Joining.DIODES, 15);
    Branch second = higher.second().orElseThrow();
    Split other = higher.split(5, SOC, AIR, TEN);
    assertThat(other.first()).isZero();
    assertThat(other.second()).isEqualTo(5);
    assertThat(other.voltage()).isCloseTo(junction(second, 5) - lost, within(1e-9));
    double amperes = higher.currentFor(150, SOC, AIR);
    assertThat(amperes * higher.split(amperes, SOC, AIR, TEN).voltage())
        .isCloseTo(150, within(1e-6));
  }

  @Test
  void aReserveGivesAllAndTheWeakerTellsTheVoltage() {
    Supply s = supply(Joining.SWITCH_OVER, 12);
    Split turn = s.split(20, SOC, AIR, TEN);
    assertThat(turn.first()).isEqualTo(20);
    assertThat(turn.second()).isEqualTo(20);
    double lost = 20 * s.first().shared().shared(AIR);
    assertThat(turn.voltage())
        .isCloseTo(junction(s.second().orElseThrow(), 20) - lost, within(1e-9));
    Supply strong = supply(Joining.SWITCH_OVER, 16);
    assertThat(strong.split(20, SOC, AIR, TEN).voltage())
        .isCloseTo(junction(strong.first(), 20) - lost, within(1e-9));
  }
}
