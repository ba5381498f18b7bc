package hammerman.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import hammerman.cell.CellCircuit;
import hammerman.cell.CellType;
import hammerman.duty.Load;
import hammerman.duty.Segment;
import hammerman.duty.Task;
import hammerman.finding.Station;
import hammerman.guard.Fusing;
import hammerman.guard.Protection;
import hammerman.project.CellFile;
import hammerman.project.Shipped;
import hammerman.search.Candidate;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.stream.IntStream;
import javafx.scene.control.ChoiceBox;
import javafx.scene.control.Labeled;
import javafx.scene.control.Slider;
import javafx.scene.control.TableColumn;
import javafx.scene.control.TableView;
import javafx.scene.input.KeyCode;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;

/** Drives the stations Duty, Cell and Stack offscreen: from what it must do to the right stack. */
class ChoosingTest extends AtTheDesk {
  private Task.ByRound round() {
    return (Task.ByRound) desk.session.project().duty().task();
  }

  @Test
  void theWholeBarrowDutyIsBuiltFromNothingByKeysAlone() {
    desk.tabTo("station-duty");
    desk.keyIn("machine", "Barrow controller, 48 V");
    desk.keyIn("survives-at-most", "58");
    desk.keyIn("cuts-out-below", "41 V");
    desk.keyIn("lets-through-at-most", "60");
    desk.keyIn("draws-at-full-effort", "30");
    desk.keyIn("pushes-back-braking", "15");
    desk.keyIn("input-capacitors", "1500");
    desk.keyIn("draws-while-off", "8 mA");
    desk.keyIn("what-happens", "Start on the ramp, loaded");
    desk.keyIn("battery-current", "55");
    desk.keyIn("lasts", "12 s");
    desk.keyIn("motor-turns", "60");
    desk.keyIn("reduction", "36");
    desk.keyIn("wheel-diameter", "40 cm");
    desk.keyIn("motor-resistance", "0.15 ohm");
    desk.keyIn("current-without-load", "1,2");
    desk.keyIn("motor-current-most", "60");
    desk.tabTo("view-machine");
    desk.robot.push(KeyCode.RIGHT);
    desk.tabTo("view-use");
    desk.robot.push(KeyCode.SPACE);
    desk.keyIn("hottest-in-use", "38");
    desk.keyIn("coldest-in-use", "8");
    desk.keyIn("coldest-charging", "12");
    desk.keyIn("hottest-charging", "30");
    desk.keyIn("hottest-in-storage", "30");
    desk.keyIn("coldest-in-storage", "14");
    desk.keyIn("this-duty-times", "4");
    desk.keyIn("stored-at-charge", "90");
    desk.keyIn("longest-rest", "90");
    desk.keyIn("worn-out-at-capacity", "80");
    desk.keyIn("mass-at-most", "8");
    desk.keyIn("room-for-the-pack", "3,5");
    desk.keyIn("cells-cost-at-most", "480");
    desk.tabTo("view-use");
    desk.robot.push(KeyCode.RIGHT);
    desk.tabTo("view-task");
    desk.robot.push(KeyCode.SPACE);
    desk.tabTo("task-time");
    desk.robot.push(KeyCode.LEFT);
    desk.tabTo("task-round");
    desk.robot.push(KeyCode.SPACE);
    for (String kind : List.of("idle", "climb", "climb", "level", "idle", "descent", "level")) {
      desk.tabTo("add-" + kind);
      desk.robot.push(KeyCode.SPACE);
    }
    desk.tabTo("remove-segment-1");
    desk.robot.push(KeyCode.SPACE);
    segment(1, "Load crates", "0", "4 min", "", "", "8");
    segment(2, "Climb the terraces", "3,2", "293 m", "24.5", "120", "");
    segment(3, "Steep ramp at the wall", "2", "40 s", "", "", "1500");
    segment(4, "Along the top", "4.5", "2.5 min", "1.5", "120", "");
    segment(5, "Unload", "0", "5 min", "", "", "8");
    segment(6, "Down, braking", "4", "267 m", "-30", "60", "");
    segment(7, "Back to the rows", "4.5", "2 min", "0.5", "60", "");
    desk.keyIn("vehicle-with-pack", "95 kg");
    desk.keyIn("rolling-resistance", "0.045");
    desk.keyIn("drag-area", "0.7");
    desk.keyIn("drive-efficiency", "62");
    desk.keyIn("braking-gives-back", "45");
    desk.keyIn("auxiliaries", "8");
    desk.keyIn("rounds-per-charge", "11");
    desk.settle();
    assertThat(desk.session.project().duty().toString())
        .isEqualTo(Shipped.terraceBarrow().duty().toString());
  }

