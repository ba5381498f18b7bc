package hammerman.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.entry;

import hammerman.finding.Station;
import hammerman.project.Project;
import hammerman.project.ProjectDocument;
import hammerman.project.Shipped;
import hammerman.project.UnreadableProject;
import hammerman.record.InventoryCell;
import hammerman.record.PartRecord;
import java.io.InputStream;
import java.io.RandomAccessFile;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The project's file: what is kept, what is refused, and what survives. */
class ProjectStoreTest {
  private static final Instant NOON = Instant.parse("2026-06-01T12:00:00Z");

  @TempDir Path folder;

  private final Project barrow = Shipped.terraceBarrow();

  private Path file() {
    return folder.resolve("barrow.hammerman");
  }

  private DesignState state(long id, String name) {
    return DesignState.of(
        id, NOON.plusSeconds(id), Station.STACK, "Edit " + id, barrow.withName(name));
  }

  private ProjectStore created() throws NotKept {
    return ProjectStore.create(file(), state(1, "First"), NOON);
  }

  private static DesignChange edited(DesignState s) {
    return new DesignChange.Edited(s);
  }

  @Test
  void whatIsKeptIsThereWhenItIsOpenedAgain() throws Exception {
    try (ProjectStore store = created()) {
      store.design().keep(List.of(edited(state(2, "Second")), edited(state(3, "Third"))));
      store.design().keep(List.of(new DesignChange.Moved(2)));
    }
    try (ProjectStore store = ProjectStore.open(file(), NOON)) {
      Line line = store.design().line();
      assertThat(line.states()).extracting(DesignState::id).containsExactly(1L, 2L, 3L);
      assertThat(line.now().project().name()).isEqualTo("Second");
      assertThat(line.states().get(2).what()).isEqualTo("Edit 3");
      assertThat(line.states().get(2).project()).isEqualTo(barrow.withName("Third"));
      assertThat(store.design().lastState()).isEqualTo(3);
    }
  }

  @Test
  void anEditAfterUndoForgetsWhatWasUndoneUnlessItIsMarked() throws Exception {
    try (ProjectStore store = created()) {
      store
          .design()
          .keep(List.of(edited(state(2, "a")), edited(state(3, "b")), edited(state(4, "c"))));
      store.design().keep(List.of(new DesignChange.Marked(3, "before the strips were cut", NOON)));
      store.design().keep(List.of(new DesignChange.Moved(1), edited(state(5, "d"))));
      assertThat(store.design().line().states())
          .extracting(DesignState::id)
          .containsExactly(1L, 5L);
      Mark mark = store.design().marks().getFirst();
      assertThat(mark.name()).isEqualTo("before the strips were cut");
      assertThat(store.design().state(mark.state()).project().name()).isEqualTo("b");
      assertThatThrownBy(() -> store.design().state(4)).hasMessageContaining("not kept any more");
      store.design().keep(List.of(new DesignChange.Unmarked(mark.id())));
      assertThat(store.design().marks()).isEmpty();
    }
  }

  @Test
  void changesAreKeptAllOrNone() throws Exception {
    try (ProjectStore store = created()) {
      assertThatThrownBy(
              () ->
                  store
                      .design()
                      .keep(
                          List.of(
                              edited(state(2, "good")), new DesignChange.Marked(77, "bad", NOON))))
          .isInstanceOf(NotKept.class);
      assertThat(store.design().line().states()).hasSize(1);
      store.design().keep(List.of(edited(state(2, "good"))));
      assertThat(store.design().present().project().name()).isEqualTo("good");
    }
  }

