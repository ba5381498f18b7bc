package hammerman.outline;

import hammerman.unit.InvalidValue;
import java.awt.Shape;
import java.awt.geom.AffineTransform;
import java.awt.geom.Ellipse2D;
import java.awt.geom.Line2D;
import java.awt.geom.PathIterator;
import java.awt.geom.RoundRectangle2D;
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
import org.apache.batik.parser.AWTPolygonProducer;
import org.apache.batik.parser.AWTPolylineProducer;
import org.apache.batik.parser.AWTTransformProducer;
import org.apache.batik.parser.ParseException;
import org.jspecify.annotations.Nullable;

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
    Deque<AffineTransform> within = new ArrayDeque<>();
    // One user unit is a millimetre unless the drawing says else; y is seen upwards.
    within.push(AffineTransform.getScaleInstance(1e-3, -1e-3));
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
            AffineTransform here = new AffineTransform(within.element());
            here.concatenate(transform(in));
            within.push(here);
            Shape shape = aside > 0 ? null : shape(in);
            if (shape != null) {
              work.add(shape, here);
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

  private AffineTransform transform(XMLStreamReader in) {
    if (in.getLocalName().equals("svg")) {
      double unit = unit(in);
      return AffineTransform.getScaleInstance(unit, unit);
    }
    String turned = of(in, "transform");
    return turned.isEmpty()
        ? new AffineTransform()
        : AWTTransformProducer.createAffineTransform(turned);
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

  private @Nullable Shape shape(XMLStreamReader in) throws IOException {
    return switch (in.getLocalName()) {
      case "path" -> ArcsAsDrawn.shape(of(in, "d"));
      case "polygon" ->
          AWTPolygonProducer.createShape(
              new StringReader(of(in, "points")), PathIterator.WIND_NON_ZERO);
      case "polyline" ->
          AWTPolylineProducer.createShape(
              new StringReader(of(in, "points")), PathIterator.WIND_NON_ZERO);
      case "line" ->
          new Line2D.Double(length(in, "x1"), length(in, "y1"), length(in, "x2"), length(in, "y2"));
      case "rect" -> rectangle(in);
      case "circle" -> ellipse(in, length(in, "r"), length(in, "r"));
      case "ellipse" -> ellipse(in, length(in, "rx"), length(in, "ry"));
      default -> null;
    };
  }

  /** A rectangle; one rounding stands for both if the other is not given. */
  private Shape rectangle(XMLStreamReader in) {
    double rx = length(in, of(in, "rx").isEmpty() ? "ry" : "rx");
    double ry = length(in, of(in, "ry").isEmpty() ? "rx" : "ry");
    return new RoundRectangle2D.Double(
        length(in, "x"),
        length(in, "y"),
        length(in, "width"),
        length(in, "height"),
        2 * rx,
        2 * ry);
  }

  private Shape ellipse(XMLStreamReader in, double rx, double ry) {
    return new Ellipse2D.Double(length(in, "cx") - rx, length(in, "cy") - ry, 2 * rx, 2 * ry);
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
