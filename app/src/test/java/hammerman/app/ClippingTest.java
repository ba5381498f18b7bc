package hammerman.app;

import static org.assertj.core.api.Assertions.assertThat;

import hammerman.app.theme.Theme;
import hammerman.finding.Station;
import hammerman.project.Shipped;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** No view cuts its words short in a window of 1280 by 800, in either theme. */
class ClippingTest extends AtTheDesk {
  private static final Map<Station, List<String>> VIEWS =
      Map.of(
          Station.DUTY, List.of("machine", "task", "lead"),
          Station.CELL, List.of("library", "beside", "own"),
          Station.STACK, List.of("field", "search", "schools", "variants"),
          Station.GUARD, List.of("chain", "parts", "time", "charging", "wiring", "two", "ready"),
          Station.FIT, List.of("box", "groups", "strips", "heat", "cut"));

  @ParameterizedTest
  @EnumSource(Station.class)
  void wordsAreShownWhole(Station station) {
    desk.example();
    for (Theme theme : Theme.values()) {
      Desk.fx(
          () -> {
            desk.frame.setTheme(theme);
            return null;
          });
      for (String view : VIEWS.getOrDefault(station, List.of(""))) {
        if (view.isEmpty()) {
          desk.go(station);
        } else {
          desk.view(station, view);
        }
        desk.quiet();
        assertThat(desk.cut()).as("%s %s by %s", station, view, theme).isEmpty();
        assertThat(desk.outside()).as("%s %s by %s", station, view, theme).isEmpty();
        assertThat(desk.pageScrolls()).as("%s %s scrolls", station, view).isFalse();
      }
    }
  }

  @ParameterizedTest
  @EnumSource(Station.class)
  void theSmallPhosphateBoxIsShownWholeToo(Station station) {
    Desk.fx(
        () -> {
          desk.session.loadExample(Shipped.Example.DARK_SKY_BOX);
          return null;
        });
    desk.go(station);
    desk.quiet();
    assertThat(desk.cut()).as(station.toString()).isEmpty();
  }
}
