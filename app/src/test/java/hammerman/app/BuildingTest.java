package hammerman.app;

import static org.assertj.core.api.Assertions.assertThat;

import hammerman.build.Procedure;
import hammerman.build.Step;
import hammerman.design.Design;
import hammerman.design.SecondPack;
import hammerman.finding.Station;
import hammerman.forecast.Forecast;
import hammerman.project.Shipped;
import hammerman.record.StepRecord;
import hammerman.store.ProjectFile;
import hammerman.store.ProjectStore;
import hammerman.unit.Figures;
import hammerman.watch.SimulatedPack.Fault;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.function.UnaryOperator;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import javafx.event.ActionEvent;
import javafx.scene.Node;
import javafx.scene.control.TableView;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.testfx.util.WaitForAsyncUtils;

class BuildingTest extends AtTheDesk {
  private static final Pattern FIGURE = Pattern.compile("(−?[0-9.]+)");

  @TempDir Path folder;

  private void open(Shipped.Example example) {
    Desk.fx(
        () -> {
          desk.session.loadExample(example);
          return null;
        });
    desk.settle();
    desk.view(Station.BUILD, "steps");
    desk.until(() -> desk.text("#answer").contains("steps are done"));
  }

  private void edit(UnaryOperator<Design> change) {
    Desk.fx(
        () -> {
          desk.session.editDesign("another", Station.STACK, change);
          return null;
        });
    desk.settle();
  }

  private int done() {
    Matcher m = FIGURE.matcher(desk.text("#answer"));
    return m.find() ? Integer.parseInt(m.group(1)) : -1;
  }

  private String stage() {
    return desk.text("#step-stage");
  }

  /** Types a reading as it is shown, and presses Enter. */
  private void read(String figure) {
    TextField field = desk.find("#step-reading", TextField.class);
    Desk.fx(
        () -> {
          field.requestFocus();
          field.setText(figure.replace("−", "-"));
          field.fireEvent(new ActionEvent());
          return null;
        });
    WaitForAsyncUtils.waitForFxEvents();
  }

  /** Does the step at hand as it should go, and waits for the next. */
  private void asExpected() {
    int before = done();
    if (desk.isShown("#step-done")) {
      desk.press("#step-done");
    } else {
      String words = desk.text("#step-expects");
      Matcher m = FIGURE.matcher(words);
      assertThat(m.find()).as(stage()).isTrue();
      read(words.contains("at most") ? "0" : m.group(1));
    }
    desk.until(() -> done() == before + 1);
  }

  private void until(String words) {
    for (int k = 0; k < 120 && !desk.text("#step-text").contains(words); k++) {
      asExpected();
    }
    assertThat(desk.text("#step-text")).contains(words);
  }

  @Test
  void aWholeBuildWithTwoMistakesMadeCaughtAndTakenUpAgainAfterAKill() throws Exception {
    Path kept = folder.resolve("barrow.hammerman");
    ProjectFile.write(Shipped.terraceBarrow(), kept, Instant.parse("2026-03-01T10:00:00Z"));
    desk.openFile(kept);
    desk.view(Station.BUILD, "steps");
    desk.until(() -> desk.text("#answer").startsWith("0 of "));
    until("Join the 6 cells of group 4.");
    // The first mistake: the tips do not touch.
    read("0.01");
    desk.until(() -> desk.text("#step-verdict").contains("Stop here"));
    assertThat(desk.text("#step-cause-1"))
        .as("what would read nothing comes first")
        .contains("shorted");
    assertThat(desk.text("#step-cause-2")).contains("tips");
    assertThat(desk.text("#answer")).contains("group 4");
    asExpected();
    until("read contact 6 of the balance plug");
    // The second: leads 6 and 7 are in each other's places.
    desk.view(Station.BUILD, "probe");
    List<Step> steps = procedure().steps();
    for (int k = 6; k <= 13; k++) {
      int tap = k == 6 ? 7 : k == 7 ? 6 : k;
      double v =
          steps.stream()
              .filter(s -> s.id().equals("probe." + tap))
              .findFirst()
              .orElseThrow()
              .expects()
              .orElseThrow()
              .value();
      contact(k, Figures.plain(v));
    }
    desk.until(() -> desk.text("#probe-verdict").contains("Leads 6 and 7"));
    assertThat(desk.find("#contact-box-6", Node.class).getStyleClass()).contains("bad");
    desk.press("#probe-keep");
    desk.view(Station.BUILD, "steps");
    desk.until(() -> desk.text("#step-verdict").contains("Stop here"));
    asExpected();
    desk.until(() -> desk.text("#step-text").contains("contact 7"));
    asExpected();
    int before = done();
    // What a kill at this instant leaves behind: the file as it is now, with what lies beside it.
    Path after = killed(kept);
    desk.openFile(after);
    desk.view(Station.BUILD, "steps");
    desk.until(() -> done() == before);
    assertThat(desk.text("#answer")).contains("You stopped just now").contains("Next:");
    while (!desk.text("#answer").contains("Every step is done")) {
      asExpected();
    }
    assertThat(desk.find("#station-build", Node.class).getAccessibleText()).contains("sound");
    desk.view(Station.BUILD, "record");
    TableView<?> record = desk.find("#build-record", TableView.class);
    assertThat(Desk.fx(() -> record.getItems().size())).isGreaterThanOrEqualTo(done() + 3);
    desk.kept();
    assertThat(outside(after)).isEqualTo(3);
  }

