package hammerman.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.argThat;
import static org.mockito.ArgumentMatchers.eq;
import static org.mockito.Mockito.verify;

import hammerman.finding.Station;
import hammerman.store.ProjectFile;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What the window asks for files, and what it does with the answers, or without one. */
class FilesTest extends AtTheDesk {
  @TempDir Path folder;

  @Test
  void aNameIsAskedForOnceAndIsThePacksOwn() {
    desk.example();
    desk.keys(KeyCode.CONTROL, KeyCode.S);
    verify(desk.files).save(any(), any(), eq("Terrace barrow.hammerman"));
    assertThat(desk.text("#kept")).as("no answer changes nothing").isEqualTo("No changes yet");
    desk.lay(folder.resolve("barrow"));
    desk.keys(KeyCode.CONTROL, KeyCode.S);
    desk.until(() -> desk.text("#kept").startsWith("barrow.hammerman"));
    assertThat(folder.resolve("barrow.hammerman")).exists();
    desk.keys(KeyCode.CONTROL, KeyCode.S);
    assertThat(desk.text("#message")).contains("there is nothing left to save");
  }

  @Test
  void aCopyIsACopyAndTheWorkGoesOnWhereItWas() throws Exception {
    desk.example();
    desk.lay(folder.resolve("barrow.hammerman"));
    desk.keys(KeyCode.CONTROL, KeyCode.S);
    desk.until(() -> desk.text("#kept").startsWith("barrow"));
    desk.lay(folder.resolve("spare.hammerman"));
    desk.command("keep a copy");
    desk.until(() -> desk.text("#message").contains("A copy is in spare.hammerman"));
    verify(desk.files).save(eq("Keep a copy as"), any(), eq("Terrace barrow, copy.hammerman"));
    desk.go(Station.STACK);
    desk.type("#in-parallel", "7");
    desk.kept();
    assertThat(desk.text("#kept")).startsWith("barrow");
    assertThat(parallel(folder.resolve("spare.hammerman"))).isEqualTo(6);
  }

  @Test
  void aDesignIsExportedAsABareDocumentAndOpenedAgain() throws Exception {
    desk.example();
    Path document = folder.resolve("barrow.json");
    desk.lay(document);
    desk.command("export the design");
    desk.until(() -> desk.text("#message").equals("Exported barrow.json."));
    verify(desk.files).save(any(), argThat(k -> k.patterns().contains("*.json")), any());
    assertThat(parallel(document)).isEqualTo(6);
    desk.go(Station.STACK);
    desk.type("#in-parallel", "9");
    desk.keys(KeyCode.CONTROL, KeyCode.O);
    desk.until(() -> desk.text("#counts").equals("13S6P"));
    assertThat(desk.text("#message")).contains("barrow.json");
  }

  @Test
  void partsOfOnesOwnAreTakenInOrRefusedWithTheReason() throws IOException {
    Path parts = folder.resolve("parts.json");
    Files.writeString(parts, "{\"strips\": 5}");
    desk.lay(parts);
    desk.command("parts of your own");
    desk.until(() -> desk.isShown("#trouble"));
    assertThat(desk.text("#trouble")).contains("parts.json");
    desk.press("#close-trouble");
    assertThat(desk.isShown("#trouble")).isFalse();
  }

  /** Newer trouble takes the place of older, so that it does not pile up. */
  @Test
  void troubleIsSaidOnceAndGoesWhenAFileIsOpened() throws IOException {
    desk.example();
    desk.openFile(folder.resolve("nowhere.hammerman"));
    assertThat(desk.text("#trouble")).contains("nowhere.hammerman");
    Path words = Files.writeString(folder.resolve("words.json"), "not a design");
    Desk.fx(
        () -> {
          desk.frame.open(words);
          return null;
        });
    desk.until(() -> desk.text("#trouble").contains("words.json"));
    assertThat(texts(".root")).noneMatch(t -> t.contains("nowhere.hammerman"));
    assertThat(desk.text("#counts")).as("the work at hand stays").isEqualTo("13S6P");
    desk.lay(folder.resolve("good.json"));
    desk.command("export the design");
    desk.openFile(folder.resolve("good.json"));
    assertThat(desk.isShown("#trouble")).isFalse();
  }

  private static int parallel(Path file) throws IOException {
    return ProjectFile.read(file).variant().pack().parallel();
  }
}
