package hammerman.store;

import static org.assertj.core.api.Assertions.assertThat;

import hammerman.SoundDesigns;
import hammerman.design.Design;
import hammerman.finding.Station;
import hammerman.fit.Arrangement;
import hammerman.fit.Container;
import hammerman.fit.Filling;
import hammerman.fit.FitPlan;
import hammerman.fit.Grouping;
import hammerman.fit.Joining;
import hammerman.fit.Outline;
import hammerman.fit.Packing;
import hammerman.fit.Point;
import hammerman.fit.Style;
import hammerman.forecast.Forecast;
import hammerman.pack.Pack;
import hammerman.project.Project;
import hammerman.project.ProjectDocument;
import hammerman.project.Shipped;
import hammerman.project.UnreadableProject;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Any project, laid out or not, comes back from the database and from the document as it was. */
class RoundTripTest {
  private static final Instant NOON = Instant.parse("2026-06-01T12:00:00Z");
  private static final int EACH = 4;

  @TempDir Path folder;

  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4, 5})
  void aProjectComesBackAsItWas(long seed) throws Exception {
    Random random = new Random(seed);
    int laidOut = 0;
    for (int k = 0; k < EACH; k++) {
      Project p = project(random);
      laidOut += p.variants().stream().anyMatch(v -> v.fit() != null) ? 1 : 0;
      Path database = folder.resolve(k + ".hammerman");
      Path document = folder.resolve(k + ".json");
      ProjectFile.write(p, database, NOON);
      ProjectFile.write(ProjectFile.read(database), document, NOON);
      Project back = ProjectFile.read(document);
      assertThat(back).isEqualTo(p);
      assertThat(Files.readAllBytes(document)).isEqualTo(ProjectDocument.bytes(p));
      // Not only equal, but as good: what is forecast of it is the same to the last digit.
      if (k == 0) {
        assertThat(Forecast.of(back.design()).duty().totals())
            .isEqualTo(Forecast.of(p.design()).duty().totals());
      }
    }
    assertThat(laidOut).isPositive();
  }

  /** Figures that were worked out, such as an outline's, are kept as well as they can be told. */
  @Test
  void aFigureOfManyDigitsComesBackAsItWas() throws Exception {
    Project p = Shipped.terraceBarrow();
    Design d = p.design();
    FitPlan fit =
        FitPlan.of(box(Math.sqrt(2) / 3, 1 / 7.0), new Packing(Packing.Pattern.SQUARE, 1 / 997.0));
    Project odd = p.withDesign(d.withFit(fit));
    assertThat(ProjectDocument.parse(ProjectDocument.bytes(odd), "odd")).isEqualTo(odd);
  }

  @ParameterizedTest
  @ValueSource(longs = {11, 12})
  void everyStateOfALineIsTheOneThatWasKept(long seed) throws Exception {
    Random random = new Random(seed);
    List<Project> states = random.ints(6).mapToObj(k -> project(random)).toList();
    Path file = folder.resolve("line.hammerman");
    try (ProjectStore store =
        ProjectStore.create(
            file, DesignState.of(1, NOON, Station.DUTY, "First", states.getFirst()), NOON)) {
      for (int k = 1; k < states.size(); k++) {
        store
            .design()
            .keep(
                List.of(
                    new DesignChange.Edited(
                        DesignState.of(k + 1L, NOON, Station.FIT, "Edit", states.get(k)))));
      }
    }
    try (ProjectStore store = ProjectStore.open(file, NOON)) {
      List<DesignState> back = store.design().line().states();
      for (int k = 0; k < states.size(); k++) {
        assertThat(back.get(k).project()).isEqualTo(states.get(k));
      }
    }
  }

  /** A project whose figures have the digits that they would have if they were typed. */
  private static Project project(Random random) {
    try {
      return ProjectDocument.parse(ProjectDocument.bytes(drawn(random)), "drawn");
    } catch (UnreadableProject e) {
      throw new AssertionError(e);
    }
  }

  private static Project drawn(Random random) {
    Project p = Shipped.starter().withName("Pack “" + random.nextInt(1000) + "” – Ω, 中, \n");
    int variants = 1 + random.nextInt(3);
    for (int v = 0; v < variants; v++) {
      p = v == 0 ? p : p.plusVariant("What if " + v);
      Design d = SoundDesigns.of(random.nextLong());
      p = p.withDesign(random.nextBoolean() ? d : laidOut(d, random));
    }
    return p.withActive(random.nextInt(variants));
  }

  /** In a box with room to spare, now and then with cells exchanged by hand. */
  private static Design laidOut(Design d, Random random) {
    Pack pack = d.pack();
    double side = 0.12 * Math.sqrt(pack.series() * pack.parallel() + 4.0);
    Container box = box(side, side * (1 + random.nextDouble() / 3));
    if (random.nextBoolean()) {
      box = box.withKeepOuts(List.of(Outline.rectangle(0.02, 0.03)));
    }
    FitPlan plan =
        FitPlan.of(
                box,
                new Packing(any(Packing.Pattern.values(), random), 5e-4 + random.nextInt(4) / 3e3))
            .withStyle(any(Style.values(), random))
            .withJoining(any(Joining.values(), random))
            .withFilling(any(Filling.values(), random));
    Grouping g = Arrangement.of(plan, pack).grouping().orElse(null);
    if (g != null && pack.series() > 1 && random.nextBoolean()) {
      plan =
          plan.arranged(g.exchanged(g.members(0)[0], g.members(1)[0]))
              .withLock(random.nextInt(pack.series()), true)
              .withConductors(plan.conductors().with(1, pack.strip().withWidth(0.0123)));
    }
    return d.withFit(plan);
  }

  private static Container box(double width, double length) {
    return new Container(
        Outline.rectangle(width, length), 0.3, List.of(), new Point(width / 2, 0), 0.002);
  }

  private static <T> T any(T[] of, Random random) {
    return of[random.nextInt(of.length)];
  }
}