  private static long outside(Path file) throws Exception {
    return ProjectFile.built(file).steps().stream()
        .filter(f -> f.value().verdict() == StepRecord.Verdict.OUTSIDE)
        .count();
  }

  private Path killed(Path kept) throws IOException {
    desk.kept();
    Path copy = Files.createDirectory(folder.resolve("after"));
    try (Stream<Path> all = Files.list(folder)) {
      for (Path f : all.filter(Files::isRegularFile).toList()) {
        if (!f.getFileName().toString().endsWith(".lock")) {
          Files.copy(f, copy.resolve("after-" + f.getFileName()));
        }
      }
    }
    return copy.resolve("after-" + kept.getFileName());
  }

  private Procedure procedure() {
    return Procedure.of(
        Forecast.of(desk.session.project().design()),
        Map.of("cells.rest", 3.61, "string.whole", 46.93));
  }

  private void contact(int k, String volts) {
    TextField field = desk.find("#contact-" + k, TextField.class);
    Desk.fx(
        () -> {
          field.requestFocus();
          field.setText(volts);
          field.fireEvent(new ActionEvent());
          return null;
        });
    WaitForAsyncUtils.waitForFxEvents();
  }

  @Test
  void aProtectingStepTakesItsReadingOrAReason() {
    open(Shipped.Example.DARK_SKY_BOX);
    until("Read the rest voltage of every cell");
    assertThat(desk.isShown("#step-done")).isFalse();
    read("9");
    desk.until(() -> desk.text("#step-verdict").contains("Stop here"));
    desk.keyIn("step-reason", "the meter was on another range; read again tomorrow");
    desk.until(() -> desk.text("#answer").contains("take the highest less the lowest"));
    desk.view(Station.BUILD, "record");
    TableView<?> record = desk.find("#build-record", TableView.class);
    desk.until(() -> Desk.fx(() -> record.getItems().size()) == done() + 1);
  }

  @Test
  void theCardAndTheStepsAreDoneByKeys() {
    open(Shipped.Example.DARK_SKY_BOX);
    desk.tabTo("step-done");
    desk.keys(KeyCode.SPACE);
    desk.until(() -> done() == 1);
    desk.press("#arms-length");
    assertThat(desk.isShown(".fill #step-text")).isTrue();
    desk.keys(KeyCode.ESCAPE);
    assertThat(desk.isShown(".fill #step-text")).isFalse();
    desk.view(Station.BUILD, "probe");
    desk.keyIn("contact-1", "3.30");
    assertThat(desk.text("#probe-verdict")).contains("1 of 5 contacts");
  }

  @Test
  void theSimulatedMeterFillsTheCard() {
    open(Shipped.Example.TERRACE_BARROW);
    desk.view(Station.BUILD, "probe");
    desk.press("#probe-simulate");
    desk.until(() -> desk.text("#probe-verdict").startsWith("Every lead reads"));
    desk.press("#probe-empty");
    assertThat(desk.text("#probe-verdict")).contains("in any order");
  }

