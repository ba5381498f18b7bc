package hammerman.project;

import hammerman.build.ExampleBuild;
import hammerman.cell.CellLibrary;
import hammerman.forecast.Forecast;
import hammerman.guard.Parts;
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
import java.util.List;
import java.util.Objects;

/** Data that ships with the application: the starter cells and the worked examples. */
public final class Shipped {
  private static final String CELLS = "/hammerman/cell/library.json";
  private static final String PARTS = "/hammerman/guard/parts.json";
  private static final String STARTER = "/hammerman/starter.json";

  private Shipped() {}

  /** Returns the starter library: generic classes of cells, without makers. */
  public static CellLibrary cells() {
    return JsonMapping.MAPPER.readValue(bytes(CELLS), CellLibrary.class);
  }

  /** Returns the parts to choose from: generic classes, without makers. */
  public static Parts parts() {
    return JsonMapping.MAPPER.readValue(bytes(PARTS), Parts.class);
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
    return project(STARTER);
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
