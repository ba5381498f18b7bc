package hammerman.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import hammerman.app.theme.Theme;
import hammerman.finding.Station;
import hammerman.guard.FuseClass;
import java.nio.file.Path;
import java.util.List;
import javafx.geometry.Bounds;
import javafx.geometry.Orientation;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Labeled;
import javafx.scene.control.ListView;
import javafx.scene.control.Menu;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.ScrollBar;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.Region;
import javafx.scene.text.Text;
import org.junit.jupiter.api.Test;

/** Drives the real window offscreen. */
class WindowTest extends AtTheDesk {
  @Test
  void changingTheCountsIsSeenEverywhere() {
    desk.example();
    desk.go(Station.STACK);
    assertThat(desk.text("#counts")).isEqualTo("13S6P");
    desk.type("#in-series", "14");
    assertThat(desk.text("#counts")).isEqualTo("14S6P");
    assertThat(desk.figure("full")).isEqualTo("58.8 V");
    assertThat(desk.judgements()).contains("machine.voltage");
    assertThat(desk.isShown("#judgement-machine-voltage")).isTrue();
    desk.type("#in-series", "13");
    desk.type("#in-parallel", "8");
    assertThat(desk.figure("capacity")).isEqualTo("36.0 Ah");
    assertThat(desk.judgements()).doesNotContain("machine.voltage", "duty.shortWhenWorn");
  }

  @Test
  void choosingAnotherCellIsSeenAndUndone() {
    desk.example();
    desk.go(Station.CELL);
    desk.pick("#cell-r18650");
    assertThat(desk.figure("capacity")).isEqualTo("12.0 Ah");
    assertThat(desk.judgements()).contains("duty.energyShort");
    desk.keys(KeyCode.CONTROL, KeyCode.Z);
    assertThat(desk.figure("capacity")).isEqualTo("27.0 Ah");
    assertThat(desk.judgements()).doesNotContain("duty.energyShort");
    desk.keys(KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.Z);
    assertThat(desk.figure("capacity")).isEqualTo("12.0 Ah");
  }

  @Test
  void undoGoesBackThroughEveryEditWithoutLimit() {
    desk.example();
    desk.go(Station.STACK);
    for (int p = 7; p < 27; p++) {
      desk.type("#in-parallel", Integer.toString(p));
    }
    assertThat(desk.text("#counts")).isEqualTo("13S26P");
    for (int k = 0; k < 20; k++) {
      desk.press("#undo");
    }
    assertThat(desk.text("#counts")).isEqualTo("13S6P");
    assertThat(desk.find("#undo", Button.class).isDisabled()).isTrue();
  }

  @Test
  void fieldsTakeUnitsAndKeepNonsenseUntilItIsUnderstood() {
    desk.example();
    desk.view(Station.GUARD, "parts");
    desk.type("#cross-section", "10 AWG");
    assertThat(desk.text("#cross-section")).startsWith("5.26");
    assertThat(desk.judgements()).contains("wire.overload");
    desk.type("#fuse-rating", "lots");
    assertThat(desk.text("#fuse-rating")).isEqualTo("lots");
    assertThat(complaints()).anyMatch(c -> c.contains("“lots” is not a current"));
    assertThat(desk.session.project().design().guard().fuse().orElseThrow().rating()).isEqualTo(60);
    desk.type("#fuse-rating", "-5");
    assertThat(complaints()).anyMatch(c -> c.contains("Fuse rating is −5 A"));
    desk.type("#fuse-rating", "45 A");
    assertThat(desk.session.project().design().guard().fuse().orElseThrow().rating()).isEqualTo(45);
    assertThat(complaints()).isEmpty();
  }

  @Test
  void escapeGivesTheFieldItsValueBack() {
    desk.example();
    desk.view(Station.GUARD, "parts");
    TextField field = desk.find("#fuse-rating", TextField.class);
    Desk.fx(
        () -> {
          field.requestFocus();
          field.setText("zzz");
          return null;
        });
    desk.keys(KeyCode.ESCAPE);
    assertThat(field.getText()).isEqualTo("60");
    desk.keys(KeyCode.UP);
    assertThat(field.getText()).isEqualTo("61");
  }

  @Test
  void everyFigureShowsItsWorking() {
    desk.example();
    desk.press("#figure-energy");
    assertThat(desk.text("#rail-heading")).isEqualTo("How this figure came about");
    assertThat(railText()).contains("Rated energy", "1264 Wh", "E = V · Q");
    desk.press("#back-to-judgements");
    assertThat(desk.text("#rail-heading")).isEqualTo("Judgements: 2 warnings, 1 note");
  }

