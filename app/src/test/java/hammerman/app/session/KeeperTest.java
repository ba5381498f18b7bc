package hammerman.app.session;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyLong;
import static org.mockito.Mockito.doAnswer;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import hammerman.finding.Station;
import hammerman.project.Project;
import hammerman.project.Shipped;
import hammerman.store.DesignChange;
import hammerman.store.DesignState;
import hammerman.store.ProjectFile;
import hammerman.store.ProjectStore;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.ScheduledFuture;
import java.util.function.Supplier;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The keeping of the work, with a thread that runs at once and a clock that stands. */
class KeeperTest {
  private static final Instant NOON = Instant.parse("2026-06-01T12:00:00Z");

  @TempDir Path folder;

  private final Project barrow = Shipped.terraceBarrow();
  private final ScheduledExecutorService thread = mock(ScheduledExecutorService.class);
  private final List<Runnable> later = new ArrayList<>();
  private final List<String> refused = new ArrayList<>();

  @SuppressWarnings("NullAway.Init") // made before every test
  private Keeper keeper;

  @BeforeEach
  void make() {
    doAnswer(
            call -> {
              call.getArgument(0, Runnable.class).run();
              return null;
            })
        .when(thread)
        .execute(any());
    when(thread.schedule(any(Runnable.class), anyLong(), any()))
        .thenAnswer(
            call -> {
              later.add(call.getArgument(0));
              return mock(ScheduledFuture.class);
            });
    keeper =
        new Keeper(
            folder.resolve("home"), thread, Runnable::run, Clock.fixed(NOON, ZoneOffset.UTC));
    keeper.begin(state(1));
  }

  private Supplier<DesignState> state(int id) {
    return () ->
        DesignState.of(id, NOON, Station.STACK, "Edit " + id, barrow.withName("Edit " + id));
  }

  private void edit(int id) {
    keeper.keep(() -> new DesignChange.Edited(state(id).get()));
  }

  private Path file() {
    return Objects.requireNonNull(keeper.keptProperty().get().file());
  }

  /** Has the thread do nothing from now on; returns what it is to do. */
  private List<Runnable> busy() {
    List<Runnable> held = new ArrayList<>();
    doAnswer(
            call -> {
              held.add(call.getArgument(0));
              return null;
            })
        .when(thread)
        .execute(any());
    return held;
  }

  private void named(Path file) {
    keeper.nameAs(file, done -> {}, trouble -> refused.add(trouble.why()));
    assertThat(refused).isEmpty();
  }

  @Test
  void aPackGetsItsFileWithTheFirstEditAndSaysSinceWhenItIsKept() throws Exception {
    assertThat(keeper.keptProperty().get()).isEqualTo(Kept.NOWHERE);
    assertThat(folder.resolve("home")).doesNotExist();
    edit(2);
    Kept kept = keeper.keptProperty().get();
    assertThat(kept.named()).isFalse();
    assertThat(kept.at()).isEqualTo(NOON);
    assertThat(kept.waiting()).isFalse();
    keeper.close();
    assertThat(ProjectFile.read(file()).name()).isEqualTo("Edit 2");
  }

  /** Edits made while the thread is still busy with the project before go each to its own. */
  @Test
  void editsAroundATurnToAnotherProjectGoEachToTheirOwn() throws Exception {
    edit(2);
    Path first = file();
    List<Runnable> held = busy();
    edit(3);
    keeper.begin(state(1));
    edit(2);
    edit(3);
    edit(4);
    held.forEach(Runnable::run);
    Path second = file();
    assertThat(second).isNotEqualTo(first);
    held.clear();
    keeper.close();
    held.forEach(Runnable::run);
    try (ProjectStore store = ProjectStore.open(first, NOON)) {
      assertThat(store.design().line().states())
          .extracting(DesignState::id)
          .containsExactly(1L, 2L, 3L);
    }
    try (ProjectStore store = ProjectStore.open(second, NOON)) {
      assertThat(store.design().line().states()).hasSize(4);
    }
  }

  /** What is told of the project before must not be shown as the one at hand. */
  @Test
  void aNewProjectDoesNotLookKeptBecauseTheOneBeforeWas() {
    edit(2);
    named(folder.resolve("barrow.hammerman"));
    List<Runnable> held = busy();
    edit(3);
    keeper.begin(state(1));
    held.forEach(Runnable::run);
    assertThat(keeper.keptProperty().get()).isEqualTo(Kept.NOWHERE);
  }