  @Test
  void aPackChargedSinceItsCellsWereReadIsNoFaultOnTheCard() {
    open(Shipped.Example.TERRACE_BARROW);
    desk.view(Station.BUILD, "probe");
    for (int k = 0; k <= 13; k++) {
      contact(k, Figures.plain(4.05 * k));
    }
    desk.until(() -> desk.text("#probe-verdict").startsWith("Every lead reads"));
    for (int k = 1; k <= 13; k++) {
      assertThat(desk.find("#contact-box-" + k, Node.class).getStyleClass())
          .as("contact " + k)
          .contains("good");
    }
    contact(5, "12.1");
    desk.until(() -> !desk.text("#probe-verdict").startsWith("Every lead reads"));
    assertThat(desk.find("#contact-box-5", Node.class).getStyleClass()).contains("bad");
    assertThat(desk.find("#contact-box-9", Node.class).getStyleClass()).doesNotContain("bad");
  }

  @Test
  void aRunawayGroupIsStoppedAndTheChargerSwitchedOff() {
    open(Shipped.Example.TERRACE_BARROW);
    desk.view(Station.BUILD, "charge");
    desk.until(() -> desk.text("#charge-facts").contains("No group may exceed"));
    desk.choose("#charge-fault", Fault.RUNAWAY);
    desk.press("#charge-simulate");
    desk.until(() -> desk.text("#charge-call").startsWith("STOP. Group 5"));
    assertThat(desk.text("#charge-call")).contains("Margin to the limit");
  }

  @Test
  void aPartIsHereAndCostsWhatWasPaid() {
    open(Shipped.Example.DARK_SKY_BOX);
    desk.view(Station.BUILD, "parts");
    desk.until(() -> desk.isShown("#part-name"));
    assertThat(desk.text("#parts-totals")).contains("taken out");
    assertThat(desk.text("#parts-held")).contains("Cells before they are joined (3 missing)");
    desk.press("#part-here");
    desk.until(() -> desk.text("#parts-held").contains("Cells before they are joined (2 missing)"));
    String was = desk.text("#parts-totals");
    desk.keyIn("part-price", "10");
    desk.until(() -> !desk.text("#parts-totals").equals(was));
    Path csv = folder.resolve("parts.csv");
    desk.lay(csv);
    desk.press("#save-parts");
    assertThat(csv).content().contains(",10.00,").contains(",yes");
    Path pdf = folder.resolve("parts.pdf");
    desk.lay(pdf);
    desk.press("#save-parts-paper");
    assertThat(pdf).isNotEmptyFile();
  }

  @Test
  void anExampleCarriesTheRecordOfItsBuild() {
    for (Shipped.Example e : Shipped.Example.values()) {
      open(e);
      desk.until(() -> desk.isShown("#example-build"));
      Design built = Shipped.example(e).design();
      edit(d -> d.withCounts(built.pack().series(), built.pack().parallel() + 1));
      desk.until(() -> !desk.isShown("#example-build")); // the record is of another pack
      edit(d -> built);
      desk.until(() -> desk.isShown("#example-build"));
      desk.press("#example-build");
      desk.until(() -> done() > 20);
      desk.quiet();
      assertThat(desk.isShown("#example-build")).isFalse();
      if (e == Shipped.Example.DARK_SKY_BOX) {
        // The last step was written down late in an evening: by night one day more has gone by.
        assertThat(desk.text("#answer")).containsPattern("[67] days ago").contains("Outdoors");
      }
    }
    Path pdf = folder.resolve("booklet.pdf");
    desk.lay(pdf);
    desk.press("#save-booklet");
    assertThat(pdf).isNotEmptyFile();
  }

  @Test
  void aLowGroupIsBroughtUpBeforeItIsJoined() {
    open(Shipped.Example.DARK_SKY_BOX);
    desk.view(Station.BUILD, "level");
    desk.keyIn("level-figures", "3.28 3.28 x 3.28");
    assertThat(desk.text("#level-complaint")).contains("“x” is not a voltage");
    desk.keyIn("level-figures", "3.28 3.28 3.20 3.28");
    assertThat(desk.text("#level-answer")).startsWith("1 of 4 groups");
    desk.keyIn("level-figures", "3.281 3.280 3.279 3.280");
    assertThat(desk.text("#level-answer")).startsWith("All groups are level");
  }