  private void segment(
      int k, String name, String speed, String extent, String slope, String load, String watts) {
    desk.keyIn("name-of-segment-" + k, name);
    if (!speed.equals("0")) {
      desk.keyIn("speed-of-segment-" + k, speed);
    }
    desk.keyIn("time-of-segment-" + k, extent);
    if (!slope.isEmpty()) {
      desk.keyIn("slope-of-segment-" + k, slope);
      desk.keyIn("load-of-segment-" + k, load);
    }
    if (!watts.isEmpty()) {
      desk.keyIn("power-of-segment-" + k, watts);
    }
  }

  @Test
  void aSlopeWorksThePowerOutAndShowsHow() {
    desk.example();
    desk.view(Station.DUTY, "task");
    double before = round().segments().get(1).power(round().vehicle());
    desk.type("#slope-of-segment-2", "30 %");
    assertThat(round().segments().get(1).power(round().vehicle())).isGreaterThan(before * 1.15);
    desk.press("#how-the-power-of-segment-2-came-about");
    assertThat(rail()).contains("Climb the terraces", "sin s", "30.0 %");
    desk.type("#power-of-segment-2", "1 kW");
    assertThat(round().segments().get(1).effort()).isEqualTo(new Segment.Effort.Given(1000));
    assertThat(desk.text("#slope-of-segment-2")).isEmpty();
    desk.press("#undo");
    assertThat(desk.text("#slope-of-segment-2")).isEqualTo("30");
  }

  @Test
  void segmentsAreMovedDuplicatedAndRemoved() {
    desk.example();
    desk.view(Station.DUTY, "task");
    desk.press("#move-segment-2-up");
    assertThat(round().segments().getFirst().name()).isEqualTo("Climb the terraces");
    desk.press("#duplicate-segment-1");
    assertThat(round().segments()).hasSize(8);
    assertThat(round().segments().get(1)).isEqualTo(round().segments().get(0));
    desk.press("#remove-segment-1");
    desk.press("#undo");
    assertThat(round().segments()).hasSize(8);
    desk.type("#time-of-segment-1", "soon");
    assertThat(desk.text("#time-of-segment-1")).isEqualTo("soon");
    assertThat(complaints()).anyMatch(c -> c.contains("“soon” is no time or way"));
    desk.type("#speed-of-segment-1", "0");
    assertThat(complaints()).anyMatch(c -> c.contains("it must move"));
  }

  @Test
  void theTaskChangesItsFormWithoutLosingItsEnergy() {
    desk.example();
    desk.view(Station.DUTY, "task");
    double before = desk.session.forecastProperty().get().duty().totals().energyOut();
    desk.press("#task-time");
    assertThat(desk.isShown("#wanted-for")).isTrue();
    double after = desk.session.forecastProperty().get().duty().totals().energyOut();
    assertThat(after).isBetween(before * 0.85, before * 1.05);
    desk.type("#power", "0.3 kW");
    assertThat(desk.text("#power")).isEqualTo("300");
    desk.press("#task-distance");
    desk.press("#effort-2");
    assertThat(desk.text("#consumption")).isEqualTo("77");
  }

  @Test
  void theWorkingOfASegmentThatIsRemovedGivesWayToTheJudgements() {
    desk.example();
    desk.view(Station.DUTY, "task");
    desk.press("#how-the-power-of-segment-2-came-about");
    assertThat(desk.text("#rail-heading")).isEqualTo("How this figure came about");
    while (round().segments().size() > 1) {
      desk.press("#remove-segment-1");
    }
    assertThat(desk.text("#rail-heading")).startsWith("Judgements");
    desk.press("#station-stack");
    assertThat(desk.text("#answer")).startsWith("13S6P");
    assertThat(desk.isShown("#trouble")).as("nothing went wrong").isFalse();
  }

