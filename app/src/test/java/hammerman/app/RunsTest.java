package hammerman.app;

import static org.assertj.core.api.Assertions.assertThat;

import hammerman.finding.Station;
import hammerman.project.UnreadableProject;
import hammerman.store.ProjectStore;
import java.io.BufferedWriter;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import javafx.scene.control.TableView;
import javafx.scene.control.TextField;
import javafx.scene.input.Clipboard;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Logs are taken in whole, listed, drawn at any zoom and struck out, and survive a restart. */
class RunsTest extends AtTheDesk {
  @TempDir Path folder;

  private Path log() throws IOException {
    Path file = folder.resolve("terraces.csv");
    try (BufferedWriter out = Files.newBufferedWriter(file)) {
      out.write("Time (s);Voltage (V);Current (A);Wind (m/s)\n");
      for (int k = 0; k < 30_000; k++) {
        out.write(
            "%d;%d,%d;%d;%d\n"
                .formatted(k, 48 + k % 3, k % 10, k / 500 % 2 == 0 ? 20 : 4, k % 100));
      }
    }
    return file;
  }

  private void takeIn() throws IOException {
    desk.lay(log());
    desk.view(Station.DUTY, "task");
    desk.press("#task-log");
    desk.press("#choose-log");
    desk.press("#use-log");
    desk.until(() -> desk.text("#log-source").contains("terraces.csv"));
  }

  @Test
  void aLogIsKeptWholeWithAllItsChannelsAndTheDutyIsAReadingOfIt()
      throws IOException, UnreadableProject {
    desk.example();
    takeIn();
    Path file = folder.resolve("barrow.hammerman");
    Desk.fx(
        () -> {
          desk.frame.nameAs(file);
          return null;
        });
    desk.until(() -> desk.text("#kept").startsWith("barrow"));
    desk.view(Station.PROVE, "runs");
    TableView<?> table = desk.find("#runs", TableView.class);
    desk.until(() -> Desk.fx(() -> table.getItems().size()) == 1);
    assertThat(Desk.fx(() -> table.getColumns().get(0).getCellData(0))).isEqualTo("terraces");
    assertThat(Desk.fx(() -> table.getColumns().get(2).getCellData(0)))
        .as("worked out of the log as it came in")
        .asString()
        .endsWith("Wh");
    Desk.fx(
        () -> {
          table.requestFocus();
          table.getSelectionModel().select(0);
          return null;
        });
    desk.until(() -> desk.isShown("#channel-3"));
    assertThat(desk.text("#channel-3")).isEqualTo("Wind");
    desk.keys(KeyCode.CONTROL, KeyCode.C);
    assertThat(Desk.fx(() -> Clipboard.getSystemClipboard().getString()))
        .startsWith("Run\tWhen\tEnergy")
        .contains("terraces\t");
    TextField reason = desk.find("#strike-reason", TextField.class);
    Desk.fx(
        () -> {
          reason.setText("wheel was slipping");
          return null;
        });
    desk.press("#strike-run");
    desk.until(
        () ->
            String.valueOf(Desk.fx(() -> table.getColumns().get(5).getCellData(0)))
                .contains("wheel was slipping"));
    desk.close();
    try (ProjectStore store = ProjectStore.look(file)) {
      long run = store.runBook().runs(0, 1).getFirst().id();
      assertThat(store.runBook().samples(run)).isEqualTo(30_000);
      assertThat(store.runBook().raw(run, 3, 29_990, 10)).startsWith(90);
      assertThat(store.runBook().raw(run, 1, 0, 12))
          .as("as the file has it")
          .startsWith(48.0, 49.1, 50.2);
      assertThat(store.runBook().runs(0, 1).getFirst().counts()).isFalse();
      assertThat(store.design().present().project().duty().task().load().duration())
          .isBetween(29_900.0, 30_100.0);
    }
    desk = Desk.fx(() -> Desk.open(new Stage(), home));
  }

  @Test
  void undoingTheDutyLeavesTheRunInTheRecord() throws IOException {
    desk.example();
    takeIn();
    desk.press("#undo");
    desk.view(Station.PROVE, "runs");
    TableView<?> table = desk.find("#runs", TableView.class);
    desk.until(() -> Desk.fx(() -> table.getItems().size()) == 1);
    desk.keys(KeyCode.CONTROL, KeyCode.N);
    desk.view(Station.PROVE, "runs");
    desk.until(() -> Desk.fx(() -> table.getItems().isEmpty()));
    assertThat(List.of(desk.text("#kept"))).containsExactly("No changes yet");
  }
}
