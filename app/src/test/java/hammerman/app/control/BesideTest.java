package hammerman.app.control;

import static org.assertj.core.api.Assertions.assertThat;

import javafx.scene.layout.Region;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Two parts go below each other before either is squeezed or covered. */
class BesideTest {
  private final Region list = new Region();
  private final Region picture = new Region();
  private final Beside both = new Beside(list, picture);

  @BeforeEach
  void sizes() {
    list.setMinSize(300, 100);
    list.setPrefWidth(400);
    picture.setMinSize(200, 150);
  }

  private void lay(double width, double height) {
    both.resize(width, height);
    both.layout();
  }

  @Test
  void whereThereIsRoomTheFirstHasWhatItAsksForAndTheSecondTheRest() {
    lay(1000, 500);
    assertThat(list.getWidth()).isEqualTo(400);
    assertThat(picture.getLayoutX()).isEqualTo(420);
    assertThat(picture.getWidth()).isEqualTo(580);
    assertThat(picture.getHeight()).isEqualTo(500);
  }

  @Test
  void theOneThatGrowsHasTheRestAndTheOtherWhatItAsksFor() {
    picture.setPrefWidth(250);
    both.growing(list);
    lay(1000, 500);
    assertThat(list.getWidth()).isEqualTo(730);
    assertThat(picture.getLayoutX()).isEqualTo(750);
    assertThat(picture.getWidth()).isEqualTo(250);
    lay(530, 500);
    assertThat(list.getWidth()).as("it is squeezed last").isEqualTo(300);
    assertThat(picture.getWidth()).isEqualTo(210);
  }

  @Test
  void theFirstGivesWayBeforeTheSecondGetsTooNarrow() {
    lay(540, 500);
    assertThat(list.getWidth()).isEqualTo(320);
    assertThat(picture.getWidth()).isEqualTo(200);
  }

  @Test
  void inANarrowPageTheyStandBelowEachOtherAndAskForTheHeightOfBoth() {
    assertThat(both.minHeight(500)).isEqualTo(100 + 20 + 150);
    assertThat(both.minHeight(540)).isEqualTo(150);
    lay(500, 400);
    assertThat(list.getWidth()).isEqualTo(500);
    assertThat(list.getHeight()).isEqualTo(100);
    assertThat(picture.getLayoutY()).isEqualTo(120);
    assertThat(picture.getHeight()).isEqualTo(280);
    assertThat(both.minWidth(-1)).isEqualTo(300);
  }
}
