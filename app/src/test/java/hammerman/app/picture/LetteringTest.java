package hammerman.app.picture;

import static org.assertj.core.api.Assertions.assertThat;

import hammerman.app.picture.Lettering.Placed;
import hammerman.app.picture.Lettering.Rank;
import hammerman.app.picture.Lettering.Words;
import java.util.List;
import java.util.Objects;
import java.util.Random;
import java.util.stream.Stream;
import javafx.geometry.BoundingBox;
import javafx.geometry.Bounds;
import javafx.scene.text.Font;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Words of a picture never lie over each other or leave it, and the needed ones come first. */
class LetteringTest {
  private static final Bounds GROUND = new BoundingBox(0, 0, 300, 200);
  private static final Font FONT = new Font(10);

  private static Words words(Rank rank, String text, double x, double y, double width) {
    return new Words(rank, Role.INK, FONT, x, y, width, x, 0, false, GROUND, text);
  }

  private static List<Bounds> places(List<Placed> placed) {
    return placed.stream().map(Placed::place).flatMap(Stream::ofNullable).toList();
  }

  @ParameterizedTest
  @ValueSource(ints = {3, 20, 80, 300})
  void noneLiesOverAnotherOrOutside(int many) {
    Random random = new Random(many);
    Lettering all = new Lettering();
    for (int k = 0; k < many; k++) {
      Rank rank = Rank.values()[random.nextInt(4)];
      all.add(
          words(
              rank,
              "w" + k,
              random.nextDouble() * 340 - 20,
              random.nextDouble() * 240 - 20,
              10 + random.nextInt(80)));
    }
    List<Bounds> taken = places(all.place());
    assertThat(taken).hasSizeGreaterThan(2);
    for (int a = 0; a < taken.size(); a++) {
      assertThat(GROUND.contains(taken.get(a))).isTrue();
      for (int b = a + 1; b < taken.size(); b++) {
        assertThat(taken.get(a).intersects(taken.get(b))).as(a + ", " + b).isFalse();
      }
    }
  }

  @Test
  void aNoteGoesAsideForTheNameOfAnAxisAndKeepsALineToItsPlaceIfItGoesFar() {
    Lettering all = new Lettering();
    all.add(words(Rank.NOTE, "served", 100, 100, 60));
    all.add(words(Rank.NAME, "Voltage, V", 100, 100, 60));
    all.add(words(Rank.NAME, "Current, A", 30, 88, 200));
    all.add(words(Rank.NAME, "Power, W", 30, 112, 200));
    List<Placed> placed = all.place();
    Placed note = placed.getLast();
    assertThat(placed.getFirst().moved()).isFalse();
    assertThat(note.words().text()).isEqualTo("served");
    assertThat(note.moved()).isTrue();
    assertThat(note.led()).isTrue();
  }

  @Test
  void whatFindsNoPlaceIsLeftOutLastWrittenFirst() {
    Lettering all = new Lettering();
    for (int k = 0; k < 60; k++) {
      all.add(words(Rank.NOTE, "note " + k, 0, 100, 300));
    }
    List<Placed> placed = all.place();
    long kept = placed.stream().filter(p -> p.place() != null).count();
    assertThat(kept).isBetween(5L, 20L);
    assertThat(placed.subList(0, 5)).allMatch(p -> p.place() != null);
    assertThat(placed.getLast().place()).isNull();
  }

  @Test
  void aNoteNeverCoversAMarkButANameMay() {
    Lettering all = new Lettering();
    Bounds mark = new BoundingBox(110, 96, 8, 8);
    all.avoid(mark);
    all.add(words(Rank.NOTE, "note", 100, 100, 60));
    assertThat(Objects.requireNonNull(all.place().getFirst().place()).intersects(mark)).isFalse();
    all = new Lettering();
    all.avoid(mark);
    all.add(words(Rank.NAME, "name", 100, 100, 60));
    assertThat(all.place().getFirst().moved()).isFalse();
  }

  /** The name of a level stays at its line: farther along it, not off to another. */
  @Test
  void theNameOfALevelSlidesAlongItsLineWhereItsEndIsTaken() {
    Lettering all = new Lettering();
    all.shun(new BoundingBox(0, 80, 100, 40));
    all.add(new Words(Rank.NOTE, Role.HOT, FONT, 6, 100, 60, 6, 220, true, GROUND, "cut-out"));
    Placed placed = all.place().getFirst();
    Bounds place = Objects.requireNonNull(placed.place());
    assertThat(place.getCenterY()).isEqualTo(100);
    assertThat(place.getMinX()).isBetween(100.0, 226.0);
    assertThat(placed.led()).isFalse();
  }

  /** Beside the curve if there is a place, over it rather than not at all. */
  @Test
  void aNoteStandsBesideACurveWhereItCan() {
    Lettering all = new Lettering();
    Bounds curve = new BoundingBox(0, 98, 300, 4);
    all.shun(curve);
    all.add(words(Rank.NOTE, "time alone", 100, 100, 60));
    assertThat(places(all.place())).singleElement().matches(b -> !b.intersects(curve));
    Lettering everywhere = new Lettering();
    everywhere.shun(GROUND);
    everywhere.add(words(Rank.NOTE, "time alone", 100, 100, 60));
    assertThat(places(everywhere.place()))
        .singleElement()
        .satisfies(b -> assertThat(b.getMinX()).isEqualTo(100));
  }
}