  @Test
  void theFileAtHandIsNotOpenedASecondTime() {
    edit(2);
    Path target = folder.resolve("barrow.hammerman");
    named(target);
    keeper.open(target, opened -> refused.add("opened"), trouble -> refused.add(trouble.why()));
    assertThat(refused).containsExactly("barrow.hammerman is open in this window already.");
    assertThat(keeper.keptProperty().get().name()).contains("barrow.hammerman");
  }

  /** Reading the records does not take back what was said of changes that cannot be kept. */
  @Test
  void readingTheRecordsDoesNotHideThatChangesAreNotKept() throws Exception {
    Files.writeString(folder.resolve("home"), "a file where the folder should be");
    edit(2);
    keeper.records(store -> true, done -> refused.add("read"), trouble -> {});
    assertThat(refused).isEmpty();
    assertThat(keeper.keptProperty().get().trouble()).contains("tried again");
    assertThat(keeper.keptProperty().get().waiting()).isTrue();
  }

  @Test
  void aNamedPackLeavesNothingBehindAmongTheUnnamed() throws Exception {
    edit(2);
    Path target = folder.resolve("barrow.hammerman");
    named(target);
    edit(3);
    List<Unnamed> left = new ArrayList<>();
    keeper.left(left::addAll);
    assertThat(left).isEmpty();
    assertThat(keeper.keptProperty().get().name()).contains("barrow.hammerman");
    Path copy = folder.resolve("copy.hammerman");
    keeper.copyTo(copy, done -> {}, trouble -> refused.add(trouble.why()));
    edit(4);
    keeper.close();
    assertThat(ProjectFile.read(target).name()).isEqualTo("Edit 4");
    assertThat(ProjectFile.read(copy).name()).isEqualTo("Edit 3");
    assertThat(refused).isEmpty();
  }

  @Test
  void whereNothingCanBeKeptItIsSaidAndTriedAgainAndNothingIsLost() throws Exception {
    Files.writeString(folder.resolve("home"), "a file where the folder should be");
    edit(2);
    edit(3);
    Kept kept = keeper.keptProperty().get();
    assertThat(kept.waiting()).isTrue();
    assertThat(kept.trouble()).contains("tried again");
    Files.delete(folder.resolve("home"));
    later.getLast().run();
    assertThat(keeper.keptProperty().get().waiting()).isFalse();
    assertThat(keeper.keptProperty().get().trouble()).isNull();
    keeper.close();
    try (ProjectStore store = ProjectStore.open(file(), NOON)) {
      assertThat(store.design().line().states())
          .extracting(DesignState::id)
          .containsExactly(1L, 2L, 3L);
    }
  }

  @Test
  void aFileReplacedUnderUsIsLeftAloneAndTheWorkGoesOnWithItsPast() throws Exception {
    edit(2);
    Path target = folder.resolve("barrow.hammerman");
    named(target);
    Files.delete(target);
    Files.writeString(target, "somebody else's");
    edit(3);
    Kept kept = keeper.keptProperty().get();
    assertThat(kept.named()).isFalse();
    assertThat(kept.trouble()).contains("moved, deleted or replaced", "nothing is lost");
    keeper.close();
    assertThat(Files.readString(target)).isEqualTo("somebody else's");
    try (ProjectStore store = ProjectStore.open(file(), NOON)) {
      assertThat(store.design().line().states()).hasSize(3);
    }
  }

  @Test
  void whatIsThrownAwayGoesAfterAMonthAndNotBefore() throws Exception {
    edit(2);
    keeper.begin(state(1));
    List<Unnamed> left = new ArrayList<>();
    keeper.left(left::addAll);
    assertThat(left).hasSize(1);
    assertThat(left.getFirst().at()).isEqualTo(NOON);
    List<Path> thrown = new ArrayList<>();
    keeper.throwAway(left.getFirst(), thrown::add, trouble -> refused.add(trouble.why()));
    UnnamedPacks packs = new UnnamedPacks(folder.resolve("home"));
    Instant put = Files.getLastModifiedTime(thrown.getFirst()).toInstant();
    packs.clear(put.plusSeconds(29L * 86_400));
    assertThat(thrown.getFirst()).exists();
    packs.clear(put.plusSeconds(31L * 86_400));
    assertThat(thrown.getFirst()).doesNotExist();
    assertThat(refused).isEmpty();
  }
}