  @Test
  void cellsThatAreWeldedInStayInTheirGroup() throws Exception {
    Desk.fx(
        () -> {
          desk.session.loadExample(Shipped.Example.PAVEMENT_SPEAKER);
          return null;
        });
    desk.settle();
    desk.go(Station.SORT);
    desk.press("#example-cells");
    desk.press("#take-cells");
    desk.view(Station.SORT, "groups");
    desk.until(() -> desk.text("#groups-words").startsWith("All groups hold the same"));
    desk.press("#take-groups");
    desk.view(Station.BUILD, "steps");
    desk.until(() -> desk.text("#answer").contains("steps are done"));
    until("Join the 13 cells of group 1.");
    asExpected();
    desk.kept();
    Path copy = folder.resolve("speaker.hammerman");
    Desk.fx(
        () -> {
          desk.session.copyTo(copy, p -> {}, t -> {});
          return null;
        });
    desk.until(() -> Files.exists(copy) && !ProjectFile.built(copy).steps().isEmpty());
    try (ProjectStore store = ProjectStore.look(copy)) {
      assertThat(store.buildBook().places())
          .hasSize(13)
          .allSatisfy(p -> assertThat(p.group()).isZero());
    }
  }

  /** Each of two packs has a card, a level and a first charge of its own. */
  @Test
  void theSecondOfTwoPacksStandsOnTheBenchByItself() {
    open(Shipped.Example.TERRACE_BARROW);
    edit(
        d ->
            d.withSecond(
                new SecondPack(
                    d.pack().withCounts(13, 4),
                    d.guard(),
                    SecondPack.Joining.SWITCH_OVER,
                    0.98,
                    1)));
    desk.view(Station.BUILD, "probe");
    contact(1, "3.61");
    desk.press("#bench-second");
    desk.until(() -> desk.find("#contact-1", TextField.class).getText().isEmpty());
    desk.press("#probe-simulate");
    desk.until(() -> desk.text("#probe-verdict").contains("Every lead reads what it should"));
    desk.press("#bench-first");
    desk.until(() -> desk.text("#probe-verdict").contains("1 of 14 contacts"));
    // A reading that was kept for the second is on its card, and on no other.
    Desk.fx(
        () -> {
          desk.session
              .keeper()
              .record(
                  store ->
                      store
                          .buildBook()
                          .record(
                              new StepRecord(
                                  "second.probe.3", 10.77, StepRecord.Verdict.WITHIN, ""),
                              Instant.parse("2026-03-01T10:00:00Z")),
                  id -> {},
                  t -> {});
          return null;
        });
    desk.press("#bench-second");
    desk.press("#probe-empty");
    desk.press("#bench-first");
    desk.press("#bench-second");
    desk.until(() -> desk.find("#contact-3", TextField.class).getText().startsWith("10.77"));
    desk.press("#bench-first");
    assertThat(desk.find("#contact-3", TextField.class).getText()).isEmpty();
    desk.view(Station.BUILD, "level");
    String figures =
        "3.612 3.609 3.580 3.611 3.612 3.609 3.611 3.612 3.609 3.611 3.612 3.609 3.611";
    desk.keyIn("level-figures", figures);
    String first = charge();
    desk.press("#bench-second");
    desk.keyIn("level-figures", figures);
    assertThat(charge()).as("four in parallel take less than six").isLessThan(first);
    desk.view(Station.BUILD, "charge");
    desk.press("#charge-simulate");
    desk.until(() -> desk.text("#charge-call").contains("Charging normally"));
    desk.view(Station.BUILD, "probe");
    assertThat(desk.find("#bench-first", Node.class).isDisabled())
        .as("a charge is watched until it ends")
        .isTrue();
    desk.view(Station.BUILD, "charge");
    desk.press("#charge-stop");
    assertThat(desk.find("#bench-first", Node.class).isDisabled()).isFalse();
  }

  /** What the third group takes to be level. */
  private String charge() {
    TableView<?> table = desk.find("#level", TableView.class);
    return String.valueOf(Desk.fx(() -> table.getColumns().get(2).getCellData(2)));
  }

  @Test
  void aChargerThatPutsNothingInIsSaidInsteadOfDrawn() {
    open(Shipped.Example.TERRACE_BARROW);
    edit(d -> d.withPack(d.pack().withCounts(20, 6)));
    desk.view(Station.BUILD, "charge");
    desk.until(() -> desk.text("#charge-facts").contains("cannot charge this pack"));
    assertThat(desk.text("#charge-facts")).contains("54.6").contains("84.0");
  }
}