  @Test
  void onClosingItIsOneFileAndOldStatesHaveGone() throws Exception {
    try (ProjectStore store = created()) {
      store
          .design()
          .keep(
              IntStream.range(2, DesignBook.KEPT_STATES + 50)
                  .mapToObj(k -> edited(state(k, "Edit " + k)))
                  .toList());
      store.design().keep(List.of(new DesignChange.Marked(2, "early", NOON)));
      assertThat(WriterLock.beside(file())).exists();
    }
    try (var files = Files.list(folder)) {
      assertThat(files).containsExactly(file());
    }
    try (ProjectStore store = ProjectStore.open(file(), NOON)) {
      assertThat(store.design().line().states()).hasSizeBetween(DesignBook.KEPT_STATES, 401);
      assertThat(store.design().state(2).project().name()).isEqualTo("Edit 2");
      assertThatThrownBy(() -> store.design().state(3)).isInstanceOf(NotKept.class);
    }
  }

  @Test
  void oneWindowWritesAndAnotherIsToldWhoAndMayLook() throws Exception {
    try (ProjectStore store = created()) {
      assertThat(ProjectStore.isInUse(file())).isTrue();
      assertThatThrownBy(() -> ProjectStore.open(file(), NOON))
          .isInstanceOf(InUse.class)
          .hasMessageContaining("barrow.hammerman is being worked on")
          .hasMessageContaining("since 1 Jun");
      Path link = Files.createSymbolicLink(folder.resolve("other.hammerman"), file());
      assertThatThrownBy(() -> ProjectStore.open(link, NOON)).isInstanceOf(InUse.class);
      try (ProjectStore look = ProjectStore.look(file())) {
        assertThat(look.isReadOnly()).isTrue();
        assertThat(look.design().present().project().name()).isEqualTo("First");
        store.design().keep(List.of(edited(state(2, "Second"))));
        assertThat(look.design().present().project().name()).isEqualTo("Second");
        assertThatThrownBy(() -> look.design().keep(List.of(edited(state(3, "x")))))
            .hasMessageContaining("can only be looked at");
      }
    }
    assertThat(ProjectStore.isInUse(file())).isFalse();
    ProjectStore.open(file(), NOON).close();
  }

  @Test
  void aFileThatMayNotBeWrittenIsOpenedToLook() throws Exception {
    created().close();
    byte[] before = Files.readAllBytes(file());
    assertThat(file().toFile().setWritable(false)).isTrue();
    if (!Files.isWritable(file())) {
      try (ProjectStore store = ProjectStore.open(file(), NOON)) {
        assertThat(store.isReadOnly()).isTrue();
      }
    }
    try (ProjectStore store = ProjectStore.look(file())) {
      assertThat(store.design().line().states()).hasSize(1);
    }
    assertThat(Files.readAllBytes(file())).isEqualTo(before);
  }

  @Test
  void aFileDeletedOrReplacedWhileOpenIsSaidAndNothingIsLost() throws Exception {
    try (ProjectStore store = created()) {
      Files.delete(file());
      assertThat(store.isGone()).isTrue();
      assertThatThrownBy(() -> store.design().keep(List.of(edited(state(2, "Second")))))
          .isInstanceOfSatisfying(
              NotKept.class, e -> assertThat(e.reason()).isEqualTo(NotKept.Reason.GONE));
      Path copy = folder.resolve("rescued.hammerman");
      store.copyTo(copy);
      assertThat(ProjectFile.read(copy).name()).isEqualTo("First");
      Files.writeString(file(), "something else");
      assertThat(store.isGone()).isTrue();
    }
    assertThat(Files.readString(file())).isEqualTo("something else");
  }

  @Test
  void aStrangerWritingIntoItIsNoticed() throws Exception {
    try (ProjectStore store = created()) {
      sql("UPDATE state SET what = 'meddled'");
      assertThatThrownBy(() -> store.design().keep(List.of(edited(state(2, "Second")))))
          .hasMessageContaining("another program has written");
    }
  }

