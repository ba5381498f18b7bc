package hammerman.sort;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import hammerman.sort.Matching.Level;
import hammerman.sort.Matching.Terms;
import hammerman.unit.InvalidValue;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class MatchingTest {
  static List<MeasuredCell> cells(int n, double capacity, double sigma, long seed) {
    Random random = new Random(seed);
    List<MeasuredCell> all = new ArrayList<>();
    for (int k = 0; k < n; k++) {
      double q = Math.round(1000 * capacity * (1 + sigma * random.nextGaussian())) / 1000.0;
      double r = Math.round(500 * (1 + 0.08 * random.nextGaussian())) / 1e4;
      all.add(MeasuredCell.of("C%03d".formatted(k + 1), q, r));
    }
    return all;
  }

  /** The next best cell to the group with the least that has room; written apart. */
  static double greedy(List<MeasuredCell> cells, int series, int parallel) {
    double[] best =
        cells.stream()
            .mapToDouble(c -> -c.capacity())
            .sorted()
            .limit((long) series * parallel)
            .toArray();
    double[] sum = new double[series];
    int[] filled = new int[series];
    for (double q : best) {
      int least = -1;
      for (int g = 0; g < series; g++) {
        if (filled[g] < parallel && (least < 0 || sum[g] < sum[least])) {
          least = g;
        }
      }
      sum[least] -= q;
      filled[least]++;
    }
    return Arrays.stream(sum).max().orElseThrow() - Arrays.stream(sum).min().orElseThrow();
  }

  /** Least spread over every assignment, by plain recursion in mAh; written apart. */
  private static long exhausted(long[] mAh, int k, long[] sum, int[] room, int spare, long best) {
    if (k == mAh.length) {
      long high = Arrays.stream(sum).max().orElseThrow();
      return Math.min(best, high - Arrays.stream(sum).min().orElseThrow());
    }
    long found = best;
    for (int g = 0; g < sum.length; g++) {
      if (room[g] > 0) {
        room[g]--;
        sum[g] += mAh[k];
        found = exhausted(mAh, k + 1, sum, room, spare, found);
        sum[g] -= mAh[k];
        room[g]++;
      }
    }
    return spare > 0 ? exhausted(mAh, k + 1, sum, room, spare - 1, found) : found;
  }

  @ParameterizedTest
  @CsvSource({"2,3,6", "3,2,6", "2,3,8", "4,2,8", "3,3,9", "2,4,9", "3,1,6", "5,1,8", "2,2,7"})
  void smallCasesAreSolvedExactly(int series, int parallel, int count) throws TooFewCells {
    for (long seed = 1; seed <= 6; seed++) {
      List<MeasuredCell> cells = cells(count, 2.0, 0.06, seed);
      long[] mAh = cells.stream().mapToLong(c -> Math.round(1000 * c.capacity())).toArray();
      int[] room = new int[series];
      Arrays.fill(room, parallel);
      long best =
          exhausted(mAh, 0, new long[series], room, count - series * parallel, Long.MAX_VALUE);
      Matching m = Matching.of(cells, series, parallel);
      assertThat(1000 * m.spread()).as("seed " + seed).isCloseTo((double) best, within(1e-6));
      assertThat(m.lowerBound()).isLessThanOrEqualTo(m.spread() + 1e-12);
    }
  }

  @ParameterizedTest
  @CsvSource({"13,6,78", "7,13,100", "20,3,60", "30,3,95", "10,2,20", "20,30,600"})
  void itIsNeverWorseThanGreedyAndEveryCellIsInOnePlace(int series, int parallel, int count)
      throws TooFewCells {
    long seed = 1;
    List<MeasuredCell> cells = cells(count, 2.0, 0.05, seed);
    Matching m = Matching.of(cells, series, parallel);
    assertThat(m.spread()).isLessThanOrEqualTo(greedy(cells, series, parallel) + 1e-9);
    assertThat(m.groups()).hasSize(series).allMatch(g -> g.size() == parallel);
    Set<String> labels = new HashSet<>();
    Stream.concat(m.groups().stream().flatMap(List::stream), m.spares().stream())
        .forEach(c -> assertThat(labels.add(c.label())).isTrue());
    assertThat(labels).hasSize(count);
    double high = m.groups().stream().mapToDouble(Matching::capacity).max().orElseThrow();
    double low = m.groups().stream().mapToDouble(Matching::capacity).min().orElseThrow();
    assertThat(m.spread()).isCloseTo(high - low, within(1e-9));
  }

  /** Of three and more cells a hundred or so can be made level to what a meter tells. */
  @ParameterizedTest
  @CsvSource({"13,6,78,1", "7,13,91,1", "14,10,140,1", "20,3,60,4", "20,30,600,1"})
  void groupsAreAsLevelAsAMeterTells(int series, int parallel, int count, double mAh)
      throws TooFewCells {
    long seed = 11;
    Matching m = Matching.of(cells(count, 2.0, 0.05, seed), series, parallel);
    assertThat(1000 * m.spread()).as("seed " + seed).isLessThanOrEqualTo(mAh + 1e-6);
  }

  /** Pairs: the strongest with the weakest is the best there is. */
  @Test
  void pairsAreMatchedBestByTheFold() throws TooFewCells {
    List<MeasuredCell> cells = cells(40, 2.0, 0.05, 5);
    double[] q = cells.stream().mapToDouble(MeasuredCell::capacity).sorted().toArray();
    double[] pairs = new double[20];
    Arrays.setAll(pairs, k -> q[k] + q[39 - k]);
    double best =
        Arrays.stream(pairs).max().orElseThrow() - Arrays.stream(pairs).min().orElseThrow();
    Matching m = Matching.of(cells, 20, 2);
    assertThat(m.spread()).isCloseTo(best, within(1e-9));
    assertThat(m.lowerBound()).as("and it is known").isEqualTo(m.spread());
  }

  @Test
  void theSameSeedGivesTheSameGroupsWhateverTheOrderOfTheFile() throws TooFewCells {
    List<MeasuredCell> cells = cells(78, 4.4, 0.02, 9);
    Matching one = Matching.of(cells, 13, 6);
    List<MeasuredCell> shuffled = new ArrayList<>(cells);
    Collections.shuffle(shuffled, new Random(3));
    assertThat(Matching.of(shuffled, 13, 6)).isEqualTo(one);
  }

  @Test
  void byResistanceTheConductancesAreLevelFirst() throws TooFewCells {
    List<MeasuredCell> cells = cells(60, 2.0, 0.05, 21);
    Terms terms = new Terms(Level.RESISTANCE, Double.POSITIVE_INFINITY, Map.of(), 1);
    Matching r = Matching.of(cells, 10, 6, terms);
    Matching q = Matching.of(cells, 10, 6);
    assertThat(conductanceSpread(r)).isLessThan(conductanceSpread(q) + 1e-9);
    assertThat(q.spread()).isLessThanOrEqualTo(r.spread());
  }

  private static double conductanceSpread(Matching m) {
    double[] g = m.groups().stream().mapToDouble(x -> 1 / Matching.resistance(x)).toArray();
    return Arrays.stream(g).max().orElseThrow() - Arrays.stream(g).min().orElseThrow();
  }

  /** Groups of the same capacity are then made level in conductance too. */
  @Test
  void resistanceIsLevelledWhereTheCapacityAllows() throws TooFewCells {
    List<MeasuredCell> cells = new ArrayList<>();
    for (int k = 0; k < 40; k++) {
      cells.add(MeasuredCell.of("C" + k, 2.0, k < 20 ? 0.040 : 0.060));
    }
    Matching m = Matching.of(cells, 10, 4);
    assertThat(m.spread()).isZero();
    assertThat(conductanceSpread(m)).isCloseTo(0, within(1e-6));
  }

  private static double spreadOf(Matching m, boolean conductance) {
    double[] sums =
        m.groups().stream()
            .mapToDouble(g -> conductance ? 1 / Matching.resistance(g) : Matching.capacity(g))
            .sorted()
            .toArray();
    return (sums[sums.length - 1] - sums[0]) / sums[0];
  }

  /** Strong cells here have more resistance, so that one figure is level at the other's cost. */
  @Test
  void bothWeighedLieBetweenEither() throws TooFewCells {
    List<MeasuredCell> cells = new ArrayList<>();
    Random random = new Random(4);
    for (int k = 0; k < 24; k++) {
      double q = 2 + 0.02 * k + 0.05 * random.nextGaussian();
      cells.add(MeasuredCell.of("c" + k, q, 0.03 + 0.0008 * random.nextInt(24)));
    }
    Matching capacity = Matching.of(cells, 8, 3);
    Matching both = Matching.of(cells, 8, 3, terms(Level.BOTH, 0.5));
    Matching resistance = Matching.of(cells, 8, 3, terms(Level.RESISTANCE, 0.5));
    assertThat(spreadOf(both, false))
        .isBetween(spreadOf(capacity, false), spreadOf(resistance, false));
    assertThat(spreadOf(both, true))
        .isBetween(spreadOf(resistance, true), spreadOf(capacity, true));
    assertThat(Matching.of(cells, 8, 3, terms(Level.BOTH, 1)).spread())
        .as("all the weight on the capacity")
        .isCloseTo(capacity.spread(), within(2e-3));
  }

  private static Terms terms(Level level, double weight) {
    return new Terms(level, Double.POSITIVE_INFINITY, Map.of(), 1, weight);
  }

  @Test
  void pinnedCellsStayAndTheRatioIsKept() throws TooFewCells {
    List<MeasuredCell> cells = cells(60, 2.0, 0.05, 31);
    Terms terms = new Terms(Level.CAPACITY, 1.25, Map.of("C001", 3, "C002", 3, "C060", 0), 1);
    Matching m = Matching.of(cells, 10, 6, terms);
    assertThat(m.groups().get(3)).extracting(MeasuredCell::label).contains("C001", "C002");
    assertThat(m.groups().get(0)).extracting(MeasuredCell::label).contains("C060");
    Matching free = Matching.of(cells, 10, 6, new Terms(Level.CAPACITY, 1.25, Map.of(), 1));
    for (List<MeasuredCell> g : free.groups()) {
      double high = g.stream().mapToDouble(MeasuredCell::resistance).max().orElseThrow();
      double low = g.stream().mapToDouble(MeasuredCell::resistance).min().orElseThrow();
      assertThat(high / low).isLessThanOrEqualTo(1.25);
    }
    Terms full =
        new Terms(
            Level.CAPACITY, Double.POSITIVE_INFINITY, Map.of("C001", 0, "C002", 0, "C003", 0), 1);
    assertThatThrownBy(() -> Matching.of(cells, 30, 2, full))
        .isInstanceOf(InvalidValue.class)
        .hasMessageContaining("Pinned cell");
  }

  @Test
  void withoutResistancesNothingIsMatchedByThem() {
    List<MeasuredCell> cells = cells(12, 2.0, 0.05, 2);
    cells.set(3, MeasuredCell.of("bare", 2.0, Double.NaN));
    Terms terms = new Terms(Level.RESISTANCE, Double.POSITIVE_INFINITY, Map.of(), 1);
    assertThatThrownBy(() -> Matching.of(cells, 3, 4, terms))
        .isInstanceOf(InvalidValue.class)
        .hasMessageContaining("1 cells without one")
        .hasMessageContaining("match by capacity");
  }

  @Test
  void tooFewCellsSayHowManyAreMissing() {
    assertThatThrownBy(() -> Matching.of(cells(70, 2, 0.05, 1), 13, 6))
        .isInstanceOf(TooFewCells.class)
        .hasMessageContaining("needs 78 cells")
        .hasMessageContaining("measure 8 more");
  }
}
