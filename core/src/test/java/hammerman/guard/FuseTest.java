package hammerman.guard;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class FuseTest {
  @ParameterizedTest
  @CsvSource({"360000, 1.1", "0.75, 1.35", "0.25, 1.6", "0.15, 2", "0.08, 3.5", "1e7, 1"})
  void safeMultiplesPassThroughTheTable(double seconds, double multiple) {
    if (seconds > 360_000) {
      assertThat(FuseClass.BLADE.safeMultiple(seconds)).isEqualTo(1);
    } else {
      assertThat(FuseClass.BLADE.safeMultiple(seconds)).isCloseTo(multiple, within(multiple * 0.1));
    }
  }

  @Test
  void longerMomentsAllowLess() {
    double before = FuseClass.BLADE.safeMultiple(0.05);
    for (double t = 0.06; t < 1e6; t *= 1.3) {
      double now = FuseClass.BLADE.safeMultiple(t);
      assertThat(now).isLessThanOrEqualTo(before);
      before = now;
    }
  }

  @Test
  void smallestRatingByHand() {
    // 60 A for 20 s: twice 20 s on the line from (1.1, 360000 s) to (1.35, 0.75 s), logarithmic.
    double share = Math.log(360_000 / 40.0) / Math.log(360_000 / 0.75);
    double multiple = 1.1 * Math.pow(1.35 / 1.1, share);
    assertThat(Fuse.smallestRating(FuseClass.BLADE, 10, 60, 20))
        .isCloseTo(60 / multiple, within(1e-9));
    assertThat(Fuse.smallestRating(FuseClass.BLADE, 45, 50, 1)).isCloseTo(60, within(1e-9));
  }
}
