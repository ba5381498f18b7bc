package hammerman.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import hammerman.cell.CellType;
import hammerman.cell.Health;
import hammerman.circuit.Circuit;
import hammerman.design.SecondPack;
import hammerman.design.SecondPack.Joining;
import hammerman.finding.Station;
import hammerman.guard.Bms;
import hammerman.guard.Guard;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Objects;
import javafx.scene.Node;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Labeled;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;

/** Drives station Guard offscreen. */
class GuardingTest extends AtTheDesk {
  private Guard guard() {
    return desk.session.project().variant().guard();
  }

  @Test
  void oneActionFillsGuardAndIsUndone() {
    desk.example();
    desk.view(Station.GUARD, "parts");
    desk.type("#fuse-rating", "200");
    desk.type("#carries-for-long", "8");
    assertThat(desk.judgements()).contains("wire.overload", "bms.current");
    desk.view(Station.GUARD, "chain");
    desk.press("#suggest");
    assertThat(desk.judgements()).doesNotContain("wire.overload", "bms.current");
    assertThat(guard().fuse().orElseThrow().rating()).isEqualTo(50);
    desk.press("#choice-fuse");
    assertThat(String.join(" ", texts("#reasons"))).contains("Main fuse: 50 A", "Smaller:");
    desk.press("#undo");
    assertThat(guard().fuse().orElseThrow().rating()).isEqualTo(200);
  }

  @Test
  void whatIsLockedStays() {
    desk.example();
    desk.view(Station.GUARD, "chain");
    Desk.fx(
        () -> {
          desk.find("#lock-fuse", CheckBox.class).fire();
          return null;
        });
    desk.settle();
    assertThat(guard().locked()).containsExactly(Guard.Part.FUSE);
    desk.press("#suggest");
    assertThat(guard().fuse().orElseThrow().rating()).isEqualTo(60);
    desk.press("#undo");
    desk.press("#undo");
    assertThat(guard().locked()).isEmpty();
  }

  @Test
  void schoolsOfProtectionAndFusingAreChosenAndJudged() {
    desk.example();
    desk.view(Station.GUARD, "parts");
    choose("#bms", 2);
    assertThat(desk.judgements()).contains("bms.none");
    assertThat(desk.isShown("#bms-groups")).isFalse();
    choose("#bms", 0);
    assertThat(guard().protection().bms().orElseThrow().series()).isEqualTo(13);
    choose("#school", 2);
    assertThat(desk.judgements()).contains("fuse.none");
    choose("#school", 1);
    desk.type("#each-cell-s-fuse", "2");
    assertThat(desk.judgements()).contains("cellFuse.current").doesNotContain("fuse.none");
  }

  private void choose(String selector, int index) {
    Desk.fx(
        () -> {
          desk.find(selector, javafx.scene.control.ChoiceBox.class)
              .getSelectionModel()
              .select(index);
          return null;
        });
    desk.settle();
  }

  @Test
  void timeAndCurrentSaysWhetherTheOrderHolds() {
    desk.example();
    desk.view(Station.GUARD, "time");
    assertThat(desk.text("#time-current-verdict")).startsWith("Out of order: Strips");
    desk.view(Station.STACK, "field");
    choose("#as-sold", 8);
    desk.view(Station.GUARD, "time");
    desk.until(() -> desk.text("#time-current-verdict").startsWith("In order"));
    desk.view(Station.GUARD, "parts");
    desk.type("#fuse-rating", "20");
    desk.view(Station.GUARD, "time");
    assertThat(desk.text("#time-current-verdict")).startsWith("Out of order: Main fuse");
  }

  @Test
  void aMeasuredChargerIsJudgedPerCell() {
    desk.example();
    desk.view(Station.GUARD, "charging");
    desk.quiet();
    desk.type("#measured-volts", "54.5");
    assertThat(desk.text("#charger-verdict")).contains("4.192 V per cell", "Fine");
    desk.type("#measured-volts", "53.4");
    assertThat(desk.text("#charger-verdict")).contains("under-charges by about 10 %");
    desk.type("#measured-volts", "56");
    assertThat(desk.text("#charger-verdict")).contains("Do not use it", "do not open it");
    desk.type("#measured-volts", "many");
    assertThat(desk.text("#measured-volts")).isEqualTo("many");
  }

  @Test
  void aCeilingIsTakenOver() {
    desk.example();
    desk.view(Station.GUARD, "charging");
    desk.until(() -> desk.isShown("#ceiling-3"));
    assertThat(texts("#ceilings")).contains("Full only on the day", "To 80 %", "Life");
    desk.press("#ceiling-3");
    assertThat(guard().charge().voltage()).isEqualTo(52.52);
    assertThat(desk.session.project().duty().habits().storageSoc()).isEqualTo(0.8);
  }

