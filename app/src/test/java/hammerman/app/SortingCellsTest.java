package hammerman.app;

import static org.assertj.core.api.Assertions.assertThat;

import hammerman.app.picture.Picture;
import hammerman.device.StandInServer;
import hammerman.finding.Station;
import hammerman.pack.MatchedCells;
import hammerman.project.Shipped;
import hammerman.record.InventoryCell;
import hammerman.sort.SortPlan;
import hammerman.sort.Sorting;
import hammerman.tester.SimulatedTester;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.BindException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.event.ActionEvent;
import javafx.event.EventType;
import javafx.geometry.Point2D;
import javafx.scene.Cursor;
import javafx.scene.control.ChoiceBox;
import javafx.scene.control.TableView;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.Region;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.opentest4j.TestAbortedException;

/** From a drawer of cells to the groups of a pack. */
class SortingCellsTest extends AtTheDesk {
  @TempDir Path folder;

  private void speaker() {
    Desk.fx(
        () -> {
          desk.session.loadExample(Shipped.Example.PAVEMENT_SPEAKER);
          return null;
        });
    desk.settle();
    desk.go(Station.SORT);
  }

  private void hundred() {
    speaker();
    desk.press("#example-cells");
    desk.press("#take-cells");
    desk.until(() -> rows("#cells") == 100);
  }

  private int rows(String table) {
    return Desk.fx(() -> desk.find(table, TableView.class).getItems().size());
  }

  private Optional<MatchedCells> matched() {
    return desk.session.project().design().pack().matched();
  }

  private void said(String words) {
    desk.until(() -> desk.text("#sort-said").contains(words));
  }

  @Test
  void aHundredCellsBecomeLevelGroupsOfTheDesign() {
    hundred();
    assertThat(desk.text("#answer")).contains("93 of 100 cells good, 6 put aside");
    assertThat(desk.judgements()).contains("cell.lot");
    desk.view(Station.SORT, "limits");
    assertThat(rows("#aside")).isEqualTo(6);
    assertThat(desk.text("#limit-costs")).contains("outliers alone puts 4 aside");
    desk.view(Station.SORT, "groups");
    desk.until(() -> desk.text("#groups-words").startsWith("All groups hold the same, 25.89"));
    desk.until(() -> desk.text("#match-cost").contains("As they came"));
    assertThat(desk.text("#match-cost")).contains("Matched: 22.41").contains("As they came: 21.99");
    desk.press("#take-groups");
    assertThat(matched().orElseThrow().all()).hasSize(91);
    assertThat(desk.figure("capacity")).as("of these cells").startsWith("25.9");
    assertThat(desk.judgements()).as("they are level").doesNotContain("cell.lot");
    desk.until(() -> desk.text("#answer").startsWith("91 cells are in the pack, 2 spare"));
    desk.keys(KeyCode.CONTROL, KeyCode.Z);
    assertThat(matched()).isEmpty();
  }

  @Test
  void aCellIsAddedMeasuredAndPutAsideByKeys() {
    speaker();
    desk.keyIn("new-labels", "C01 to C03");
    desk.until(() -> rows("#cells") == 3);
    TableView<?> table = desk.find("#cells", TableView.class);
    Desk.fx(
        () -> {
          table.requestFocus();
          table.getSelectionModel().select(1);
          return null;
        });
    desk.keyIn("measure-capacity", "1980");
    said("Capacity of C02 kept");
    desk.keyIn("measure-rest-voltage", "1,1");
    said("Rest voltage of C02 kept");
    desk.until(() -> desk.text("#cell-why").contains("never revive"));
    desk.tabTo("put-aside");
    desk.press("#put-aside");
    said("Say why C02");
    TextField reason = desk.find("#aside-reason", TextField.class);
    Desk.fx(
        () -> {
          reason.setText("dented");
          return null;
        });
    desk.press("#put-aside");
    said("C02 is put aside");
    desk.until(() -> desk.text("#cell-why").equals("dented"));
    desk.keyIn("new-labels", "C03");
    said("taken already");
    assertThat(rows("#cells")).isEqualTo(3);
  }

