package hammerman.fit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import hammerman.Samples;
import hammerman.pack.Pack;
import hammerman.unit.InvalidValue;
import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A plan under the user's hands: boxes, locks, moves, and how much more room is needed. */
class PlanTest {
  private final Pack pack = Samples.barrow().pack();
  private final FitPlan plan = Objects.requireNonNull(Samples.barrow().fit());

  private Grouping grouping(FitPlan p) {
    return Arrangement.of(p, pack).grouping().orElseThrow();
  }

  @Test
  void movesByHandStayUntilTheBoxOrTheWayChanges() {
    Grouping g = grouping(plan);
    FitPlan moved = plan.arranged(g.exchangedGroups(0, 12));
    assertThat(moved.byHand()).isNotNull();
    assertThat(moved.withFilling(Filling.FOAM).byHand()).isEqualTo(moved.byHand());
    assertThat(moved.withLock(3, true).byHand()).isEqualTo(moved.byHand());
    assertThat(moved.withStyle(Style.COMPACT).byHand()).isNull();
    assertThat(moved.withPacking(plan.packing().withGap(1e-3)).byHand()).isNull();
    assertThat(moved.withBox(0, plan.boxes().getFirst().grown(0.01)).byHand()).isNull();
  }

  @Test
  void movesByHandOfOtherCountsAreNotUsed() {
    Grouping g = grouping(plan);
    FitPlan moved = plan.arranged(g.exchanged(g.members(0)[0], g.members(12)[0]));
    assertThat(Arrangement.of(moved, pack).faults()).isNotEmpty();
    assertThat(Arrangement.of(moved, pack.withCounts(12, 6)).faults()).isEmpty();
  }

  @Test
  void anExchangeTakenBackIsWhatWasBefore() {
    Grouping g = grouping(plan);
    Random random = new Random(3);
    for (int k = 0; k < 200; k++) {
      int a = random.nextInt(g.places());
      int b = random.nextInt(g.places());
      Grouping there = g.exchanged(a, b);
      assertThat(there.at(a)).isEqualTo(g.at(b));
      assertThat(there.exchanged(a, b).group()).isEqualTo(g.group());
      for (int m = 0; m < 13; m++) {
        assertThat(there.members(m)).hasSize(6);
      }
    }
  }

  @Test
  void whatAMoveBreaksIsSaidOfEachGroup() {
    Placing placing = Arrangement.of(plan, pack).placing();
    Grouping g = grouping(plan);
    assertThat(g.faults(placing, Joining.TOUCHING)).isEmpty();
    Grouping torn = g.exchanged(g.members(0)[0], g.members(7)[0]);
    assertThat(torn.faults(placing, Joining.TOUCHING))
        .isNotEmpty()
        .allMatch(s -> s.matches("(?s).*\\d.*\\."));
    // Groups in another order are whole, but do not touch in turn; wires do not mind.
    Grouping turned = g.exchangedGroups(1, 9);
    assertThat(turned.faults(placing, Joining.TOUCHING)).isNotEmpty();
    assertThat(turned.faults(placing, Joining.WIRED)).isEmpty();
  }

  @ParameterizedTest
  @CsvSource({"0", "6", "12"})
  void lockedGroupsStayAndTheRestIsWholeAgain(int locked) {
    FitPlan held = plan.withLock(locked, true);
    Grouping before = grouping(plan);
    Grouping.Result anew = Arrangement.anew(held, pack);
    assertThat(anew).isInstanceOf(Grouping.Result.Found.class);
    Grouping found = ((Grouping.Result.Found) anew).grouping();
    assertThat(found.members(locked)).isEqualTo(before.members(locked));
    assertThat(found.faults(Arrangement.of(plan, pack).placing(), Joining.TOUCHING)).isEmpty();
  }

  @Test
  void locksAreKeptOnceInOrderAndGo() {
    FitPlan p = plan.withLock(5, true).withLock(2, true).withLock(5, true);
    assertThat(p.locked()).containsExactly(2, 5);
    assertThat(p.withLock(2, false).locked()).containsExactly(5);
  }

  /** The size that is named does it, and one a little smaller does not. */
  @ParameterizedTest
  @CsvSource({"13, 7", "14, 6", "20, 6"})
  void theRoomThatIsNamedIsEnoughAndNotMuchMore(int series, int parallel) {
    List<Container> boxes = plan.boxes();
    var format = pack.cell().format();
    int cells = series * parallel;
    double by = Room.forCells(boxes, format, plan.packing(), cells).orElseThrow();
    assertThat(places(boxes, by)).isGreaterThanOrEqualTo(cells);
    if (by > 1e-3) {
      assertThat(places(boxes, by - 1e-3)).isLessThan(cells);
    }
  }

  private int places(List<Container> boxes, double by) {
    Container grown = boxes.getFirst().grown(by);
    return Placing.of(List.of(grown), pack.cell().format(), plan.packing()).places().size();
  }

  @Test
  void aHopelessNumberOfCellsHasNoRoom() {
    assertThat(Room.forCells(plan.boxes(), pack.cell().format(), plan.packing(), 20_000)).isEmpty();
  }

  @Test
  void aBoxSaysItsOutsideAndItsLayers() {
    Container box =
        new Container(Outline.rectangle(0.3, 0.2), 0.15, List.of(), new Point(0, 0), 2e-3);
    assertThat(box.surface()).isCloseTo(2 * 0.06 + 2 * 0.5 * 0.15, within(1e-12));
    assertThat(box.layers(0.07)).isEqualTo(2);
    assertThat(box.layers(0.074)).isEqualTo(1);
    assertThat(box.grown(0.01).outline().area()).isCloseTo(0.32 * 0.22, within(1e-9));
  }

  @Test
  void outlinesByTheirSides() {
    Outline t = Outline.triangle(0.4, 0.3, 0.5);
    assertThat(t.area()).isCloseTo(0.06, within(1e-12));
    assertThat(t.perimeter()).isCloseTo(1.2, within(1e-12));
    assertThat(Outline.corner(0.3, 0.2, 0.1, 0.05).area()).isCloseTo(0.055, within(1e-12));
    assertThat(Outline.rectangle(0.3, 0.2).contains(Outline.rightTriangle(0.3, 0.2))).isTrue();
    assertThat(Outline.rectangle(0.3, 0.2).contains(Outline.rectangle(0.31, 0.1))).isFalse();
    assertThatThrownBy(() -> Outline.triangle(0.4, 0.1, 0.2))
        .isInstanceOf(InvalidValue.class)
        .hasMessageContaining("400, 100 and 200 mm");
  }

  @Test
  void aPlaceHasNeighboursOnBothSidesOrOnNone() {
    Placing p = Arrangement.of(plan, pack).placing();
    List<int[]> near = p.neighbours();
    for (int k = 0; k < near.size(); k++) {
      for (int m : near.get(k)) {
        int from = k;
        assertThat(IntStream.of(near.get(m))).contains(from);
        assertThat(p.places().get(k).to(p.places().get(m)))
            .isCloseTo(p.pitch(), within(0.03 * p.pitch()));
      }
      assertThat(Arrays.stream(near.get(k)).distinct().count()).isEqualTo(near.get(k).length);
      assertThat(near.get(k)).hasSizeLessThanOrEqualTo(6);
    }
    assertThat(p.stacked()).allMatch(s -> s.length == 0);
  }
}