  @Test
  void whatIsHalfTypedGoesWithTheFieldItWasTypedIn() {
    desk.example();
    desk.view(Station.DUTY, "task");
    desk.press("#task-time");
    desk.type("#power", "a lot");
    assertThat(complaints()).anyMatch(c -> c.contains("a lot"));
    desk.press("#task-distance");
    assertThat(desk.isShown("#trouble")).as("nothing went wrong").isFalse();
    desk.press("#task-time");
    assertThat(desk.text("#power")).doesNotContain("a lot");
    assertThat(complaints()).isEmpty();
  }

  @Test
  void aLogBecomesTheLoadAndItsMappingIsRemembered() throws Exception {
    desk.example();
    desk.view(Station.DUTY, "task");
    desk.press("#task-log");
    Path log = home.resolve("run.csv");
    StringBuilder text = new StringBuilder("when;pack;flow\n");
    for (int k = 0; k < 600; k++) {
      text.append(String.format(Locale.ROOT, "%d;48,0;%s\n", k, k % 60 < 20 ? "-10,0" : "-2,0"));
    }
    Files.writeString(log, text.toString());
    desk.lay(log);
    desk.press("#choose-log");
    desk.press("#use-log");
    desk.until(() -> desk.text("#log-complaint").contains("no column holds the time"));
    desk.choose("#log-time", "when");
    desk.choose("#log-voltage", "pack");
    desk.choose("#log-current", "flow");
    Desk.fx(
        () -> {
          desk.find("#discharge-negative", javafx.scene.control.CheckBox.class).setSelected(true);
          return null;
        });
    desk.press("#use-log");
    desk.until(() -> desk.text("#log-source").contains("run.csv"));
    desk.settle();
    Load load = desk.session.project().duty().task().load();
    double energy =
        load.steps().stream()
            .mapToDouble(s -> ((Load.Power) s.demand()).watts() * s.duration())
            .sum();
    assertThat(energy).isCloseTo(48 * (200 * 10 + 400 * 2), within(1.0));
    desk.press("#choose-log");
    assertThat(desk.find("#log-time", ChoiceBox.class).getValue()).isEqualTo("when");
    desk.press("#undo");
    assertThat(desk.text("#log-source")).contains("no file yet");
  }

  @Test
  void aLeadBatteryIsReplacedByAVariant() {
    desk.example();
    desk.view(Station.DUTY, "lead");
    desk.type("#lead-voltage", "48");
    assertThat(desk.text("#lead-words")).contains("58.8 V", "42.0 V");
    desk.press("#lead-use-LFP");
    assertThat(desk.session.project().variants()).hasSize(2);
    assertThat(desk.session.project().design().pack().series()).isEqualTo(16);
    desk.type("#lead-voltage", "13");
    assertThat(complaints()).anyMatch(c -> c.contains("multiple of 2 V"));
  }

  @Test
  void theCurrencyIsChosenOnceAndSaidWithEveryPrice() {
    desk.example();
    desk.view(Station.DUTY, "use");
    desk.keyIn("prices-are-in", "EUR");
    desk.until(() -> desk.figure("cells-cost").equals("406 EUR"));
    desk.keyIn("prices-are-in", "whatever it takes");
    assertThat(desk.session.project().duty().bounds().currency()).isEqualTo("EUR");
    desk.view(Station.CELL, "library");
    assertThat(texts("#cell-facts")).anyMatch(t -> t.replace('\u00a0', ' ').endsWith(" EUR"));
    Desk.fx(
        () -> {
          desk.session.begin();
          return null;
        });
    assertThat(desk.session.project().duty().bounds().currency())
        .as("the next project is priced alike")
        .isEqualTo("EUR");
  }