  @Test
  void aTableWithoutNamesIsMappedByHandAndTheChoiceIsRemembered() throws IOException {
    speaker();
    Path file = folder.resolve("odd.csv");
    Files.writeString(file, "Nr;Fach;Wert\nA;1,95;61\nB;1,97;62\nC;2,01;60\n");
    desk.lay(file);
    desk.press("#import-cells");
    assertThat(desk.text("#import-found")).isEmpty();
    ChoiceBox<?> capacity = desk.find("#column-capacity", ChoiceBox.class);
    Desk.fx(
        () -> {
          capacity.getSelectionModel().select(2);
          return null;
        });
    desk.settle();
    assertThat(desk.text("#import-found")).startsWith("3 cells");
    desk.press("#take-cells");
    desk.until(() -> rows("#cells") == 3);
    desk.press("#import-cells");
    assertThat(Desk.fx(() -> capacity().getSelectionModel().getSelectedIndex())).isEqualTo(2);
    desk.press("#take-cells");
    said("none of them new");
    assertThat(rows("#cells")).as("nothing counts twice").isEqualTo(3);
  }

  @Test
  void aSheetAsPeopleKeepItBringsItsWordsAndTellsWhatStandsTwice() throws IOException {
    speaker();
    Path file = folder.resolve("sheet.csv");
    Files.writeString(
        file,
        """
        Cells of May;;;;
        Nr;Voltage;capacity mAh;Lot;Remarks
        R1;3,91;1987;7;dented
        R2;3,90;2012;;
        R2;3,89;2003;8;
        """);
    desk.lay(file);
    desk.press("#import-cells");
    assertThat(desk.text("#import-found"))
        .startsWith("2 cells")
        .contains("More than once there: R2");
    desk.press("#take-cells");
    said("2 of them new");
    desk.until(() -> rows("#cells") == 2);
    TableView<?> table = desk.find("#cells", TableView.class);
    List<InventoryCell> kept =
        Desk.fx(
            () ->
                table.getItems().stream()
                    .map(e -> ((Sorting.Entry) e).cell().described())
                    .toList());
    assertThat(kept).extracting(InventoryCell::lot).containsExactly("7", "8");
    assertThat(kept.getFirst().notes()).isEqualTo("dented");
  }

  @Test
  void cellsSortedQuicklyAreNotTakenForMeasured() throws IOException {
    speaker();
    StringBuilder text = new StringBuilder("label,rest voltage V,mOhm\n");
    for (int k = 0; k < 95; k++) {
      text.append("Q%d,3.%d,%d%n".formatted(k, 60 + k % 3, 55 + k % 9));
    }
    Path file = folder.resolve("quick.csv");
    Files.writeString(file, text);
    desk.lay(file);
    desk.press("#import-cells");
    desk.press("#take-cells");
    desk.until(() -> rows("#cells") == 95);
    desk.view(Station.SORT, "limits");
    ChoiceBox<?> school = desk.find("#school", ChoiceBox.class);
    Desk.fx(
        () -> {
          school.getSelectionModel().select(1);
          return null;
        });
    desk.quiet();
    Picture picture = desk.find("#limits-picture", Picture.class);
    assertThat(Desk.fx(() -> picture.figures().getFirst().name())).isEqualTo("Rest voltage, V");
    desk.view(Station.SORT, "groups");
    desk.until(
        () -> desk.text("#groups-words").contains("Of 91 cells the capacity is not measured"));
    desk.press("#take-groups");
    desk.quiet();
    assertThat(desk.judgements()).contains("cell.reclaimed", "cell.lot");
  }

  private ChoiceBox<?> capacity() {
    return (ChoiceBox<?>) desk.stage.getScene().lookup("#column-capacity");
  }

  @Test
  void aLimitIsDraggedAndUndone() {
    hundred();
    desk.view(Station.SORT, "limits");
    desk.quiet();
    Region picture = desk.find("#limits-picture", Region.class);
    // The line of the outliers lies a fair way left of the crowd; look for it along the middle.
    double from = Desk.fx(() -> grip(picture));
    Desk.fx(
        () -> {
          picture.fireEvent(mouse(picture, MouseEvent.MOUSE_PRESSED, from));
          picture.fireEvent(mouse(picture, MouseEvent.MOUSE_DRAGGED, from + 60));
          picture.fireEvent(mouse(picture, MouseEvent.MOUSE_RELEASED, from + 60));
          return null;
        });
    desk.settle();
    Double least = desk.session.project().sortPlan().rules().leastCapacity();
    assertThat(least).isNotNull().isBetween(1.7, 2.0);
    desk.until(() -> rows("#aside") > 6);
    desk.keys(KeyCode.CONTROL, KeyCode.Z);
    assertThat(desk.session.project().sortPlan()).isEqualTo(SortPlan.USUAL);
  }