  /** Two packs are both charged the way that is taken, and go as far as its row says. */
  @Test
  void aCeilingIsTakenOverByBothPacks() {
    desk.example();
    desk.joinSecond(SecondPack.Joining.PARALLEL);
    desk.view(Station.GUARD, "charging");
    desk.until(() -> desk.isShown("#ceiling-3"));
    desk.quiet();
    desk.press("#ceiling-3");
    SecondPack second = Objects.requireNonNull(desk.session.project().design().second());
    assertThat(second.guard().charge().voltage()).isEqualTo(52.52);
    assertThat(second.soc()).isEqualTo(0.8);
    assertThat(second.firstSoc()).isEqualTo(0.8);
  }

  @Test
  void theDiagramIsWritten() throws Exception {
    desk.example();
    desk.view(Station.GUARD, "wiring");
    desk.type("#switch-to-machine", "1.2 m");
    assertThat(desk.text("#wire-totals")).contains("1.72 m of 8.37 mm² copper, positive");
    Path file = home.resolve("wiring.svg");
    desk.lay(file);
    desk.press("#export-diagram");
    assertThat(Files.readString(file)).contains("<svg", "270mm", "1.32 m", "Pre-charge");
  }

  @Test
  void aSecondPackIsJoinedAndJudged() {
    desk.example();
    desk.view(Station.GUARD, "two");
    desk.press("#toggle-second");
    desk.until(() -> desk.text("#second-words").contains("Together they serve"));
    assertThat(texts("#second-facts")).contains("50 %");
    desk.type("#it-is-charged-to", "30");
    assertThat(desk.judgements()).contains("junction.gap");
    desk.until(() -> desk.text("#second-words").contains("a gap of 7.67 V"));
    choose("#joined", Joining.DIODES.ordinal());
    assertThat(desk.judgements()).doesNotContain("junction.gap");
    desk.type("#its-capacity-left", "80");
    CellType worn = Objects.requireNonNull(desk.session.project().variant().second()).pack().cell();
    assertThat(worn.health()).isEqualTo(new Health(0.8, 1));
    desk.press("#toggle-second");
    assertThat(desk.session.project().variant().second()).isNull();
    desk.press("#undo");
    assertThat(desk.session.project().variant().second()).isNotNull();
  }

  /** The first remedy in the rail cures the finding; undo brings it back. */
  @Test
  void aFindingIsCuredFromTheRailAndTakenBack() {
    desk.example();
    assertThat(desk.judgements()).contains("strip.current");
    desk.until(() -> desk.isShown("#remedy-strip-current-1"));
    assertThat(desk.text("#remedy-strip-current-1")).startsWith("Do this: ");
    assertThat(String.join(" ", texts("#judgement-strip-current")))
        .contains("margin −", "becomes +");
    desk.press("#remedy-strip-current-1");
    assertThat(desk.judgements()).doesNotContain("strip.current");
    desk.keys(KeyCode.CONTROL, KeyCode.Z);
    desk.until(() -> desk.judgements().contains("strip.current"));
    desk.until(() -> desk.isShown("#remedy-strip-current-1"));
    desk.keys(KeyCode.CONTROL, KeyCode.ENTER);
    desk.until(() -> !desk.judgements().contains("strip.current"));
    assertThat(desk.text("#message")).startsWith("Done: ");
  }

  /** Each pack is a pack: the second one's own fuse, BMS and charge lead are judged and mended. */
  @Test
  void aTwoPackDesignIsJudgedAsTwoPacks() {
    desk.example();
    desk.view(Station.GUARD, "two");
    desk.press("#toggle-second");
    choose("#joined", Joining.SERIES.ordinal());
    assertThat(desk.judgements())
        .contains("machine.voltage", "bms.voltage", "second.bms.voltage", "pack.touch");
    choose("#joined", Joining.DIODES.ordinal());
    assertThat(desk.judgements()).doesNotContain("machine.voltage", "second.bms.voltage");
    desk.press("#view-second-fuse");
    desk.type("#its-fuse-rating", "10");
    assertThat(desk.judgements()).contains("second.fuse.current").doesNotContain("fuse.current");
    desk.press("#view-second-bms");
    desk.type("#its-bms-groups", "14");
    assertThat(desk.judgements()).contains("second.bms.count");
    desk.until(() -> desk.isShown("#remedy-second-bms-count-1"));
    desk.press("#remedy-second-bms-count-1");
    assertThat(desk.judgements()).doesNotContain("second.bms.count");
    desk.view(Station.GUARD, "chain");
    Circuit circuit = Desk.fx(() -> desk.session.forecastProperty().get().circuit());
    assertThat(circuit.links()).filteredOn(l -> l.part().second()).hasSizeGreaterThan(5);
  }

