package hammerman.numeric;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;

class LineTableTest {
  @Test
  void aLineIsMetEverywhereAndGoesOnBeyondTheEnds() {
    LineTable t = new LineTable(-1, 2, 7, x -> 3 - 2 * x);
    for (double x = -1.5; x <= 2.5; x += 0.013) {
      assertThat(t.value(x)).as("at %s", x).isCloseTo(3 - 2 * x, within(1e-12));
    }
  }

  /** The sine's curvature is 1 at most. */
  @Test
  void anotherFunctionIsMissedByAnEighthOfItsCurvatureTimesTheIntervalSquared() {
    for (int parts : new int[] {12, 60, 600}) {
      LineTable t = new LineTable(0, 6, parts, Math::sin);
      double worst = 0;
      for (double x = 0; x < 6; x += 0.001) {
        worst = Math.max(worst, Math.abs(t.value(x) - Math.sin(x)));
      }
      double bound = 36.0 / parts / parts / 8;
      assertThat(worst).as("in %d parts", parts).isBetween(0.9 * bound, bound);
    }
  }

  @Test
  void whatCannotBeTabulatedIsRefused() {
    assertThatThrownBy(() -> new LineTable(1, 1, 5, Math::sin))
        .hasMessageContaining("from 1.0 to 1.0");
    assertThatThrownBy(() -> new LineTable(0, 1, 0, Math::sin)).hasMessageContaining("0 parts");
  }
}
