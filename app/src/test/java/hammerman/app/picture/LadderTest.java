package hammerman.app.picture;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** Names at the ends of curves: in order, apart, and where they were asked for if they can be. */
class LadderTest {
  @Test
  void namesWithRoomStandWhereTheyAreAskedFor() {
    assertThat(Ladder.spread(new double[] {50, 10, 30}, 12, 0, 100)).containsExactly(50, 10, 30);
  }

  @Test
  void namesThatMeetMoveApartEvenlyAndKeepTheirOrder() {
    assertThat(Ladder.spread(new double[] {51, 50, 80}, 12, 0, 100))
        .containsExactly(new double[] {56.5, 44.5, 80}, within(1e-9));
  }

  @Test
  void allStayBetweenTheRims() {
    assertThat(Ladder.spread(new double[] {99, 98, 97}, 10, 0, 100))
        .containsExactly(new double[] {100, 90, 80}, within(1e-9));
    assertThat(Ladder.spread(new double[] {1, 2}, 10, 0, 100))
        .containsExactly(new double[] {0, 10}, within(1e-9));
  }

  @Test
  void anyNamesAreApartAndInOrder() {
    Random random = new Random(7);
    for (int trial = 0; trial < 200; trial++) {
      double[] asked = random.doubles(1 + random.nextInt(8), 0, 200).toArray();
      double[] found = Ladder.spread(asked, 12, 0, 200);
      Integer[] order = new Integer[asked.length];
      Arrays.setAll(order, k -> k);
      Arrays.sort(order, (a, b) -> Double.compare(asked[a], asked[b]));
      for (int k = 1; k < order.length; k++) {
        assertThat(found[order[k]] - found[order[k - 1]]).isGreaterThanOrEqualTo(12 - 1e-9);
      }
    }
  }
}
