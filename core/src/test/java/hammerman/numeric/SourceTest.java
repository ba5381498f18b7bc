package hammerman.numeric;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;

/** A source loaded with a power, against P = E I − R I² worked backwards. */
class SourceTest {
  @Test
  void theCurrentGivesThePowerAndIsTheSmallerOfTheTwo() {
    for (double amperes : new double[] {-30, 0, 0.001, 12, 200}) {
      double power = 48 * amperes - 0.05 * amperes * amperes;
      assertThat(Source.current(48, 0.05, power)).isCloseTo(amperes, within(1e-9));
    }
    assertThat(Source.current(48, 0, 96)).as("without resistance").isEqualTo(2);
  }

  @Test
  void whatCannotBeGivenIsNoFigureOrTheMostThereIs() {
    double most = 48 * 48 / (4 * 0.05);
    assertThat(Source.current(48, 0.05, most * 1.001)).isNaN();
    assertThat(Source.currentAtMost(48, 0.05, most * 1.001)).isCloseTo(480, within(1e-9));
    assertThat(Source.currentAtMost(48, 0.05, most)).isCloseTo(480, within(1e-3));
  }
}
