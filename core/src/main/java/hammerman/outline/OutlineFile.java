package hammerman.outline;

import hammerman.fit.Outline;
import hammerman.unit.InvalidValue;
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

  public OutlineFile {
    keepOuts = List.copyOf(keepOuts);
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