  private static double grip(Region picture) {
    for (double x = 60; x < picture.getWidth(); x += 3) {
      picture.fireEvent(mouse(picture, MouseEvent.MOUSE_MOVED, x));
      if (Cursor.H_RESIZE.equals(picture.getCursor())) {
        return x;
      }
    }
    throw new AssertionError("no line to drag");
  }

  /** The mouse at half the height of a picture; events are given in the scene's coordinates. */
  private static MouseEvent mouse(Region picture, EventType<MouseEvent> type, double x) {
    Point2D at = picture.localToScene(x, picture.getHeight() / 2);
    return new MouseEvent(
        type,
        at.getX(),
        at.getY(),
        at.getX(),
        at.getY(),
        MouseButton.PRIMARY,
        1,
        false,
        false,
        false,
        false,
        true,
        false,
        false,
        true,
        false,
        true,
        null);
  }

  /** The stand-in measures six cells, at several thousand times the speed of a real one. */
  @Test
  void aTesterMeasuresWhatIsInItsBays() {
    speaker();
    Desk.fx(
        () -> {
          desk.session.edit(
              "Fast",
              Station.SORT,
              p -> {
                SortPlan plan = p.sortPlan();
                return p.withSorting(
                    plan.withRestDays(0)
                        .withBays(plan.bays().withCharge(20).withDischarge(10).withRest(0)));
              });
          return null;
        });
    desk.type("#new-labels", "C1 to C6");
    desk.until(() -> rows("#cells") == 6);
    desk.view(Station.SORT, "tester");
    assertThat(desk.text("#schedule-answer")).startsWith("6 cells to load and 0 in the bays");
    desk.press("#simulate-tester");
    desk.until(() -> desk.text("#tester-standing").startsWith("Connected"));
    desk.press("#load-bays");
    desk.until(() -> desk.text("#schedule-answer").startsWith("2 cells to load"));
    desk.press("#disconnect-tester");
    assertThat(desk.text("#tester-standing")).isEqualTo("No tester is connected.");
    desk.press("#simulate-tester");
    desk.until(() -> desk.text("#schedule-answer").startsWith("2 cells to load and 0 in"));
    desk.press("#load-bays");
    desk.until(() -> desk.text("#schedule-answer").startsWith("Nothing is to be tested"));
    desk.view(Station.SORT, "cells");
    TableView<?> table = desk.find("#cells", TableView.class);
    for (int k = 0; k < 6; k++) {
      int row = k;
      assertThat(Desk.fx(() -> table.getColumns().get(1).getCellData(row)))
          .as("by the seed none of these is bad")
          .isEqualTo("accepted");
    }
    assertThat(desk.session.project().sortPlan().direct())
        .as("the resistance that the tester measures is the one that counts")
        .isTrue();
  }

  @Test
  void baysLeftForDaysAreLateAndOneTypesWhatTheTesterShows() {
    speaker();
    desk.type("#new-labels", "E1 to E6");
    desk.until(() -> rows("#cells") == 6);
    desk.type("#cells-filter", "E6");
    desk.view(Station.SORT, "tester");
    desk.press("#load-bays");
    desk.until(() -> desk.text("#schedule-answer").startsWith("2 cells to load and 4 in"));
    assertThat(desk.text("#schedule-answer")).doesNotContain("Late");
    Desk.fx(
        () -> {
          desk.clock.by(Duration.ofDays(3));
          return null;
        });
    desk.view(Station.SORT, "tester");
    assertThat(desk.text("#schedule-answer"))
        .contains("Late: bays 1, 2, 3 and 4 have been done since before");
    desk.press("#type-capacity-2");
    assertThat(Desk.fx(() -> desk.stage.getScene().getFocusOwner().getId()))
        .isEqualTo("measure-capacity");
    assertThat(rows("#cells")).as("the filter does not hide it").isEqualTo(6);
    desk.type("#measure-capacity", "2010");
    said("Capacity of E2 kept; its bay is free again");
    desk.view(Station.SORT, "tester");
    assertThat(desk.text("#schedule-answer")).contains("3 in the bays").contains("bays 1, 3 and 4");
    assertThat(desk.text("#bay-2 .fact-name")).isEqualTo("free, last E2: 2010 mAh");
    desk.press("#break-off-3");
    desk.until(() -> desk.text("#bay-3 .fact-name").equals("free, last E3, broken off"));
  }

