package hammerman.interconnect;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.BitSet;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

class EliminationOrderTest {
  private static BitSet[] nodes(int count) {
    return IntStream.range(0, count).mapToObj(k -> new BitSet()).toArray(BitSet[]::new);
  }

  private static void join(BitSet[] nodes, int a, int b) {
    nodes[a].set(b);
    nodes[b].set(a);
  }

  /** A mesh of strips, as on a plate. */
  private static BitSet[] mesh(int side) {
    BitSet[] nodes = nodes(side * side);
    for (int r = 0; r < side; r++) {
      for (int c = 0; c < side; c++) {
        if (c > 0) {
          join(nodes, r * side + c, r * side + c - 1);
        }
        if (r > 0) {
          join(nodes, r * side + c, (r - 1) * side + c);
        }
      }
    }
    return nodes;
  }

  /** Pairs that have to be joined anew when the nodes are eliminated in an order. */
  private static int fill(BitSet[] joined, int[] rank) {
    BitSet[] left = nodes(joined.length);
    for (int a = 0; a < joined.length; a++) {
      int at = a;
      joined[a].stream().forEach(b -> join(left, rank[at], rank[b]));
    }
    int before = Arrays.stream(left).mapToInt(BitSet::cardinality).sum();
    for (int k = 0; k < left.length; k++) {
      int from = k;
      BitSet later = left[k].get(k + 1, left.length);
      later.stream()
          .forEach(
              a ->
                  later.stream()
                      .filter(b -> b != a)
                      .forEach(b -> join(left, a + from + 1, b + from + 1)));
    }
    return (Arrays.stream(left).mapToInt(BitSet::cardinality).sum() - before) / 2;
  }

  @Test
  void whatHangsOnOneNodeGoesBeforeIt() {
    BitSet[] star = nodes(7);
    for (int k = 1; k < 7; k++) {
      join(star, 0, k);
    }
    assertThat(EliminationOrder.of(star)[0]).isGreaterThanOrEqualTo(5);
    assertThat(fill(star, EliminationOrder.of(star))).isZero();
    assertThat(fill(star, IntStream.range(0, 7).toArray())).isEqualTo(15);
  }

  @Test
  void everyNodeHasItsTurnOnceAndAMeshIsFilledLessThanRowByRow() {
    int[] rank = EliminationOrder.of(mesh(10));
    assertThat(rank.clone()).containsExactlyInAnyOrder(IntStream.range(0, 100).toArray());
    assertThat(fill(mesh(10), rank))
        .isLessThan((int) (0.7 * fill(mesh(10), IntStream.range(0, 100).toArray())));
  }
}
