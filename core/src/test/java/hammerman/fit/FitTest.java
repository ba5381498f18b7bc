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
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;

class FitTest {
  private static final CellFormat CELL = Samples.cell("b21700").format();
  private static final Packing HEX = new Packing(Packing.Pattern.HEXAGONAL, 0.5e-3);
  private static final Packing SQUARE = new Packing(Packing.Pattern.SQUARE, 0.5e-3);

  private static Container box(Outline outline) {
    return new Container(outline, 0.08, List.of(), new Point(0, 0), 0);
  }

  private static Outline random(Random r) {
    List<Point> corners = new ArrayList<>();
    int n = 3 + r.nextInt(7);
    for (int k = 0; k < n; k++) {
      double angle = 2 * Math.PI * (k + 0.7 * r.nextDouble()) / n;
      double far = 0.08 + 0.16 * r.nextDouble();
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
    assertThat(Placing.of(box(o), CELL, SQUARE).places()).hasSize(n * m);
  }

  @Test
  void hexagonalRowsHoldMoreInAWideBox() {
    double pitch = 21.5e-3;
    // Seven close rows of ten and nine in turn: 4 · 10 + 3 · 9 = 67; square gives 6 rows of 10.
    Outline o = Outline.rectangle(9 * pitch + 21.01e-3, 6 * pitch * Math.sqrt(3) / 2 + 21.01e-3);
    assertThat(Placing.of(box(o), CELL, HEX).places()).hasSizeGreaterThanOrEqualTo(67);
    assertThat(Placing.of(box(o), CELL, SQUARE).places()).hasSize(60);
  }

  @Test
  void noCellOverlapsLeavesTheBoxOrStandsInAKeepOut() {
    Random r = new Random(4);
    for (int trial = 0; trial < 25; trial++) {
      Container c =
          box(random(r)).withClearance(2e-3).withKeepOuts(List.of(Outline.rectangle(0.02, 0.015)));
      Placing p = Placing.of(c, CELL, trial % 2 == 0 ? HEX : SQUARE);
      Geometry floor = c.outline().shape();
      Geometry keep = c.keepOuts().getFirst().shape();
      GeometryFactory f = new GeometryFactory();
      for (int a = 0; a < p.places().size(); a++) {
        Point at = p.places().get(a);
        Geometry middle = f.createPoint(new Coordinate(at.x(), at.y()));
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
  void groupsAreConnectedWholeAndTouchInOrder() {
    Random r = new Random(9);
    int found = 0;
    for (int trial = 0; trial < 150; trial++) {
      Placing p = Placing.of(box(random(r)), CELL, trial % 3 == 0 ? SQUARE : HEX);
      int parallel = 1 + r.nextInt(6);
      int series = Math.max(1, (int) (p.places().size() * (0.7 + 0.3 * r.nextDouble()) / parallel));
      if (series * parallel > p.places().size() || p.places().isEmpty()) {
        continue;
      }
      switch (Grouping.of(p, series, parallel, new Point(0, 0))) {
        case Grouping.Result.Found f -> {
          assertThat(f.grouping().faults(p)).isEmpty();
          found++;
        }
        case Grouping.Result.NotPossible n -> assertThat(n.why()).startsWith("Not possible:");
      }
    }
    assertThat(found).isGreaterThan(110);
  }

  @Test
  void theSameQuestionHasTheSameAnswer() {
    Placing p = Placing.of(box(Outline.rightTriangle(0.34, 0.28)), CELL, HEX);
    Grouping a = grouping(p, 10, 6);
    Grouping b = grouping(p, 10, 6);
    assertThat(a.group()).isEqualTo(b.group());
  }

  private static Grouping grouping(Placing p, int series, int parallel) {
    return Grouping.of(p, series, parallel, new Point(0, 0)) instanceof Grouping.Result.Found f
        ? f.grouping()
        : failed();
  }

  private static Grouping failed() {
    throw new AssertionError("no groups were found");
  }

  @Test
  void whatCannotBeIsSaidWithItsFigures() {
    Placing p = Placing.of(box(Outline.rectangle(0.1, 0.1)), CELL, HEX);
    assertThat(Grouping.of(p, 13, 6, new Point(0, 0)))
        .isInstanceOfSatisfying(
            Grouping.Result.NotPossible.class,
            n -> assertThat(n.why()).contains("78 cells are needed", "places are missing"));
  }

  @Test
  void crossingOutlinesAreRefused() {
    List<Point> bow =
        List.of(new Point(0, 0), new Point(0.1, 0.1), new Point(0.1, 0), new Point(0, 0.1));
    assertThatThrownBy(() -> new Outline(bow))
        .isInstanceOf(InvalidValue.class)
        .hasMessageContaining("cross");
    assertThat(Outline.corner(0.2, 0.2, 0.1, 0.1).area()).isCloseTo(0.03, within(1e-12));
  }

  @Test
  void aDeepBoxTakesLayers() {
    Container deep = box(Outline.rectangle(0.1, 0.1)).withDepth(0.15);
    Placing p = Placing.of(deep, CELL, HEX);
    assertThat(p.layers()).isEqualTo(2);
    assertThat(p.capacity()).isEqualTo(2 * p.places().size());
    assertThat(Placing.of(deep.withDepth(0.05), CELL, HEX).places()).isEmpty();
  }
}
