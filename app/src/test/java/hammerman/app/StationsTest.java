package hammerman.app;

import static org.assertj.core.api.Assertions.assertThat;

import hammerman.app.station.StationView;
import hammerman.finding.Station;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.Labeled;
import javafx.scene.control.TableView;
import javafx.scene.input.KeyCode;
import javafx.scene.text.Text;
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

  @Test
  void noTextIsClippedAndNothingScrollsAtTheUsualSize() {
    desk.example();
    List<String> wrong = new ArrayList<>();
    desk.everyView(
        (station, view) -> {
          Desk.fx(() -> clipped(desk.stage.getScene().getRoot()))
              .forEach(c -> wrong.add(station + " " + view + " clips " + c));
          if (Desk.fx(() -> scrolls(desk.stage.getScene().getRoot()))) {
            wrong.add(station + " " + view + " scrolls");
          }
        });
    assertThat(wrong).isEmpty();
  }

  /** Whether anything scrolls but a table that may grow. */
  private static boolean scrolls(Parent root) {
    return root.lookupAll(".scroll-bar").stream()
        .filter(b -> b.isVisible() && b.getBoundsInParent().getWidth() > 1)
        .anyMatch(
            b -> {
              for (Node n = b; n != null; n = n.getParent()) {
                if (n instanceof TableView<?> || !n.isVisible()) {
                  return false;
                }
              }
              return true;
            });
  }

  /** Labels whose drawn text is shorter than their text: the ellipsis came in. */
  private static List<String> clipped(Parent root) {
    List<String> found = new ArrayList<>();
    Deque<Node> open = new ArrayDeque<>(List.of(root));
    while (!open.isEmpty()) {
      Node node = open.pop();
      if (!node.isVisible()) {
        continue;
      }
      if (node instanceof Labeled label && label.getText() != null && !label.getText().isEmpty()) {
        Text drawn = (Text) label.lookup(".text");
        if (drawn != null && drawn.getText().contains("...") && !label.getText().contains("...")) {
          found.add(label.getText());
        }
        Bounds b = label.localToScene(label.getLayoutBounds());
        if (b.getMaxX() > 1281) {
          found.add("beyond the window: " + label.getText());
        }
      }
      if (node instanceof Parent parent) {
        parent.getChildrenUnmodifiable().forEach(open::push);
      }
    }
    return found;
  }
}