  @Test
  void theLibraryIsFilteredSortedAndCompared() {
    desk.example();
    desk.view(Station.CELL, "library");
    desk.type("#cells-filter", "lfp");
    assertThat(desk.isShown("#cell-f32700")).isTrue();
    assertThat(desk.isShown("#cell-p21700")).isFalse();
    tick("#compare-f32700");
    desk.type("#cells-filter", "");
    TableView<?> cells = desk.find("#cells", TableView.class);
    CellType first =
        Desk.fx(
            () -> {
              sortBy(cells, 3);
              return (CellType) cells.getItems().getFirst();
            });
    assertThat(first.id()).as("by capacity").isEqualTo("fp50");
    tick("#compare-p21700");
    desk.view(Station.CELL, "beside");
    desk.until(() -> texts("#beside-table").contains("21 mm power"));
    assertThat(texts("#beside-table"))
        .contains("21 mm balanced", "32 mm phosphate", "Energy per mass", "231 Wh/kg", "212 Wh/kg");
    desk.view(Station.CELL, "library");
    for (String more : List.of("e18650", "b18650", "p18650")) {
      tick("#compare-" + more);
    }
    assertThat(desk.text("#compare-refused")).as("a fifth is refused").contains("At most 4");
    tick("#compare-e18650");
    assertThat(desk.text("#compare-refused")).isEmpty();
  }

  private void tick(String selector) {
    Desk.fx(
        () -> {
          desk.find(selector, javafx.scene.control.CheckBox.class).fire();
          return null;
        });
  }

  @Test
  void ownFiguresPartTheCellFromTheLibraryAndAreKept() throws Exception {
    desk.example();
    desk.view(Station.CELL, "own");
    desk.type("#rated-capacity", "4800 mAh");
    CellType own = desk.session.project().design().pack().cell();
    assertThat(own.id()).isEqualTo("b21700-own");
    assertThat(own.name()).isEqualTo("21 mm balanced, own");
    assertThat(desk.figure("capacity")).isEqualTo("28.8 Ah");
    desk.type("#rated-capacity", "48");
    assertThat(desk.text("#cell-doubts")).contains("Wh/kg");
    assertThat(desk.judgements()).contains("cell.figures");
    desk.type("#rated-capacity", "4.8");
    desk.type("#capacity-left", "75");
    assertThat(desk.judgements()).contains("cell.reclaimed");
    desk.press("#keep-cell");
    desk.until(() -> desk.session.library().find("b21700-own").isPresent());
    Path file = home.resolve("out.csv");
    desk.lay(file);
    desk.press("#export-cells");
    assertThat(CellFile.read(file).find("b21700-own")).isPresent();
    desk.session.shelf().remove("b21700-own", () -> {}, Assertions::fail);
    desk.until(() -> desk.session.library().find("b21700-own").isEmpty());
    desk.press("#import-cells");
    desk.until(() -> desk.session.library().find("b21700-own").isPresent());
    desk.session.shelf().remove("b21700-own", () -> {}, Assertions::fail);
    desk.until(() -> desk.session.library().find("b21700-own").isEmpty());
  }

  @Test
  void measuredCurvesAreFitted() throws Exception {
    desk.example();
    desk.view(Station.CELL, "own");
    CellType truth = Shipped.cells().find("b21700").orElseThrow().withR10(0.024);
    for (double current : new double[] {1, 9}) {
      Path file = home.resolve("curve-" + current + ".csv");
      Files.writeString(file, curve(truth, current));
      desk.type("#curve-current", Double.toString(current));
      desk.lay(file);
      desk.press("#add-curve");
      desk.until(() -> desk.text("#fit-verdict").startsWith("Fitted"));
      if (current == 1) {
        assertThat(desk.text("#fit-verdict")).contains("Not told by the curves: Resistance");
      }
    }
    desk.until(() -> !desk.text("#fit-verdict").contains("Not told"));
    desk.press("#use-fit");
    CellType fitted = desk.session.project().design().pack().cell();
    assertThat(fitted.r10()).isCloseTo(0.024, within(0.0015));
    assertThat(fitted.restVoltage()).isNotNull();
  }

