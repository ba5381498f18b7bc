package hammerman.drawing;

import java.io.StringWriter;
import java.util.Locale;
import javax.xml.stream.XMLOutputFactory;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamWriter;

/**
 * An SVG document being drawn, one user unit being one millimetre, so that it prints at true scale.
 * Black on white; lines tell themselves apart by thickness and dashes.
 */
public final class Svg {
  private final StringWriter text = new StringWriter();
  private final XMLStreamWriter out;

  /**
   * Begins a sheet.
   *
   * @param width of the sheet, mm
   * @param height of the sheet, mm
   */
  public Svg(double width, double height, String title) {
    try {
      out = XMLOutputFactory.newInstance().createXMLStreamWriter(text);
      out.writeStartDocument("UTF-8", "1.0");
      out.writeStartElement("svg");
      out.writeDefaultNamespace("http://www.w3.org/2000/svg");
      out.writeAttribute("width", number(width) + "mm");
      out.writeAttribute("height", number(height) + "mm");
      out.writeAttribute("viewBox", "0 0 " + number(width) + " " + number(height));
      out.writeAttribute("font-family", "sans-serif");
      out.writeStartElement("title");
      out.writeCharacters(title);
      out.writeEndElement();
    } catch (XMLStreamException e) {
      throw impossible(e);
    }
  }

  /** Draws a line through points given as x, y, x, y and so on, mm. */
  public Svg line(double thickness, boolean dashed, double... xy) {
    StringBuilder points = new StringBuilder();
    for (int k = 0; k + 1 < xy.length; k += 2) {
      points.append(k > 0 ? " " : "").append(number(xy[k])).append(',').append(number(xy[k + 1]));
    }
    element(
        "polyline",
        "points",
        points.toString(),
        "fill",
        "none",
        "stroke",
        "black",
        "stroke-width",
        number(thickness),
        "stroke-dasharray",
        dashed ? "3 1" : "none");
    return this;
  }

  /** Draws a white rectangle with a rim, mm. */
  public Svg box(double thickness, double x, double y, double width, double height) {
    element(
        "rect",
        "x",
        number(x),
        "y",
        number(y),
        "width",
        number(width),
        "height",
        number(height),
        "fill",
        "white",
        "stroke",
        "black",
        "stroke-width",
        number(thickness));
    return this;
  }

  /** Draws a circle, mm. */
  public Svg circle(double thickness, double x, double y, double radius) {
    element(
        "circle",
        "cx",
        number(x),
        "cy",
        number(y),
        "r",
        number(radius),
        "fill",
        "none",
        "stroke",
        "black",
        "stroke-width",
        number(thickness));
    return this;
  }

  /** Writes words from a point on, mm; the size is that of capitals with their room. */
  public Svg words(double x, double y, double size, String words) {
    return write("start", x, y, size, words);
  }

  /** Writes words centred on a point, mm. */
  public Svg centred(double x, double y, double size, String words) {
    return write("middle", x, y, size, words);
  }

  private Svg write(String anchor, double x, double y, double size, String words) {
    try {
      out.writeStartElement("text");
      out.writeAttribute("x", number(x));
      out.writeAttribute("y", number(y));
      out.writeAttribute("font-size", number(size));
      out.writeAttribute("text-anchor", anchor);
      out.writeCharacters(words);
      out.writeEndElement();
    } catch (XMLStreamException e) {
      throw impossible(e);
    }
    return this;
  }

  private void element(String name, String... attributes) {
    try {
      out.writeEmptyElement(name);
      for (int k = 0; k + 1 < attributes.length; k += 2) {
        out.writeAttribute(attributes[k], attributes[k + 1]);
      }
    } catch (XMLStreamException e) {
      throw impossible(e);
    }
  }

  /** Ends the drawing and returns the document. */
  public String document() {
    try {
      out.writeEndElement();
      out.writeEndDocument();
      out.close();
    } catch (XMLStreamException e) {
      throw impossible(e);
    }
    return text.toString();
  }

  private static IllegalStateException impossible(XMLStreamException e) {
    return new IllegalStateException("writing to memory failed", e);
  }

  private static String number(double v) {
    return String.format(Locale.ROOT, "%.3f", v).replaceAll("\\.?0+$", "");
  }
}
