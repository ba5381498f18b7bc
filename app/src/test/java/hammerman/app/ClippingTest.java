package hammerman.app;

import static org.assertj.core.api.Assertions.assertThat;

import hammerman.app.theme.Theme;
import hammerman.finding.Station;
import hammerman.project.Shipped;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.Labeled;
import javafx.scene.text.Text;
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
        desk.robot.sleep(400);
        assertThat(cut()).as("%s %s by %s", station, view, theme).isEmpty();
        assertThat(outside()).as("%s %s by %s", station, view, theme).isEmpty();
        assertThat(pageScrolls()).as("%s %s scrolls", station, view).isFalse();
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
    desk.robot.sleep(400);
    assertThat(cut()).as(station.toString()).isEmpty();
  }

  /** Labels and buttons whose words end in dots because they have no room. */
  private List<String> cut() {
    return Desk.fx(
        () -> {
          List<String> found = new ArrayList<>();
          List<Labeled> all = shown();
          assertThat(all).filteredOn(l -> l.lookup(".text") instanceof Text).hasSizeGreaterThan(20);
          for (Labeled l : all) {
            if (l.lookup(".text") instanceof Text t
                && !t.getText().equals(l.getText())
                && t.getText().endsWith("...")) {
              found.add(l.getText());
            }
          }
          return found;
        });
  }

  /** Labels and buttons that reach over the right rim of the window. */
  private List<String> outside() {
    return Desk.fx(
        () -> {
          List<String> found = new ArrayList<>();
          for (Labeled l : shown()) {
            Bounds b = l.localToScene(l.getLayoutBounds());
            if (b.getMaxX() > 1280.5 && !l.getText().isEmpty()) {
              found.add(l.getText());
            }
          }
          return found;
        });
  }

  private boolean pageScrolls() {
    return Desk.fx(
        () ->
            desk.stage.getScene().getRoot().lookupAll(".page > .scroll-bar").stream()
                .anyMatch(Node::isVisible));
  }

  private List<Labeled> shown() {
    List<Labeled> found = new ArrayList<>();
    collect(desk.stage.getScene().getRoot(), found);
    return found;
  }

  private static void collect(Node node, List<Labeled> found) {
    if (!node.isVisible()) {
      return;
    }
    if (node instanceof Labeled l) {
      found.add(l);
    }
    if (node instanceof Parent p) {
      p.getChildrenUnmodifiable().forEach(n -> collect(n, found));
    }
  }
}