  @Test
  void aFailedTestSaysWhyInItsBay() {
    speaker();
    desk.type("#new-labels", "A9");
    desk.until(() -> rows("#cells") == 1);
    desk.view(Station.SORT, "tester");
    desk.press("#simulate-tester");
    desk.until(() -> desk.text("#tester-standing").startsWith("Connected"));
    desk.press("#load-bays");
    desk.until(
        () -> desk.text("#bay-1 .fact-name").equals("free, last A9 failed: the contact was lost"));
    assertThat(desk.text("#schedule-answer")).as("may be tried again").startsWith("1 cell to load");
    desk.press("#disconnect-tester");
  }

  /** A tester of its own, in the first bay of which lies another cell than is said. */
  @Test
  void anotherCellInABayIsNoticedByItsRestVoltage() throws Exception {
    speaker();
    desk.type("#new-labels", "B1 to B2");
    desk.until(() -> rows("#cells") == 2);
    TableView<?> table = desk.find("#cells", TableView.class);
    for (int k = 0; k < 2; k++) {
      int row = k;
      Desk.fx(
          () -> {
            table.getSelectionModel().clearAndSelect(row);
            return null;
          });
      desk.type("#measure-rest-voltage", "3.300");
      said("Rest voltage of B%d kept".formatted(k + 1));
    }
    var cells = Shipped.example(Shipped.Example.PAVEMENT_SPEAKER).design().pack().cell();
    var tester = new SimulatedTester(cells, 2, 1, Map.of("B2", 3.300), 1);
    StandInServer server;
    try {
      server = new StandInServer(tester, 7717, 100_000);
    } catch (BindException e) {
      throw new TestAbortedException("a tester listens on this machine already", e);
    }
    Thread serving = Thread.ofVirtual().start(() -> serve(server));
    try (server) {
      desk.view(Station.SORT, "tester");
      desk.press("#connect-tester");
      desk.until(() -> desk.text("#tester-standing").startsWith("Connected"));
      desk.press("#load-bays");
      desk.until(() -> desk.text("#schedule-answer").startsWith("Nothing is to be tested"));
      desk.view(Station.SORT, "cells");
      assertThat(Desk.fx(() -> table.getColumns().get(1).getCellData(1))).isNotEqualTo("rejected");
      Desk.fx(
          () -> {
            table.getSelectionModel().clearAndSelect(0);
            return null;
          });
      desk.until(() -> desk.text("#cell-why").contains("wrong cell in bay 1"));
      assertThat(desk.text("#cell-why")).contains("3.300 V had been read");
      desk.view(Station.SORT, "tester");
      desk.press("#disconnect-tester");
    }
    serving.join();
  }