  /** Every field of the second pack's guard writes there, and leaves the first as it is. */
  @Test
  void theFieldsOfTheSecondPackAreItsOwn() {
    desk.example();
    desk.view(Station.GUARD, "two");
    desk.press("#toggle-second");
    Guard first = guard();
    desk.press("#view-second-bms");
    desk.type("#its-opens-above", "77");
    desk.type("#its-resistance", "5");
    desk.type("#its-sensors", "4");
    Bms bms = second().protection().bms().orElseThrow();
    assertThat(bms.overCurrent()).isEqualTo(77);
    assertThat(bms.resistance()).isCloseTo(5e-3, within(1e-12));
    assertThat(bms.temperatureSensors()).isEqualTo(4);
    desk.press("#view-second-fuse");
    desk.type("#its-cross-section", "16");
    desk.type("#its-fuse-to-junction", "0.5");
    desk.type("#its-connector-pairs", "1");
    assertThat(second().wiring().wire().area()).isCloseTo(16e-6, within(1e-12));
    assertThat(second().wiring().leads().fuseToSwitch()).isEqualTo(0.5);
    assertThat(second().wiring().connectorPairs()).isEqualTo(1);
    desk.press("#view-second-charge");
    desk.type("#its-charger-gives", "3");
    desk.type("#its-charge-wire", "4");
    choose("#its-charge-fuse", 0);
    assertThat(second().charge().current()).isEqualTo(3);
    assertThat(second().chargePort().wire().area()).isCloseTo(4e-6, within(1e-12));
    assertThat(second().chargePort().fuse()).isNull();
    assertThat(desk.judgements()).contains("second.chargeFuse.none");
    assertThat(guard()).isEqualTo(first);
    desk.type("#its-charger-gives", "a lot");
    assertThat(desk.text("#its-charger-gives")).isEqualTo("a lot");
    assertThat(second().charge().current()).isEqualTo(3);
    desk.press("#undo");
    assertThat(second().chargePort().fuse()).isNotNull();
  }

  private Guard second() {
    return Objects.requireNonNull(desk.session.project().variant().second()).guard();
  }

  /** Asking for the other ways shows them; any of them may be taken. */
  @Test
  void anotherWayIsTakenFromTheRail() {
    desk.example();
    desk.until(() -> desk.isShown("#more-strip-current"));
    assertThat(desk.isShown("#remedy-strip-current-2")).isFalse();
    desk.press("#more-strip-current");
    desk.until(() -> desk.isShown("#remedy-strip-current-2"));
    assertThat(desk.text("#remedy-strip-current-2")).isNotBlank();
    desk.press("#remedy-strip-current-2");
    assertThat(desk.judgements()).doesNotContain("strip.current");
    desk.press("#undo");
    assertThat(desk.judgements()).contains("strip.current");
  }

  /** What a larger charger would do is said in a few words, all of them within the page. */
  @Test
  void chargersAreTriedOnTheWholeChargeSide() {
    desk.example();
    desk.view(Station.GUARD, "charging");
    desk.quiet();
    assertThat(everyWord())
        .contains("the charge fuse may blow while charging", "within the standard charge");
    assertThat(desk.outside()).isEmpty();
    assertThat(desk.pageScrolls()).isFalse();
    desk.view(Station.GUARD, "parts");
    desk.type("#charge-fuse-rating", "30");
    desk.view(Station.GUARD, "charging");
    desk.quiet();
    assertThat(everyWord()).doesNotContain("the charge fuse may blow while charging");
  }

  private List<String> everyWord() {
    return Desk.fx(
        () ->
            desk.stage.getScene().getRoot().lookupAll(".label").stream()
                .map(n -> ((Labeled) n).getText())
                .toList());
  }

  @Test
  void aPartOfTheChainIsOpenedByMouseAndByKeys() {
    desk.example();
    desk.view(Station.GUARD, "chain");
    desk.until(() -> desk.text("#part-title").startsWith("Cells"));
    Desk.fx(
        () -> {
          desk.find("#chain-picture", Node.class).requestFocus();
          return null;
        });
    desk.keys(KeyCode.DOWN);
    desk.until(() -> desk.text("#part-title").startsWith("Strips"));
    for (int k = 0; k < 4; k++) {
      desk.keys(KeyCode.DOWN);
    }
    desk.until(() -> desk.text("#part-title").startsWith("Main wire"));
    assertThat(desk.text("#part-guarded"))
        .contains("60 A fuse")
        .contains("nothing stands behind that");
    assertThat(texts("#part-rows")).anyMatch(t -> t.contains("short circuit"));
    desk.keys(KeyCode.UP);
    desk.until(() -> desk.text("#part-title").startsWith("Switch"));
  }