  @Test
  void hostileTablesAreNamedAndRefused() throws Exception {
    created().close();
    sql("CREATE VIEW tempting AS SELECT * FROM state");
    byte[] before = Files.readAllBytes(file());
    assertThatThrownBy(() -> ProjectStore.open(file(), NOON))
        .isInstanceOf(UnreadableProject.class)
        .hasMessageContaining("view “tempting”");
    assertThat(Files.readAllBytes(file())).isEqualTo(before);
    sql("DROP VIEW tempting");
    sql("CREATE TRIGGER late AFTER INSERT ON state BEGIN DELETE FROM mark; END");
    assertThatThrownBy(() -> ProjectFile.read(file())).hasMessageContaining("trigger “late”");
    sql("DROP TRIGGER late");
    sql("DROP TABLE calibration");
    assertThatThrownBy(() -> ProjectFile.read(file())).hasMessageContaining("calibration");
  }

  @Test
  void otherDatabasesAndNewerOnesAreToldApart() throws Exception {
    created().close();
    sql("PRAGMA user_version = 99");
    assertThatThrownBy(() -> ProjectFile.read(file()))
        .hasMessageContaining("newer Hammerman")
        .hasMessageContaining("99");
    sql("PRAGMA application_id = 7");
    assertThatThrownBy(() -> ProjectFile.read(file())).hasMessageContaining("not a Hammerman");
  }

  @Test
  void ofADamagedFileWhatCanBeReadIsTakenIntoANewOne() throws Exception {
    try (ProjectStore store = created()) {
      store
          .design()
          .keep(IntStream.rangeClosed(2, 60).mapToObj(k -> edited(state(k, "Edit " + k))).toList());
      store.inventory().add(List.of(InventoryCell.labelled("A1")), NOON);
    }
    try (RandomAccessFile raw = new RandomAccessFile(file().toFile(), "rw")) {
      raw.seek(raw.length() / 2);
      raw.write(new byte[64 * 1024]);
    }
    byte[] before = Files.readAllBytes(file());
    assertThatThrownBy(() -> ProjectStore.open(file(), NOON))
        .isInstanceOfSatisfying(
            UnreadableProject.class,
            e -> assertThat(e.reason()).isEqualTo(UnreadableProject.Reason.DAMAGED));
    Path saved = folder.resolve("saved.hammerman");
    String words = Salvage.of(file(), saved, NOON);
    assertThat(words).contains("of state");
    assertThat(Files.readAllBytes(file())).isEqualTo(before);
    try (ProjectStore store = ProjectStore.open(saved, NOON)) {
      assertThat(store.design().present().project().name()).startsWith("Edit ");
      assertThat(store.design().line().states()).hasSizeGreaterThan(20);
    }
  }

  @Test
  void nothingIsMadeOfAFileInWhichNoStateCanBeRead() throws Exception {
    created().close();
    sql("UPDATE state SET document = '{half'");
    Path saved = folder.resolve("saved.hammerman");
    assertThatThrownBy(() -> Salvage.of(file(), saved, NOON))
        .isInstanceOf(UnreadableProject.class)
        .hasMessageContaining("no state of the design can be read")
        .hasMessageContaining("look for a copy");
    assertThat(saved).doesNotExist();
  }

  @Test
  void aMarkOfALostStateIsLeftOutOfWhatIsSaved() throws Exception {
    try (ProjectStore store = created()) {
      store.design().keep(List.of(edited(state(2, "Second")), edited(state(3, "Third"))));
      store.design().keep(List.of(new DesignChange.Marked(2, "lost", NOON)));
      store.design().keep(List.of(new DesignChange.Marked(3, "there", NOON)));
    }
    sql("UPDATE state SET document = 'nothing' WHERE id = 2");
    Path saved = folder.resolve("saved.hammerman");
    assertThat(Salvage.of(file(), saved, NOON)).contains("3 of state", "2 of mark");
    try (ProjectStore store = ProjectStore.open(saved, NOON)) {
      assertThat(store.design().line().states())
          .extracting(DesignState::id)
          .containsExactly(1L, 3L);
      assertThat(store.design().marks()).extracting(Mark::name).containsExactly("there");
    }
  }

