package hammerman.fit;

import static hammerman.fit.PlacingTest.BLOCK;
import static hammerman.fit.PlacingTest.CELL;
import static hammerman.fit.PlacingTest.HEX;
import static hammerman.fit.PlacingTest.SQUARE;
import static hammerman.fit.PlacingTest.box;
import static hammerman.fit.PlacingTest.place;
import static org.assertj.core.api.Assertions.assertThat;

import hammerman.Samples;
import hammerman.pack.ConductorMaterial;
import hammerman.pack.Cooling;
import hammerman.pack.Lot;
import hammerman.pack.Pack;
import hammerman.pack.Strip;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class GroupingTest {
  private static final Container TRIANGLE = box(Outline.rightTriangle(0.36, 0.30));

  private static Grouping.Wish wish(Container box, int series, int parallel, Style style) {
    return new Grouping.Wish(List.of(box), series, parallel, style, Joining.TOUCHING);
  }

  private static Grouping found(Placing p, Grouping.Wish wish) {
    return switch (Grouping.of(p, wish)) {
      case Grouping.Result.Found f -> f.grouping();
      case Grouping.Result.NotPossible n -> throw new AssertionError(n.why());
    };
  }

  private static Pack pack(int series, int parallel) {
    return new Pack(
        Samples.cell("b21700"),
        series,
        parallel,
        Strip.plain(ConductorMaterial.NICKEL, 0.15e-3, 8e-3, 1),
        Cooling.SEALED,
        Lot.ONE_BATCH);
  }

  /** Two hundred boxes: whole, connected, touching in order, or an honest no. */
  @Test
  void groupsAreConnectedWholeAndTouchInOrder() {
    Random r = new Random(9);
    int asked = 0;
    int found = 0;
    for (int trial = 0; trial < 200; trial++) {
      Container c = box(PlacingTest.random(r, 0.04 + 0.035 * r.nextDouble()));
      Placing p = place(c, CELL, trial % 3 == 0 ? SQUARE : HEX);
      int parallel = 1 + r.nextInt(6);
      int series = (int) (p.places().size() * (0.7 + 0.3 * r.nextDouble()) / parallel);
      if (series < 1) {
        continue;
      }
      asked++;
      Style style = Style.values()[trial % 3];
      switch (Grouping.of(p, wish(c, series, parallel, style))) {
        case Grouping.Result.Found f -> {
          assertThat(f.grouping().faults(p, Joining.TOUCHING)).isEmpty();
          for (int g = 0; g < series; g++) {
            assertThat(f.grouping().members(g)).hasSize(parallel);
          }
          found++;
        }
        case Grouping.Result.NotPossible n -> assertThat(n.why()).startsWith("Not possible:");
      }
    }
    assertThat(asked).isGreaterThan(160);
    assertThat(found).as("of " + asked).isGreaterThan(asked * 7 / 10);
  }

  @Test
  void theSameQuestionHasTheSameAnswer() {
    Placing p = place(TRIANGLE, CELL, HEX);
    int[] once = found(p, wish(TRIANGLE, 13, 6, Style.SHORT_LINKS)).group();
    assertThat(found(p, wish(TRIANGLE, 13, 6, Style.SHORT_LINKS)).group()).isEqualTo(once);
  }

  @Test
  void eachStyleIsBestAtWhatItAimsAt() {
    Container wide = box(Outline.rectangle(0.32, 0.26));
    Placing p = place(wide, CELL, HEX);
    Grouping shortest = found(p, wish(wide, 13, 6, Style.SHORT_LINKS));
    Grouping compact = found(p, wish(wide, 13, 6, Style.COMPACT));
    Grouping straight = found(p, wish(wide, 13, 6, Style.STRAIGHT));
    assertThat(compact.meanStretch(p)).isLessThan(shortest.meanStretch(p));
    assertThat(compact.meanStretch(p)).isLessThan(straight.meanStretch(p));
    assertThat(shortest.fewestStrips(p, Joining.TOUCHING))
        .isGreaterThanOrEqualTo(compact.fewestStrips(p, Joining.TOUCHING))
        .isGreaterThanOrEqualTo(5);
    assertThat(rows(p, straight)).isLessThan(rows(p, compact));
  }

  /** Distance of cells from the line through the two that are farthest apart, on average. */
  private static double rows(Placing p, Grouping grouping) {
    double sum = 0;
    for (int g = 0; g < grouping.series(); g++) {
      int[] cells = grouping.members(g);
      Point a = p.places().get(cells[0]);
      Point b = a;
      for (int i : cells) {
        for (int j : cells) {
          if (p.places().get(i).to(p.places().get(j)) > a.to(b)) {
            a = p.places().get(i);
            b = p.places().get(j);
          }
        }
      }
      for (int k : cells) {
        Point c = p.places().get(k);
        sum +=
            Math.abs((b.x() - a.x()) * (c.y() - a.y()) - (b.y() - a.y()) * (c.x() - a.x()))
                / a.to(b);
      }
    }
    return sum;
  }

  @Test
  void whatCannotBeIsSaidWithItsFigures() {
    Container small = box(Outline.rectangle(0.1, 0.1));
    assertThat(Grouping.of(place(small, CELL, HEX), wish(small, 13, 6, Style.COMPACT)))
        .isInstanceOfSatisfying(
            Grouping.Result.NotPossible.class,
            n -> assertThat(n.why()).contains("78 cells are needed", "places are missing"));
    Container parted =
        box(Outline.rectangle(0.3, 0.1))
            .withKeepOuts(
                List.of(
                    new Outline(
                        List.of(
                            new Point(0.14, 0),
                            new Point(0.16, 0),
                            new Point(0.16, 0.1),
                            new Point(0.14, 0.1)))));
    Placing halves = place(parted, CELL, HEX);
    assertThat(Grouping.of(halves, wish(parted, halves.places().size() / 2, 2, Style.COMPACT)))
        .isInstanceOfSatisfying(
            Grouping.Result.NotPossible.class,
            n -> assertThat(n.why()).contains("touch each other in one piece", "keep-out"));
  }

  @Test
  void lockedGroupsStayAndTheRestIsArrangedAnew() {
    FitPlan plan = FitPlan.of(TRIANGLE, HEX);
    Grouping before = Arrangement.of(plan, pack(12, 6)).grouping().orElseThrow();
    FitPlan locked = plan.arranged(before).withLock(0, true).withLock(1, true);
    assertThat(Arrangement.anew(locked.withLock(11, true), pack(12, 6)))
        .isInstanceOfSatisfying(
            Grouping.Result.Found.class,
            f -> {
              Placing p = place(TRIANGLE, CELL, HEX);
              assertThat(f.grouping().faults(p, Joining.TOUCHING)).isEmpty();
              for (int g : new int[] {0, 1, 11}) {
                assertThat(f.grouping().members(g)).isEqualTo(before.members(g));
              }
            });
  }

  @Test
  void cellsMovedByHandAreKeptAndWhatTheyBreakIsSaid() {
    FitPlan plan = FitPlan.of(TRIANGLE, HEX);
    Pack pack = pack(13, 6);
    Grouping before = Arrangement.of(plan, pack).grouping().orElseThrow();
    int a = before.members(0)[0];
    int b = before.members(12)[0];
    Arrangement moved = Arrangement.of(plan.arranged(before.exchanged(a, b)), pack);
    assertThat(moved.faults()).anyMatch(f -> f.contains("in pieces"));
    assertThat(moved.grouping()).isEmpty();
    assertThat(moved.attempted().orElseThrow().at(a)).isEqualTo(12);
    // Groups in each other's place no longer follow in order.
    Arrangement turned = Arrangement.of(plan.arranged(before.exchangedGroups(0, 12)), pack);
    assertThat(turned.faults()).anyMatch(f -> f.contains("do not touch"));
    // Other counts do without what was moved, and find it again when they return.
    FitPlan kept = plan.arranged(before.exchanged(a, b));
    assertThat(Arrangement.of(kept, pack(12, 6)).faults()).isEmpty();
    assertThat(Arrangement.of(kept, pack).faults()).isNotEmpty();
  }

  @Test
  void layersAndBoxesAreJoinedByLinks() {
    Container deep = box(Outline.rectangle(0.16, 0.14)).withDepth(0.15);
    FitPlan plan = FitPlan.of(deep, HEX);
    Arrangement a = Arrangement.of(plan, pack(13, 6));
    Grouping g = a.grouping().orElseThrow();
    long wired = 0;
    for (int k = 0; k + 1 < 13; k++) {
      wired += g.wired(a.placing(), k, Joining.TOUCHING) ? 1 : 0;
      int sheet = a.placing().sheetOf(g.members(k)[0]);
      assertThat(Arrays.stream(g.members(k)).allMatch(p -> a.placing().sheetOf(p) == sheet))
          .isTrue();
    }
    assertThat(wired).isEqualTo(1);
  }

  @Test
  void blocksOfAParallelPackStackInOrder() {
    Container c = box(Outline.rectangle(0.15, 0.24)).withDepth(0.14);
    Placing p = place(c, BLOCK, new Packing(Packing.Pattern.SQUARE, 1e-3));
    Grouping g = found(p, wish(c, 4, 2, Style.SHORT_LINKS));
    assertThat(g.faults(p, Joining.TOUCHING)).isEmpty();
    assertThat(g.fewestStrips(p, Joining.TOUCHING)).isEqualTo(1);
  }

  @ParameterizedTest
  @EnumSource(Joining.class)
  void aThousandCellsAreArranged(Joining joining) {
    Container c = box(Outline.rectangle(0.75, 0.6));
    Placing p = place(c, CELL, HEX);
    Grouping.Wish wish = new Grouping.Wish(List.of(c), 20, 45, Style.SHORT_LINKS, joining);
    assertThat(found(p, wish).faults(p, joining)).isEmpty();
  }
}
