package hammerman.outline;

import hammerman.fit.Outline;
import hammerman.unit.InvalidValue;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.locationtech.jts.geom.Polygon;

/**
 * The outline of a box as people have it: an SVG drawing, DXF text, or a table of points. Lengths
 * are taken as millimetres, or as the SVG's own size says. The largest closed shape is the outline;
 * shapes inside it are keep-outs. Curves are followed to within {@link Linework#TOLERANCE}.
 *
 * @param outline the box
 * @param keepOuts shapes inside
 */
public record OutlineFile(Outline outline, List<Outline> keepOuts) {
  /** The largest file that is read, bytes; a drawing of a box has some thousands. */
  private static final long LARGEST = 20L << 20;

  public OutlineFile {
    keepOuts = List.copyOf(keepOuts);
  }

  /**
   * Reads a file.
   *
   * @throws InvalidValue if there is no closed shape in it, it is damaged, too large or no file
   * @throws IOException if it cannot be read
   */
  public static OutlineFile open(Path file) throws IOException {
    String name = String.valueOf(file.getFileName());
    if (Files.exists(file) && !Files.isRegularFile(file)) {
      throw new InvalidValue(
          name, "a folder or a device", "an outline is read from a file", "Choose a file.");
    }
    if (Files.size(file) > LARGEST) {
      throw new InvalidValue(
          name,
          Files.size(file) / 1_000_000 + " MB",
          "an outline may have %d MB at most".formatted(LARGEST / 1_000_000),
          "Export the outline of the box alone.");
    }
    return read(new String(Files.readAllBytes(file), StandardCharsets.UTF_8), name);
  }

  /**
   * Reads a file's text.
   *
   * @param name of the file, for messages
   * @throws InvalidValue if there is no closed shape in it, or it is damaged
   */
  public static OutlineFile read(String text, String name) {
    Linework work = new Linework();
    if (text.stripLeading().startsWith("<")) {
      new SvgShapes(work, name).read(text);
    } else if (DxfShapes.looksLike(text)) {
      new DxfShapes(work, name).read(text);
    } else {
      work.closed(PointTable.read(text, name));
    }
    List<Outline> outlines = new ArrayList<>();
    for (Polygon p : work.shapes()) {
      outlines.add(Linework.outline(p));
    }
    if (outlines.isEmpty()) {
      throw new InvalidValue(
          name,
          "no closed shape",
          "an outline needs three corners or more, and lines that meet",
          "Draw it closed, or give a table of x and y in mm.");
    }
    outlines.sort(Comparator.comparingDouble(Outline::area).reversed());
    Outline whole = outlines.getFirst();
    return new OutlineFile(whole, outlines.stream().skip(1).filter(whole::contains).toList());
  }
}