  @Test
  void theChargeSideHasItsOwnFuseAndPlug() {
    desk.example();
    desk.view(Station.GUARD, "parts");
    choose("#charge-fuse", 0);
    assertThat(desk.judgements()).contains("chargeFuse.none");
    assertThat(desk.isShown("#charge-fuse-rating")).isFalse();
    choose("#charge-fuse", 4);
    assertThat(desk.judgements()).doesNotContain("chargeFuse.none");
    assertThat(Objects.requireNonNull(guard().chargePort().fuse()).rating()).isEqualTo(15);
    desk.type("#before-its-fuse", "1.5 m");
    assertThat(desk.judgements()).contains("chargeLead.length");
    desk.view(Station.GUARD, "charging");
    choose("#charger", 3);
    assertThat(desk.judgements()).contains("charger.match");
    desk.type("#tolerance", "2 %");
    assertThat(desk.judgements()).contains("cell.overcharge");
  }

  @Test
  void whatStandsAndWaitsIsAskedAndJudged() {
    desk.example();
    desk.view(Station.GUARD, "parts");
    desk.type("#draws-itself", "300 mA");
    assertThat(desk.judgements()).contains("pack.days");
    desk.view(Station.DUTY, "machine");
    desk.view(Station.DUTY, "use");
    desk.type("#longest-rest", "2");
    assertThat(desk.judgements()).doesNotContain("pack.days");
    desk.type("#hottest-charging", "50");
    assertThat(desk.judgements()).contains("cell.chargeHot");
    desk.view(Station.STACK, "field");
    choose("#cells-are-of", 2);
    assertThat(desk.judgements()).contains("cell.lot");
  }

  @Test
  void aReadyMadeBatteryIsKeptInTheProjectAndJudged() {
    desk.example();
    desk.view(Station.GUARD, "ready");
    desk.press("#ready-keep");
    assertThat(desk.judgements()).contains("readyMade.match");
    desk.until(() -> desk.isShown("#remedy-readyMade-match-1"));
    desk.press("#remedy-readyMade-match-1");
    assertThat(desk.judgements()).doesNotContain("readyMade.match");
    assertThat(desk.session.project().variant().readyMade()).isNotNull();
    desk.press("#ready-keep");
    assertThat(desk.session.project().variant().readyMade()).isNull();
  }

  @Test
  void aReadyMadeBatteryIsHelpedByARamp() {
    desk.example();
    desk.view(Station.GUARD, "ready");
    desk.until(() -> desk.text("#ready-words").contains("A ramp of"));
    assertThat(texts("#ready-facts")).contains("trips, current", "runs");
    desk.type("#ready-trips-above", "300");
    desk.until(() -> desk.text("#ready-words").contains("stands the hard start"));
  }

  @Test
  void aJudgementIsAcknowledgedWithAReasonAndStays() {
    desk.example();
    desk.press("#unfold-duty-shortWhenWorn");
    desk.press("#acknowledge-duty-shortWhenWorn");
    desk.type("#reason", "A spare pack lies ready");
    desk.until(() -> texts("#rail-list").contains("Acknowledged: A spare pack lies ready"));
    assertThat(desk.judgements()).contains("duty.shortWhenWorn");
    desk.keys(KeyCode.CONTROL, KeyCode.Z);
    desk.until(() -> desk.isShown("#acknowledge-duty-shortWhenWorn"));
  }

  /** The words of a judgement follow the design; what is half typed in its card stays. */
  @Test
  void aReasonThatIsBeingTypedOutlivesAnEdit() {
    desk.example();
    desk.press("#unfold-duty-shortWhenWorn");
    desk.press("#acknowledge-duty-shortWhenWorn");
    TextField reason = desk.find("#reason", TextField.class);
    Desk.fx(
        () -> {
          reason.requestFocus();
          reason.setText("A spare pack");
          return null;
        });
    List<String> before = texts("#judgement-duty-shortWhenWorn");
    Desk.fx(
        () -> {
          desk.session.editDesign(
              "Colder",
              Station.DUTY,
              d ->
                  d.withDuty(
                      d.duty().withSurroundings(d.duty().surroundings().withColdestInUse(277.15))));
          return null;
        });
    desk.quiet();
    assertThat(texts("#judgement-duty-shortWhenWorn")).isNotEqualTo(before);
    assertThat(desk.find("#reason", TextField.class)).isSameAs(reason);
    assertThat(reason.getText()).isEqualTo("A spare pack");
    assertThat(reason.isFocused()).isTrue();
    desk.type("#reason", "A spare pack lies ready");
    desk.until(() -> texts("#rail-list").contains("Acknowledged: A spare pack lies ready"));
  }
}
