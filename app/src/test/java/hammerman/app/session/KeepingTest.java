package hammerman.app.session;

import static org.assertj.core.api.Assertions.assertThat;

import hammerman.project.Project;
import hammerman.project.ProjectFile;
import hammerman.project.Shipped;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What is remembered: history, recovery copies, settings. */
class KeepingTest {
  @TempDir Path folder;

  /** Edits, waits until a copy must be written, and dies without ending anything. */
  static final class Dies {
    private Dies() {}

    public static void main(String[] args) throws InterruptedException {
      Recovery recovery = new Recovery(Path.of(args[0]));
      recovery.keep(Shipped.terraceBarrow().withName("Cut short"), Path.of(args[1]));
      Thread.sleep(3500);
      Runtime.getRuntime().halt(137);
    }
  }

  @Test
  void aKilledProgramsWorkIsFoundWithWhereItCameFrom() throws Exception {
    Path home = folder.resolve("recovery");
    Process process =
        new ProcessBuilder(
                Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                "-cp",
                System.getProperty("java.class.path"),
                Dies.class.getName(),
                home.toString(),
                "somewhere/barrow.hammerman")
            .redirectErrorStream(true)
            .start();
    process.getInputStream().readAllBytes();
    assertThat(process.waitFor(30, TimeUnit.SECONDS)).isTrue();
    assertThat(process.exitValue()).isEqualTo(137);
    Recovery next = new Recovery(home);
    List<Recovery.Found> left = next.left();
    assertThat(left).hasSize(1);
    assertThat(left.getFirst().origin()).isEqualTo(Path.of("somewhere/barrow.hammerman"));
    assertThat(ProjectFile.read(left.getFirst().copy()).name()).isEqualTo("Cut short");
    next.discard(left.getFirst());
    assertThat(next.left()).isEmpty();
    try (var files = Files.list(home)) {
      assertThat(files).isEmpty();
    }
  }

  @Test
  void aRunningProgramsCopyIsNotOffered() throws Exception {
    Recovery own = new Recovery(folder, ProcessHandle.current().pid(), 1);
    own.keep(Shipped.starter(), null);
    TimeUnit.MILLISECONDS.sleep(500);
    assertThat(folder.resolve(ProcessHandle.current().pid() + ".hammerman")).exists();
    assertThat(own.left()).isEmpty();
    own.clear();
    assertThat(folder.resolve(ProcessHandle.current().pid() + ".hammerman")).doesNotExist();
  }

  @Test
  void onlyTheNewestEditIsWritten() throws Exception {
    Recovery recovery = new Recovery(folder, 999_999_997L, 150);
    Project project = Shipped.starter();
    for (int k = 0; k < 5; k++) {
      recovery.keep(project.withName("Edit " + k), null);
    }
    TimeUnit.MILLISECONDS.sleep(900);
    assertThat(ProjectFile.read(folder.resolve("999999997.hammerman")).name()).isEqualTo("Edit 4");
    recovery.close();
  }

  @Test
  void historyGoesBackAndForthAndForgetsWhatWasOvertaken() {
    History<String> history = new History<>();
    history.push("first", "a");
    history.push("second", "b");
    assertThat(history.undoable()).contains("second");
    assertThat(history.undo("c").orElseThrow().state()).isEqualTo("b");
    assertThat(history.redoable()).contains("second");
    assertThat(history.redo("b").orElseThrow().state()).isEqualTo("c");
    history.undo("c");
    history.push("third", "b");
    assertThat(history.redo("d")).isEmpty();
    assertThat(history.undo("d").orElseThrow().state()).isEqualTo("b");
    assertThat(history.undo("b").orElseThrow().state()).isEqualTo("a");
    assertThat(history.undo("a")).isEmpty();
  }

  @Test
  void settingsAreReadBack() {
    Settings settings = new Settings(folder);
    settings.put("width", 1440.5);
    settings.put("theme", "night");
    for (int k = 0; k < 12; k++) {
      settings.addRecent(folder.resolve("pack" + k + ".hammerman"));
    }
    settings.addRecent(folder.resolve("pack5.hammerman"));
    settings.save();
    Settings again = new Settings(folder);
    assertThat(again.number("width", 0)).isEqualTo(1440.5);
    assertThat(again.text("theme", "day")).isEqualTo("night");
    assertThat(again.recent()).hasSize(8);
    assertThat(again.recent().getFirst())
        .isEqualTo(folder.resolve("pack5.hammerman").toAbsolutePath());
    assertThat(again.text("folder", "")).isEqualTo(folder.toAbsolutePath().toString());
  }

  @Test
  void unreadableSettingsCountAsNone() throws IOException {
    Files.writeString(folder.resolve("settings.properties"), "width=\\u00zz");
    Settings settings = new Settings(folder);
    assertThat(settings.number("width", 7)).isEqualTo(7);
  }
}
