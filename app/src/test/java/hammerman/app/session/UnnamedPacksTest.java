package hammerman.app.session;

import static org.assertj.core.api.Assertions.assertThat;

import hammerman.finding.Station;
import hammerman.project.Shipped;
import hammerman.store.DesignState;
import hammerman.store.ProjectStore;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.time.Duration;
import java.time.Instant;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Packs that have no name yet wait in their folder, and none is thrown away for good at once. */
class UnnamedPacksTest {
  private static final Instant NOON = Instant.parse("2026-06-01T12:00:00Z");

  @TempDir Path home;

  @SuppressWarnings("NullAway.Init") // made before every test
  private UnnamedPacks packs;

  @BeforeEach
  void make() {
    packs = new UnnamedPacks(home);
  }

  private Path pack(String name, int parallel, Instant at) throws Exception {
    Path file = packs.fresh();
    var design = Shipped.terraceBarrow().design();
    var project =
        Shipped.terraceBarrow()
            .withName(name)
            .withDesign(design.withPack(design.pack().withCounts(13, parallel)));
    ProjectStore.create(file, DesignState.of(1, at, Station.STACK, "Edit", project), at).close();
    return file;
  }

  @Test
  void theNewestIsOfferedFirstWithItsNameCountsAndTime() throws Exception {
    pack("Old", 5, NOON.minusSeconds(3600));
    Path young = pack("Young", 8, NOON);
    assertThat(packs.left()).extracting(Unnamed::name).containsExactly("Young", "Old");
    Unnamed first = packs.left().getFirst();
    assertThat(first.file()).isEqualTo(young);
    assertThat(first.counts()).isEqualTo("13S8P");
    assertThat(first.at()).isEqualTo(NOON);
  }

  @Test
  void aPackThatAWindowWorksOnIsNotOfferedInAnother() throws Exception {
    Path file = pack("Worked on", 6, NOON);
    pack("Left", 7, NOON);
    try (ProjectStore store = ProjectStore.open(file, NOON)) {
      assertThat(store.isReadOnly()).isFalse();
      assertThat(packs.left()).extracting(Unnamed::name).containsExactly("Left");
    }
    assertThat(packs.left()).hasSize(2);
  }

  @Test
  void aDamagedPackKeepsNoOtherFromBeingOffered() throws Exception {
    pack("Whole", 6, NOON);
    Files.writeString(packs.fresh(), "half a page of a file, and no more");
    assertThat(packs.left()).extracting(Unnamed::name).containsExactly("Whole");
  }

  @Test
  void whatIsThrownAwayCanBeBroughtBackForAMonthAndThenGoes() throws Exception {
    Path file = pack("Thrown", 6, NOON);
    // Last edited long before: the month counts from when it is thrown away.
    Files.setLastModifiedTime(file, FileTime.from(NOON.minus(Duration.ofDays(90))));
    Path thrown = packs.throwAway(file, NOON);
    assertThat(packs.left()).isEmpty();
    assertThat(packs.thrown()).extracting(Unnamed::name).containsExactly("Thrown");
    packs.clear(NOON.plus(Duration.ofDays(29)));
    assertThat(thrown).exists();
    assertThat(packs.bringBack(thrown)).isEqualTo(file);
    assertThat(packs.left()).extracting(Unnamed::name).containsExactly("Thrown");
    Path again = packs.throwAway(file, NOON);
    packs.clear(NOON.plus(Duration.ofDays(31)));
    assertThat(again).doesNotExist();
  }

  @Test
  void aFileWithANameElsewhereIsNotOneOfThem() throws Exception {
    Path inside = pack("Inside", 6, NOON);
    Path outside = Files.copy(inside, home.resolve("named.hammerman"));
    assertThat(packs.holds(inside)).isTrue();
    assertThat(packs.holds(outside)).isFalse();
    Path link = Files.createSymbolicLink(home.resolve("link.hammerman"), inside);
    assertThat(packs.holds(link)).as("what it leads to counts").isTrue();
  }
}
