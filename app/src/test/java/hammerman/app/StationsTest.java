package hammerman.app;

import static org.assertj.core.api.Assertions.assertThat;

import hammerman.app.station.StationView;
import hammerman.finding.Station;
import java.util.List;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;

/** What the list of stations promises holds for every one of them. */
class StationsTest extends AtTheDesk {
  @Test
  void everyStationHasItsPlaceItsKeyItsQuestionAndItsHelp() {
    desk.example();
    List<StationView> all = desk.frame.stations();
    assertThat(all)
        .extracting(s -> s.page().station())
        .as("in the order of the line")
        .containsExactly(Station.values());
    for (int k = 0; k < all.size(); k++) {
      desk.keys(KeyCode.CONTROL, KeyCode.valueOf("DIGIT" + (k + 1)));
      StationView station = all.get(k);
      assertThat(Desk.fx(() -> station.page().getScene())).isNotNull();
      assertThat(station.help()).isNotBlank();
      assertThat(station.reads()).isNotEmpty();
      for (String view : station.page().views()) {
        assertThat(desk.isShown("#view-" + view)).as(view).isTrue();
      }
    }
  }
}
