package hammerman.outline;

import hammerman.unit.InvalidValue;
import java.io.IOException;
import java.io.StringReader;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.Locale;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javax.xml.stream.XMLInputFactory;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;
import org.apache.batik.parser.ParseException;
import org.locationtech.jts.geom.util.AffineTransformation;

/**
 * Shapes of an SVG drawing: paths, polygons, polylines, lines, rectangles, circles and ellipses, in
 * groups turned and moved as may be. Text, pictures and reused symbols are not read.
 */
final class SvgShapes {
  private static final Pattern LENGTH =
      Pattern.compile("\\s*([-+]?[\\d.]+(?:[eE][-+]?\\d+)?)\\s*([a-z%]*)\\s*");

  /** Elements whose content is not drawn where it stands. */
  private static final Set<String> ASIDE =
      Set.of("defs", "clipPath", "mask", "marker", "pattern", "symbol", "metadata");

  private final Linework work;
  private final String name;

  SvgShapes(Linework work, String name) {
    this.work = work;
    this.name = name;
  }

  void read(String text) {
    Deque<AffineTransformation> within = new ArrayDeque<>();
    // One user unit is a millimetre unless the drawing says else; y is seen upwards.
    within.push(AffineTransformation.scaleInstance(1e-3, -1e-3));
    int aside = 0;
    try {
      XMLInputFactory factory = XMLInputFactory.newInstance();
      factory.setProperty(XMLInputFactory.SUPPORT_DTD, false);
      factory.setProperty(XMLInputFactory.IS_SUPPORTING_EXTERNAL_ENTITIES, false);
      XMLStreamReader in = factory.createXMLStreamReader(new StringReader(text));
      while (in.hasNext()) {
        switch (in.next()) {
          case XMLStreamConstants.START_ELEMENT -> {
            aside += ASIDE.contains(in.getLocalName()) ? 1 : 0;
            AffineTransformation here =
                new AffineTransformation(transform(in)).compose(within.element());
            within.push(here);
            String path = aside > 0 ? "" : path(in);
            if (!path.isBlank()) {
              SvgPath.read(path, work, here);
            }
          }
          case XMLStreamConstants.END_ELEMENT -> {
            aside -= ASIDE.contains(in.getLocalName()) ? 1 : 0;
            within.pop();
          }
          default -> {}
        }
      }
    } catch (XMLStreamException | ParseException | IOException e) {
      throw new InvalidValue(
          name, "SVG that is damaged", "it cannot be read to its end", "Save it anew.");
    }
  }

  private AffineTransformation transform(XMLStreamReader in) throws IOException {
    if (in.getLocalName().equals("svg")) {
      double unit = unit(in);
      return AffineTransformation.scaleInstance(unit, unit);
    }
    return SvgTurn.read(of(in, "transform"));
  }

  /** Millimetres of one user unit: from width and viewBox, else as if units were mm. */
  private double unit(XMLStreamReader in) {
    String[] box = of(in, "viewBox").strip().split("[\\s,]+", -1);
    Matcher width = LENGTH.matcher(of(in, "width").toLowerCase(Locale.ROOT));
    if (!width.matches() || width.group(2).isEmpty() || box.length < 4) {
      return 1;
    }
    double mm =
        switch (width.group(2)) {
          case "mm" -> 1;
          case "cm" -> 10;
          case "in" -> 25.4;
          case "pt" -> 25.4 / 72;
          case "pc" -> 25.4 / 6;
          default -> 25.4 / 96;
        };
    return Linework.number(width.group(1), name) * mm / Linework.number(box[2], name);
  }

  /** Any shape as path data, so that there is one way to follow them all; empty for none. */
  private String path(XMLStreamReader in) {
    return switch (in.getLocalName()) {
      case "path" -> of(in, "d");
      case "polygon" -> of(in, "points").isBlank() ? "" : "M" + of(in, "points") + "Z";
      case "polyline" -> of(in, "points").isBlank() ? "" : "M" + of(in, "points");
      case "line" ->
          "M%s,%s L%s,%s"
              .formatted(length(in, "x1"), length(in, "y1"), length(in, "x2"), length(in, "y2"));
      case "rect" -> rectangle(in);
      case "circle" -> ellipse(in, length(in, "r"), length(in, "r"));
      case "ellipse" -> ellipse(in, length(in, "rx"), length(in, "ry"));
      default -> "";
    };
  }

  /** A rectangle; one rounding stands for both if the other is not given. */
  private String rectangle(XMLStreamReader in) {
    double width = length(in, "width");
    double height = length(in, "height");
    double rx = Math.min(length(in, of(in, "rx").isEmpty() ? "ry" : "rx"), width / 2);
    double ry = Math.min(length(in, of(in, "ry").isEmpty() ? "rx" : "ry"), height / 2);
    double flat = width - 2 * rx;
    double upright = height - 2 * ry;
    return ("M%s,%s h%s a%s,%s 0 0 1 %s,%s v%s a%s,%s 0 0 1 %s,%s"
            + " h%s a%s,%s 0 0 1 %s,%s v%s a%s,%s 0 0 1 %s,%s Z")
        .formatted(
            length(in, "x") + rx,
            length(in, "y"),
            flat,
            rx,
            ry,
            rx,
            ry,
            upright,
            rx,
            ry,
            -rx,
            ry,
            -flat,
            rx,
            ry,
            -rx,
            -ry,
            -upright,
            rx,
            ry,
            rx,
            -ry);
  }

  private String ellipse(XMLStreamReader in, double rx, double ry) {
    return "M%s,%s a%s,%s 0 0 1 %s,0 a%s,%s 0 0 1 %s,0 Z"
        .formatted(length(in, "cx") - rx, length(in, "cy"), rx, ry, 2 * rx, rx, ry, -2 * rx);
  }

  /** A length in user units; none is 0. */
  private double length(XMLStreamReader in, String attribute) {
    String value = of(in, attribute);
    if (value.isBlank()) {
      return 0;
    }
    Matcher m = LENGTH.matcher(value.toLowerCase(Locale.ROOT));
    return Linework.number(m.matches() ? m.group(1) : value, name);
  }

  private static String of(XMLStreamReader in, String attribute) {
    String value = in.getAttributeValue(null, attribute);
    return value == null ? "" : value;
  }
}