  @Test
  void aJudgementLeadsToItsPlace() {
    desk.example();
    desk.press("#go-strip-current");
    assertThat(desk.isShown("#stack-field")).isTrue();
  }

  @Test
  void theFieldIsWalkedAndChosenByKeys() {
    desk.example();
    desk.go(Station.STACK);
    Desk.fx(
        () -> {
          desk.stage.getScene().lookup("#stack-field").requestFocus();
          return null;
        });
    desk.quiet();
    desk.keys(KeyCode.UP);
    desk.keys(KeyCode.UP);
    desk.keys(KeyCode.LEFT);
    assertThat(desk.text("#field-reason")).startsWith("12S8P");
    desk.keys(KeyCode.ENTER);
    assertThat(desk.text("#counts")).isEqualTo("12S8P");
  }

  @Test
  void stationsAreReachedByDigits() {
    desk.example();
    desk.keys(KeyCode.CONTROL, KeyCode.DIGIT6);
    assertThat(desk.isShown("#run-trace")).isTrue();
    desk.keys(KeyCode.CONTROL, KeyCode.DIGIT2);
    assertThat(desk.isShown("#cell-b21700")).isTrue();
  }

  @Test
  void aStopStandsAtItsStationThoughNobodyWasThere() {
    assertThat(accessible("#station-stack")).endsWith("not begun");
    Desk.fx(
        () -> {
          desk.session.editDesign("Far too much", Station.DUTY, d -> d.withCounts(10, 1));
          return null;
        });
    desk.quiet();
    assertThat(accessible("#station-stack")).endsWith("stop");
  }

  private String accessible(String id) {
    return Desk.fx(() -> desk.find(id, ToggleButton.class).getAccessibleText());
  }

  @Test
  void thePaletteFindsACommandByName() {
    desk.example();
    desk.keys(KeyCode.CONTROL, KeyCode.K);
    TextField filter = desk.find("#palette-filter", TextField.class);
    Desk.fx(
        () -> {
          filter.setText("guard go to");
          return null;
        });
    ListView<?> list = desk.find("#palette-list", ListView.class);
    assertThat(list.getItems().size()).isEqualTo(1);
    desk.keys(KeyCode.ENTER);
    assertThat(desk.isShown("#suggest")).isTrue();
    desk.keys(KeyCode.F1);
    assertThat(desk.text("#help-text")).contains("fuse");
    desk.keys(KeyCode.ESCAPE);
    assertThat(desk.isShown("#help-text")).isFalse();
  }

  @Test
  void thePaletteGoesToAFieldOfAnyStation() {
    desk.example();
    desk.go(Station.FORECAST);
    desk.keys(KeyCode.CONTROL, KeyCode.K);
    TextField filter = desk.find("#palette-filter", TextField.class);
    Desk.fx(
        () -> {
          filter.setText("cut-out voltage");
          return null;
        });
    ListView<?> list = desk.find("#palette-list", ListView.class);
    desk.until(() -> Desk.fx(() -> list.getItems().size()) > 0);
    desk.keys(KeyCode.ENTER);
    desk.until(
        () ->
            Desk.fx(
                () ->
                    desk.stage.getScene().getFocusOwner() instanceof TextField f
                        && f.getAccessibleText().startsWith("Cuts out below")));
    assertThat(desk.isShown("#view-machine")).isTrue();
  }

  @Test
  void helpExplainsTheWordsOfItsScreenOnly() {
    desk.example();
    desk.go(Station.GUARD);
    desk.keys(KeyCode.F1);
    assertThat(terms()).contains("Fuse window. ", "BMS. ").doesNotContain("Stall. ");
    desk.keys(KeyCode.ESCAPE);
  }

  private List<String> terms() {
    return Desk.fx(
        () ->
            desk.stage.getScene().getRoot().lookupAll(".term").stream()
                .map(n -> ((Text) n).getText())
                .toList());
  }

