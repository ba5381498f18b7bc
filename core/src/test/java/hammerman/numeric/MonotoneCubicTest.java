package hammerman.numeric;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;

class MonotoneCubicTest {
  private final MonotoneCubic curve =
      new MonotoneCubic(new double[] {0, 1, 2, 5}, new double[] {0, 0.1, 3, 3.2});

  @Test
  void passesThroughItsPointsAndHoldsTheEnds() {
    assertThat(curve.value(1)).isCloseTo(0.1, within(1e-12));
    assertThat(curve.value(2)).isCloseTo(3, within(1e-12));
    assertThat(curve.value(-4)).isZero();
    assertThat(curve.value(9)).isEqualTo(3.2);
  }

  @Test
  void risesWhereItsPointsRise() {
    double before = curve.value(0);
    for (double x = 0.001; x <= 5; x += 0.001) {
      double now = curve.value(x);
      assertThat(now).as("at %s", x).isGreaterThan(before);
      before = now;
    }
  }

  @Test
  void meanMatchesAFineSum() {
    double sum = 0;
    int n = 100_000;
    for (int k = 0; k < n; k++) {
      sum += curve.value(0.4 + 3.8 * (k + 0.5) / n);
    }
    assertThat(curve.mean(0.4, 4.2)).isCloseTo(sum / n, within(1e-8));
  }

  @Test
  void inverseUndoesTheValue() {
    for (double x = 0; x <= 5; x += 0.37) {
      assertThat(curve.inverse(curve.value(x))).isCloseTo(x, within(1e-8));
    }
  }

  @Test
  void refusesPointsOutOfOrder() {
    assertThatThrownBy(() -> new MonotoneCubic(new double[] {0, 2, 1}, new double[] {0, 1, 2}))
        .hasMessageContaining("increase");
  }
}
