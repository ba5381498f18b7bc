package hammerman.fit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import hammerman.Samples;
import hammerman.cell.CellFormat;
import hammerman.unit.InvalidValue;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;

class PlacingTest {
  static final CellFormat CELL = Samples.cell("b21700").format();
  static final CellFormat BLOCK = Samples.cell("fp50").format();
  static final Packing HEX = new Packing(Packing.Pattern.HEXAGONAL, 0.5e-3);
  static final Packing SQUARE = new Packing(Packing.Pattern.SQUARE, 0.5e-3);
  private static final GeometryFactory SHAPES = new GeometryFactory();

  static Container box(Outline outline) {
    return new Container(outline, 0.08, List.of(), new Point(0, 0), 0);
  }

  static Placing place(Container box, CellFormat cell, Packing packing) {
    return Placing.of(List.of(box), cell, packing);
  }

  static Outline random(Random r) {
    return random(r, 0.08);
  }

  /** Corners all round, each from a distance to three times as far. */
  static Outline random(Random r, double least) {
    List<Point> corners = new ArrayList<>();
    int n = 3 + r.nextInt(7);
    for (int k = 0; k < n; k++) {
      double angle = 2 * Math.PI * (k + 0.7 * r.nextDouble()) / n;
      double far = least * (1 + 2 * r.nextDouble());
      corners.add(new Point(far * Math.cos(angle), far * Math.sin(angle)));
    }
    return new Outline(corners);
  }

  /** n by m cells in a box that just holds them, which no other packing of so few betters. */
  @ParameterizedTest
  @CsvSource({"1, 1", "2, 1", "3, 2", "4, 3", "5, 2"})
  void squareBoxesHoldTheirSquareNumber(int n, int m) {
    double pitch = 21.5e-3;
    Outline o = Outline.rectangle((n - 1) * pitch + 21.01e-3, (m - 1) * pitch + 21.01e-3);
    assertThat(place(box(o), CELL, SQUARE).places()).hasSize(n * m);
  }

  @Test
  void hexagonalRowsHoldMoreInAWideBox() {
    double pitch = 21.5e-3;
    // Seven close rows of ten and nine in turn: 4 · 10 + 3 · 9 = 67; square gives 6 rows of 10.
    Outline o = Outline.rectangle(9 * pitch + 21.01e-3, 6 * pitch * Math.sqrt(3) / 2 + 21.01e-3);
    assertThat(place(box(o), CELL, HEX).places()).hasSizeGreaterThanOrEqualTo(67);
    assertThat(place(box(o), CELL, SQUARE).places()).hasSize(60);
  }

  @Test
  void noCellOverlapsLeavesTheBoxOrStandsInAKeepOut() {
    Random r = new Random(4);
    for (int trial = 0; trial < 25; trial++) {
      Container c =
          box(random(r)).withClearance(2e-3).withKeepOuts(List.of(Outline.rectangle(0.02, 0.015)));
      Placing p = place(c, CELL, trial % 2 == 0 ? HEX : SQUARE);
      Geometry floor = c.outline().shape();
      Geometry keep = c.keepOuts().getFirst().shape();
      for (int a = 0; a < p.places().size(); a++) {
        Point at = p.places().get(a);
        Geometry middle = SHAPES.createPoint(new Coordinate(at.x(), at.y()));
        assertThat(floor.contains(middle)).isTrue();
        assertThat(floor.getBoundary().distance(middle)).isGreaterThan(10.5e-3 + 2e-3 - 1e-4);
        assertThat(keep.distance(middle)).isGreaterThan(10.5e-3 - 1e-4);
        for (int b = 0; b < a; b++) {
          assertThat(at.to(p.places().get(b))).isGreaterThan(21.5e-3 - 1e-9);
        }
      }
    }
  }

  @Test
  void blocksStandInStacksWithTheirGap() {
    // Four blocks of 148 by 27 mm with 1 mm to swell: 148 by 4 · 27 + 3 = 111 mm.
    Packing packing = new Packing(Packing.Pattern.SQUARE, 1e-3);
    Container just = box(Outline.rectangle(0.148, 0.111)).withDepth(0.14);
    Placing p = place(just, BLOCK, packing);
    assertThat(p.places()).hasSize(4);
    assertThat(p.neighbours()).allSatisfy(n -> assertThat(n.length).isBetween(1, 2));
    assertThat(place(box(Outline.rectangle(0.148, 0.110)).withDepth(0.14), BLOCK, packing).places())
        .hasSize(3);
    assertThat(place(box(Outline.rectangle(0.111, 0.148)).withDepth(0.14), BLOCK, packing).places())
        .as("turned through a right angle")
        .hasSize(4);
  }