  @Test
  void aNarrowWindowFoldsTheJudgementsAndShowsThemOverThePage() {
    desk.example();
    desk.go(Station.STACK);
    assertThat(desk.isShown("#rail-heading")).isTrue();
    assertThat(desk.isShown("#rail-strip")).isFalse();
    double wide = paper();
    Desk.fx(
        () -> {
          desk.stage.setWidth(1000);
          return null;
        });
    desk.quiet();
    assertThat(desk.isShown("#rail-heading")).isFalse();
    assertThat(texts("#rail-strip")).isEmpty();
    assertThat(counts()).containsExactly("2\nwarnings", "1\nnote");
    double folded = paper();
    assertThat(folded).isGreaterThan(wide - 60);
    desk.press("#rail-strip .rail-count");
    desk.quiet();
    assertThat(desk.isShown("#rail-heading")).isTrue();
    assertThat(paper()).isEqualTo(folded);
    desk.press("#fold-rail");
    assertThat(desk.isShown("#rail-heading")).isFalse();
  }

  @Test
  void theJudgementsAreFoldedAndPutAwayByKeysAndStaySo() {
    desk.example();
    desk.keys(KeyCode.CONTROL, KeyCode.R);
    assertThat(desk.isShown("#rail-strip")).isTrue();
    desk.keys(KeyCode.CONTROL, KeyCode.R);
    assertThat(desk.isShown("#rail-strip")).isFalse();
    assertThat(desk.isShown("#rail-heading")).isFalse();
    assertThat(desk.workshop.settings().text("rail", "")).isEqualTo("away");
    desk.keys(KeyCode.CONTROL, KeyCode.J);
    assertThat(desk.isShown("#rail-heading")).isTrue();
  }

  /** Width of the page, px. */
  private double paper() {
    Region page = desk.find(".sheet-of-paper", Region.class);
    return Desk.fx(page::getWidth);
  }

  private List<String> counts() {
    return Desk.fx(
        () ->
            desk.stage.getScene().getRoot().lookupAll(".rail-count").stream()
                .map(n -> ((Labeled) n).getText())
                .toList());
  }

  /** Lays the window out in another size than that of the screen there is offscreen. */
  private void window(double width, double height) {
    Desk.fx(
        () -> {
          desk.frame.root().resize(width, height);
          return null;
        });
    desk.quiet();
  }

  private Bounds drawn(String selector) {
    Node node = desk.find(selector, Node.class);
    return Desk.fx(() -> node.localToScene(node.getLayoutBounds()));
  }

  @Test
  void aScaleThatTheWindowHasNoRoomForIsDrawnAsLargeAsThereIs() {
    desk.example();
    window(1000, 640);
    double plain = drawn("#menu").getHeight();
    for (int k = 0; k < 10; k++) {
      desk.keys(KeyCode.CONTROL, KeyCode.EQUALS);
    }
    window(1000, 640);
    assertThat(desk.text("#message")).isEqualTo("200 % is set; this window has room for 156 %.");
    assertThat(drawn("#menu").getHeight()).isCloseTo(1.5625 * plain, within(2.0));
    assertThat(drawn("#menu").getMaxX()).isLessThanOrEqualTo(1000);
    assertThat(drawn("#station-duty").getMinX()).isPositive();
    window(2560, 1440);
    assertThat(drawn("#menu").getHeight()).as("as it was set").isCloseTo(2 * plain, within(2.0));
  }

  private boolean isScrolledSideways(String selector) {
    Node of = desk.find(selector, Node.class);
    return Desk.fx(
        () ->
            of.lookupAll(".scroll-bar").stream()
                .map(ScrollBar.class::cast)
                .anyMatch(b -> b.isVisible() && b.getOrientation() == Orientation.HORIZONTAL));
  }

  @Test
  void aTableWiderThanANarrowWindowIsScrolledAndNotItsPage() {
    desk.example();
    desk.view(Station.CELL, "library");
    assertThat(isScrolledSideways("#cells")).isFalse();
    window(640, 800);
    assertThat(isScrolledSideways("#cells")).isTrue();
    assertThat(drawn("#cells-filter").getMaxX()).isLessThan(640);
    window(1280, 800);
    assertThat(isScrolledSideways("#cells")).isFalse();
  }

  @Test
  void whatWasWideInAWideWindowIsNotWideInANarrowOne() {
    desk.example();
    desk.view(Station.GUARD, "chain");
    window(1900, 1000);
    window(1000, 640);
    assertThat(drawn("#chain-picture").getMaxX()).isLessThan(1000);
    assertThat(drawn("#view-ready").getMaxX()).isLessThan(1000);
  }

