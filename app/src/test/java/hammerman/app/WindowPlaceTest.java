package hammerman.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import javafx.geometry.Rectangle2D;
import org.junit.jupiter.api.Test;

class WindowPlaceTest {
  private static final Rectangle2D SMALL = new Rectangle2D(0, 0, 1000, 640);
  private static final Rectangle2D LARGE = new Rectangle2D(1000, 0, 2560, 1400);

  @Test
  void theFirstStartOnASmallScreenFitsIt() {
    WindowPlace p =
        WindowPlace.on(new WindowPlace(Double.NaN, Double.NaN, 1280, 800), List.of(SMALL));
    assertThat(p.width()).isEqualTo(1000);
    assertThat(p.height()).isEqualTo(640);
    assertThat(p.x()).isNaN();
  }

  @Test
  void itComesBackToTheScreenThatItWasOn() {
    WindowPlace was = new WindowPlace(1200, 100, 1280, 800);
    assertThat(WindowPlace.on(was, List.of(SMALL, LARGE))).isEqualTo(was);
  }

  @Test
  void aScreenThatIsGoneIsNotOpenedOn() {
    WindowPlace p = WindowPlace.on(new WindowPlace(1200, 100, 1280, 800), List.of(SMALL));
    assertThat(p.x()).isNaN();
    assertThat(p.width()).isEqualTo(1000);
  }

  @Test
  void whatHungOverTheEdgeIsPulledIn() {
    WindowPlace p = WindowPlace.on(new WindowPlace(700, 500, 900, 600), List.of(SMALL));
    assertThat(p.x()).isEqualTo(100);
    assertThat(p.y()).isEqualTo(40);
  }
}