  private static void serve(StandInServer server) {
    try {
      server.serve();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  @Test
  void theVisitsGoIntoACalendarAndTheGroupsOnPaper() throws IOException {
    speaker();
    desk.type("#new-labels", "D1 to D9");
    desk.until(() -> rows("#cells") == 9);
    desk.view(Station.SORT, "tester");
    Path calendar = folder.resolve("visits.ics");
    desk.lay(calendar);
    desk.press("#save-calendar");
    assertThat(Files.readString(calendar)).contains("BEGIN:VEVENT").contains("Pavement speaker");
    takeTheHundred();
    desk.view(Station.SORT, "groups");
    desk.until(() -> desk.text("#groups-words").startsWith("All groups"));
    Path labels = folder.resolve("labels.pdf");
    desk.lay(labels);
    desk.press("#labels-pdf");
    assertThat(new String(Files.readAllBytes(labels), StandardCharsets.ISO_8859_1))
        .startsWith("%PDF");
    Path picking = folder.resolve("picking.csv");
    desk.lay(picking);
    desk.press("#picking-list");
    List<String> lines = Files.readAllLines(picking);
    assertThat(lines).hasSize(92);
    assertThat(lines.getFirst()).startsWith("group,place,label");
  }

  private void takeTheHundred() {
    Path file = folder.resolve("cells.csv");
    try {
      Files.write(file, Shipped.exampleCells());
    } catch (IOException e) {
      throw new AssertionError(e);
    }
    desk.view(Station.SORT, "cells");
    desk.lay(file);
    desk.press("#import-cells");
    desk.press("#take-cells");
    desk.until(() -> rows("#cells") == 109);
  }

  @Test
  void aPinnedCellStaysInItsGroup() {
    hundred();
    TableView<?> table = desk.find("#cells", TableView.class);
    Desk.fx(
        () -> {
          table.getSelectionModel().select(0);
          return null;
        });
    desk.type("#cell-pinned-to-group", "8");
    assertThat(desk.session.project().sortPlan().pinned()).as("there are seven").isEmpty();
    desk.type("#cell-pinned-to-group", "5");
    assertThat(desk.session.project().sortPlan().pin("R001")).contains(4);
    desk.view(Station.SORT, "groups");
    desk.until(() -> desk.text("#groups-words").contains("1 is pinned or welded"));
    desk.press("#take-groups");
    assertThat(matched().orElseThrow().groups().get(4).cells())
        .anyMatch(c -> c.label().equals("R001"));
  }

  @Test
  void aWeakGroupIsFoundAndItsCureBecomesAVariant() {
    desk.example();
    desk.view(Station.SORT, "rework");
    desk.type("#rework-figures", "24 24 24");
    assertThat(desk.text("#rework-complaint")).contains("13 groups");
    assertThat(desk.text("#rework-figures")).as("what was typed stays").isEqualTo("24 24 24");
    desk.type("#rework-figures", "24 24 24 24 24,1 24 24 20.1 24 24 24 24 24");
    desk.until(() -> desk.text("#rework-sick").startsWith("Group 8 holds 20.1"));
    desk.until(() -> desk.text("#rework-steps").contains("rest voltage of its neighbours"));
    desk.press("#rework-variant");
    assertThat(desk.session.project().variants()).hasSize(2);
    assertThat(desk.session.project().variant().name()).contains("group 8");
    assertThat(matched()).isPresent();
    desk.until(() -> desk.text("#answer").equals("The pack counts by its 13 measured groups."));
  }

  @Test
  void tooFewCellsAreSaidAndNothingIsTaken() {
    speaker();
    desk.type("#new-labels", "E1");
    desk.until(() -> rows("#cells") == 1);
    desk.view(Station.SORT, "groups");
    desk.until(() -> desk.text("#groups-words").contains("only 0 are good"));
    assertThat(Desk.fx(() -> desk.find("#take-groups", Region.class).isDisabled())).isTrue();
  }

  @Test
  void figuresAreTypedIntoTheTableDownItsColumn() {
    speaker();
    desk.keyIn("new-labels", "C01 to C03");
    desk.until(() -> rows("#cells") == 3);
    TableView<?> table = desk.find("#cells", TableView.class);
    Desk.fx(
        () -> {
          table.requestFocus();
          table.getSelectionModel().clearAndSelect(0);
          return null;
        });
    desk.keys(KeyCode.F2);
    type("xx");
    assertThat(desk.find("#cell-typing", TextField.class).getStyleClass()).contains("wrong");
    type("1985");
    said("Capacity of C01 kept");
    desk.until(() -> desk.isShown("#cell-typing"));
    type("1.97 Ah");
    said("Capacity of C02 kept");
    desk.keys(KeyCode.ESCAPE);
    assertThat(desk.isShown("#cell-typing")).isFalse();
    desk.until(() -> Desk.fx(() -> table.getItems().get(1).toString().contains("1.97")));
  }

  private void type(String text) {
    TextField field = desk.find("#cell-typing", TextField.class);
    Desk.fx(
        () -> {
          field.setText(text);
          field.fireEvent(new ActionEvent());
          return null;
        });
    desk.settle();
  }
}
