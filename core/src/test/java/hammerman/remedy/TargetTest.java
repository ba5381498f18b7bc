package hammerman.remedy;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import hammerman.Samples;
import hammerman.design.Design;
import hammerman.duty.Task;
import hammerman.forecast.Answer;
import hammerman.forecast.Forecast;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** What would have to be true: the least change of each lever, and no less would do. */
class TargetTest {
  private static final Design BARROW = Samples.barrow().withFit(null);
  private static final Forecast NOW = Forecast.of(BARROW);

  private static Target target(Answer answer, double wanted) {
    return Target.of(NOW, answer, wanted, () -> false);
  }

  private static Optional<Target.Way> way(Target t, String words) {
    return t.ways().stream().filter(w -> w.what().contains(words)).findFirst();
  }

  @Test
  void theLeastParallelCountThatGoesFarEnoughIsOffered() {
    double wanted = 1.3 * Answer.RANGE.of(NOW);
    Target t = target(Answer.RANGE, wanted);
    Target.Way way = way(t, "in parallel").orElseThrow();
    int parallel = way.design().pack().parallel();
    assertThat(Answer.RANGE.of(Forecast.of(way.design()))).isGreaterThanOrEqualTo(wanted);
    assertThat(Answer.RANGE.of(Forecast.of(BARROW.withCounts(13, parallel - 1))))
        .as("one less would not do")
        .isLessThan(wanted);
    assertThat(way.mass()).isPositive();
    assertThat(way.cost()).isPositive();
    assertThat(t.vain()).anyMatch(v -> v.contains("layers of strip"));
  }

  @Test
  void lessSagIsHadByEachLeverAlone() {
    double wanted = Answer.SAG.of(NOW) + 0.3;
    Target t = target(Answer.SAG, wanted);
    assertThat(t.met()).isFalse();
    assertThat(way(t, "the machine limited to")).isPresent();
    for (Target.Way w : t.ways()) {
      assertThat(Answer.SAG.of(Forecast.of(w.design()))).isGreaterThanOrEqualTo(wanted);
      assertThat(w.value()).isEqualTo(Answer.SAG.of(Forecast.of(w.design())));
    }
  }

  @Test
  void workingLessIsNoWayToGoOnForLonger() {
    Target t = target(Answer.TIME, Answer.TIME.of(NOW) + 900);
    assertThat(way(t, "the machine limited to")).isEmpty();
    assertThat(t.vain())
        .anyMatch(v -> v.contains("machine limited to") && v.contains("of the work"));
  }

  @Test
  void aLongerLifeIsHadByChargingLess() {
    double wanted = 1.2 * Answer.LIFE.of(NOW);
    Target.Way w = way(target(Answer.LIFE, wanted), "charged to").orElseThrow();
    assertThat(w.design().guard().charge().voltage()).isLessThan(BARROW.guard().charge().voltage());
    assertThat(Answer.LIFE.of(Forecast.of(w.design()))).isGreaterThanOrEqualTo(wanted);
  }

  @Test
  void whatIsMetNeedsNothingAndWhatIsOutOfReachSaysSo() {
    Target met = target(Answer.HOTTEST, Answer.HOTTEST.of(NOW) + 1);
    assertThat(met.met()).isTrue();
    assertThat(met.ways()).isEmpty();
    Target cold = target(Answer.HOTTEST, 283.15);
    assertThat(cold.ways()).as("the air alone is warmer").isEmpty();
    assertThat(cold.vain()).isNotEmpty();
  }

  @Test
  void aRangeIsNotAskedOfADutyWithoutAWay() {
    Forecast still =
        Forecast.of(BARROW.withDuty(BARROW.duty().withTask(new Task.ByTime(200, 3600))));
    assertThatThrownBy(() -> Target.of(still, Answer.RANGE, 1e4, () -> false))
        .isInstanceOf(IllegalArgumentException.class)
        .hasMessageContaining("Range");
  }
}
