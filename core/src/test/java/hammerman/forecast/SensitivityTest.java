package hammerman.forecast;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import hammerman.Samples;
import hammerman.design.Design;
import hammerman.duty.Task;
import hammerman.forecast.Sensitivity.Effect;
import hammerman.forecast.Sensitivity.Input;
import java.util.List;
import org.junit.jupiter.api.Test;

class SensitivityTest {
  private static final Forecast BARROW = Forecast.of(Samples.barrow());
  private final Sensitivity made = Sensitivity.of(BARROW);

  private Effect of(Sensitivity s, Answer a, Input i) {
    return s.effects().getOrDefault(a, List.of()).stream()
        .filter(e -> e.input() == i)
        .findFirst()
        .orElseThrow();
  }

  @Test
  void eachInputMovesItsAnswersTheWayItDoes() {
    Effect capacity = of(made, Answer.TIME, Input.CAPACITY);
    assertThat(capacity.low()).isLessThan(capacity.now());
    assertThat(capacity.high()).isGreaterThan(capacity.now());
    Effect load = of(made, Answer.SAG, Input.LOAD);
    assertThat(load.low()).as("a lighter load sags less").isGreaterThan(load.now());
    assertThat(load.high()).isLessThan(load.now());
    Effect air = of(made, Answer.HOTTEST, Input.AIR);
    assertThat(air.high() - air.now()).isCloseTo(5, within(1.0));
    Effect storage = of(made, Answer.LIFE, Input.STORAGE);
    assertThat(storage.high()).isLessThan(storage.now());
    assertThat(of(made, Answer.LIFE, Input.SHEDDING).high())
        .as("a cooler pack lives longer")
        .isGreaterThan(storage.now());
  }

  @Test
  void theStrongestComesFirstAndWhatDoesNothingDoesNothing() {
    for (Answer a : Answer.values()) {
      List<Effect> all = made.effects().getOrDefault(a, List.of());
      for (int k = 1; k < all.size(); k++) {
        assertThat(all.get(k).most()).isLessThanOrEqualTo(all.get(k - 1).most());
      }
    }
    assertThat(of(made, Answer.TIME, Input.STORAGE).most()).isZero();
    assertThat(of(made, Answer.SAG, Input.CYCLES).most()).isZero();
  }

  /**
   * By ohm's law: a tenth more resistance of the cells is a tenth more of their share of the sag.
   */
  @Test
  void theSagMovesByTheCellsShareOfIt() {
    Effect r = of(made, Answer.SAG, Input.RESISTANCE);
    double open = BARROW.chain().path().openCircuit(0.2);
    double outside =
        BARROW.chain().demand().peak()
            * BARROW.chain().path().outside(Samples.barrow().duty().surroundings().coldestInUse());
    double cells = open - r.now() - outside;
    assertThat(r.now() - r.high()).isCloseTo(0.1 * cells, within(0.03 * cells));
  }

  @Test
  void aDutyWithoutAWayHasNoRange() {
    Design still =
        Samples.barrow().withDuty(Samples.barrow().duty().withTask(new Task.ByTime(200, 3600)));
    assertThat(Sensitivity.of(Forecast.of(still)).effects().get(Answer.RANGE)).isEmpty();
  }
}
