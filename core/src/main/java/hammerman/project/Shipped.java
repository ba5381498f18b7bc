package hammerman.project;

import hammerman.build.ExampleBuild;
import hammerman.cell.CellLibrary;
import hammerman.chain.Chain;
import hammerman.chain.LaidOut;
import hammerman.forecast.Forecast;
import hammerman.guard.Parts;
import hammerman.prove.ExampleSeason;
import hammerman.prove.ExampleSeason.Truth;
import hammerman.record.RunCondition;
import hammerman.sort.CellSheet;
import hammerman.sort.MeasuredCell;
import hammerman.table.UnreadableTable;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import java.util.Optional;

/** Data that ships with the application: the first project, the starter cells, worked examples. */
public final class Shipped {
  private Shipped() {}

  /** The starter cells, read when they are first asked for. */
  private static final class Cells {
    static final CellLibrary ALL =
        JsonMapping.MAPPER.readValue(bytes("/hammerman/cell/library.json"), CellLibrary.class);

    private Cells() {}
  }

  /** The parts to choose from, read when they are first asked for. */
  private static final class PartsToChoose {
    static final Parts ALL =
        JsonMapping.MAPPER.readValue(bytes("/hammerman/guard/parts.json"), Parts.class);

    private PartsToChoose() {}
  }

  /** Returns the starter library: generic classes of cells, without makers. */
  public static CellLibrary cells() {
    return Cells.ALL;
  }

  /** Returns the parts to choose from: generic classes, without makers. */
  public static Parts parts() {
    return PartsToChoose.ALL;
  }

  /** A worked example. */
  public enum Example {
    TERRACE_BARROW("Terrace barrow", "terrace-barrow"),
    DARK_SKY_BOX("Dark-sky box", "dark-sky-box"),
    PAVEMENT_SPEAKER("Pavement speaker", "pavement-speaker");

    private final String label;
    private final String file;

    Example(String label, String file) {
      this.label = label;
      this.file = file;
    }

    /** Returns its name. */
    public String label() {
      return label;
    }
  }

  /** Returns a worked example. */
  public static Project example(Example example) {
    return project("/hammerman/demo/" + example.file + ".json");
  }

  /**
   * Returns the record of a build that goes with an example: the barrow is all built, the box waits
   * for its first charge since six days, the speaker is at its probe card.
   *
   * @param now the present moment
   */
  public static ExampleBuild build(Example example, Instant now) {
    Forecast forecast = Forecast.of(example(example).design());
    return switch (example) {
      case TERRACE_BARROW -> ExampleBuild.of(forecast, "", evening(now, 40), 1);
      case DARK_SKY_BOX -> ExampleBuild.of(forecast, "charge.place", evening(now, 6), 2);
      case PAVEMENT_SPEAKER -> ExampleBuild.of(forecast, "probe.steps", evening(now, 1), 3);
    };
  }

  /** Returns the worked example that a project is, if it is one and its design is unchanged. */
  public static Optional<Example> exampleOf(Project project) {
    return Arrays.stream(Example.values())
        .filter(e -> e.label().equals(project.name()))
        .filter(e -> example(e).design().equals(project.design()))
        .findFirst();
  }

  /**
   * Returns a season of runs that goes with an example, made by the engine with a meter's noise.
   * One true change is in each: the barrow's connector pair was changed for a worse one, the box
   * got a longer lead, and the speaker's plug corroded.
   */
  public static ExampleSeason season(Example example) {
    Chain chain = LaidOut.of(example(example).design()).chain();
    return switch (example) {
      case TERRACE_BARROW ->
          ExampleSeason.of(
              chain,
              new Truth(
                  7,
                  288.15,
                  303.15,
                  0.91,
                  4,
                  RunCondition.WIRE,
                  "as built",
                  "another connector pair",
                  1.18),
              "Upper terraces",
              1);
      case DARK_SKY_BOX ->
          ExampleSeason.of(
              chain,
              new Truth(
                  5,
                  278.15,
                  268.15,
                  0.98,
                  3,
                  RunCondition.WIRE,
                  "1.5 m, as built",
                  "5 m lead",
                  2.6),
              "Night at the telescope",
              2);
      case PAVEMENT_SPEAKER ->
          ExampleSeason.of(
              chain,
              new Truth(
                  6,
                  286.15,
                  299.15,
                  0.97,
                  3,
                  RunCondition.WIRE,
                  "plug as new",
                  "plug after a wet week",
                  2.4),
              "Market square",
              3);
    };
  }

  /** Half past eight in the evening, so many whole days ago. */
  private static Instant evening(Instant now, int days) {
    return now.truncatedTo(ChronoUnit.DAYS)
        .minus(Duration.ofDays(days + 1L))
        .plus(Duration.ofMinutes(20 * 60 + 30));
  }

  /** Returns the worked example of a powered barrow for steep terraces. */
  public static Project terraceBarrow() {
    return example(Example.TERRACE_BARROW);
  }

  /** Returns the hundred reclaimed cells that go with the example of a speaker. */
  public static List<MeasuredCell> measuredCells() {
    try {
      Path file = Files.createTempFile("hammerman", ".csv");
      try {
        Files.write(file, exampleCells());
        return CellSheet.read(file).cells();
      } finally {
        Files.delete(file);
      }
    } catch (IOException | UnreadableTable e) {
      throw new IllegalStateException("shipped cells do not load", e);
    }
  }

  /** Returns the table of a hundred reclaimed cells that goes with the example of a speaker. */
  public static byte[] exampleCells() {
    return bytes("/hammerman/demo/pavement-speaker-cells.csv");
  }

  /** Returns the modest project that a newcomer starts from. */
  public static Project starter() {
    return Starter.PROJECT;
  }

  private static Project project(String resource) {
    try {
      return ProjectDocument.parse(bytes(resource), resource);
    } catch (UnreadableProject e) {
      throw new IllegalStateException("shipped project does not load", e);
    }
  }

  private static byte[] bytes(String resource) {
    try (InputStream in =
        Objects.requireNonNull(Shipped.class.getResourceAsStream(resource), resource)) {
      return in.readAllBytes();
    } catch (IOException e) {
      throw new UncheckedIOException("shipped resource " + resource, e);
    }
  }
}
