package hammerman.project;

import hammerman.cell.CellLibrary;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.Objects;

/** Data that ships with the application: the starter cells and the worked examples. */
public final class Shipped {
  private static final String CELLS = "/hammerman/cell/library.json";
  private static final String TERRACE_BARROW = "/hammerman/demo/terrace-barrow.json";
  private static final String STARTER = "/hammerman/starter.json";

  private Shipped() {}

  /** Returns the starter library: generic classes of cells, without makers. */
  public static CellLibrary cells() {
    return JsonMapping.MAPPER.readValue(bytes(CELLS), CellLibrary.class);
  }

  /** Returns the worked example of a powered barrow for steep terraces. */
  public static Project terraceBarrow() {
    return project(TERRACE_BARROW);
  }

  /** Returns the modest project that a newcomer starts from. */
  public static Project starter() {
    return project(STARTER);
  }

  private static Project project(String resource) {
    try {
      return ProjectFile.parse(bytes(resource), resource);
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