  @Test
  void aRoundOfManySegmentsScrollsAndLeavesRoomForTheRest() {
    desk.example();
    desk.view(Station.DUTY, "task");
    double first = drawn("#name-of-segment-1").getMinY();
    for (int k = 0; k < 6; k++) {
      desk.press("#add-level");
    }
    double add = drawn("#add-level").getMinY();
    assertThat(add - first).as("nine rows of thirteen").isBetween(240.0, 300.0);
    assertThat(drawn("#name-of-segment-13").getMaxY())
        .as("where one types next")
        .isBetween(first, add);
  }

  @Test
  void theMenuIsInGroupsAndOpensWhatWasOpenLately() {
    desk.example();
    Path file = home.resolve("lately.hammerman");
    desk.lay(file);
    desk.keys(KeyCode.CONTROL, KeyCode.S);
    desk.until(() -> desk.text("#kept").startsWith("lately"));
    MenuButton menu = desk.find("#menu", MenuButton.class);
    List<String> groups = Desk.fx(() -> menu.getItems().stream().map(MenuItem::getText).toList());
    assertThat(groups).containsExactly("Project", "Edit", "View", "Go", "Help");
    Menu recent =
        Desk.fx(
            () -> {
              menu.getOnShowing().handle(null);
              return (Menu)
                  ((Menu) menu.getItems().getFirst())
                      .getItems().stream()
                          .filter(i -> "menu-recent".equals(i.getId()))
                          .findFirst()
                          .orElseThrow();
            });
    assertThat(Desk.fx(() -> recent.getItems().getFirst().getText())).isEqualTo("lately.hammerman");
  }

  @Test
  void aVariantIsOneKeystrokeAndKeepsTheOther() {
    desk.example();
    desk.go(Station.STACK);
    desk.keys(KeyCode.CONTROL, KeyCode.D);
    desk.type("#in-series", "12");
    assertThat(desk.text("#variant")).contains("variant 2 of 2");
    desk.keys(KeyCode.CONTROL, KeyCode.PAGE_DOWN);
    assertThat(desk.text("#counts")).isEqualTo("13S6P");
  }

  @Test
  void aNewProjectTeachesWhereToBegin() {
    assertThat(desk.isShown("#load-example")).isTrue();
    assertThat(desk.text("#counts")).isEqualTo("10S4P");
    desk.press("#load-example");
    assertThat(desk.text("#pack-name")).isEqualTo("Terrace barrow");
    assertThat(desk.isShown("#load-example")).isFalse();
  }

  @Test
  void theFuseClassBringsItsVoltageRating() {
    desk.example();
    desk.view(Station.GUARD, "parts");
    desk.choose("#class", FuseClass.BLADE);
    assertThat(desk.text("#rated-dc")).isEqualTo("58");
    assertThat(desk.judgements()).contains("fuse.short");
  }

  @Test
  void nightIsOneKeyAndRemembered() {
    desk.keys(KeyCode.CONTROL, KeyCode.T);
    assertThat(desk.frame.theme()).isEqualTo(Theme.NIGHT);
    desk.keys(KeyCode.CONTROL, KeyCode.T);
    assertThat(desk.frame.theme()).isEqualTo(Theme.DAY);
  }

  private List<String> complaints() {
    return Desk.fx(
        () ->
            desk.stage.getScene().getRoot().lookupAll(".complaint").stream()
                .map(n -> ((Labeled) n).getText())
                .filter(t -> !t.isEmpty())
                .toList());
  }

  private String railText() {
    return Desk.fx(
        () ->
            String.join(
                    " ",
                    desk.stage.getScene().lookup("#rail-list").lookupAll(".label").stream()
                        .map(n -> ((Labeled) n).getText())
                        .toList())
                .replace('\u00a0', ' '));
  }

  /** A long name takes the room that the strip has, and is told whole when that is not enough. */
  @Test
  void aLongNameTakesTheRoomThereIs() {
    desk.example();
    TextField name = desk.find("#pack-name", TextField.class);
    double narrow = Desk.fx(name::getWidth);
    named("Spare pack for the upper terrace");
    assertThat(Desk.fx(name::getWidth)).isGreaterThan(narrow + 50);
    assertThat(Desk.fx(name::getTooltip)).isNull();
    String longest =
        "Spare pack for the upper terrace and the lower, with the winch of the far wall";
    named(longest);
    assertThat(Desk.fx(() -> name.getTooltip().getText())).isEqualTo(longest);
    assertThat(desk.cut()).isEmpty();
  }

  private void named(String name) {
    Desk.fx(
        () -> {
          desk.session.edit("Name", Station.DUTY, p -> p.withName(name));
          return null;
        });
    desk.quiet();
  }
}
