package hammerman.app;

import static org.assertj.core.api.Assertions.assertThat;

import hammerman.cell.CellType;
import hammerman.cell.Health;
import hammerman.design.SecondPack.Joining;
import hammerman.finding.Station;
import hammerman.guard.Guard;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Objects;
import javafx.scene.control.CheckBox;
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
    assertThat(desk.judgements()).contains("fuse.unprotected", "bms.continuous");
    desk.view(Station.GUARD, "chain");
    desk.press("#suggest");
    assertThat(desk.judgements()).doesNotContain("fuse.unprotected", "bms.continuous");
    assertThat(guard().fuse().orElseThrow().rating()).isEqualTo(50);
    assertThat(String.join(" ", texts("#reasons")))
        .contains("Main fuse: 50 A bolt-down", "Smaller:");
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
    assertThat(desk.judgements()).contains("fuse.cellSmall").doesNotContain("fuse.none");
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
    assertThat(desk.text("#time-current-verdict")).startsWith("In order");
    desk.view(Station.GUARD, "parts");
    desk.type("#fuse-rating", "20");
    desk.view(Station.GUARD, "time");
    assertThat(desk.text("#time-current-verdict")).contains("it may blow in use");
  }

  @Test
  void aMeasuredChargerIsJudgedPerCell() {
    desk.example();
    desk.view(Station.GUARD, "charging");
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

  @Test
  void theDiagramIsWritten() throws Exception {
    desk.example();
    desk.view(Station.GUARD, "wiring");
    desk.type("#switch-to-machine", "1.2 m");
    assertThat(desk.text("#wire-totals")).contains("1.72 m of 8.37 mm² copper, positive");
    Path file = home.resolve("wiring.svg");
    desk.files.lay(file);
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
    assertThat(desk.judgements()).contains("second.gap");
    desk.until(() -> desk.text("#second-words").contains("a gap of 7.67 V"));
    choose("#joined", Joining.DIODES.ordinal());
    assertThat(desk.judgements()).doesNotContain("second.gap");
    desk.type("#its-capacity-left", "80");
    CellType worn = Objects.requireNonNull(desk.session.project().variant().second()).pack().cell();
    assertThat(worn.health()).isEqualTo(new Health(0.8, 1));
    desk.press("#toggle-second");
    assertThat(desk.session.project().variant().second()).isNull();
    desk.press("#undo");
    assertThat(desk.session.project().variant().second()).isNotNull();
  }

  @Test
  void aReadyMadeBatteryIsHelpedByARamp() {
    desk.example();
    desk.view(Station.GUARD, "ready");
    desk.until(() -> desk.text("#ready-words").contains("A ramp of"));
    assertThat(texts("#ready-facts")).contains("trips, current", "trips, voltage", "runs");
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
}