  private static String curve(CellType cell, double current) {
    CellCircuit c = new CellCircuit(cell);
    StringBuilder text = new StringBuilder("Ah,V\n");
    for (int k = 0; k <= 200; k++) {
      double z = 1 - k / 200.0;
      double q = (1 - z) * cell.capacity();
      double t = q / current * 3600;
      double share = 0.7 + 0.596 * -Math.expm1(-t / 15) + 0.3 * -Math.expm1(-t / 300);
      double v = c.openCircuit(z) - current * share * c.r10(z, 298.15);
      text.append(q).append(',').append(v).append('\n');
    }
    return text.toString();
  }

  @Test
  void contoursAreChosenAndTheFieldStillAnswers() {
    desk.example();
    desk.view(Station.STACK, "field");
    for (String name : List.of("Energy", "Full effort until too hot", "nothing")) {
      desk.choose("#contours", name);
    }
    desk.until(() -> desk.text("#answer").contains("pairs around it serve"));
  }

  @Test
  void aSmallTaskIsServedByASmallPackAndAllItsFiguresAreWhole() {
    Desk.fx(
        () -> {
          desk.session.editDesign(
              "Small",
              Station.DUTY,
              d -> d.withDuty(d.duty().withTask(new Task.ByTime(150, 3600))));
          return null;
        });
    desk.view(Station.STACK, "search");
    desk.until(() -> desk.text("#search-found").contains("of 18000"));
    desk.quiet();
    TableView<?> table = desk.find("#search-rows", TableView.class);
    Candidate first = (Candidate) Desk.fx(() -> table.getItems().getFirst());
    assertThat(first.mass()).isLessThan(1);
    assertThat(first.margin()).as("it uses at least half of itself").isLessThan(0.5);
    assertThat(Desk.fx(() -> Geometry.faults(desk.stage.getScene(), 1))).isEmpty();
  }

  @Test
  void theSearchRanksByWeightAndMakesAVariant() {
    desk.example();
    desk.view(Station.STACK, "search");
    desk.until(() -> desk.text("#search-found").contains("of 18000"));
    partsAreCounted();
    List<String> even = rows();
    assertThat(even).hasSizeGreaterThan(3);
    for (String quality : List.of("cheap", "lasting", "reserve", "cool")) {
      Desk.fx(
          () -> {
            desk.find("#rank-" + quality, Slider.class).setValue(0);
            return null;
          });
    }
    List<String> light = rows();
    assertThat(light.getFirst()).contains("18 mm energy 13S8P");
    assertThat(light).isNotEqualTo(even);
    TableView<?> table = desk.find("#search-rows", TableView.class);
    Desk.fx(
        () -> {
          sortBy(table, 4);
          return null;
        });
    assertThat(rows().getFirst()).contains("21 mm energy 13S6P");
    Desk.fx(
        () -> {
          table.requestFocus();
          table.getSelectionModel().select(0);
          return null;
        });
    desk.keys(KeyCode.ENTER);
    assertThat(desk.text("#counts")).isEqualTo("13S6P");
    assertThat(desk.text("#variant")).contains("21 mm energy 13S6P", "variant 2 of 2");
    desk.press("#undo");
    assertThat(desk.text("#variant")).doesNotContain("variant 2");
  }

  /** Where no parts suit the first dozen, the next are looked at: none of them leads unseen. */
  @Test
  void noStackLeadsTheSearchBeforeItsPartsAreKnown() {
    Desk.fx(
        () -> {
          desk.session.loadExample(Shipped.Example.DARK_SKY_BOX);
          desk.session.editDesign(
              "No protection",
              Station.GUARD,
              d ->
                  d.withGuard(
                      d.guard()
                          .withProtection(new Protection.None())
                          .withFusing(new Fusing.BmsOnly())));
          return null;
        });
    desk.view(Station.STACK, "search");
    desk.quiet();
    TableView<?> found = desk.find("#search-rows", TableView.class);
    int shown = Math.min(16, Desk.fx(() -> found.getItems().size()));
    assertThat(shown).isGreaterThan(12);
    assertThat(IntStream.range(0, shown).mapToObj(row -> cell(found, row, "Parts")))
        .doesNotContain("", "suit");
  }

