package hammerman.app.control;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.stream.IntStream;
import javafx.geometry.Orientation;
import javafx.scene.layout.Region;
import org.junit.jupiter.api.Test;

/** Figures that do not go into one row are not left with one alone in the next. */
class EvenRowsTest {
  private static EvenRows of(int children) {
    EvenRows rows = new EvenRows(10, 5);
    for (int k = 0; k < children; k++) {
      Region child = new Region();
      child.setMinSize(100, 20);
      child.setPrefSize(100, 20);
      rows.getChildren().add(child);
    }
    return rows;
  }

  private static double[][] laid(EvenRows rows, double width) {
    rows.resize(width, rows.prefHeight(width));
    rows.layout();
    return rows.getChildren().stream()
        .map(n -> new double[] {n.getLayoutX(), n.getLayoutY()})
        .toArray(double[][]::new);
  }

  @Test
  void allGoIntoOneRowWhereThereIsRoom() {
    EvenRows rows = of(6);
    assertThat(rows.prefWidth(-1)).isEqualTo(650);
    assertThat(rows.prefHeight(650)).isEqualTo(20);
    assertThat(laid(rows, 650)[5]).containsExactly(550, 0);
  }

  @Test
  void wordsInSeveralLinesHaveTheHeightOfAllOfThem() {
    EvenRows rows = of(1);
    Region words =
        new Region() {
          @Override
          public Orientation getContentBias() {
            return Orientation.HORIZONTAL;
          }

          @Override
          protected double computePrefHeight(double width) {
            return width < 0 ? 20 : 20 * Math.ceil(300 / width);
          }
        };
    words.setPrefWidth(100);
    rows.getChildren().add(words);
    assertThat(rows.prefHeight(400)).isEqualTo(60);
    laid(rows, 400);
    assertThat(words.getHeight()).isEqualTo(60);
  }

  @Test
  void sixWithRoomForFiveAreThreeAndThree() {
    EvenRows rows = of(6);
    double[][] at = laid(rows, 560);
    assertThat(at[2]).containsExactly(220, 0);
    assertThat(at[3]).containsExactly(0, 25);
    assertThat(rows.prefHeight(560)).isEqualTo(45);
  }

  @Test
  void sevenInThreeRowsAreThreeThreeAndOneOnlyIfNoOtherWayIsAsLow() {
    EvenRows rows = of(7);
    double[][] at = laid(rows, 330);
    long[] perRow =
        IntStream.of(0, 25, 50)
            .mapToLong(y -> IntStream.range(0, 7).filter(k -> at[k][1] == y).count())
            .toArray();
    assertThat(perRow).containsExactly(3, 3, 1);
  }

  @Test
  void whatStandsBelowEachOtherBeginsAtTheSamePlace() {
    EvenRows rows = of(4);
    ((Region) rows.getChildren().getFirst()).setPrefWidth(150);
    double[][] at = laid(rows, 380);
    assertThat(at[1]).containsExactly(160, 0);
    assertThat(at[3]).containsExactly(160, 25);
  }

  /** The last of a row may be as wide as it likes: nothing of its row stands to its right. */
  @Test
  void theLastOfARowMakesNoGapInAnother() {
    EvenRows rows = of(5);
    ((Region) rows.getChildren().getLast()).setPrefWidth(190);
    double[][] at = laid(rows, 340);
    assertThat(at[2]).containsExactly(220, 0);
    assertThat(at[4]).containsExactly(110, 25);
  }

  @Test
  void whatIsNotManagedTakesNoRoomAndNothingAtAllIsNotAnError() {
    EvenRows rows = of(3);
    rows.getChildren().get(1).setManaged(false);
    assertThat(rows.prefWidth(-1)).isEqualTo(210);
    assertThat(laid(rows, 210)[2]).containsExactly(110, 0);
    assertThat(of(0).prefHeight(100)).isZero();
  }

  /** A child wider than the room has a row to itself. */
  @Test
  void aRowIsNeverWithoutAChild() {
    EvenRows rows = of(2);
    assertThat(rows.prefHeight(50)).isEqualTo(45);
    assertThat(rows.minWidth(-1)).isEqualTo(100);
  }
}
