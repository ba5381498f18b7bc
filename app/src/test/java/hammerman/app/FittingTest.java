package hammerman.app;

import static org.assertj.core.api.Assertions.assertThat;

import hammerman.finding.Station;
import hammerman.fit.Network;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Objects;
import javafx.scene.Parent;
import javafx.scene.control.Labeled;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;

/** Drives station Fit offscreen. */
@ExtendWith(ApplicationExtension.class)
class FittingTest {
  @TempDir static Path home;

  @SuppressWarnings("NullAway.Init") // opened before every test
  private Desk desk;

  @Start
  void start(Stage stage) {
    desk = Desk.open(stage, home);
  }

  @AfterEach
  void end() {
    desk.close();
  }

  private void open() {
    desk.example();
    desk.go(Station.FIT);
    desk.until(() -> desk.text("#answer").startsWith("13S6P fits"));
  }

  @Test
  void aTriangularPackIsBuiltFromNothing() {
    desk.go(Station.FIT);
    assertThat(desk.text("#answer")).startsWith("Not begun");
    desk.press("#begin-fit");
    desk.until(() -> desk.text("#answer").startsWith("10S4P fits"));
    desk.type("#corners", "0 0; 260 0; 0 220");
    desk.until(() -> desk.text("#answer").contains("10S4P fits"));
    desk.type("#corners", "0 0; 90 0; 0 80");
    desk.until(() -> desk.text("#fit-said").startsWith("Not possible: 40 cells are needed"));
    desk.press("#undo");
    desk.until(() -> desk.text("#answer").startsWith("10S4P fits"));
    desk.type("#corners", "0 0; 260");
    assertThat(desk.text("#corners")).isEqualTo("0 0; 260");
  }

  @Test
  void betterStripAndABarLoseLess() {
    open();
    double before = loss();
    Desk.fx(
        () -> {
          desk.session.editDesign(
              "Strip",
              Station.STACK,
              d -> d.withPack(d.pack().withStrip(d.pack().strip().withLayers(3))));
          return null;
        });
    desk.settle();
    desk.until(() -> loss() < before / 2);
    desk.choose("#leads-from", Network.TakeOff.WHOLE_GROUP);
    double three = before / 2;
    desk.until(() -> loss() < three);
  }

  private double loss() {
    List<String> facts = texts("#fit-facts");
    String watts = facts.get(facts.indexOf("Strips lose") + 1);
    return Double.parseDouble(watts.replace(" W", ""));
  }

  @Test
  void cellsAreExchangedByHandAndTheHarmIsSaid() {
    open();
    Desk.fx(
        () -> {
          desk.stage.getScene().lookup("#fit-sheet").requestFocus();
          return null;
        });
    desk.robot.sleep(200);
    for (int k = 0; k < 9 && !desk.text("#fit-cell").startsWith("Group"); k++) {
      desk.keys(KeyCode.RIGHT);
    }
    assertThat(desk.text("#fit-cell")).startsWith("Group").contains("an equal share is");
    desk.until(() -> desk.text("#fit-cell").contains("after the duty"));
    desk.keys(KeyCode.SHIFT, KeyCode.RIGHT);
    desk.press("#swap-cells");
    assertThat(Objects.requireNonNull(desk.session.project().variant().fit()).swaps()).hasSize(1);
    Desk.fx(
        () -> {
          desk.session.editDesign(
              "far", Station.FIT, d -> d.withFit(Objects.requireNonNull(d.fit()).plusSwap(0, 60)));
          return null;
        });
    desk.until(() -> desk.text("#fit-said").contains("in pieces"));
    desk.press("#unswap-cells");
    desk.until(() -> desk.text("#fit-said").isEmpty());
  }

  @Test
  void aFaceIsWrittenAtTrueScale() throws Exception {
    open();
    for (String o : List.of("share", "strips", "heat", "groups")) {
      desk.press("#overlay-" + o);
    }
    desk.press("#lower-face");
    Path file = home.resolve("face.svg");
    desk.files.lay(file);
    desk.press("#export-face");
    String svg = Files.readString(file);
    // The box is 285 by 178 mm, with margins of 12 mm and a foot of 16 mm.
    assertThat(svg).contains("width=\"309mm\"", "height=\"218mm\"", "lower face");
    assertThat(svg).contains("12,210 112,210");
    assertThat(svg.split("<circle", -1)).hasSize(79);
  }

  private List<String> texts(String selector) {
    return Desk.fx(
        () ->
            desk.find(selector, Parent.class).lookupAll(".label").stream()
                .map(n -> ((Labeled) n).getText())
                .toList());
  }
}