  @Test
  void aDesignGoesThroughDatabaseAndDocumentUnchanged() throws Exception {
    Path database = folder.resolve("a.hammerman");
    Path document = folder.resolve("b.json");
    ProjectFile.write(barrow, database, NOON);
    ProjectFile.write(ProjectFile.read(database), document, NOON);
    assertThat(ProjectFile.read(document)).isEqualTo(barrow);
    assertThat(ProjectFile.read(database)).isEqualTo(barrow);
    assertThat(Files.readAllBytes(document)).isEqualTo(ProjectDocument.bytes(barrow));
    assertThatThrownBy(() -> ProjectFile.write(barrow, document, NOON))
        .hasMessageContaining("is there already");
  }

  @Test
  void theOwnStoreKeepsWhatBelongsToNoProject() throws Exception {
    try (OwnStore own = OwnStore.open(folder, NOON)) {
      own.put(Map.of("theme", "night"));
      own.keep(Shipped.cells().cells().subList(0, 3), NOON);
      own.keep(Shipped.parts());
      for (int k = 0; k < 20; k++) {
        own.addRecent("/packs/" + k, NOON.plusSeconds(k));
      }
      try (OwnStore second = OwnStore.open(folder, NOON)) {
        second.keep(Shipped.cells().cells().subList(5, 6), NOON);
      }
      own.remove(Shipped.cells().cells().get(1).id());
    }
    try (OwnStore own = OwnStore.open(folder, NOON)) {
      assertThat(own.troubles()).isEmpty();
      assertThat(own.settings()).containsEntry("theme", "night");
      assertThat(own.cells().cells()).hasSize(3).contains(Shipped.cells().cells().get(5));
      assertThat(own.parts()).contains(Shipped.parts());
      assertThat(own.recent()).hasSize(12).startsWith("/packs/19");
    }
  }

  @Test
  void aDamagedOwnStoreIsPutAsideAndSaid() throws Exception {
    Path own = folder.resolve(OwnStore.FILE);
    Files.writeString(own, "no database at all, but long enough to be one".repeat(40));
    try (OwnStore store = OwnStore.open(folder, NOON)) {
      assertThat(store.troubles()).singleElement().asString().contains("could not be read");
      store.put(Map.of("a", "b"));
    }
    try (var files = Files.list(folder)) {
      assertThat(files.map(f -> f.getFileName().toString())).anyMatch(f -> f.endsWith(".damaged"));
    }
    Path blocked = folder.resolve("plain");
    Files.writeString(blocked, "a file where the folder should be");
    try (OwnStore store = OwnStore.open(blocked.resolve("home"), NOON)) {
      store.put(Map.of("a", "b"));
      assertThat(store.settings()).containsEntry("a", "b");
      assertThat(store.troubles()).singleElement().asString().contains("until you leave only");
    }
  }

  @Test
  void anOwnStoreOfAVersionThatCannotBeIsPutAside() throws Exception {
    try (InputStream in =
        Objects.requireNonNull(
            ProjectStoreTest.class.getResourceAsStream(
                "/findings/own-settings-version-minus-1.hammerman-settings"))) {
      Files.copy(in, folder.resolve(OwnStore.FILE));
    }
    try (OwnStore store = OwnStore.open(folder, NOON)) {
      assertThat(store.troubles()).singleElement().asString().contains("could not be read");
      store.put(Map.of("a", "b"));
    }
  }

