package hammerman.app;

import static org.assertj.core.api.Assertions.assertThat;

import hammerman.finding.Station;
import hammerman.project.ProjectDocument;
import hammerman.project.Shipped;
import hammerman.store.DesignState;
import hammerman.store.ProjectFile;
import hammerman.store.ProjectStore;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import javafx.application.Platform;
import javafx.scene.control.ListView;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Nothing typed is lost: the work is kept as it goes, over restarts, in one file. */
class KeptTest extends AtTheDesk {
  private static final Instant NOON = Instant.parse("2026-06-01T12:00:00Z");

  @TempDir Path folder;

  private Desk again() {
    desk.close();
    desk = Desk.fx(() -> Desk.open(new Stage(), home));
    desk.settle();
    return desk;
  }

  private void nameAs(Path file) {
    Desk.fx(
        () -> {
          desk.frame.nameAs(file);
          return null;
        });
    desk.until(() -> desk.text("#message").startsWith("Kept as"));
  }

  private void parallel(int... counts) {
    desk.go(Station.STACK);
    for (int p : counts) {
      desk.type("#in-parallel", Integer.toString(p));
    }
    desk.kept();
  }

  @Test
  void aNamedPackIsKeptAsOneGoesAndUndoReachesBackOverARestart() throws IOException {
    desk.example();
    Path file = folder.resolve("barrow.hammerman");
    nameAs(file);
    parallel(7, 8, 9);
    assertThat(desk.text("#kept")).startsWith("barrow.hammerman · kept ");
    // As another program sees it at this moment, without anything having been saved.
    assertThat(ProjectFile.read(file).variant().pack().parallel()).isEqualTo(9);
    again();
    desk.openFile(file);
    assertThat(desk.text("#counts")).isEqualTo("13S9P");
    desk.keys(KeyCode.CONTROL, KeyCode.Z);
    desk.keys(KeyCode.CONTROL, KeyCode.Z);
    assertThat(desk.text("#counts")).isEqualTo("13S7P");
    desk.kept();
    again();
    desk.openFile(file);
    assertThat(desk.text("#counts")).isEqualTo("13S7P");
    desk.keys(KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.Z);
    assertThat(desk.text("#counts")).isEqualTo("13S8P");
    try (var files = Files.list(folder)) {
      assertThat(files.map(f -> f.getFileName().toString()).filter(f -> !f.startsWith(".")))
          .contains("barrow.hammerman");
    }
  }

  @Test
  void aPackWithoutANameIsOfferedAtTheNextStartAndCanBeThrownAwayAndBroughtBack() {
    desk.example();
    parallel(11);
    assertThat(desk.text("#kept")).startsWith("No name yet · kept ");
    again();
    desk.until(() -> desk.isShown("#offer"));
    assertThat(desk.text("#offer .label")).contains("“Terrace barrow”, 13S11P, last changed");
    desk.press("#discard-recovered");
    desk.until(() -> desk.isShown("#bring-back"));
    desk.press("#bring-back");
    desk.until(() -> desk.isShown("#recover"));
    desk.press("#recover");
    desk.until(() -> desk.text("#counts").equals("13S11P"));
    desk.keys(KeyCode.CONTROL, KeyCode.Z);
    assertThat(desk.text("#counts")).isEqualTo("13S6P");
    nameAs(folder.resolve("found.hammerman"));
    again();
    assertThat(desk.isShown("#offer")).isFalse();
  }

  @Test
  void aMarkIsSetByKeysAndComeBackTo() {
    desk.example();
    parallel(8);
    desk.keys(KeyCode.CONTROL, KeyCode.B);
    TextField name = desk.find("#asked", TextField.class);
    Desk.fx(
        () -> {
          name.setText("before the strips were cut");
          return null;
        });
    desk.keys(KeyCode.ENTER);
    parallel(5);
    desk.keys(KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.B);
    ListView<?> list = desk.find("#palette-list", ListView.class);
    assertThat(list.getItems()).singleElement().asString().contains("before the strips were cut");
    desk.keys(KeyCode.ENTER);
    desk.until(() -> desk.text("#counts").equals("13S8P"));
    desk.keys(KeyCode.CONTROL, KeyCode.Z);
    assertThat(desk.text("#counts")).isEqualTo("13S5P");
  }

  @Test
  void aSecondWindowIsToldAndLooksAndItsChangesGoOnInACopy() throws Exception {
    Path file = folder.resolve("shared.hammerman");
    try (ProjectStore other =
        ProjectStore.create(
            file, DesignState.of(1, NOON, Station.DUTY, "First", Shipped.terraceBarrow()), NOON)) {
      desk.openFile(file);
      assertThat(desk.text("#trouble")).contains("is being worked on in another window");
      desk.press("#look");
      desk.until(() -> desk.text("#kept").contains("only to look at"));
      assertThat(desk.text("#pack-name")).isEqualTo("Terrace barrow");
      parallel(4);
      desk.until(() -> desk.text("#kept").startsWith("No name yet"));
      assertThat(desk.text("#trouble")).contains("your changes go on in a copy");
      assertThat(other.design().present().project().variant().pack().parallel()).isEqualTo(6);
    }
    desk.openFile(file);
    assertThat(desk.text("#counts")).isEqualTo("13S6P");
  }

