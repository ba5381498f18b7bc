package hammerman.app;

import static org.assertj.core.api.Assertions.assertThat;

import hammerman.finding.Station;
import hammerman.forecast.Forecast;
import hammerman.project.Shipped;
import hammerman.unit.Figures;
import java.util.List;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.Slider;
import javafx.scene.input.Clipboard;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;

/** The Forecast page beyond its headlines: each cell in its place. */
class ForecastingTest extends AtTheDesk {

  private void cells() {
    desk.view(Station.FORECAST, "cells");
    desk.quiet();
  }

  @Test
  void everyCellIsRunAndNamedOnTheDayThatIsChosen() {
    desk.example();
    cells();
    String hottest = desk.text("#every-cell");
    assertThat(hottest).contains("Hottest is cell", "lowest is group");
    desk.press("#cells-coldest");
    assertThat(desk.text("#every-cell")).contains("Hottest is cell").isNotEqualTo(hottest);
  }

  /** A day that ends too soon says whether a rest helps, and a day that is served does not. */
  @Test
  void aDayThatEndsTooSoonSaysWhetherItComesBack() {
    desk.example();
    desk.view(Station.FORECAST, "run");
    desk.quiet();
    assertThat(desk.text("#back-last"))
        .matches(
            "Back after 10 s without load, at 4\\d\\.\\d V, for \\d+ s more; a machine left on"
                + " starts by itself\\.");
    assertThat(desk.isShown("#back-typical")).isFalse();
  }

  @Test
  void everyPictureOfManyRunsShowsHowItCameAbout() {
    desk.example();
    for (String view : List.of("air", "power", "speed", "moves")) {
      desk.view(Station.FORECAST, view);
      desk.press("#working-" + view);
      assertThat(String.join("\n", texts("#rail-list"))).contains("Source: ", "Holds for: ");
    }
    desk.press("#working-spread");
    assertThat(texts("#rail-list")).contains("200 packs");
  }

  /** What only this page shows is given up when it is left, and goes on when it is seen again. */
  @Test
  void packsAreNotDrawnAndDaysNotRunForAPageThatNobodySees() {
    desk.example();
    Label spread =
        Desk.fx(
            () -> {
              desk.frame.go(Station.FORECAST, "cells");
              Label line = (Label) desk.stage.getScene().lookup("#spread");
              desk.frame.go(Station.DUTY);
              return line;
            });
    desk.quiet();
    assertThat(Desk.fx(spread::getText)).startsWith("Packs are drawn");
    desk.view(Station.FORECAST, "cells");
    desk.quiet();
    assertThat(Desk.fx(spread::getText)).startsWith("Of 200 packs drawn");
    assertThat(desk.text("#every-cell")).contains("Hottest is cell");
  }

  @Test
  void anEditRunsThemAnew() {
    desk.example();
    cells();
    String before = desk.text("#every-cell");
    Desk.fx(
        () -> {
          desk.session.editDesign("Counts", Station.STACK, d -> d.withCounts(13, 5));
          return null;
        });
    desk.quiet();
    assertThat(desk.text("#every-cell")).contains("Hottest is cell").isNotEqualTo(before);
    desk.press("#undo");
    desk.quiet();
    assertThat(desk.text("#every-cell")).isEqualTo(before);
  }

  @Test
  void withoutALayoutItSaysWhatToDo() {
    desk.example();
    Desk.fx(
        () -> {
          desk.session.editDesign("No box", Station.FIT, d -> d.withFit(null));
          return null;
        });
    cells();
    assertThat(desk.isShown("#cells-sheet")).isFalse();
    assertThat(desk.isShown("#begin-fit")).isFalse();
    desk.press("#cells-to-fit");
    assertThat(desk.isShown("#begin-fit")).isTrue();
    desk.go(Station.FORECAST);
    desk.press("#cells-to-sort");
    assertThat(desk.isShown("#example-cells")).isTrue();
  }

