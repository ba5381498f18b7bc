package hammerman.numeric;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;

class RootTest {
  @Test
  void rootsOfKnownFunctions() {
    assertThat(Root.bisect(x -> x * x - 2, 0, 2, 1e-12)).isCloseTo(Math.sqrt(2), within(1e-11));
    assertThat(Root.bisect(Math::cos, 0, 3, 1e-12)).isCloseTo(Math.PI / 2, within(1e-11));
    assertThat(Root.bisect(x -> 1 - x, 0, 5, 1e-9)).isCloseTo(1, within(1e-8));
  }

  @Test
  void anEndThatIsTheRootIsFound() {
    assertThat(Root.bisect(x -> x, 0, 1, 1e-9)).isCloseTo(0, within(1e-8));
    assertThat(Root.bisect(x -> x - 1, 0, 1, 1e-9)).isCloseTo(1, within(1e-8));
  }

  @Test
  void aStepIsFoundToo() {
    assertThat(Root.bisect(x -> x < 0.3 ? -1 : 1, 0, 1, 1e-9)).isCloseTo(0.3, within(1e-8));
  }

  @Test
  void withoutASignChangeTheNearerEndStandsIn() {
    assertThat(Root.bisect(x -> x * x + 1, -1, 2, 1e-9)).isEqualTo(-1);
    assertThat(Root.bisect(x -> 5 - x, 0, 2, 1e-9)).isEqualTo(2);
  }
}
