package hammerman.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import hammerman.finding.Station;
import hammerman.project.Shipped;
import hammerman.project.UnreadableProject;
import hammerman.record.InventoryCell;
import hammerman.record.Run;
import hammerman.record.Run.Channel;
import hammerman.record.RunSheet;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.attribute.FileTime;
import java.time.Instant;
import java.util.List;
import java.util.Objects;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What lies beside a file, and what others do to it while it is open. */
class CompanionsTest {
  private static final Instant NOON = Instant.parse("2026-05-01T12:00:00Z");

  @TempDir Path folder;

  private static DesignState state(long id, String name) {
    return DesignState.of(id, NOON, Station.DUTY, "Edit", Shipped.terraceBarrow().withName(name));
  }

  private ProjectStore created(String name) throws Exception {
    return ProjectStore.create(folder.resolve(name), state(1, "First"), NOON);
  }

  private static final Run LIVE =
      new Run(
          "Live",
          "",
          "",
          "",
          List.of(new Channel("Time", "s"), new Channel("Voltage", "V")),
          RunSheet.NOTHING);

  private static void edit(ProjectStore store, long id, String name) throws Exception {
    store.design().keep(List.of(new DesignChange.Edited(state(id, name))));
  }

  private static void cell(ProjectStore store, String label) throws Exception {
    store.inventory().add(List.of(InventoryCell.labelled(label)), NOON);
  }

  private static String name(ProjectStore store) throws Exception {
    return store.design().present().project().name();
  }

  /** Copies a file as a kill leaves it: with its log, and the note of whoever had it. */
  private Path killed(ProjectStore store, String as) throws IOException {
    Path to = folder.resolve(as);
    Path from = store.file();
    Files.copy(from, to);
    Files.copy(Companions.log(from), Companions.log(to));
    Files.copy(WriterLock.beside(from), WriterLock.beside(to));
    return to;
  }

  @Test
  void whatAKillLeavesIsTakenIn() throws Exception {
    Path left;
    try (ProjectStore store = created("a.hammerman")) {
      edit(store, 2, "Second");
      cell(store, "A1");
      left = killed(store, "left.hammerman");
    }
    try (ProjectStore seen = ProjectStore.look(left)) {
      assertThat(name(seen)).as("looking at it").isEqualTo("Second");
    }
    try (ProjectStore again = ProjectStore.open(left, NOON)) {
      assertThat(name(again)).isEqualTo("Second");
      assertThat(again.inventory().count()).isEqualTo(1);
      assertThat(again.hadForeignLog()).isFalse();
    }
    assertThat(Companions.isPending(left)).as("one file again").isFalse();
  }

  @Test
  void aLogOfAnEarlierFileJoinsNoCopyPutInItsPlace() throws Exception {
    Path backup = folder.resolve("backup");
    try (ProjectStore store = created("a.hammerman")) {
      edit(store, 2, "Backed up");
    }
    Files.copy(folder.resolve("a.hammerman"), backup);
    Path left;
    try (ProjectStore store = ProjectStore.open(folder.resolve("a.hammerman"), NOON)) {
      for (int k = 3; k < 40; k++) {
        edit(store, k, "Later " + k);
      }
    }
    try (ProjectStore store = ProjectStore.open(folder.resolve("a.hammerman"), NOON)) {
      cell(store, "A1");
      left = killed(store, "left.hammerman");
    }
    Files.copy(backup, left, StandardCopyOption.REPLACE_EXISTING);
    try (ProjectStore seen = ProjectStore.look(left)) {
      assertThat(name(seen)).isEqualTo("Backed up");
    }
    try (ProjectStore again = ProjectStore.open(left, NOON)) {
      assertThat(name(again)).isEqualTo("Backed up");
      assertThat(again.inventory().count()).isZero();
      assertThat(again.hadForeignLog()).isTrue();
    }
    try (var files = Files.list(folder)) {
      assertThat(files.filter(f -> f.toString().endsWith(".aside")))
          .as("it is kept, under a name that joins nothing")
          .hasSize(1);
    }
  }