  @Test
  void moneyInTheSearchIsInTheCurrencyChosen() {
    desk.example();
    desk.go(Station.DUTY);
    Desk.fx(
        () -> {
          desk.session.editDesign(
              "Currency",
              Station.DUTY,
              d -> d.withDuty(d.duty().withBounds(d.duty().bounds().withCurrency("EUR"))));
          return null;
        });
    desk.view(Station.STACK, "search");
    TableView<?> found = desk.find("#search-rows", TableView.class);
    assertThat(Desk.fx(() -> found.getColumns().stream().map(TableColumn::getText).toList()))
        .contains("Cost,\nEUR", "All cost,\nEUR")
        .doesNotContain("Cost", "All cost");
  }

  /** With their parts the foremost cost more, and one that its box cannot hold goes last. */
  private void partsAreCounted() {
    desk.quiet();
    TableView<?> found = desk.find("#search-rows", TableView.class);
    assertThat(cell(found, 0, "Parts")).isEqualTo("suit");
    assertThat(Integer.parseInt(cell(found, 0, "All cost")))
        .isGreaterThan(Integer.parseInt(cell(found, 0, "Cost")));
    int last = Desk.fx(() -> found.getItems().size()) - 1;
    assertThat(cell(found, last, "Parts")).isEqualTo("room");
    Desk.fx(
        () -> {
          found.getSelectionModel().clearAndSelect(last);
          return null;
        });
    assertThat(desk.text("#search-whole"))
        .contains("with its parts", " kg", "No part on the shelf cures");
    Desk.fx(
        () -> {
          found.getSelectionModel().clearSelection();
          return null;
        });
  }

  private static String cell(TableView<?> table, int row, String head) {
    return Desk.fx(
        () ->
            table.getColumns().stream()
                .filter(c -> c.getText().equals(head))
                .map(c -> String.valueOf(c.getCellData(row)))
                .findFirst()
                .orElseThrow());
  }

  private static <T> void sortBy(TableView<T> table, int column) {
    table.getSortOrder().setAll(List.of(table.getColumns().get(column)));
    table.sort();
  }

  private List<String> rows() {
    desk.quiet();
    TableView<?> table = desk.find("#search-rows", TableView.class);
    return Desk.fx(
        () ->
            IntStream.range(0, Math.min(20, table.getItems().size()))
                .mapToObj(
                    r ->
                        table.getColumns().get(0).getCellData(r)
                            + " "
                            + table.getColumns().get(1).getCellData(r))
                .toList());
  }

  @Test
  void theSchoolsStandSideBySide() {
    desk.example();
    desk.view(Station.STACK, "schools");
    desk.quiet();
    assertThat(texts("#schools"))
        .contains("Energy cells", "Fewest groups, 12S", "Power cells", "Heat in the duty", "Life");
  }

  @Test
  void variantsAreNamedDuplicatedComparedAndRemoved() {
    desk.example();
    desk.keys(KeyCode.CONTROL, KeyCode.D);
    desk.view(Station.STACK, "field");
    desk.type("#in-parallel", "8");
    desk.keys(KeyCode.CONTROL, KeyCode.M);
    desk.type("#variant-name-2", "Eight wide");
    desk.until(() -> texts("#comparison").contains("B Eight wide"));
    assertThat(texts("#comparison"))
        .contains("A 13S6P balanced", "13S8P", "13S6P", "36.0 Ah", "27.0 Ah", "≠ Capacity");
    assertThat(texts("#comparison")).contains("   Full voltage");
    tick("#show-variant-1");
    desk.until(() -> !texts("#comparison").contains("A 13S6P balanced"));
    desk.press("#copy-variant-2");
    assertThat(desk.text("#variant-name-3")).isEqualTo("Eight wide, copy");
    desk.press("#remove-variant-3");
    desk.press("#use-variant-1");
    assertThat(desk.text("#counts")).isEqualTo("13S6P");
    assertThat(desk.session.project().variants()).hasSize(2);
  }

  private List<String> complaints() {
    return Desk.fx(
        () ->
            desk.stage.getScene().getRoot().lookupAll(".complaint").stream()
                .map(n -> ((Labeled) n).getText())
                .filter(t -> !t.isEmpty())
                .toList());
  }

  private String rail() {
    return String.join(" ", texts("#rail-list")).replace('\u00a0', ' ');
  }
}
