package hammerman.app.session;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import hammerman.cell.CellLibrary;
import hammerman.cell.CellType;
import hammerman.finding.Station;
import hammerman.project.CellFile;
import hammerman.project.Project;
import hammerman.project.Shipped;
import hammerman.project.UnreadableProject;
import hammerman.store.DesignState;
import hammerman.store.Line;
import hammerman.store.OwnStore;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What is remembered: history, settings, the builder's own cells and parts. */
class KeepingTest {
  private static final Clock CLOCK =
      Clock.fixed(Instant.parse("2026-06-01T12:00:00Z"), ZoneOffset.UTC);

  @TempDir Path folder;

  private static Project named(String name) {
    return Shipped.starter().withName(name);
  }

  private static Optional<String> name(Optional<History.Gone> gone) {
    return gone.map(g -> g.project().name());
  }

  @Test
  void historyGoesBackAndForthAndForgetsWhatWasOvertaken() throws UnreadableProject {
    History history = new History();
    history.begin(named("a"));
    assertThat(history.undoable()).isEmpty();
    assertThat(history.push("first", named("b"))).isEqualTo(2);
    history.push("second", named("c"));
    assertThat(history.undoable()).contains("second");
    assertThat(name(history.undo())).contains("b");
    assertThat(history.redoable()).contains("second");
    assertThat(name(history.redo())).contains("c");
    assertThat(name(history.undo())).contains("b");
    assertThat(history.push("third", named("d"))).as("numbers are never used again").isEqualTo(4);
    assertThat(history.redo()).isEmpty();
    assertThat(name(history.undo())).contains("b");
    assertThat(name(history.undo())).contains("a");
    assertThat(history.undo()).isEmpty();
    assertThat(history.id()).isEqualTo(1);
  }

  @Test
  void whatAFileHoldsIsGoneBackToWhenAskedAndADamagedStateIsSaid() throws UnreadableProject {
    List<DesignState> states = new ArrayList<>();
    for (int k = 1; k <= 3; k++) {
      states.add(
          DesignState.of(k, CLOCK.instant(), Station.DUTY, "Edit " + k, named("state " + k)));
    }
    states.set(0, new DesignState(1, CLOCK.instant(), Station.DUTY, "Edit 1", "{ broken"));
    History history = new History();
    history.begin(new Line(states, 2), named("state 3"));
    history.reserve(7);
    assertThat(name(history.undo())).contains("state 2");
    assertThatThrownBy(history::undo).isInstanceOf(UnreadableProject.class);
    assertThat(history.id()).as("it stays where it can be").isEqualTo(2);
    assertThat(history.push("next", named("n"))).isEqualTo(8);
  }

  @Test
  void settingsAreReadBackAndOnlyGoodOnesCount() {
    try (OwnStore own = OwnStore.open(folder, CLOCK.instant())) {
      Settings settings = new Settings(own, Runnable::run, CLOCK);
      settings.put("width", 1440.5);
      settings.put("height", "NaN");
      settings.put("theme", "night");
      settings.addRecent(folder.resolve("pack5.hammerman"));
    }
    try (OwnStore own = OwnStore.open(folder, CLOCK.instant())) {
      Settings again = new Settings(own, Runnable::run, CLOCK);
      assertThat(again.number("width", 0)).isEqualTo(1440.5);
      assertThat(again.number("height", 7)).isEqualTo(7);
      assertThat(again.text("theme", "day")).isEqualTo("night");
      assertThat(again.recent())
          .containsExactly(folder.resolve("pack5.hammerman").toAbsolutePath());
      assertThat(again.text("folder", "")).isEqualTo(folder.toAbsolutePath().toString());
    }
  }

  @Test
  void aNameThatComesAfterTheEndOfTheWorkFailsNothing() {
    ExecutorService writer = Executors.newSingleThreadExecutor();
    try (OwnStore own = OwnStore.open(folder, CLOCK.instant())) {
      Settings settings = new Settings(own, writer, CLOCK);
      writer.shutdown();
      settings.addRecent(folder.resolve("late.hammerman"));
      assertThat(settings.recent()).hasSize(1);
    }
  }

  @Test
  void cellsAndPartsOfEarlierVersionsAreTakenOverOnceAndSlipsAreSaid() throws Exception {
    CellType own = Shipped.cells().cells().getFirst();
    CellFile.save(new CellLibrary(List.of(own)), folder.resolve("cells.json"));
    Files.writeString(folder.resolve("parts.json"), "{ \"wires\": [ {\"area_mm2\": -4} ] }");
    try (OwnStore store = OwnStore.open(folder, CLOCK.instant())) {
      assertThat(Shelf.takeOver(store, folder, CLOCK))
          .singleElement()
          .asString()
          .contains("Your own parts are not taken over", "parts.json");
      assertThat(store.cells().cells()).containsExactly(own);
      Files.delete(folder.resolve("parts.json"));
      assertThat(Shelf.takeOver(store, folder, CLOCK)).isEmpty();
      store.remove(own.id());
      assertThat(Shelf.takeOver(store, folder, CLOCK)).isEmpty();
      assertThat(store.cells().cells()).as("what was removed stays away").isEmpty();
    }
  }
}