  @Test
  void blocksDoNotOverlapNorLeaveASlantingBox() {
    Container c = box(Outline.rightTriangle(0.6, 0.5)).withDepth(0.14);
    Placing p = place(c, BLOCK, new Packing(Packing.Pattern.SQUARE, 2e-3));
    assertThat(p.places().size()).isGreaterThan(10);
    List<Geometry> cells =
        IntStream.range(0, p.places().size())
            .mapToObj(k -> new Outline(p.outline(k)).shape())
            .map(Geometry.class::cast)
            .toList();
    Geometry floor = c.outline().shape().buffer(1e-6);
    for (int a = 0; a < cells.size(); a++) {
      assertThat(floor.covers(cells.get(a))).isTrue();
      for (int b = 0; b < a; b++) {
        assertThat(cells.get(a).distance(cells.get(b))).isGreaterThan(2e-3 - 1e-6);
      }
    }
  }

  @Test
  void aDeepBoxTakesLayersAndFurtherBoxesFollow() {
    Container deep = box(Outline.rectangle(0.1, 0.1)).withDepth(0.15);
    Placing p = place(deep, CELL, HEX);
    assertThat(p.sheets()).hasSize(2);
    assertThat(p.sheets().get(0).size()).isEqualTo(p.sheets().get(1).size());
    assertThat(place(deep.withDepth(0.05), CELL, HEX).places()).isEmpty();
    Placing both = Placing.of(List.of(deep, box(Outline.rectangle(0.2, 0.1))), CELL, HEX);
    assertThat(both.sheets()).extracting(Sheet::box).containsExactly(0, 0, 1);
    int last = both.places().size() - 1;
    assertThat(both.sheetOf(last)).isEqualTo(2);
    for (int k : both.neighbours().get(last)) {
      assertThat(both.sheetOf(k)).isEqualTo(2);
    }
  }

  @Test
  void theRoomThatMoreCellsTakeIsEnoughAndNotTooMuch() {
    Container c = box(Outline.rectangle(0.2, 0.15));
    int now = place(c, CELL, HEX).places().size();
    double by = Room.forCells(List.of(c), CELL, HEX, now + 6).orElseThrow();
    assertThat(place(c.grown(by), CELL, HEX).places().size()).isGreaterThanOrEqualTo(now + 6);
    assertThat(place(c.grown(by - 1e-3), CELL, HEX).places().size()).isLessThan(now + 6);
    assertThat(Room.forCells(List.of(c), CELL, HEX, 5000)).isEmpty();
  }

  @Test
  void aGrownOutlineKeepsItsCorners() {
    Outline wider = Outline.rectangle(0.2, 0.1).grown(0.01);
    assertThat(wider.corners()).hasSize(4);
    assertThat(wider.area()).isCloseTo(0.22 * 0.12, within(1e-9));
  }

  @Test
  void outlinesThatAreNoneAreRefused() {
    List<Point> bow =
        List.of(new Point(0, 0), new Point(0.1, 0.1), new Point(0.1, 0), new Point(0, 0.1));
    assertThatThrownBy(() -> new Outline(bow))
        .isInstanceOf(InvalidValue.class)
        .hasMessageContaining("cross");
    assertThat(Outline.corner(0.2, 0.2, 0.1, 0.1).area()).isCloseTo(0.03, within(1e-12));
    assertThatThrownBy(() -> Outline.triangle(0.3, 0.1, 0.1))
        .isInstanceOf(InvalidValue.class)
        .hasMessageContaining("shorter than the other two");
  }

  /** Heron's formula for the sides 0.3, 0.4, 0.5 m. */
  @Test
  void aTriangleFollowsFromItsSides() {
    assertThat(Outline.triangle(0.5, 0.3, 0.4).area()).isCloseTo(0.06, within(1e-12));
  }
}
