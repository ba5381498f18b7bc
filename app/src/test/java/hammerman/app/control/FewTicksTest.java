package hammerman.app.control;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import javafx.beans.InvalidationListener;
import org.junit.jupiter.api.Test;

/** Ticks of a few rows, told apart by the length of their names. */
class FewTicksTest {
  private final List<String> refused = new ArrayList<>();
  private final FewTicks<String, Integer> ticks =
      new FewTicks<>(String::length, 1, 2, refused::add);

  @Test
  void oneTooManyIsRefusedAndSaid() {
    ticks.turn("a", true);
    ticks.turn("bb", true);
    ticks.turn("bb", true);
    assertThat(refused).as("what is ticked already is not one more").isEmpty();
    ticks.turn("ccc", true);
    assertThat(refused).singleElement().asString().contains("At most 2");
    assertThat(ticks.ticked()).containsExactly(1, 2);
    assertThat(ticks.has("x")).as("the same key").isTrue();
  }

  @Test
  void theLastOnesStayTicked() {
    ticks.turn("a", true);
    ticks.turn("a", false);
    assertThat(ticks.ticked()).containsExactly(1);
    ticks.turn("bb", true);
    ticks.turn("a", false);
    assertThat(ticks.ticked()).containsExactly(2);
  }

  @Test
  void ticksGoWithTheirRowsAndListenersAreToldThoughNobodyHoldsTheList() {
    int[] told = {0};
    ticks.ticked().addListener((InvalidationListener) o -> told[0]++);
    System.gc();
    ticks.turn("a", true);
    ticks.turn("bb", true);
    ticks.keep(List.of("bb", "ccc"));
    assertThat(ticks.ticked()).containsExactly(2);
    assertThat(told[0]).isEqualTo(3);
  }
}
