package hammerman.app.station.prove;

import static org.assertj.core.api.Assertions.assertThat;

import hammerman.app.station.prove.RunPicture.Stretch;
import hammerman.record.Trace;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import javafx.event.Event;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.framework.junit5.ApplicationExtension;

/**
 * The keys of a run's picture ask for the stretch one expects, and never for one beyond the log.
 */
@ExtendWith(ApplicationExtension.class)
class RunPictureTest {
  private static final long SAMPLES = 1000;

  private final List<List<Long>> asked = new ArrayList<>();

  @SuppressWarnings("NullAway.Init")
  private RunPicture picture;

  private void show(long from, long to) {
    picture.show(
        new Stretch(
            SAMPLES,
            from,
            to,
            new Trace(0, 1, new double[0], new double[0]),
            List.of(),
            List.of(),
            List.of(),
            List.of(),
            Map.of()));
  }

  private List<Long> press(KeyCode... keys) {
    for (KeyCode key : keys) {
      Event.fireEvent(
          picture, new KeyEvent(KeyEvent.KEY_PRESSED, "", "", key, false, false, false, false));
    }
    return asked.isEmpty() ? List.of() : asked.getLast();
  }

  /** Made once there is a toolkit. */
  @BeforeEach
  void whole() {
    picture =
        new RunPicture(
            (from, to) -> {
              asked.add(List.of(from, to));
              show(from, to);
            });
    show(0, SAMPLES);
  }

  @Test
  void zoomingInKeepsTheMiddleAndHomeShowsTheWhole() {
    assertThat(press(KeyCode.PLUS)).containsExactly(250L, 750L);
    assertThat(press(KeyCode.PLUS)).containsExactly(375L, 625L);
    assertThat(press(KeyCode.HOME)).containsExactly(0L, SAMPLES);
  }

  @Test
  void theArrowsMoveATenthAndStopAtTheEnds() {
    press(KeyCode.PLUS);
    assertThat(press(KeyCode.RIGHT)).containsExactly(300L, 800L);
    assertThat(press(KeyCode.RIGHT, KeyCode.RIGHT, KeyCode.RIGHT, KeyCode.RIGHT, KeyCode.RIGHT))
        .containsExactly(500L, 1000L);
    assertThat(press(KeyCode.MINUS)).as("out again, to the whole").containsExactly(0L, SAMPLES);
    assertThat(press(KeyCode.LEFT)).containsExactly(0L, SAMPLES);
  }

  @Test
  void aFewSamplesAreTheSmallestStretch() {
    for (int k = 0; k < 20; k++) {
      press(KeyCode.ADD);
    }
    List<Long> last = asked.getLast();
    assertThat(last.get(1) - last.get(0)).isEqualTo(10);
  }

  @Test
  void otherKeysAreLeftToThePage() {
    assertThat(press(KeyCode.A, KeyCode.TAB)).isEmpty();
    picture.show(null);
    assertThat(press(KeyCode.PLUS, KeyCode.HOME)).as("without a run").isEmpty();
  }
}