  @Test
  void aFileDeletedUnderTheWindowIsSaidAndTheWorkGoesOn() throws IOException {
    desk.example();
    Path file = folder.resolve("gone.hammerman");
    nameAs(file);
    parallel(7);
    Files.delete(file);
    parallel(8);
    desk.until(() -> desk.text("#kept").startsWith("No name yet"));
    assertThat(desk.text("#trouble")).contains("gone.hammerman was moved, deleted or replaced");
    Path rescued = folder.resolve("rescued.hammerman");
    nameAs(rescued);
    again();
    desk.openFile(rescued);
    assertThat(desk.text("#counts")).isEqualTo("13S8P");
    desk.keys(KeyCode.CONTROL, KeyCode.Z);
    assertThat(desk.text("#counts")).as("with all it held before").isEqualTo("13S7P");
  }

  @Test
  void aFileWrittenOverUnderTheWindowIsSaidAndTheDesignGoesOn() throws IOException {
    desk.example();
    Path file = folder.resolve("over.hammerman");
    nameAs(file);
    parallel(7);
    byte[] other = new byte[(int) Files.size(file)];
    Files.write(file, other);
    parallel(8);
    desk.until(() -> desk.text("#kept").startsWith("No name yet"));
    assertThat(desk.text("#trouble"))
        .contains("has written over over.hammerman", "The design goes on", "look for a copy");
    assertThat(desk.text("#counts")).isEqualTo("13S8P");
    assertThat(Files.readAllBytes(file)).as("left as it is").isEqualTo(other);
    Path rescued = folder.resolve("rescued.hammerman");
    nameAs(rescued);
    again();
    desk.openFile(rescued);
    assertThat(desk.text("#counts")).isEqualTo("13S8P");
  }

  @Test
  void aPackThatGotANameCanBeBroughtBackWithoutIt() {
    desk.example();
    parallel(7);
    nameAs(folder.resolve("named.hammerman"));
    parallel(9);
    desk.command("Bring back a thrown-away pack");
    desk.until(() -> desk.isShown("#palette-list"));
    assertThat(texts("#palette-list").toString()).contains("thrown away");
    desk.keys(KeyCode.ENTER);
    desk.until(() -> desk.text("#counts").equals("13S7P"));
    assertThat(desk.text("#kept")).startsWith("No name yet");
  }

  @Test
  void aDamagedFileIsSaidTheWorkStaysAndWhatCanBeReadIsTaken() throws IOException {
    desk.example();
    Path file = folder.resolve("broken.hammerman");
    nameAs(file);
    parallel(7, 8);
    again();
    byte[] whole = Files.readAllBytes(file);
    Arrays.fill(whole, whole.length / 2, whole.length / 2 + 8192, (byte) 0x5a);
    Files.write(file, whole);
    desk.openFile(file);
    assertThat(desk.text("#trouble")).contains("broken.hammerman is damaged");
    desk.press("#salvage");
    desk.until(() -> desk.text("#message").contains("Read ") || desk.isShown("#trouble"));
    assertThat(Files.readAllBytes(file)).isEqualTo(whole);
  }

  @Test
  void filesOfEarlierVersionsAreTurnedOverAndBareDocumentsTakenIn() throws IOException {
    Path old = folder.resolve("old.hammerman");
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    try (ZipOutputStream zip = new ZipOutputStream(bytes)) {
      zip.putNextEntry(new ZipEntry("project.json"));
      zip.write(ProjectDocument.bytes(Shipped.terraceBarrow().withName("Old barrow")));
      zip.closeEntry();
    }
    Files.write(old, bytes.toByteArray());
    desk.openFile(old);
    assertThat(desk.text("#pack-name")).isEqualTo("Old barrow");
    assertThat(desk.text("#message")).contains("left as it is", "old 2.hammerman");
    parallel(9);
    assertThat(Files.readAllBytes(old)).isEqualTo(bytes.toByteArray());
    assertThat(ProjectFile.read(folder.resolve("old 2.hammerman")).variant().pack().parallel())
        .isEqualTo(9);
    Path bare = folder.resolve("bare.json");
    Files.write(bare, ProjectDocument.bytes(Shipped.terraceBarrow().withName("Bare")));
    desk.openFile(bare);
    assertThat(desk.text("#pack-name")).isEqualTo("Bare");
    parallel(4);
    assertThat(desk.text("#kept")).startsWith("No name yet");
    assertThat(ProjectFile.read(bare).variant().pack().parallel()).isEqualTo(6);
  }

  @Test
  void aNewProjectTeachesWhereToBeginAgain() {
    desk.example();
    parallel(7);
    desk.keys(KeyCode.CONTROL, KeyCode.N);
    desk.go(Station.DUTY);
    assertThat(desk.isShown("#load-example")).isTrue();
    assertThat(desk.text("#message")).contains("stays among the packs without a name");
  }

  @Test
  void aNoteMakesNoForecastAndARefusedEditIsSaidInWords() {
    desk.example();
    var before = Desk.fx(() -> desk.session.forecastProperty().get());
    Desk.fx(
        () -> {
          desk.session.edit("Name", Station.DUTY, p -> p.withName("Renamed"));
          return null;
        });
    desk.settle();
    assertThat(Desk.fx(() -> desk.session.forecastProperty().get())).isSameAs(before);
    Desk.fx(
        () -> {
          Platform.runLater(
              () ->
                  desk.session.editDesign("Counts", Station.STACK, d -> d.withCounts(100_000, 1)));
          return null;
        });
    desk.until(() -> desk.isShown("#trouble"));
    assertThat(desk.text("#trouble")).startsWith("Not done: Series count is 100000");
    assertThat(List.of(desk.text("#counts"))).containsExactly("13S6P");
  }
}