  @Test
  void theSameHoldsOnceTheLogWasPutIntoTheFileWhileItWasWorkedOn() throws Exception {
    Path backup = folder.resolve("backup");
    try (ProjectStore store = created("a.hammerman")) {
      edit(store, 2, "Backed up");
    }
    Files.copy(folder.resolve("a.hammerman"), backup);
    Path left;
    try (ProjectStore store = ProjectStore.open(folder.resolve("a.hammerman"), NOON)) {
      long before = Files.size(store.file());
      RunBook book = store.runBook();
      long id = book.beginLive(LIVE, null, NOON);
      SampleWriter writer = new SampleWriter(2, blocks -> book.append(id, blocks));
      Random random = new Random(1);
      while (Files.size(store.file()) == before) {
        writer.add(new double[] {random.nextDouble(), random.nextDouble()});
      }
      cell(store, "last");
      left = killed(store, "left.hammerman");
    }
    Files.copy(backup, left, StandardCopyOption.REPLACE_EXISTING);
    try (ProjectStore again = ProjectStore.open(left, NOON)) {
      assertThat(again.inventory().count()).isZero();
      assertThat(again.hadForeignLog()).isTrue();
    }
  }

  @Test
  void whatLiesBesideANameJoinsNoNewFile() throws Exception {
    Path left;
    try (ProjectStore store = created("a.hammerman")) {
      edit(store, 2, "Second");
      left = killed(store, "new.hammerman");
    }
    Files.delete(left);
    try (ProjectStore store = created("new.hammerman")) {
      assertThat(name(store)).isEqualTo("First");
    }
    try (ProjectStore store = ProjectStore.open(left, NOON)) {
      assertThat(name(store)).isEqualTo("First");
    }
  }

  @Test
  void whatLiesBesideAFileGoesWhenACopyTakesItsPlace() throws Exception {
    Path target;
    try (ProjectStore store = created("b.hammerman")) {
      edit(store, 2, "Replaced");
      target = killed(store, "target.hammerman");
    }
    try (ProjectStore store = created("a.hammerman")) {
      edit(store, 2, "Copied");
      store.copyTo(target);
    }
    try (ProjectStore store = ProjectStore.open(target, NOON)) {
      assertThat(name(store)).isEqualTo("Copied");
    }
  }

  @Test
  void aPackThatIsMovedTakesWhatIsPendingAlong() throws Exception {
    Path left;
    try (ProjectStore store = created("a.hammerman")) {
      edit(store, 2, "Second");
      left = killed(store, "left.hammerman");
    }
    Path to = folder.resolve("elsewhere.hammerman");
    ProjectStore.move(left, to);
    try (ProjectStore store = ProjectStore.open(to, NOON)) {
      assertThat(name(store)).isEqualTo("Second");
    }
    assertThat(Companions.isPending(left)).isFalse();
  }

  /** Killed in the middle of a transaction that was written into the file itself. */
  @Test
  void aHotJournalIsRolledBack() throws Exception {
    for (String name : List.of("pack.hammerman", "pack.hammerman-journal")) {
      try (InputStream in =
          Objects.requireNonNull(
              CompanionsTest.class.getResourceAsStream("/findings/kill/kill-55/" + name))) {
        Files.copy(in, folder.resolve(name));
      }
    }
    Path file = folder.resolve("pack.hammerman");
    try (ProjectStore seen = ProjectStore.look(file)) {
      assertThat(seen.design().present().project().name()).isNotEmpty();
    }
    try (ProjectStore store = ProjectStore.open(file, NOON)) {
      assertThat(store.design().present().project().name()).isNotEmpty();
    }
  }

  @Test
  void aFileThatIsRefusedKeepsEveryByte() throws Exception {
    Path file;
    try (ProjectStore store = created("a.hammerman")) {
      file = store.file();
      store.write("UPDATE state SET document = '{}'");
    }
    byte[] before = Files.readAllBytes(file);
    assertThatThrownBy(() -> ProjectStore.open(file, NOON)).isInstanceOf(UnreadableProject.class);
    assertThat(Files.readAllBytes(file)).isEqualTo(before);
    try (var files = Files.list(folder)) {
      assertThat(files).as("and nothing beside it").containsExactly(file);
    }
  }