  @Test
  void nothingInThePlaceOfPartsOrCellsIsSaid() throws Exception {
    try (OwnStore own = OwnStore.open(folder, NOON)) {
      own.keep(Shipped.parts());
      own.keep(Shipped.cells().cells().subList(0, 1), NOON);
    }
    try (Connection c =
            DriverManager.getConnection("jdbc:sqlite:" + folder.resolve(OwnStore.FILE));
        Statement s = c.createStatement()) {
      s.execute("UPDATE own_parts SET document = 'null'");
      s.execute("UPDATE own_cell SET document = 'null'");
    }
    try (OwnStore own = OwnStore.open(folder, NOON)) {
      assertThat(own.parts()).isEmpty();
      assertThat(own.cells().cells()).isEmpty();
      assertThat(own.troubles()).hasSize(2).allMatch(t -> t.contains("there is nothing in it"));
    }
  }

  /** One row that cannot be read costs neither the others nor the start. */
  @Test
  void anOwnCellThatCannotBeReadIsNamedAndTheOthersAreThere() throws Exception {
    try (OwnStore own = OwnStore.open(folder, NOON)) {
      own.keep(Shipped.cells().cells().subList(0, 3), NOON);
    }
    String id = Shipped.cells().cells().get(1).id();
    try (Connection c =
            DriverManager.getConnection("jdbc:sqlite:" + folder.resolve(OwnStore.FILE));
        Statement s = c.createStatement()) {
      s.execute("UPDATE own_cell SET document = '[{\"id\": ' WHERE id = '" + id + "'");
      s.execute("INSERT INTO own_parts VALUES (1, 'wires of −3 mm²')");
    }
    try (OwnStore own = OwnStore.open(folder, NOON)) {
      assertThat(own.cells().cells())
          .containsExactly(Shipped.cells().cells().get(0), Shipped.cells().cells().get(2));
      assertThat(own.parts()).isEmpty();
      assertThat(own.troubles())
          .anySatisfy(t -> assertThat(t).contains("cell “" + id + "” cannot be read"))
          .anySatisfy(t -> assertThat(t).contains("own parts cannot be read"));
      own.keep(Shipped.cells().cells().subList(1, 2), NOON);
      assertThat(own.cells().cells()).hasSize(3);
    }
  }

  private void sql(String statement) throws SQLException {
    try (Connection c = DriverManager.getConnection("jdbc:sqlite:" + file());
        Statement s = c.createStatement()) {
      s.execute(statement);
    }
  }

  @Test
  void whatIsNoFileIsRefusedAtOnce() throws Exception {
    assertThatThrownBy(() -> ProjectFile.read(Path.of("/dev/zero"))).hasMessageContaining("device");
    assertThatThrownBy(() -> ProjectFile.read(folder)).hasMessageContaining("folder");
    Files.write(file(), "SQLite format 3\0".getBytes(StandardCharsets.US_ASCII));
    assertThatThrownBy(() -> ProjectFile.read(file())).hasMessageContaining("damaged");
  }

  @Test
  void anOlderFileThatIsOnlyLookedAtHasNothingOfWhatCameLater() throws Exception {
    ProjectStore.create(file(), state(1, "First"), NOON).close();
    sql("DROP TABLE failure");
    sql("DROP TABLE incident");
    sql("DROP TABLE part");
    sql("DROP TABLE test");
    sql("DROP TABLE aside");
    sql("PRAGMA user_version = 1");
    try (ProjectStore look = ProjectStore.look(file())) {
      assertThat(look.buildBook().parts()).isEmpty();
      assertThat(look.proofBook().incidents()).isEmpty();
      assertThat(look.inventory().asides()).isEmpty();
      assertThat(look.inventory().tests()).isEmpty();
    }
    assertThat(ProjectFile.built(file()).parts()).isEmpty();
    try (ProjectStore open = ProjectStore.open(file(), NOON)) {
      open.buildBook().keep(new PartRecord("bms", PartRecord.Have.ORDERED, 20.0, "shop"), NOON);
      open.buildBook().keep(new PartRecord("bms", PartRecord.Have.HERE, 21.0, "shop"), NOON);
      assertThat(open.buildBook().parts())
          .containsExactly(entry("bms", new PartRecord("bms", PartRecord.Have.HERE, 21.0, "shop")));
    }
  }
}