  /** A picture is copied with its figures, by the keys that copy everywhere. */
  @Test
  void aPictureIsCopiedWithItsFigures() {
    desk.example();
    cells();
    Node sheet = desk.find("#cells-sheet", Node.class);
    Desk.fx(
        () -> {
          Clipboard.getSystemClipboard().clear();
          sheet.requestFocus();
          return null;
        });
    desk.keys(KeyCode.CONTROL, KeyCode.C);
    String copied = Desk.fx(() -> Clipboard.getSystemClipboard().getString());
    assertThat(copied.lines().findFirst().orElseThrow())
        .startsWith("\"Time, s\",\"Group 1, V\"")
        .endsWith("\"Hottest cell, °C\",\"Coolest cell, °C\"");
    assertThat(copied.lines().count()).isBetween(200L, 500L);
    assertThat(Desk.fx(() -> Clipboard.getSystemClipboard().hasImage())).isTrue();
  }

  @Test
  void aHabitIsChangedFromTheLifePageAndTakenBack() {
    desk.example();
    desk.view(Station.FORECAST, "life");
    desk.quiet();
    assertThat(desk.text("#lifetime")).contains("stops fitting after", "per kWh");
    double before = desk.session.project().design().duty().surroundings().hottestStored();
    desk.press("#change-habit-0");
    desk.quiet();
    assertThat(desk.session.project().design().duty().surroundings().hottestStored())
        .isLessThan(before);
    desk.press("#undo");
    assertThat(desk.session.project().design().duty().surroundings().hottestStored())
        .isEqualTo(before);
  }

  /** A target is typed, the least change of a lever is done, and undo takes it back. */
  @Test
  void aTargetIsMetByTheChangeThatIsOffered() {
    desk.example();
    desk.view(Station.FORECAST, "moves");
    desk.quiet();
    desk.press("#answer-range");
    assertThat(desk.text("#target-words")).startsWith("Now ").contains("km", "typical day");
    desk.type("#wanted", "13 km");
    desk.quiet();
    assertThat(desk.text("#target-words")).contains("13.0", "one of these");
    int before = desk.session.project().design().pack().parallel();
    desk.press("#way-0");
    desk.quiet();
    assertThat(desk.session.project().design().pack().parallel()).isGreaterThan(before);
    assertThat(desk.text("#target-words")).contains("is met as things are");
    desk.press("#undo");
    desk.quiet();
    assertThat(desk.session.project().design().pack().parallel()).isEqualTo(before);
    desk.type("#wanted", "far");
    assertThat(desk.text("#target-complaint")).isNotEmpty();
  }

  /** With two packs the line and the great figures are those of both. */
  @Test
  void twoPacksAreToldTogether() {
    desk.example();
    desk.go(Station.FORECAST);
    String alone = desk.figure("until-it-ends");
    desk.view(Station.GUARD, "two");
    desk.press("#toggle-second");
    desk.quiet();
    desk.go(Station.FORECAST);
    Forecast f = desk.session.forecastProperty().get();
    String both = Figures.duration(f.reach().typical().endTime());
    assertThat(desk.figure("until-it-ends")).isEqualTo(both).isNotEqualTo(alone);
    assertThat(desk.text("#answer"))
        .startsWith("Both packs serve the ")
        .contains(" and go on to " + both + " on a typical day");
    assertThat(f.onward().endTime()).isGreaterThan(1.5 * f.duty().endTime());
  }

  /** The figures have the typical day large, and what it comes to on the worst below it. */
  @Test
  void theHeadlinesTellTheWorstDayToo() {
    desk.example();
    desk.go(Station.FORECAST);
    Node figure = desk.find("#figure-until-it-ends", Node.class);
    assertThat(Desk.fx(figure::getAccessibleText)).matches(".*coldest, show working");
  }

  @Test
  void headWindTakesFromTheRange() {
    desk.example();
    desk.view(Station.FORECAST, "speed");
    desk.quiet();
    String still = desk.text("#speed-words");
    assertThat(still).contains("goes farthest at");
    Slider wind = desk.find("#head-wind", Slider.class);
    Desk.fx(
        () -> {
          wind.setValue(20);
          return null;
        });
    desk.quiet();
    assertThat(desk.text("#speed-words")).contains("goes farthest at").isNotEqualTo(still);
  }

  @Test
  void aDutyWithoutAVehicleSaysWhereToGetOne() {
    desk.view(Station.FORECAST, "speed");
    desk.quiet();
    Desk.fx(
        () -> {
          desk.session.loadExample(Shipped.Example.DARK_SKY_BOX);
          return null;
        });
    desk.quiet();
    assertThat(desk.isShown("#speed-sheet")).isFalse();
    desk.press("#speed-to-task");
    assertThat(desk.isShown("#task-round")).isTrue();
  }
}
