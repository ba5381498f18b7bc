package hammerman.app.picture;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

class ScaleTest {
  @Test
  void pixelsAndValuesUndoEachOther() {
    Scale scale = new Scale(-5, 55, 300, 20);
    assertThat(scale.at(-5)).isEqualTo(300);
    assertThat(scale.at(55)).isEqualTo(20);
    assertThat(scale.valueAt(scale.at(12.5))).isCloseTo(12.5, within(1e-9));
  }

  @Test
  void ticksAreRoundInsideAndNotTooClose() {
    Random random = new Random(5);
    for (int k = 0; k < 300; k++) {
      double low = (random.nextDouble() - 0.5) * Math.pow(10, random.nextInt(6) - 2);
      double high = low + random.nextDouble() * Math.pow(10, random.nextInt(6) - 2) + 1e-4;
      Scale scale = new Scale(low, high, 0, 100 + random.nextInt(900));
      List<Double> ticks = scale.ticks(40);
      for (int t = 0; t < ticks.size(); t++) {
        assertThat(ticks.get(t)).isBetween(low - 1e-9, high + (high - low) * 1e-6);
        if (t > 0) {
          assertThat(scale.at(ticks.get(t)) - scale.at(ticks.get(t - 1))).isGreaterThan(39);
        }
      }
    }
  }

  @Test
  void voltageTicksAreTheOnesPeopleExpect() {
    assertThat(new Scale(40, 56, 200, 0).ticks(50)).containsExactly(40.0, 45.0, 50.0, 55.0);
    assertThat(new Scale(40, 56, 200, 0).decimals(50)).isZero();
    assertThat(new Scale(3, 4.2, 0, 200).decimals(40)).isEqualTo(1);
  }

  @Test
  void anEmptyRangeIsRefused() {
    assertThatThrownBy(() -> new Scale(3, 3, 0, 100)).hasMessageContaining("low < high");
  }

  @Test
  void anAxisHasTwoToSixFigures() {
    Random random = new Random(8);
    for (int k = 0; k < 500; k++) {
      double low = random.nextInt(50);
      double high = low + Math.pow(10, 5 * random.nextDouble() - 2);
      Scale scale = new Scale(low, high, 80 + random.nextInt(900), 0);
      assertThat(scale.ticks(scale.gap(26)).size())
          .as("%s to %s over %s px", low, high, scale.from())
          .isBetween(2, 6);
    }
  }

  @Test
  void aScaleAroundValuesShowsAQuiverSmallAndNothingBelowNothing() {
    Scale warm = Scale.around(30, 30.4, 4, 100, 0);
    assertThat(warm.high() - warm.low()).isGreaterThan(4);
    assertThat(warm.low()).isLessThan(30);
    assertThat(Scale.around(0.2, 9, 1, 100, 0).low()).isZero();
    assertThat(Scale.around(-3, 9, 1, 100, 0).low()).isLessThan(-3);
  }
}