  @Test
  void aFileWrittenOverWhileOpenIsNoticedAndLeftAsItIs() throws Exception {
    try (ProjectStore other = created("other.hammerman")) {
      edit(other, 2, "Somebody else's");
    }
    byte[] others = Files.readAllBytes(folder.resolve("other.hammerman"));
    Path file;
    try (ProjectStore store = created("a.hammerman")) {
      file = store.file();
      edit(store, 2, "Mine");
      Files.write(file, others);
      assertThat(store.isOverwritten()).isTrue();
      assertThatThrownBy(() -> edit(store, 3, "Mine"))
          .isInstanceOfSatisfying(
              NotKept.class, e -> assertThat(e.reason()).isEqualTo(NotKept.Reason.GONE));
    }
    assertThat(Files.readAllBytes(file)).as("not a byte is put into it").isEqualTo(others);
    try (ProjectStore store = ProjectStore.open(file, NOON)) {
      assertThat(name(store)).isEqualTo("Somebody else's");
    }
  }

  @Test
  void aFileCutShortWhileOpenIsNoticed() throws Exception {
    try (ProjectStore store = created("a.hammerman")) {
      Files.write(store.file(), new byte[100]);
      assertThatThrownBy(() -> edit(store, 2, "Mine")).isInstanceOf(NotKept.class);
    }
  }

  @Test
  void anotherDateAloneIsNoOtherFile() throws Exception {
    try (ProjectStore store = created("a.hammerman")) {
      edit(store, 2, "Second");
      Files.setLastModifiedTime(store.file(), FileTime.from(NOON));
      edit(store, 3, "Third");
      assertThat(name(store)).isEqualTo("Third");
    }
  }

  @Test
  void aBadRowHidesItselfAlone() throws Exception {
    try (ProjectStore store = created("a.hammerman")) {
      for (String label : List.of("A1", "A2", "A3")) {
        cell(store, label);
      }
      store.write("UPDATE cell SET label = '' WHERE id = 2");
      assertThat(store.inventory().cells(0, 10)).hasSize(2);
      assertThat(store.takeHidden()).singleElement().asString().contains("cell").contains("2");
      assertThat(store.takeHidden()).isEmpty();
    }
  }

  @Test
  void aRunWhoseColumnsAreLostHidesItsLogAlone() throws Exception {
    Run run = new Run("Run", "", "", "", List.of(new Channel("Time", "s")), RunSheet.NOTHING);
    try (ProjectStore store = created("a.hammerman")) {
      long id = store.runBook().begin(run, null, NOON);
      store.runBook().finish(id, 300);
      store.write("DELETE FROM channel");
      assertThat(store.runBook().telemetry(store.runBook().runs(0, 1).getFirst())).isEmpty();
      assertThat(store.runBook().trace(id, 0, 0, 300, 10).size()).isZero();
    }
  }

  @Test
  void aLiveRunThatIsCutShortKeepsWhatCame() throws Exception {
    try (ProjectStore store = created("a.hammerman")) {
      RunBook book = store.runBook();
      long id = book.beginLive(LIVE, null, NOON);
      SampleWriter writer = new SampleWriter(2, blocks -> book.append(id, blocks));
      int samples = SampleBlock.SAMPLES + 1234;
      for (int k = 0; k < samples; k++) {
        writer.add(new double[] {k, 48 + k % 5});
        if (k % 500 == 499) {
          writer.checkpoint();
        }
      }
      book.beginLive(LIVE, null, NOON);
      assertThat(book.endCutShort()).as("one of which nothing came goes").hasSize(1);
      assertThat(book.count()).isEqualTo(1);
      assertThat(book.samples(id)).isBetween(samples - 500L, (long) samples);
      assertThat(book.trace(id, 1, 0, book.samples(id), 10).high(0)).isEqualTo(52);
      assertThat(book.raw(id, 0, 8190, 4)).containsExactly(8190, 8191, 8192, 8193);
    }
  }
}
